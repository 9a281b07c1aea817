import { Type } from '@sinclair/typebox';
import {
  type Block,
  chainOf,
  type ComponentDoc,
  docOf,
  type Documents,
  inOrder,
  type InstanceNode,
  type NodeId,
  own,
  repeatRead,
  type PropertyId,
  type Source,
  type TreeDoc,
  treeDocOf,
  withDescendants,
} from '../../model';
import { say } from '../../said';
import { keyParts } from '../../style';
import { feeds } from '../../value';
import { exact, Id } from '../args';
import { changeTo, isRefusal } from '../changes';
import { type ControlRow, controlsOf } from '../control';
import { defineEdit, gone, refuse } from '../define';
import { componentName, named, nodeName } from '../names';
import { remove } from '../tree/placing';

/** What an element would fill of a component, and what of it has no place there. */
export interface ElementMatching {
  readonly values: Readonly<Record<PropertyId, Source>>;
  /** What goes where, in words: the control of the element, the label of the property. */
  readonly goes: readonly (readonly [from: string, to: string])[];
  /** In words what is said of the element and has no place in the component. */
  readonly unmatched: readonly string[];
}

/** The controls whose values people see: words, links and pictures. */
function isContent({ control, source }: ControlRow): boolean {
  const isSeen =
    control.of === 'text' ||
    control.of === 'value' ||
    (control.of === 'attribute' && ['href', 'src', 'alt'].includes(control.name));
  return isSeen && source !== undefined && !(source.is === 'value' && isNothing(source.value));
}

function isNothing(value: unknown): boolean {
  return value === null || value === '';
}

/**
 * How the words, links and pictures of an element with all it holds would fill a component: what is called alike first,
 * else what holds the same kind, else what is read as it, each in the order of the screen.
 */
export function elementMatching(
  documents: Documents,
  doc: TreeDoc,
  node: NodeId,
  to: ComponentDoc,
): ElementMatching {
  const inside = new Set(withDescendants(doc.nodes, node));
  // What is read of a repeat that goes with the element is read of nothing afterwards.
  const stays = (source: Source) =>
    chainOf(source).every((each) => {
      const repeat = repeatRead(each);
      return repeat === undefined || !inside.has(repeat);
    });
  const left = controlsOf(documents, doc, node).filter(
    (row) => isContent(row) && stays(row.source!),
  );
  const free = new Map(inOrder(to.properties));
  const values: Record<PropertyId, Source> = {};
  const goes: [string, string][] = [];
  const take = (
    fits: (row: ControlRow, label: string, kind: ControlRow['type']['kind']) => boolean,
  ) => {
    for (const row of [...left]) {
      const found = [...free].find(([, { label, type }]) => fits(row, label, type.kind));
      if (!found) continue;
      const [property, { label }] = found;
      values[property] = row.source!;
      goes.push([row.label, label]);
      free.delete(property);
      left.splice(left.indexOf(row), 1);
    }
  };
  const alike = (a: string, b: string) => a.toLowerCase() === b.toLowerCase();
  take((row, label, kind) => feeds(row.type.kind, kind) && alike(row.label, label));
  take((row, label, kind) => feeds(row.type.kind, kind) && alike(row.elementName, label));
  take((row, _, kind) => row.type.kind === kind);
  take((row, _, kind) => feeds(row.type.kind, kind));
  const things = [...inside].flatMap((id) => {
    const { kind } = doc.nodes[id]!;
    return kind === 'slot' || kind === 'repeat' ? [nodeName(documents, doc.nodes[id]!, doc)] : [];
  });
  return { values, goes, unmatched: [...left.map(({ label }) => label), ...things] };
}

/** Declarations by which an element stands in the room it was given: whatever comes in its place has them too. */
const ROOM =
  /^(margin|grid-(area|column|row)|align-self|justify-self|order$|flex(-grow|-shrink|-basis)?$)/;

/** Puts an instance of a component in the place of an element: its words, links and pictures fill what matches, its room stays. */
export const replaceElement = defineEdit({
  args: Type.Object({ doc: Id, node: Id, component: Id, instance: Id }, exact),
  run(documents, { doc, node, component, instance }) {
    const tree = treeDocOf(documents, doc);
    const stored = tree && own(tree.nodes, node);
    if (!tree || !stored) return gone('to-be-replaced', doc);
    if (stored.kind !== 'element') return refuse(say('only-element-replaced'), doc);
    const to = docOf(documents, 'component', component);
    if (!to) return gone('the-component', component);
    if (own(tree.nodes, instance)) return refuse(say('ids-taken'), doc);
    const taken = remove.run(documents, { doc, nodes: [node] }, () => undefined);
    if (isRefusal(taken)) return taken;
    const { place, name, shown } = stored;
    const placed: InstanceNode = {
      kind: 'instance',
      place,
      component,
      values: { ...elementMatching(documents, tree, node, to).values },
      style: roomOf(stored.style),
      ...(name === undefined ? {} : { name }),
      ...(shown === undefined ? {} : { shown }),
    };
    return [...taken, ...changeTo(documents, doc, ['nodes', instance], placed)];
  },
  told: (documents, { doc, node, component }) =>
    say('put-in-place-of', {
      component: componentName(documents, component),
      what: named(documents, doc, node),
    }),
});

function roomOf(style: Block): Block {
  return Object.fromEntries(
    Object.entries(style).filter(([key]) => {
      const { property, state } = keyParts(key);
      return !state && ROOM.test(property);
    }),
  );
}
