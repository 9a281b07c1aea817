import { useRef, useState, type ReactNode } from 'react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Button, Radio } from 'antd';
import Papa from 'papaparse';
import { own } from '@sormet/core/model';
import type { Plan, PlannedRow } from '@sormet/core/format';
import { saveFile } from '../../../parts/save-file';
import { useDerived } from '../../../site/SiteProvider';
import { sentence, valueWords } from '../../../words';
import type { TakingState } from './use-taking';

type Outcome = PlannedRow['is'];

const WORDS: Readonly<Record<Outcome, string>> = {
  new: 'new',
  changed: 'changed',
  same: 'left alone',
  faulty: 'faulty',
  left: 'left out',
};

/** How high a row is at least, in CSS px. */
const ROW = 30;

/** What comes of each row: new, changed and how, left alone; what is faulty with why, to be mended there or left out. */
export function PlannedRows({
  taking,
  plan,
  name,
}: {
  taking: TakingState;
  plan: Plan;
  /** The name of the file. */
  name: string;
}): ReactNode {
  const of = (is: Outcome) => plan.rows.filter((row) => row.is === is);
  const [asked, setAsked] = useState<Outcome | 'all'>('all');
  const shown = asked === 'all' ? plan.rows : of(asked);
  const scroller = useRef<HTMLDivElement>(null);
  // oxlint-disable-next-line react/incompatible-library -- nothing here is memoized by what it gives
  const virtual = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    getItemKey: (i) => shown[i]!.line,
    overscan: 8,
  });
  const { table, say, asked: how } = taking;
  const leave = (lines: readonly number[], isLeft: boolean) => {
    const left = new Set(how.left);
    for (const line of lines)
      if (isLeft) left.add(line);
      else left.delete(line);
    say({ left });
  };
  const faulty = of('faulty');
  const writeFaulty = () => {
    const lines = new Set(faulty.map(({ line }) => line));
    const rows = table.rows.filter(({ line }) => lines.has(line)).map(({ cells }) => [...cells]);
    const text = Papa.unparse([[...table.columns], ...rows], { newline: '\r\n' }) + '\r\n';
    saveFile(`${name.replace(/\.\w+$/, '')}-faulty.csv`, text, 'text/csv');
  };
  const outcomes = (Object.keys(WORDS) as Outcome[]).filter((is) => of(is).length > 0);
  return (
    <section aria-label="What comes of the rows">
      <div className="taking-outcomes">
        <Radio.Group
          size="small"
          value={asked}
          onChange={({ target }) => setAsked(target.value as Outcome | 'all')}
        >
          <Radio.Button value="all">all {plan.rows.length}</Radio.Button>
          {outcomes.map((is) => (
            <Radio.Button key={is} value={is}>
              {of(is).length} {WORDS[is]}
            </Radio.Button>
          ))}
        </Radio.Group>
        {faulty.length > 0 ? (
          <>
            <Button
              size="small"
              onClick={() =>
                leave(
                  faulty.map(({ line }) => line),
                  true,
                )
              }
            >
              Leave all faulty out
            </Button>
            <Button size="small" onClick={writeFaulty}>
              Write them to a file
            </Button>
          </>
        ) : null}
        {plan.madeFor.length > 0 ? (
          <span className="quiet">{plan.madeFor.length} entries are made that cells name</span>
        ) : null}
      </div>
      {table.faults.length > 0 ? (
        <ul className="taking-faults">
          {table.faults.slice(0, 6).map(({ line, why }, i) => (
            <li key={i}>
              Line {line}: {sentence(why)}
            </li>
          ))}
          {table.faults.length > 6 ? <li>and {table.faults.length - 6} more</li> : null}
        </ul>
      ) : null}
      <div ref={scroller} className="taking-rows" role="list" aria-label="Rows" tabIndex={0}>
        <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
          {virtual.getVirtualItems().map(({ index, key, start }) => (
            <div
              key={key}
              data-index={index}
              ref={virtual.measureElement}
              role="listitem"
              className={`taking-row is-${shown[index]!.is}`}
              style={{ transform: `translateY(${start}px)` }}
            >
              <Row taking={taking} plan={plan} row={shown[index]!} onLeave={leave} />
            </div>
          ))}
        </div>
      </div>
    </section>
  );
}

function Row({
  taking,
  plan,
  row,
  onLeave,
}: {
  taking: TakingState;
  plan: Plan;
  row: PlannedRow;
  onLeave: (lines: readonly number[], isLeft: boolean) => void;
}): ReactNode {
  const { documents } = useDerived();
  const { table, asked, say } = taking;
  const { line, is, title, changes, faults } = row;
  const mend = (column: number, words: string) => {
    const lines = new Map(asked.mended);
    lines.set(line, new Map([...(lines.get(line) ?? []), [column, words]]));
    say({ mended: lines });
  };
  return (
    <>
      <span className="taking-line">{line}</span>
      <b className="taking-title">{title || 'without a title'}</b>
      <span className="taking-is">{WORDS[is]}</span>
      <span className="taking-what">
        {changes.map(({ field, was, now }) => (
          <span key={field}>
            {own(plan.type.fields, field)?.label}: <s>{valueWords(documents, was)}</s>{' '}
            {now === null
              ? 'empty'
              : valueWords(documents, now, own(plan.type.fields, field)?.type)}
          </span>
        ))}
        {faults.map(({ column, words, why }) => (
          <label key={column} className="taking-fault">
            {table.columns[column]}:{' '}
            <input
              className="plain-field"
              aria-label={`${table.columns[column]} of line ${line}`}
              defaultValue={words}
              onBlur={({ target }) => {
                if (target.value !== words) mend(column, target.value);
              }}
              onKeyDown={(event) => {
                if (event.key !== 'Enter') return;
                event.preventDefault();
                event.stopPropagation();
                if (event.currentTarget.value !== words) mend(column, event.currentTarget.value);
              }}
            />{' '}
            {sentence(why)}
          </label>
        ))}
      </span>
      {is === 'left' ? (
        <Button size="small" type="text" onClick={() => onLeave([line], false)}>
          take it in
        </Button>
      ) : is === 'same' ? null : (
        <Button size="small" type="text" onClick={() => onLeave([line], true)}>
          leave out
        </Button>
      )}
    </>
  );
}
