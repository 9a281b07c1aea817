import { useEffect, useState, type ReactNode } from 'react';
import { Alert, Radio, Skeleton } from 'antd';
import type { HistoryLine } from '@sormet/core/api';
import type { TreeDoc } from '@sormet/core/model';
import { api } from '../site/api';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useApp, useAppDispatch } from '../store/store';
import { documentWords, momentWords, inWords } from '../words';
import './HistoryList.css';

/** Who did what and when, to what is open or on the whole site, newest first: one line for one stretch of typing or moving. */
export function HistoryList({ doc }: { doc: TreeDoc }): ReactNode {
  const { documents } = useDerived();
  const [whole, setWhole] = useState(false);
  return (
    <>
      <div className="ledger-actions">
        <Radio.Group
          size="small"
          value={whole}
          onChange={({ target }) => setWhole(target.value as boolean)}
          options={[
            { value: false, label: `${documentWords(documents, doc.id)} alone` },
            { value: true, label: 'the whole site' },
          ]}
        />
      </div>
      <HistoryLines key={String(whole)} doc={doc} document={whole ? undefined : doc.id} />
    </>
  );
}

/**
 * The lines of the history, newest first, more on demand.
 * @param document what they are of; of the whole site where nothing is named
 * @param doc the same where it can be looked at as it was
 */
export function HistoryLines({
  doc,
  document,
}: {
  doc?: TreeDoc;
  document: string | undefined;
}): ReactNode {
  const sync = useSync();
  const revision = useApp((state) => state.site.revision);
  const [lines, setLines] = useState<readonly HistoryLine[] | null>(null);
  const [more, setMore] = useState(false);
  const [error, setError] = useState('');
  useEffect(() => {
    let gone = false;
    api.historyLines(sync.site, revision + 1, document).then(
      (answer) => {
        if (gone) return;
        setError('');
        setLines(answer.lines);
        setMore(answer.more);
      },
      (problem: Error) => {
        if (!gone) setError(problem.message);
      },
    );
    return () => {
      gone = true;
    };
  }, [sync, revision, document]);
  const older = () =>
    api.historyLines(sync.site, lines!.at(-1)!.first, document).then(
      (answer) => {
        setLines([...lines!, ...answer.lines]);
        setMore(answer.more);
      },
      (problem: Error) => setError(problem.message),
    );
  if (error) return <Alert type="warning" title={error} />;
  if (!lines) return <Skeleton active />;
  if (lines.length === 0)
    return (
      <p className="ledger-empty">
        {document === undefined
          ? 'Nothing has been changed yet.'
          : 'Nothing has been changed here since it was made.'}
      </p>
    );
  return (
    <>
      <ol className="history-list">
        {lines.map((line, i) => (
          <Line
            key={line.last}
            line={line}
            // What led to the present is the present.
            doc={document !== undefined && i > 0 ? doc : undefined}
            isHere={line.who === sync.name}
          />
        ))}
        {doc && document !== undefined && !more ? (
          <AsItBegan doc={doc} first={lines.at(-1)!.first} at={lines.at(-1)!.at} />
        ) : null}
      </ol>
      {more ? (
        <button type="button" className="as-link history-older" onClick={() => void older()}>
          show what was done before
        </button>
      ) : null}
    </>
  );
}

function Line({
  line: { first, last, said, at, who },
  doc,
  isHere,
}: {
  line: HistoryLine;
  /** What can be looked at as it was after it, if anything. */
  doc: TreeDoc | undefined;
  isHere: boolean;
}): ReactNode {
  return (
    <li>
      <span className="history-revision">{first === last ? last : `${first}–${last}`}</span>
      <span>{inWords(said)}</span>
      <span className="quiet">
        {isHere ? 'in this window' : who === 'Sormet' ? 'by Sormet' : 'in another window'}
      </span>
      <time dateTime={at}>{momentWords(at)}</time>
      <span>
        {doc ? <LookBack doc={doc} revision={last} at={at} says={inWords(said)} /> : null}
      </span>
    </li>
  );
}

/** How it was before anything of its history was done, where it was there. */
function AsItBegan({ doc, first, at }: { doc: TreeDoc; first: number; at: string }): ReactNode {
  return (
    <li>
      <span className="history-revision">{first - 1}</span>
      <span className="quiet">as it was before all of this</span>
      <span />
      <span />
      <span>
        <LookBack doc={doc} revision={first - 1} at={at} says="before all of this" />
      </span>
    </li>
  );
}

function LookBack({
  doc,
  revision,
  at,
  says,
}: {
  doc: TreeDoc;
  revision: number;
  at: string;
  says: string;
}): ReactNode {
  const dispatch = useAppDispatch();
  const isLooked = useApp(
    ({ bench: { earlier } }) => earlier?.doc === doc.id && earlier.revision === revision,
  );
  return (
    <button
      type="button"
      className="as-link"
      aria-pressed={isLooked}
      aria-label={`${isLooked ? 'close' : 'look at it then'}, after ${revision}: ${says}`}
      onClick={() =>
        dispatch(benchActions.lookBack(isLooked ? null : { doc: doc.id, revision, at }))
      }
    >
      {isLooked ? 'close' : 'look at it then'}
    </button>
  );
}
