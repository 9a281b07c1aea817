import type { ReactNode } from 'react';
import { Modal } from 'antd';
import { useApp, useAppDispatch } from '../app/store';
import { benchActions } from './bench-slice';

/** Every key of the bench, with what it does. */
export const KEYS: readonly (readonly [string, string])[] = [
  ['g', 'go line: place, go, do'],
  ['b', 'definition beside the page, open or closed'],
  ['m', 'make component of what is selected'],
  ['e', 'expose the controls of what is selected in a definition'],
  ['x', 'trace: where the values of what is selected come from'],
  ['p', 'preview the page as visitors see it'],
  [', and .', 'narrower and wider'],
  ['[ and ]', 'entry before and after'],
  ['o', 'outline and shelf, folded or open'],
  ['l', 'ledger, folded or open'],
  [
    'Arrow keys',
    'walk the tree: up and down siblings, left to what is around, right to what is inside',
  ],
  ['Enter', 'type into the text of what is selected'],
  ['Escape', 'select what is around; end typing'],
  ['Alt+Up, Alt+Down', 'move what is selected before or behind its neighbour'],
  ['Delete', 'remove what is selected'],
  ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo'],
  ['?', 'this list'],
];

export function Keys(): ReactNode {
  const open = useApp((state) => state.bench.keys);
  const dispatch = useAppDispatch();
  return (
    <Modal
      open={open}
      title="Keys"
      footer={null}
      onCancel={() => dispatch(benchActions.showKeys(false))}
      width={560}
    >
      <dl className="keys">
        {KEYS.map(([key, does]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <p className="quiet">Single keys work when no field has the focus.</p>
    </Modal>
  );
}
