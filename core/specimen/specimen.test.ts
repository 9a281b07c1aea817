import fc from 'fast-check';
import { brackenfold } from '@sormet/demo';
import { allOf, documentFindings, FORMAT, inOrder, type Documents, type StyleDoc } from '../model';
import { build, Linker } from '../resolve';
import { blockOf } from '../style';
import { dataOf } from '../value';
import { htmlOf } from '../test';
import { runEdits } from '../test/random-edits';
import { combinations, SPECIMEN, specimenOf, type Stands } from '.';

const demo = brackenfold().documents;

/** How often each thing stands on a specimen, by what it is. */
function standing(documents: Documents): Map<string, number> {
  const counts = new Map<string, number>();
  for (const stands of specimenOf(documents).stands.values()) {
    const key = nameOf(stands);
    counts.set(key, (counts.get(key) ?? 0) + 1);
  }
  return counts;
}

function nameOf(stands: Stands): string {
  if (stands.is === 'token') return `token ${stands.token}`;
  if (stands.is === 'tag') return `tag ${stands.tag}`;
  return stands.is === 'style' ? `style ${stands.style}` : `component ${stands.component}`;
}

describe('whatever somebody edits', () => {
  const states = fc.array(fc.array(fc.nat(10_000), { minLength: 8, maxLength: 8 }), {
    maxLength: 12,
  });
  const after = (steps: readonly (readonly number[])[]) =>
    runEdits(demo, steps).at(-1)?.after ?? demo;

  test('every token, shared style and component but the surround stands on the specimen, in each theme', () => {
    fc.assert(
      fc.property(states, (steps) => {
        const documents = after(steps);
        const counts = standing(documents);
        const themes = 1 + inOrder(documents.tokens.themes ?? {}).length;
        for (const token of Object.keys(documents.tokens.tokens))
          expect([token, counts.get(`token ${token}`)]).toEqual([token, themes]);
        for (const { id } of allOf(documents, 'component'))
          expect([id, counts.get(`component ${id}`) ?? 0]).toEqual([
            id,
            id === documents.site.surround ? 0 : themes,
          ]);
        for (const { id, base } of allOf(documents, 'style'))
          if (base === null && !allOf(documents, 'style').some((style) => style.base === id))
            expect([id, counts.get(`style ${id}`)]).toEqual([id, themes]);
      }),
      { numRuns: 12 },
    );
  });

  test('it is a page like any other, which is drawn, and nothing of the site is another for it', () => {
    fc.assert(
      fc.property(states, (steps) => {
        const documents = after(steps);
        const before = JSON.stringify(documents);
        const { page, stands } = specimenOf(documents);
        expect(page.id).toBe(SPECIMEN);
        expect(documentFindings(page)).toEqual([]);
        for (const id of stands.keys()) expect(page.nodes[id]).toBeDefined();
        const withIt = documents.withAll([page]);
        const built = build(new Linker().link(withIt, page.id), dataOf(withIt), undefined);
        expect(htmlOf(built.root)).toContain('Theme: Plain');
        expect(JSON.stringify(documents)).toBe(before);
      }),
      { numRuns: 6 },
    );
  });
});

/** A modifier that says something of some properties. */
const modifier = (id: string, ...properties: string[]): StyleDoc => ({
  id,
  kind: 'style',
  format: FORMAT,
  name: id,
  base: 'button',
  order: id,
  origin: null,
  style: blockOf(Object.fromEntries(properties.map((property) => [property, '1px']))),
});

describe('modifiers that go together', () => {
  const modifiers = fc
    .array(
      fc.uniqueArray(fc.constantFrom('width', 'height', 'margin-top', 'top', 'left'), {
        minLength: 1,
        maxLength: 3,
      }),
      { maxLength: 5 },
    )
    .map((all) => all.map((properties, i) => modifier(`m${i}`, ...properties)));

  test('no two of a combination say something of the same property, and each modifier is in one', () => {
    fc.assert(
      fc.property(modifiers, (all) => {
        const found = combinations(all);
        for (const chosen of found) {
          const said = chosen.flatMap(({ style }) => Object.keys(style));
          expect(new Set(said).size).toBe(said.length);
        }
        expect(new Set(found.flat())).toEqual(new Set(all));
        expect(new Set(found.map((chosen) => chosen.map(({ id }) => id).join())).size).toBe(
          found.length,
        );
      }),
    );
  });

  test('two looks and three sizes are six', () => {
    const all = [
      modifier('plain', 'border-top-width'),
      modifier('strong', 'border-top-width'),
      ...['small', 'middle', 'large'].map((id) => modifier(id, 'width', 'height')),
    ];
    expect(combinations(all)).toHaveLength(6);
  });

  test('without modifiers there is the base alone', () => expect(combinations([])).toEqual([[]]));
});
