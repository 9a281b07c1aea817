import { docOf, literal, type ComponentDoc, type Source } from '../model';
import { component, documentsOf, page, TONE } from '../test';
import { instancesWith, optionsInUse, Reach, reachOfOptions } from '.';

/** A card with an axis of three options, of which one that is gone counts as another. */
function card(): ComponentDoc {
  const doc = component(
    'card',
    { id: 'root', tag: 'article' },
    { tone: literal({ type: 'choice', value: 'calm' }) },
  );
  const { options } = TONE;
  const gone = { label: 'old', order: 'a9', gone: 'loud' };
  doc.properties['tone'] = {
    ...doc.properties['tone']!,
    type: { kind: 'choice', options: { ...options, old: gone } },
    axis: true,
  };
  return doc;
}

const placed = (id: string, tone?: Source) => ({
  id,
  component: 'card',
  ...(tone ? { values: { tone } } : {}),
});
const of = (value: string) => literal({ type: 'choice', value });
const outer = component(
  'outer',
  { id: 'box', tag: 'div', children: [placed('inner', { is: 'property', property: 'said' })] },
  { said: of('calm') },
);
const documents = documentsOf(
  card(),
  outer,
  page('one', '/', {
    id: 'main',
    tag: 'main',
    children: [
      placed('a'),
      placed('b', of('loud')),
      placed('c', of('old')),
      { id: 'o', component: 'outer' },
    ],
  }),
  page('two', '/two', { id: 'main2', tag: 'main', children: [placed('d', of('loud'))] }),
);

test('a variant reaches the instances that have its options: of the base those that say nothing, too', () => {
  const reach = new Reach(documents);
  const inUse = optionsInUse(documents, reach, docOf(documents, 'component', 'card')!);
  expect(reachOfOptions(reach, inUse, { tone: 'calm' })).toEqual({
    instances: 1,
    pages: 1,
    perhaps: 1,
  });
  // What is gone counts as the option that is named instead.
  expect(reachOfOptions(reach, inUse, { tone: 'loud' })).toEqual({
    instances: 3,
    pages: 2,
    perhaps: 1,
  });
  expect(instancesWith(inUse, {})).toEqual({ instances: 5, perhaps: 0 });
});

test('an edit counts only the document anew that it changed', () => {
  const reach = new Reach(documents);
  const definition = docOf(documents, 'component', 'card')!;
  const before = optionsInUse(documents, reach, definition);
  const two = docOf(documents, 'page', 'two')!;
  const changed = documents.with({ ...two, nodes: { ...two.nodes } });
  const after = optionsInUse(changed, reach, definition);
  const within = (list: typeof before, id: string) =>
    list.filter(({ document }) => document === id);
  expect(within(after, 'one').every((each, i) => each === within(before, 'one')[i])).toBe(true);
  expect(within(after, 'two')).toEqual(within(before, 'two'));
  expect(within(after, 'two')[0]).not.toBe(within(before, 'two')[0]);
});
