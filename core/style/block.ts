import { own, pointer, type Block, type Finding } from '../model';
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
function declarationReason(key: string, css: string): string | undefined {
  const { property } = keyParts(key);
  const expanded = expand(property, css);
  if (!expanded.ok) return expanded.reason;
  const written = own(expanded.longhands, property);
  if (written === undefined) return `${property} is stored as its longhands`;
  return written === css ? undefined : `“${css}” is stored as “${written}”`;
}

/** What keeps the declarations of a block from being CSS longhands with values that fit. */
export function blockFindings(block: Block): Finding[] {
  const findings: Finding[] = [];
  for (const key in block) {
    const reason = declarationReason(key, block[key]!.css);
    if (reason !== undefined) findings.push({ path: pointer(key), reason });
  }
  return findings;
}

/** A declaration as it goes into a stylesheet. */
export interface WrittenDeclaration {
  readonly property: string;
  readonly width: Width;
  readonly css: string;
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
        const expanded = expand(property, block[key]!.css);
        const css = expanded.ok ? own(expanded.longhands, property) : undefined;
        return css === undefined ? [] : [{ property, width, css }];
      });
    written.set(block, list);
  }
  return list;
}
