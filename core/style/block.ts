import type { Block } from '../model';
import type { Finding } from '../model';
import { pointer } from '../model';
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

/** What keeps the declarations of a block from being CSS longhands with values that fit. */
export function blockFindings(block: Block): Finding[] {
  const findings: Finding[] = [];
  for (const key in block) {
    const { property } = keyParts(key);
    const expanded = expand(property, block[key]!.css);
    if (!expanded.ok) findings.push({ path: pointer(key), reason: expanded.reason });
    else if (!Object.hasOwn(expanded.longhands, property))
      findings.push({ path: pointer(key), reason: `${property} is stored as its longhands` });
  }
  return findings;
}
