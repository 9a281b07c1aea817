import { literal, nodeIn, type Act, type Source } from '../model';
import { asset, component, documentsOf, foldingDocs, page } from '../test';
import { after } from '../test/after';
import { asSeen } from '../test/as-seen';
import { htmlOf } from '../test/html';
import { dataOf } from '../value';
import { build, Linker, prepare } from '.';

const picture: Source = literal({ type: 'image', value: { asset: 'hall' } });

test('a picture behind something on a page with states is the same as on any other: its address is escaped once', () => {
  const documents = after(
    documentsOf(
      asset('hall'),
      ...foldingDocs,
      component('band', { id: 'root', tag: 'section' }),
      page('home', '/', {
        tag: 'main',
        children: [{ component: 'band' }, { component: 'folding' }],
      }),
    ),
    {
      name: 'setGround',
      args: {
        doc: 'band',
        nodes: ['root'],
        width: 'base',
        ground: { source: picture, veil: null },
      },
    },
  );
  const linked = new Linker().link(documents, 'home');
  const template = prepare(linked, dataOf(documents));
  expect(template.acts).toBe(true);
  const first = template.first(undefined);
  const { html } = template.write(undefined, first, { held: () => undefined });
  expect(html).toContain('url(&quot;/files/');
  expect(html).not.toContain('&amp;quot;/files');
  expect(asSeen(html)).toBe(asSeen(htmlOf(build(linked, dataOf(documents), undefined).root)));
});

test('what begins between two steps is that, and no act sets it there again', () => {
  const one = literal({ type: 'number', value: 1 });
  const documents = after(
    documentsOf(
      ...foldingDocs,
      page('home', '/', {
        tag: 'main',
        children: [{ component: 'folding', values: { 'folding-count': one } }],
      }),
    ),
    {
      name: 'setActs',
      args: {
        doc: 'folding',
        node: 'folding-to',
        when: 'press',
        gone: ['act-0'],
        set: {
          busy: {
            order: 'a0',
            do: 'set',
            state: { is: 'property', property: 'folding-now' },
            to: { value: literal({ type: 'choice', value: 'busy' }) },
          },
          odd: {
            order: 'b00',
            do: 'set',
            state: { is: 'property', property: 'folding-count' },
            to: { value: one },
          },
        },
      },
    },
  );
  const template = prepare(new Linker().link(documents, 'home'), dataOf(documents));
  const { html } = template.write(undefined, template.first(undefined));
  expect(html).toContain('so many: 1');
  // At the fourth of three places; the act that would lead there is left out.
  expect(html).toContain('&quot;folding.folding-count&quot;:[3,3,0]');
  expect(html).toContain(
    'data-sormet-acts="[[&quot;press&quot;,[[&quot;s&quot;,&quot;folding.folding-now&quot;,1]]]]"',
  );
});

test('words of a state that nothing sets are there as they are, whatever else the page does', () => {
  const [folded, folding] = foldingDocs as [(typeof foldingDocs)[0], (typeof foldingDocs)[0]];
  const words = { ...folding.properties['folding-words']!, state: {} };
  const documents = documentsOf(
    folded,
    { ...folding, properties: { ...folding.properties, 'folding-words': words } },
    page('home', '/', { tag: 'main', children: [{ component: 'folding' }] }),
  );
  const template = prepare(new Linker().link(documents, 'home'), dataOf(documents));
  const { html, does } = template.write(undefined, template.first(undefined));
  expect(html).toContain('\uE000folding.folding-words\uE001');
  // A mark stands in their place for the script: it has to have the part that puts them there.
  expect(does?.more).toBe(true);
});

test('two windows that change different acts of one element leave each other’s as they are', () => {
  const act = (value: string): Act => ({
    order: 'a0',
    do: 'set',
    state: { is: 'property', property: 'folding-now' },
    to: { value: literal({ type: 'choice', value }) },
  });
  const args = { doc: 'folding', node: 'folding-back', when: 'press', gone: [] };
  const documents = after(
    documentsOf(...foldingDocs),
    { name: 'setActs', args: { ...args, set: { mine: act('busy') } } },
    { name: 'setActs', args: { ...args, set: { yours: act('idle') }, gone: ['act-1'] } },
  );
  const node = nodeIn(documents, 'folding', 'folding-back');
  const acts = node?.kind === 'element' ? node.whens!['press']!.acts : {};
  expect(Object.keys(acts).sort()).toEqual(['act-0', 'mine', 'yours']);
});
