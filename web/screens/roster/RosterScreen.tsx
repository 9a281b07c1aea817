import { useRef, useState, type ClipboardEvent, type KeyboardEvent, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { Button, Input, Select } from 'antd';
import { useVirtualizer } from '@tanstack/react-virtual';
import Papa from 'papaparse';
import {
  docOf,
  literal,
  newId,
  treeDocOf,
  type Source,
  type Typed,
  type ValueKind,
} from '@sormet/core/model';
import { MOST_CONTROLS, type RosterRow } from '@sormet/core/edit';
import { count, documentWords } from '../../words';
import { useDerived, useSync } from '../../site/SiteProvider';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { fittingFields, type FittingField } from '../../values/fields';
import { ValueEditor } from '../../values/ValueEditor';
import { readCell } from './read-cell';
import { cellOf, nameOf, useRoster, type Column, type Looking } from './use-roster';
import '../screens.css';
import './Roster.css';

const ROW = 28;
/** Kinds that typing begins to write. */
const TYPED: ReadonlySet<ValueKind> = new Set(['text', 'number', 'length']);
/** How many cells that cannot be read are told of at once. */
const TOLD = 6;

/** Where somebody is in the table, and how far down or up what is selected goes; one column at a time. */
interface At {
  readonly row: number;
  readonly to: number;
  readonly column: number;
}

/**
 * Every instance of a component, a row each: page, name and every property, set or bound in the cell, filled down, pasted
 * from a spreadsheet, taken back; each act one step.
 */
export function RosterScreen(): ReactNode {
  const { component: id = '' } = useParams();
  const { documents, reach } = useDerived();
  const sync = useSync();
  const component = docOf(documents, 'component', id);
  const [looking, setLooking] = useState<Looking>({ filter: '', standing: 'any', sort: null });
  const { columns, rows, all } = useRoster(documents, reach, component, looking);
  const [at, setAt] = useState<At>({ row: 0, to: 0, column: 0 });
  const [editing, setEditing] = useState<string | null>(null);
  const [wrong, setWrong] = useState<readonly string[]>([]);
  const scroller = useRef<HTMLDivElement>(null);
  // eslint-disable-next-line react-hooks/incompatible-library -- nothing here is memoized by what it gives
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  if (!component)
    return (
      <>
        <h1>There is no such component</h1>
        <Link to={`/sites/${sync.site}/library`}>To the library</Link>
      </>
    );
  const from = Math.min(at.row, at.to);
  const chosen = rows.slice(from, Math.max(at.row, at.to) + 1);
  const column = columns[at.column];
  const set = (
    given: readonly { row: RosterRow; column: Column; source: Source | null }[],
    group: string | null = null,
  ) => {
    if (given.length === 0) return;
    if (given.length > MOST_CONTROLS)
      return setWrong([`At most ${MOST_CONTROLS} values are set in one step.`]);
    setWrong([]);
    sync.edit(
      {
        name: 'setControls',
        args: {
          set: given.map(({ row, column: of, source }) => ({
            doc: row.doc,
            node: row.node,
            control: { of: 'value' as const, property: of.id },
            source,
          })),
        },
      },
      { group },
    );
  };
  const fillDown = () => {
    const [first, ...rest] = chosen;
    if (!first || !column || rest.length === 0) return;
    const source = first.instance.values[column.id] ?? null;
    // What is bound is bound to something of the place where it stands: only values go down.
    if (source && source.is !== 'value')
      return setWrong([
        'What is bound is bound where it stands: bind the others by the list above.',
      ]);
    set(rest.map((row) => ({ row, column, source })));
  };
  const takeBack = () => column && set(chosen.map((row) => ({ row, column, source: null })));
  const paste = (text: string) => {
    const block = Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t' }).data;
    // One cell alone fills all that is selected.
    const single = block.length === 1 && block[0]!.length === 1;
    const lines = single ? chosen.map(() => block[0]!) : block;
    const given: { row: RosterRow; column: Column; source: Source | null }[] = [];
    const told: string[] = [];
    lines.forEach((cells, i) => {
      cells.forEach((words, j) => {
        const row = rows[from + i];
        const of = columns[at.column + j];
        if (!row || !of) return;
        if (words.trim() === '') return void given.push({ row, column: of, source: null });
        const read = readCell(documents, of.property.type, words);
        if (read.ok) given.push({ row, column: of, source: literal(read.value) });
        else told.push(`Row ${from + i + 1}, ${of.property.label}: ${read.reason}`);
      });
    });
    const over = lines.length - (rows.length - from);
    if (over > 0 && !single) told.push(`There are ${over} more lines than rows below.`);
    if (told.length === 0) return set(given);
    setWrong(['Nothing was pasted.', ...told]);
  };
  const go = (row: number, to: number, next: number) => {
    const last = rows.length - 1;
    const within = (each: number) => Math.max(0, Math.min(last, each));
    setAt({
      row: within(row),
      to: within(to),
      column: Math.max(0, Math.min(columns.length - 1, next)),
    });
    virtual.scrollToIndex(within(to));
  };
  const keys = (event: KeyboardEvent) => {
    if (editing !== null) return;
    const { key, shiftKey } = event;
    const page = Math.max(1, Math.floor((scroller.current?.clientHeight ?? ROW) / ROW) - 2);
    const down = { ArrowDown: 1, ArrowUp: -1, PageDown: page, PageUp: -page }[key];
    const across = { ArrowRight: 1, ArrowLeft: -1 }[key];
    if (event.ctrlKey || event.metaKey) {
      if (key.toLowerCase() !== 'd') return;
      event.preventDefault();
      return fillDown();
    }
    if (event.altKey) return;
    if (down !== undefined) {
      event.preventDefault();
      const to = at.to + down;
      return go(shiftKey ? at.row : to, to, at.column);
    }
    if (across !== undefined) {
      event.preventDefault();
      return go(at.to, at.to, at.column + across);
    }
    if (key === 'Home' || key === 'End') {
      event.preventDefault();
      const to = key === 'Home' ? 0 : rows.length - 1;
      return go(shiftKey ? at.row : to, to, at.column);
    }
    if (key === 'Delete' || key === 'Backspace') {
      event.preventDefault();
      return takeBack();
    }
    if (key === 'Enter' || key === 'F2') {
      event.preventDefault();
      setEditing(newId());
    } else if (key.length === 1 && column && TYPED.has(column.property.type.kind)) {
      // The letter itself goes into the field, which is there before the browser writes it.
      setEditing(newId());
    }
  };
  const copy = (event: ClipboardEvent) => {
    if (editing !== null || !column) return;
    event.preventDefault();
    const words = chosen.map((row) => [cellOf(documents, row, column).words]);
    event.clipboardData.setData('text/plain', Papa.unparse(words, { delimiter: '\t' }));
  };
  const ends = () => {
    setEditing(null);
    scroller.current?.focus();
  };
  const fields =
    column && !column.property.typedOnly ? fieldsForAll(documents, chosen, column) : [];
  const template = `minmax(110px,150px) minmax(110px,160px) ${columns.map(() => 'minmax(130px,1fr)').join(' ')}`;
  const least = 220 + 130 * columns.length;
  const sortBy = (by: string) =>
    setLooking({
      ...looking,
      sort:
        looking.sort?.by !== by
          ? { by, down: false }
          : looking.sort.down
            ? null
            : { by, down: true },
    });
  const head = (by: string, label: string) => (
    <div
      key={by}
      role="columnheader"
      aria-sort={
        looking.sort?.by === by ? (looking.sort.down ? 'descending' : 'ascending') : 'none'
      }
    >
      <button type="button" onClick={() => sortBy(by)}>
        {label} {looking.sort?.by === by ? (looking.sort.down ? '↓' : '↑') : ''}
      </button>
    </div>
  );
  return (
    <>
      <div className="screen-head">
        <h1>
          {component.name} <span className="quiet">roster</span>
        </h1>
        <span className="screen-acts">
          <Input
            size="small"
            className="search"
            aria-label="Find in the roster"
            placeholder="find"
            value={looking.filter}
            onChange={({ target }) => setLooking({ ...looking, filter: target.value })}
          />
          <Select
            size="small"
            aria-label="Only rows with"
            value={looking.standing}
            popupMatchSelectWidth={false}
            options={[
              { value: 'any', label: 'all rows' },
              { value: 'set', label: 'something set here' },
              { value: 'bound', label: 'something bound' },
              { value: 'default', label: 'something left at the default' },
            ]}
            onChange={(standing) => setLooking({ ...looking, standing })}
          />
          <Link to={`/sites/${sync.site}/bench/${component.id}`}>The definition</Link>
        </span>
      </div>
      <div className="roster-line">
        <span>
          {rows.length === all
            ? count(all, 'instance')
            : `${rows.length} of ${count(all, 'instance')}`}
          {column && chosen.length > 0 ? (
            <>
              {', '}
              <b>
                {column.property.label} of {chosen.length === 1 ? 'one' : chosen.length}
              </b>{' '}
              selected
            </>
          ) : null}
        </span>
        <Button size="small" disabled={chosen.length < 2} onClick={fillDown}>
          Fill down <kbd>Ctrl+D</kbd>
        </Button>
        <Button size="small" disabled={!column || chosen.length === 0} onClick={takeBack}>
          Back to default <kbd>Del</kbd>
        </Button>
        <span className="roster-bind">
          <ChoiceCell
            label="Bind what is selected to"
            chosen={undefined}
            placeholder={fields.length === 0 ? 'nothing fits to bind to' : 'bind to …'}
            options={fields.map(({ key, label }) => ({ value: key, label }))}
            onChoose={(key) => {
              const field = fields.find((each) => each.key === key);
              if (field && column)
                set(chosen.map((row) => ({ row, column, source: field.source })));
            }}
          />
        </span>
        <span className="quiet">
          Enter edits, a block from a spreadsheet is pasted where you are.
        </span>
      </div>
      {wrong.length > 0 ? (
        <div className="roster-wrong" role="alert">
          {wrong.slice(0, TOLD).map((each) => (
            <div key={each}>{each}</div>
          ))}
          {wrong.length > TOLD ? <div>and {wrong.length - TOLD} more</div> : null}
        </div>
      ) : null}
      {columns.length === 0 ? (
        <p>It exposes nothing: every instance looks like the definition.</p>
      ) : rows.length === 0 ? (
        <p>{all === 0 ? 'No page has one yet.' : 'No row is like this.'}</p>
      ) : (
        <div
          ref={scroller}
          className="roster"
          role="grid"
          aria-label={`Instances of ${component.name}`}
          aria-rowcount={rows.length + 1}
          aria-colcount={columns.length + 2}
          aria-multiselectable
          aria-activedescendant={`roster-${at.to}-${at.column}`}
          tabIndex={0}
          onKeyDown={keys}
          onCopy={copy}
          onPaste={(event) => {
            if (editing !== null) return;
            event.preventDefault();
            paste(event.clipboardData.getData('text/plain'));
          }}
        >
          <div
            className="roster-head"
            role="row"
            style={{ gridTemplateColumns: template, minWidth: least }}
          >
            {head('page', 'Page')}
            {head('name', 'Instance')}
            {columns.map(({ id: by, property }) => head(by, property.label))}
          </div>
          <div className="roster-rows" role="rowgroup" style={{ height: virtual.getTotalSize() }}>
            {virtual.getVirtualItems().map(({ index, start }) => {
              const row = rows[index]!;
              return (
                <div
                  key={`${row.doc} ${row.node}`}
                  className="roster-row"
                  role="row"
                  aria-rowindex={index + 2}
                  style={{
                    gridTemplateColumns: template,
                    minWidth: least,
                    transform: `translateY(${start}px)`,
                  }}
                >
                  <div role="rowheader">
                    <Link tabIndex={-1} to={`/sites/${sync.site}/bench/${row.doc}#${row.node}`}>
                      {documentWords(documents, row.doc)}
                    </Link>
                  </div>
                  <div role="gridcell">{nameOf(documents, row)}</div>
                  {columns.map((each, i) => {
                    const cell = cellOf(documents, row, each);
                    const isAt = index === at.to && i === at.column;
                    const isChosen =
                      i === at.column && index >= from && index <= Math.max(at.row, at.to);
                    return (
                      <div
                        key={each.id}
                        id={`roster-${index}-${i}`}
                        role="gridcell"
                        aria-selected={isChosen}
                        className={`is-${cell.standing}${isChosen ? ' is-chosen' : ''}${isAt ? ' is-at' : ''}`}
                        title={`${cell.words}${cell.standing === 'set' ? '' : `, ${cell.standing === 'bound' ? 'bound' : 'the default'}`}`}
                        onMouseDown={(event) => {
                          if (isAt && editing !== null) return;
                          setEditing(null);
                          go(event.shiftKey ? at.row : index, index, i);
                        }}
                        onDoubleClick={() => setEditing(newId())}
                      >
                        {isAt && editing !== null ? (
                          <CellEditor
                            column={each}
                            value={cell.value}
                            placeholder={cell.words}
                            onChange={(value, group) =>
                              set(
                                [{ row, column: each, source: literal(value) }],
                                group === null ? null : `${editing} ${group}`,
                              )
                            }
                            onEnd={(moved) => {
                              ends();
                              if (moved) go(index + 1, index + 1, i);
                            }}
                          />
                        ) : (
                          <span className="roster-words">
                            {cell.standing === 'bound' ? '↳ ' : ''}
                            {cell.words}
                          </span>
                        )}
                      </div>
                    );
                  })}
                </div>
              );
            })}
          </div>
        </div>
      )}
    </>
  );
}

/** The editor of the cell that somebody is in; Enter goes on to the one below, Escape leaves it. */
function CellEditor({
  column: { property },
  value,
  placeholder,
  onChange,
  onEnd,
}: {
  column: Column;
  value: Typed | undefined;
  placeholder: string;
  onChange: (value: Typed, group: string | null) => void;
  onEnd: (moved: boolean) => void;
}): ReactNode {
  const focus = (place: HTMLDivElement | null) => {
    if (!place || place.contains(document.activeElement)) return;
    const field = place.querySelector<HTMLElement>('input, textarea, button, [contenteditable]');
    field?.focus();
    // What is typed stands in the place of what there was, as in any table of this kind.
    if (field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) field.select();
  };
  return (
    <div
      ref={focus}
      className="roster-editor"
      onKeyDown={(event) => {
        if (event.key === 'Escape') {
          event.stopPropagation();
          onEnd(false);
        }
        const isWords = property.type.kind === 'text' || property.type.kind === 'number';
        if (event.key === 'Enter' && isWords) {
          event.preventDefault();
          event.stopPropagation();
          onEnd(true);
        }
      }}
    >
      <ValueEditor
        type={property.type}
        label={property.label}
        value={value}
        placeholder={placeholder}
        open
        onChange={onChange}
      />
    </div>
  );
}

/** The fields to which all of some instances can be bound where they stand. */
function fieldsForAll(
  documents: ReturnType<typeof useDerived>['documents'],
  rows: readonly RosterRow[],
  { property }: Column,
): FittingField[] {
  // Looked for where they stand, of each document once.
  const [first, ...rest] = rows;
  const of = ({ doc, node }: RosterRow) => {
    const tree = treeDocOf(documents, doc);
    return tree ? fittingFields(documents, tree, node, property.type) : [];
  };
  if (!first) return [];
  let fields = of(first);
  for (const row of rest) {
    if (fields.length === 0) break;
    const keys = new Set(of(row).map(({ key }) => key));
    fields = fields.filter(({ key }) => keys.has(key));
  }
  return fields;
}
