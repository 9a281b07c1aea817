import { Type } from '@sinclair/typebox';
import {
  docOf,
  kindOf,
  own,
  pointer,
  sameJson,
  type ComponentDoc,
  type Documents,
  type Literal,
} from '../../model';
import { sourceAt } from '../../resolve';
import { say } from '../../said';
import { convert, dataOf, feeds } from '../../value';
import { exact, Id } from '../args';
import { applyChanges, change, joinChanges, type Change } from '../changes';
import { ControlArg, controlType, giveControl } from '../control';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';

/** A control of a definition that should be fed by a property. */
interface Connected {
  readonly node: string;
  readonly control: ControlArg;
}

/**
 * What becomes of what a control holds, once a property feeds it: nothing, since it holds nothing or the same; the
 * property takes it as its default, since it has none; or somebody has to say which of the two it is.
 */
export type Connecting =
  | { readonly is: 'same' }
  | { readonly is: 'taken'; readonly held: Literal }
  | { readonly is: 'asked'; readonly held: Literal; readonly byDefault: Literal };

/** What is to be said before controls are connected with a property. @returns nothing when one of them is not there */
export function connecting(
  documents: Documents,
  component: ComponentDoc,
  property: string,
  controls: readonly Connected[],
): Connecting | undefined {
  const made = own(component.properties, property);
  if (!made || made.default.is !== 'value') return undefined;
  let held: Literal | undefined;
  for (const { node, control } of controls) {
    const stored = own(component.nodes, node);
    const type = stored && controlType(documents, stored, control);
    if (!stored || !type) return undefined;
    const said = sourceAt(stored, control);
    if (said?.is !== 'value' || held) continue;
    const { whenEmpty: _, ...stands } = said;
    if (!isNothing(documents, stands)) held = stands;
  }
  const data = dataOf(documents);
  const read = held && convert(held, made.type, data);
  if (!held || !read) return held ? { is: 'asked', held, byDefault: made.default } : { is: 'same' };
  const byDefault = convert(made.default, made.type, data);
  if (!byDefault || isNothing(documents, made.default)) return { is: 'taken', held };
  return sameJson(byDefault.value, read.value)
    ? { is: 'same' }
    : { is: 'asked', held, byDefault: made.default };
}

function isNothing(documents: Documents, { type, value }: Literal): boolean {
  if (value === null || value === '') return true;
  return kindOf(type).isEmpty?.(value, dataOf(documents)) ?? false;
}

/**
 * Feeds controls of a definition from a property that is there already. A property without a default takes what the
 * first of them holds; else the default stays, or is what the control holds, as was said: nothing goes unsaid.
 */
export const connect = defineEdit({
  args: Type.Object(
    {
      component: Id,
      property: Id,
      controls: Type.Array(Type.Object({ node: Id, control: ControlArg }, exact), {
        minItems: 1,
        maxItems: 500,
      }),
      /** What the property has by default from then on, where it has one and the controls hold something else. */
      holds: Type.Union([Type.Literal('what it has'), Type.Literal('what stands there')]),
    },
    exact,
  ),
  run(documents, { component, property, controls, holds }) {
    const doc = docOf(documents, 'component', component);
    const made = doc && own(doc.properties, property);
    if (!doc) return gone('the-component', component);
    if (!made) return gone('the-property', component);
    const found = connecting(documents, doc, property, controls);
    if (!found) return gone('control-to-connect', component);
    let changes: Change[] = [];
    const taken =
      found.is === 'taken' || (found.is === 'asked' && holds === 'what stands there')
        ? found.held
        : undefined;
    if (taken)
      changes.push(
        change(component, pointer('properties', property, 'default'), made.default, taken),
      );
    let state = documents;
    for (const { node, control } of controls) {
      const type = controlType(documents, doc.nodes[node]!, control)!;
      if (!feeds(made.type.kind, type.kind))
        return refuse(
          say('does-not-fit-there', { label: made.label }),
          component,
          pointer('nodes', node),
        );
      // Several may be chosen for one node: each is given on top of those before.
      const given = giveControl(state, component, node, control, { is: 'property', property });
      state = applyChanges(state, given);
      changes = joinChanges(changes, given);
    }
    return changes;
  },
  told(documents, { component, property, controls }) {
    const label = docOf(documents, 'component', component)?.properties[property]?.label;
    const what =
      controls.length === 1 ? say('a-control') : say('controls-counted', { many: controls.length });
    return say('connected', {
      what,
      component: componentName(documents, component),
      property: label ?? say('a-property'),
    });
  },
});
