import { useState, type ReactNode } from 'react';
import { Button, Input, Switch } from 'antd';
import { Dialog } from './Dialog';
import { useAppDispatch, useBench } from '../store/store';
import { benchActions } from '../store/bench-slice';
import {
  DEFAULT_KEYMAP,
  FIXED_KEYS,
  keepKeymap,
  keyFor,
  SINGLE_KEYS,
  SUBJECTS,
  withKey,
  type Keymap,
  type SingleKey,
} from '../store/keymap';
import { Wrong } from './Wrong';
import './Keys.css';

/** Every key of the bench with what it does; single keys can be changed and turned off. */
export function Keys(): ReactNode {
  const { keys: open, keymap } = useBench('keys', 'keymap');
  const dispatch = useAppDispatch();
  const [reason, setReason] = useState('');
  const set = (next: Keymap) => {
    dispatch(benchActions.setKeymap(next));
    setReason(
      keepKeymap(next) ? '' : 'This browser keeps nothing: it holds until the window closes.',
    );
  };
  const change = (does: SingleKey, typed: string) => {
    const next = withKey(keymap, does, typed);
    if ('keymap' in next) set(next.keymap);
    else setReason(next.reason);
  };
  return (
    <Dialog
      open={open}
      title="Keys"
      footer={null}
      onCancel={() => {
        setReason('');
        dispatch(benchActions.showKeys(false));
      }}
      width={720}
    >
      <div className="keys-head">
        <label>
          <Switch
            size="small"
            checked={keymap.on}
            aria-label="Single keys"
            onChange={(on) => set({ ...keymap, on })}
          />{' '}
          Single keys {keymap.on ? 'work when no field has the focus' : 'are off'}
        </label>
        <Button
          size="small"
          disabled={Object.keys(keymap.changed).length === 0}
          onClick={() => set({ ...DEFAULT_KEYMAP, on: keymap.on })}
        >
          All keys as they came
        </Button>
      </div>
      <Wrong as="p" words={reason} />
      {SUBJECTS.map((subject) => (
        <section key={subject} aria-label={subject}>
          <h3 className="keys-subject">{subject}</h3>
          <dl className="keys">
            {SINGLE_KEYS.filter(({ about }) => about === subject).map(({ does, words }) => (
              <div key={does}>
                <dt>
                  <Input
                    size="small"
                    className="key-cap"
                    aria-label={`Key for: ${words}`}
                    value={keyFor(keymap, does)}
                    disabled={!keymap.on}
                    onFocus={({ target }) => target.select()}
                    onChange={({ target }) => {
                      const typed = target.value.replace(keyFor(keymap, does), '');
                      if (typed !== '') change(does, typed);
                    }}
                  />
                </dt>
                <dd>{words}</dd>
              </div>
            ))}
            {FIXED_KEYS.filter(([, , about]) => about === subject).map(([key, does]) => (
              <div key={key}>
                <dt>
                  <kbd>{key}</kbd>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </Dialog>
  );
}
