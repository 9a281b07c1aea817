import { docOf, literal, nodeIn, text, type ComponentDoc, type Typed } from '../../model';
import { saidText } from '../../said';
import { component, documentsOf, page } from '../../test';
import { blockOf } from '../../style';
import { isRefusal } from '../changes';
import { doEdit } from '../edits';
import { connecting } from './connecting';

const card = component(
  'card',
  {
    id: 'root',
    tag: 'article',
    style: blockOf({ 'border-top-left-radius': '12px' }),
    children: [
      { id: 'head', tag: 'h3', children: [{ id: 'words', text: 'Mended here' }] },
      {
        id: 'more',
        tag: 'div',
        children: [
          {
            id: 'rich',
            rich: 'blocks',
            text: { is: 'value', type: 'rich', value: ['Kept words'] },
          },
        ],
      },
      { id: 'empty', tag: 'p', children: [{ id: 'nothing', text: '' }] },
    ],
  },
  {
    free: text(''),
    title: text('Card'),
    round: literal({ type: 'length', value: null }),
    corner: literal({ type: 'length', value: { value: 4, unit: 'px' } }),
    story: literal({ type: 'rich', value: [] }),
  },
);
const documents = documentsOf(card, page('home', '/', { tag: 'main' }));
const TEXT = { of: 'text' } as const;
const RADIUS = { of: 'declaration', key: 'border-top-left-radius' } as const;

function connected(
  property: string,
  node: string,
  control: typeof TEXT | typeof RADIUS,
  holds: 'what it has' | 'what stands there' = 'what it has',
) {
  const done = doEdit(documents, {
    name: 'connect',
    args: { component: 'card', property, controls: [{ node, control }], holds },
  });
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  const { default: byDefault } = docOf(done.documents, 'component', 'card')!.properties[property]!;
  return { byDefault: (byDefault as Typed).value, node: nodeIn(done.documents, 'card', node) };
}

test('a property without a default takes what stands there: words, rich text, a radius', () => {
  expect(connected('free', 'words', TEXT).byDefault).toBe('Mended here');
  expect(connected('story', 'rich', TEXT).byDefault).toEqual(['Kept words']);
  const { byDefault, node } = connected('round', 'root', RADIUS);
  expect(byDefault).toEqual({ value: 12, unit: 'px' });
  expect(node).toMatchObject({ style: { 'border-top-left-radius': { css: 'var(--it)' } } });
});

test('where both hold something, it is said, and what was chosen is what there is', () => {
  const doc = docOf(documents, 'component', 'card') as ComponentDoc;
  expect(connecting(documents, doc, 'corner', [{ node: 'root', control: RADIUS }])).toMatchObject({
    is: 'asked',
    held: { value: { value: 12, unit: 'px' } },
    byDefault: { value: { value: 4, unit: 'px' } },
  });
  expect(connected('corner', 'root', RADIUS).byDefault).toEqual({ value: 4, unit: 'px' });
  expect(connected('corner', 'root', RADIUS, 'what stands there').byDefault).toEqual({
    value: 12,
    unit: 'px',
  });
  expect(connected('title', 'words', TEXT, 'what stands there').byDefault).toBe('Mended here');
});

test('where nothing stands, or the same, there is nothing to say', () => {
  const doc = docOf(documents, 'component', 'card') as ComponentDoc;
  expect(connecting(documents, doc, 'title', [{ node: 'nothing', control: TEXT }])).toEqual({
    is: 'same',
  });
  expect(connected('title', 'nothing', TEXT, 'what stands there').byDefault).toBe('Card');
});

test('what does not fit is refused, whoever asks', () => {
  const done = doEdit(documents, {
    name: 'connect',
    args: {
      component: 'card',
      property: 'corner',
      controls: [{ node: 'words', control: TEXT }],
      holds: 'what it has',
    },
  });
  expect(done).toHaveProperty('refused');
});
