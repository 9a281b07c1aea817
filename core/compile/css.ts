import {
  assetPath,
  docOf,
  nodeIn,
  own,
  siteOf,
  stylesOf,
  type Block,
  type Documents,
} from '../model';
import { widthsOf, writtenBlock } from '../style';
import type { Used } from '../resolve';

/** What every page begins from: sizes that add up, no margins, pictures that never stand out. */
const RESET = [
  '*,*::before,*::after{box-sizing:border-box}',
  'body,h1,h2,h3,h4,h5,h6,p,ul,ol,dl,dd,figure,blockquote{margin:0}',
  'ul,ol{padding:0;list-style-position:inside}',
  'img{display:block;max-width:100%}',
  'a{color:inherit}',
].join('');

/** Tags whose style applies to every page, whatever stands on it. */
const ALWAYS = ['html', 'body'];

/**
 * The CSS of a page as cascade layers, weakest first: reset, tags, then own declarations by height.
 * Only the rules that something on the page can select; the same input gives the same bytes.
 */
export function cssOf(documents: Documents, used: Used): string {
  const styles = stylesOf(documents);
  const widths = widthsOf(siteOf(documents));
  const heights: [string, Block][][] = [];
  for (const [className, { doc, node, height }] of used.classes) {
    const stored = nodeIn(documents, doc, node);
    if (stored?.kind !== 'element' && stored?.kind !== 'instance') continue;
    (heights[height] ??= []).push(['.' + className, stored.style]);
  }
  const tags = [...new Set([...ALWAYS, ...used.tags])].filter((tag) => own(styles.tags, tag));
  const layers = heights.map((_, height) => `h${height}`);
  const out = [
    `@layer reset,tags${layers.map((name) => ',' + name).join('')};`,
    fontsCss(documents),
  ];
  out.push(`@layer reset{${RESET}}`);
  out.push(
    layerCss(
      'tags',
      tags.sort().map((tag) => [tag, styles.tags[tag]!]),
      widths,
    ),
  );
  for (let height = 0; height < heights.length; height += 1) {
    const rules = heights[height];
    if (!rules) continue;
    rules.sort((a, b) => (a[0] < b[0] ? -1 : 1));
    out.push(layerCss(`h${height}.own`, rules, widths));
  }
  return out.filter(Boolean).join('\n') + '\n';
}

/** One layer: the base first, then each narrower width in a media query. */
function layerCss(
  name: string,
  rules: readonly (readonly [string, Block])[],
  widths: ReturnType<typeof widthsOf>,
): string {
  let out = '';
  for (const { id, max } of widths) {
    let inner = '';
    for (const [selector, block] of rules) {
      const declarations = writtenBlock(block)
        .filter(({ width }) => width === id)
        .map(({ property, css }) => `${property}:${css}`);
      if (declarations.length > 0) inner += `${selector}{${declarations.join(';')}}`;
    }
    if (inner) out += id === 'base' ? inner : `@media (max-width:${max}px){${inner}}`;
  }
  return out && `@layer ${name}{${out}}`;
}

/** The fonts a site ships with. They are not in a layer: font faces do not cascade. */
function fontsCss(documents: Documents): string {
  const { fonts } = stylesOf(documents);
  return Object.keys(fonts)
    .sort()
    .map((id) => {
      const { family, asset, weight, style } = fonts[id]!;
      const file = docOf(documents, 'asset', asset);
      if (!file) return '';
      return `@font-face{font-family:${JSON.stringify(family)};src:url("${assetPath(file)}") format("woff2");font-weight:${weight};font-style:${style};font-display:swap}`;
    })
    .join('');
}
