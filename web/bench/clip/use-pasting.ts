import { useState } from 'react';
import { clashesOf, fitClip, type Choices, type Clash, type Clip } from '@sormet/core/carry';
import { newId, own, placesFrom, treeDocOf, type Place, type Tree } from '@sormet/core/model';
import { plant, type Branch } from '@sormet/core/ready';
import { fileBranch } from '../../canvas/file-branch';
import { useLatest } from '../../parts/use-latest';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch, useBench } from '../../store/store';
import { usePictures } from '../../values/use-pictures';
import { count, inWords } from '../../words';
import { placesFor, type Where } from '../go-line/places';
import { branchesOfWords } from './pasted-words';

/** What is asked before something from another site is pasted. */
export interface Asking {
  readonly clip: Clip;
  readonly clashes: readonly Clash[];
  readonly decide: (choices: Choices) => void;
  readonly close: () => void;
}

/** Pasting into a document: clips, words and pictures, each as one step. */
export function usePasting(doc: string): {
  readonly asking: Asking | null;
  /** Where something goes now: as the go line has it, or exactly there. */
  readonly placeFor: (where?: Where) => Place | undefined;
  readonly pasteClip: (clip: Clip, place: Place | undefined) => void;
  readonly pasteWords: (words: string) => void;
  readonly pasteFiles: (files: readonly File[]) => void;
} {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const pictures = usePictures();
  const { selection } = useBench('selection');
  const [asking, setAsking] = useState<Asking | null>(null);
  const say = (words: string) => dispatch(benchActions.notice(words));

  const placeFor = (where?: Where): Place | undefined => {
    const places = placesFor(documents, doc, selection);
    return (where ? places.find((each) => each.where === where) : places[0])?.place;
  };
  const pasteClip = (clip: Clip, place: Place | undefined, choices?: Choices) => {
    // What comes from another site may be called as something here: whose is taken is asked before anything is done.
    const clashes = clip.site === sync.site || choices ? [] : clashesOf(documents, clip);
    if (clashes.length > 0)
      return setAsking({
        clip,
        clashes,
        decide: (decided) => {
          setAsking(null);
          latest.current.pasteClip(clip, place, decided);
        },
        close: () => setAsking(null),
      });
    const fitted = place && fitClip(documents, clip, doc, place, newId, choices);
    if (!fitted) return say('There is no place for that here.');
    const { roots, nodes, bring, restyle, tokens, left } = fitted;
    if (roots.length === 0)
      return say(`Nothing of it can stand here: ${left.map(inWords).join('; ')}.`);
    const args = {
      doc,
      roots: [...roots],
      nodes,
      bring: [...bring],
      ...(Object.keys(restyle).length > 0 ? { restyle } : {}),
      ...(Object.keys(tokens).length > 0 ? { tokens } : {}),
    };
    if (!sync.edit({ name: 'paste', args })) return;
    dispatch(benchActions.select({ doc, nodes: roots }));
    const brought = bring.filter(({ kind }) => kind === 'component').length;
    const words = [
      ...(brought > 0 ? [`brought along ${count(brought, 'component')}`] : []),
      ...(left.length > 0 ? [`left out ${left.map(inWords).join('; ')}`] : []),
    ];
    if (words.length > 0) say(`Pasted; ${words.join('; ')}.`);
  };
  const pasteBranches = (branches: readonly Branch[]) => {
    const place = placeFor();
    const tree = treeDocOf(documents, doc)?.nodes;
    if (!place || !tree) return say('There is no place for that here.');
    const places = placesFrom(tree, place, branches.length);
    const planted = branches.map((branch, i) => plant(branch, places[i]!, newId));
    const roots = planted.map(({ root }) => root);
    const nodes = Object.assign({}, ...planted.map((each) => each.nodes)) as Tree;
    if (sync.edit({ name: 'paste', args: { doc, roots, nodes, bring: [] } }))
      dispatch(benchActions.select({ doc, nodes: roots }));
  };
  const pasteWords = (words: string) => {
    const place = placeFor();
    const around = place && own(treeDocOf(documents, doc)?.nodes ?? {}, place.parent!);
    const isInList = around?.kind === 'element' && /^[uo]l$/.test(around.tag);
    const branches = branchesOfWords(words, isInList);
    if (branches.length > 0) pasteBranches(branches);
  };
  const latest = useLatest({ pasteClip, pasteBranches });
  const pasteFiles = (files: readonly File[]) =>
    void pictures.bringIn(files).then((brought) => {
      if (brought.length > 0) latest.current.pasteBranches(brought.map(fileBranch));
    });
  return { asking, placeFor, pasteClip, pasteWords, pasteFiles };
}
