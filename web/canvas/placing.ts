import { newId, type Place, type Tree } from '@sormet/core/model';
import { plant, STARTERS, type Branch } from '@sormet/core/edit';
import { useAppDispatch } from '../store/store';
import { useDerived, useSync } from '../site/SiteProvider';
import { placeholderPicture } from '../values/placeholder-picture';
import { benchActions } from '../store/bench-slice';

/** Something that can be placed: a component, or a ready section or element to begin from. */
export type Placeable =
  | { readonly is: 'component'; readonly id: string }
  | { readonly is: 'starter'; readonly key: string };

/** What a placeable puts into a tree. */
function branchOf(placeable: Placeable): Branch {
  if (placeable.is === 'component') return { component: placeable.id };
  const starter = STARTERS.find(({ key }) => key === placeable.key);
  if (!starter) throw new Error(`There is nothing to begin from named ${placeable.key}.`);
  return starter.branch();
}

/** Gives pictures that nobody has chosen yet something to show. */
function withPictures(nodes: Tree, asset: string | undefined): Tree {
  if (asset === undefined) return nodes;
  const filled: Tree = {};
  for (const [id, node] of Object.entries(nodes)) {
    const src = node.kind === 'element' ? node.attributes['src'] : undefined;
    filled[id] =
      node.kind === 'element' && src?.is === 'value' && src.value === null
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
      const planted = plant(branchOf(placeable), at, newId);
      const { root } = planted;
      const nodes = withPictures(planted.nodes, placeholderPicture(documents));
      if (!sync.edit({ name: 'place', args: { doc, root, nodes } })) return;
      dispatch(benchActions.select({ doc, nodes: [root] }));
      dispatch(benchActions.typeInto({ doc, node: root }));
    },
  };
}
