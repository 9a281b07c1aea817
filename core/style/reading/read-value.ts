import { own, type Declared, type PlaceholderType, type Ref, type Token } from '../../model';
import { say, type Said } from '../../said';
import { TAKES } from '../block';
import { expand } from '../expand';
import { refsIn, withParts } from '../placeholders';
import { splitAt } from '../split-at';
import { arithmetic } from './arithmetic';

type Tokens = Readonly<Record<string, Pick<Token, 'name' | 'type'>>>;

/** A value as it was typed, read: CSS with placeholders, and the tokens that those stand for. */
export interface ReadValue {
  readonly css: string;
  readonly tokens: Readonly<Record<string, string>>;
}

/** A value that was read, or why it is none. */
export type ReadOutcome =
  | ({ readonly ok: true } & ReadValue)
  | { readonly ok: false; readonly reason: Said };

/**
 * A value of a property as people type it: CSS, tokens by their names (in braces where the name could be something
 * else), arithmetic, numbers without a unit where a length is asked for. `cols 3` are three equal columns.
 */
export function readValue(property: string, typed: string, tokens: Tokens): ReadOutcome {
  const text = typed.trim();
  if (text === '') return { ok: false, reason: say('no-value') };
  const equal = /^grid-template-(columns|rows)$/.test(property) && /^[1-9]\d?$/.test(text);
  const asked = equal ? `repeat(${text},1fr)` : text;
  // A name within a function may be a word of CSS there: it is one of a token where that fits.
  for (const within of text.includes('(') ? [true, false] : [false]) {
    const reader = new Words(tokens, within);
    const words = reader.of(asked);
    if (!Array.isArray(words)) return { ok: false, reason: words };
    const refs = reader.refs(tokens);
    for (const tried of readingsOf(words))
      if (expand(property, tried, refs).ok) return { ok: true, css: tried, tokens: reader.used };
  }
  const reader = new Words(tokens);
  const words = reader.of(asked);
  if (!Array.isArray(words)) return { ok: false, reason: words };
  const refs = reader.refs(tokens);
  // What is told is what was typed, not what was made of it.
  const plain = words.join(' ');
  const refused = expand(property, plain, refs);
  if (refused.ok) return { ok: true, css: plain, tokens: reader.used };
  const { code, about } = refused.reason;
  const isOfAll = about?.['css'] === plain;
  return { ok: false, reason: isOfAll ? { code, about: { ...about, css: text } } : refused.reason };
}

/**
 * What words may be read as, the likeliest first: sums worked out; what stands around a slash as it stands, since in
 * many values a slash is none of arithmetic, before it is worked out; numbers without a unit as they stand, before they are px.
 */
function* readingsOf(words: readonly string[]): Generator<string> {
  const sums = joined(words, /^[+*-]$/);
  const apart = sums.map((word) => (word.includes('/') ? word : (arithmetic(word) ?? word)));
  yield apart.join(' ');
  yield apart.map(withPx).join(' ');
  const whole = joined(words, /^[+*/-]$/);
  yield whole.map((word) => arithmetic(word) ?? word).join(' ');
  yield whole.map((word) => arithmetic(word, true) ?? withPx(word)).join(' ');
}

function withPx(word: string): string {
  return /^-?(\d+\.?\d*|\.\d+)$/.test(word) ? `${word}px` : word;
}

/** Words that a sign of arithmetic stands between, as one (`100% - 20px`). */
function joined(words: readonly string[], sign: RegExp): string[] {
  const all: string[] = [];
  let open = false;
  for (const word of words) {
    const isSign = sign.test(word) && all.length > 0;
    if (isSign || open) all[all.length - 1] += ` ${word}`;
    else all.push(word);
    open = isSign;
  }
  return all;
}

/** A token's value as people type it, other tokens by their names. */
export function readTokenText(type: PlaceholderType, typed: string, tokens: Tokens): ReadOutcome {
  return readValue(TAKES[type], typed, tokens);
}

/** A word without spaces as what stands between its commas, and these. */
function apartAtCommas(word: string): string[] {
  if (!word.includes(',')) return [word];
  const parts = splitAt(word, ',').flatMap((part, i) => (i > 0 ? [',', part] : [part]));
  return [...(word.startsWith(',') ? [','] : []), ...parts, ...(/.,$/.test(word) ? [','] : [])];
}

/** Text taken apart at its spaces, names of tokens among them found however many words they have. */
class Words {
  readonly used: Record<string, string> = {};
  private readonly byName: ReadonlyMap<string, string>;
  private readonly longest: number;

  /** @param within whether names are looked for within functions, too */
  constructor(
    tokens: Tokens,
    private readonly within = false,
  ) {
    this.byName = new Map(Object.entries(tokens).map(([id, { name }]) => [name.toLowerCase(), id]));
    this.longest = Math.max(1, ...[...this.byName.keys()].map((name) => name.split(' ').length));
  }

