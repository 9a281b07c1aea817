import { Type } from '@sinclair/typebox';
import { docOf, isMade, nodeIn, own, rootOf, Source } from '../../model';
import { say } from '../../said';
import { givenActsRefusal } from '../acts/check-acts';
import { exact, Id } from '../args';
import { changeTo } from '../changes';
import { propertyOf } from '../control';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';

/** Changes what a property gives to every instance that sets nothing. */
export const setDefault = defineEdit({
  args: Type.Object({ component: Id, property: Id, value: Source }, exact),
  run(documents, { component, property, value }) {
    const made = propertyOf(documents, component, property);
    if (!made) return gone('the-property', component);
    const isAction = made.type.kind === 'action';
    if (value.is !== 'value' && !isMade(value) && !(value.is === 'acts' && isAction))
      return refuse(say('default-is-a-value'), component);
    const { nodes } = docOf(documents, 'component', component)!;
    const refusal = givenActsRefusal(documents, component, rootOf(nodes), value);
    if (refusal) return refusal;
    return changeTo(documents, component, ['properties', property, 'default'], value);
  },
  told: (documents, { component, property }) => {
    const label = propertyOf(documents, component, property)?.label ?? say('a-property');
    return say('set-default', { property: label, component: componentName(documents, component) });
  },
});

/** Lets all follow one instance's value: it becomes the default and is no longer set here. */
export const makeDefault = defineEdit({
  args: Type.Object({ doc: Id, node: Id, property: Id }, exact),
  run(documents, { doc, node, property }) {
    const instance = nodeIn(documents, doc, node);
    if (instance?.kind !== 'instance') return gone('the-instance', doc);
    const component = docOf(documents, 'component', instance.component);
    const value = own(instance.values, property);
    if (!component || !own(component.properties, property))
      return gone('the-property', instance.component);
    if (value?.is !== 'value') return refuse(say('only-set-value-as-default'), doc);
    const { whenEmpty: _, ...literal } = value;
    return [
      ...changeTo(documents, component.id, ['properties', property, 'default'], literal),
      ...changeTo(documents, doc, ['nodes', node, 'values', property], undefined),
    ];
  },
  told: (documents, { doc, node, property }) => {
    const instance = nodeIn(documents, doc, node);
    const label =
      instance?.kind === 'instance'
        ? propertyOf(documents, instance.component, property)?.label
        : undefined;
    return say('made-default', { property: label ?? say('a-property') });
  },
});
