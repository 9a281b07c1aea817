import { Type } from '@sinclair/typebox';
import { docOf, ComponentDoc } from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { change, changeTo } from '../changes';
import { defineEdit, gone } from '../define';
import { componentName } from '../names';

/** Names a component, with its folder. Nothing refers to it by its name, so nothing else changes. */
export const nameComponent = defineEdit({
  args: Type.Object({ component: Id, name: ComponentDoc.properties.name }, exact),
  run(documents, { component, name }) {
    if (!docOf(documents, 'component', component)) return gone('the-component', component);
    return changeTo(documents, component, ['name'], name);
  },
  told: (documents, { component, name }) =>
    say('renamed-component', { component: componentName(documents, component), name }),
});

/** Removes a component that nothing places. */
export const removeComponent = defineEdit({
  args: Type.Object({ component: Id }, exact),
  run(documents, { component }) {
    const doc = docOf(documents, 'component', component);
    if (!doc) return gone('the-component', component);
    return [change(component, '', doc, undefined)];
  },
  told: (documents, { component }) =>
    say('removed-component', { component: componentName(documents, component) }),
});
