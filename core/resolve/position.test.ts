import fc from 'fast-check';
import { doEdit, isRefusal } from '../edit';
import { type Documents, type EntryDoc, type PositionAs, type Source } from '../model';
import { contentType, documentsOf, entry, page, queryOf, words } from '../test';
import { htmlOf } from '../test/html';
import { dataOf } from '../value';
import { build, Linker, prepare, write } from '.';

const at = (as: PositionAs): Source => ({ is: 'position', repeat: 'each', as });
const NAME: Source = { is: 'field', from: { repeat: 'each' }, path: ['name'] };
const shed = contentType('shed', { name: 'text', town: 'text' });

const list = {
  id: 'each',
  repeat: queryOf(
    'shed',
    [['town', { is: 'field', from: 'page', path: ['town'] }]],
    [['name', false]],
  ),
  children: [
    { tag: 'li', attributes: { title: at('number') }, text: NAME },
    ...(['first', 'last', 'even', 'odd'] as const).map((as) => ({
      tag: 'b',
      shown: at(as),
      text: as,
    })),
  ],
};
/** On a page whose list is known beforehand, and on one whose list is another for each entry. */
const known = page('known', '/', {
  tag: 'ul',
  children: [{ ...list, repeat: queryOf('shed', [], [['name', false]]) }],
});
const later = page('later', '/s/<slug>', { tag: 'ul', children: [list] }, 'shed');

function shown(documents: Documents, id: string, one?: EntryDoc): string {
  const data = dataOf(documents);
  const linked = new Linker().link(documents, id);
  const html = write(prepare(linked, data), one);
  expect(html).toBe(htmlOf(build(linked, data, one).root));
  return html;
}

/** What a list of these names is, worked out by hand. */
const expected = (names: readonly string[]) =>
  `<ul>${[...names]
    .sort()
    .map(
      (name, i, all) =>
        `<li title="${i + 1}">${name}</li>` +
        (i === 0 ? '<b>first</b>' : '') +
        (i === all.length - 1 ? '<b>last</b>' : '') +
        (i % 2 === 1 ? '<b>even</b>' : '<b>odd</b>'),
    )
    .join('')}</ul>`;

const sheds = (names: readonly string[]) =>
  names.map((name) => entry('shed', name, { name: words(name), town: words(name[0]!) }));

describe('where an item stands in its list', () => {
  const some = fc.uniqueArray(
    fc
      .tuple(fc.constantFrom('a', 'b'), fc.constantFrom('s', 't', 'u', 'v', 'w', 'x', 'y', 'z'))
      .map((each) => each.join('')),
    { minLength: 1, maxLength: 9 },
  );

  test('is its number, and whether it is the first, the last, an even or an odd one, by both writers', () => {
    fc.assert(
      fc.property(some, (names) => {
        const entries = sheds(names);
        const documents = documentsOf(shed, ...entries, known, later);
        expect(shown(documents, 'known')).toBe(expected(names));
        for (const one of entries)
          expect(shown(documents, 'later', one)).toBe(
            expected(names.filter((name) => name[0] === one.slug[0])),
          );
      }),
      { numRuns: 60 },
    );
  });

  test('what is built from what was there before is what is built anew, whatever comes in between', () => {
    fc.assert(
      fc.property(some, some, (before, after) => {
        const first = documentsOf(shed, ...sheds(before), known);
        const then = documentsOf(shed, ...sheds(after), known);
        const linker = new Linker();
        const data = dataOf(first);
        const built = build(linker.link(first, 'known'), data, undefined);
        const again = build(linker.link(then, 'known'), dataOf(then, data), undefined, built);
        expect(htmlOf(again.root)).toBe(expected(after));
      }),
      { numRuns: 60 },
    );
  });

  test('who does not ask it is not built anew when something comes before it', () => {
    const plain = page('plain', '/', {
      tag: 'ul',
      children: [
        {
          ...list,
          repeat: queryOf('shed', [], [['name', false]]),
          children: [{ tag: 'li', text: NAME }],
        },
      ],
    });
    const first = documentsOf(shed, ...sheds(['b', 'c']), plain);
    const then = documentsOf(shed, ...sheds(['a', 'b', 'c']), plain);
    const linker = new Linker();
    const data = dataOf(first);
    const built = build(linker.link(first, 'plain'), data, undefined);
    const made = { nodes: 0 };
    build(linker.link(then, 'plain'), dataOf(then, data), undefined, built, made);
    // The item that came with its element and text, its group, the repeat and the list.
    expect(made.nodes).toBeLessThan(8);
  });

  test('outside of its repeat it is refused; a repeat that is taken back leaves what one alone would be', () => {
    const documents = documentsOf(shed, ...sheds(['a', 'b']), known);
    const outside = doEdit(documents, {
      name: 'setControl',
      args: { doc: 'known', node: 'knownn1', control: { of: 'shown' }, source: at('first') },
    });
    expect(isRefusal(outside) && JSON.stringify(outside.refused)).toContain('repeat-not-around');
    const done = doEdit(documents, {
      name: 'repeatNoMore',
      args: { doc: 'known', node: 'each', entry: documents.get('a') ? 'a' : null },
    });
    if (isRefusal(done)) throw new Error(JSON.stringify(done.refused));
    expect(shown(done.documents, 'known')).toMatch(/<b>first<\/b><b>last<\/b><b>odd<\/b><\/ul>$/);
  });
});
