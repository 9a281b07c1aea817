import { Type, type Static } from '@sinclair/typebox';
import { own } from './own';
import type { PlaceholderType } from './tree';

/** What tokens are for, in the order in which people look through them: each with its word and what such a token holds. */
export const TOKEN_GROUPS = {
  colour: { word: 'Colour', type: 'colour' },
  space: { word: 'Space', type: 'length' },
  size: { word: 'Type size', type: 'length' },
  family: { word: 'Family', type: 'font' },
  weight: { word: 'Weight', type: 'number' },
  lineHeight: { word: 'Line height', type: 'number' },
  radius: { word: 'Radius', type: 'length' },
  border: { word: 'Border', type: 'border' },
  shadow: { word: 'Shadow', type: 'shadow' },
  duration: { word: 'Duration', type: 'duration' },
  easing: { word: 'Easing', type: 'easing' },
  stroke: { word: 'Stroke', type: 'line' },
  gradient: { word: 'Gradient', type: 'gradient' },
} as const satisfies Readonly<Record<string, { word: string; type: PlaceholderType }>>;

/** What a token is for, as people look for it: two groups may hold values of one type. */
export const TokenGroup = Type.Union(
  (Object.keys(TOKEN_GROUPS) as (keyof typeof TOKEN_GROUPS)[]).map((group) => Type.Literal(group)),
);
export type TokenGroup = Static<typeof TokenGroup>;

/** What a token is for: what was said, else the first group of its type. */
export function groupOf({
  group,
  type,
}: {
  group?: TokenGroup;
  type: PlaceholderType;
}): TokenGroup {
  if (group !== undefined) return group;
  const groups = Object.keys(TOKEN_GROUPS) as TokenGroup[];
  return groups.find((each) => TOKEN_GROUPS[each].type === type) ?? 'colour';
}

/** The theme in which tokens have the values they were given: a way back inside another. */
export const PLAIN_THEME = 'plain';

/** Whether there is a theme of an id. */
export function isTheme(
  themes: Readonly<Record<string, unknown>> | undefined,
  id: string,
): boolean {
  return id === PLAIN_THEME || own(themes ?? {}, id) !== undefined;
}
