import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Button } from 'antd';
import { X } from 'lucide-react';
import { pathOf, type EntryDoc, type TreeDoc } from '@sormet/core/model';
import type { Told } from '../../frame/told';
import { useTold } from '../../frame/use-told';
import { IconButton } from '../../parts/IconButton';
import { useDerived } from '../../site/SiteProvider';
import { useSummary } from '../../site/use-summary';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch, useSite } from '../../store/store';
import { toldWordsOf } from './told-words';
import './TryPane.css';

/** How much of what happened is kept: beyond that the oldest goes. */
const MOST_TOLD = 200;

/** What is open, as visitors use it, with what happened and why. Nothing runs on the canvas. */
export function TryPane({ doc, entry }: { doc: TreeDoc; entry: EntryDoc | undefined }): ReactNode {
  const { pending, revision } = useSite('pending', 'revision');
  const summary = useSummary();
  const dispatch = useAppDispatch();
  const [begun, setBegun] = useState(0);
  const [told, setTold] = useState<readonly Told[]>([]);
  const frame = useRef<HTMLIFrameElement>(null);
  const key = `${revision} ${begun}`;
  const [shown, setShown] = useState(key);
  if (shown !== key) {
    setShown(key);
    setTold([]);
  }
  useTold(
    frame,
    (next) => setTold((all) => [...all, next].slice(-MOST_TOLD)),
    (pressed) =>
      document.dispatchEvent(new KeyboardEvent('keydown', { key: pressed, bubbles: true })),
  );
  const path = doc.kind === 'page' ? pathOf(doc, entry) : `/component:${doc.id}`;
  return (
    <div className="pane pane-try" role="region" aria-label="Try">
      <div className="pane-head">
        <span>Try</span>
        <span className="quiet">here presses work</span>
        <Button size="small" onClick={() => setBegun(begun + 1)}>
          Begin again
        </Button>
        <IconButton
          icon={X}
          name="Close what is tried"
          title="Close what is tried"
          onPress={() => dispatch(benchActions.tryIt(false))}
        />
      </div>
      {pending.length > 0 || !summary ? (
        <p className="try-wait" role="status">
          Saving what was just typed …
        </p>
      ) : (
        <iframe
          ref={frame}
          key={key}
          className="try-frame"
          title={`Try ${path}`}
          src={summary.preview.replace(/\/$/, '') + path}
        />
      )}
      <WhatHappened told={told} />
    </div>
  );
}

/** What happened, one after the other, each with how long after it began. */
function WhatHappened({ told }: { told: readonly Told[] }): ReactNode {
  const { documents } = useDerived();
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => {
    list.current?.scrollTo({ top: list.current.scrollHeight });
  }, [told]);
  return (
    <div className="try-told" ref={list}>
      <table className="ledger-table" aria-label="What happened">
        <thead>
          <tr>
            <th scope="col" className="try-after">
              After
            </th>
            <th scope="col">What happened</th>
          </tr>
        </thead>
        <tbody>
          {told.length === 0 ? (
            <tr>
              <td colSpan={2} className="quiet">
                Nothing yet. Press something above.
              </td>
            </tr>
          ) : null}
          {told.map((each, i) => {
            const began = told.slice(0, i + 1).findLast(({ is }) => is === 'begun')?.at ?? each.at;
            const { before, name, after } = toldWordsOf(documents, each);
            return (
              // oxlint-disable-next-line react/no-array-index-key -- what happened stays what it was
              <tr key={i} className={each.is === 'begun' ? 'try-begun' : undefined}>
                <td className="try-after">{((each.at - began) / 1000).toFixed(1)} s</td>
                <td>
                  {before} {name === undefined ? null : <strong>{name}</strong>} {after}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
