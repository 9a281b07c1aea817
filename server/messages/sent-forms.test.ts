import { parse } from 'parse5';
import type { Mail, MessageList } from '@sormet/core/api';
import { startTestServer, type TestServer } from '../test/test-server';
import { all, said } from './form-in-page';

let server: TestServer;
let action: string;
beforeAll(async () => {
  server = await startTestServer();
  await server.send(
    {
      name: 'setSite',
      args: { set: { inbox: { mail: 'client@example.org', days: 30 } } },
    } as never,
    await server.documents(),
  );
  await server.publish();
  const { text } = await page().expect(200);
  const [form] = all(parse(text), ({ tagName }) => tagName === 'form');
  expect(said(form!, 'method')).toBe('post');
  action = said(form!, 'action')!;
});
afterAll(() => {
  clock.mockRestore();
  return server.stop();
});
beforeEach(() => server.database.query('DELETE FROM messages'));

const page = (host = 'brackenfold.localhost') => server.sites.get('/about').set('host', host);

/** A minute passes before each: how soon and how often somebody sends is noted. */
const clock = jest.spyOn(Date, 'now');
const send = (fields: Record<string, string>, host = 'brackenfold.localhost') => {
  const before = Date.now();
  clock.mockReturnValue(before + 61_000);
  return server.sites.post(`/about${action}`).set('host', host).type('form').send(fields);
};

const GOOD = {
  name: 'Ada',
  mail: 'ada@example.org',
  about: 'Helping at a shed',
  words: 'I mend\r\nclocks.',
  leave: '',
};
const inbox = async (query = ''): Promise<MessageList> =>
  (await server.api.get(`/api/sites/brackenfold/messages${query}`).expect(200)).body;

test('what is sent is in the inbox under what each field is called, and mail tells of it', async () => {
  const { headers } = await send({ ...GOOD, told: 'on' }).expect(303);
  expect(headers['location']).toBe(`?sent=${encodeURIComponent(action.slice('?send='.length))}`);
  const { messages, all: many, unread, held } = await inbox();
  expect([many, unread, held]).toEqual([1, 1, 0]);
  expect(messages[0]).toMatchObject({
    path: '/about',
    form: 'Write to us',
    held: null,
    read: false,
    fields: [
      { label: 'Your name', value: 'Ada' },
      { label: 'Your address for mail', value: 'ada@example.org' },
      { label: 'What it is about', value: 'Helping at a shed' },
      { label: 'Your words', value: 'I mend\nclocks.' },
      { label: 'Tell me when a shed opens near me', value: 'yes' },
    ],
  });
  const { body } = await server.api.get('/api/sites/brackenfold/mails').expect(200);
  const [mail] = (body as { mails: Mail[] }).mails;
  expect(mail).toMatchObject({ recipient: 'client@example.org' });
  expect(mail!.body).toContain('Your words: I mend\nclocks.');
});

test('afterwards the words of the form stand in its place, heard at once', async () => {
  const { text, headers } = await server.sites
    .get(`/about?sent=${action.slice('?send='.length)}`)
    .set('host', 'brackenfold.localhost')
    .expect(200);
  expect(headers['cache-control']).toBe('no-store');
  expect(text).toContain('role="status"');
  expect(text).toContain('Thank you. It is with us');
  expect(all(parse(text), ({ tagName }) => tagName === 'form')).toEqual([]);
  // What names no form of the page changes nothing.
  const same = await server.sites.get('/about?sent=x').set('host', 'brackenfold.localhost');
  expect(same.text).toBe((await page()).text);
});

test('what is wrong is said at its field in the words of the site, what was typed stays, and nothing is kept', async () => {
  const typed = {
    ...GOOD,
    name: '',
    mail: '"><script>alert(1)</script>',
    words: '\n</textarea><b>',
  };
  const { text, headers } = await send(typed).expect(422);
  expect(headers['content-security-policy']).toContain("default-src 'none'");
  const root = parse(text);
  const named = (name: string) => all(root, (each) => said(each, 'name') === name)[0]!;
  expect(said(named('mail'), 'value')).toBe(typed.mail);
  expect(said(named('mail'), 'aria-invalid')).toBe('true');
  expect(said(named('words'), 'aria-invalid')).toBeUndefined();
  expect(named('words').childNodes).toMatchObject([{ value: '\n</textarea><b>' }]);
  const told = all(root, (each) => said(each, 'id') === said(named('mail'), 'aria-describedby'));
  expect(told[0]!.childNodes).toMatchObject([
    { value: 'We need an address to write back to, as name@example.org.' },
  ]);
  expect(all(root, ({ tagName }) => tagName === 'b')).toEqual([]);
  expect((await inbox()).all).toBe(0);
});

