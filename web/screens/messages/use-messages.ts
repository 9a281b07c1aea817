import { useCallback, useEffect, useState } from 'react';
import type { Mail, Message, MessageList } from '@sormet/core/api';
import { useLatest } from '../../parts/use-latest';
import { api, type ShownMessages } from '../../site/api';
import { useSync } from '../../site/SiteProvider';

/** How often it is asked whether something came, in ms. */
const ASKED_EVERY = 20_000;

/** What of the messages is looked at: some of them, or the mail that told of them. */
export type Looked = ShownMessages | 'mails';

/** The messages of a site as they are looked at, and what can be done with them. */
export interface Messages {
  /** Nothing until it is known. */
  readonly list: MessageList | null;
  /** Whether what is listed is what is looked at, not what was before. */
  readonly isHere: boolean;
  readonly mails: readonly Mail[] | null;
  readonly error: string;
  readonly more: () => void;
  readonly markRead: (ids: readonly string[], read: boolean) => void;
  readonly letIn: (ids: readonly string[]) => void;
  readonly remove: (ids: readonly string[]) => void;
}

export function useMessages(looked: Looked, search: string): Messages {
  const { site } = useSync();
  const [list, setList] = useState<MessageList | null>(null);
  const [listed, setListed] = useState<Looked | null>(null);
  const [mails, setMails] = useState<readonly Mail[] | null>(null);
  const [error, setError] = useState('');
  const asked = useLatest(`${looked} ${search}`);
  const failed = useCallback((problem: Error) => setError(problem.message), []);

  const load = useCallback(() => {
    const here = `${looked} ${search}`;
    const shown = looked === 'mails' ? 'inbox' : looked;
    return Promise.all([
      api.messages(site, shown, search),
      looked === 'mails' ? api.mails(site) : undefined,
    ]).then(([next, sent]) => {
      // What was asked before something else was is no answer to that.
      if (asked.current !== here) return;
      setList(next);
      setListed(looked);
      if (sent) setMails(sent.mails);
      setError('');
    }, failed);
  }, [site, looked, search, asked, failed]);

  useEffect(() => {
    void load();
    const timer = setInterval(() => {
      if (!document.hidden) void load();
    }, ASKED_EVERY);
    return () => clearInterval(timer);
  }, [load]);

  const done = (act: Promise<void>) => void act.then(load, failed);
  return {
    list,
    isHere: listed === looked,
    mails,
    error,
    more: () => {
      const last = list?.messages.at(-1);
      if (!last || looked === 'mails') return;
      api.messages(site, looked, search, last.id).then((next) => {
        setList((now) => now && { ...next, messages: [...now.messages, ...next.messages] });
      }, failed);
    },
    markRead: (ids, read) => {
      setList((now) => now && { ...now, messages: now.messages.map(marked(ids, read)) });
      done(api.markMessages(site, { ids: [...ids], set: { read } }));
    },
    letIn: (ids) => done(api.markMessages(site, { ids: [...ids], set: { held: false } })),
    remove: (ids) => done(api.removeMessages(site, { ids: [...ids] })),
  };
}

function marked(ids: readonly string[], read: boolean) {
  return (message: Message): Message => (ids.includes(message.id) ? { ...message, read } : message);
}
