import { Type } from '@sinclair/typebox';
import { type Block, type Documents, type Ref } from '../../model';
import { declarationKey, expand, longhandsOf, refsIn } from '../../style';
import { type Change, changeTo } from '../changes';
import { refuse } from '../define';

/** A property with its value at one width; `null` takes it back. */
export const DECLARATION = {
  property: Type.String({ maxLength: 60 }),
  width: Type.String({ maxLength: 40 }),
  css: Type.Union([Type.String({ maxLength: 500 }), Type.Null()]),
};

/** The changes that declare a CSS property in a block, shorthands taken apart; those that take it back for `null`. */
export function declareIn(
  documents: Documents,
  doc: string,
  tokens: string[],
  block: Block,
  property: string,
  width: string,
  css: string | null,
) {
  if (css === null) {
    const names = new Set([property, ...(longhandsOf(property) ?? [])]);
    return Object.keys(block)
      .sort()
      .filter((key) => [...names].some((name) => key === declarationKey(name, width)))
      .flatMap((key) => changeTo(documents, doc, [...tokens, key], undefined));
  }
  // What stands in for a part of the value may be kept, or used again for another property.
  const refs: Record<string, Ref> = {};
  for (const key in block) Object.assign(refs, block[key]!.refs);
  const expanded = expand(property, css, refs);
  if (!expanded.ok) return refuse(expanded.reason, doc, '/' + tokens.join('/'));
  return Object.entries(expanded.longhands).flatMap(([longhand, value]): Change[] => {
    const used = refsIn(value, refs);
    const declared = used ? { css: value, refs: used } : { css: value };
    return changeTo(documents, doc, [...tokens, declarationKey(longhand, width)], declared);
  });
}
