import { literal, text, type Literal, type Source } from '../model';
import type { Branch } from './branches';
import { trap } from './trap';
import type { ReadyStyles } from './ready-styles';

const address = (href: string): Literal => ({
  is: 'value',
  type: 'link',
  value: { to: 'address', href },
});
const ANY_PICTURE: Source = { is: 'value', type: 'image', value: null };
const yes = literal({ type: 'boolean', value: true });

/** The parts that ready sections are put together from, with the shared styles of a site. */
class Parts {
  constructor(private readonly styles: ReadyStyles) {}

  on(...names: string[]): Pick<Branch, 'shared'> {
    return { shared: this.styles.on(...names) };
  }

  section(name: string, styles: readonly string[], ...children: Branch[]): Branch {
    return this.around(name, styles, this.box('Inside', ['Wide'], ...children));
  }

  /** A section whose one box is as wide as the site's text and lies as the styles of that say. */
  laid(
    name: string,
    styles: readonly string[],
    box: readonly [string, string],
    ...children: Branch[]
  ): Branch {
    return this.around(name, styles, this.box(box[0], ['Wide', box[1]], ...children));
  }

  private around(name: string, styles: readonly string[], inside: Branch): Branch {
    const grounded = styles.includes('Tinted') ? styles : [...styles, 'Paper'];
    return { tag: 'section', name, ...this.on(...grounded), children: [inside] };
  }

  heading(words: string, level: 1 | 2 | 3 = 2): Branch {
    return { tag: `h${level}`, name: 'Heading', text: words };
  }

  words(words: string, ...styles: string[]): Branch {
    return {
      tag: 'p',
      name: 'Text',
      text: words,
      ...(styles.length > 0 ? this.on(...styles) : {}),
    };
  }

  button(words: string): Branch {
    return {
      tag: 'a',
      name: 'Button',
      attributes: { href: address('/') },
      text: words,
      ...this.on('Main look', 'Usual size'),
    };
  }

  picture(alt = ''): Branch {
    return {
      tag: 'img',
      name: 'Picture',
      attributes: { src: ANY_PICTURE, alt: text(alt), loading: text('lazy') },
      ...this.on('Picture'),
    };
  }

  box(name: string, styles: readonly string[], ...children: Branch[]): Branch {
    return { tag: 'div', name, ...(styles.length > 0 ? this.on(...styles) : {}), children };
  }

  cards(...children: Branch[]): Branch {
    return this.box('Cards', ['Cards in a row'], ...children);
  }

  list(name: string, ...items: Branch[][]): Branch {
    return {
      tag: 'ul',
      name,
      ...this.on('Plain list'),
      children: items.map((children) => ({ tag: 'li', ...this.on('Lined', 'Spread'), children })),
    };
  }
}

/** Something to begin from: how it is called, and how it is made with the styles of a site. */
export interface ReadySection {
  readonly key: string;
  readonly label: string;
  readonly make: (styles: ReadyStyles) => Branch;
}

function ready(key: string, label: string, make: (parts: Parts) => Branch): ReadySection {
  // Told apart from the ids of components, of which one may be called the same.
  return { key: `ready-${key}`, label, make: (styles) => make(new Parts(styles)) };
}

const THREE = ['First', 'Second', 'Third'] as const;
const FEW_WORDS =
  'Two or three sentences that say what this is about and why somebody would want it.';

/**
 * Sections that every site can begin with. They are made of tags, shared styles and tokens only, so that they look of the
 * site they are placed in.
 */
