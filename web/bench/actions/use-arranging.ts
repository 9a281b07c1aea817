import { childrenOf, newId } from '@sormet/core/model';
import type { NamedEdit } from '@sormet/core/edit';
import { useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { keyFor } from '../../store/keymap';
import { useApp, useAppDispatch } from '../../store/store';
import type { Selected } from '../../ledger/use-selected';
import { sentence } from '../../words';
import type { BenchAction } from './bench-action';

/** What is declared, by property; `null` takes it back. */
type Declarations = Readonly<Record<string, string | null>>;

/** Ways of arranging, each as what it declares of what is selected, and of what that stands in. */
const WAYS: readonly {
  readonly label: string;
  readonly declares: Declarations;
  readonly around?: Declarations;
}[] = [
  // What one of them says and another does not is not left behind.
  {
    label: 'stack',
    declares: {
      display: 'flex',
      'flex-direction': 'column',
      'flex-wrap': null,
      'grid-template-columns': null,
    },
  },
  {
    label: 'row',
    declares: {
      display: 'flex',
      'flex-direction': 'row',
      'flex-wrap': 'wrap',
      'grid-template-columns': null,
    },
  },
  {
    label: 'grid',
    declares: {
      display: 'grid',
      'flex-direction': null,
      'flex-wrap': null,
      'grid-template-columns': 'repeat(auto-fit,minmax(min(100%,16rem),1fr))',
    },
  },
  {
    label: 'take the room there is',
    declares: { 'flex-grow': '1', 'flex-basis': '0%', 'align-self': 'stretch', width: '100%' },
  },
  {
    label: 'take only the room it needs',
    declares: {
      'flex-grow': '0',
      'flex-basis': 'auto',
      'align-self': 'start',
      width: 'fit-content',
    },
  },
  {
    label: 'pin to the edges around',
    declares: { position: 'absolute', top: '0', right: '0', bottom: '0', left: '0' },
    around: { position: 'relative' },
  },
  { label: 'ratio 16 to 9', declares: { 'aspect-ratio': '16/9', 'object-fit': 'cover' } },
  { label: 'square', declares: { 'aspect-ratio': '1', 'object-fit': 'cover' } },
  { label: 'first of those beside it', declares: { order: '-1' } },
  { label: 'last of those beside it', declares: { order: '1' } },
];

/** What may be put around things, beside a plain box: an element, with what it declares. */
const WRAPS: readonly { label: string; tag: string; declares?: Declarations }[] = [
  { label: 'a link', tag: 'a' },
  { label: 'a section', tag: 'section' },
  {
    label: 'a grid',
    tag: 'div',
    declares: { ...WAYS.find(({ label }) => label === 'grid')!.declares, gap: '24px' },
  },
  {
    label: 'a row',
    tag: 'div',
    declares: { ...WAYS.find(({ label }) => label === 'row')!.declares, gap: '16px' },
  },
  { label: 'a form', tag: 'form' },
];

/** Arranges what is selected, one thing or several, each way in one step. */
export function useArranging(selected: Selected | undefined): BenchAction[] {
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { keymap, width } = useApp(({ bench }) => bench);
  if (!selected) return [];
  const { doc, id, all, node } = selected;
  const styled = node.kind === 'element' || node.kind === 'instance';
  const arrange = (declares: Declarations, around: Declarations = {}) => {
    const edits = (nodes: string[], declarations: Declarations): NamedEdit[] =>
      Object.entries(declarations).map(([property, css]) => ({
        name: 'declare',
        args: { doc: doc.id, nodes, property, width, css },
      }));
    const parents = [...new Set(all.map((each) => doc.nodes[each]?.place.parent))].filter(
      (each): each is string =>
        typeof each === 'string' && ['element', 'instance'].includes(doc.nodes[each]?.kind ?? ''),
    );
    attempt([...edits([...all], declares), ...(parents.length > 0 ? edits(parents, around) : [])]);
  };
  const attempt = (edits: readonly NamedEdit[], then: () => void = () => undefined) => {
    const refusal = sync.attemptAll(edits, { group: `arrange ${newId()}` });
    if (refusal) dispatch(benchActions.notice(sentence(refusal.refused)));
    else then();
  };
  const wrap = (tag: string, declares: Declarations = {}) => {
    const box = newId();
    const edits: NamedEdit[] = Object.entries(declares).map(([property, css]) => ({
      name: 'declare',
      args: { doc: doc.id, nodes: [box], property, width: 'base', css },
    }));
    attempt([{ name: 'wrap', args: { doc: doc.id, nodes: [...all], box, tag } }, ...edits], () =>
      dispatch(benchActions.select({ doc: doc.id, nodes: [box] })),
    );
  };
  const unwrap = () => {
    const inside = childrenOf(doc.nodes).of(id);
    attempt([{ name: 'unwrap', args: { doc: doc.id, node: id } }], () =>
      dispatch(benchActions.select(inside.length > 0 ? { doc: doc.id, nodes: inside } : null)),
    );
  };
  const key = (does: 'wrap' | 'unwrap') => (keymap.on ? keyFor(keymap, does) : '');
  return [
    {
      label: all.length > 1 ? 'wrap them in one box' : 'wrap in a box',
      about: 'moving',
      does: 'wrap',
      key: key('wrap'),
      offered: !selected.isRoot,
      run: () => wrap('div'),
    },
    ...WRAPS.map(({ label, tag, declares }): BenchAction => ({
      label: `wrap in: ${label}`,
      about: 'moving',
      under: 'wrap in:',
      key: '',
      offered: !selected.isRoot,
      run: () => wrap(tag, declares),
    })),
    {
      label: 'unwrap: take the box away',
      about: 'moving',
      does: 'unwrap',
      key: key('unwrap'),
      offered: node.kind === 'element' && !selected.isRoot && all.length === 1,
      run: unwrap,
    },
    ...WAYS.map(({ label, declares, around }): BenchAction => ({
      label: `arrange: ${label}`,
      about: 'moving',
      under: 'arrange:',
      key: '',
      offered: styled,
      run: () => arrange(declares, around),
    })),
  ];
}
