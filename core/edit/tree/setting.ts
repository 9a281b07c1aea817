import { Type } from '@sinclair/typebox';
import { boundIn, type Documents, nodeIn, Source, type TreeNode } from '../../model';
import { sameTold, say, type Told } from '../../said';
import { keyParts } from '../../style';
import { givenActsRefusal } from '../acts/check-acts';
import { exact, Id } from '../args';
import { applyChanges, type Change, isRefusal, joinChanges, type Refusal } from '../changes';
import { attributeWord, ControlArg, controlType, giveControl, propertyOf } from '../control';
import { defineEdit, gone, refuse } from '../define';
import { named } from '../names';

/** The most controls that are set in one step. */
export const MOST_CONTROLS = 5000;

const OneControl = {
  doc: Id,
  node: Id,
  control: ControlArg,
  source: Type.Union([Source, Type.Null()]),
};

interface Given {
  readonly doc: string;
  readonly node: string;
  readonly control: ControlArg;
  readonly source: Source | null;
}

/** Gives a control a source of its own: a value, a field, a property; `null` takes it away. */
export const setControl = defineEdit({
  args: Type.Object(OneControl, exact),
  run: giving,
  told(documents, { doc, node, control, source }) {
    const stored = nodeIn(documents, doc, node);
    const of = named(documents, doc, node);
    const what = stored ? controlWord(documents, stored, control) : say('a-value');
    if (source === null) return say('took-back-of', { what, of });
    return boundIn(source) ? say('bound-of', { what, of }) : say('set-of', { what, of });
  },
});

/** Gives many controls their sources as one step, each its own; what is set twice is what was said last. */
export const setControls = defineEdit({
  args: Type.Object(
    { set: Type.Array(Type.Object(OneControl, exact), { minItems: 1, maxItems: MOST_CONTROLS }) },
    exact,
  ),
  run(documents, { set }) {
    const last = new Map(
      set.map((given) => [`${given.doc} ${given.node} ${JSON.stringify(given.control)}`, given]),
    );
    const touched = new Set<string>();
    let changes: Change[] = [];
    for (const given of last.values()) {
      const node = `${given.doc} ${given.node}`;
      // What is chosen for a node is one member of it: the second is given on top of the first.
      const isOnTop = given.control.of === 'chosen' && touched.has(node);
      const made = giving(isOnTop ? applyChanges(documents, changes) : documents, given);
      if (isRefusal(made)) return made;
      changes = isOnTop ? joinChanges(changes, made) : [...changes, ...made];
      touched.add(node);
    }
    return changes;
  },
  told(documents, { set }) {
    const [first] = set;
    if (set.length === 1) return setControl.told(documents, first!, () => undefined);
    const words = set.map(({ doc, node, control }) => {
      const stored = nodeIn(documents, doc, node);
      return stored ? controlWord(documents, stored, control) : say('a-value');
    });
    const did = set.every(({ source }) => source === null)
      ? 'took-back'
      : set.every(({ source }) => boundIn(source))
        ? 'bound'
        : 'set';
    const many = set.length;
    return words.every((each) => sameTold(each, words[0]!))
      ? say(`${did}-in-places`, { what: words[0]!, many })
      : say(`${did}-values`, { many });
  },
});

function giving(documents: Documents, { doc, node, control, source }: Given): Change[] | Refusal {
  const stored = nodeIn(documents, doc, node);
  if (!stored) return gone('to-be-set', doc);
  const type = controlType(documents, stored, control);
  if (!type && source !== null) return gone('the-property', doc);
  if (control.of === 'text' && source === null) return refuse(say('text-has-value'), doc);
  const refusal = givenActsRefusal(documents, doc, node, source);
  if (refusal) return refusal;
  return giveControl(documents, doc, node, control, source);
}

function controlWord(documents: Documents, node: TreeNode, control: ControlArg): Told {
  if (control.of === 'attribute')
    return attributeWord(control.name, node.kind === 'element' ? node.tag : '');
  if (control.of === 'chosen') return control.what;
  if (control.of === 'declaration') return keyParts(control.key).property;
  if (control.of !== 'value') return control.of;
  const property =
    node.kind === 'instance' ? propertyOf(documents, node.component, control.property) : undefined;
  return property?.label ?? say('a-property');
}
