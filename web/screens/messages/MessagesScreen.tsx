import { useDeferredValue, useState, type ReactNode } from 'react';
import { Button, Input, Popconfirm, Segmented, Skeleton } from 'antd';
import type { Message } from '@sormet/core/api';
import { Wrong } from '../../parts/Wrong';
import { csvOfMessages } from '../../site/api';
import { useSync } from '../../site/SiteProvider';
import { count } from '../../words';
import { MailList } from './MailList';
import { MessageRead } from './MessageRead';
import { MessageTable } from './MessageTable';
import { useMessages, type Looked } from './use-messages';
import '../screens.css';
import './messages.css';

/** What visitors sent with the forms of a site: found, read, kept apart from what robots send, taken out as a table, removed. */
export function MessagesScreen(): ReactNode {
  const { site } = useSync();
  const [looked, setLooked] = useState<Looked>('inbox');
  const [find, setFind] = useState('');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [open, setOpen] = useState<string | null>(null);
  const search = useDeferredValue(find.trim());
  const messages = useMessages(looked, search);
  const { list, isHere, mails, error } = messages;
  const rows = (isHere ? list?.messages : undefined) ?? [];
  // What was chosen and is not in sight any more is left alone.
  const ids = rows.flatMap(({ id }) => (chosen.has(id) ? id : []));
  const opened = rows.find(({ id }) => id === open);
  const read = (message: Message) => {
    setOpen(message.id);
    if (!message.read) messages.markRead([message.id], true);
  };
  const look = (next: Looked) => {
    setLooked(next);
    setChosen(new Set());
    setOpen(null);
  };
  const number = (many: number | undefined) => (many ? ` ${many}` : '');
  return (
    <div className="messages">
      <div className="screen-head">
        <h1>Messages</h1>
        <span className="screen-acts">
          {looked === 'mails' ? null : (
            <>
              <Input
                size="small"
                className="search"
                aria-label="Find a message"
                placeholder="find"
                allowClear
                maxLength={200}
                value={find}
                onChange={({ target }) => setFind(target.value)}
              />
              <Button
                size="small"
                href={csvOfMessages(site, looked, search)}
                disabled={rows.length === 0}
              >
                Export as CSV
              </Button>
            </>
          )}
        </span>
      </div>
      <div className="messages-acts">
        <Segmented<Looked>
          size="small"
          aria-label="Which messages"
          value={looked}
          onChange={look}
          options={[
            { value: 'inbox', label: `all${number(list?.all)}` },
            { value: 'unread', label: `unread${number(list?.unread)}` },
            {
              value: 'held',
              label: `held back${number(list?.held)}`,
              title: 'What robots may have sent',
            },
            { value: 'mails', label: 'outbox', title: 'The mail that told of messages' },
          ]}
        />
        {ids.length > 0 && looked !== 'mails' ? (
          <>
            <span className="quiet">{count(ids.length, 'message')}:</span>
            {looked === 'held' ? (
              <Button size="small" onClick={() => messages.letIn(ids)}>
                no robot
              </Button>
            ) : (
              <>
                <Button size="small" onClick={() => messages.markRead(ids, true)}>
                  read
                </Button>
                <Button size="small" onClick={() => messages.markRead(ids, false)}>
                  unread
                </Button>
              </>
            )}
            <Popconfirm
              title={`Remove ${count(ids.length, 'message')}?`}
              description="For good: messages are no part of the history."
              okText="Remove"
              cancelText="Keep"
              onConfirm={() => messages.remove(ids)}
            >
              <Button size="small" danger>
                remove
              </Button>
            </Popconfirm>
          </>
        ) : null}
      </div>
      <Wrong words={error} as="p" />
      {looked === 'mails' ? (
        <MailList mails={mails} />
      ) : !list || !isHere ? (
        <Skeleton active />
      ) : rows.length === 0 ? (
        <p className="quiet">{search === '' ? NONE[looked] : `Nothing holds “${search}”.`}</p>
      ) : (
        <div className="messages-and-one">
          <div>
            <MessageTable
              messages={rows}
              open={open}
              chosen={chosen}
              onChoose={setChosen}
              onOpen={read}
            />
            {list.more ? (
              <Button size="small" onClick={messages.more}>
                Older ones
              </Button>
            ) : null}
          </div>
          {opened ? (
            <MessageRead
              message={opened}
              onUnread={() => {
                messages.markRead([opened.id], false);
                setOpen(null);
              }}
            />
          ) : (
            <p className="quiet messages-none">Choose a message to read it.</p>
          )}
        </div>
      )}
    </div>
  );
}

const NONE: Readonly<Record<Exclude<Looked, 'mails'>, string>> = {
  inbox:
    'Nothing yet. A form whose “comes to the inbox” is on sends here, once its page is published.',
  unread: 'Everything is read.',
  held: 'Nothing is held back.',
};
