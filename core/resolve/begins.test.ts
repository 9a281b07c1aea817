import fc from 'fast-check';
import { doEdit, isRefusal } from '../edit';
import { own, type Documents, type EntryDoc, type Source, type Typed } from '../model';
import { headingBetween } from '../ready';
import { contentType, documentsOf, entry, page, queryOf, words } from '../test';
import { htmlOf } from '../test/html';
import { dataOf } from '../value';
import { build, Linker, prepare, write } from '.';

const field = (...path: string[]): Source => ({ is: 'field', from: { repeat: 'each' }, path });
const session = contentType('session', { name: 'text', town: 'text', day: 'date' });

/** Sessions by month: the town of a session stands before it where it is another, too. */
const list = {
  id: 'each',
  repeat: queryOf('session', [], [['day', false]]),
  children: [
    { tag: 'b', shown: { is: 'begins' as const, repeat: 'each', of: field('town') }, text: 'x' },
    { tag: 'p', text: field('name') },
  ],
};
const bare = page('known', '/', { tag: 'div', children: [list] });
/** Where the list is another for each entry: those of its town. */
const later = page(
  'later',
  '/s/<slug>',
  {
    tag: 'div',
    children: [
      {
        ...list,
        repeat: queryOf(
          'session',
          [['town', { is: 'field', from: 'page', path: ['town'] }]],
          [['day', false]],
        ),
      },
    ],
  },
  'session',
);

/** A page with a heading for each month, made as one press makes it. */
function byMonth<P extends typeof bare>(of: P): P {
  const type = session.fields['day']!.type;
  const planted = headingBetween(documentsOf(), of.nodes, 'each', {
    field: 'day',
    type,
    style: 'monthAndYear',
  });
  return { ...of, nodes: { ...of.nodes, ...planted.nodes } };
}

interface Session {
  readonly town: string;
  readonly day: string | null;
}

/** What stands there, worked out by hand: months as English writes them. */
function expected(sessions: readonly Session[]): string {
  const months = ['January', 'February', 'March'];
  let before: Session | undefined;
  let html = '<div>';
  const month = (day: string) => `${months[Number(day.slice(5, 7)) - 1]!} ${day.slice(0, 4)}`;
  for (const each of sorted(sessions)) {
    if (each.day !== null && (!before?.day || month(before.day) !== month(each.day)))
      html += `<h3>${month(each.day)}</h3>`;
    if (before?.town !== each.town) html += '<b>x</b>';
    html += `<p>${sessions.indexOf(each)}</p>`;
    before = each;
  }
  return html + '</div>';
}

/** By the day, those without one last; in the order in which they were made. */
const sorted = (sessions: readonly Session[]) =>
  [...sessions].sort((a, b) => ((a.day ?? '9') < (b.day ?? '9') ? -1 : a.day === b.day ? 0 : 1));

const entries = (sessions: readonly Session[]): EntryDoc[] =>
  sessions.map(({ town, day }, i) =>
    entry('session', `s${i}`, {
      name: words(String(i)),
      town: words(town),
      ...(day === null ? {} : { day: { type: 'date', value: day } satisfies Typed }),
    }),
  );

function shown(documents: Documents, id: string, one?: EntryDoc): string {
  const data = dataOf(documents);
  const linked = new Linker().link(documents, id);
  const html = write(prepare(linked, data), one);
  expect(html).toBe(htmlOf(build(linked, data, one).root));
  return html;
}

const sessions = fc.array(
  fc.record({
    town: fc.constantFrom('a', 'b'),
    day: fc.option(
      fc.constantFrom('2026-01-05', '2026-01-30', '2026-02-01', '2027-01-02', '2026-03-09'),
      { freq: 6 },
    ),
  }),
  { minLength: 1, maxLength: 8 },
);

describe('what begins with an item of a list', () => {
  test('headings stand where their words are others than before, by both writers; before what has none stands none', () => {
    fc.assert(
      fc.property(sessions, (of) => {
        const all = entries(of);
        const documents = documentsOf(session, ...all, byMonth(bare), byMonth(later));
        expect(shown(documents, 'known')).toBe(expected(of));
        for (const [i, one] of all.entries()) {
          const { town } = of[i]!;
          const numbered = of.map((each, at) => ({ ...each, at }));
          const same = numbered.filter((each) => each.town === town);
          const html = expected(same).replace(
            /<p>(\d+)/g,
            (_, at: string) => `<p>${same[Number(at)]!.at}`,
          );
          expect(shown(documents, 'later', one)).toBe(html);
        }
      }),
      { numRuns: 60 },
    );
  });

  test('what is built from what was there before is what is built anew, whatever came, went or changed', () => {
    fc.assert(
      fc.property(sessions, sessions, (before, after) => {
        const first = documentsOf(session, ...entries(before), byMonth(bare));
        const then = documentsOf(session, ...entries(after), byMonth(bare));
        const linker = new Linker();
        const data = dataOf(first);
        const built = build(linker.link(first, 'known'), data, undefined);
        const again = build(linker.link(then, 'known'), dataOf(then, data), undefined, built);
        expect(htmlOf(again.root)).toBe(expected(after));
      }),
      { numRuns: 60 },
    );
  });

  test('in a list of HTML it is in an item of its own; outside of its repeat it is refused; alone everything begins', () => {
    const ul = page('known', '/', { tag: 'ul', children: [{ ...list, children: [] }] });
    const type = session.fields['town']!.type;
    const { nodes, root } = headingBetween(documentsOf(), ul.nodes, 'each', {
      field: 'town',
      type,
    });
    expect(nodes[root]).toMatchObject({ tag: 'li', shown: { is: 'begins' } });
    const both = entries([
      { town: 'a', day: null },
      { town: 'b', day: null },
    ]);
    const documents = documentsOf(session, ...both, { ...ul, nodes: { ...ul.nodes, ...nodes } });
    expect(shown(documents, 'known')).toBe('<ul><li><h3>a</h3></li><li><h3>b</h3></li></ul>');
    const shownOf = own(nodes, root)!;
    const outside = doEdit(documents, {
      name: 'setControl',
      args: {
        doc: 'known',
        node: Object.keys(ul.nodes).find((id) => ul.nodes[id]!.place.parent === null)!,
        control: { of: 'shown' },
        source: 'shown' in shownOf ? shownOf.shown! : null,
      },
    });
    expect(isRefusal(outside) && JSON.stringify(outside.refused)).toContain('repeat-not-around');
    const done = doEdit(documents, {
      name: 'repeatNoMore',
      args: { doc: 'known', node: 'each', entry: both[0]!.id },
    });
    if (isRefusal(done)) throw new Error(JSON.stringify(done.refused));
    expect(shown(done.documents, 'known')).toBe('<ul><li><h3>a</h3></li></ul>');
  });
});
