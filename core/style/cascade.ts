import {
  own,
  type Block,
  type Declared,
  type Pseudo,
  type SiteDoc,
  type State,
  type WidthId,
} from '../model';
import { strengthOf, type Level } from './levels';

/** What said a declaration: a tag's style, a theme that begins there, a node (an element's own, or an instance of its root), a shared style on some node, a rule, an instance of a part of its component. */
export type Origin =
  | { is: 'tag'; doc: string; tag: string }
  | { is: 'theme'; doc: string; node: string; theme: string }
  | { is: 'node'; doc: string; node: string }
  | { is: 'shared'; doc: string; on: { doc: string; node: string } }
  | { is: 'rule'; doc: string; rule: string; node: string }
  | { is: 'part'; doc: string; node: string; part: string };

/** A block that applies to an element, at its level of precedence; in a state only where it names one. */
export interface AppliedBlock {
  readonly origin: Origin;
  readonly level: Level;
  readonly block: Block;
  readonly pseudo?: Pseudo;
}

/** A narrower width by id, or the base. */
export type Width = WidthId | 'base';

/** One declaration that applies. */
export interface Applied {
  readonly origin: Origin;
  readonly width: Width;
  /** The state in which it holds; always, without one. */
  readonly state?: State;
  readonly declared: Declared;
}

/** A site's widths as they are applied: the base, then from wide to narrow. */
export function widthsOf(site: SiteDoc): { id: Width; max: number }[] {
  const narrower = Object.entries(site.widths)
    .map(([id, { max }]) => ({ id, max }))
    .sort((a, b) => b.max - a.max || (a.id < b.id ? -1 : 1));
  return [{ id: 'base', max: Infinity }, ...narrower];
}

/** The key of a declaration in a block. */
export function declarationKey(property: string, width: Width, state?: State): string {
  return `${property}${width === 'base' ? '' : `@${width}`}${state ?? ''}`;
}

/** Where a declaration holds: its property, its width, and its state where it has one. */
export interface KeyParts {
  readonly property: string;
  readonly width: Width;
  readonly state?: State;
}

/** The parts of a declaration's key. */
export function keyParts(key: string): KeyParts {
  const colon = key.indexOf(':');
  const [property = '', width = 'base'] = (colon < 0 ? key : key.slice(0, colon)).split('@');
  return colon < 0 ? { property, width } : { property, width, state: key.slice(colon) as State };
}

/** Whether it is a part of an element (its marker, the words of an empty field) that has a look of its own. */
export function isPart(state: State): boolean {
  return state.startsWith('::');
}

/**
 * All declarations of a property that apply to an element at a width, winner first: the higher layer
 * before the lower (CSS Cascading and Inheritance Level 5, 6.4.2), in one layer the narrower width.
 * @param rules weakest first, as `rulesOf` gives them
 * @param at the width looked at; what is set at wider ones holds there too
 * @param states which states the element is in: what is said of others does not apply. A part of it has a look of its
 *   own: what is said of the element itself does not apply to it
 */
export function cascade(
  rules: readonly AppliedBlock[],
  property: string,
  at: Width,
  site: SiteDoc,
  states: readonly State[] = [],
): Applied[] {
  const widths = widthsOf(site);
  const limit = widths.find(({ id }) => id === at)?.max ?? Infinity;
  const holding = widths.filter(({ max }) => max >= limit).reverse();
  const asked: (State | undefined)[] = [...states].sort((a, b) => strengthOf(b) - strengthOf(a));
  if (!states.some(isPart)) asked.push(undefined);
  const found: Applied[] = [];
  for (let i = rules.length - 1; i >= 0; i -= 1) {
    const { block, origin, pseudo } = rules[i]!;
    if (pseudo && !states.includes(pseudo.is)) continue;
    for (const state of asked)
      for (const { id } of holding) {
        const declared = own(block, declarationKey(property, id, state));
        if (declared) found.push({ origin, width: id, ...(state ? { state } : {}), declared });
      }
  }
  return found;
}

/**
 * Every property that any of the rules declares, sorted.
 * @param states the states that hold besides rest; left out, all do
 */
export function declaredProperties(
  rules: readonly AppliedBlock[],
  states?: readonly State[],
): string[] {
  const found = new Set<string>();
  for (const { block } of rules)
    for (const key in block) {
      const { property, state } = keyParts(key);
      if (!states || state === undefined || states.includes(state)) found.add(property);
    }
  return [...found].sort();
}

/** The states in which any of the rules declares something. */
export function declaredStates(rules: readonly AppliedBlock[]): ReadonlySet<State> {
  const found = new Set<State>();
  for (const { block } of rules)
    for (const key in block) {
      const { state } = keyParts(key);
      if (state) found.add(state);
    }
  return found;
}
