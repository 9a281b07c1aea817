import { own, type Declared, type PlaceholderType, type Ref, type Token } from '../../model';
import { say, type Said } from '../../said';
import { TAKES } from '../block';
import { expand } from '../expand';
import { refsIn, withParts } from '../placeholders';
import { arithmetic } from './arithmetic';

type Tokens = Readonly<Record<string, Pick<Token, 'name' | 'type'>>>;

/** A value as it was typed, read: CSS with placeholders, and the tokens that those stand for. */
export interface ReadValue {
  readonly css: string;
  readonly tokens: Readonly<Record<string, string>>;
}

/** A value that was read, or why it is none. */
export type ReadOutcome =
  ({ readonly ok: true } & ReadValue) | { readonly ok: false; readonly reason: Said };

/**
 * A value of a property as people type it: CSS, tokens by their names (in braces where the name could be something
 * else), arithmetic, numbers without a unit where a length is asked for. `cols 3` are three equal columns.
 */
export function readValue(property: string, typed: string, tokens: Tokens): ReadOutcome {
  const text = typed.trim();
  if (text === '') return { ok: false, reason: say('no-value') };
  const equal = /^grid-template-(columns|rows)$/.test(property) && /^[1-9]\d?$/.test(text);
  const reader = new Words(tokens);
  const words = reader.of(equal ? `repeat(${text},1fr)` : text);
  if (!Array.isArray(words)) return { ok: false, reason: words };
  const refs = reader.refs(tokens);
  const plain = words.map((word) => arithmetic(word) ?? word);
  const asTyped = expand(property, plain.join(' '), refs);
  if (asTyped.ok) return { ok: true, css: plain.join(' '), tokens: reader.used };
  const inPx = plain.map((word) => (/^-?(\d+\.?\d*|\.\d+)$/.test(word) ? `${word}px` : word));
  const asLength = expand(property, inPx.join(' '), refs);
  if (asLength.ok) return { ok: true, css: inPx.join(' '), tokens: reader.used };
  // What is told is what was typed, not what was made of it.
  const { code, about } = asTyped.reason;
  const isOfAll = about?.['css'] === plain.join(' ');
  return { ok: false, reason: isOfAll ? { code, about: { ...about, css: text } } : asTyped.reason };
}

/** A token's value as people type it, other tokens by their names. */
export function readTokenText(type: PlaceholderType, typed: string, tokens: Tokens): ReadOutcome {
  return readValue(TAKES[type], typed, tokens);
}

/** Text taken apart at its spaces, names of tokens among them found however many words they have. */
class Words {
  readonly used: Record<string, string> = {};
  private readonly byName: ReadonlyMap<string, string>;
  private readonly longest: number;

  constructor(tokens: Tokens) {
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
    const words = splitAtSpaces(braced);
    const found: string[] = [];
    for (let at = 0; at < words.length;) {
      const named = this.tokenAt(words, at);
      if (named) found.push(this.placeholder(named.token));
      else found.push(words[at]!);
      at += named?.words ?? 1;
    }
    return found;
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

/** Words with what stands in brackets or quotes left whole; arithmetic with spaces around its signs is one word. */
export function splitAtSpaces(text: string): string[] {
  return splitAt(text, ' ');
}

/** Text taken apart at what stands between its parts, a space or a comma; what is in brackets or quotes stays whole. */
export function splitAt(text: string, between: ' ' | ','): string[] {
  const isBetween = (sign: string) => (between === ' ' ? /\s/.test(sign) : sign === between);
  const words: string[] = [];
  let word = '';
  let depth = 0;
  let quote = '';
  for (const sign of text.trim()) {
    if (quote) quote = sign === quote ? '' : quote;
    else if (sign === '"' || sign === "'") quote = sign;
    else if (sign === '(') depth += 1;
    else if (sign === ')') depth -= 1;
    if (isBetween(sign) && depth === 0 && !quote) {
      if (word) words.push(word);
      word = '';
    } else word += sign;
  }
  if (word) words.push(word);
  return words;
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
  const whole = /^var\(--([a-z][a-z0-9-]*)\)$/.exec(css)?.[1];
  if (whole !== undefined) return nameOf(whole) ?? css;
  return css.replaceAll(/var\(--([a-z][a-z0-9-]*)\)/g, (all, name: string) => {
    const named = nameOf(name);
    return named === undefined ? all : `{${named}}`;
  });
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
