import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Skeleton } from 'antd';
import type { Mail } from '@sormet/core/api';
import { useDerived, useSync } from '../../site/SiteProvider';
import { momentWords } from '../../words';

/** The outbox: the mail that tells of messages. It stands in for a service that sends it. */
export function MailList({ mails }: { mails: readonly Mail[] | null }): ReactNode {
  const { site } = useSync();
  const { inbox } = useDerived().documents.site;
  if (!mails) return <Skeleton active />;
  return (
    <>
      <p className="quiet">
        {inbox?.mail === undefined
          ? 'No mail tells of messages: '
          : `Each message is told to ${inbox.mail}. This outbox stands in for a service that sends mail, nothing leaves this machine: `}
        <Link to={`/sites/${site}/settings`}>
          {inbox?.mail === undefined
            ? 'say to whom in the settings'
            : 'change that in the settings'}
        </Link>
        .
      </p>
      {mails.map(({ id, at, recipient, subject, body }) => (
        <article key={id} className="message-read mail" aria-label={subject}>
          <header>
            <h2>{subject}</h2>
            <p className="quiet">
              to {recipient}, <time dateTime={at}>{momentWords(at)}</time>
            </p>
          </header>
          <pre>{body}</pre>
        </article>
      ))}
    </>
  );
}
