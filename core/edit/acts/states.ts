import { Type } from '@sinclair/typebox';
import { docOf, own, repeatsAround, StateOf } from '../../model';
import { say } from '../../said';
import { mayBeState } from '../../value';
import { exact, Id } from '../args';
import { changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';

/** Makes a property of a definition a state, which visitors change; `null`: it stays as it is set. */
export const setState = defineEdit({
  args: Type.Object(
    { component: Id, property: Id, state: Type.Union([StateOf, Type.Null()]) },
    exact,
  ),
  run(documents, { component, property, state }) {
    const made = own(docOf(documents, 'component', component)?.properties ?? {}, property);
    if (!made) return gone('the-property', component);
    if (state && !mayBeState(made.type, state))
      return refuse(say('state-without-end', { label: made.label }), component);
    const among = state?.among;
    if (among !== undefined && made.type.kind === 'number') {
      const doc = docOf(documents, 'component', component)!;
      const isList = own(doc.nodes, among)?.kind === 'repeat';
      if (!isList || repeatsAround(doc, among).length > 0)
        return refuse(say('counts-no-list', { label: made.label }), component);
    }
    return changeTo(documents, component, ['properties', property, 'state'], state ?? undefined);
  },
  told: (documents, { component, property, state }) =>
    say(state ? 'made-state' : 'made-no-state', {
      label: own(docOf(documents, 'component', component)?.properties ?? {}, property)?.label ?? '',
      component: componentName(documents, component),
    }),
});
