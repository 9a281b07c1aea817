import { useMemo } from 'react';
import { doEdit, isRefusal } from '@sormet/core/edit';
import type { Documents } from '@sormet/core/model';
import { emptyComponent, plant, STARTERS } from '@sormet/core/ready';
import { build, Linker, type Built } from '@sormet/core/resolve';
import { dataOf } from '@sormet/core/value';
import { withPictures, type Placeable } from '../../canvas/placing';
import { useDerived } from '../../site/SiteProvider';
import { placeholderPicture } from '../../values/placeholder-picture';

/** What of the shelf is shown, as a document of its own: components are there, what one begins from is made for it. */
export function useShown(placeable: Placeable): { documents: Documents; built: Built } | undefined {
  const { documents, builtOf } = useDerived();
  return useMemo(() => {
    if (placeable.is === 'component') {
      const built = builtOf(placeable.id, undefined);
      return built && { documents, built };
    }
    if (placeable.is === 'slot') return undefined;
    const starter = STARTERS.find(({ key }) => key === placeable.key);
    if (!starter) return undefined;
    const component = emptyComponent('Sections/Picture');
    const { branch, styles, components } = starter.make(documents);
    const { nodes } = plant(branch, { parent: null, order: 'a0' });
    const done = doEdit(documents.with(...styles, ...components), {
      name: 'addComponent',
      args: {
        component: { ...component, nodes: withPictures(nodes, placeholderPicture(documents)) },
      },
    });
    if (isRefusal(done)) return undefined;
    const linked = new Linker().link(done.documents, component.id);
    return {
      documents: done.documents,
      built: build(linked, dataOf(done.documents), undefined),
    };
  }, [documents, builtOf, placeable]);
}
