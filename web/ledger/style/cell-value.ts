import { noEffect, themeAt, type Box, type NoEffect } from '@sormet/core/check';
import { groundOf, type Ground } from '@sormet/core/edit';
import { nodeIn, own, type Declared, type Documents, type State } from '@sormet/core/model';
import {
  cascade,
  declarationKey,
  filled,
  type AppliedBlock,
  type Origin,
  type Width,
} from '@sormet/core/style';
import { ruleKey } from '../../canvas/rule-key';
import { valueWords } from '../../words';
import type { Selected } from '../use-selected';
import { joined, ownValue } from './own-value';
import { longhandsOfRow } from './rows';

/** Of what a cell speaks: one row of a rule, at one width and in one state. */
export interface CellPlace {
  readonly selected: Selected;
  readonly rule: AppliedBlock;
  readonly property: string;
  readonly width: Width;
  readonly state: State | undefined;
  /** How the element is laid out there; nothing where that is not known. */
  readonly box: Box | undefined;
}

/** What a rule declares there, and what shows where it does not. */
export interface CellValue {
  /** As somebody would write it; nothing where the rule does not say it. */
  readonly stored: string | undefined;
  /** Whether several are selected that say different things. */
  readonly isMixed: boolean;
  /** What another rule says, where this one is silent. */
  readonly elsewhere: { readonly text: string; readonly origin: Origin } | undefined;
  /** What holds there from a wider width, where nothing is said at this one. */
  readonly fromWider: string | undefined;
  /** The rule that is the stronger, where this one says something in vain. */
  readonly loses: Origin | undefined;
  /** What holds without the rule, where that is of a variant and says something; as somebody would write it. */
  readonly base: string | undefined;
  /** Whether what shows in the state is what is said of rest. */
  readonly isOfRest: boolean;
  /** The colour that shows, with every token filled in. */
  readonly colour: string | undefined;
  /** What the rule declares, where that is written out and could become a token. */
  readonly literal: Declared | undefined;
  /** The picture behind, in the row of those. */
  readonly ground: Ground | undefined;
  /** Why what the rule says there changes nothing, and what would mend it. */
  readonly inVain: NoEffect | undefined;
  /** What shows of another property there, as CSS. */
  readonly said: (property: string) => string | undefined;
}

export function cellValue(place: CellPlace, documents: Documents): CellValue {
  const { selected, rule, property, width, state } = place;
  const {
    site,
    tokens: { tokens },
  } = documents;
  const stored = ownValue(rule, property, width, state, tokens);
  const names = longhandsOfRow(property);
  const winnerOf = (name: string) =>
    cascade(selected.rules, name, width, site, state ? [state] : [])[0];
  const applied = names.map(winnerOf);
  const winner = applied.find(Boolean);
  const holdsHere = winner?.width === width;
  const declared = holdsHere || stored !== undefined ? winner?.declared : undefined;
  const values = applied.map((each) => each?.declared);
  return {
    stored,
    isMixed: isMixed(place, documents),
    elsewhere:
      stored === undefined && winner && holdsHere
        ? { text: joined(property, values, tokens), origin: winner.origin }
        : undefined,
    fromWider:
      stored === undefined && winner && !holdsHere ? joined(property, values, tokens) : undefined,
    loses:
      stored !== undefined && winner && ruleKey(winner.origin) !== ruleKey(rule.origin)
        ? winner.origin
        : undefined,
    base: stored !== undefined && rule.origin.is === 'rule' ? without(place, documents) : undefined,
    isOfRest: winner?.state === undefined,
    colour:
      isColour(property) && declared
        ? filled(declared, tokens, valuesIn(selected, documents))
        : undefined,
    literal: names
      .map((name) => own(rule.block, declarationKey(name, width, state)))
      .find((each) => each && !each.refs),
    ground:
      property === 'background-image'
        ? groundOf(own(rule.block, declarationKey(property, width, state)))
        : undefined,
    inVain: stored === undefined ? undefined : inVain(place),
    said: (name) => winnerOf(name)?.declared.css,
  };
}

/** What shows where a rule is silent about a property. */
function without(
  { selected, rule, property, width, state }: CellPlace,
  { site, tokens: { tokens } }: Documents,
): string {
  const others = selected.rules.filter(({ origin }) => ruleKey(origin) !== ruleKey(rule.origin));
  const values = longhandsOfRow(property).map(
    (name) => cascade(others, name, width, site, state ? [state] : [])[0]?.declared,
  );
  return values.some(Boolean) ? joined(property, values, tokens) : 'nothing';
}

/** What is said so that there be nothing. */
const NOTHING = /^(auto|none|normal|static|visible|initial|unset|revert|0(px|%)?)$/;

/** Why nothing changes by what a rule says in a row: only where that is so for each longhand of it that is said. */
function inVain({ rule, property, width, state, box }: CellPlace): NoEffect | undefined {
  // What other elements wear, too, may well have an effect on those.
  if (!box || rule.origin.is === 'tag' || rule.origin.is === 'shared') return undefined;
  const said = longhandsOfRow(property).filter((name) => {
    const css = own(rule.block, declarationKey(name, width, state))?.css;
    return css !== undefined && !NOTHING.test(css);
  });
  if (said.length === 0) return undefined;
  const all = said.map((name) => noEffect(name, box));
  return all.every((each) => each !== undefined) ? all[0] : undefined;
}

/** Whether a property takes a colour and nothing else. */
export function isColour(property: string): boolean {
  return /(^|-)color$/.test(property);
}

/** The picture behind in words: what gives it, and that a veil lies over it. */
export function groundWords({ source, veil }: Ground, documents: Documents): string {
  const what =
    source.is === 'value'
      ? valueWords(documents, source)
      : source.is === 'property'
        ? 'a property’s picture'
        : 'a picture of content';
  return veil === null ? what : `${what}, under a veil`;
}

/** What the theme in which an element stands makes of tokens: the nearest that begins at it, or around it. */
function valuesIn({ built, element }: Selected, documents: Documents): Record<string, Declared> {
  const theme = built && element ? themeAt(documents, built, element) : undefined;
  return (theme === undefined ? undefined : documents.tokens.themes?.[theme]?.values) ?? {};
}

/** Whether the things that are selected, and written together, declare something different. */
function isMixed(
  { selected, rule: { origin }, property, width, state }: CellPlace,
  documents: Documents,
): boolean {
  if (selected.count < 2 || origin.is !== 'node' || !selected.all.includes(origin.node))
    return false;
  const values = selected.all.map((id) => {
    const node = nodeIn(documents, selected.doc.id, id);
    const block = node?.kind === 'element' || node?.kind === 'instance' ? node.style : {};
    return longhandsOfRow(property)
      .map((name) => own(block, declarationKey(name, width, state))?.css ?? '')
      .join(' ');
  });
  return new Set(values).size > 1;
}
