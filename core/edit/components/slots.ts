import { Type } from '@sinclair/typebox';
import { docOf, own, Place, Slot } from '../../model';
import { say } from '../../said';
import { exact, Id, Label } from '../args';
import { change, changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';

/** Puts a new slot into a definition, at a place of its tree. */
export const addSlot = defineEdit({
  args: Type.Object({ component: Id, slot: Id, made: Slot, node: Id, place: Place }, exact),
  run(documents, { component, slot, made, node, place }) {
    const doc = docOf(documents, 'component', component);
    if (!doc) return gone('the-component', component);
    if (own(doc.slots, slot) || own(doc.nodes, node)) return refuse(say('ids-taken'), component);
    if (place.parent === null || !own(doc.nodes, place.parent))
      return gone('place-to-stand', component);
    return [
      ...changeTo(documents, component, ['slots', slot], made),
      change(component, `/nodes/${node}`, undefined, { kind: 'slot', place, slot }),
    ];
  },
  told: (documents, { component, made }) =>
    say('put-slot', { slot: made.label, component: componentName(documents, component) }),
});

/** What of a slot can be set; `null` takes a limit away. */
const SET = Type.Union([
  Type.Object({ label: Label }, exact),
  Type.Object(
    { most: Type.Union([Type.Integer({ minimum: 1, maximum: 1000 }), Type.Null()]) },
    exact,
  ),
  Type.Object(
    { allows: Type.Union([Type.Record(Id, Type.Literal(true), exact), Type.Null()]) },
    exact,
  ),
  Type.Object({ allowsFolders: Type.Union([Slot.properties.allowsFolders, Type.Null()]) }, exact),
  Type.Object({ allowsTags: Type.Union([Slot.properties.allowsTags, Type.Null()]) }, exact),
]);

/** Sets one thing about a slot. What stands in it already stays, also where it would not be let in any more. */
export const setSlot = defineEdit({
  args: Type.Object({ component: Id, slot: Id, set: SET }, exact),
  run(documents, { component, slot, set }) {
    const doc = docOf(documents, 'component', component);
    if (!doc || !own(doc.slots, slot)) return gone('the-slot', component);
    const [member, value] = Object.entries(set)[0]!;
    return changeTo(documents, component, ['slots', slot, member], value ?? undefined);
  },
  told(documents, { component, slot, set }) {
    const label = own(docOf(documents, 'component', component)?.slots ?? {}, slot)?.label ?? '';
    const code = 'label' in set ? 'named-slot' : 'limited-slot';
    return say(code, { slot: label, component: componentName(documents, component) });
  },
});
