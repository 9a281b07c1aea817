import {
  docOf,
  inOrder,
  newId,
  orderBetween,
  type ComponentDoc,
  type Documents,
  type Place,
  type Slot,
  type Tree,
} from '@sormet/core/model';
import { doEdit, isRefusal, slotTakes, type NamedEdit } from '@sormet/core/edit';
import { plant, STARTERS, type Started } from '@sormet/core/ready';
import { useAppDispatch } from '../store/store';
import { useDerived, useSync } from '../site/SiteProvider';
import { placeholderPicture } from '../values/placeholder-picture';
import { benchActions } from '../store/bench-slice';
import { rememberChoice } from '../store/recent';
import { sentence } from '../words';

/** Something that can be placed: a component, or a ready section or element to begin from. */
export type Placeable =
  | { readonly is: 'component'; readonly id: string }
  | { readonly is: 'starter'; readonly key: string }
  /** A new slot, in a definition. */
  | { readonly is: 'slot' };

/** What a placeable is known by. */
export function idOf(placeable: Placeable): string {
  if (placeable.is === 'component') return placeable.id;
  return placeable.is === 'starter' ? placeable.key : 'slot';
}

/** What a placeable puts into a tree, with the shared styles that the site lacks for it. */
function startedOf(documents: Documents, placeable: Exclude<Placeable, { is: 'slot' }>): Started {
  if (placeable.is === 'component')
    return { branch: { component: placeable.id }, styles: [], components: [] };
  const starter = STARTERS.find(({ key }) => key === placeable.key);
  if (!starter) throw new Error(`There is nothing to begin from named ${placeable.key}.`);
  return starter.make(documents);
}

/** Whether a slot lets something in that can be placed: what is told where one chooses what to place in it. */
export function fitsSlot(documents: Documents, slot: Slot, placeable: Placeable): boolean {
  if (placeable.is === 'slot') return true;
  const { branch, components } = startedOf(documents, placeable);
  const { root, nodes } = plant(branch, { parent: 'around', order: 'a0' });
  return slotTakes(documents.with(...components), slot, nodes, root);
}

/** A slot after those there are, with a name that none of them has. */
function newSlot({ slots }: ComponentDoc): Slot {
  const taken = new Set(Object.values(slots).map(({ label }) => label));
  let label = taken.size === 0 ? 'content' : 'more content';
  for (let n = 2; taken.has(label); n += 1) label = `more content ${n}`;
  return { label, order: orderBetween(inOrder(slots).at(-1)?.[1].order ?? null, null) };
}

/** Gives pictures that nobody has chosen yet something to show. */
export function withPictures(nodes: Tree, asset: string | undefined): Tree {
  if (asset === undefined) return nodes;
  const filled: Tree = {};
  for (const [id, node] of Object.entries(nodes)) {
    const src = node.kind === 'element' ? node.attributes['src'] : undefined;
    filled[id] =
      node.kind === 'element' && src?.is === 'value' && src.type === 'image' && src.value === null
        ? {
            ...node,
            attributes: {
              ...node.attributes,
              src: { is: 'value', type: 'image', value: { asset } },
            },
          }
        : node;
  }
  return filled;
}

/** Places things; afterwards what was placed is selected and the cursor is in its text. */
export function usePlacing(): {
  place: (doc: string, placeable: Placeable, at: Place) => void;
} {
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { documents } = useDerived();
  return {
    place(doc, placeable, at) {
      rememberChoice(`place ${idOf(placeable)}`);
      const placed = placingEdit(documents, doc, placeable, at);
      if (!placed) {
        dispatch(benchActions.notice('A slot stands in a definition: open one with b first.'));
        return;
      }
      const { edit, node } = placed;
      if (!sync.edit(edit)) return;
      dispatch(benchActions.select({ doc, nodes: [node] }));
      if (placeable.is !== 'slot') dispatch(benchActions.typeInto({ doc, node }));
    },
  };
}

/** The edit that places something, and the node that then stands there; nothing where a slot has no definition to stand in. */
function placingEdit(
  documents: Documents,
  doc: string,
  placeable: Placeable,
  at: Place,
): { edit: NamedEdit; node: string } | undefined {
  if (placeable.is === 'slot') {
    const component = docOf(documents, 'component', doc);
    const node = newId();
    return (
      component && {
        edit: {
          name: 'addSlot',
          args: { component: doc, slot: newId(), made: newSlot(component), node, place: at },
        },
        node,
      }
    );
  }
  const { branch, styles, components } = startedOf(documents, placeable);
  const { root, nodes } = plant(branch, at, newId);
  const filled = withPictures(nodes, placeholderPicture(documents));
  return {
    edit: {
      name: 'place',
      args: {
        doc,
        root,
        nodes: filled,
        ...(styles.length > 0 ? { styles: [...styles] } : {}),
        ...(components.length > 0 ? { components: [...components] } : {}),
      },
    },
    node: root,
  };
}

/** Why something may not stand at a place; nothing where it may. */
export function reasonAgainst(
  documents: Documents,
  doc: string,
  placeable: Placeable,
  at: Place,
): string | undefined {
  const placed = placingEdit(documents, doc, placeable, at);
  if (!placed) return 'A slot stands in a definition.';
  const done = doEdit(documents, placed.edit);
  return isRefusal(done) ? sentence(done.refused) : undefined;
}
