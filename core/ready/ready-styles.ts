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
import { contrast, LEAST_CONTRAST, readColour } from '../colour';
import { filled, readBlock } from '../style';

type Declarations = Readonly<Record<string, string>>;

/** Names of tokens (or colours as they stand) that may be a ground and the ink on it, and what stands there where no two of them are read. */
interface Paint {
  readonly grounds: readonly string[];
  readonly inks: readonly string[];
  readonly otherwise: Declarations;
}

const INKS = ['ink', 'text'];

interface ReadyStyle {
  readonly name: string;
  /** The name of what it modifies. */
  readonly base?: string;
  readonly says: Declarations;
  /** A ground and the ink on it, of tokens that are read together in every theme. */
  readonly paint?: Paint;
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
    says: {},
    paint: {
      grounds: ['sand', 'tint', 'surface'],
      inks: INKS,
      otherwise: { 'background-color': '#8881' },
    },
  },
  {
    // A theme that begins at a section changes its ink and what it stands on together, or neither.
    name: 'Paper',
    says: {},
    paint: { grounds: ['paper', 'background'], inks: INKS, otherwise: {} },
  },
  {
    name: 'Picture',
    says: { width: '100%', height: 'auto', 'border-radius': '~radius[6px]' },
  },
  { name: 'Out of sight', says: { display: 'none' } },
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
      'font-family': 'inherit',
      'font-size': 'inherit',
    },
    paint: {
      grounds: ['card', 'paper'],
      inks: INKS,
      otherwise: { 'background-color': '#ffffff', color: '#20262b' },
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
    says: { 'border-width': '0' },
    paint: {
      grounds: ['brand', 'accent', 'ink'],
      inks: ['on brand', 'on accent', 'paper', '#ffffff', '#20262b'],
      otherwise: { 'background-color': '#20262b', color: '#ffffff' },
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
    // What would say nothing on this site is neither made nor worn.
    for (const id of Object.keys(worn)) {
      const at = this.made.findIndex((style) => style.id === id);
      if (at < 0 || Object.keys(this.made[at]!.style).length > 0) continue;
      this.made.splice(at, 1);
      delete worn[id];
    }
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
        { ...(ready.paint ? this.paint(ready.paint) : {}), ...this.meant(ready.says) },
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

  /** A ground and the ink on it: the first two of those that are read together in every theme. */
  private paint({ grounds, inks, otherwise }: Paint): Declarations {
    for (const ground of this.coloursCalled(grounds))
      for (const ink of this.coloursCalled(inks))
        if (this.isRead(ink, ground))
          return { 'background-color': typed(ground), color: typed(ink) };
    return otherwise;
  }

  /** Colours by names of tokens, and colours as they stand. */
  private coloursCalled(names: readonly string[]): Named[] {
    const { tokens } = this.documents.tokens;
    return names.flatMap((name): Named[] => {
      if (name.startsWith('#')) return [{ css: name }];
      const found = Object.entries(tokens).find(
        ([, token]) => token.type === 'colour' && token.name.toLowerCase() === name,
      );
      return found ? [{ token: found[0], name: found[1].name }] : [];
    });
  }

  /** Whether words of one colour are read on another as the site is, and in each of its themes (WCAG 2.2, 1.4.3). */
  private isRead(ink: Named, ground: Named): boolean {
    const { tokens, themes = {} } = this.documents.tokens;
    const all = [{}, ...Object.values(themes).map(({ values }) => values)];
    return all.every((values) => {
      const [words, behind] = [ink, ground].map((each) => {
        const css =
          'css' in each
            ? each.css
            : filled(
                { css: 'var(--t)', refs: { t: { token: each.token, type: 'colour' } } },
                tokens,
                values,
              );
        return css === undefined ? undefined : readColour(css);
      });
      return (
        words !== undefined &&
        behind !== undefined &&
        behind.alpha === 1 &&
        contrast(words, behind) >= LEAST_CONTRAST.text
      );
    });
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

/** A token by its id and name, or a colour as it stands. */
type Named = { readonly token: string; readonly name: string } | { readonly css: string };

/** As people type it. */
function typed(colour: Named): string {
  return 'css' in colour ? colour.css : `{${colour.name}}`;
}

function inPx(css: string): number | undefined {
  const [, value, unit] = /^([\d.]+)(px|rem)$/.exec(css) ?? [];
  return value === undefined ? undefined : Number(value) * (unit === 'rem' ? 16 : 1);
}
