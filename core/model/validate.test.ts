import { brackenfold } from '@sormet/demo';
import { documentFindings, newId, ID_PATTERN, Source, schemaFindings, text, upgraded } from '.';
import { component, page } from '../test/small-site';

describe('a document', () => {
  test('of the demo passes its schema, each of them', () => {
    for (const doc of brackenfold().documents)
      expect([doc.id, documentFindings(doc)]).toEqual([doc.id, []]);
  });

  test('that does not is told where and why', () => {
    const doc = page('p', '/', { id: 'root', tag: 'div' });
    expect(documentFindings({ ...doc, path: 'no slash' })).toEqual([
      { path: '/path', reason: expect.stringContaining('pattern') as string },
    ]);
    expect(documentFindings({ ...doc, extra: 1 })[0]?.reason).toContain('extra');
    expect(documentFindings({ kind: 'poem' })[0]).toMatchObject({ path: '/kind' });
    expect(documentFindings(null)[0]).toMatchObject({ path: '/kind' });
  });

  test('names the deepest place that is wrong', () => {
    const doc = component('c', { id: 'root', tag: 'div', children: [{ id: 'words', text: 'x' }] });
    const broken = {
      ...doc,
      nodes: {
        ...doc.nodes,
        words: { ...doc.nodes['words'], text: { is: 'value', type: 'text', value: 7 } },
      },
    };
    expect(documentFindings(broken)[0]?.path).toMatch(/^\/nodes\/words\/text/);
  });

  test('of a format that is not known is refused by name', () => {
    expect(() => upgraded({ x: { id: 'x', kind: 'page', format: 99 } })).toThrow('format 99');
    const documents = { p: page('p', '/', { tag: 'div' }) };
    expect(upgraded(documents)).toBe(documents);
  });
});

describe('a source', () => {
  test.each([
    text('words'),
    { is: 'value', type: 'link', value: { to: 'page', page: 'home' } },
    { is: 'value', type: 'image', value: null },
    { is: 'property', property: 'p1', whenEmpty: 'hide' },
    { is: 'field', from: 'page', path: ['name'], whenEmpty: { use: text('else') } },
    { is: 'field', from: { repeat: 'r1' }, path: [] },
  ])('%j is one', (source) => {
    expect(schemaFindings(Source, source)).toEqual([]);
  });

  test.each([
    { is: 'value', type: 'text', value: { html: '<b>' } },
    { is: 'value', type: 'number', value: 'seven' },
    { is: 'field', from: 'elsewhere', path: [] },
    { is: 'property' },
    { is: 'value', type: 'date', value: 'tomorrow' },
  ])('%j is none', (source) => {
    expect(schemaFindings(Source, source)).toHaveLength(1);
  });
});

test('new ids fit the pattern and differ', () => {
  const ids = Array.from({ length: 500 }, newId);
  expect(new Set(ids).size).toBe(500);
  for (const id of ids) expect(id).toMatch(new RegExp(ID_PATTERN));
});
