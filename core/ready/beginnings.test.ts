import { saidText } from '../said';
import { htmlOf } from '../test/html';
import { brackenfold } from '@sormet/demo';
import { addressesOf, docOf, type Documents } from '../model';
import { build, Linker } from '../resolve';
import { dataOf } from '../value';
import { doEdit, isRefusal, findingsOf } from '../edit';
import { contrast, readColour } from '../colour';
import { LOOKS, type LookName } from './looks';
import { beginSite, copySite, emptyComponent, emptyPage, type NewSite } from './beginnings';

const asked: NewSite = {
  name: 'Larkhollow & sons',
  slug: 'larkhollow',
  language: 'de-AT',
  width: 720,
};

describe('a new site', () => {
  test.each(['empty', 'start'] as const)(
    'that begins %s is sound, with a home page in a surround',
    (way) => {
      const documents = beginSite(asked, way);
      expect(findingsOf(documents)).toEqual([]);
      expect(documents.site).toMatchObject({
        slug: 'larkhollow',
        language: 'de-AT',
        surround: 'surround',
      });
      const html = htmlOf(
        build(new Linker().link(documents, 'home'), dataOf(documents), undefined).root,
      );
      for (const landmark of ['<header', '<nav', '<main', '<footer'])
        expect(html.split(landmark)).toHaveLength(2);
      expect(html).toContain('>Larkhollow &amp; sons</h1>');
    },
  );

  test('that begins with pages has a page for each entry', () => {
    const paths = addressesOf(beginSite(asked, 'start')).map(({ path }) => path);
    expect(paths.sort()).toEqual(['/', '/about', '/news', '/news/first']);
  });

  test('that is a copy has all of the other, and nothing that only its visitors know', () => {
    const demo = brackenfold().documents;
    const copy = copySite(demo, asked);
    expect(findingsOf(copy)).toEqual([]);
    expect(copy.size).toBe(demo.size);
    expect(copy.site.name).toBe(asked.name);
    expect(addressesOf(copy).map(({ path }) => path)).toEqual(
      addressesOf(demo).map(({ path }) => path),
    );
  });
});

test('an empty page and an empty component can be added to any site', () => {
  const documents = beginSite(asked, 'empty');
  const page = emptyPage(documents, '/more', 'More');
  const component = emptyComponent('Sections/Band');
  const added = doEdit(documents, { name: 'addPage', args: { page } });
  if (isRefusal(added)) throw new Error(saidText(added.refused));
  const both = doEdit(added.documents, { name: 'addComponent', args: { component } });
  if (isRefusal(both)) throw new Error(saidText(both.refused));
  expect(docOf(both.documents, 'page', page.id)?.draft).toBe(true);
  expect(docOf(both.documents, 'component', component.id)?.name).toBe('Sections/Band');
});

describe('each of the looks that a site may begin with', () => {
  test.each(Object.keys(LOOKS) as LookName[])(
    '%s: is sound, of its own tokens, and is read',
    (look) => {
      const documents = beginSite({ ...asked, look }, 'start');
      expect(findingsOf(documents)).toEqual([]);
      const { colours } = LOOKS[look];
      const ratio = (a: string, b: string) => contrast(readColour(a)!, readColour(b)!);
      // WCAG 2.2, 1.4.3: 4.5 to 1 for any text.
      expect(ratio(colours.ink, colours.paper)).toBeGreaterThanOrEqual(4.5);
      expect(ratio(colours.ink, colours.tint)).toBeGreaterThanOrEqual(4.5);
      expect(ratio(colours.brand, colours.paper)).toBeGreaterThanOrEqual(4.5);
      expect(ratio(colours['on brand'], colours.brand)).toBeGreaterThanOrEqual(4.5);
      expect(unusedTokensIn(documents, ['ink', 'paper', 'brand', 'on brand', 'tint'])).toEqual([]);
    },
  );
});

/** Which of some tokens nothing in the look is made of. */
function unusedTokensIn(documents: Documents, names: readonly string[]): string[] {
  const stored = JSON.stringify([...documents].filter(({ kind }) => kind !== 'tokens'));
  return Object.entries(documents.tokens.tokens)
    .filter(([id, { name }]) => names.includes(name) && !stored.includes(`"${id}"`))
    .map(([, { name }]) => name);
}

test('mail of the messages of a copy goes to nobody; how long they are kept is copied', () => {
  const demo = brackenfold().documents;
  const told = demo.with({ ...demo.site, inbox: { mail: 'client@example.org', days: 90 } });
  expect(copySite(told, asked).site.inbox).toEqual({ days: 90 });
  expect(copySite(demo, asked).site.inbox).toBeUndefined();
});
