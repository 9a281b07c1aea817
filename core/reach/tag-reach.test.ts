import { brackenfold } from '@sormet/demo';
import fc from 'fast-check';
import { allOf, EVERY_TAG, isPerEntry, own, type Documents } from '../model';
import { build, Linker, type ResolvedElement, type Within } from '../resolve';
import { nodesOf } from '../test/html';
import { component, documentsOf, page } from '../test/small-site';
import { dataOf } from '../value';
import { Reach, reachOfStyle, reachOfTag } from '.';

interface Drawn {
  readonly element: ResolvedElement;
  readonly page: string;
}

/** The way from the page to where something stands, the rounds of a repeat being one. */
function way(within: Within): string {
  return within.parent ? `${way(within.parent)}/${within.node}` : within.doc;
}

/** Every element that pages are drawn with, each once however often it repeats, and the page it is on. */
function drawn(documents: Documents): Map<string, Drawn> {
  const data = dataOf(documents);
  const found = new Map<string, Drawn>();
  for (const doc of allOf(documents, 'page')) {
    const linked = new Linker().link(documents, doc.id);
    const made = isPerEntry(doc)
      ? allOf(documents, 'entry').filter(({ type }) => type === doc.entries)
      : [undefined];
    for (const entry of made)
      for (const element of nodesOf(build(linked, data, entry).root))
        if (element.kind === 'element')
          found.set(`${way(element.scope.within)} ${element.from.id}`, { element, page: doc.id });
  }
  return found;
}

describe('whom the style of a tag reaches', () => {
  test('is every page for html and body, which stand in no tree', () => {
    const documents = documentsOf(
      page('a', '/', { tag: 'main' }),
      page('b', '/b', { tag: 'main' }),
    );
    const reach = new Reach(documents);
    for (const tag of ['html', 'body'])
      expect(reachOfTag(documents, reach, tag)).toEqual({ elements: 2, pages: 2 });
    expect(reachOfTag(documents, reach, 'h1')).toEqual({ elements: 0, pages: 0 });
  });

  test('counts what a definition holds as often as it is placed, within others too', () => {
    const link = component('link', { tag: 'a' });
    const pair = component('pair', {
      tag: 'div',
      children: [{ component: 'link' }, { component: 'link' }],
    });
    const home = page('home', '/', {
      tag: 'main',
      children: [{ component: 'pair' }, { component: 'pair' }, { component: 'link' }],
    });
    const documents = documentsOf(link, pair, home, component('nowhere', { tag: 'a' }));
    const reach = new Reach(documents);
    expect(reachOfTag(documents, reach, 'a')).toEqual({ elements: 5, pages: 1 });
    expect(drawn(documents).size).toBe(reachOfTag(documents, reach, EVERY_TAG).elements);
  });

  test('is what is counted in drawn pages, however components are placed in one another', () => {
    const places = fc.array(fc.nat(4), { maxLength: 4 });
    fc.assert(
      fc.property(fc.array(places, { minLength: 5, maxLength: 5 }), places, places, (of, a, b) => {
        // A component places only those before it, so that none holds itself.
        const components = of.map((placed, at) =>
          component(`c${at}`, {
            tag: 'div',
            children: [
              { tag: 'p' },
              ...placed.filter((other) => other < at).map((other) => ({ component: `c${other}` })),
            ],
          }),
        );
        const pages = [a, b].map((placed, at) =>
          page(`p${at}`, `/${at}`, {
            tag: 'main',
            children: placed.map((other) => ({ component: `c${other}` })),
          }),
        );
        const documents = documentsOf(...components, ...pages);
        const reach = new Reach(documents);
        const all = [...drawn(documents).values()];
        for (const tag of ['main', 'div', 'p', EVERY_TAG])
          expect(reachOfTag(documents, reach, tag)).toEqual(
            counted(all.filter(({ element }) => tag === EVERY_TAG || element.tag === tag)),
          );
      }),
    );
  });

  describe('on the demo, is what is counted in its drawn pages', () => {
    const { documents } = brackenfold();
    const reach = new Reach(documents);
    const all = [...drawn(documents).values()];

    test('for tags, besides what stands there and is not shown now', () => {
      const notShown = {
        // A card that is given no picture, and two steps that have a number in its place.
        img: { elements: 3, pages: 0 },
        // The number of a step that has a picture in its place.
        strong: { elements: 1, pages: 0 },
        // What the list of sessions would show if there were none.
        li: { elements: 1, pages: 0 },
        // What a booking says once it was answered, and what turns until then.
        p: { elements: 1, pages: 0 },
        // On the first page of the sessions there is none before.
        a: { elements: 1, pages: 0 },
      };
      const tags = [...new Set(all.map(({ element }) => element.tag))];
      const seen = tags.map((tag) => {
        const { elements, pages } = counted(all.filter(({ element }) => element.tag === tag));
        const more = own(notShown, tag) ?? { elements: 0, pages: 0 };
        return [tag, { elements: elements + more.elements, pages: pages + more.pages }];
      });
      expect(seen.length).toBeGreaterThan(10);
      expect(tags.map((tag) => [tag, reachOfTag(documents, reach, tag)])).toEqual(seen);
    });

    test('for shared styles', () => {
      const styles = allOf(documents, 'style').map(({ id }) => id);
      const seen = styles.map((id) => [
        id,
        counted(
          all.filter(({ element }) =>
            (element.attributes['class'] ?? '')
              .split(' ')
              .some((name) => /^s\d+_(.+)$/.exec(name)?.[1] === id),
          ),
        ),
      ]);
      expect(seen.length).toBeGreaterThan(3);
      expect(styles.map((id) => [id, reachOfStyle(documents, reach, id)])).toEqual(seen);
    });
  });
});

/** How many were drawn, on how many pages. */
function counted(all: readonly Drawn[]): { elements: number; pages: number } {
  return { elements: all.length, pages: new Set(all.map(({ page }) => page)).size };
}
