import { generate, parse, walk, type CssNode, type List, type ListItem } from 'css-tree';
import { SaxesParser } from 'saxes';
import { saidText, say, type Said, type Told } from '@sormet/core/said';

/** An SVG that cannot be used, with the reason for whoever brought it in. */
export class UnreadableSvg extends Error {
  constructor(readonly said: Said) {
    super(saidText(said));
  }
}

/** What is left out that is no element and no attribute by itself. */
const FOREIGN = say('svg-foreign');
const NAMES_ADDRESS = say('svg-style-address');

/**
 * Elements of SVG 2 that draw and do nothing else. Not among them: `script`, `foreignObject`, links, and
 * animations, which can set any attribute while nobody looks.
 */
const ELEMENTS = new Set(
  (
    'svg g defs symbol use title desc path rect circle ellipse line polyline polygon text tspan textPath ' +
    'linearGradient radialGradient stop pattern clipPath mask marker style filter feBlend feColorMatrix ' +
    'feComponentTransfer feComposite feConvolveMatrix feDiffuseLighting feDisplacementMap feDistantLight ' +
    'feDropShadow feFlood feFuncA feFuncB feFuncG feFuncR feGaussianBlur feImage feMerge feMergeNode ' +
    'feMorphology feOffset fePointLight feSpecularLighting feSpotLight feTile feTurbulence image switch view'
  ).split(' '),
);

const XMLNS = 'http://www.w3.org/2000/svg';
const XLINK = 'http://www.w3.org/1999/xlink';

/** How deep elements may stand in each other. */
const DEEPEST = 200;

/** Raster pictures may be inside as data; everything else that is named must be in the same file. */
const INNER_PICTURE = /^data:image\/(png|jpeg|gif|webp);base64,[A-Za-z0-9+/=\s]*$/;

/** Whether an address stays inside the file. */
function staysInside(address: string): boolean {
  return /^#[^\s"'<>]*$/.test(address.trim());
}

/**
 * An SVG with only what draws: scripts, handlers of events, foreign content, animations and references to
 * anything outside are left out, whatever is written about them. What comes out is written anew, so it is what
 * was read, and cleaning it again changes nothing.
 * @returns the clean text, and what was left out
 * @throws UnreadableSvg for what is no well-formed XML with an svg element as its root
 */
export function cleanSvg(text: string): { svg: string; leftOut: readonly Told[] } {
  const leftOut = new Set<Told>();
  let out = '';
  /** The open elements that are written, and how many are open inside one that is not. */
  const open: string[] = [];
  let skipping = 0;
  let style: string | undefined;
  const parser = new SaxesParser({ xmlns: true });
  parser.on('error', () => {
    throw new UnreadableSvg(say('svg-unreadable'));
  });
  parser.on('opentag', ({ local, uri, attributes }) => {
    if (skipping > 0) {
      skipping += 1;
      return;
    }
    if (open.length === 0 && (uri !== XMLNS || local !== 'svg'))
      throw new UnreadableSvg(say('svg-no-root'));
    if (open.length >= DEEPEST) throw new UnreadableSvg(say('svg-too-deep'));
    if (uri !== XMLNS || !ELEMENTS.has(local)) {
      leftOut.add(uri === XMLNS ? local : FOREIGN);
      skipping = 1;
      return;
    }
    out += '<' + local;
    if (open.length === 0) out += ` xmlns="${XMLNS}"`;
    for (const name in attributes) {
      const { local: attribute, uri: space, prefix, value } = attributes[name]!;
      if (prefix === 'xmlns' || name === 'xmlns') continue;
      const kept = attributeOf(local, space, attribute, value);
      if (kept === undefined) leftOut.add(attribute);
      else if (attribute === 'style' && kept.value !== writtenCss(value, 'declarationList'))
        leftOut.add(NAMES_ADDRESS);
      if (kept !== undefined) out += ` ${kept.name}="${escapeXml(kept.value)}"`;
    }
    out += '>';
    open.push(local);
    if (local === 'style') style = '';
  });
  const write = (words: string) => {
    if (skipping > 0 || open.length === 0) return;
    if (style !== undefined) style += words;
    else out += escapeXml(words);
  };
  parser.on('text', write);
  parser.on('cdata', write);
  parser.on('closetag', () => {
    if (skipping > 0) {
      skipping -= 1;
      return;
    }
    if (style !== undefined) {
      const css = cleanCss(style, 'stylesheet');
      if (css !== writtenCss(style, 'stylesheet')) leftOut.add(NAMES_ADDRESS);
      out += escapeXml(css);
      style = undefined;
    }
    out += `</${open.pop()}>`;
  });
  parser.write(text.replace(/^\ufeff/, '')).close();
  if (out === '') throw new UnreadableSvg(say('svg-none'));
  return { svg: out, leftOut: [...leftOut].sort(byText) };
}

