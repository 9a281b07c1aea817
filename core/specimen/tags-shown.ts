import { EVERY_TAG, literal, text } from '../model';
import type { Branch } from '../ready';
import { caption, row } from './pieces';
import type { As } from './stands';

const ANY_ADDRESS = literal({
  type: 'link',
  value: { to: 'address', href: 'https://example.com/' },
});

/** One of every tag that has a look, as it stands on pages. */
export function tagsShown(as: As): Branch[] {
  const tag = (name: string): string => as({ is: 'tag', tag: name });
  const headings = ['h1', 'h2', 'h3', 'h4', 'h5', 'h6'].map((name): Branch => ({
    id: tag(name),
    tag: name,
    text: `Heading of level ${name[1]}`,
  }));
  const item = (words: string): Branch => ({ id: tag('li'), tag: 'li', text: words });
  return [
    caption('Headings'),
    ...headings,
    caption('Text'),
    {
      id: tag('p'),
      tag: 'p',
      children: [
        { text: 'A paragraph with ' },
        { id: tag('a'), tag: 'a', attributes: { href: ANY_ADDRESS }, text: 'a link' },
        { text: ', ' },
        { id: tag('strong'), tag: 'strong', text: 'strong words' },
        { text: ', ' },
        { id: tag('em'), tag: 'em', text: 'emphasis' },
        { text: ' and ' },
        { id: tag('code'), tag: 'code', text: 'code' },
        { text: ', long enough to run over the end of a line and go on in the next one.' },
      ],
    },
    { id: tag('ul'), tag: 'ul', children: [item('One of a list'), item('Another')] },
    { id: tag('ol'), tag: 'ol', children: [item('First'), item('Second')] },
    {
      id: tag('blockquote'),
      tag: 'blockquote',
      text: 'A quotation, as somebody said it.',
    },
    {
      id: tag('figure'),
      tag: 'figure',
      children: [{ id: tag('figcaption'), tag: 'figcaption', text: 'A caption' }],
    },
    {
      id: tag('details'),
      tag: 'details',
      children: [
        { id: tag('summary'), tag: 'summary', text: 'A question that opens' },
        { tag: 'p', text: 'Its answer.' },
      ],
    },
    { id: tag('hr'), tag: 'hr' },
    table(as),
    caption('Form'),
    row(
      { id: tag('label'), tag: 'label', text: 'A label' },
      {
        id: tag('input'),
        tag: 'input',
        attributes: { 'aria-label': text('A field'), placeholder: text('a field') },
      },
      {
        id: tag('textarea'),
        tag: 'textarea',
        attributes: { 'aria-label': text('A long field') },
      },
      {
        id: tag('button'),
        tag: 'button',
        attributes: { type: text('button') },
        text: 'A button',
      },
      {
        id: tag('select'),
        tag: 'select',
        attributes: { 'aria-label': text('A choice') },
        children: [{ id: tag('option'), tag: 'option', text: 'A choice' }],
      },
    ),
    caption('Where the focus is'),
    {
      id: as({ is: 'tag', tag: EVERY_TAG, held: ':focus-visible' }),
      tag: 'a',
      attributes: { href: ANY_ADDRESS },
      text: 'What the keyboard is at',
    },
  ];
}

function table(as: As): Branch {
  const part = (tag: string, ...children: Branch[]): Branch => ({
    id: as({ is: 'tag', tag }),
    tag,
    children,
  });
  const cell = (tag: string, words: string, scope?: string): Branch => ({
    id: as({ is: 'tag', tag }),
    tag,
    ...(scope ? { attributes: { scope: text(scope) } } : {}),
    text: words,
  });
  return part(
    'table',
    cell('caption', 'A table'),
    part('thead', part('tr', cell('th', 'Column', 'col'), cell('th', 'Another', 'col'))),
    part('tbody', part('tr', cell('th', 'Row', 'row'), cell('td', 'A cell'))),
  );
}
