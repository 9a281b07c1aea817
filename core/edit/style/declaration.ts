import { Type } from '@sinclair/typebox';
import {
  own,
  STATES,
  type Block,
  type Documents,
  type PlaceholderType,
  type Ref,
  type State,
} from '../../model';
import { declarationKey, expand, longhandsOf, refsIn, withParts } from '../../style';
import { exact, Id } from '../args';
import { type Change, changeTo } from '../changes';
import { gone, refuse } from '../define';

/** A property with its value at one width and in one state; `null` takes it back. */
export const DECLARATION = {
  property: Type.String({ maxLength: 60 }),
  width: Type.String({ maxLength: 40 }),
  state: Type.Optional(Type.Union(STATES.map((state) => Type.Literal(state)))),
  css: Type.Union([Type.String({ maxLength: 500 }), Type.Null()]),
  /** The tokens that placeholders in the value stand for, by the names of those. */
  tokens: Type.Optional(Type.Record(Id, Id, { ...exact, maxProperties: 20 })),
};

interface Declaring {
  readonly property: string;
  readonly width: string;
  readonly state?: State;
  readonly css: string | null;
  readonly tokens?: Readonly<Record<string, string>>;
}

/** What placeholders stand for that name tokens, or the name of one that names none. */
export function refsOfTokens(
  documents: Documents,
  names: Readonly<Record<string, string>> = {},
): Record<string, Ref> | string {
  const refs: Record<string, Ref> = {};
  for (const [name, token] of Object.entries(names)) {
    const type: PlaceholderType | undefined = own(documents.tokens.tokens, token)?.type;
    if (!type) return name;
    refs[name] = { token, type };
  }
  return refs;
}

/** The changes that declare a CSS property in a block, shorthands taken apart; those that take it back for `null`. */
export function declareIn(
  documents: Documents,
  doc: string,
  where: string[],
  block: Block,
  { property, width, state, css, tokens }: Declaring,
) {
  if (css === null) {
    const names = new Set([property, ...(longhandsOf(property) ?? [])]);
    return Object.keys(block)
      .sort()
      .filter((key) => [...names].some((name) => key === declarationKey(name, width, state)))
      .flatMap((key) => changeTo(documents, doc, [...where, key], undefined));
  }
  if (width !== 'base' && !own(documents.site.widths, width))
    return gone('the-width', doc, '/' + where.join('/'));
  // What stands in for a part of the value may be kept, or used again for another property.
  const refs: Record<string, Ref> = {};
  for (const key in block) Object.assign(refs, block[key]!.refs);
  const named = refsOfTokens(documents, tokens);
  if (typeof named === 'string') return gone('the-token', doc);
  Object.assign(refs, named);
  const expanded = expand(property, css, refs);
  if (!expanded.ok) return refuse(expanded.reason, doc, '/' + where.join('/'));
  const parts = withParts(refs);
  return Object.entries(expanded.longhands).flatMap(([longhand, value]): Change[] => {
    const used = refsIn(value, parts);
    const declared = used ? { css: value, refs: used } : { css: value };
    return changeTo(documents, doc, [...where, declarationKey(longhand, width, state)], declared);
  });
}
