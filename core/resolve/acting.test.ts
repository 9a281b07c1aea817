import { literal, type Source } from '../model';
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
        acts: {
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
