import {
  docOf,
  literal,
  type ComponentDoc,
  type PageDoc,
  type Source,
  type TypeSpec,
} from '../model';
import { component, contentType, documentsOf, entry, htmlOf, page } from '../test';
import { dataOf } from '../value';
import { build, Linker, prepare, write } from '.';

/** A choice of options by id and label. */
const choiceOf = (labels: Record<string, string>): TypeSpec => ({
  kind: 'choice',
  options: Object.fromEntries(
    Object.entries(labels).map(([id, label], i) => [id, { label, order: `a${i}` }]),
  ),
});

const tones = choiceOf({ calm: 'Calm', loud: 'Loud' });

/** A card that shows “shh” only where its tone is loud. */
function card(): ComponentDoc {
  const doc = component(
    'card',
    { tag: 'article', children: [{ id: 'quiet', tag: 'i', text: 'shh' }, { text: 'card' }] },
    { tone: literal({ type: 'choice', value: 'calm' }) },
  );
  doc.properties['tone'] = { ...doc.properties['tone']!, type: tones, axis: true };
  return {
    ...doc,
    rules: {
      r: {
        order: 'a0',
        when: { axes: { tone: 'loud' } },
        patch: { quiet: { shown: { is: 'value', type: 'boolean', value: false } } },
      },
    },
  };
}

/** What the page of an entry shows that has an option of a choice of content; both writers must agree on it. */
function shown(moods: TypeSpec, mood: string, tone: Source = OF_CONTENT): string {
  const documents = documentsOf(
    card(),
    {
      ...page('p', '/<slug>', { component: 'card', values: { tone } }),
      entries: 'shed',
    } as PageDoc,
    contentType('shed', { mood: moods }),
    entry('shed', 'one', { mood: { type: 'choice', value: mood } }),
  );
  const linked = new Linker().link(documents, 'p');
  const at = docOf(documents, 'entry', 'shed-one');
  const data = dataOf(documents);
  const html = htmlOf(build(linked, data, at).root);
  expect(write(prepare(linked, data), at)).toBe(html);
  return html;
}

const OF_CONTENT: Source = { is: 'field', from: 'page', path: ['mood'] };
const CALM = '<article><i>shh</i>card</article>';
const LOUD = '<article>card</article>';

describe('an option of a choice that was made apart', () => {
  test('is the one that is called the same, whatever its case; another is none, so the default shows', () => {
    const moods = choiceOf({ m1: 'calm ', m2: 'LOUD', m3: 'merry' });
    expect(shown(moods, 'm1')).toBe(CALM);
    expect(shown(moods, 'm2')).toBe(LOUD);
    expect(shown(moods, 'm3', { ...OF_CONTENT, whenEmpty: 'default' })).toBe(CALM);
  });

  test('is itself where the choice has it, whatever it is called, beside others that are taken by their words', () => {
    const moods = choiceOf({ calm: 'Loud', m2: 'Loud', loud: 'Still' });
    expect(shown(moods, 'calm')).toBe(CALM);
    expect(shown(moods, 'm2')).toBe(LOUD);
    expect(shown(moods, 'loud')).toBe(LOUD);
  });
});
