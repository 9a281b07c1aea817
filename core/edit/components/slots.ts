import { Type } from '@sinclair/typebox';
import { docOf, own, Place, Slot } from '../../model';
import { exact, Id, Label } from '../args';
import { change, changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { componentName } from '../names';

/** Puts a new slot into a definition, at a place of its tree. */
export const addSlot = defineEdit({
  args: Type.Object({ component: Id, slot: Id, made: Slot, node: Id, place: Place }, exact),
  run(documents, { component, slot, made, node, place }) {
    const doc = docOf(documents, 'component', component);
    if (!doc) return gone('The component', component);
    if (own(doc.slots, slot) || own(doc.nodes, node))
      return refuse('The ids given are taken.', component);
    if (place.parent === null || !own(doc.nodes, place.parent))
      return gone('The place where this should stand', component);
    return [
      ...changeTo(documents, component, ['slots', slot], made),
      change(component, `/nodes/${node}`, undefined, { kind: 'slot', place, slot }),
    ];
  },
  says: (documents, { component, made }) =>
    `put the slot ${made.label} into ${componentName(documents, component)}`,
});

/** What of a slot can be set; `null` takes a limit away. */
const SET = Type.Union([
  Type.Object({ label: Label }, exact),
  Type.Object(
    {
      layout: Type.Union([
        Type.Literal('column'),
        Type.Literal('row'),
        Type.Literal('grid'),
        Type.Null(),
      ]),
    },
    exact,
  ),
  Type.Object(
    { most: Type.Union([Type.Integer({ minimum: 1, maximum: 1000 }), Type.Null()]) },
    exact,
  ),
  Type.Object(
    { allows: Type.Union([Type.Record(Id, Type.Literal(true), exact), Type.Null()]) },
    exact,
  ),
]);

export const setSlot = defineEdit({
  args: Type.Object({ component: Id, slot: Id, set: SET }, exact),
  run(documents, { component, slot, set }) {
    const doc = docOf(documents, 'component', component);
    if (!doc || !own(doc.slots, slot)) return gone('The slot', component);
    const [member, value] = Object.entries(set)[0]!;
    return changeTo(documents, component, ['slots', slot, member], value ?? undefined);
  },
  says(documents, { component, slot, set }) {
    const label = own(docOf(documents, 'component', component)?.slots ?? {}, slot)?.label ?? '';
    const member = Object.keys(set)[0]!;
    const what = { label: 'named', layout: 'laid out', most: 'limited', allows: 'limited' }[
      member
    ]!;
    return `${what} the slot ${label} of ${componentName(documents, component)}`;
  },
});
