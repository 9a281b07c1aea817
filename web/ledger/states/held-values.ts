import {
  allOf,
  docOf,
  inOrder,
  nodeIn,
  own,
  sameJson,
  type ComponentDoc,
  type Documents,
  type NodeId,
  type Property,
  type StateOf,
  type Typed,
  writtenIn,
} from '@sormet/core/model';
import { valuesOfState } from '@sormet/core/value';
import { valueWords } from '../../words';

/** A value that a state can be held at: how it is chosen. */
export interface HeldChoice {
  readonly value: string;
  readonly label: string;
  readonly typed: Typed;
}

/** What stands for words that nobody knows before a visitor acts. */
const SOME_WORDS: Typed = { type: 'text', value: 'Words that come while it is used' };

/** The values that a state can be held at; of words, that there are some. */
export function heldChoices(
  documents: Documents,
  component: ComponentDoc | undefined,
  { type, state }: Property,
): HeldChoice[] {
  if (!state) return [];
  if (type.kind === 'text') return [{ value: 'words', label: 'some words', typed: SOME_WORDS }];
  const among = component && itemsCounted(documents, component, state);
  return (valuesOfState(type, state, among) ?? []).map((typed) => ({
    value: JSON.stringify(typed.value),
    label:
      type.kind === 'choice'
        ? (own(type.options, typed.value as string)?.label ?? '')
        : valueWords(documents, typed),
    typed,
  }));
}

/**
 * How many items a list shows that a state counts, as far as the definition says it: those of its own list as it is by default,
 * or the entries there are.
 */
function itemsCounted(
  documents: Documents,
  { nodes, properties }: ComponentDoc,
  { among }: StateOf,
): number | undefined {
  const repeat = among === undefined ? undefined : own(nodes, among);
  if (repeat?.kind !== 'repeat') return undefined;
  const { from, limit } = repeat.query;
  const most = limit && writtenIn(limit)?.value;
  const least = (many: number) => Math.min(many, typeof most === 'number' ? most : many);
  if ('type' in from)
    return least(allOf(documents, 'entry').filter(({ type }) => type === from.type).length);
  const list =
    from.list.is === 'property' ? own(properties, from.list.property)?.default : from.list;
  const value = writtenIn(list)?.value;
  return least(Array.isArray(value) ? value.length : 0);
}

/** How a state that is held is said: `Now: waiting`. */
export function heldWords(
  documents: Documents,
  component: ComponentDoc | undefined,
  property: Property,
  value: Typed,
): string {
  const choice = heldChoices(documents, component, property).find(({ typed }) =>
    sameJson(typed, value),
  );
  return `${property.label}: ${choice?.label ?? valueWords(documents, value)}`;
}

/** The states of a definition that are no axes: those are lit among its variants. */
export function statesBeside({ properties }: ComponentDoc): [string, Property][] {
  return inOrder(properties).filter(([, { state, axis }]) => state !== undefined && !axis);
}

/** The definition whose state is held: the one that is looked at, or that of an instance in it. */
export function definitionHeld(
  documents: Documents,
  doc: string,
  node: NodeId | null,
): ComponentDoc | undefined {
  const instance = node === null ? undefined : nodeIn(documents, doc, node);
  const id = node === null ? doc : instance?.kind === 'instance' ? instance.component : '';
  return docOf(documents, 'component', id);
}
