import {
  docOf,
  FORMAT,
  literal,
  type ComponentDoc,
  type Documents,
  type Rule,
  type StyleDoc,
} from '../../model';
import { build, Linker, prepare, rulesOf, write, type Resolved } from '../../resolve';
import { component, contentType, documentsOf, entry, htmlOf, page, TONE } from '../../test';
import { after } from '../../test/after';
import { dataOf } from '../../value';
import { doEdit, isRefusal, type NamedEdit } from '..';

const style = (id: string, order: string, base: string | null = null): StyleDoc => ({
  id,
  kind: 'style',
  format: FORMAT,
  name: id,
  order,
  base,
  origin: null,
  style: { color: { css: 'red' } },
});

/** A card with an axis of two options; the second has a rule. */
function cardWith(patch: Rule['patch'], more: Partial<Record<string, Rule>> = {}) {
  const doc = component(
    'card',
    {
      id: 'root',
      tag: 'article',
      shared: { base: true },
      children: [
        { id: 'head', tag: 'h2', text: 'Head' },
        { id: 'rich', tag: 'div', children: [{ id: 'story', text: 'Words' }] },
      ],
    },
    { tone: literal({ type: 'choice', value: 'calm' }) },
  );
  doc.properties['tone'] = { ...doc.properties['tone']!, type: TONE, axis: true };
  const rule: Rule = { order: 'a0', when: { axes: { tone: 'loud' } }, patch };
  return { ...doc, rules: { r: rule, ...(more as Record<string, Rule>) } };
}

const styles = [style('base', 'a0'), style('other', 'a1'), style('more', 'a2', 'base')];
const site = (card: ComponentDoc) =>
  documentsOf(
    card,
    ...styles,
    contentType('shed', { tone: TONE }),
    entry('shed', 'one', { tone: literal({ type: 'choice', value: 'loud' }) }),
    entry('shed', 'two', { tone: literal({ type: 'choice', value: 'calm' }) }),
    page('p', '/', {
      id: 'main',
      tag: 'main',
      children: [
        { id: 'calm', component: 'card' },
        {
          id: 'loud',
          component: 'card',
          values: { tone: literal({ type: 'choice', value: 'loud' }) },
        },
      ],
    }),
    {
      ...page('each', '/<slug>', {
        id: 'each-main',
        tag: 'main',
        children: [
          {
            id: 'bound',
            component: 'card',
            values: { tone: { is: 'field', from: 'page', path: ['tone'] } },
          },
        ],
      }),
      entries: 'shed',
    },
  );

/** What a page shows; both writers must agree on it. */
function shown(documents: Documents, doc = 'p', of?: string): string {
  const data = dataOf(documents);
  const linked = new Linker().link(documents, doc);
  const shed = of === undefined ? undefined : docOf(documents, 'entry', of);
  const html = htmlOf(build(linked, data, shed).root);
  expect(write(prepare(linked, data), shed)).toBe(html);
  return html;
}

const tagsIn = (html: string) => [...html.matchAll(/<(\w+)/g)].map(([, tag]) => tag);
const classesOf = (html: string, tag: string) =>
  [...html.matchAll(new RegExp(`<${tag}(?: class="([^"]*)")?`, 'g'))].map(([, all = '']) =>
    all.split(' ').filter((each) => each.startsWith('s') || each.startsWith('theme')),
  );

describe('a rule says of an element', () => {
  test('which of its family it is: in the variant alone, also where that is content', () => {
    const documents = site(cardWith({ head: { tag: 'h4' } }));
    expect(tagsIn(shown(documents)).filter((tag) => tag!.startsWith('h'))).toEqual(['h2', 'h4']);
    expect(tagsIn(shown(documents, 'each', 'shed-one'))).toContain('h4');
    expect(tagsIn(shown(documents, 'each', 'shed-two'))).toContain('h2');
  });

  test('which shared styles it has on, and which not: no style is on twice', () => {
    const documents = site(cardWith({ root: { shared: { base: false, other: true } } }));
    expect(classesOf(shown(documents), 'article')).toEqual([['s0_base'], ['s0_other']]);
    expect(classesOf(shown(documents, 'each', 'shed-one'), 'article')).toEqual([['s0_other']]);
    expect(classesOf(shown(documents, 'each', 'shed-two'), 'article')).toEqual([['s0_base']]);
  });

  test('which theme begins with it; the stronger of two rules decides', () => {
    const both = cardWith(
      { root: { theme: 'night' } },
      {
        strong: { order: 'a1', when: { axes: { tone: 'loud' } }, patch: { root: { theme: null } } },
      },
    );
    expect(classesOf(shown(site(cardWith({ root: { theme: 'night' } }))), 'article')).toEqual([
      ['s0_base'],
      ['s0_base', 'theme0__night'],
    ]);
    expect(classesOf(shown(site(both)), 'article')).toEqual([['s0_base'], ['s0_base']]);
  });

  test('and what applies to it is read from what was written', () => {
    const documents = site(cardWith({ root: { shared: { base: false, other: true } } }));
    const built = build(new Linker().link(documents, 'p'), dataOf(documents), undefined);
    const articles: string[][] = [];
    const visit = (node: Resolved): void => {
      if (node.kind === 'element' && node.tag === 'article')
        articles.push(
          rulesOf(node, documents, documents.tags).flatMap(({ origin }) =>
            origin.is === 'shared' ? origin.doc : [],
          ),
        );
      if (node.kind !== 'text') node.children.forEach(visit);
    };
    visit(built.root!);
    expect(articles).toEqual([['base'], ['other']]);
  });
});

