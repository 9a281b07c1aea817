import { brackenfold } from '@sormet/demo';
import {
  treeDocOf,
  type PageDoc,
  type TreeDoc,
  type Typed,
  kindOnly,
  TEXT,
  type ValueKind,
} from '@sormet/core/model';
import { HIDE } from '@sormet/core/value';
import { fieldLabel, fittingFields } from './fields';
import { valueWords } from '../words';

const { documents } = brackenfold();
const shedPage = documents.get('page-shed') as PageDoc;

function labels(doc: TreeDoc, node: string, type: ValueKind): string[] {
  return fittingFields(documents, doc, node, kindOnly(type)).map(({ label }) => label);
}

/** The node of a page that places a component. */
function instanceOf(doc: TreeDoc, component: string): string {
  return Object.keys(doc.nodes).find((id) => {
    const node = doc.nodes[id]!;
    return node.kind === 'instance' && node.component === component;
  })!;
}

describe('the fields offered', () => {
  const lines = instanceOf(shedPage, 'lines');

  test('are those of the page’s entry whose type fits, in the order of the type', () => {
    expect(labels(shedPage, lines, 'image')).toEqual(['shed · picture']);
    // Behind them days that are often asked for, told from the day it is.
    const [field, ...days] = labels(shedPage, lines, 'date');
    expect(field).toBe('shed · opened');
    expect(days).toEqual(expect.arrayContaining(['today', 'tomorrow', '30 days ago']));
    expect(labels(shedPage, lines, 'boolean')).toEqual([]);
  });

  test('include what converts: a number or a date becomes text, an entry a link', () => {
    expect(labels(shedPage, lines, 'text')).toEqual(
      expect.arrayContaining(['shed · name', 'shed · benches', 'shed · opened']),
    );
    expect(labels(shedPage, lines, 'link')).toEqual(
      expect.arrayContaining(['shed · booking', 'shed · its page']),
    );
  });

  test('include those of the repeat around, across references, before the page’s', () => {
    const line = instanceOf(shedPage, 'session-line');
    const offered = labels(shedPage, line, 'text');
    expect(offered[0]).toBe('session · title');
    expect(offered).toContain('session · shed · name');
    expect(offered).toContain('shed · name');
  });

  test('are none where there is no entry', () => {
    const home = documents.get('page-home') as PageDoc;
    expect(labels(home, instanceOf(home, 'opening'), 'text')).toEqual([]);
  });

  test('are named as they were bound', () => {
    const line = instanceOf(shedPage, 'session-line');
    for (const { label, source } of fittingFields(documents, shedPage, line, TEXT))
      expect(fieldLabel(documents, shedPage, source)).toBe(label);
    expect(fieldLabel(documents, shedPage, { is: 'field', from: 'page', path: ['nothing'] })).toBe(
      'shed · a field that is gone',
    );
  });
});

describe('values in words', () => {
  test.each<[Typed | typeof HIDE | null, string]>([
    [null, 'nothing'],
    [HIDE, 'hides the element'],
    [{ type: 'text', value: '' }, 'nothing'],
    [{ type: 'text', value: 'Mend' }, 'Mend'],
    [{ type: 'boolean', value: false }, 'no'],
    [{ type: 'boolean', value: true }, 'yes'],
    [{ type: 'number', value: 0 }, '0'],
    [{ type: 'date', value: '2026-12-03' }, '3 December 2026'],
    [{ type: 'link', value: { to: 'address', href: 'mailto:a@b.example' } }, 'mailto:a@b.example'],
    [{ type: 'link', value: { to: 'page', page: 'page-about' } }, '/about'],
    [
      { type: 'link', value: { to: 'page', page: 'page-shed', entry: 'shed-millgate' } },
      '/sheds/millgate',
    ],
    [{ type: 'link', value: { to: 'page', page: 'gone' } }, 'a page that is gone'],
    [{ type: 'image', value: { asset: 'picture-3' } }, 'sheds/millgate.svg'],
    [{ type: 'image', value: { asset: 'gone' } }, 'a picture that is gone'],
    [{ type: 'entry', value: 'shed-millgate' }, 'Millgate'],
    [{ type: 'entry', value: 'gone' }, 'an entry that is gone'],
  ])('%j is “%s”', (value, words) => {
    expect(valueWords(documents, value)).toBe(words);
  });
});

test('the demo has a tree for everything these tests look at', () => {
  for (const id of ['page-shed', 'page-home', 'opening'])
    expect(treeDocOf(documents, id)).toBeDefined();
});