  refs(tokens: Tokens): Record<string, Ref> {
    const refs: Record<string, Ref> = {};
    for (const [name, token] of Object.entries(this.used)) {
      const type: PlaceholderType | undefined = own(tokens, token)?.type;
      if (type) refs[name] = { token, type };
    }
    return refs;
  }

  /** The words with placeholders for tokens; a reason where one in braces is none. */
  of(text: string): string[] | Said {
    let missing: string | undefined;
    const braced = text.replace(/\{([^{}]*)\}/g, (_, name: string) => {
      const token = this.byName.get(name.trim().toLowerCase());
      if (token === undefined) missing = name.trim();
      return token === undefined ? '' : this.placeholder(token);
    });
    if (missing !== undefined) return say('no-token-named', { name: missing });
    return this.found(braced, false);
  }

  private found(text: string, inFunction: boolean): string[] {
    // A comma stands for itself, whether there is a space before it or not.
    const words = splitAt(text, ' ').flatMap((word) => apartAtCommas(word));
    const found: string[] = [];
    for (let at = 0; at < words.length;) {
      // What follows such a word in a function is a direction, a place or a space of colours.
      const isSaid = inFunction && /^(to|at|from|in)$/i.test(words[at - 1] ?? '');
      const named = isSaid ? undefined : this.tokenAt(words, at);
      if (named) found.push(this.placeholder(named.token));
      else found.push(this.inFunction(words[at]!));
      at += named?.words ?? 1;
    }
    return found.reduce<string[]>((whole, word) => {
      if (word === ',' && whole.length > 0) whole[whole.length - 1] += word;
      else whole.push(word);
      return whole;
    }, []);
  }

  /** A word that calls a function, with the names in it found. */
  private inFunction(word: string): string {
    const [, name, inner] = /^([a-z-]+)\((.*)\)$/is.exec(word) ?? [];
    if (!this.within || inner === undefined || /^(url|var|src)$/i.test(name!)) return word;
    return `${name}(${this.found(inner, true).join(' ')})`;
  }

  private tokenAt(words: readonly string[], at: number) {
    for (let many = Math.min(this.longest, words.length - at); many > 0; many -= 1) {
      const token = this.byName.get(
        words
          .slice(at, at + many)
          .join(' ')
          .toLowerCase(),
      );
      if (token !== undefined) return { token, words: many };
    }
    return undefined;
  }

  private placeholder(token: string): string {
    const known = Object.keys(this.used).find((name) => this.used[name] === token);
    const name = known ?? `t${Object.keys(this.used).length + 1}`;
    this.used[name] = token;
    return `var(--${name})`;
  }
}

/** A declaration as people read and type it: tokens by name, in braces where they stand in something. */
export function valueText({ css, refs }: Declared, tokens: Tokens): string {
  if (!refs) return css;
  const nameOf = (name: string): string | undefined => {
    const ref = own(refs, name);
    if (!ref) return undefined;
    if (!('token' in ref)) return undefined;
    return own(tokens, ref.token)?.name ?? 'a token that is gone';
  };
  const alone = WHOLE.exec(css)?.[1];
  if (alone !== undefined) return nameOf(alone) ?? css;
  const inBraces = css.replaceAll(PLACEHOLDER, (all, name: string) => {
    const named = nameOf(name);
    return named === undefined ? all : `{${named}}`;
  });
  const words = splitAt(css, ' ').map((word) => {
    const name = WHOLE.exec(word)?.[1];
    return (name === undefined ? undefined : nameOf(name)) ?? word;
  });
  // Where names beside each other, or beside words, would read as something else, they stand in braces.
  const plain = words.join(' ');
  return readAs(plain, tokens) === readAs(inBraces, tokens) ? plain : inBraces;
}

const PLACEHOLDER = /var\(--([a-z][a-z0-9-]*)\)/g;
const WHOLE = /^var\(--([a-z][a-z0-9-]*)\)$/;

/** What a text is read as, tokens by what they are. */
function readAs(text: string, tokens: Tokens): string {
  const reader = new Words(tokens);
  const words = reader.of(text);
  return Array.isArray(words)
    ? words.join(' ').replaceAll(PLACEHOLDER, (_, name: string) => `{${reader.used[name]}}`)
    : '';
}

/** The tokens that fit a property, by id. */
export function fittingTokens(property: string, tokens: Tokens): string[] {
  return Object.keys(tokens).filter((id) => {
    const { type } = tokens[id]!;
    const refs = withParts({ t: { token: id, type } });
    const expanded = expand(property, 'var(--t)', refs);
    return expanded.ok && Object.values(expanded.longhands).every((css) => refsIn(css, refs));
  });
}
