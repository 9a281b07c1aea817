import { Type } from '@sinclair/typebox';
import { docOf, nodeIn, own, Source } from '../../model';
import { exact, Id } from '../args';
import { changeTo } from '../changes';
import { propertyOf } from '../control';
import { defineEdit, refuse } from '../define';
import { componentName } from '../names';

/** Changes what a property gives to every instance that sets nothing. */
export const setDefault = defineEdit({
  args: Type.Object({ component: Id, property: Id, value: Source }, exact),
  run(documents, { component, property, value }) {
    if (!propertyOf(documents, component, property))
      return refuse('The property is gone.', component);
    if (value.is !== 'value') return refuse('A default is a value.', component);
    return changeTo(documents, component, ['properties', property, 'default'], value);
  },
  says: (documents, { component, property }) => {
    const label = propertyOf(documents, component, property)?.label ?? 'a property';
    return `set the default of ${label} of ${componentName(documents, component)}`;
  },
});

/** Lets all follow one instance's value: it becomes the default and is no longer set here. */
export const makeDefault = defineEdit({
  args: Type.Object({ doc: Id, node: Id, property: Id }, exact),
  run(documents, { doc, node, property }) {
    const instance = nodeIn(documents, doc, node);
    if (instance?.kind !== 'instance') return refuse('The instance is gone.', doc);
    const component = docOf(documents, 'component', instance.component);
    const value = own(instance.values, property);
    if (!component || !own(component.properties, property))
      return refuse('The property is gone.', instance.component);
    if (value?.is !== 'value') return refuse('Only a value set here can become the default.', doc);
    const { whenEmpty: _, ...literal } = value;
    return [
      ...changeTo(documents, component.id, ['properties', property, 'default'], literal),
      ...changeTo(documents, doc, ['nodes', node, 'values', property], undefined),
    ];
  },
  says: (documents, { doc, node, property }) => {
    const instance = nodeIn(documents, doc, node);
    const label =
      instance?.kind === 'instance'
        ? propertyOf(documents, instance.component, property)?.label
        : undefined;
    return `made the value of ${label ?? 'a property'} the default`;
  },
});
