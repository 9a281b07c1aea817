import {
  type ComponentDoc,
  type Doc,
  Documents,
  type EntryDoc,
  FORMAT,
  inOrder,
  type Literal,
  newId,
  ordersFor,
  type PageDoc,
  type SiteDoc,
  type Source,
  type TokensDoc,
  text,
  type TypeDoc,
  type WhenEmpty,
} from '../model';
import { blockOf, readBlock } from '../style';
import { plant, type Branch } from './branches';
import { LOOKS, stylesOf, tagsOf, tokensOf, type LookName } from './looks';

/** What somebody says of a site before there is one. */
export interface NewSite {
  readonly name: string;
  readonly slug: string;
  /** BCP 47 language tag. */
  readonly language: string;
  /** The largest viewport of the first narrower width, in px. */
  readonly width: number;
  /** How it looks; the quiet one where nothing is said. */
  readonly look?: LookName;
}

/** With what a site begins: a surround and a home page; with some pages and a content type; as another one is. */
export type Beginning = 'empty' | 'start';

/** As far in as what keeps to the middle of a section. */
const ROOM = { 'padding-block': '24px', 'padding-inline': 'max(32px, (100% - 72rem) / 2)' };
/** Out of sight until the keyboard comes to it. */
const AWAY = {
  position: 'absolute',
  left: '-100vw',
  top: '0',
  padding: '8px 16px',
  color: '{ink}',
  'background-color': '{paper}',
};

/** The documents of a new site. */
export function beginSite(site: NewSite, beginning: Beginning): Documents {
  const tokens = tokensOf(LOOKS[site.look ?? 'quiet']);
  const docs: Doc[] = [
    {
      id: 'site',
      kind: 'site',
      format: FORMAT,
      name: site.name,
      slug: site.slug,
      language: site.language,
      surround: 'surround',
      widths: { narrower: { max: site.width } },
      fonts: {},
    } satisfies SiteDoc,
    { id: 'tags', kind: 'tags', format: FORMAT, tags: tagsOf(tokens) },
    { id: 'tokens', kind: 'tokens', format: FORMAT, tokens },
    ...stylesOf(tokens),
    surround(
      site.name,
      tokens,
      beginning === 'start'
        ? [
            ['about', 'About'],
            ['news', 'News'],
          ]
        : [],
    ),
    page('home', '/', 'Home', site.name, welcome(site.name)),
  ];
  if (beginning === 'start') docs.push(...more());
  return Documents.from(docs);
}

/** The documents of a site as another one's, under a name and address of their own: nobody has visited it yet. */
export function copySite(documents: Documents, { name, slug, language }: NewSite): Documents {
  const begun = [...documents].map((doc): Doc => {
    if (doc.kind === 'site') return copiedSite(doc, { name, slug, language });
    if (doc.kind === 'page') return { ...doc, former: {} };
    if (doc.kind !== 'entry') return doc;
    const { former: _, ...entry } = doc;
    return entry;
  });
  return Documents.from(begun);
}

/** What is said of a copy: mail of its messages goes to nobody, who was told of those of the other. */
function copiedSite(
  { inbox, ...doc }: SiteDoc,
  named: Pick<SiteDoc, 'name' | 'slug' | 'language'>,
): SiteDoc {
  const days = inbox?.days;
  return { ...doc, ...named, ...(days === undefined ? {} : { inbox: { days } }) };
}

/**
 * A page that nothing stands on yet, in the site's surround.
 * @param of the content type of which it is the page of each entry: its title and description begin bound to fields
 */
export function emptyPage(documents: Documents, path: string, name: string, of?: TypeDoc): PageDoc {
  const surroundId = documents.site.surround;
  const root = newId();
  const title = of && readField(of.title, { use: text(name) });
  const about = of && describing(of);
  return {
    id: newId(),
    kind: 'page',
    format: FORMAT,
    name,
    path,
    title: title ?? text(name),
    description: about === undefined ? text('') : readField(about, 'nothing'),
    draft: true,
    entries: of?.id ?? null,
    former: {},
    nodes: plant(
      surroundId === null ? { id: root, tag: 'main' } : { id: root, component: surroundId },
      { parent: null, order: 'a0' },
    ).nodes,
  };
}

function readField(field: string, whenEmpty: WhenEmpty): Source {
  return { is: 'field', from: 'page', path: [field], whenEmpty };
}

/** The field that says most of an entry in words: the first text that is not its title. */
function describing({ fields, title }: TypeDoc): string | undefined {
  return inOrder(fields).find(([id, { type }]) => id !== title && type.kind === 'text')?.[0];
}

/** A component that holds nothing yet: a section, or with a folder other than Sections a plain box. */
export function emptyComponent(name: string): ComponentDoc {
  const tag = name.startsWith('Sections/') ? 'section' : 'div';
  return {
    id: newId(),
    kind: 'component',
    format: FORMAT,
    name,
    properties: {},
    groups: {},
    slots: {},
    rules: {},
    nodes: plant({ tag }, { parent: null, order: 'a0' }).nodes,
  };
}

function page(
  id: string,
  path: string,
  name: string,
  title: string,
  main: readonly Branch[],
  entries: string | null = null,
): PageDoc {
  return {
    id,
    kind: 'page',
    format: FORMAT,
    name,
    path,
    title: text(title),
    description: text(''),
    draft: false,
    entries,
    former: {},
    nodes: planted(id, { id: `${id}-body`, component: 'surround', slots: { main } }),
  };
}

