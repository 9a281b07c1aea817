import { Type } from '@sinclair/typebox';
import {
  Act,
  ActsWhen,
  docOf,
  nodeIn,
  own,
  type ActsWhen as When,
  type Documents,
  type ElementNode,
} from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { changeTo, isRefusal, type Refusal } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { named } from '../names';

/** How many things one element may answer to, and how many acts it may do each time. */
const MOST_WHENS = 20;
const MOST_ACTS = 40;

/** Has an element of a definition do something when something happens to it, at first nothing; `null`: not any more. */
export const setWhen = defineEdit({
  args: Type.Object(
    {
      component: Id,
      node: Id,
      when: Id,
      set: Type.Union([Type.Pick(ActsWhen, ['order', 'on'], exact), Type.Null()]),
    },
    exact,
  ),
  run(documents, { component, node, when, set }) {
    const element = actingElement(documents, component, node);
    if (isRefusal(element)) return element;
    const before = own(element.whens ?? {}, when);
    const { [when]: _, ...others } = element.whens ?? {};
    if (!set) {
      const left = Object.keys(others).length === 0 ? undefined : others;
      return before ? changeTo(documents, component, ['nodes', node, 'whens'], left) : [];
    }
    if (!before && Object.keys(others).length >= MOST_WHENS)
      return refuse(say('does-enough', { many: MOST_WHENS }), component);
    const made: When = { ...set, acts: before?.acts ?? {} };
    return element.whens
      ? changeTo(documents, component, ['nodes', node, 'whens', when], made)
      : changeTo(documents, component, ['nodes', node, 'whens'], { [when]: made });
  },
  told: (documents, { component, node, set }) =>
    say(set ? 'does-something' : 'does-no-more', { what: named(documents, component, node) }),
});

/** Says one act of what an element does; `null`: it is not done any more. */
export const setAct = defineEdit({
  args: Type.Object(
    { component: Id, node: Id, when: Id, act: Id, set: Type.Union([Act, Type.Null()]) },
    exact,
  ),
  run(documents, { component, node, when, act, set }) {
    const element = actingElement(documents, component, node);
    if (isRefusal(element)) return element;
    const held = own(element.whens ?? {}, when);
    if (!held) return gone('what-it-does', component);
    if (set) {
      const { set: state } = set;
      const properties = docOf(documents, 'component', component)!.properties;
      const property =
        state.is === 'property' && state.path === undefined
          ? own(properties, state.property)
          : undefined;
      if (!property?.state) return refuse(say('sets-no-state'), component);
      if (set.to === 'other' && property.type.kind !== 'boolean')
        return refuse(say('other-of-two', { label: property.label }), component);
      if (!own(held.acts, act) && Object.keys(held.acts).length >= MOST_ACTS)
        return refuse(say('does-enough', { many: MOST_ACTS }), component);
    }
    const where = ['nodes', node, 'whens', when, 'acts', act];
    return changeTo(documents, component, where, set ?? undefined);
  },
  told: (documents, { component, node, set }) =>
    say(set ? 'set-act' : 'took-act', { what: named(documents, component, node) }),
});

/** The element of a definition that does something: only in a definition there are states, and only elements are pressed. */
function actingElement(
  documents: Documents,
  component: string,
  node: string,
): ElementNode | Refusal {
  if (!docOf(documents, 'component', component)) return gone('the-component', component);
  const stored = nodeIn(documents, component, node);
  if (!stored) return gone('the-element', component);
  return stored.kind === 'element' ? stored : refuse(say('only-elements-act'), component);
}
