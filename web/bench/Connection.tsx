import { useState, type ReactNode } from 'react';
import { Badge, Button, Modal } from 'antd';
import { useApp } from '../store/store';
import { Dangling } from '../site/Dangling';
import { useDerived, useSync } from '../site/SiteProvider';
import type { Conflict } from '../store/pending';
import { count } from './words';
import './Connection.css';

/** Whether everything done here is saved; what waits; what met somebody else's change. */
export function Connection(): ReactNode {
  const { connected, pending, conflicts, kept } = useApp((state) => state.site);
  const failed = conflicts.filter((conflict) => conflict.failed).length;
  const [open, setOpen] = useState(false);
  return (
    <>
      {conflicts.length > 0 ? (
        <Badge count={conflicts.length} size="small">
          <Button size="small" danger onClick={() => setOpen(true)}>
            {failed === conflicts.length ? 'Not taken in' : 'Two versions'}
          </Button>
        </Badge>
      ) : null}
      <Dangling />
      {kept ? null : (
        <span className="bar-saved lost" role="alert">
          This browser keeps nothing over a reload
        </span>
      )}
      <span
        className={connected ? 'bar-saved' : 'bar-saved lost'}
        role="status"
        data-pending={pending.length}
      >
        {!connected
          ? `Not connected: ${count(pending.length, 'edit')} kept here`
          : pending.length > 0
            ? 'Saving'
            : 'Saved'}
      </span>
      <Modal
        open={open}
        title={
          failed === conflicts.length
            ? 'What the server did not take in'
            : 'Two versions of the same value'
        }
        footer={null}
        onCancel={() => setOpen(false)}
        width={640}
      >
        {conflicts.length === 0 ? <p>Everything is decided.</p> : null}
        {conflicts.map((conflict) => (
          <ConflictRow key={conflict.id} conflict={conflict} />
        ))}
      </Modal>
    </>
  );
}

function ConflictRow({ conflict }: { conflict: Conflict }): ReactNode {
  const sync = useSync();
  useDerived();
  if (conflict.failed) return <FailedRow conflict={conflict} />;
  return (
    <section className="conflict">
      <p>
        You {conflict.says}. {conflict.reason}
      </p>
      <dl>
        <dt>yours</dt>
        <dd>{plainWords(conflict.yours)}</dd>
        <dt>what stands now</dt>
        <dd>{plainWords(conflict.stands)}</dd>
      </dl>
      <Button size="small" onClick={() => sync.decide(conflict, true)}>
        Use mine
      </Button>{' '}
      <Button size="small" onClick={() => sync.decide(conflict, false)}>
        Keep what stands
      </Button>
    </section>
  );
}

/** An edit that the server failed on: with what it held, to be copied out, tried again, or dropped. */
function FailedRow({ conflict }: { conflict: Conflict }): ReactNode {
  const sync = useSync();
  const [copied, setCopied] = useState('');
  const held = JSON.stringify(conflict.edit, null, 2);
  const copy = () =>
    navigator.clipboard.writeText(held).then(
      () => setCopied('Copied.'),
      () => setCopied('The browser did not let it be copied; it can be selected above.'),
    );
  return (
    <section className="conflict">
      <p>
        You {conflict.says}. {conflict.reason} Everything else goes on.
      </p>
      <pre className="held" tabIndex={0} aria-label="What it held">
        {held}
      </pre>
      <Button size="small" onClick={() => void copy()}>
        Copy
      </Button>{' '}
      <Button size="small" onClick={() => sync.decide(conflict, true)}>
        Try again
      </Button>{' '}
      <Button size="small" danger onClick={() => sync.decide(conflict, false)}>
        Drop it
      </Button>{' '}
      <span role="status">{copied}</span>
    </section>
  );
}

/** A stored value in words, without its type. */
function plainWords(value: unknown): string {
  if (value === null || value === undefined) return 'nothing';
  if (typeof value !== 'object') return String(value);
  const record = value as Record<string, unknown>;
  for (const member of ['value', 'css', 'name'])
    if (member in record) return plainWords(record[member]);
  if ('place' in record || 'parent' in record) return 'another place';
  return JSON.stringify(value);
}