export const READY_SECTIONS: readonly ReadySection[] = [
  ready('opening', 'Opening', (p) =>
    p.laid(
      'Opening',
      ['Section room', 'Tinted'],
      ['Columns', 'Two columns'],
      p.box(
        'Words',
        [],
        p.heading('What this is, in a few words', 1),
        p.words(FEW_WORDS, 'Lead'),
        p.button('Find out more'),
      ),
      p.picture(),
    ),
  ),
  ready('opening-centred', 'Opening, centred', (p) =>
    p.laid(
      'Opening',
      ['Section room'],
      ['Words', 'Centred'],
      p.heading('What this is, in a few words', 1),
      p.words(FEW_WORDS, 'Lead'),
      p.button('Find out more'),
    ),
  ),
  ready('words-and-picture', 'Words and picture', (p) =>
    p.laid(
      'Words and picture',
      ['Section room'],
      ['Columns', 'Two columns'],
      p.box(
        'Words',
        [],
        p.heading('A heading for this section'),
        p.words(FEW_WORDS, 'Lead'),
        p.button('Find out more'),
      ),
      p.picture(),
    ),
  ),
  ready('words', 'Words only', (p) =>
    p.section(
      'Words',
      ['Section room'],
      p.heading('A heading for this section'),
      p.words('A paragraph to begin with.'),
    ),
  ),
  ready('cards', 'Cards', (p) =>
    p.section(
      'Cards',
      ['Section room'],
      p.heading('Three of them'),
      p.cards(
        ...THREE.map((which) =>
          p.box(
            'Card',
            ['Framed'],
            p.picture(),
            p.heading(`${which} card`, 3),
            p.words('A sentence or two about it.'),
          ),
        ),
      ),
    ),
  ),
  ready('features', 'Features', (p) =>
    p.section(
      'Features',
      ['Section room', 'Tinted'],
      p.heading('What it does for you'),
      p.cards(
        ...THREE.map((which) =>
          p.box(
            'Feature',
            [],
            p.heading(`${which} good thing`, 3),
            p.words('What somebody gains by it, in one sentence.'),
          ),
        ),
      ),
    ),
  ),
  ready('steps', 'Steps', (p) =>
    p.section('Steps', ['Section room'], p.heading('How it goes'), {
      tag: 'ol',
      name: 'Steps',
      ...p.on('Stack'),
      children: THREE.map((which) => ({
        tag: 'li',
        ...p.on('Lined'),
        children: [
          { tag: 'strong', text: `${which} step` },
          p.words('What happens then, and who does it.'),
        ],
      })),
    }),
  ),
  ready('prices', 'Price list', (p) =>
    p.section(
      'Prices',
      ['Section room'],
      p.heading('What it costs'),
      p.list(
        'Prices',
        ...(['12', '24', '48'] as const).map((price, i) => [
          { tag: 'span', name: 'What', text: `${THREE[i]} thing` },
          { tag: 'strong', name: 'Price', text: `${price}.00` },
        ]),
      ),
    ),
  ),
  ready('quotations', 'Quotations', (p) =>
    p.laid(
      'Quotations',
      ['Section room', 'Tinted'],
      ['Columns', 'Two columns'],
      ...(['Somebody', 'Somebody else'] as const).map((who): Branch => ({
        tag: 'figure',
        children: [
          {
            tag: 'blockquote',
            children: [p.words('What somebody said of it, in their own words.')],
          },
          { tag: 'figcaption', name: 'Who', text: who },
        ],
      })),
    ),
  ),
  ready('people', 'People', (p) =>
    p.section(
      'People',
      ['Section room'],
      p.heading('Who we are'),
      p.cards(
        ...THREE.map((which) =>
          p.box(
            'Person',
            [],
            p.picture(`${which} person`),
            p.heading(`${which} person`, 3),
            p.words('What they do here.'),
          ),
        ),
      ),
    ),
  ),
  ready('questions', 'Questions', (p) =>
    p.section(
      'Questions',
      ['Section room'],
      p.heading('Questions people ask'),
      p.box(
        'Questions',
        [],
        ...THREE.map((which): Branch => ({
          tag: 'details',
          name: 'Question',
          ...p.on('Lined'),
          children: [
            { tag: 'summary', name: 'Question', text: `${which} question?` },
            p.words('The answer, as short as it can be.'),
          ],
        })),
      ),
    ),
  ),
  ready('gallery', 'Gallery', (p) =>
    p.section(
      'Gallery',
      ['Section room'],
      p.heading('How it looks'),
      p.cards(...[...THREE, ...THREE].map((which) => p.picture(`${which} picture`))),
    ),
  ),
  ready('call', 'Call to action', (p) =>
    p.laid(
      'Call to action',
      ['Section room', 'Tinted'],
      ['Row', 'Spread'],
      p.box('Words', [], p.heading('Come along'), p.words('When, where, and what to bring.')),
      p.button('Write to us'),
    ),
  ),
  ready('banner', 'Banner', (p) => ({
    tag: 'section',
    name: 'Banner',
    attributes: { 'aria-label': text('Notice') },
    ...p.on('Tinted'),
    children: [
      p.box(
        'Inside',
        ['Wide', 'Spread', 'Bar room'],
        p.words('Something that everybody should know today.'),
        { tag: 'a', attributes: { href: address('/') }, text: 'Read on' },
      ),
    ],
  })),
  ready('numbers', 'Numbers', (p) =>
    p.section(
      'Numbers',
      ['Section room'],
      p.cards(
        ...(['12', '340', '9'] as const).map((number) =>
          p.box(
            'Number',
            ['Centred'],
            {
              tag: 'p',
              name: 'Number',
              ...p.on('Lead'),
              children: [{ tag: 'strong', text: number }],
            },
            p.words('of something that matters'),
          ),
        ),
      ),
    ),
  ),
  ready('form', 'Form', (p) =>
    p.section('Form', ['Section room'], p.heading('Write to us'), {
      tag: 'form',
      name: 'Form',
      attributes: { sends: yes, afterwards: text('Thank you. We shall write back soon.') },
      ...p.on('Stack'),
      children: [
        ...(
          [
            ['Your name', 'name', 'text', 'name'],
            ['Your address for mail', 'email', 'email', 'email'],
          ] as const
        ).map(([label, name, type, complete]): Branch => ({
          tag: 'label',
          children: [
            { tag: 'span', text: label },
            {
              tag: 'input',
              name: label,
              attributes: {
                type: text(type),
                name: text(name),
                autocomplete: text(complete),
                required: yes,
              },
              ...p.on('Field'),
            },
          ],
        })),
        {
          tag: 'label',
          children: [
            { tag: 'span', text: 'What it is about' },
            {
              tag: 'textarea',
              name: 'Words',
              attributes: { name: text('words'), required: yes },
              ...p.on('Field'),
            },
          ],
        },
        trap(p.on('Out of sight')),
        {
          tag: 'div',
          children: [
            {
              tag: 'button',
              name: 'Send',
              attributes: { type: text('submit') },
              text: 'Send it',
              ...p.on('Main look', 'Usual size'),
            },
          ],
        },
      ],
    }),
  ),
  ready('header', 'Header', (p) => ({
    tag: 'header',
    name: 'Header',
    ...p.on('Lined', 'Paper'),
    children: [
      p.box(
        'Inside',
        ['Wide', 'Spread', 'Bar room'],
        { tag: 'a', name: 'Name', attributes: { href: address('/') }, text: 'Name of the site' },
        {
          tag: 'nav',
          attributes: { 'aria-label': text('Main') },
          children: [
            {
              tag: 'ul',
              ...p.on('Plain list', 'Spread'),
              children: THREE.map((which) => ({
                tag: 'li',
                children: [{ tag: 'a', attributes: { href: address('/') }, text: `${which} page` }],
              })),
            },
          ],
        },
      ),
    ],
  })),
  ready('footer', 'Footer', (p) => ({
    tag: 'footer',
    name: 'Footer',
    ...p.on('Section room', 'Tinted'),
    children: [
      p.box('Inside', ['Wide', 'Spread'], p.words('Who runs this, and where.'), {
        tag: 'a',
        attributes: { href: address('mailto:hello@example.com') },
        text: 'hello@example.com',
      }),
    ],
  })),
];
