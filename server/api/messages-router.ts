import { Router } from 'express';
import * as shapes from '@sormet/core/api';
import { say } from '@sormet/core/said';
import { answer, read } from '../http/check';
import { Problem } from '../http/problem';
import { mailsOf, mark, messagesAsCsv, messagesOf, remove, type Shown } from '../messages/inbox';
import type { ApiParts } from './api-parts';
import { idFrom, siteIn } from './in-address';

/** What visitors sent with the forms of one site. */
export function messagesRouter({ store }: ApiParts): Router {
  const router = Router({ mergeParams: true });
  const { database } = store;

  router.get('/messages', async (request, response) => {
    const { id, revision } = await siteIn(store, request);
    const { documents } = await store.stateAt(id, revision);
    const { days } = documents.site.inbox ?? {};
    const { before } = request.query;
    const list = await messagesOf(database, id, {
      ...asked(request.query),
      ...(before === undefined ? {} : { before: idFrom(before, 'before') }),
      ...(days === undefined ? {} : { days }),
    });
    answer(response, shapes.MessageList, list);
  });

  router.get('/messages.csv', async (request, response) => {
    const { id } = await siteIn(store, request);
    const { shown, search } = asked(request.query);
    response
      .type('csv')
      .attachment('messages.csv')
      .send(await messagesAsCsv(database, id, shown, search));
  });

  router.patch('/messages', async (request, response) => {
    const { id } = await siteIn(store, request);
    const { ids, set } = read(shapes.MarkRequest, request.body);
    await mark(database, id, ids, set);
    response.status(204).end();
  });

  router.post('/messages/remove', async (request, response) => {
    const { id } = await siteIn(store, request);
    const { ids } = read(shapes.RemoveMessages, request.body);
    await remove(database, id, ids);
    response.status(204).end();
  });

  router.get('/mails', async (request, response) => {
    const { id } = await siteIn(store, request);
    answer(response, shapes.MailList, { mails: await mailsOf(database, id) });
  });
  return router;
}

const SHOWN: ReadonlySet<unknown> = new Set<Shown>(['inbox', 'unread', 'held']);

function asked(query: Record<string, unknown>): { shown: Shown; search: string } {
  const { shown = 'inbox', search = '' } = query;
  if (!SHOWN.has(shown) || typeof search !== 'string' || search.length > 200)
    throw new Problem(400, say('request-unreadable'));
  return { shown: shown as Shown, search };
}
