import fc from 'fast-check';
import {
  addressesAt,
  addressesOf,
  entryTitle,
  NO_MOMENT,
  pageForEntries,
  pathOf,
  redirectAt,
  redirectsOf,
  siteFindings,
} from '.';
import { contentType, documentsOf, entry, page, words } from '../test/small-site';

const body = { tag: 'div' };
const shed = contentType('shed', { name: 'text' });
const millgate = entry('shed', 'millgate', { name: words('Millgate') });
const dunmoor = entry('shed', 'dunmoor', {});
const home = page('home', '/', body);
const each = page('each', '/sheds/<slug>', body, 'shed');
const draft = { ...page('draft', '/draft', body), draft: true };

describe('the addresses of a site', () => {
  const documents = documentsOf(shed, millgate, dunmoor, home, each, draft);

  test('are one for each page, and one for each entry of a page made from entries, sorted', () => {
    expect(addressesOf(documents).map(({ path }) => path)).toEqual([
      '/',
      '/sheds/dunmoor',
      '/sheds/millgate',
    ]);
  });

  test('leave out drafts of pages and entries, unless asked for', () => {
    const hidden = documentsOf(shed, { ...millgate, draft: true }, dunmoor, each, draft);
    expect(addressesOf(hidden).map(({ path }) => path)).toEqual(['/sheds/dunmoor']);
    expect(addressesOf(hidden, 'everything').map(({ path }) => path)).toEqual([
      '/draft',
      '/sheds/dunmoor',
      '/sheds/millgate',
    ]);
  });

  test('put the slug of the entry in its place', () => {
    expect(pathOf(each, millgate)).toBe('/sheds/millgate');
    expect(pathOf(home)).toBe('/');
  });

  test('know the page that is made from a type', () => {
    expect(pageForEntries(documents, 'shed')?.id).toBe('each');
    expect(pageForEntries(documents, 'other')).toBeUndefined();
  });
});

describe('former paths', () => {
  const moved = { ...each, path: '/workshops/<slug>', former: { '/sheds/<slug>': true as const } };

  test('lead to where the page is now, for every entry', () => {
    expect([...redirectsOf(documentsOf(shed, millgate, dunmoor, moved))]).toEqual([
      ['/sheds/dunmoor', '/workshops/dunmoor'],
      ['/sheds/millgate', '/workshops/millgate'],
    ]);
  });

  test('lead nowhere once another page has the path', () => {
    const taken = page('taken', '/old', body);
    const former = { ...home, former: { '/old': true as const } };
    expect(redirectsOf(documentsOf(former)).get('/old')).toBe('/');
    expect(redirectsOf(documentsOf(former, taken)).has('/old')).toBe(false);
  });
});

test('an entry is known by its title, else by its slug', () => {
  const documents = documentsOf(shed, millgate, dunmoor);
  expect(entryTitle(documents, millgate)).toBe('Millgate');
  expect(entryTitle(documents, dunmoor)).toBe('dunmoor');
});

describe('asked for one path', () => {
  const names = fc.constantFrom('a', 'b', 'c');
  const paths = fc.oneof(
    fc.constant('/'),
    names.map((name) => `/${name}`),
    fc.tuple(names, names).map(([above, name]) => `/${above}/${name}`),
  );
  const former = <T extends string>(list: readonly T[]) =>
    Object.fromEntries(list.map((each) => [each, true as const]));
  const single = fc
    .tuple(fc.nat(9), paths, fc.array(paths, { maxLength: 3 }), fc.boolean())
    .map(([n, path, old, hidden]) => ({
      ...page(`p${n}`, path, body),
      former: former(old.flatMap((each) => [each, `${each}/<slug>`])),
      draft: hidden,
    }));
  const many = fc
    .tuple(fc.nat(9), names, fc.array(names, { maxLength: 2 }), fc.constantFrom('shed', 'mender'))
    .map(([n, above, old, type]) => ({
      ...page(`e${n}`, `/${above}/<slug>`, body, type),
      former: former(old.map((each) => `/${each}/<slug>`)),
    }));
  const entries = fc
    .tuple(
      fc.nat(9),
      fc.constantFrom('shed', 'mender'),
      names,
      fc.array(names, { maxLength: 2 }),
      fc.boolean(),
    )
    .map(([n, type, slug, old, hidden]) => ({
      ...entry(type, `x${n}`, {}),
      slug,
      former: former(old),
      draft: hidden,
    }));
  const steps = fc.array(fc.oneof(single, many, entries), { maxLength: 30 });

  test('a site says what the list of all addresses and redirects says, after any changes', () => {
    fc.assert(
      fc.property(steps, (docs) => {
        // Asked for once, so that everything after it is brought along and not made anew.
        let documents = documentsOf(shed);
        documents.claiming('');
        for (const doc of docs) documents = documents.with(doc);
        const redirects = redirectsOf(documents);
        const below = ['a', 'b', 'c'].flatMap((a) => ['a', 'b', 'c'].map((b) => `/${a}/${b}`));
        for (const path of ['/', '/a', '/b', '/c', '/a/<slug>', '/b/<slug>', ...below]) {
          for (const sight of ['everything', NO_MOMENT] as const)
            expect(addressesAt(documents, path, sight)).toEqual(
              addressesOf(documents, sight).filter((address) => address.path === path),
            );
          expect([path, redirectAt(documents, path)]).toEqual([path, redirects.get(path)]);
        }
      }),
    );
  });

  test('what only one may have is found by looking at what changed', () => {
    fc.assert(
      fc.property(steps, (docs) => {
        let documents = documentsOf(shed);
        documents.claiming('');
        for (const doc of docs) {
          const next = documents.with(doc);
          if (siteFindings(next, [doc.id]).length === 0) documents = next;
          else expect(siteFindings(next)).not.toEqual([]);
        }
        expect(siteFindings(documents)).toEqual([]);
      }),
    );
  });
});
