import { createElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { literal, text, type LinkValue, type RichPiece } from '@sormet/core/model';
import { build, Linker, prepare, write } from '@sormet/core/resolve';
import { component, documentsOf, page, queryOf, signDocs } from '@sormet/core/test';
import { dataOf } from '@sormet/core/value';
import { Draw } from './draw';
import type { Registry } from './registry';

const told: RichPiece[] = [
  'Bring ',
  { tag: 'strong', children: ['<it>'] },
  { tag: 'br', children: [] },
];
const story = component(
  'story',
  { tag: 'div', children: [{ text: { is: 'property', property: 'told' }, rich: 'blocks' }] },
  { told: literal({ type: 'rich', value: told }) },
);
const link = (value: LinkValue) => literal({ type: 'link', value });
const documents = documentsOf(
  ...signDocs.filter(({ kind }) => kind !== 'tokens'),
  story,
  page('home', '/', {
    tag: 'main',
    children: [
      {
        component: 'sign',
        values: {
          tone: literal({ type: 'choice', value: 'loud' }),
          share: literal({ type: 'number', value: 0.5 }),
        },
        shared: { pill: true },
      },
      { component: 'story' },
    ],
  }),
);

test('the canvas draws what is not loaded yet as waiting', () => {
  const listing = page('list', '/', {
    tag: 'ul',
    children: [
      { id: 'all', repeat: queryOf('note', [], []), children: [{ tag: 'li', text: 'A note' }] },
      { tag: 'a', attributes: { href: link({ to: 'page', page: 'away' }) } },
    ],
  });
  const part = documentsOf(listing);
  const data = dataOf(part, undefined, {
    docs: new Set(['away']),
    entriesOf: new Set(['note']),
  });
  const { root } = build(new Linker().link(part, 'list'), data, undefined);
  const registry = { set: () => undefined } as unknown as Registry;
  expect(renderToStaticMarkup(createElement(Draw, { node: root!, registry }))).toBe(
    '<ul>…<a data-sormet-waiting=""></a></ul>',
  );
});

test('the canvas draws classes and custom properties as publishing writes them', () => {
  const data = dataOf(documents);
  const linked = new Linker().link(documents, 'home');
  const { root } = build(linked, data, undefined);
  const registry = { set: () => undefined } as unknown as Registry;
  const drawn = renderToStaticMarkup(createElement(Draw, { node: root!, registry }));
  const written = write(prepare(linked, data));
  // Text that stands alone in an element, rich too, is put there by hand afterwards (e2e/rich.spec.ts); React ends void elements with a slash.
  const same = drawn
    .replace('></p>', '>A sign</p>')
    .replace('<span></span>', '<span>Loud</span>')
    .replace('<div></div>', '<div>Bring <strong>&lt;it&gt;</strong><br></div>')
    .replaceAll('/>', '>');
  expect(same).toBe(written);
  expect(written).toContain('style="--sign-root_sign_opacity_base_share:0.5"');
  expect(written).toContain('<div>Bring <strong>&lt;it&gt;</strong><br></div>');
});

test('the canvas draws forms and what opens as publishing writes them', () => {
  const yes = literal({ type: 'boolean', value: true });
  const form = documentsOf(
    page('form', '/', {
      tag: 'form',
      children: [
        {
          tag: 'label',
          attributes: { for: text('mail') },
          children: [{ tag: 'span', text: 'Mail' }],
        },
        {
          tag: 'input',
          attributes: {
            id: text('mail'),
            type: text('email'),
            autocomplete: text('email'),
            required: yes,
            value: text('a@b.example'),
          },
        },
        { tag: 'input', attributes: { type: text('checkbox'), checked: yes, disabled: yes } },
        { tag: 'textarea', attributes: { name: text('words'), required: yes } },
        {
          tag: 'details',
          attributes: { open: yes },
          children: [{ tag: 'summary', text: 'More' }],
        },
      ],
    }),
  );
  const linked = new Linker().link(form, 'form');
  const data = dataOf(form);
  const registry = { set: () => undefined } as unknown as Registry;
  const { root } = build(linked, data, undefined);
  // Words that stand alone in an element are put there by hand afterwards.
  const drawn = renderToStaticMarkup(createElement(Draw, { node: root!, registry }))
    .replace('<span></span>', '<span>Mail</span>')
    .replace('<summary></summary>', '<summary>More</summary>');
  expect(sorted(drawn)).toBe(sorted(write(prepare(linked, data))));
});

/** The attributes of each element in the order of their names, and elements that hold nothing without their last mark. */
function sorted(html: string): string {
  return html.replace(
    /<([a-z0-9]+)((?: [a-z-]+(?:="[^"]*")?)*) ?\/?>/gi,
    (_, tag: string, attributes: string) => {
      const list = attributes.match(/ [a-z-]+(?:="[^"]*")?/gi) ?? [];
      return `<${tag}${list
        .map((each) => each.toLowerCase())
        .sort()
        .join('')}>`;
    },
  );
}
