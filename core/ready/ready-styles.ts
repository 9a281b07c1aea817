import {
  allOf,
  FORMAT,
  groupOf,
  inOrder,
  orderAfterAll,
  type DocId,
  type Documents,
  type StyleDoc,
  type TokenGroup,
} from '../model';
import { filled, readBlock } from '../style';

type Declarations = Readonly<Record<string, string>>;

interface ReadyStyle {
  readonly name: string;
  /** The name of what it modifies. */
  readonly base?: string;
  readonly says: Declarations;
  /** What is otherwise at about a width in px, or in a state. */
  readonly others?: Readonly<Record<string, Declarations>>;
}

/**
 * The shared styles that ready sections stand on. `~space[4rem]` is the token of the site that is nearest to it, where
 * there is one near enough; `~colour[brand|ink|#222]` the first token that is called so, else what stands last.
 */
const READY: readonly ReadyStyle[] = [
  { name: 'Wide', says: { 'max-width': '~space[70rem]', 'margin-inline': 'auto', width: '100%' } },
  {
    name: 'Section room',
    says: { padding: '~space[4rem] ~space[2rem]' },
    others: { 600: { padding: '~space[2.5rem] ~space[1.25rem]' } },
  },
  {
    name: 'Bar room',
    says: { padding: '~space[0.75rem] ~space[2rem]' },
    others: { 600: { 'padding-inline': '~space[1.25rem]' } },
  },
  {
    name: 'Two columns',
    says: {
      display: 'grid',
      'grid-template-columns': 'minmax(0, 1fr) minmax(0, 1fr)',
      gap: '~space[3rem]',
      'align-items': 'center',
    },
    others: { 600: { 'grid-template-columns': 'minmax(0, 1fr)' } },
  },
  {
    name: 'Cards in a row',
    says: {
      display: 'grid',
      'grid-template-columns': 'repeat(3, minmax(0, 1fr))',
      gap: '~space[1.5rem]',
      'margin-top': '~space[1.5rem]',
    },
    others: {
      960: { 'grid-template-columns': 'repeat(2, minmax(0, 1fr))' },
      600: { 'grid-template-columns': 'minmax(0, 1fr)' },
    },
  },
  {
    name: 'Spread',
    says: {
      display: 'flex',
      'flex-wrap': 'wrap',
      'align-items': 'center',
      'justify-content': 'space-between',
      gap: '~space[1.5rem]',
    },
  },
  {
    name: 'Stack',
    says: { display: 'flex', 'flex-direction': 'column', gap: '~space[1rem]' },
  },
  {
    name: 'Centred',
    says: {
      'text-align': 'center',
      'max-width': '46rem',
      'margin-inline': 'auto',
      display: 'flex',
      'flex-direction': 'column',
      'align-items': 'center',
    },
  },
  {
    name: 'Framed',
    says: {
      padding: '~space[1.25rem]',
      border: '1px solid ~colour[line|border|#8884]',
      'border-radius': '~radius[6px]',
      height: '100%',
    },
  },
  {
    name: 'Lined',
    says: {
      'padding-block': '~space[0.75rem]',
      'border-bottom': '1px solid ~colour[line|border|#8884]',
    },
  },
  {
    name: 'Tinted',
    says: { 'background-color': '~colour[sand|tint|surface|#8881]' },
  },
  {
    name: 'Picture',
    says: { width: '100%', height: 'auto', 'border-radius': '~radius[6px]' },
  },
  { name: 'Plain list', says: { 'list-style-type': 'none' } },
  {
    name: 'Lead',
    says: { 'font-size': '~size[1.1875rem]', 'margin-bottom': '~space[1.5rem]' },
  },
  {
    name: 'Field',
    says: {
      width: '100%',
      padding: '~space[0.5rem] ~space[0.75rem]',
      border: '1px solid ~colour[line|border|#8888]',
      'border-radius': '~radius[4px]',
      'background-color': '~colour[card|paper|#ffffff]',
      color: '~colour[ink|text|#20262b]',
      'font-family': 'inherit',
      'font-size': 'inherit',
    },
  },
  {
    name: 'Button',
    says: {
      display: 'inline-flex',
      'align-items': 'center',
      'justify-content': 'center',
      'border-radius': '~radius[4px]',
      'font-weight': '700',
      'line-height': '1.1',
      'text-decoration': 'none',
      cursor: 'pointer',
    },
  },
  {
    name: 'Main look',
    base: 'Button',
    says: {
      'background-color': '~colour[brand|accent|ink|#20262b]',
      color: '~colour[on brand|on accent|paper|#ffffff]',
      'border-width': '0',
    },
  },
  {
    name: 'Usual size',
    base: 'Button',
    says: { 'min-height': '50px', 'padding-inline': '~space[1.25rem]' },
  },
];

