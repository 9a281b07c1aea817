import { useMemo, useState, type ReactNode } from 'react';
import {
  readExpression,
  shownWith,
  tableOf,
  writeTable,
  type Cell,
  type ExpressionName,
  type Gives,
  type Table,
} from '@sormet/core/expression';
import { furtherName, namesAt, typedFor } from '@sormet/core/edit';
import {
  sameJson,
  type Documents,
  type NodeId,
  type Source,
  type TreeDoc,
  type TypeSpec,
} from '@sormet/core/model';
import { Dialog } from '../../parts/Dialog';
import { Wrong } from '../../parts/Wrong';
import { KIND_WORDS } from '../../words';
import { ExpressionField } from './ExpressionField';
import { WhereEmpty } from './WhereEmpty';
import { firstCell, firstCondition, WorkTable } from './WorkTable';
import './WorkOut.css';

/**
 * Working a value out: as a table of "when … then … otherwise …", or as an expression; both are the same thing. Nothing is
 * saved that does not fit together.
 */
export function WorkOut({
  label,
  documents,
  doc,
  node,
  without,
  wanted,
  source,
  gives: shows,
  onDone,
  onRelease,
  onClose,
}: {
  label: string;
  documents: Documents;
  doc: TreeDoc;
  /** Where it is read; nothing for what a definition says of itself. */
  node: NodeId | null;
  /** The property that is worked out, which cannot be read for it. */
  without?: string;
  wanted: TypeSpec;
  /** What is there now. */
  source: Source | undefined;
  /** What a source gives where one is looking, in words. */
  gives: ((source: Source) => string) | undefined;
  onDone: (source: Source) => void;
  /** Lets it be what it was without; nothing where it is not worked out yet. */
  onRelease: (() => void) | undefined;
  onClose: () => void;
}): ReactNode {
  // What was there when it was opened is what one goes on from, whatever comes meanwhile.
  const [begun] = useState(() => {
    const names = namesAt(documents, doc, node, wanted).filter(
      (each) => each.source.is !== 'property' || each.source.property !== without,
    );
    return source?.is === 'expression'
      ? shownWith(source, names, furtherName)
      : { typed: '', names: withHeld(names, source) };
  });
  const { names } = begun;
  const wantedGives: Gives = { of: wanted.kind };
  const [typed, setTyped] = useState(
    () => begun.typed || writeTable(firstTable(names, wantedGives, source)),
  );
  const table = useMemo(() => {
    const read = readExpression(typed);
    return read.ok ? tableOf(read.tree, typed) : undefined;
  }, [typed]);
  const [asTable, setAsTable] = useState(table !== undefined);
  const typing = useMemo(() => typedFor(typed, names, wanted), [typed, names, wanted]);
  const isTable = asTable && table !== undefined;
  return (
    <Dialog
      open
      width={760}
      title={`Work out: ${label}`}
      okText="Work it out"
      cancelText="Leave it"
      okButtonProps={{ disabled: !typing.ok }}
      onOk={() => {
        if (!typing.ok) return;
        const { whenEmpty } = source ?? {};
        onDone(whenEmpty === undefined ? typing.source : { ...typing.source, whenEmpty });
        onClose();
      }}
      onCancel={onClose}
    >
      <div className="work-ways" role="radiogroup" aria-label="How it is written">
        {(
          [
            [true, 'as a table'],
            [false, 'as an expression'],
          ] as const
        ).map(([way, word]) => (
          <button
            key={word}
            type="button"
            role="radio"
            aria-checked={isTable === way}
            disabled={way && table === undefined}
            onClick={() => setAsTable(way)}
          >
            {word}
          </button>
        ))}
        {table === undefined && typing.ok ? (
          <span className="quiet">this cannot be a table: it reckons in its conditions</span>
        ) : null}
      </div>
      {isTable ? (
        <WorkTable
          table={table}
          names={names}
          gives={wantedGives}
          onChange={(next) => setTyped(writeTable(next))}
        />
      ) : (
        <ExpressionField
          typed={typed}
          names={names}
          faults={typing.ok ? [] : typing.faults}
          onType={setTyped}
        />
      )}
      {isTable && !typing.ok ? (
        <Wrong as="p" words="Something is not said yet: fill in every value." />
      ) : null}
      <p className="work-gives" aria-live="polite">
        {typing.ok ? (
          <>
            Gives {typing.gives.of === 'nothing' ? 'nothing' : KIND_WORDS[typing.gives.of]}
            {shows ? (
              <>
                , here: <b>{shows(typing.source)}</b>
              </>
            ) : null}
          </>
        ) : (
          <span className="quiet">It is not saved until it fits together.</span>
        )}
      </p>
      {typing.ok ? (
        <WhereEmpty doc={doc} node={node} wanted={wanted} source={typing.source} names={names} />
      ) : null}
      {onRelease ? (
        <button
          type="button"
          className="as-link"
          onClick={() => {
            onRelease();
            onClose();
          }}
        >
          work it out no more
        </button>
      ) : null}
      <details className="work-names">
        <summary>What can be named here</summary>
        <ul>
          {names.map(({ path, label: word, gives: { of } }) => (
            <li key={path}>
              <code>{path}</code> {word}{' '}
              <span className="quiet">{of === 'nothing' ? 'nothing' : KIND_WORDS[of]}</span>
            </li>
          ))}
        </ul>
      </details>
    </Dialog>
  );
}

/** What was there by hand stays at hand: the table begins with it. */
function withHeld(
  names: readonly ExpressionName[],
  source: Source | undefined,
): readonly ExpressionName[] {
  const further = source?.is === 'value' && source.value !== null ? furtherName(source) : undefined;
  return further && source && !['text', 'number', 'boolean'].includes(further.gives.of)
    ? [
        ...names,
        { path: 'value1', ...further, source: { ...source, whenEmpty: undefined } as never },
      ]
    : names;
}

/** The table that one begins with: one row, which asks the first thing there is; either way it gives what was there. */
function firstTable(
  names: readonly ExpressionName[],
  gives: Gives,
  source: Source | undefined,
): Table {
  const held = source && names.find((each) => sameJson(each.source, withoutEmpty(source)));
  const there: Cell | undefined = held
    ? { is: 'name', name: held.path }
    : source?.is === 'value' && isPlain(source.value)
      ? { is: 'literal', value: source.value }
      : undefined;
  const cell = there ?? firstCell(gives, names);
  const isYes = gives.of === 'boolean' && cell.is === 'literal';
  return {
    rows: [{ when: [[firstCondition(names)]], then: cell }],
    otherwise: isYes ? { is: 'literal', value: cell.value !== true } : cell,
  };
}

function isPlain(value: unknown): value is string | number | boolean {
  return ['string', 'number', 'boolean'].includes(typeof value);
}

function withoutEmpty({ whenEmpty: _, ...alone }: Source): Source {
  return alone as Source;
}
