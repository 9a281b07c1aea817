import { Type } from '@sinclair/typebox';
import { docOf, ComponentDoc } from '../../model';
import { exact, Id } from '../args';
import { change, changeTo } from '../changes';
import { defineEdit, refuse } from '../define';
import { componentName } from '../names';

export const nameComponent = defineEdit({
  args: Type.Object({ component: Id, name: ComponentDoc.properties.name }, exact),
  run(documents, { component, name }) {
    if (!docOf(documents, 'component', component))
      return refuse('The component is gone.', component);
    return changeTo(documents, component, ['name'], name);
  },
  says: (documents, { component, name }) =>
    `renamed ${componentName(documents, component)} to ${name}`,
});

/** Removes a component that nothing places. */
export const removeComponent = defineEdit({
  args: Type.Object({ component: Id }, exact),
  run(documents, { component }) {
    const doc = docOf(documents, 'component', component);
    if (!doc) return refuse('The component is gone.', component);
    return [change(component, '', doc, undefined)];
  },
  says: (documents, { component }) =>
    `removed the component ${componentName(documents, component)}`,
});
