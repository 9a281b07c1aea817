import {
  text,
  type ComponentDoc,
  type Documents,
  type EntryDoc,
  type PageDoc,
  type TypeDoc,
} from '../model';
import { component, contentType, documentsOf, entry, htmlOf, page, queryOf, words } from '../test';
import { dataOf } from '../value';
import { build, Linker, prepare, write } from '.';

const shown = (linker: Linker, documents: Documents, doc: string, one?: EntryDoc): string => {
  const linked = linker.link(documents, doc);
  const html = htmlOf(build(linked, dataOf(documents), one).root);
  expect(write(prepare(linked, dataOf(documents)), one)).toBe(html);
  return html;
};

describe('what fills a slot', () => {
  const frame = component('frame', { tag: 'div', children: [{ slot: 'main' }] }, {}, ['main']);
  const without: ComponentDoc = { ...frame, slots: {} };
  const home = page('home', '/', {
    id: 'root',
    component: 'frame',
    slots: { main: [{ id: 'filled', tag: 'p', children: [{ id: 'filled-t', text: 'Filled' }] }] },
  });

  test('is not shown while the slot is gone, and comes back with it', () => {
    const linker = new Linker();
    const there = documentsOf(frame, home);
    const gone = there.with(without);
    expect(shown(linker, there, 'home')).toBe('<div><p>Filled</p></div>');
    expect(shown(linker, gone, 'home')).toBe('<div></div>');
    expect(shown(linker, there, 'home')).toBe('<div><p>Filled</p></div>');
  });

  test('comes back as it is then, not as it was: also when it changed meanwhile', () => {
    const linker = new Linker();
    const there = documentsOf(frame, home);
    shown(linker, there, 'home');
    shown(linker, there.with(without), 'home');
    const changed: PageDoc = {
      ...home,
      nodes: {
        ...home.nodes,
        'filled-t': { ...home.nodes['filled-t']!, text: text('Changed meanwhile') } as never,
      },
    };
    shown(linker, there.with(without, changed), 'home');
    expect(shown(linker, there.with(changed), 'home')).toContain('Changed meanwhile');
  });
});

describe('a field is read by its declared type', () => {
  const shed = contentType('shed', { name: 'text', opened: 'text' });
  const retyped = (opened: TypeDoc['fields'][string]['type']): TypeDoc => ({
    ...shed,
    fields: { ...shed.fields, opened: { ...shed.fields['opened']!, type: opened } },
  });
  const each = page(
    'each',
    '/<slug>',
    {
      tag: 'p',
      text: { is: 'field', from: 'page', path: ['opened'], whenEmpty: { use: text('none') } },
    },
    'shed',
  );
  const one = entry('shed', 'one', { opened: words('yes') });
  const dated = entry('shed', 'two', { opened: { type: 'date', value: '2026-03-16' } });

  test('what does not convert to it counts as empty and stays stored', () => {
    const documents = documentsOf(each, shed, one, dated);
    expect(shown(new Linker(), documents, 'each', one)).toBe('<p>yes</p>');
    expect(shown(new Linker(), documents, 'each', dated)).toBe('<p>March 16, 2026</p>');
    const asDate = documents.with(retyped({ kind: 'date' }));
    expect(shown(new Linker(), asDate, 'each', one)).toBe('<p>none</p>');
    expect(shown(new Linker(), asDate, 'each', dated)).toBe('<p>March 16, 2026</p>');
    const gone = documents.with({ ...shed, fields: { name: shed.fields['name']! } });
    expect(shown(new Linker(), gone, 'each', one)).toBe('<p>none</p>');
  });

  test('also in the conditions and the order of a query: empties come last, upwards and downwards', () => {
    const list = (descending: boolean): PageDoc =>
      page('list', '/', {
        tag: 'div',
        children: [
          {
            id: 'r',
            repeat: queryOf('shed', [], [['opened', descending]]),
            children: [{ tag: 'p', text: { is: 'field', from: { repeat: 'r' }, path: ['name'] } }],
          },
        ],
      });
    const sheds = (['b', 'a', ''] as const).map((opened, i) =>
      entry('shed', `s${i}`, { name: words(opened || 'empty'), opened: words(opened) }),
    );
    const order = (descending: boolean) =>
      shown(new Linker(), documentsOf(list(descending), shed, ...sheds), 'list').match(/>(\w+)</g);
    expect(order(false)).toEqual(['>a<', '>b<', '>empty<']);
    expect(order(true)).toEqual(['>b<', '>a<', '>empty<']);
  });
});

test('nodes of one id in two documents have classes of their own', () => {
  const style = { color: { css: 'red' } };
  const card = component('card', { id: 'same', tag: 'div', style });
  const home = page('home', '/', {
    id: 'same',
    tag: 'main',
    style: { color: { css: 'blue' } },
    children: [{ component: 'card' }],
  });
  expect(shown(new Linker(), documentsOf(card, home), 'home')).toBe(
    '<main class="same_home"><div class="same_card"></div></main>',
  );
});
