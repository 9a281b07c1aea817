import type { ReactNode } from 'react';
import type { Message } from '@sormet/core/api';
import { HeadedTable } from '../../parts/HeadedTable';
import { momentWords } from '../../words';

/** Messages in rows; one is opened by its first words. */
export function MessageTable({
  messages,
  open,
  chosen,
  onChoose,
  onOpen,
}: {
  messages: readonly Message[];
  /** The one that is read. */
  open: string | null;
  chosen: ReadonlySet<string>;
  onChoose: (chosen: ReadonlySet<string>) => void;
  onOpen: (message: Message) => void;
}): ReactNode {
  const isAll = messages.every(({ id }) => chosen.has(id));
  const choose = (id: string, on: boolean) => {
    const next = new Set(chosen);
    if (on) next.add(id);
    else next.delete(id);
    onChoose(next);
  };
  return (
    <HeadedTable
      label="Messages"
      className="screen-table message-table"
      heads={[
        {
          name: (
            <input
              type="checkbox"
              aria-label="All that are listed"
              checked={isAll}
              onChange={({ target }) =>
                onChoose(new Set(target.checked ? messages.map(({ id }) => id) : []))
              }
            />
          ),
        },
        'Message',
        'Form',
        'Received',
      ]}
    >
      <tbody>
        {messages.map((message) => {
          const { id, at, form, path, read, held } = message;
          return (
            <tr key={id} className={rowClass(id === open, read)}>
              <td>
                <input
                  type="checkbox"
                  aria-label={`Choose ${titleOf(message)}`}
                  checked={chosen.has(id)}
                  onChange={({ target }) => choose(id, target.checked)}
                />
              </td>
              <td className="message-words">
                <button type="button" aria-current={id === open} onClick={() => onOpen(message)}>
                  {read ? null : <span className="message-new">new</span>}
                  <span className="message-title">{titleOf(message)}</span>{' '}
                  <span className="quiet">{restOf(message)}</span>
                </button>
                {held === null ? null : <span className="message-held">{HELD[held]}</span>}
              </td>
              <td title={path}>{form}</td>
              <td>
                <time dateTime={at}>{momentWords(at)}</time>
              </td>
            </tr>
          );
        })}
      </tbody>
    </HeadedTable>
  );
}

/** Why a message is held back, in words. */
export const HELD: Readonly<Record<NonNullable<Message['held']>, string>> = {
  trap: 'filled in what nobody sees',
  quick: 'came sooner than anybody types',
};

function rowClass(isOpen: boolean, isRead: boolean): string {
  return [isOpen ? 'chosen' : '', isRead ? '' : 'unread'].filter(Boolean).join(' ');
}

/** What a message is called: what its first field says. */
export function titleOf({ fields }: Message): string {
  return fields[0]?.value ?? 'nothing said';
}

function restOf({ fields }: Message): string {
  return fields
    .slice(1)
    .map(({ value }) => value)
    .join(' · ')
    .replace(/\s+/g, ' ')
    .slice(0, 200);
}
