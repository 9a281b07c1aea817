import {
  own,
  pointer,
  type Block,
  type BorderPart,
  type Declared,
  type Finding,
  type PlaceholderType,
} from '../model';
import { saidText, say, type Said } from '../said';
import { declarationKey, keyParts, type KeyParts, type Width } from './cascade';
import { expand } from './expand';
import { refsIn, withParts, type Refs } from './placeholders';
import { WIDE } from './shorthands';

/** A block written as CSS declarations, shorthands allowed, for fixed styles in code. @throws on bad CSS. */
export function blockOf(
  base: Record<string, string>,
  narrower: Record<string, Record<string, string>> = {},
): Block {
  const block: Block = {};
  const add = (declarations: Record<string, string>, width: Width) => {
    for (const [property, value] of Object.entries(declarations)) {
      const expanded = expand(property, value);
      if (!expanded.ok) throw new Error(`${property}: ${saidText(expanded.reason)}`);
      for (const [longhand, css] of Object.entries(expanded.longhands))
        block[declarationKey(longhand, width)] = { css };
    }
  };
  add(base, 'base');
  for (const [width, declarations] of Object.entries(narrower)) add(declarations, width);
  return block;
}

/** What keeps one declaration from being a CSS longhand with a value that fits, written as it is stored. */
function declarationReason(key: string, { css, refs = {} }: Declared): Said | undefined {
  const { property } = keyParts(key);
  const expanded = expand(property, css, refs);
  if (!expanded.ok) return expanded.reason;
  const written = own(expanded.longhands, property);
  if (written === undefined) return say('stored-as-longhands', { property });
  if (written !== css) return say('stored-otherwise', { css, written });
  const unused = Object.keys(refs).find((name) => !css.includes(`var(--${name})`));
  return unused === undefined ? undefined : say('placeholder-unused', { name: unused });
}

/** What keeps the declarations of a block from being CSS longhands with values that fit. */
export function blockFindings(block: Block): Finding[] {
  const findings: Finding[] = [];
  for (const key in block) {
    const reason = declarationReason(key, block[key]!);
    if (reason !== undefined) findings.push({ path: pointer(key), reason });
  }
  return findings;
}

/** A property that takes what a token of a type holds, to check it with. */
export const TAKES: Readonly<Record<PlaceholderType, string>> = {
  colour: 'color',
  length: 'margin-top',
  number: 'flex-grow',
  font: 'font-family',
  duration: 'transition-duration',
  easing: 'transition-timing-function',
  shadow: 'box-shadow',
  border: 'border-top',
  line: 'border-top-style',
  gradient: 'background-image',
};

/** The parts of a border, as `borderParts` takes them from its value. */
const BORDER_LONGHANDS = {
  width: 'border-top-width',
  style: 'border-top-style',
  color: 'border-top-color',
} as const;

/** A border's value part by part; nothing when it is none. */
export function borderParts({ css, refs }: Declared): Record<BorderPart, string> | undefined {
  const expanded = expand('border-top', css, refs);
  if (!expanded.ok) return undefined;
  const part = (of: BorderPart) => expanded.longhands[BORDER_LONGHANDS[of]]!;
  return { width: part('width'), style: part('style'), color: part('color') };
}

/** What keeps a token from holding a value of its type, written as it is stored. */
export function tokenReason({ type, value }: { type: PlaceholderType; value: Declared }) {
  if (WIDE.test(value.css.trim())) return isNo(type, value.css);
  if (type !== 'border') return declarationReason(TAKES[type], value);
  const parts = borderParts(value);
  if (!parts) return say('is-no-border', { css: value.css });
  const whole = `${parts.width} ${parts.style} ${parts.color}`;
  return whole === value.css
    ? undefined
    : say('stored-otherwise', { css: value.css, written: whole });
}

/** A token's value as it is stored, from CSS as it was typed; or why it is none. */
export function readTokenValue(
  type: PlaceholderType,
  css: string,
  refs: Refs = {},
): { readonly ok: true; readonly value: Declared } | { readonly ok: false; readonly reason: Said } {
  // What every property takes says where a value comes from and is none: a custom property would take it for itself.
  if (WIDE.test(css.trim())) return { ok: false, reason: isNo(type, css.trim()) };
  const expanded = expand(TAKES[type], css, refs);
  if (!expanded.ok) {
    // That it does not fit a property is for who declares; who writes a token hears of its type.
    const isNone = expanded.reason.code === 'css-does-not-fit';
    return { ok: false, reason: isNone ? isNo(type, css.trim()) : expanded.reason };
  }
  const parts = type === 'border' ? borderParts({ css, refs }) : undefined;
  const written = parts
    ? `${parts.width} ${parts.style} ${parts.color}`
    : Object.values(expanded.longhands)[0]!;
  const used = refsIn(written, withParts(refs));
  return { ok: true, value: used ? { css: written, refs: used } : { css: written } };
}

/** That a text is nothing that a token of a type can hold. */
function isNo(type: PlaceholderType, css: string): Said {
  return say('is-no', { css, what: say(`value-${type}`) });
}

/** A declaration as it goes into a stylesheet. */
export interface WrittenDeclaration extends KeyParts {
  /** Where something else stands in, with placeholders. */
  readonly declared: Declared;
}

const written = new WeakMap<Block, readonly WrittenDeclaration[]>();

/**
 * The declarations of a block by property, each written as the parser writes it. One that the parser does not
 * let through is left out: it was stored by an earlier version, and a stylesheet must survive it. Worked out
 * once for each block, which nobody changes in place.
 */
export function writtenBlock(block: Block): readonly WrittenDeclaration[] {
  let list = written.get(block);
  if (!list) {
    list = Object.keys(block)
      .sort()
      .flatMap((key): WrittenDeclaration[] => {
        const parts = keyParts(key);
        const { property } = parts;
        const { css: held, refs } = block[key]!;
        const expanded = expand(property, held, refs);
        const css = expanded.ok ? own(expanded.longhands, property) : undefined;
        if (css === undefined) return [];
        return [{ ...parts, declared: refs ? { css, refs } : { css } }];
      });
    written.set(block, list);
  }
  return list;
}
