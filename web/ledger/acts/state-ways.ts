import {
  inOrder,
  literal,
  nodeIn,
  own,
  docOf,
  writtenIn,
  type Documents,
  type NodeId,
  type Property,
  type SetAct,
  type TreeDoc,
  type Typed,
} from '@sormet/core/model';
import { shortName, stateOf } from '@sormet/core/edit';
import { valuesOfState } from '@sormet/core/value';
import { valueWords } from '../../words';

/** A state that acts of a place may set: how it is chosen, and the property that it is. */
export interface StateChoice {
  readonly value: string;
  readonly label: string;
  readonly state: SetAct['state'];
  readonly property: Property;
}

/** The states that acts can set where a node stands: those of its definition, and those of what is around that are open to it. */
export function statesFor(documents: Documents, doc: TreeDoc, node: NodeId): StateChoice[] {
  const found: StateChoice[] = [];
  if (doc.kind === 'component')
    for (const [id, property] of inOrder(doc.properties))
      if (property.state)
        found.push({
          value: keyOfState({ is: 'property', property: id }),
          label: property.label,
          state: { is: 'property', property: id },
          property,
        });
  const seen = new Set<string>();
  for (let at = own(doc.nodes, node); at; at = own(doc.nodes, at.place.parent ?? '')) {
    if (at.place.parent === null) break;
    const parent = nodeIn(documents, doc.id, at.place.parent);
    if (parent?.kind !== 'instance' || seen.has(parent.component)) continue;
    seen.add(parent.component);
    const component = docOf(documents, 'component', parent.component);
    for (const [id, property] of inOrder(component?.properties ?? {}))
      if (property.state?.open) {
        const state = { component: parent.component, property: id };
        const label = `${shortName(component!.name)} · ${property.label.toLowerCase()}`;
        found.push({ value: keyOfState(state), label, state, property });
      }
  }
  return found;
}

/** What tells states apart that acts may set. */
export function keyOfState(state: SetAct['state']): string {
  if (!('is' in state)) return `${state.component} ${state.property}`;
  return state.is === 'property' ? state.property : '';
}

/** How a state is called that an act sets. */
export function stateLabel(
  documents: Documents,
  doc: TreeDoc,
  state: SetAct['state'],
): string | undefined {
  const property = stateOf(documents, doc.id, state);
  if (!property?.state) return undefined;
  if ('is' in state) return property.label;
  const component = docOf(documents, 'component', state.component);
  return `${shortName(component?.name ?? '')} · ${property.label.toLowerCase()}`;
}

/** Somewhere a state can be set to. */
export interface Way {
  readonly key: string;
  readonly to: SetAct['to'];
  readonly words: string;
}

/** Everywhere a state can be set to: of two the other, else the next and the one before; each that it can be; what was answered. */
export function waysOf(documents: Documents, { type, state }: Property): Way[] {
  const going: Way[] =
    type.kind === 'boolean'
      ? [{ key: 'other', to: 'other', words: 'the other of yes and no' }]
      : type.kind === 'text'
        ? []
        : [
            { key: 'next', to: 'next', words: 'the next' },
            { key: 'before', to: 'before', words: 'the one before' },
          ];
  const values = (state && valuesOfState(type, state)) ?? [];
  return [
    ...going,
    ...values.map((value): Way => {
      const to = { value: literal(value) };
      return { key: keyOfTo(to), to, words: wordsOf(type, value, documents) };
    }),
  ];
}

/** What tells apart where a state is set to. */
export function keyOfTo(to: SetAct['to']): string {
  if (typeof to === 'string') return to;
  if ('answer' in to) return 'answer';
  if ('field' in to) return 'field';
  const value = writtenIn(to.value);
  return value ? `${value.type} ${JSON.stringify(value.value)}` : 'source';
}

function wordsOf(type: Property['type'], value: Typed, documents: Documents): string {
  if (type.kind === 'choice' && typeof value.value === 'string')
    return own(type.options, value.value)?.label ?? '';
  return valueWords(documents, value);
}