function byText(a: Told, b: Told): number {
  const [one, other] = [JSON.stringify(a), JSON.stringify(b)];
  return one < other ? -1 : one > other ? 1 : 0;
}

/** What of a stored SVG would not come through cleaning; nothing when it is safe as it is. */
export function unsafeInSvg(text: string): readonly Told[] | undefined {
  try {
    const { leftOut } = cleanSvg(text);
    return leftOut.length > 0 ? leftOut : undefined;
  } catch (error) {
    if (error instanceof UnreadableSvg) return [say('svg-left-unread')];
    throw error;
  }
}

function attributeOf(
  element: string,
  space: string,
  name: string,
  value: string,
): { name: string; value: string } | undefined {
  if (space !== '' && space !== XLINK && space !== XML) return undefined;
  if (space === XML) return name === 'space' ? { name: 'xml:space', value } : undefined;
  if (/^on/i.test(name) || name === 'base' || name === 'src' || name === 'ping') return undefined;
  if (name === 'href') {
    const inside =
      staysInside(value) ||
      ((element === 'image' || element === 'feImage') && INNER_PICTURE.test(value.trim()));
    return inside ? { name, value } : undefined;
  }
  if (space === XLINK) return undefined;
  if (name === 'style') return { name, value: cleanCss(value, 'declarationList') };
  // Presentation attributes hold CSS: `fill="url(#a)"` stays, an address outside does not.
  return /url\s*\(|image|@import|\\/i.test(value) && !onlyInnerUrls(value)
    ? undefined
    : { name, value };
}

const XML = 'http://www.w3.org/XML/1998/namespace';

function onlyInnerUrls(value: string): boolean {
  const rest = value.replace(/url\(\s*(["']?)#[\w.:-]+\1\s*\)/gi, '');
  return !/url|image|@import|\\/i.test(rest);
}

function parsedCss(css: string, context: 'stylesheet' | 'declarationList'): CssNode {
  return parse(css, { context, parseCustomProperty: true });
}

function writtenCss(css: string, context: 'stylesheet' | 'declarationList'): string {
  return generate(parsedCss(css, context));
}

/** CSS without imports, without declarations that name anything outside, and without what is no CSS. */
function cleanCss(css: string, context: 'stylesheet' | 'declarationList'): string {
  const tree = parsedCss(css, context);
  walk(tree, {
    enter(node: CssNode, item: ListItem<CssNode>, list: List<CssNode>) {
      if (!list) return;
      const bad =
        (node.type === 'Atrule' && !['media', 'supports'].includes(node.name.toLowerCase())) ||
        node.type === 'Raw' ||
        (node.type === 'Declaration' && namesOutside(node));
      if (bad) list.remove(item);
    },
  });
  return generate(tree);
}

function namesOutside(declaration: CssNode): boolean {
  // An escape could spell any of these.
  let outside = generate(declaration).includes('\\');
  walk(declaration, (node) => {
    if (node.type === 'Url' && !staysInside(String(node.value))) outside = true;
    if (node.type === 'Raw') outside = true;
    if (
      node.type === 'Function' &&
      /^(src|image|image-set|-webkit-image-set|cross-fade|element|expression|attr|env|var)$/i.test(
        node.name,
      )
    )
      outside = true;
  });
  return outside;
}

function escapeXml(text: string): string {
  return text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;');
}
