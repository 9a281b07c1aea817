import fc from 'fast-check';
import { languageOf } from '../locale';
import { parseFragment, serialize } from 'parse5';
import {
  kindOnly,
  literal,
  ordersFor,
  type ComponentDoc,
  type Documents,
  type EntryDoc,
  type ListRecord,
  type Query,
  type RecordField,
  type RichPiece,
  type Source,
  type Typed,
  type TypeSpec,
  type ValueKind,
} from '../model';
import {
  asset,
  component,
  contentType,
  documentsOf,
  entry,
  htmlOf,
  page,
  rich,
  sharedStyles,
  signTokens,
  valuesOf,
  words,
} from '../test';
import { cssOf } from '../compile';
import { dataOf } from '../value';
import { build, Linker, prepare, write, writtenContent } from '.';

/** What a page shows, by both writers. */
function shown(documents: Documents, id: string, at?: EntryDoc): string {
  const data = dataOf(documents);
  const linked = new Linker().link(documents, id);
  const written = write(prepare(linked, data), at);
  expect(htmlOf(build(linked, data, at).root)).toBe(written);
  return written;
}

function field(kind: ValueKind, order: string): RecordField {
  return { label: kind, key: kind, order, type: kindOnly(kind) as RecordField['type'] };
}

describe('rich text', () => {
  const story = contentType('story', { words: 'rich' });
  const inPage = (where: 'line' | 'blocks'): Documents =>
    documentsOf(
      story,
      asset('pic'),
      page('home', '/', { tag: 'div' }),
      page(
        'each',
        '/stories/<slug>',
        {
          tag: 'div',
          children: [
            {
              tag: where === 'line' ? 'p' : 'div',
              children: [{ text: { is: 'field', from: 'page', path: ['words'] }, rich: where }],
            },
          ],
        },
        'story',
      ),
    );
  const told = (value: RichPiece[]) => entry('story', 'one', { words: { type: 'rich', value } });

  test('is written as the elements it is made of, its words escaped, its links by path', () => {
    const value: RichPiece[] = [
      { tag: 'p', children: ['Bring ', { tag: 'strong', children: ['<it>'] }, ' & mend it.'] },
      {
        tag: 'p',
        children: [{ tag: 'a', link: { to: 'page', page: 'home' }, children: ['Home'] }],
      },
    ];
    expect(shown(inPage('blocks').with(told(value)), 'each', told(value))).toBe(
      '<div><div><p>Bring <strong>&lt;it&gt;</strong> &amp; mend it.</p><p><a href="/">Home</a></p></div></div>',
    );
  });

  test('in a line leaves its blocks out and keeps their words apart', () => {
    const value: RichPiece[] = [
      { tag: 'p', children: ['One'] },
      { tag: 'p', children: [{ tag: 'em', children: ['Two'] }] },
    ];
    expect(shown(inPage('line').with(told(value)), 'each', told(value))).toBe(
      '<div><p>One <em>Two</em></p></div>',
    );
  });

  test('survives an HTML parser unchanged, whatever its shape (HTML Living Standard, 13.2; parse5)', () => {
    fc.assert(
      fc.property(rich, fc.constantFrom('line' as const, 'blocks' as const), (value, where) => {
        const one = told(value);
        const html = shown(inPage(where).with(one), 'each', one);
        expect(serialize(parseFragment(html))).toBe(html);
        expect(html).not.toMatch(/javascript:/);
      }),
      { numRuns: 300 },
    );
  });

  test('words have a shared style of the site; without it, or with one that modifies another, they are words', () => {
    const span = (style: string): RichPiece => ({ tag: 'span', style, children: ['so'] });
    const value: RichPiece[] = ['Not ', span('pill'), ', ', span('pill-wide'), ', ', span('gone')];
    const documents = documentsOf(
      ...sharedStyles,
      signTokens,
      page('p', '/', {
        tag: 'div',
        children: [{ text: literal({ type: 'rich', value }), rich: 'line' }],
      }),
    );
    expect(shown(documents, 'p')).toBe('<div>Not <span class="s0_pill">so</span>, so, so</div>');
    const { used } = prepare(new Linker().link(documents, 'p'), dataOf(documents));
    expect(cssOf(documents, used)).toContain('.s0_pill{');
    expect(cssOf(documents, used)).not.toContain('pill-wide');
    // Where it is not known before a page is written, any that words may have can be among it.
    const many = inPage('line').with(...sharedStyles, signTokens, told(value));
    const later = prepare(new Linker().link(many, 'each'), dataOf(many)).used;
    expect(cssOf(many, later)).toContain('.s0_pill{');
    expect(shown(many, 'each', told(value))).toContain('<span class="s0_pill">so</span>');
  });

  test('what its tags look like comes with it', () => {
    const value: RichPiece[] = [{ tag: 'blockquote', children: ['So.'] }];
    const documents = documentsOf(
      page('p', '/', {
        tag: 'div',
        children: [{ text: literal({ type: 'rich', value }), rich: 'blocks' }],
      }),
    );
    const styled = documents.with({
      ...documents.tags,
      tags: { blockquote: { color: { css: 'teal' } }, h6: { color: { css: 'red' } } },
    });
    const { used } = prepare(new Linker().link(styled, 'p'), dataOf(styled));
    expect(cssOf(styled, used)).toContain('blockquote{color:teal}');
    expect(cssOf(styled, used)).not.toContain('h6{');
    const many = inPage('blocks').with(styled.tags, told(value));
    const later = prepare(new Linker().link(many, 'each'), dataOf(many)).used;
    expect(cssOf(many, later)).toContain('blockquote{color:teal}');
  });

  describe('stands below the heading of its component', () => {
    const body = literal({
      type: 'rich',
      value: [
        { tag: 'h2', children: ['One'] },
        { tag: 'h4', children: ['Two'] },
      ],
    });
    const level: TypeSpec = { kind: 'tag', of: { h2: true, h3: true, h5: true } };
    const made = component(
      'made',
      {
        tag: 'section',
        children: [
          {
            id: 'title',
            tag: 'h3',
            text: 'Title',
          },
          { id: 'body', tag: 'div', children: [{ id: 'words', text: body, rich: 'blocks' }] },
        ],
      },
      { level: literal({ type: 'tag', value: 'h3' }) },
    );
    made.properties['level'] = { ...made.properties['level']!, type: level };
    const title = made.nodes['title']!;
    made.nodes['title'] = {
      ...title,
      chosen: { tag: { is: 'property', property: 'level' } },
    } as typeof title;
    const at = (tag: string): Documents =>
      documentsOf(
        made,
        page('p', '/', {
          tag: 'main',
          children: [
            { component: 'made', values: { level: literal({ type: 'tag', value: tag }) } },
          ],
        }),
      );

    test.each([
      ['h2', '<h3>One</h3><h5>Two</h5>'],
      ['h3', '<h4>One</h4><h6>Two</h6>'],
      // HTML has no lower heading than h6.
      ['h5', '<h6>One</h6><h6>Two</h6>'],
    ])('whose level an instance chooses: %s', (tag, html) => {
      expect(shown(at(tag), 'p')).toContain(html);
    });

    test('and follows on the canvas when that becomes another, moves or goes', () => {
      const linker = new Linker();
      const documents = at('h2');
      const first = build(linker.link(documents, 'made'), dataOf(documents), undefined);
      expect(htmlOf(first.root)).toContain('<h4>One</h4>');
      const rest = { ...made.nodes };
      delete rest['title'];
      const without = documents.with({ ...made, nodes: rest });
      const second = build(linker.link(without, 'made'), dataOf(without), undefined, first);
      expect(htmlOf(second.root)).toContain('<h2>One</h2>');
      const plain = { ...title, tag: 'h2' } as typeof title;
      const higher = documents.with({ ...made, nodes: { ...made.nodes, title: plain } });
      const third = build(linker.link(higher, 'made'), dataOf(higher), undefined, second);
      expect(htmlOf(third.root)).toContain('<h3>One</h3>');
    });
  });

  test('takes plain words, numbers, and gives plain words where they are wanted', () => {
    const card = component(
      'card',
      {
        tag: 'div',
        children: [
          { tag: 'h2', children: [{ text: { is: 'property', property: 'body' }, rich: 'line' }] },
          { tag: 'p', text: { is: 'property', property: 'body' } },
        ],
      },
      { body: literal({ type: 'rich', value: [] }) },
    );
    const at = (value: Typed) =>
      documentsOf(
        card,
        page('p', '/', {
          tag: 'div',
          children: [{ component: 'card', values: { body: literal(value) } }],
        }),
      );
    expect(shown(at(words('A name')), 'p')).toContain('<h2>A name</h2><p>A name</p>');
    expect(shown(at({ type: 'number', value: 4 }), 'p')).toContain('<h2>4</h2>');
    const value: RichPiece[] = ['A ', { tag: 'em', children: ['rich'] }, ' one'];
    expect(shown(at({ type: 'rich', value }), 'p')).toContain(
      '<h2>A <em>rich</em> one</h2><p>A rich one</p>',
    );
  });
});

