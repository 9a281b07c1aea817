import { chainOf, inOrder, own, type ElementNode, type PropertyId, type TreeDoc } from '../model';

/** What is heard of a state that an element changes: whether it is unfolded, or pressed (WAI-ARIA 1.2, `aria-expanded`, `aria-pressed`). */
export interface Heard {
  readonly name: 'aria-expanded' | 'aria-pressed';
  readonly property: PropertyId;
}

/** The states of a definition by which something in it is shown: who changes one, unfolds that. */
export function foldsIn(doc: TreeDoc): ReadonlySet<PropertyId> {
  const found = new Set<PropertyId>();
  if (doc.kind !== 'component') return found;
  const isState = (id: PropertyId) =>
    own(doc.properties, id)?.state !== undefined && doc.properties[id]!.type.kind === 'boolean';
  if (!Object.keys(doc.properties).some(isState)) return found;
  for (const node of Object.values(doc.nodes)) {
    const shown = 'shown' in node ? node.shown : undefined;
    for (const each of shown ? chainOf(shown) : [])
      if (each.is === 'property' && isState(each.property)) found.add(each.property);
  }
  return found;
}

/** What may be heard as unfolded or pressed: what is a button, or is made one (ARIA in HTML, 4; WAI-ARIA 1.2, 5.2.7). */
const HEARD: ReadonlySet<string> = new Set([
  'button',
  'div',
  'span',
  'p',
  'b',
  'i',
  'em',
  'strong',
]);

/** What says the same of an element already. */
const SAID = [
  'aria-expanded',
  'aria-pressed',
  'aria-checked',
  'aria-selected',
  'aria-current',
  'role',
] as const;

/**
 * What is heard by itself of an element that changes a yes or no when it is pressed; nothing where it says something of the
 * kind, or has a role, of which nobody knows here what belongs to it.
 */
export function heardOf(
  doc: TreeDoc,
  { tag, attributes, whens = {} }: ElementNode,
  folds: ReadonlySet<PropertyId>,
): Heard | undefined {
  if (doc.kind !== 'component' || !HEARD.has(tag)) return undefined;
  if (SAID.some((name) => Object.hasOwn(attributes, name))) return undefined;
  for (const [, { on, acts }] of inOrder(whens)) {
    if (on !== 'press') continue;
    for (const [, act] of inOrder(acts)) {
      if (act.do !== 'set' || act.to !== 'other' || !('is' in act.state)) continue;
      const { state } = act;
      if (state.is !== 'property') continue;
      const made = own(doc.properties, state.property);
      if (!made?.state || made.type.kind !== 'boolean') continue;
      const name = folds.has(state.property) ? 'aria-expanded' : 'aria-pressed';
      return { name, property: state.property };
    }
  }
  return undefined;
}
