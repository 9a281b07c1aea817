import { docOf, literal, type ComponentDoc, type Source } from '../model';
import { component, contentType, documentsOf, entry, htmlOf, page, TONE } from '../test';
import { dataOf } from '../value';
import { build, Linker, prepare, write } from '.';

const yes = (value: boolean): Source => literal({ type: 'boolean', value });

/** A card with a slot for what is done with it, which a variant hides. */
function card(): ComponentDoc {
  const doc = component(
    'card',
    {
      id: 'root',
      tag: 'article',
      children: [
        { id: 'words', text: 'card' },
        { id: 'here', slot: 'acts', children: [{ id: 'fallback', text: 'nothing to do' }] },
      ],
    },
    { tone: literal({ type: 'choice', value: 'calm' }) },
    ['acts'],
  );
  doc.properties['tone'] = { ...doc.properties['tone']!, type: TONE, axis: true };
  doc.rules['quiet'] = {
    order: 'a0',
    when: { axes: { tone: 'loud' } },
    patch: { here: { shown: yes(false) } },
  };
  return doc;
}

/** What a page shows; both writers must agree on it. */
function shown(docs: Parameters<typeof documentsOf>, of?: string): string {
  const documents = documentsOf(...docs);
  const linked = new Linker().link(documents, 'p');
  const at = of === undefined ? undefined : docOf(documents, 'entry', of);
  const data = dataOf(documents);
  const html = htmlOf(build(linked, data, at).root);
  expect(write(prepare(linked, data), at)).toBe(html);
  return html;
}

const filled = (tone: Source) => ({
  component: 'card',
  values: { tone },
  slots: { acts: [{ tag: 'b', text: 'open' }] },
});

describe('a slot', () => {
  test('is hidden by an option of an axis; what fills it stays and comes back with another', () => {
    const of = (tone: string) =>
      shown([card(), page('p', '/', filled(literal({ type: 'choice', value: tone })))]);
    expect(of('calm')).toBe('<article>card<b>open</b></article>');
    expect(of('loud')).toBe('<article>card</article>');
  });

  test('is hidden where content says so, each page its own way', () => {
    const each = {
      ...page('p', '/<slug>', filled({ is: 'field', from: 'page', path: ['mood'] })),
      entries: 'shed',
    };
    const site = [
      card(),
      each,
      contentType('shed', { mood: TONE }),
      entry('shed', 'calm', { mood: { type: 'choice', value: 'calm' } }),
      entry('shed', 'loud', { mood: { type: 'choice', value: 'loud' } }),
    ] as Parameters<typeof documentsOf>;
    expect(shown(site, 'shed-calm')).toBe('<article>card<b>open</b></article>');
    expect(shown(site, 'shed-loud')).toBe('<article>card</article>');
  });

  test('is handed on to a slot of what stands inside; with nothing in it, that shows what the outer one has in store', () => {
    const frame = component(
      'frame',
      {
        tag: 'section',
        children: [
          {
            component: 'card',
            slots: { acts: [{ slot: 'own', children: [{ tag: 'i', text: 'later' }] }] },
          },
        ],
      },
      {},
      ['own'],
    );
    const of = (slots?: Record<string, { tag: string; text: string }[]>) =>
      shown([card(), frame, page('p', '/', { component: 'frame', ...(slots ? { slots } : {}) })]);
    expect(of()).toBe('<section><article>card<i>later</i></article></section>');
    expect(of({ own: [{ tag: 'b', text: 'now' }] })).toBe(
      '<section><article>card<b>now</b></article></section>',
    );
  });
});