function planted(id: string, branch: Branch) {
  let next = 0;
  return plant(branch, { parent: null, order: 'a0' }, () => `${id}-n${(next += 1)}`).nodes;
}

function toPage(id: string): Literal {
  return { is: 'value', type: 'link', value: { to: 'page', page: id } };
}

function toAddress(href: string): Literal {
  return { is: 'value', type: 'link', value: { to: 'address', href } };
}

function surround(
  name: string,
  tokens: TokensDoc['tokens'],
  links: readonly (readonly [string, string])[],
): ComponentDoc {
  const bar = blockOf({
    ...ROOM,
    display: 'flex',
    'column-gap': '24px',
    'align-items': 'baseline',
  });
  return {
    id: 'surround',
    kind: 'component',
    format: FORMAT,
    name: 'Site surround',
    properties: {},
    groups: {},
    slots: { main: { label: 'main', order: 'a0' } },
    rules: {},
    nodes: planted('surround', {
      tag: 'div',
      name: 'Site surround',
      children: [
        {
          tag: 'a',
          name: 'Skip link',
          attributes: { href: toAddress('#main') },
          text: 'To the content',
          style: readBlock(tokens, AWAY, { ':focus-visible': { left: '0' } }),
        },
        {
          tag: 'header',
          name: 'Header',
          style: bar,
          children: [
            { tag: 'a', name: 'Name', attributes: { href: toPage('home') }, text: name },
            {
              tag: 'nav',
              name: 'Navigation',
              attributes: { 'aria-label': text('Main') },
              style: blockOf({ display: 'flex', 'column-gap': '16px' }),
              children: links.map(([to, label]) => ({
                tag: 'a',
                attributes: { href: toPage(to) },
                text: label,
              })),
            },
          ],
        },
        {
          tag: 'main',
          name: 'Main',
          attributes: { id: text('main') },
          children: [{ slot: 'main' }],
        },
        {
          tag: 'footer',
          name: 'Footer',
          style: blockOf(ROOM),
          children: [{ tag: 'p', name: 'Text', text: name }],
        },
      ],
    }),
  };
}

function welcome(name: string): readonly Branch[] {
  return [section([{ tag: 'h1', name: 'Heading', text: name }])];
}

function section(children: readonly Branch[]): Branch {
  return {
    tag: 'section',
    name: 'Section',
    shared: { 'look-style-section-room': true },
    children: [{ tag: 'div', name: 'Inside', shared: { 'look-style-wide': true }, children }],
  };
}

/** Some pages and a content type to go on from. */
function more(): Doc[] {
  const read = (path: string[], from: 'page' | { repeat: string } = 'page'): Source => ({
    is: 'field',
    from,
    path,
    whenEmpty: 'hide',
  });
  const [first, second, third] = ordersFor(3) as [string, string, string];
  const news: TypeDoc = {
    id: 'item',
    kind: 'type',
    format: FORMAT,
    name: 'News item',
    plural: 'News',
    title: 'item-title',
    fields: {
      'item-title': { label: 'Title', key: 'title', order: first, type: { kind: 'text' } },
      'item-date': { label: 'Date', key: 'date', order: second, type: { kind: 'date' } },
      'item-words': { label: 'Words', key: 'words', order: third, type: { kind: 'text' } },
    },
  };
  const item: EntryDoc = {
    id: 'item-first',
    kind: 'entry',
    format: FORMAT,
    type: 'item',
    slug: 'first',
    draft: false,
    values: {
      'item-title': { type: 'text', value: 'The first news' },
      'item-words': { type: 'text', value: 'Write here what is new.' },
    },
  };
  return [
    news,
    item,
    page('about', '/about', 'About', 'About', [
      section([
        { tag: 'h1', name: 'Heading', text: 'About' },
        { tag: 'p', name: 'Text', text: 'Say here who you are and what you do.' },
      ]),
    ]),
    page('news', '/news', 'News', 'News', [
      section([
        { tag: 'h1', name: 'Heading', text: 'News' },
        {
          id: 'news-each',
          repeat: {
            from: { type: 'item' },
            where: {},
            order: { newest: { path: ['item-date'], descending: true, order: 'a0' } },
          },
          children: [
            {
              tag: 'article',
              name: 'News item',
              children: [
                {
                  tag: 'h2',
                  name: 'Heading',
                  children: [
                    {
                      tag: 'a',
                      attributes: { href: read([], { repeat: 'news-each' }) },
                      text: read(['item-title'], { repeat: 'news-each' }),
                    },
                  ],
                },
                { tag: 'p', name: 'Text', text: read(['item-words'], { repeat: 'news-each' }) },
              ],
            },
          ],
          slots: { none: [{ tag: 'p', name: 'For none', text: 'There is no news yet.' }] },
        },
      ]),
    ]),
    page(
      'news-item',
      '/news/<slug>',
      'Each news item',
      'News',
      [
        section([
          { tag: 'h1', name: 'Heading', text: read(['item-title']) },
          { tag: 'p', name: 'Text', text: read(['item-words']) },
        ]),
      ],
      'item',
    ),
  ];
}
