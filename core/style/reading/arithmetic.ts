/**
 * Arithmetic in a length as people type it: `20/16rem`, `12+4`, `(100%-20px)/2`. Numbers without a unit take the one unit
 * that is named; of several units the whole becomes a `calc()` (CSS Values and Units Level 4, 10).
 */

type Piece =
  | { readonly is: 'number'; readonly value: number; readonly unit: string }
  /** What is known only where it is used: a token, a function of CSS. */
  | { readonly is: 'unknown'; readonly css: string }
  | { readonly is: '+' | '-' | '*' | '/' | '(' | ')' };

const NUMBER = /^(\d+\.?\d*|\.\d+)(%|[a-z]+)?/i;

/** A function of CSS, with brackets in it at most three deep. */
const FUNCTION = /^[a-z-]+\((?:[^()]|\((?:[^()]|\([^()]*\))*\))*\)/i;

/**
 * What is typed, worked out as far as it can be; nothing where it is no arithmetic, or divides by nothing.
 * @param inPx whether numbers without a unit that are added to something are px
 */
export function arithmetic(typed: string, inPx = false): string | undefined {
  const pieces = piecesOf(typed.trim());
  if (!pieces || !pieces.some(({ is }) => '+-*/'.includes(is))) return undefined;
  const units = new Set(pieces.flatMap((p) => (p.is === 'number' && p.unit ? p.unit : [])));
  const isKnown = pieces.every(({ is }) => is !== 'unknown');
  const reader = new Reader(pieces);
  const value = reader.sum();
  if (value === undefined || !reader.atEnd) return undefined;
  if (isKnown && units.size <= 1) {
    const unit = [...units][0] ?? (inPx ? 'px' : '');
    return Number.isFinite(value) ? written(value) + unit : undefined;
  }
  return `calc(${spaced(inPx ? withUnits(pieces) : pieces)})`;
}

/** Numbers that are added, and have no unit, as px; those that something is multiplied with stay what they are. */
function withUnits(pieces: readonly Piece[]): Piece[] {
  const multiplies = (piece: Piece | undefined) => piece?.is === '*' || piece?.is === '/';
  return pieces.map((piece, i) =>
    piece.is === 'number' && !piece.unit && !multiplies(pieces[i - 1]) && !multiplies(pieces[i + 1])
      ? { ...piece, unit: 'px' }
      : piece,
  );
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
    const [call] = FUNCTION.exec(rest) ?? [];
    if (call !== undefined) {
      pieces.push({ is: 'unknown', css: call });
      rest = rest.slice(call.length);
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
  /** Whether what was read last has a unit. */
  private hasUnit = false;

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
    let hasUnit = this.hasUnit;
    for (let sign = this.take('*', '/'); sign && left !== undefined; sign = this.take('*', '/')) {
      const right = this.one();
      // A length times a length is no length, and what is divided by one is none either.
      if (right === undefined || (hasUnit && this.hasUnit)) return undefined;
      left = sign === '*' ? left * right : left / right;
      hasUnit ||= this.hasUnit;
    }
    this.hasUnit = hasUnit;
    return left;
  }

  private one(): number | undefined {
    const piece = this.pieces[this.at];
    this.at += 1;
    this.hasUnit = piece?.is === 'number' && piece.unit !== '';
    if (piece?.is === 'number') return piece.value;
    // How much it is does not matter: the whole is written as it was typed.
    if (piece?.is === 'unknown') return 1;
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
    if (piece.is === 'unknown') {
      out += piece.css;
      return;
    }
    const before = pieces[i - 1]?.is;
    const isSign = piece.is === '-' && !['number', 'unknown', ')'].includes(before ?? '');
    out += isSign || '()'.includes(piece.is) ? (isSign ? '-' : piece.is) : ` ${piece.is} `;
  });
  return out;
}
