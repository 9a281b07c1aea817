import { allOf, newId } from '@sormet/core/model';
import { listsAround } from '@sormet/core/edit';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import type { Selected } from '../../ledger/use-selected';
import type { BenchAction } from './bench-action';

/** Repeating what is selected over the entries of a content type, and going back. */
export function useRepeating(selected: Selected | undefined): readonly BenchAction[] {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const say = (words: string) => dispatch(benchActions.notice(words));
  const may =
    selected !== undefined &&
    !selected.isRoot &&
    (selected.node.kind === 'element' || selected.node.kind === 'instance');
  const lists = selected ? listsAround(documents, selected.doc, selected.id) : [];
  const sources = [
    ...lists.map(({ label, source }) => ({ words: label.toLowerCase(), from: { list: source } })),
    ...allOf(documents, 'type').map(({ id: type, plural }) => ({
      words: plural.toLowerCase(),
      from: { type },
    })),
  ];
  const over = sources.map(({ words, from }): BenchAction => ({
    label: `repeat this over ${words}`,
    under: 'repeat this over',
    about: 'what is selected',
    key: '',
    offered: may,
    run: () => {
      if (!selected || !may) {
        say('Select an element or an instance first; it is shown once for each entry.');
        return;
      }
      const repeat = newId();
      const { doc, id: node } = selected;
      if (sync.edit({ name: 'repeatThis', args: { doc: doc.id, node, repeat, ...from } }))
        dispatch(benchActions.select({ doc: doc.id, nodes: [repeat] }));
    },
  }));
  const isRepeat = selected?.node.kind === 'repeat';
  return [
    ...over,
    {
      label: 'repeat no more',
      about: 'what is selected',
      key: '',
      offered: isRepeat,
      run: () => {
        if (!selected || selected.node.kind !== 'repeat') {
          say('Select a repeat first; what it repeats then stands there once.');
          return;
        }
        const { doc, id: node, resolved } = selected;
        const first = resolved?.kind === 'group' ? resolved.children[0] : undefined;
        const entry = first?.kind === 'group' && first.item ? first.item.id : null;
        const { parent } = doc.nodes[node]!.place;
        if (sync.edit({ name: 'repeatNoMore', args: { doc: doc.id, node, entry } }) && parent)
          dispatch(benchActions.select({ doc: doc.id, nodes: [parent] }));
      },
    },
  ];
}
