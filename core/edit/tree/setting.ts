import { Type } from '@sinclair/typebox';
import { type Documents, nodeIn, Source, type TreeNode } from '../../model';
import { keyParts } from '../../style';
import { exact, Id } from '../args';
import { attributeWord, ControlArg, controlType, giveControl, propertyOf } from '../control';
import { defineEdit, gone, refuse } from '../define';
import { named } from '../names';

/** Gives a control a source of its own: a value, a field, a property; `null` takes it away. */
export const setControl = defineEdit({
  args: Type.Object(
    { doc: Id, node: Id, control: ControlArg, source: Type.Union([Source, Type.Null()]) },
    exact,
  ),
  run(documents, { doc, node, control, source }) {
    const stored = nodeIn(documents, doc, node);
    if (!stored) return gone('What should be set', doc);
    const type = controlType(documents, stored, control);
    if (!type && source !== null) return gone('The property', doc);
    if (control.of === 'text' && source === null) return refuse('A text always has a value.', doc);
    return giveControl(documents, doc, node, control, source);
  },
  says(documents, { doc, node, control, source }) {
    const stored = nodeIn(documents, doc, node);
    const of = named(documents, doc, node);
    const what = stored ? controlWord(documents, stored, control) : 'a value';
    if (source === null) return `took back ${what} of ${of}`;
    return source.is === 'field' ? `bound ${what} of ${of}` : `set ${what} of ${of}`;
  },
});

function controlWord(documents: Documents, node: TreeNode, control: ControlArg): string {
  if (control.of === 'attribute') return attributeWord(control.name);
  if (control.of === 'chosen') return control.what;
  if (control.of === 'declaration') return keyParts(control.key).property;
  if (control.of !== 'value') return control.of;
  const property =
    node.kind === 'instance' ? propertyOf(documents, node.component, control.property) : undefined;
  return property?.label ?? 'a property';
}
