import { useMemo, useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { PanelRight } from 'lucide-react';
import type { EntriesStanding } from '@sormet/core/api';
import {
  DEFAULT_ZONE,
  entryTitle,
  kindOf,
  LARGEST_EDIT,
  own,
  type EntryDoc,
  type TypeDoc,
  type ValueKind,
} from '@sormet/core/model';
import { ValueReader, wordsOfValue } from '@sormet/core/format';
import { freeSlugs, newEntry } from '@sormet/core/ready';
import { entriesLookedAt } from '@sormet/core/value';
import { CellGrid } from '../../../parts/grid/CellGrid';
import type { GridCell } from '../../../parts/grid/grid-parts';
import { GridEditor } from '../../../parts/grid/GridEditor';
import { atCell, rangeOf, within, type At } from '../../../parts/grid/walking';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { useStanding } from '../../../site/use-standing';
import { ShowValue } from '../../../values/show-value';
import { ValueEditor } from '../../../values/ValueEditor';
import { valueWords, zonedDay, zonedWords } from '../../../words';
import { InAndOut } from '../taking/InAndOut';
import type { Brought } from '../taking/read-file';
import { columnsOf, DATES, keepColumns, keptColumns, SLUG, STATE, usualColumns } from './columns';
import { EntryActs } from './EntryActs';
import { stateOf } from './entry-state';
import { LookLine } from './LookLine';
import { pastedEntries, type Given } from './pasted-entries';
import { useLook } from './use-look';
import './entries.css';

/** Kinds that typing begins to write. */
const TYPED: ReadonlySet<ValueKind> = new Set(['text', 'number', 'length']);

/** Kinds of which one is chosen, and that is it. */
const CHOSEN: ReadonlySet<ValueKind> = new Set(['boolean', 'choice', 'entry']);

/** How wide the title is where nobody said, in CSS px. */
const TITLE_WIDTH = 200;

/** The entries of a type as a table: looked through, in order, filled like a sheet, several changed at once. */
export function EntriesOfType({
  type,
  chosen,
  onFiles,
  onBrought,
}: {
  type: TypeDoc;
  /** The entry whose form is open. */
  chosen: EntryDoc | undefined;
  onFiles: (files: readonly File[]) => void;
  onBrought: (brought: Brought) => void;
}): ReactNode {
  const { documents, withDrafts } = useDerived();
  const sync = useSync();
  const navigate = useNavigate();
  const [look, setLook] = useLook(type);
  const [asked, setAt] = useState<At>(atCell(0, 0));
  const [wrong, setWrong] = useState<readonly string[]>([]);
  const [mine, setMine] = useState(() => keptColumns(sync.site, type));
  const view = look.view === null ? undefined : own(type.views ?? {}, look.view);
  const shown = view?.columns ?? mine;
  const columns = useMemo(() => columnsOf(type, shown), [type, shown]);
  const data = withDrafts();
  const standing = useStanding(type.id);
  const zone = documents.site.timeZone ?? DEFAULT_ZONE;
  const found = useMemo(
    () =>
      entriesLookedAt(
        type.id,
        {
          find: look.find,
          where: look.where,
          any: look.any || undefined,
          sort: sortOf(type, look.sort),
        },
        data,
      ),
    [type, look, data],
  );
  const rows = useMemo(
    () => inOrderOfDate(found, look.sort, standing?.entries),
    [found, look.sort, standing],
  );
  // What is looked at may have become less.
  const at = within(asked, rows.length, columns.length);
  const range = rangeOf(at);
  const selected = rows.slice(range.top, range.bottom + 1);
  const across = columns.slice(range.left, range.right + 1);
  // Whichever entry is open beside is the one that acts are about, until another is gone to.
  const [opened, setOpened] = useState<string>();
  if (chosen?.id !== opened) {
    setOpened(chosen?.id);
    const row = chosen ? rows.findIndex(({ id }) => id === chosen.id) : -1;
    if (row >= 0 && !selected.some(({ id }) => id === chosen?.id)) setAt(atCell(row, 0));
  }
  const base = `/sites/${sync.site}/content/${type.id}`;
  const give = (given: readonly Given[], group: string | null = null) => {
    setWrong([]);
    if (given.length === 0) return;
    if (given.length > LARGEST_EDIT)
      return setWrong([`At most ${LARGEST_EDIT} values are set in one step.`]);
    sync.edit(
      given.length === 1
        ? { name: 'setField', args: { ...given[0]! } }
        : { name: 'setFields', args: { values: [...given] } },
      { group },
    );
  };
  const fillDown = () => {
    const [from, ...rest] = selected;
    if (!from || rest.length === 0) return;
    const given = across.flatMap(({ id, field }) =>
      field
        ? rest.map((row) => ({ entry: row.id, field: id, value: own(from.values, id) ?? null }))
        : [],
    );
    give(given);
  };
  const empty = () =>
    give(
      selected.flatMap((row) =>
        across.flatMap(({ id, field }) =>
          field && own(row.values, id) ? [{ entry: row.id, field: id, value: null }] : [],
        ),
      ),
    );
  const paste = (text: string) => {
    const pasted = pastedEntries(documents, text, rows, columns, range);
    if (pasted.wrong.length > 0) setWrong(['Nothing was pasted.', ...pasted.wrong]);
    else give(pasted.given);
  };
  const resize = (column: string, width: number) => {
    const held = own(shown, column);
    if (!held) return;
    const columnsNow = {
      ...shown,
      [column]: { ...held, width: Math.round(Math.min(800, Math.max(60, width))) },
    };
    if (view && look.view !== null)
      sync.edit(
        {
          name: 'setView',
          args: { type: type.id, view: look.view, made: { ...view, columns: columnsNow } },
        },
        { group: `width ${column}` },
      );
    else {
      setMine(columnsNow);
      keepColumns(sync.site, type.id, columnsNow);
    }
  };
  const add = () => {
    const entry = newEntry(documents, type, freeSlugs(documents, type.id));
    if (sync.edit({ name: 'addEntry', args: { entry } }))
      void navigate({ pathname: `${base}/${entry.id}`, search: window.location.search });
  };
  const reader = useMemo(() => new ValueReader(documents, PLAIN), [documents]);
  const cellAt = (row: number, i: number): GridCell => {
    const entry = rows[row]!;
    const { id, field } = columns[i]!;
    const stands = standing?.entries[entry.id];
    if (id === STATE) {
      const { words, title, isLive } = stateOf(entry, stands, zone);
      return { words, title, className: isLive ? '' : 'quiet' };
    }
    const date = own(DATES, id);
    if (date !== undefined) {
      const at = stands?.[date] ?? null;
      return at === null
        ? { words: '', className: 'quiet' }
        : { words: zonedDay(at, zone), title: zonedWords(at, zone), className: 'quiet' };
    }
    if (id === SLUG) return { words: entry.slug, className: 'mono' };
    const value = own(entry.values, id);
    if (!value || value.value === null)
      return {
        words: '',
        className: field?.required ? 'is-missing' : '',
        title: field?.required ? `${field.label} is missing` : '',
      };
    return {
      className: field!.type.kind === 'number' ? 'is-number' : '',
      words: wordsOfValue(documents, field!.type, value, reader),
      title: valueWords(documents, value, field!.type),
      shown: <ShowValue documents={documents} value={value} type={field!.type} />,
    };
  };
  return (
    <section className="entries">
      <LookLine
        type={type}
        look={look}
        onLook={setLook}
        shown={shown}
        onShown={(columnsNow) => {
          if (view && look.view !== null)
            sync.edit({
              name: 'setView',
              args: { type: type.id, view: look.view, made: { ...view, columns: columnsNow } },
            });
          else {
            setMine(columnsNow);
            keepColumns(sync.site, type.id, columnsNow);
          }
        }}
        onUsual={() => {
          setMine(usualColumns(type));
          keepColumns(sync.site, type.id, {});
        }}
        onAdd={add}
      >
        <InAndOut type={type} rows={rows} onFiles={onFiles} onBrought={onBrought} />
      </LookLine>
      <EntryActs
        type={type}
        rows={rows}
        all={data.entriesOf(type.id).length}
        selected={selected}
        across={across}
        wrong={wrong}
        onFillDown={fillDown}
        onEmpty={empty}
        onGone={() => {
          if (chosen && selected.includes(chosen)) void navigate(base);
        }}
      />
      {rows.length === 0 ? (
        <p className="first-steps">
          {data.entriesOf(type.id).length === 0
            ? `There is no ${type.name.toLowerCase()} yet. The first one begins as a draft: nobody sees it until you say so.`
            : `No ${type.name.toLowerCase()} is like this.`}
        </p>
      ) : (
        <CellGrid
          name="entries"
          label={type.plural}
          rows={rows.length}
          keyOf={(row) => rows[row]!.id}
          leads={[
            {
              id: 'open',
              label: '',
              width: 30,
              cell: (row) => (
                <Link
                  className="open-entry"
                  aria-label={`Open ${entryTitle(documents, rows[row]!)}`}
                  aria-current={rows[row] === chosen}
                  to={{ pathname: `${base}/${rows[row]!.id}`, search: window.location.search }}
                >
                  <PanelRight size={14} aria-hidden />
                </Link>
              ),
            },
          ]}
          columns={columns.map(({ id, label, field, width }) => ({
            id,
            label,
            width: width ?? (id === type.title ? TITLE_WIDTH : id === STATE ? 110 : undefined),
            stays: id === type.title,
            isTyped: field !== undefined && TYPED.has(field.type.kind),
            isLocked: field === undefined,
          }))}
          at={at}
          sort={look.sort}
          onGo={setAt}
          onSort={(sort) => setLook({ sort })}
          onResize={resize}
          cell={cellAt}
          editor={(row, i, { name, onEnd }) => {
            const entry = rows[row]!;
            const { id, field } = columns[i]!;
            const { kind } = field!.type;
            return (
              <GridEditor
                isOneLine={kind === 'text' || kind === 'number' || kind === 'date'}
                onEnd={onEnd}
              >
                <ValueEditor
                  type={field!.type}
                  label={field!.label}
                  value={own(entry.values, id)}
                  open
                  onChange={(value, group) => {
                    give(
                      [{ entry: entry.id, field: id, value: isNothing(value) ? null : value }],
                      group === null ? null : `${name} ${group}`,
                    );
                    // What was chosen is done.
                    if (CHOSEN.has(kind)) onEnd('stays');
                  }}
                />
              </GridEditor>
            );
          }}
          onPaste={paste}
          onFillDown={fillDown}
          onEmpty={empty}
        />
      )}
    </section>
  );
}

/** Rows by when they were made, changed or published, where that is asked; those of which it is not known come last. */
function inOrderOfDate(
  rows: readonly EntryDoc[],
  sort: { by: string; down: boolean } | null,
  standing: EntriesStanding['entries'] | undefined,
): readonly EntryDoc[] {
  const date = sort ? own(DATES, sort.by) : undefined;
  if (!sort || date === undefined || !standing) return rows;
  const at = (entry: EntryDoc) => standing[entry.id]?.[date] ?? null;
  return [...rows].sort((a, b) => {
    const [left, right] = [at(a), at(b)];
    if (left === right) return 0;
    if (left === null) return 1;
    if (right === null) return -1;
    return left < right === sort.down ? 1 : -1;
  });
}

/** How cells are copied: so that any program reads them, this one too. */
const PLAIN = { decimal: '.', dates: 'ymd' } as const;

function isNothing({
  type,
  value,
}: {
  readonly type: ValueKind;
  readonly value: unknown;
}): boolean {
  return value === null || (value === '' && kindOf(type).empty === '');
}

/** By which fields rows are in order: by what every entry has, they stay as they are found. */
function sortOf(type: TypeDoc, sort: { by: string; down: boolean } | null) {
  const by = sort && own(type.fields, sort.by) ? sort : { by: type.title, down: false };
  return [{ path: [by.by], descending: by.down }];
}