describe('the edit', () => {
  const start = site(cardWith({}));
  const set = (
    node: string,
    set: Extract<NamedEdit, { name: 'setLookByRule' }>['args']['set'],
  ): NamedEdit => ({ name: 'setLookByRule', args: { component: 'card', rule: 'r', node, set } });
  const patch = (documents: Documents, node: string) =>
    docOf(documents, 'component', 'card')!.rules['r']!.patch[node];

  test('puts a modifier on only over its base, and takes it off with that', () => {
    const refused = doEdit(start, set('head', { style: 'more', on: true }));
    expect(isRefusal(refused) && refused.refused.code).toBe('base-first');
    const on = after(start, set('root', { style: 'more', on: true }));
    expect(patch(on, 'root')).toEqual({ shared: { more: true } });
    const off = after(on, set('root', { style: 'base', on: false }));
    expect(patch(off, 'root')).toEqual({ shared: { base: false, more: false } });
  });

  test('puts a modifier on over a base that another rule puts on, where both hold', () => {
    const doc = cardWith({ head: { shared: { base: true } } });
    const size = { ...doc.properties['tone']!, key: 'size', order: 'a5' };
    const both: Rule = { order: 'a1', when: { axes: { tone: 'loud', size: 'loud' } }, patch: {} };
    const there = site({
      ...doc,
      properties: { ...doc.properties, size },
      rules: { ...doc.rules, both },
    });
    const on: NamedEdit = {
      name: 'setLookByRule',
      args: { component: 'card', rule: 'both', node: 'head', set: { style: 'more', on: true } },
    };
    expect(docOf(after(there, on), 'component', 'card')!.rules['both']!.patch['head']).toEqual({
      shared: { more: true },
    });
  });

  test('gives no tag of another family: what is said of the element must go on to hold', () => {
    const refused = doEdit(start, set('head', { tag: 'ul' }));
    expect(isRefusal(refused)).toBe(true);
    expect(patch(after(start, set('head', { tag: 'h5' })), 'head')).toEqual({ tag: 'h5' });
  });

  test('of a base whose tag is another, what is of no family any more goes', () => {
    const there = after(start, set('head', { tag: 'h5' }));
    const setTag = (tag: string): NamedEdit => ({
      name: 'setTag',
      args: { doc: 'card', node: 'head', tag },
    });
    expect(patch(after(there, setTag('h3')), 'head')).toEqual({ tag: 'h5' });
    expect(patch(after(there, setTag('div')), 'head')).toEqual({});
  });

  test('a style that is removed is said of nowhere; one put in its place is said of instead', () => {
    const on = after(start, set('head', { style: 'other', on: true }));
    expect(patch(after(on, { name: 'removeStyles', args: { styles: ['other'] } }), 'head')).toEqual(
      { shared: {} },
    );
    const exchanged = after(on, {
      name: 'exchangeStyle',
      args: { style: 'other', instead: 'more' },
    });
    expect(patch(exchanged, 'head')).toEqual({ shared: { base: true, more: true } });
  });
});

test('a shared style made of what a rule says is on while that holds, and takes those declarations from it alone', () => {
  const [said, kept] = [{ css: 'blue' }, { css: '2px' }];
  const documents = site(
    cardWith({ root: { style: { 'outline-color@base': said, 'outline-width@base': kept } } }),
  );
  const made: NamedEdit = {
    name: 'addStyle',
    args: {
      style: 'made',
      name: 'Set off',
      order: 'a3',
      base: null,
      block: { 'outline-color@base': said },
      from: { doc: 'card', node: 'root', rule: 'r' },
    },
  };
  const card = docOf(after(documents, made), 'component', 'card')!;
  expect(card.rules['r']!.patch['root']).toEqual({
    style: { 'outline-width@base': kept },
    shared: { made: true },
  });
  expect(card.nodes).toEqual(docOf(documents, 'component', 'card')!.nodes);
  const otherwise = { ...made, args: { ...made.args, block: { 'outline-color@base': kept } } };
  expect(doEdit(documents, otherwise)).toHaveProperty('refused');
  const gone = { doc: 'card', node: 'root', rule: 'gone' };
  expect(doEdit(documents, { ...made, args: { ...made.args, from: gone } })).toHaveProperty(
    'refused',
  );
});
