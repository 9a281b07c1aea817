import type { ReactNode } from 'react';
import { Button } from 'antd';
import type { Message } from '@sormet/core/api';
import { momentWords } from '../../words';
import { HELD, titleOf } from './MessageTable';

/** One message, whole: what was said in each field, in text alone. */
export function MessageRead({
  message,
  onUnread,
}: {
  message: Message;
  onUnread: () => void;
}): ReactNode {
  const { fields, form, path, at, held } = message;
  const address = fields.find(({ value }) => MAIL.test(value))?.value;
  return (
    <article className="message-read" aria-label={titleOf(message)}>
      <header>
        <h2>{titleOf(message)}</h2>
        <p className="quiet">
          {form} on <code>{path}</code>, <time dateTime={at}>{momentWords(at)}</time>
          {held === null ? null : `, held back: it ${HELD[held]}`}
        </p>
      </header>
      <dl>
        {fields.map(({ label, value }, i) => (
          <div key={i}>
            <dt>{label}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      <p className="message-read-acts">
        {address === undefined ? null : (
          <Button size="small" href={`mailto:${encodeURIComponent(address)}`}>
            Write back
          </Button>
        )}
        <Button size="small" type="text" onClick={onUnread}>
          mark as unread
        </Button>
      </p>
    </article>
  );
}

/** What is an address of mail and nothing else. */
const MAIL = /^[^\s@]+@[^\s@]+$/;
