import { plant, type Branch } from '../ready';
import {
  allOf,
  docOf,
  EVERY_TAG,
  FORMAT,
  groupOf,
  inOrder,
  literal,
  PLAIN_THEME,
  text,
  TOKEN_GROUPS,
  type Block,
  type Documents,
  type PageDoc,
  type PlaceholderType,
  type State,
  type StyleDoc,
  type Token,
  type TokenGroup,
} from '../model';
import { blockOf, expand, keyParts, refsIn, stylesInOrder, withParts } from '../style';

/** The id of the page that is the specimen; no stored document has it. */
export const SPECIMEN = 'the-specimen';

/** What a part of the specimen stands for, by the id of its node. */
export type Stands =
  | { readonly is: 'token'; readonly token: string }
  | { readonly is: 'tag'; readonly tag: string; readonly held?: State }
  | { readonly is: 'style'; readonly style: string; readonly held?: State }
  | { readonly is: 'component'; readonly component: string };

/** A page with one of everything that has a look, and what of it is which. */
export interface Specimen {
  readonly page: PageDoc;
  /** What each part stands for. */
  readonly stands: ReadonlyMap<string, Stands>;
}

/** Everything a site's look is made of, as a page of it. */
export function specimenOf(documents: Documents): Specimen {
  return new Maker(documents).specimen();
}

/** How many combinations of modifiers of one base are shown. */
const MOST_COMBINED = 24;

const STATES_SHOWN: readonly State[] = [':hover', ':focus-visible', ':active'];

class Maker {
  private readonly stands = new Map<string, Stands>();
  private next = 0;

  constructor(private readonly documents: Documents) {}

  specimen(): Specimen {
    const themes = inOrder(this.documents.tokens.themes ?? {});
    const sections = [
      this.inTheme('Plain', PLAIN_THEME),
      ...themes.map(([id, { name }]) => this.inTheme(name, id)),
    ];
    const { nodes } = plant(
      { id: 'specimen', tag: 'main', children: sections },
      { parent: null, order: 'a0' },
      () => `n${(this.next += 1)}`,
    );
    const page: PageDoc = {
      id: SPECIMEN,
      kind: 'page',
      format: FORMAT,
      name: 'Specimen',
      path: '/',
      title: text('Specimen'),
      description: text(''),
      draft: true,
      entries: null,
      former: {},
      nodes,
    };
    return { page, stands: this.stands };
  }

  private inTheme(name: string, theme: string): Branch {
    return {
      id: this.as({ is: 'tag', tag: 'body' }),
      tag: 'section',
      theme,
      style: blockOf({ padding: '24px 32px 40px' }),
      children: [
        this.caption(`Theme: ${name}`),
        ...this.tokens(),
        ...this.tags(),
        ...this.styles(),
        ...this.components(),
      ],
    };
  }

  private as(stands: Stands): string {
    const id = `s${(this.next += 1)}`;
    this.stands.set(id, stands);
    return id;
  }

  private caption(words: string): Branch {
    return {
      tag: 'p',
      text: words,
      style: blockOf({
        'font-family': 'sans-serif',
        'font-size': '12px',
        'line-height': '16px',
        'font-weight': '700',
        'margin-top': '28px',
        'margin-bottom': '10px',
        'max-width': 'none',
        opacity: '0.7',
      }),
    };
  }

  private row(...children: Branch[]): Branch {
    return {
      tag: 'div',
      style: blockOf({
        display: 'flex',
        'flex-wrap': 'wrap',
        'align-items': 'flex-end',
        gap: '14px 18px',
      }),
      children,
    };
  }

  private tokens(): Branch[] {
    const { tokens } = this.documents.tokens;
    const groups = (Object.keys(TOKEN_GROUPS) as TokenGroup[]).flatMap((group) => {
      const rows = inOrder(tokens).filter(([, token]) => groupOf(token) === group);
      return rows.length > 0 ? [{ group, rows }] : [];
    });
    return groups.flatMap(({ group, rows }) => [
      this.caption(TOKEN_GROUPS[group].word),
      this.row(...rows.map(([id, token]) => this.token(id, token, group))),
    ]);
  }

  private token(id: string, { name, type }: Token, group: TokenGroup): Branch {
    const small = {
      'font-family': 'sans-serif',
      'font-size': '12px',
      'line-height': '16px',
      'margin-top': '4px',
    };
    const shows = SHOWS[group];
    const box: Branch = {
      id: this.as({ is: 'token', token: id }),
      tag: 'div',
      ...(shows.words ? { text: shows.words } : {}),
      style: {
        ...blockOf({ 'min-height': '18px', ...shows.beside }),
        ...withToken(shows.property, id, type),
      },
    };
    return {
      tag: 'div',
      style: blockOf({ 'min-width': '92px' }),
      children: [box, { tag: 'p', text: name, style: blockOf(small) }],
    };
  }