/** How far from what is asked for a token may be, as a share of that. */
const NEAR_ENOUGH = 0.2;

/** The shared styles of a site that ready sections ask for by name; those it lacks are made for it. */
export class ReadyStyles {
  /** Those that are made, to be brought along. */
  readonly made: StyleDoc[] = [];

  constructor(
    private readonly documents: Documents,
    private readonly makeId: () => string,
  ) {}

  /** What something has on that has these styles on, their bases among them. */
  on(...names: readonly string[]): Record<DocId, true> {
    const worn: Record<DocId, true> = {};
    const put = (name: string) => {
      const style = this.called(name);
      worn[style.id] = true;
      const base = READY.find((each) => each.name === name)?.base;
      if (base !== undefined) put(base);
    };
    for (const name of names) put(name);
    return worn;
  }

  private called(name: string): StyleDoc {
    const styles = [...allOf(this.documents, 'style'), ...this.made];
    const known = styles.find((each) => each.name.toLowerCase() === name.toLowerCase());
    if (known) return known;
    const ready = READY.find((each) => each.name === name);
    if (!ready) throw new Error(`There is no ready style called ${name}.`);
    const base = ready.base === undefined ? null : this.called(ready.base).id;
    const others = Object.entries(ready.others ?? {}).flatMap(
      ([where, says]): [string, Declarations][] => {
        const at = where.startsWith(':') ? where : this.width(Number(where));
        return at === undefined ? [] : [[at, this.meant(says)]];
      },
    );
    const made: StyleDoc = {
      id: this.makeId(),
      kind: 'style',
      format: FORMAT,
      name,
      order: orderAfterAll(styles),
      base,
      origin: null,
      style: readBlock(
        this.documents.tokens.tokens,
        this.meant(ready.says),
        Object.fromEntries(others),
      ),
    };
    this.made.push(made);
    return made;
  }

  private meant(says: Declarations): Declarations {
    return Object.fromEntries(
      Object.entries(says).map(([property, value]) => [
        property,
        value.replaceAll(/~([a-z]+)\[([^\]]*)\]/gi, (_, group: string, wanted: string) =>
          group === 'colour'
            ? this.colour(wanted.split('|'))
            : this.near(group as TokenGroup, wanted),
        ),
      ]),
    );
  }

  private colour(names: readonly string[]): string {
    const { tokens } = this.documents.tokens;
    for (const name of names.slice(0, -1)) {
      const found = Object.values(tokens).find(
        (token) => token.type === 'colour' && token.name.toLowerCase() === name,
      );
      if (found) return `{${found.name}}`;
    }
    return names.at(-1)!;
  }

  /** The token of a group that is nearest to a length; the length itself where none is near. */
  private near(group: TokenGroup, wanted: string): string {
    const { tokens } = this.documents.tokens;
    const asked = inPx(wanted)!;
    let best = wanted;
    let least = asked * NEAR_ENOUGH;
    for (const [, token] of inOrder(tokens)) {
      const px = groupOf(token) === group ? inPx(filled(token.value, tokens) ?? '') : undefined;
      if (px === undefined || Math.abs(px - asked) > least) continue;
      best = `{${token.name}}`;
      least = Math.abs(px - asked) - 1e-9;
    }
    return best;
  }

  /** The width of the site that is meant by about so many px: the nearest, where there is one at all near. */
  private width(px: number): string | undefined {
    const { widths } = this.documents.site;
    const [nearest] = Object.keys(widths).sort(
      (a, b) => Math.abs(widths[a]!.max - px) - Math.abs(widths[b]!.max - px),
    );
    return nearest !== undefined && Math.abs(widths[nearest]!.max - px) <= 160
      ? nearest
      : undefined;
  }
}

function inPx(css: string): number | undefined {
  const [, value, unit] = /^([\d.]+)(px|rem)$/.exec(css) ?? [];
  return value === undefined ? undefined : Number(value) * (unit === 'rem' ? 16 : 1);
}
