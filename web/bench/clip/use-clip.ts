import { useEffect, useState } from 'react';
import {
  clashesOf,
  clipOf,
  fitClip,
  readClip,
  wordsOf,
  type Choices,
  type Clash,
  type Clip,
} from '@sormet/core/carry';
import { nodeName, topmost } from '@sormet/core/edit';
import { plant, type Branch } from '@sormet/core/ready';
import {
  childrenOf,
  newId,
  own,
  placeAt,
  placesFrom,
  rootOf,
  treeDocOf,
  type Place,
} from '@sormet/core/model';
import { useLatest } from '../../parts/use-latest';
import { isCovered } from '../../parts/covering';
import { usePictures } from '../../values/use-pictures';
import { fileBranch, isBroughtIn } from '../../canvas/file-branch';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch, useBench } from '../../store/store';
import type { BenchAction } from '../actions/bench-action';
import { insideWords } from '../actions/while-inside';
import { placesFor, type Where } from '../go-line/places';
import type { Selected } from '../../ledger/use-selected';
import { componentWords, count } from '../../words';
import { clipIn, CLIP_TYPE, keepClip, keptClip } from './kept-clip';

/** The largest file that is read as a clip, in bytes. */
const LARGEST_CLIP = 8_000_000;

/** Copying, cutting, pasting and duplicating what is selected, in a document, across documents and across sites. */
export function useClip(
  doc: string,
  selected: Selected | undefined,
): { readonly actions: readonly BenchAction[]; readonly asking: Asking | null } {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const pictures = usePictures();
  const { selection } = useBench('selection');
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
    if (selected?.isRoot) {
      say('The root of a document stays where it is.');
      return;
    }
    const clip = copy(data);
    if (!clip || !selected) return;
    const { id, nodes } = selected.doc;
    if (sync.edit({ name: 'remove', args: { doc: id, nodes: topmost(nodes, selected.all) } }))
      dispatch(benchActions.select(null));
  };
  /** Where something goes now: as the go line has it, or exactly there. */
  const placeFor = (where?: Where): Place | undefined => {
    const places = placesFor(documents, doc, selection);
    return (where ? places.find((each) => each.where === where) : places[0])?.place;
  };
  const [asking, setAsking] = useState<Asking | null>(null);
  const pasteClip = (clip: Clip, place: Place | undefined, choices?: Choices) => {
    // What comes from another site may be called as something here: whose is taken is asked before anything is done.
    const clashes = clip.site === sync.site || choices ? [] : clashesOf(documents, clip);
    if (clashes.length > 0) {
      setAsking({
        clip,
        clashes,
        decide: (decided) => {
          setAsking(null);
          latest.current.pasteClip(clip, place, decided);
        },
        close: () => setAsking(null),
      });
      return;
    }
    const fitted = place && fitClip(documents, clip, doc, place, newId, choices);
    if (!fitted) {
      say('There is no place for that here.');
      return;
    }
    const { roots, nodes, bring, restyle, tokens, left } = fitted;
    if (roots.length === 0) {
      say(`Nothing of it can stand here: ${left.join('; ')}.`);
      return;
    }
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
      ...(left.length > 0 ? [`left out ${left.join('; ')}`] : []),
    ];
    if (words.length > 0) say(`Pasted; ${words.join('; ')}.`);
  };
  const pasteBranches = (branches: readonly Branch[]) => {
    const place = placeFor();
    const tree = treeDocOf(documents, doc)?.nodes;
    if (!place || !tree) {
      say('There is no place for that here.');
      return;
    }
    const places = placesFrom(tree, place, branches.length);
    const planted = branches.map((branch, i) => plant(branch, places[i]!, newId));
    const roots = planted.map(({ root }) => root);
    const nodes = Object.assign(
      {},
      ...planted.map((each) => each.nodes),
    ) as (typeof planted)[0]['nodes'];
    if (sync.edit({ name: 'paste', args: { doc, roots, nodes, bring: [] } }))
      dispatch(benchActions.select({ doc, nodes: roots }));
  };
  const pasteWords = (words: string) => {
    const place = placeFor();
    const around = place && own(treeDocOf(documents, doc)?.nodes ?? {}, place.parent!);
    const isList = around?.kind === 'element' && /^[uo]l$/.test(around.tag);
    const lines = words
      .replace(/\r\n?/g, '\n')
      .split(isList ? /\n+/ : /\n\s*\n/)
      .map((line) => line.replace(/\s+/g, ' ').trim())
      .filter((line) => line !== '')
      .slice(0, 200);
    if (lines.length > 0)
      pasteBranches(lines.map((line) => ({ tag: isList ? 'li' : 'p', text: line })));
  };
  const pastePictures = async (files: readonly File[]) => {
    const brought = await pictures.bringIn(files);
    if (brought.length > 0) pasteBranches(brought.map(fileBranch));
  };
  const pasteKept = (where?: Where) => {
    const clip = keptClip();
    if (clip) pasteClip(clip, placeFor(where));
    else say('Nothing has been copied in this browser yet; text and pictures come with Ctrl+V.');
  };
  const saveAsFile = () => {
    const clip = copy();
    if (!clip) return;
    const file = new Blob([JSON.stringify(clip, null, 2)], { type: 'application/json' });
    const link = document.createElement('a');
    link.href = URL.createObjectURL(file);
    link.download = `${documents.site.slug}.clip.json`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  const pasteFile = () => {
    const field = document.createElement('input');
    field.type = 'file';
    field.accept = '.json,application/json';
    field.onchange = () => {
      const [file] = field.files ?? [];
      if (!file) return;
      if (file.size > LARGEST_CLIP) {
        say('That file is larger than anything that can be pasted.');
        return;
      }
      void file.text().then((words) => {
        const clip = readClip(words);
        if (clip) latest.current.pasteClip(clip, latest.current.placeFor());
        else say(`${file.name} holds nothing that was copied here: it is no clip of this version.`);
      });
    };
    field.click();
  };
  const duplicate = () => {
    const clip = selected && clipOf(documents, sync.site, doc, selected.all, selected.entry);
    if (!clip || !selected || selected.doc.id !== doc || selected.isRoot) {
      say(
        selected?.isRoot
          ? 'A document has one root; the page or component as a whole is duplicated in its list.'
          : 'Select something first; then it can be duplicated.',
      );
      return;
    }
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

  // What is on the clipboard is only told to whoever hears the event, never asked for.
  const inside = selected?.inside && componentWords(documents, selected.component?.id ?? '');
  const latest = useLatest({
    copy,
    cut,
    pasteClip,
    pasteWords,
    pastePictures,
    placeFor,
    say,
    inside,
  });
  useEffect(() => {
    const mine = (event: ClipboardEvent) =>
      event.clipboardData !== null && !isTyping(event.target) && !isCovered();
    const onCopy = (event: ClipboardEvent) => {
      if (!mine(event) || hasWordsSelected()) return;
      event.preventDefault();
      if (latest.current.inside && event.type === 'cut')
        latest.current.say(insideWords(latest.current.inside));
      else if (event.type === 'cut') latest.current.cut(event.clipboardData!);
      else latest.current.copy(event.clipboardData!);
    };
    const onPaste = (event: ClipboardEvent) => {
      if (!mine(event)) return;
      event.preventDefault();
      if (latest.current.inside) {
        latest.current.say(insideWords(latest.current.inside));
        return;
      }
      const data = event.clipboardData!;
      const clip = clipIn(data);
      const files = [...data.files].filter(isBroughtIn);
      if (clip) latest.current.pasteClip(clip, latest.current.placeFor());
      else if (files.length > 0) void latest.current.pastePictures(files);
      else latest.current.pasteWords(data.getData('text/plain'));
    };
    document.addEventListener('copy', onCopy);
    document.addEventListener('cut', onCopy);
    document.addEventListener('paste', onPaste);
    return () => {
      document.removeEventListener('copy', onCopy);
      document.removeEventListener('cut', onCopy);
      document.removeEventListener('paste', onPaste);
    };
  }, [latest]);

  const offered = selected !== undefined;
  const may = offered && !selected.isRoot;
  const intoName = selected ? nodeName(documents, selected.node, selected.doc) : '';
  const actions: readonly BenchAction[] = [
    { label: 'copy', about: 'copying', key: 'Ctrl+C', offered, run: () => copy() },
    { label: 'cut', about: 'copying', key: 'Ctrl+X', offered: may, run: () => cut() },
    { label: 'paste', about: 'copying', key: 'Ctrl+V', offered, run: () => pasteKept() },
    {
      label: `paste into ${intoName}`,
      about: 'copying',
      key: '',
      offered:
        offered && placesFor(documents, doc, selection).some(({ where }) => where === 'into'),
      run: () => pasteKept('into'),
    },
    {
      label: 'paste before',
      about: 'copying',
      key: '',
      offered: may,
      run: () => pasteKept('before'),
    },
    {
      label: 'save it as a file',
      about: 'copying',
      key: '',
      offered,
      run: saveAsFile,
    },
    { label: 'paste from a file', about: 'copying', key: '', offered, run: pasteFile },
    {
      label: 'duplicate',
      about: 'copying',
      key: 'Ctrl+D',
      keys: ['mod+d'],
      offered: may,
      run: duplicate,
    },
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

/** What is asked before something from another site is pasted. */
export interface Asking {
  readonly clip: Clip;
  readonly clashes: readonly Clash[];
  readonly decide: (choices: Choices) => void;
  readonly close: () => void;
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.closest('input, textarea, select, [contenteditable="true"]') !== null
  );
}

/** Whether words of the interface are selected: those are copied as anywhere. */
function hasWordsSelected(): boolean {
  const words = window.getSelection();
  return words !== null && !words.isCollapsed && words.toString().trim() !== '';
}
