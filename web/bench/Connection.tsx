import { useState, type ReactNode } from 'react';
import { Badge, Button } from 'antd';
import { richWords, type RichPiece } from '@sormet/core/model';
import { Dialog } from '../parts/Dialog';
import { Check, CloudOff, CloudUpload, TriangleAlert, Users } from 'lucide-react';
import { siteActions } from '../store/site-slice';
import { useAppDispatch, useSite } from '../store/store';
import { Dangling } from '../site/Dangling';
import { useDerived, useSync } from '../site/SiteProvider';
import type { Conflict, SetAside } from '../store/pending';
import { count, sentence, inWords } from '../words';
import './Connection.css';

/** Whether everything done here is saved; what waits; what was not taken in; who else is here: each by words and mark. */
export function Connection(): ReactNode {
  const { connected, pending, conflicts, kept, deciding, others, setAside } = useSite(
    'connected',
    'pending',
    'conflicts',
    'kept',
    'deciding',
    'others',
    'setAside',
  );
  const undecided = conflicts.length + setAside.length;
  const dispatch = useAppDispatch();
  const failed = conflicts.filter((conflict) => conflict.failed).length;
  const open = deciding;
  const setOpen = (on: boolean) => dispatch(siteActions.deciding(on));
  return (
    <>
      {undecided > 0 ? (
        <Badge count={undecided} size="small">
          <Button
            size="small"
            danger
            icon={<TriangleAlert size={13} aria-hidden />}
            onClick={() => setOpen(true)}
          >
            {conflicts.length === 0
              ? 'Kept aside'
              : failed === conflicts.length
                ? 'Not taken in'
                : 'Two versions'}
          </Button>
        </Badge>
      ) : null}
      <Dangling />
      {kept ? null : (
        <span className="bar-saved lost" role="alert">
          This browser keeps nothing over a reload
        </span>
      )}
      {others > 0 ? (
        <span
          className="bar-others"
          title="Other windows have this site open; what is done there shows here at once."
        >
          <Users size={13} aria-hidden /> {count(others, 'other')} here
        </span>
      ) : null}
      <SavedMark
        connected={connected}
        waiting={pending.length}
        unstored={conflicts.some(({ unstored }) => unstored !== undefined)}
      />
      <Dialog
        open={open}
        title={
          conflicts.length === 0 && setAside.length > 0
            ? 'What was kept in this browser and cannot be read'
            : failed === conflicts.length
              ? 'What the server did not take in'
              : 'Two versions of the same value'
        }
        footer={null}
        onCancel={() => setOpen(false)}
        width={640}
      >
        {undecided === 0 ? <p>Everything is decided.</p> : null}
        {conflicts.map((conflict) => (
          <ConflictRow key={conflict.id} conflict={conflict} />
        ))}
        {setAside.map((each) => (
          <SetAsideRow key={each.key} aside={each} />
        ))}
      </Dialog>
    </>
  );
}

/** Saved, waiting or away. */
function SavedMark({
  connected,
  waiting,
  unstored,
}: {
  connected: boolean;
  waiting: number;
  /** Whether something that was typed could not be stored. */
  unstored: boolean;
}): ReactNode {
  const Mark = !connected || unstored ? CloudOff : waiting > 0 ? CloudUpload : Check;
  return (
    <span
      className={connected && !unstored ? 'bar-saved' : 'bar-saved lost'}
      role="status"
      data-pending={waiting}
    >
      <Mark size={13} aria-hidden />
      {!connected
        ? `Not connected: ${count(waiting, 'edit')} kept here`
        : unstored
          ? 'Not all is stored'
          : waiting > 0
            ? 'Saving'
            : 'Saved'}
    </span>
  );
}

function ConflictRow({ conflict }: { conflict: Conflict }): ReactNode {
  const sync = useSync();
  useDerived();
  if (conflict.failed) return <FailedRow conflict={conflict} />;
  return (
    <section className="conflict">
      <p>
        You {inWords(conflict.said)}. {sentence(conflict.reason)}
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
  const held = JSON.stringify(conflict.edit, null, 2);
  return (
    <section className="conflict">
      <p>
        You {inWords(conflict.said)}. {sentence(conflict.reason)} Everything else goes on.
      </p>
      <Held words="All that it holds, as it is sent" text={held} />
      <CopyButton text={held} />{' '}
      <Button size="small" onClick={() => sync.decide(conflict, true)}>
        Try again
      </Button>{' '}
      <Button size="small" danger onClick={() => sync.decide(conflict, false)}>
        Drop it
      </Button>
    </section>
  );
}

/** Something of this site that the browser kept and this version cannot read: it stays until somebody drops it. */
function SetAsideRow({ aside: { key, text } }: { aside: SetAside }): ReactNode {
  const sync = useSync();
  return (
    <section className="conflict">
      <p>
        This browser kept something for this site that cannot be read here: another version wrote
        it, or it was cut off. It was not sent, and it is kept as it is.
      </p>
      <Held words="All that was kept, as it stands there" text={text} />
      <CopyButton text={text} />{' '}
      <Button size="small" danger onClick={() => sync.letGo(key)}>
        Drop it
      </Button>
    </section>
  );
}

/** Copies a text, and says whether it could. */
function CopyButton({ text }: { text: string }): ReactNode {
  const [copied, setCopied] = useState('');
  const copy = () =>
    navigator.clipboard.writeText(text).then(
      () => setCopied('Copied.'),
      () => setCopied('The browser did not let it be copied; it can be selected above.'),
    );
  return (
    <>
      <Button size="small" onClick={() => void copy()}>
        Copy
      </Button>{' '}
      <span role="status">{copied}</span>
    </>
  );
}

/** A stored value in words, without its type. */
function plainWords(value: unknown): string {
  if (value === null || value === undefined) return 'nothing';
  if (typeof value !== 'object') return String(value as string | number | boolean);
  if (Array.isArray(value))
    return value.every(isPiece) ? richWords(value) : count(value.length, 'item');
  const record = value as Record<string, unknown>;
  if ('axis' in record)
    return `${String(record['at'])}px from the ${record['axis'] === 'x' ? 'left' : 'top'}`;
  if ('family' in record) return `${String(record['family'])}, weight ${String(record['weight'])}`;
  for (const member of ['value', 'css', 'name'])
    if (member in record) return plainWords(record[member]);
  if ('place' in record || 'parent' in record) return 'another place';
  return 'another version of it';
}

/** Whether it is a piece of rich text. */
function isPiece(value: unknown): value is RichPiece {
  return (
    typeof value === 'string' || (typeof value === 'object' && value !== null && 'tag' in value)
  );
}

/** What machines say to each other, for whoever wants to look: folded, since it says nothing to most. */
function Held({ words, text }: { words: string; text: string }): ReactNode {
  return (
    <details className="held-folded">
      <summary>{words}</summary>
      <pre className="held" tabIndex={0} aria-label={words}>
        {text}
      </pre>
    </details>
  );
}
