import { assetPath, docOf, type Documents, type Font } from '../model';
import { splitAt } from '../style';

/**
 * What stands in for a font until it is there: fonts that machines have, by the generic family at the end of a list, with
 * how wide their letters are on average. Values of the package @capsizecss/metrics 3, read 2026-11-30.
 */
const STANDING_IN = {
  'sans-serif': { local: ['Arial', 'ArialMT', 'Liberation Sans'], widthPerEm: 913 / 2048 },
  serif: {
    local: ['Times New Roman', 'TimesNewRomanPSMT', 'Liberation Serif'],
    widthPerEm: 832 / 2048,
  },
  monospace: {
    local: ['Courier New', 'CourierNewPSMT', 'Liberation Mono'],
    widthPerEm: 1229 / 2048,
  },
} as const;
type Generic = keyof typeof STANDING_IN;

/**
 * The fonts of a site as the CSS of one page names them: each family followed by what stands in for it, with its own
 * measures, so that nothing moves when it arrives; and the faces of those that were named, and of no others.
 */
export class FontsInUse {
  private readonly families = new Map<string, Font[]>();
  /** Families that were named, with the generic family of the list, where one stands in. */
  private readonly standingIn = new Map<string, { font: Font; generic: Generic }>();

  constructor(private readonly documents: Documents) {
    for (const id of Object.keys(documents.site.fonts).sort()) {
      const font = documents.site.fonts[id]!;
      const name = font.family.toLowerCase();
      this.families.set(name, [...(this.families.get(name) ?? []), font]);
    }
  }

  /** A list of fonts as it is written (CSS Fonts Level 4, 2.1): behind each family of the site what stands in for it. */
  list(css: string): string {
    if (this.families.size === 0) return css;
    const names = splitAt(css, ',').map((name) => name.trim());
    const last = names.at(-1)?.toLowerCase() ?? '';
    const generic = isGeneric(last) ? last : 'sans-serif';
    let isMore = false;
    const all = names.flatMap((name) => {
      const font = ofMostWords(this.families.get(bare(name)) ?? []);
      if (!font) return [name];
      const other = standInName(font, generic);
      this.standingIn.set(other, { font, generic });
      isMore = true;
      return [name, JSON.stringify(other)];
    });
    return isMore ? all.join(', ') : css;
  }

  /** The faces of the fonts that some CSS names. They are in no layer: faces do not cascade (CSS Fonts Level 4, 4). */
  faces(css: string): string {
    const said = css.toLowerCase();
    const named = [...this.families].flatMap(([name, fonts]) =>
      // A name with other characters may be written in several ways: it is taken along.
      /^[\w -]+$/.test(name) && !said.includes(name) ? [] : fonts.map((font) => this.face(font)),
    );
    const others = [...this.standingIn].sort(([a], [b]) => (a < b ? -1 : 1));
    return [
      ...named,
      ...others.map(([name, { font, generic }]) => standIn(name, font, generic)),
    ].join('');
  }

  private face({ family, asset, weight, style, range }: Font): string {
    const file = docOf(this.documents, 'asset', asset);
    if (!file) return '';
    return `@font-face{font-family:${JSON.stringify(family)};src:url("${assetPath(file)}") format("woff2");font-weight:${weight};font-style:${style};font-display:swap${range === undefined ? '' : `;unicode-range:${range}`}}`;
  }
}

/** Whether something stands in for what ends with this; a family may be called like a member that every object has. */
function isGeneric(name: string): name is Generic {
  return Object.hasOwn(STANDING_IN, name);
}

/** The face, of those whose measures are known, that most words are set in: upright, the nearest to weight 400. */
function ofMostWords(fonts: readonly Font[]): Font | undefined {
  const measured = fonts.filter(({ metrics }) => metrics);
  const far = ({ weight, style }: Font) => {
    const [least = 400, most = least] = weight.split(' ').map(Number);
    return (style === 'normal' ? 0 : 1000) + Math.max(0, least - 400, 400 - most);
  };
  return measured.sort((one, other) => far(one) - far(other))[0];
}

/** The family that a name in a list is, however it is quoted. */
function bare(name: string): string {
  return name.replace(/^(["'])(.*)\1$/, '$2').toLowerCase();
}

const standInName = ({ family }: Font, generic: Generic) => `${family} as ${generic}`;

/**
 * A font that machines have with the measures of another (CSS Fonts Level 5, 3 to 5: `size-adjust` and the overrides of
 * metrics): letters as wide on average, lines as high.
 */
function standIn(name: string, { metrics }: Font, generic: Generic): string {
  const { unitsPerEm, ascent, descent, lineGap, widthAverage } = metrics!;
  const { local, widthPerEm } = STANDING_IN[generic];
  const size = widthAverage / unitsPerEm / widthPerEm;
  const percent = (share: number) => `${Number((share * 100).toFixed(4))}%`;
  const of = (units: number) => percent(units / (unitsPerEm * size));
  return (
    `@font-face{font-family:${JSON.stringify(name)};src:${local.map((each) => `local("${each}")`).join(',')};` +
    `ascent-override:${of(ascent)};descent-override:${of(Math.abs(descent))};line-gap-override:${of(lineGap)};size-adjust:${percent(size)}}`
  );
}
