import { clipOf, wordsOf, type Clip } from '@sormet/core/carry';
import { nodeName, topmost } from '@sormet/core/edit';
import { childrenOf, placeAt, rootOf, treeDocOf } from '@sormet/core/model';
import { useLatest } from '../../parts/use-latest';
import type { Selected } from '../../ledger/use-selected';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch, useBench } from '../../store/store';
import { componentWords } from '../../words';
import type { BenchAction } from '../actions/bench-action';
import { insideWords } from '../actions/while-inside';
import { placesFor, type Where } from '../go-line/places';
import { askForClip, saveClip } from './clip-files';
import { CLIP_TYPE, keepClip, keptClip } from './kept-clip';
import { useClipboard } from './use-clipboard';
import { usePasting, type Asking } from './use-pasting';

/** Copying, cutting, pasting and duplicating what is selected, in a document, across documents and across sites. */
export function useClip(
  doc: string,
  selected: Selected | undefined,
): { readonly actions: readonly BenchAction[]; readonly asking: Asking | null } {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { selection } = useBench('selection');
  const pasting = usePasting(doc);
  const { asking, placeFor, pasteClip } = pasting;
  const say = (words: string) => dispatch(benchActions.notice(words));

  const copy = (data?: DataTransfer): Clip | undefined => {
    const clip =
      selected && clipOf(documents, sync.site, selected.doc.id, selected.all, selected.entry);
    if (!clip) {
      say('Select something first; then it can be copied.');
      return undefined;
    }
    const written = keepClip(clip);
    data?.setData(CLIP_TYPE, written);
    data?.setData('text/plain', wordsOf(clip));
    return clip;
  };
  const cut = (data?: DataTransfer) => {
    if (selected?.isRoot) return say('The root of a document stays where it is.');
    const clip = copy(data);
    if (!clip || !selected) return;
    const { id, nodes } = selected.doc;
    if (sync.edit({ name: 'remove', args: { doc: id, nodes: topmost(nodes, selected.all) } }))
      dispatch(benchActions.select(null));
  };
  const pasteKept = (where?: Where) => {
    const clip = keptClip();
    if (clip) pasteClip(clip, placeFor(where));
    else say('Nothing has been copied in this browser yet; text and pictures come with Ctrl+V.');
  };
  const latest = useLatest({ pasteClip, placeFor });
  const pasteFile = () =>
    askForClip((clip) => latest.current.pasteClip(clip, latest.current.placeFor()), say);
  const saveAsFile = () => {
    const clip = copy();
    if (clip) saveClip(clip, documents.site.slug);
  };
  const duplicate = () => {
    const clip = selected && clipOf(documents, sync.site, doc, selected.all, selected.entry);
    if (!clip || !selected || selected.doc.id !== doc || selected.isRoot)
      return say(
        selected?.isRoot
          ? 'A document has one root; the page or component as a whole is duplicated in its list.'
          : 'Select something first; then it can be duplicated.',
      );
    const { nodes } = selected.doc;
    const last = clip.roots.at(-1)!;
    const { parent, slot } = nodes[last]!.place;
    const index = childrenOf(nodes).of(parent!, slot).indexOf(last);
    pasteClip(clip, placeAt(nodes, parent!, index + 1, slot));
  };
  const selectAll = () => {
    const tree = treeDocOf(documents, doc)?.nodes;
    if (!tree) return;
    const root = rootOf(tree);
    const at = selected && selected.doc.id === doc && !selected.isRoot ? selected.id : undefined;
    const { parent, slot } = at === undefined ? { parent: root, slot: undefined } : tree[at]!.place;
    const children = childrenOf(tree);
    const nodes = at === undefined ? children.all(root) : children.of(parent!, slot);
    if (nodes.length > 0) dispatch(benchActions.select({ doc, nodes }));
  };

  const inside = selected?.inside && componentWords(documents, selected.component?.id ?? '');
  // What stands inside an instance belongs to its definition: it is copied, not cut, and nothing is pasted there.
  const unlessInside =
    <T>(act: (given: T) => void) =>
    (given: T) =>
      inside ? say(insideWords(inside)) : act(given);
  useClipboard({
    copy,
    cut: unlessInside(cut),
    pasteClip: unlessInside((clip: Clip) => pasteClip(clip, placeFor())),
    pasteFiles: unlessInside(pasting.pasteFiles),
    pasteWords: unlessInside(pasting.pasteWords),
  });

  const offered = selected !== undefined;
  const may = offered && !selected.isRoot;
  const intoName = selected ? nodeName(documents, selected.node, selected.doc) : '';
  const hasInto = () => placesFor(documents, doc, selection).some(({ where }) => where === 'into');
  const about = 'copying';
  const actions: readonly BenchAction[] = [
    { label: 'copy', about, key: 'Ctrl+C', offered, run: () => copy() },
    { label: 'cut', about, key: 'Ctrl+X', offered: may, run: () => cut() },
    { label: 'paste', about, key: 'Ctrl+V', offered, run: () => pasteKept() },
    {
      label: `paste into ${intoName}`,
      about,
      key: '',
      offered: offered && hasInto(),
      run: () => pasteKept('into'),
    },
    { label: 'paste before', about, key: '', offered: may, run: () => pasteKept('before') },
    { label: 'save it as a file', about, key: '', offered, run: saveAsFile },
    { label: 'paste from a file', about, key: '', offered, run: pasteFile },
    { label: 'duplicate', about, key: 'Ctrl+D', keys: ['mod+d'], offered: may, run: duplicate },
    {
      label: 'select all beside it',
      about: 'what is selected',
      key: 'Ctrl+A',
      keys: ['mod+a'],
      offered,
      run: selectAll,
    },
  ];
  return { actions, asking };
}
