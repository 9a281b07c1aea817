import type { SiteSummary } from '@sormet/core/api';
import { addressesOf } from '@sormet/core/model';
import { say } from '@sormet/core/said';
import { SiteEntity } from '../database/entities';
import { startTestServer, type TestServer } from '../test/test-server';
import { deleteExpired, KEPT_DAYS } from './making-sites';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.stop());

const asked = (slug: string, begins: unknown = 'empty') => ({
  begins,
  name: `Site ${slug}`,
  slug,
  language: 'en',
  width: 720,
});
const make = async (slug: string, begins: unknown = 'empty') =>
  (await server.api.post('/api/sites').send(asked(slug, begins)).expect(201)).body as SiteSummary;
const listed = async () =>
  (await server.api.get('/api/sites').expect(200)).body as {
    sites: SiteSummary[];
    removed: { id: string; name: string; until: string }[];
  };

describe('a site', () => {
  test.each([
    ['empty', 1],
    ['start', 4],
    [{ copy: 'brackenfold' }, undefined],
  ])('can begin as %j, and is worked on like any other', async (begins, pages) => {
    const slug = `new-${typeof begins === 'string' ? begins : 'copy'}`;
    const site = await make(slug, begins);
    const demo = (await listed()).sites.find(({ id }) => id === 'brackenfold')!;
    expect(site).toMatchObject({ slug, live: null, pages: pages ?? demo.pages, unpublished: true });
    const { documents } = (await server.api.get(`/api/sites/${site.id}`).expect(200)).body as {
      documents: Record<string, { name?: string }>;
    };
    expect(documents['site']!.name).toBe(`Site ${slug}`);
    await server.api
      .post(`/api/sites/${site.id}/edits`)
      .send({
        id: `edit-of-${slug}`,
        who: 'window-1',
        name: 'setSite',
        args: { set: { name: 'Renamed' } },
        changes: [{ doc: 'site', path: '/name', was: `Site ${slug}`, now: 'Renamed' }],
      })
      .expect(200);
    expect((await listed()).sites.find(({ id }) => id === site.id)?.name).toBe('Renamed');
  });

  test('has an address of its own: one that is taken is refused at that place', async () => {
    await make('once');
    const { body } = await server.api.post('/api/sites').send(asked('once')).expect(422);
    expect(body).toMatchObject({
      pointer: '/slug',
      said: say('address-of-other', { slug: 'once', site: 'Site once' }),
    });
    for (const slug of ['', 'Two Words', '-x', 'a'.repeat(200)])
      await server.api.post('/api/sites').send(asked(slug)).expect(400);
    await server.api
      .post('/api/sites')
      .send(asked('copied', { copy: 'nobody' }))
      .expect(404);
  });

  test('takes no address of another when it is worked on', async () => {
    const one = await make('address-one');
    await make('address-two');
    const move = (slug: string) =>
      server.api.post(`/api/sites/${one.id}/edits`).send({
        id: `edit-to-${slug}`,
        who: 'window-1',
        name: 'setSite',
        args: { set: { slug } },
        changes: [{ doc: 'site', path: '/slug', was: 'address-one', now: slug }],
      });
    const { body } = await move('address-two').expect(422);
    expect(body).toMatchObject({ said: { code: 'address-of-other' } });
    await move('address-three').expect(200);
    expect((await listed()).sites.find(({ id }) => id === one.id)?.slug).toBe('address-three');
  });

  test('of two who take one address in the same moment, one is told that it is taken', async () => {
    for (let round = 0; round < 3; round += 1) {
      const answers = await Promise.all(
        [0, 1, 2].map(() => server.api.post('/api/sites').send(asked(`at-once-${round}`))),
      );
      expect(answers.map(({ status }) => status).sort()).toEqual([201, 422, 422]);
    }
    const sites = await Promise.all(['move-a', 'move-b'].map((slug) => make(slug)));
    const answers = await Promise.all(
      sites.map(({ id, slug }) =>
        server.api.post(`/api/sites/${id}/edits`).send({
          id: `edit-at-once-${id}`,
          who: 'window-1',
          name: 'setSite',
          args: { set: { slug: 'move-c' } },
          changes: [{ doc: 'site', path: '/slug', was: slug, now: 'move-c' }],
        }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 422]);
  });

  test('the list counts pages without reading a document, and keeps none in memory', async () => {
    const site = await make('counted', 'start');
    const { documents } = await server.store.stateAt(site.id, site.revision);
    expect((await listed()).sites.find(({ id }) => id === site.id)?.pages).toBe(
      addressesOf(documents).length,
    );
    const demo = (await listed()).sites.find(({ slug }) => slug === 'brackenfold');
    expect(demo?.pages).toBe(addressesOf(await server.documents()).length);
    const reading = jest.spyOn(server.store, 'stateAt');
    await listed();
    expect(reading).not.toHaveBeenCalled();
    reading.mockRestore();
  });

  test('is removed only by its name, is gone everywhere, and comes back as it was', async () => {
    const site = await make('to-go', 'start');
    const remove = (name: string) => server.api.delete(`/api/sites/${site.id}`).send({ name });
    await remove('Something else').expect(422);
    await remove(site.name).expect(204);
    await server.api.get(`/api/sites/${site.id}`).expect(404);
    await server.api.get(`/api/sites/${site.id}/plan`).expect(404);
    await server.sites.get('/').set('host', 'to-go.localhost').expect(404);
    await server.api
      .post(`/api/sites/${site.id}/edits`)
      .send({ id: 'edit-on-gone', who: 'w', name: 'tidy', args: {}, changes: [] })
      .expect(404);
    const { sites, removed } = await listed();
    expect(sites.some(({ id }) => id === site.id)).toBe(false);
    expect(removed.find(({ id }) => id === site.id)?.name).toBe(site.name);
    await server.api.post('/api/sites').send(asked('to-go')).expect(422);
    await server.api.post(`/api/sites/${site.id}/back`).expect(204);
    expect((await listed()).sites.find(({ id }) => id === site.id)?.pages).toBe(site.pages);
    await server.api.post(`/api/sites/${site.id}/back`).expect(404);
  });

  test('that was removed long ago is deleted with all that belonged to it', async () => {
    const site = await make('long-gone');
    await server.api.delete(`/api/sites/${site.id}`).send({ name: site.name }).expect(204);
    const longAgo = new Date(Date.now() - (KEPT_DAYS + 1) * 24 * 60 * 60 * 1000);
    await server.database.getRepository(SiteEntity).update({ id: site.id }, { removed: longAgo });
    expect((await listed()).removed.some(({ id }) => id === site.id)).toBe(false);
    // Reading the list deletes nothing.
    expect(await server.database.getRepository(SiteEntity).countBy({ id: site.id })).toBe(1);
    await deleteExpired(server.store);
    expect(await server.database.getRepository(SiteEntity).countBy({ id: site.id })).toBe(0);
    await make('long-gone');
  });
});
