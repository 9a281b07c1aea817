import { useState, type ReactNode } from 'react';
import { Button } from 'antd';
import { docOf, entryTitle, type EntryDoc, type TypeDoc } from '@sormet/core/model';
import { freeSlugs, newEntry } from '@sormet/core/ready';
import { Dialog } from '../../../parts/Dialog';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { count, documentWords } from '../../../words';
import type { EntryColumn } from './columns';
import { TimeFields } from './TimeFields';

/** How many reasons are told at once. */
const TOLD = 6;

/** What can be done with the entries whose cells are selected, how many those are, and why the last act was not done. */
export function EntryActs({
  type,
  rows,
  all,
  selected,
  across,
  wrong,
  onFillDown,
  onEmpty,
  onGone,
}: {
  type: TypeDoc;
  rows: readonly EntryDoc[];
  /** How many there are, those that are not looked at too. */
  all: number;
  selected: readonly EntryDoc[];
  across: readonly EntryColumn[];
  wrong: readonly string[];
  onFillDown: () => void;
  onEmpty: () => void;
  /** Told before entries go. */
  onGone: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [removing, setRemoving] = useState(false);
  // What is timed stays the same, wherever its rows go meanwhile: a table may be sorted by when they were changed.
  const [timing, setTiming] = useState<readonly string[]>();
  const timed = timing?.flatMap((id) => docOf(documents, 'entry', id) ?? []) ?? [];
  const many = type.plural.toLowerCase();
  const ids = selected.map(({ id }) => id);
  const duplicate = () => {
    const slugs = freeSlugs(documents, type.id);
    const entries = selected.map((entry) => newEntry(documents, type, slugs, entry.values));
    sync.edit({ name: 'addEntries', args: { entries } });
  };
  const draft = (to: boolean) =>
    sync.edit({ name: 'setDrafts', args: { entries: ids, draft: to } });
  const none = selected.length === 0;
  return (
    <>
      <div className="entry-acts" role="toolbar" aria-label="What is selected">
        <span>
          {rows.length === all
            ? count(all, type.name.toLowerCase(), many)
            : `${rows.length} of ${count(all, type.name.toLowerCase(), many)}`}
          {none ? null : (
            <>
              {', '}
              <b>
                {selected.length === 1
                  ? entryTitle(documents, selected[0]!)
                  : `${selected.length} of them`}
              </b>{' '}
              selected
            </>
          )}
        </span>
        {selected.length > 1 && across.length > 0 ? (
          <Button size="small" onClick={onFillDown}>
            Fill down <kbd>Ctrl+D</kbd>
          </Button>
        ) : null}
        <Button size="small" disabled={none} onClick={onEmpty}>
          Empty <kbd>Del</kbd>
        </Button>
        <Button size="small" disabled={none} onClick={duplicate}>
          Duplicate
        </Button>
        {selected.some((entry) => entry.draft) ? (
          <Button size="small" onClick={() => draft(false)}>
            Make ready
          </Button>
        ) : (
          <Button size="small" disabled={none} onClick={() => draft(true)}>
            Make {selected.length > 1 ? 'drafts' : 'a draft'}
          </Button>
        )}
        <Button size="small" disabled={none} onClick={() => setTiming(ids)}>
          Times
        </Button>
        <Button size="small" danger disabled={none} onClick={() => setRemoving(true)}>
          Remove
        </Button>
      </div>
      {wrong.length > 0 ? (
        <div className="entries-wrong" role="alert">
          {wrong.slice(0, TOLD).map((each) => (
            <div key={each}>{each}</div>
          ))}
          {wrong.length > TOLD ? <div>and {wrong.length - TOLD} more</div> : null}
        </div>
      ) : null}
      <Dialog
        open={timed.length > 0}
        title={
          timed.length === 1
            ? `When ${entryTitle(documents, timed[0]!)} is there`
            : `When ${timed.length} entries are there`
        }
        footer={null}
        onCancel={() => setTiming(undefined)}
        destroyOnHidden
      >
        <TimeFields entries={timed} />
        <p className="quiet">{draftsAmong(timed)}</p>
      </Dialog>
      <RemoveEntries
        open={removing}
        entries={selected}
        onDone={(isRemoved) => {
          setRemoving(false);
          if (isRemoved) onGone();
        }}
      />
    </>
  );
}

/** That times alone publish no draft, where one is among some entries. */
function draftsAmong(entries: readonly EntryDoc[]): string {
  const many = entries.filter(({ draft }) => draft).length;
  if (many === 0) return '';
  if (many === entries.length)
    return many === 1
      ? 'It is a draft: no time publishes it.'
      : 'They are drafts: no time publishes them.';
  return `${many} of them ${many === 1 ? 'is a draft' : 'are drafts'}: no time publishes ${many === 1 ? 'it' : 'them'}.`;
}

/** Asks before entries go: how many, and what refers to them and is empty then. */
export function RemoveEntries({
  open,
  entries,
  onDone,
}: {
  open: boolean;
  entries: readonly EntryDoc[];
  onDone: (isRemoved: boolean) => void;
}): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const going = new Set(entries.map(({ id }) => id));
  const referring = new Set<string>();
  if (open)
    for (const { id } of entries)
      for (const { from } of reach.usesOf(id)) if (!going.has(from)) referring.add(from);
  return (
    <Dialog
      open={open}
      title={
        entries.length === 1
          ? `Remove ${entryTitle(documents, entries[0]!)}?`
          : `Remove ${entries.length} entries?`
      }
      okText="Remove"
      okButtonProps={{ danger: true }}
      cancelText="Keep"
      onOk={() => {
        const ids = entries.map(({ id }) => id);
        onDone(sync.edit({ name: 'removeEntries', args: { entries: ids } }) !== undefined);
      }}
      onCancel={() => onDone(false)}
    >
      {referring.size > 0 ? (
        <p role="note">
          {referring.size === 1 ? 'One place refers' : `${referring.size} places refer`} to{' '}
          {entries.length === 1 ? 'it' : 'them'}:{' '}
          {[...referring]
            .slice(0, 8)
            .map((doc) => documentWords(documents, doc))
            .join(', ')}
          {referring.size > 8 ? ` and ${referring.size - 8} more` : ''}. There it is empty then.
        </p>
      ) : (
        <p>Nothing refers to {entries.length === 1 ? 'it' : 'them'}.</p>
      )}
      <p>Pages made from entries go with the next release. Undo brings everything back.</p>
    </Dialog>
  );
}