  private tags(): Branch[] {
    const tag = (name: string): string => this.as({ is: 'tag', tag: name });
    const headings = ['h1', 'h2', 'h3', 'h4', 'h5', 'h6'].map((name): Branch => ({
      id: tag(name),
      tag: name,
      text: `Heading of level ${name[1]}`,
    }));
    const item = (words: string): Branch => ({ id: tag('li'), tag: 'li', text: words });
    return [
      this.caption('Headings'),
      ...headings,
      this.caption('Text'),
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
      this.table(),
      this.caption('Form'),
      this.row(
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
      this.caption('Where the focus is'),
      {
        id: this.as({ is: 'tag', tag: EVERY_TAG, held: ':focus-visible' }),
        tag: 'a',
        attributes: { href: ANY_ADDRESS },
        text: 'What the keyboard is at',
      },
    ];
  }

  private table(): Branch {
    const part = (tag: string, ...children: Branch[]): Branch => ({
      id: this.as({ is: 'tag', tag }),
      tag,
      children,
    });
    const cell = (tag: string, words: string, scope?: string): Branch => ({
      id: this.as({ is: 'tag', tag }),
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

  private styles(): Branch[] {
    const styles = stylesInOrder(this.documents).flatMap(
      (id) => docOf(this.documents, 'style', id) ?? [],
    );
    if (styles.length === 0) return [];
    const bases = styles.filter(({ base }) => base === null);
    return [
      this.caption('Shared styles'),
      ...bases.flatMap((base) => {
        const modifiers = styles.filter((style) => style.base === base.id);
        if (modifiers.length === 0) return [this.worn(base, [base])];
        return [
          this.caption(base.name),
          this.row(
            ...combinations(modifiers)
              .slice(0, MOST_COMBINED)
              .map((chosen) => this.worn(chosen[0] ?? base, [base, ...chosen])),
          ),
          this.row(
            ...STATES_SHOWN.filter((state) =>
              [base, ...modifiers].some(({ style }) =>
                Object.keys(style).some((key) => keyParts(key).state === state),
              ),
            ).map((state) =>
              this.worn(modifiers[0]!, [base, ...(combinations(modifiers)[0] ?? [])], state),
            ),
          ),
        ];
      }),
    ];
  }

  /** Something that has styles on, and says which. */
  private worn(style: StyleDoc, on: readonly StyleDoc[], held?: State): Branch {
    const names = on.length > 1 ? on.slice(1).map(({ name }) => name) : on.map(({ name }) => name);
    return {
      id: this.as({ is: 'style', style: style.id, ...(held ? { held } : {}) }),
      tag: 'div',
      shared: Object.fromEntries(on.map(({ id }) => [id, true as const])),
      text: held ? `${names.join(', ')}: ${held.slice(1)}` : names.join(', '),
    };
  }

  private components(): Branch[] {
    const { surround } = this.documents.site;
    const components = allOf(this.documents, 'component')
      .filter(({ id }) => id !== surround)
      .sort((a, b) => (a.name < b.name ? -1 : 1));
    return components.flatMap(({ id, name }) => [
      this.caption(name),
      { id: this.as({ is: 'component', component: id }), component: id },
    ]);
  }
}

const ANY_ADDRESS = literal({
  type: 'link',
  value: { to: 'address', href: 'https://example.com/' },
});

/** Of each group of tokens, what shows one best. */
const SHOWS: Readonly<
  Record<TokenGroup, { property: string; words?: string; beside: Record<string, string> }>
> = {
  colour: { property: 'background-color', beside: { height: '44px', border: '1px solid #8884' } },
  space: { property: 'width', beside: { 'background-color': '#888', 'max-width': '100%' } },
  size: { property: 'font-size', words: 'Aa', beside: { 'line-height': '1.2' } },
  family: { property: 'font-family', words: 'Words in it', beside: { 'font-size': '20px' } },
  weight: { property: 'font-weight', words: 'Words in it', beside: {} },
  lineHeight: {
    property: 'line-height',
    words: 'Words in it',
    beside: { outline: '1px solid #8884' },
  },
  radius: { property: 'border-radius', beside: { height: '44px', border: '1px solid #888' } },
  border: { property: 'border', beside: { height: '44px' } },
  shadow: { property: 'box-shadow', beside: { height: '44px' } },
  duration: {
    property: 'transition-duration',
    words: '↝',
    beside: { 'transition-property': 'opacity' },
  },
  easing: {
    property: 'transition-timing-function',
    words: '↝',
    beside: { 'transition-property': 'opacity' },
  },
  gradient: { property: 'background-image', beside: { height: '44px' } },
  stroke: {
    property: 'border-top-style',
    beside: { 'border-top-width': '3px', 'border-top-color': 'currentcolor' },
  },
};

function withToken(property: string, token: string, type: PlaceholderType): Block {
  const refs = withParts({ t: { token, type } });
  const expanded = expand(property, 'var(--t)', refs);
  if (!expanded.ok) return {};
  return Object.fromEntries(
    Object.entries(expanded.longhands).map(([longhand, css]) => {
      const used = refsIn(css, refs);
      return [longhand, used ? { css, refs: used } : { css }];
    }),
  );
}

/**
 * Modifiers that go together, one of each family: two that say something of the same property are of one family (a look
 * and a look), others are of two (a look and a size).
 */
export function combinations(modifiers: readonly StyleDoc[]): StyleDoc[][] {
  const families: { properties: Set<string>; of: StyleDoc[] }[] = [];
  for (const modifier of modifiers) {
    const properties = new Set(Object.keys(modifier.style).map((key) => keyParts(key).property));
    const alike = families.filter((family) =>
      [...properties].some((p) => family.properties.has(p)),
    );
    const merged = {
      properties: new Set([...alike.flatMap((each) => [...each.properties]), ...properties]),
      of: [...alike.flatMap((each) => each.of), modifier],
    };
    families.splice(
      0,
      families.length,
      ...families.filter((each) => !alike.includes(each)),
      merged,
    );
  }
  return families.reduce<StyleDoc[][]>(
    (found, { of }) => found.flatMap((chosen) => of.map((each) => [...chosen, each])),
    [[]],
  );
}