test('scripts are told the same in JSON', async () => {
  const bad = await send({ ...GOOD, mail: 'x' })
    .set('accept', 'application/json')
    .expect(422);
  expect(bad.body).toEqual({
    said: 'Your address for mail: We need an address to write back to, as name@example.org.',
    wrong: [
      {
        name: 'mail',
        label: 'Your address for mail',
        said: 'We need an address to write back to, as name@example.org.',
      },
    ],
  });
  const good = await send(GOOD).set('accept', 'application/json').expect(201);
  expect(good.body).toEqual({
    said: 'Thank you. It is with us, and one of us will write back.',
    kept: true,
  });
});

test('what fills in what nobody sees is held back, and so is what comes sooner than anybody types; mail tells of neither', async () => {
  await send({ ...GOOD, leave: 'http://spam.example' }).expect(303);
  expect(await inbox()).toMatchObject({ all: 0, held: 1, messages: [] });
  const { messages } = await inbox('?shown=held');
  expect(messages[0]!.held).toBe('trap');
  expect(messages[0]!.fields.some(({ value }) => value.includes('spam'))).toBe(false);
  expect((await server.api.get('/api/sites/brackenfold/mails')).body).toEqual({ mails: [] });
  await server.api
    .patch('/api/sites/brackenfold/messages')
    .send({ ids: [messages[0]!.id], set: { held: false } })
    .expect(204);
  expect(await inbox()).toMatchObject({ all: 1, held: 0 });
});

test('a preview answers in the same way and keeps nothing', async () => {
  const host = 'brackenfold.preview.localhost';
  await send({ ...GOOD, name: '' }, host).expect(422);
  await send(GOOD, host).expect(303);
  expect((await inbox()).all).toBe(0);
});

test('a form that is not there, another site that sends, and what is too large are told so', async () => {
  const post = (path: string) =>
    server.sites.post(path).set('host', 'brackenfold.localhost').type('form');
  await post('/about?send=nothing').send(GOOD).expect(404);
  await post('/about').send(GOOD).expect(405);
  await post('/no-such-page?send=x').send(GOOD).expect(404);
  await post(`/about${action}`).set('sec-fetch-site', 'cross-site').send(GOOD).expect(403);
  await post(`/about${action}`)
    .send({ ...GOOD, words: 'x'.repeat(300_000) })
    .expect(413);
  expect((await inbox()).all).toBe(0);
});

test('messages are searched, read, taken out as CSV and removed; those older than the site keeps any go by themselves', async () => {
  for (const [name, words] of [
    ['Ada', '=1+1'],
    ['Bea 100%', 'a "quote", and\nlines'],
  ] as const)
    await send({ ...GOOD, name, words }).expect(303);
  expect((await inbox('?search=100%25')).messages).toHaveLength(1);
  expect((await inbox('?search=%25')).messages).toHaveLength(1);
  expect((await inbox('?search=ABOUT')).messages).toHaveLength(2);
  const { messages } = await inbox();
  const [newest, oldest] = messages;
  expect((await inbox(`?before=${newest!.id}`)).messages.map(({ id }) => id)).toEqual([oldest!.id]);
  await server.api
    .patch('/api/sites/brackenfold/messages')
    .send({ ids: [newest!.id], set: { read: true } })
    .expect(204);
  expect((await inbox('?shown=unread')).messages.map(({ id }) => id)).toEqual([oldest!.id]);
  const { text, headers } = await server.api.get('/api/sites/brackenfold/messages.csv').expect(200);
  expect(headers['content-disposition']).toContain('attachment');
  expect(text.split('\r\n')[0]).toBe(
    'Received,Form,Page,Your name,Your address for mail,What it is about,Your words',
  );
  expect(text).toContain('"a ""quote"", and\nlines"');
  // What a table program would work out is words (OWASP, CSV Injection).
  expect(text).toContain(`,"'=1+1"`);
  await server.database.query(`UPDATE messages SET at = now() - interval '31 days' WHERE id = $1`, [
    oldest!.id,
  ]);
  expect((await inbox()).all).toBe(1);
  await server.api
    .post('/api/sites/brackenfold/messages/remove')
    .send({ ids: [newest!.id] })
    .expect(204);
  expect((await inbox()).all).toBe(0);
  await server.api.get('/api/sites/brackenfold/messages?shown=x').expect(400);
  await server.api.get('/api/sites/nobody/messages').expect(404);
});

test('who sends much at once is asked to wait, and keeps what was typed', async () => {
  const statuses: number[] = [];
  for (let i = 0; i < 6; i += 1) {
    const { status } = await server.sites
      .post(`/about${action}`)
      .set('host', 'brackenfold.localhost')
      .type('form')
      .send(GOOD);
    statuses.push(status);
  }
  expect(statuses.at(-1)).toBe(429);
});
