import { docOf, literal, text, type ComponentDoc } from '@sormet/core/model';
import { doEdit, isRefusal, type NamedEdit } from '@sormet/core/edit';
import { component, documentsOf, page } from '@sormet/core/test';
import { intoVariant, pickedOf, type Picked } from './picked';

const card = component('card', {
  id: 'root',
  tag: 'article',
  children: [{ id: 'words', tag: 'p', text: 'Words' }],
});
const home = page('home', '/', { id: 'body', tag: 'main', children: [{ id: 'p', tag: 'p' }] });
const axis: NamedEdit = {
  name: 'addAxis',
  args: {
    component: 'card',
    property: 'tone',
    label: 'Tone',
    key: 'tone',
    order: 'a0',
    options: { plain: { label: 'plain', order: 'a0' }, quiet: { label: 'quiet', order: 'a1' } },
    base: 'plain',
  },
};
const started = doEdit(documentsOf(card, home), axis);
if (isRefusal(started)) throw new Error('no axis');
const { documents } = started;
const picked = pickedOf(
  docOf(documents, 'component', 'card') as ComponentDoc,
  { tone: 'quiet', gone: 'option' },
  'fresh',
) as Picked;

const declare = (doc: string, nodes: string[]): NamedEdit => ({
  name: 'declare',
  args: { doc, nodes, property: 'color', width: 'base', css: 'navy' },
});
const shown = (doc: string, node: string): NamedEdit => ({
  name: 'setControl',
  args: {
    doc,
    node,
    control: { of: 'shown' },
    source: literal({ type: 'boolean', value: false }),
  },
});
/** What edits come to, by name. */
const into = (edits: NamedEdit[], stylesToo = true) => {
  const meant = intoVariant(picked, stylesToo, documents, edits);
  return isRefusal(meant as never)
    ? (meant as { refused: { code: string } }).refused.code
    : (meant as NamedEdit[]).map(({ name }) => name);
};

test('is told by the options that are there', () => {
  expect(picked).toMatchObject({ axes: { tone: 'quiet' }, rule: 'fresh' });
});

test('what is said of the definition goes into the rule, which is made first; of others it stays what it is', () => {
  expect(into([declare('card', ['root', 'words'])])).toEqual([
    'addRule',
    'declareRule',
    'declareRule',
  ]);
  expect(into([shown('card', 'words')])).toEqual(['addRule', 'setByRule']);
  expect(into([declare('home', ['p']), shown('home', 'p')])).toEqual(['declare', 'setControl']);
  const both = [shown('card', 'words'), shown('home', 'p')].map(({ args }) => args);
  expect(into([{ name: 'setControls', args: { set: both as never } }])).toEqual([
    'addRule',
    'setByRule',
    'setControls',
  ]);
});

test('where another rule was lit, what is styled goes there', () => {
  expect(into([declare('card', ['root'])], false)).toEqual(['declare']);
  const theme: NamedEdit = {
    name: 'putTheme',
    args: { doc: 'card', nodes: ['root'], theme: null },
  };
  expect(into([theme], false)).toEqual(['putTheme']);
});

test('tags, themes and shared styles are said by the rule, each for every node that is meant', () => {
  expect(
    into([{ name: 'setTag', args: { doc: 'card', node: 'words', tag: 'h2' } as never }]),
  ).toEqual(['addRule', 'setLookByRule']);
  for (const doc of ['card', 'home'])
    expect(into([{ name: 'putTheme', args: { doc, nodes: ['words'], theme: null } }])).toEqual(
      doc === 'card' ? ['addRule', 'setLookByRule'] : ['putTheme'],
    );
  expect(
    into([{ name: 'wear', args: { doc: 'card', nodes: ['root', 'words'], style: 's', on: true } }]),
  ).toEqual(['addRule', 'setLookByRule', 'setLookByRule']);
});

test('a picture behind is laid by the rule, and elsewhere by none', () => {
  const laid = (doc: string): NamedEdit => ({
    name: 'setGround',
    args: { doc, nodes: ['root'], width: 'base', ground: null },
  });
  expect(into([laid('card')])).toEqual(['addRule', 'setGround']);
  expect(into([laid('home')])).toEqual(['setGround']);
  expect(into([laid('card')], false)).toEqual(['setGround']);
});

test('what is the same in all variants is refused, and what is put in place stands in all of them with what is said of it', () => {
  expect(
    into([
      {
        name: 'setDefault',
        args: { component: 'card', property: 'tone', value: text('x') } as never,
      },
    ]),
  ).toBe('same-in-all-variants');
  const wrap: NamedEdit = {
    name: 'wrap',
    args: { doc: 'card', nodes: ['words'], box: 'box', tag: 'div' },
  };
  expect(into([wrap, declare('card', ['box'])])).toEqual(['wrap', 'declare']);
});