describe('a repeat over a list', () => {
  const fields = { name: field('text', 'a0'), count: field('number', 'a1') };
  const spec: TypeSpec = { kind: 'list', fields };
  const record = (id: string, name: string, count: number): ListRecord => ({
    id,
    values: { name: words(name), count: { type: 'number', value: count } },
  });
  const query = (more: Partial<Query> = {}): Query => ({
    from: { list: { is: 'property', property: 'items' } },
    where: {},
    order: {},
    ...more,
  });
  const item = (path: string[]): Source => ({ is: 'field', from: { repeat: 'each' }, path });
  const listing = (asked: Query): ComponentDoc => {
    const made = component(
      'listing',
      {
        tag: 'ul',
        children: [
          {
            id: 'each',
            repeat: asked,
            children: [
              {
                tag: 'li',
                children: [{ text: item(['name']) }, { tag: 'b', text: item(['count']) }],
              },
            ],
            slots: { none: [{ tag: 'li', text: 'none' }] },
          },
        ],
      },
      { items: literal({ type: 'list', value: [] }) },
    );
    Object.assign(made.properties['items']!, { type: spec });
    return made;
  };
  const placed = (source: Source | undefined) =>
    page('p', '/', {
      tag: 'div',
      children: [{ component: 'listing', values: source ? { items: source } : {} }],
    });
  const three = [record('a', 'Awl', 2), record('b', 'Brush', 9), record('c', 'Clamp', 2)];
  const given = literal({ type: 'list', value: three });

  test('shows what it holds once for each record, in the order of the list', () => {
    expect(shown(documentsOf(listing(query()), placed(given)), 'p')).toBe(
      '<div><ul><li>Awl<b>2</b></li><li>Brush<b>9</b></li><li>Clamp<b>2</b></li></ul></div>',
    );
  });

  test('shows its other children for an empty one', () => {
    expect(shown(documentsOf(listing(query()), placed(undefined)), 'p')).toContain('<li>none</li>');
  });

  test('is narrowed, sorted, and cut by sources, as a query of entries is', () => {
    const number = (value: number) => literal({ type: 'number', value });
    const asked = query({
      where: { few: { path: ['count'], is: 'atMost', source: number(2) } },
      order: { by: { path: ['name'], descending: true, order: 'a0' } },
      limit: number(1),
    });
    expect(shown(documentsOf(listing(asked), placed(given)), 'p')).toContain(
      '<ul><li>Clamp<b>2</b></li></ul>',
    );
  });

  test('reads the list of an entry that is known only when the page is written', () => {
    const shop = contentType('shop', { name: 'text', stock: spec });
    const one = entry('shop', 'one', { name: words('One'), stock: { type: 'list', value: three } });
    const two = entry('shop', 'two', { name: words('Two') });
    const each = page(
      'each',
      '/shops/<slug>',
      {
        tag: 'div',
        children: [
          {
            component: 'listing',
            values: { items: { is: 'field', from: 'page', path: ['stock'] } },
          },
        ],
      },
      'shop',
    );
    const documents = documentsOf(listing(query()), shop, one, two, each);
    expect(shown(documents, 'each', one)).toContain('<li>Brush<b>9</b></li>');
    expect(shown(documents, 'each', two)).toContain('<li>none</li>');
  });

  test('gives what looking at each record would, whatever is asked', () => {
    const condition = fc.record({
      path: fc.constantFrom('name', 'count'),
      is: fc.constantFrom('equals', 'differs', 'atLeast', 'atMost', 'contains' as const),
      value: fc.oneof(valuesOf('text'), valuesOf('number')),
    });
    const ask = fc.record({
      where: fc.array(condition, { maxLength: 2 }),
      order: fc.array(fc.tuple(fc.constantFrom('name', 'count'), fc.boolean()), { maxLength: 2 }),
      limit: fc.option(fc.integer({ min: -1, max: 4 })),
      offset: fc.option(fc.integer({ min: -1, max: 4 })),
    });
    fc.assert(
      fc.property(valuesOf('list'), ask, (list, { where, order, limit, offset }) => {
        const keys = ordersFor(order.length);
        const asked = query({
          where: Object.fromEntries(
            where.map(({ path, is, value }, i) => [
              `w${i}`,
              { path: [path], is, source: literal(value) },
            ]),
          ),
          order: Object.fromEntries(
            order.map(([path, descending], i) => [
              `o${i}`,
              { path: [path], descending, order: keys[i]! },
            ]),
          ),
          ...(limit === null ? {} : { limit: literal({ type: 'number', value: limit }) }),
          ...(offset === null ? {} : { offset: literal({ type: 'number', value: offset }) }),
        });
        const found = oracle((list.value ?? []) as ListRecord[], where, order, limit, offset);
        const html = shown(documentsOf(listing(asked), placed(literal(list))), 'p');
        const rows = found.map(({ values }) => {
          const { name, count } = values as never as Record<string, { value: never }>;
          return htmlOfRow(name!.value, count!.value);
        });
        expect(html).toBe(`<div><ul>${rows.join('') || '<li>none</li>'}</ul></div>`);
      }),
      { numRuns: 200 },
    );
  });

  const htmlOfRow = (name: string, count: number) =>
    `<li>${writtenContent(name)}<b>${count}</b></li>`;

  type Asked = { path: string; is: string; value: Typed };

  /** The same, one record at a time. */
  function oracle(
    list: readonly ListRecord[],
    where: readonly Asked[],
    order: readonly [string, boolean][],
    limit: number | null,
    offset: number | null,
  ): ListRecord[] {
    const sortedBy = (value: string | number) =>
      typeof value === 'string' ? languageOf('en').sortingKey(value) : value;
    const held = (record: ListRecord, path: string) => {
      const value = record.values[path]?.value as string | number | null;
      return value === '' ? null : value;
    };
    const meets = (record: ListRecord, { path, is, value }: Asked) => {
      // A number becomes the text that stands for it; a text becomes no number.
      const wanted =
        path === 'name' && typeof value.value === 'number' ? String(value.value) : value.value;
      // A condition that compares with nothing yet asks nothing.
      if (value.value === null || value.value === '') return true;
      if (wanted === null || wanted === '' || (path === 'count' && typeof wanted === 'string'))
        return false;
      const has = held(record, path);
      if (has === null) return is === 'differs';
      if (is === 'equals') return has === wanted;
      if (is === 'differs') return has !== wanted;
      // By the rules of the language, as they are sorted.
      if (is === 'atLeast') return sortedBy(has) >= sortedBy(wanted as string);
      if (is === 'atMost') return sortedBy(has) <= sortedBy(wanted as string);
      return String(has)
        .toLowerCase()
        .includes(String(wanted as string).toLowerCase());
    };
    const found = list.filter((record) => where.every((each) => meets(record, each)));
    if (order.length > 0)
      found.sort((a, b) => {
        for (const [path, descending] of order) {
          const [left, right] = [held(a, path), held(b, path)];
          if (left === right) continue;
          if (left === null || right === null) return left === null ? 1 : -1;
          return sortedBy(left) < sortedBy(right) === descending ? 1 : -1;
        }
        return a.id < b.id ? -1 : 1;
      });
    const from = Math.max(0, offset ?? 0);
    return limit === null ? found.slice(from) : found.slice(from, from + Math.max(0, limit));
  }
});
