import { useState, type ReactNode } from 'react';
import { Badge, Button, Modal } from 'antd';
import { useApp } from '../app/store';
import { useDerived, useSync } from '../site/SiteProvider';
import type { Conflict } from '../site/pending';
import { count } from './words';

/** Whether everything done here is saved; what waits; what met somebody else's change. */
export function Connection(): ReactNode {
  const { connected, pending, conflicts } = useApp((state) => state.site);
  const [open, setOpen] = useState(false);
  return (
    <>
      {conflicts.length > 0 ? (
        <Badge count={conflicts.length} size="small">
          <Button size="small" danger onClick={() => setOpen(true)}>
            Two versions
          </Button>
        </Badge>
      ) : null}
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
        title="Two versions of the same value"
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
