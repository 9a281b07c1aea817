import {
  own,
  pointer,
  type Block,
  type Declared,
  type Finding,
  type PlaceholderType,
} from '../model';
import { keyParts, type Width } from './cascade';
import { expand } from './expand';

/** A block written as CSS declarations, shorthands allowed, for fixed styles in code. @throws on bad CSS. */
export function blockOf(
  base: Record<string, string>,
  narrower: Record<string, Record<string, string>> = {},
): Block {
  const block: Block = {};
  const add = (declarations: Record<string, string>, width: Width) => {
    for (const [property, value] of Object.entries(declarations)) {
      const expanded = expand(property, value);
      if (!expanded.ok) throw new Error(`${property}: ${expanded.reason}`);
      for (const [longhand, css] of Object.entries(expanded.longhands))
        block[width === 'base' ? longhand : `${longhand}@${width}`] = { css };
    }
  };
  add(base, 'base');
  for (const [width, declarations] of Object.entries(narrower)) add(declarations, width);
  return block;
}

/** What keeps one declaration from being a CSS longhand with a value that fits, written as it is stored. */
function declarationReason(key: string, { css, refs = {} }: Declared): string | undefined {
  const { property } = keyParts(key);
  const expanded = expand(property, css, refs);
  if (!expanded.ok) return expanded.reason;
  const written = own(expanded.longhands, property);
  if (written === undefined) return `${property} is stored as its longhands`;
  if (written !== css) return `“${css}” is stored as “${written}”`;
  const unused = Object.keys(refs).find((name) => !css.includes(`var(--${name})`));
  return unused === undefined ? undefined : `--${unused} is in it nowhere`;
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
const TAKES: Record<PlaceholderType, string> = {
  colour: 'color',
  length: 'margin-top',
  number: 'flex-grow',
  font: 'font-family',
  duration: 'transition-duration',
};

/** What keeps a token from holding a value of its type, written as it is stored. */
export function tokenReason({ type, value }: { type: PlaceholderType; value: Declared }) {
  return declarationReason(TAKES[type], value);
}

/** A declaration as it goes into a stylesheet. */
export interface WrittenDeclaration {
  readonly property: string;
  readonly width: Width;
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
        const { property, width } = keyParts(key);
        const { css: held, refs } = block[key]!;
        const expanded = expand(property, held, refs);
        const css = expanded.ok ? own(expanded.longhands, property) : undefined;
        if (css === undefined) return [];
        return [{ property, width, declared: refs ? { css, refs } : { css } }];
      });
    written.set(block, list);
  }
  return list;
}
