import { useMemo, useRef, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { AutoComplete, Modal } from 'antd';
import { allOf } from '@sormet/core/model';
import { shortName, STARTERS } from '@sormet/core/edit';
import { useApp, useAppDispatch } from '../store/store';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { nextPlace } from './next-place';
import { usePlacing, type Placeable } from '../canvas/placing';
import './GoLine.css';

interface Option {
  readonly value: string;
  readonly label: ReactNode;
  readonly words: string;
  readonly run: () => void;
}

/** One line to type into: place a thing, go to a page or definition, do something. */
export function GoLine({
  doc,
  actions,
}: {
  doc: string;
  actions: readonly { label: string; key: string; run: () => void }[];
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const placing = usePlacing();
  const { goLine, selection } = useApp((state) => state.bench);
  const [typed, setTyped] = useState('');
  /** What was chosen: done when the line is closed, so that the cursor can go where the action puts it. */
  const next = useRef<(() => void) | null>(null);

  const options = useMemo(() => {
    const found: Option[] = [];
    if (!goLine) return found;
    const add = (verb: string, name: string, run: () => void, note = '') =>
      found.push({
        value: `${verb} ${name}`,
        words: `${verb} ${name} ${note}`.toLowerCase(),
        run,
        label: (
          <span className="go-option">
            <span className="go-verb">{verb}</span>
            <span>{name}</span>
            <span className="go-note">{note}</span>
          </span>
        ),
      });
    const place = (placeable: Placeable) => () => {
      const at = nextPlace(documents, doc, selection);
      if (at) placing.place(doc, placeable, at);
    };
    for (const { id, name } of allOf(documents, 'component'))
      add('place', shortName(name), place({ is: 'component', id }), name);
    for (const { key, label, folder } of STARTERS)
      add('place', label, place({ is: 'starter', key }), folder.toLowerCase());
    for (const page of allOf(documents, 'page'))
      add('go', page.path, () => void navigate(`/sites/${sync.site}/bench/${page.id}`), page.name);
    for (const { id, name } of allOf(documents, 'component'))
      add('go', `definition of ${shortName(name)}`, () => dispatch(benchActions.openBeside(id)));
    for (const { label, key, run } of actions) add('do', label, run, key);
    return found;
  }, [goLine, documents, doc, selection, placing, navigate, sync, dispatch, actions]);

  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  const fitting = options
    .filter((option) => words.every((word) => option.words.includes(word)))
    .slice(0, 30);
  const close = () => {
    dispatch(benchActions.showGoLine(false));
    setTyped('');
  };
  return (
    <Modal
      open={goLine}
      onCancel={close}
      afterClose={() => {
        next.current?.();
        next.current = null;
      }}
      focusable={{ focusTriggerAfterClose: false }}
      footer={null}
      closable={false}
      destroyOnHidden
      width={520}
      title={null}
      className="go-line"
    >
      <AutoComplete
        autoFocus
        defaultActiveFirstOption
        open
        value={typed}
        aria-label="Go line: place, go, do"
        placeholder="place, go, do"
        options={fitting}
        className="go-input"
        onChange={setTyped}
        onSelect={(chosen: string) => {
          next.current = options.find(({ value }) => value === chosen)?.run ?? null;
          close();
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') close();
        }}
        listHeight={360}
      />
    </Modal>
  );
}
