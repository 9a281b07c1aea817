import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { childrenOf, rootOf, type TreeDoc } from '@sormet/core/model';
import { useLatest } from '../../parts/use-latest';
import { innerOf } from '../../canvas/inside';
import { benchActions } from '../../store/bench-slice';
import { wasCovered } from '../../parts/covering';
import { isFieldLost } from '../../parts/lost-field';
import { doneBy } from '../../store/keymap';
import { useAppDispatch, useBench } from '../../store/store';
import type { Selected } from '../../ledger/use-selected';
import type { BenchAction } from './bench-action';

/** What is said in the place of doing what a letter would do that was meant for a field. */
const FIELD_LOST =
  'The field that was typed into is gone; Escape or a click, and keys are commands again.';

const NEVER_AGAIN: readonly unknown[] = [];

/** Binds the keys: single keys when no field has the focus and nothing lies over the bench. */
export function useBenchKeys(
  selected: Selected | undefined,
  actions: readonly BenchAction[],
): void {
  const dispatch = useAppDispatch();
  const { keymap } = useBench('keymap');
  // Read when a key is pressed: bound once, not with every state that typing makes.
  const latest = useLatest({ selected, actions, keymap });

  // Every key is heard here, and the keymap says which does what: the package splits lists of keys at commas.
  useHotkeys(
    '*',
    (event) => {
      const now = latest.current;
      if (event.ctrlKey || event.metaKey || event.altKey || wasCovered()) return;
      const does = doneBy(now.keymap, event.key);
      const run =
        does === 'go'
          ? () => dispatch(benchActions.showGoLine(true))
          : now.actions.find((action) => action.does !== undefined && action.does === does)?.run;
      if (!run) return;
      event.preventDefault();
      if (isFieldLost()) return void dispatch(benchActions.notice(FIELD_LOST));
      run();
    },
    // A radio of the interface takes no letters: after a click on a width the keys go on working.
    { enableOnFormTags: ['radio'] },
    NEVER_AGAIN,
  );
  // The actions are others with each state, their keys never.
  const [listed] = useState(() => actions.flatMap((action) => action.keys ?? []));
  useHotkeys(
    listed,
    (event, { hotkey }) => {
      const now = latest.current;
      if (wasCovered()) return;
      const alone = !event.ctrlKey && !event.metaKey && !event.altKey;
      if (alone && (!now.selected || isWidget(event.target))) return;
      const action = now.actions.find((each) =>
        each.keys?.some((key) => key.toLowerCase() === hotkey.toLowerCase()),
      );
      if (!action) return;
      event.preventDefault();
      if (alone && isFieldLost()) return void dispatch(benchActions.notice(FIELD_LOST));
      action.run();
    },
    // What takes no letters (a choice, a box to tick) keeps no key from the bench: what was done by it is taken back.
    { enableOnFormTags: ['radio', 'input'], ignoreEventWhen: ({ target }) => takesLetters(target) },
    NEVER_AGAIN,
  );
  useHotkeys(
    ['ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight', 'Escape'],
    (event) => {
      const { selected: at } = latest.current;
      if (!at || wasCovered() || event.altKey || isWidget(event.target)) return;
      // In the outline arrows go from row to row, and the selection with them.
      if (event.key !== 'Escape' && isIn(event.target, '[role="tree"]')) return;
      event.preventDefault();
      if (at.inside) {
        const to = event.key === 'Escape' ? undefined : innerNeighbour(at, event.key);
        if (event.key === 'Escape' || to !== undefined)
          dispatch(
            benchActions.select({
              doc: at.doc.id,
              nodes: [at.id],
              ...(to === undefined ? {} : { inside: to }),
            }),
          );
        return;
      }
      const node = neighbour(at.doc, at.id, event.key);
      // Around all of it is the document itself.
      if (event.key === 'Escape' && node === undefined)
        dispatch(benchActions.select({ doc: at.doc.id, nodes: [] }));
      if (node !== undefined) dispatch(benchActions.select({ doc: at.doc.id, nodes: [node] }));
    },
    {},
    NEVER_AGAIN,
  );
}

/** Fields of a form that nobody types into. */
const LETTERLESS = new Set(['checkbox', 'radio', 'range', 'button']);

function takesLetters(target: EventTarget | null): boolean {
  return target instanceof HTMLInputElement && !LETTERLESS.has(target.type);
}

/** Whether a key belongs to a control of the interface rather than to what is selected. */
function isWidget(target: EventTarget | null): boolean {
  return isIn(
    target,
    'button, a, [role="dialog"], [role="slider"], .shelf-item, .ant-select, .suggest, table',
  );
}

function isIn(target: EventTarget | null, selector: string): boolean {
  return target instanceof Element && target.closest(selector) !== null;
}

/** What an arrow key leads to inside an instance: to the sides what is around and what is inside, else from row to row. */
function innerNeighbour({ resolved, doc, inside }: Selected, key: string): string | undefined {
  const all = resolved ? innerOf(resolved, doc.id) : [];
  const at = all.findIndex(({ address }) => address === inside?.address);
  const { depth = 0 } = all[at] ?? {};
  if (key === 'ArrowLeft') return all.slice(0, at).findLast((each) => each.depth < depth)?.address;
  const next = all[at + (key === 'ArrowUp' ? -1 : 1)];
  return key === 'ArrowRight' && (next?.depth ?? 0) <= depth ? undefined : next?.address;
}

/** The node that an arrow key leads to. */
function neighbour(doc: TreeDoc, id: string, key: string): string | undefined {
  const { nodes } = doc;
  const { parent, slot } = nodes[id]!.place;
  if (key === 'ArrowLeft' || key === 'Escape') return parent ?? undefined;
  if (key === 'ArrowRight')
    return childrenOf(nodes)
      .all(id)
      .find((child) => nodes[child]!.kind !== 'text');
  if (parent === null) return rootOf(nodes);
  const siblings = childrenOf(nodes).of(parent, slot);
  return siblings[siblings.indexOf(id) + (key === 'ArrowUp' ? -1 : 1)];
}
