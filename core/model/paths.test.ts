import { addressesOf, entryTitle, pageForEntries, pathOf, redirectsOf } from '.';
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
    expect(addressesOf(hidden, true).map(({ path }) => path)).toEqual([
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
