/**
 * Arithmetic in a length as people type it: `20/16rem`, `12+4`, `(100%-20px)/2`. Numbers without a unit take the one unit
 * that is named; of several units the whole becomes a `calc()` (CSS Values and Units Level 4, 10).
 */

type Piece =
  | { readonly is: 'number'; readonly value: number; readonly unit: string }
  | { readonly is: '+' | '-' | '*' | '/' | '(' | ')' };

const NUMBER = /^(\d+\.?\d*|\.\d+)(%|[a-z]+)?/i;

/** What is typed, worked out as far as it can be; nothing where it is no arithmetic, or divides by nothing. */
export function arithmetic(typed: string): string | undefined {
  const pieces = piecesOf(typed.trim());
  if (!pieces || !pieces.some(({ is }) => '+-*/'.includes(is))) return undefined;
  const units = new Set(pieces.flatMap((p) => (p.is === 'number' && p.unit ? p.unit : [])));
  const reader = new Reader(pieces);
  const value = reader.sum();
  if (value === undefined || !reader.atEnd) return undefined;
  if (units.size <= 1)
    return Number.isFinite(value) ? written(value) + ([...units][0] ?? '') : undefined;
  return `calc(${spaced(pieces)})`;
}

/** A number as CSS writes it: at most five digits behind the point, none that say nothing. */
export function written(value: number): string {
  const rounded = Number(value.toFixed(5));
  return String(Object.is(rounded, -0) ? 0 : rounded);
}

function piecesOf(typed: string): Piece[] | undefined {
  const pieces: Piece[] = [];
  for (let rest = typed; rest !== '';) {
    const space = /^\s+/.exec(rest);
    if (space) {
      rest = rest.slice(space[0].length);
      continue;
    }
    const [whole, value, unit = ''] = NUMBER.exec(rest) ?? [];
    const sign = rest[0]!;
    if (whole !== undefined)
      pieces.push({ is: 'number', value: Number(value), unit: unit.toLowerCase() });
    else if ('+-*/()'.includes(sign)) pieces.push({ is: sign as '+' });
    else return undefined;
    rest = rest.slice(whole?.length ?? 1);
  }
  return pieces;
}

/** A sum of products, read from left to right; the value as though all had one unit. */
class Reader {
  private at = 0;

  constructor(private readonly pieces: readonly Piece[]) {}

  get atEnd(): boolean {
    return this.at === this.pieces.length;
  }

  sum(): number | undefined {
    let left = this.product();
    for (let sign = this.take('+', '-'); sign && left !== undefined; sign = this.take('+', '-')) {
      const right = this.product();
      left = right === undefined ? undefined : sign === '+' ? left + right : left - right;
    }
    return left;
  }

  private product(): number | undefined {
    let left = this.one();
    for (let sign = this.take('*', '/'); sign && left !== undefined; sign = this.take('*', '/')) {
      const right = this.one();
      left = right === undefined ? undefined : sign === '*' ? left * right : left / right;
    }
    return left;
  }

  private one(): number | undefined {
    const piece = this.pieces[this.at];
    this.at += 1;
    if (piece?.is === 'number') return piece.value;
    if (piece?.is === '-') {
      const value = this.one();
      return value === undefined ? undefined : -value;
    }
    if (piece?.is !== '(') return undefined;
    const inner = this.sum();
    return this.take(')') ? inner : undefined;
  }

  private take(...signs: Piece['is'][]): Piece['is'] | undefined {
    const piece = this.pieces[this.at];
    if (!piece || !signs.includes(piece.is)) return undefined;
    this.at += 1;
    return piece.is;
  }
}

/** The pieces as `calc()` asks for them: a space on both sides of every plus and minus that is no sign of a number. */
function spaced(pieces: readonly Piece[]): string {
  let out = '';
  pieces.forEach((piece, i) => {
    if (piece.is === 'number') {
      out += written(piece.value) + piece.unit;
      return;
    }
    const before = pieces[i - 1]?.is;
    const isSign = piece.is === '-' && before !== 'number' && before !== ')';
    out += isSign || '()'.includes(piece.is) ? (isSign ? '-' : piece.is) : ` ${piece.is} `;
  });
  return out;
}

/** A length in px at the size of the root, or the other way round: `20px` and `1.25rem` say the same at 16 px. */
export function inOtherUnit(css: string, rootSize = 16): string | undefined {
  const found = /^(-?(?:\d+\.?\d*|\.\d+))(px|rem)$/.exec(css);
  if (!found) return undefined;
  const value = Number(found[1]);
  return found[2] === 'px' ? `${written(value / rootSize)}rem` : `${written(value * rootSize)}px`;
}

/** A value with the number in it that stands at a place, or nearest before it, greater or less by a step. */
export function stepped(
  typed: string,
  at: number,
  by: number,
): { readonly text: string; readonly at: number } | undefined {
  const numbers = [...typed.matchAll(/-?(?:\d+\.?\d*|\.\d+)/g)];
  const found = numbers.findLast(({ index }) => index <= at) ?? numbers[0];
  if (!found) return undefined;
  const now = written(Number(found[0]) + by);
  const end = found.index + found[0].length;
  return {
    text: typed.slice(0, found.index) + now + typed.slice(end),
    at: found.index + now.length,
  };
}
