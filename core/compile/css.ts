import {
  assetPath,
  docOf,
  nodeIn,
  own,
  rootOf,
  type Block,
  type Documents,
  type Ref,
} from '../model';
import {
  compareLevels,
  declarationKey,
  layerOf,
  stylesInOrder,
  widthsOf,
  withNames,
  writtenBlock,
  type Applied,
  type Level,
} from '../style';
import { recordOf } from '../value';
import { classOf, customOf, type Used, type UsedClass } from '../resolve';

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

/** A block with what selects it, at its level. */
interface Written {
  readonly selector: string;
  /** The class whose custom properties its sources are. */
  readonly className: string;
  readonly level: Level;
  readonly block: Block;
  /** For a state of the definition's root: inside which element, and not inside another of the same. */
  readonly within?: { readonly selector: string; readonly state: string };
}

/**
 * The CSS of a page as cascade layers, weakest first: reset, tags, then by height what each level says. Only the
 * rules that something on the page can select, and the tokens those use; the same input gives the same bytes.
 */
export function cssOf(documents: Documents, used: Used): string {
  const tags = documents.tags;
  const widths = widthsOf(documents.site);
  const written: Written[] = [...new Set([...ALWAYS, ...used.tags])]
    .filter((tag) => own(tags.tags, tag))
    .map((tag) => ({
      selector: tag,
      className: tag,
      level: { of: 'tags' },
      block: tags.tags[tag]!,
    }));
  const styles = stylesInOrder(documents);
  for (const each of used.classes.values()) written.push(...writtenClass(documents, styles, each));
  written.sort((a, b) => compareLevels(a.level, b.level) || (a.selector < b.selector ? -1 : 1));
  const layers = ranked(written);
  const tokens = new Set<string>();
  const customs = new Set<string>();
  const out: string[] = [];
  for (const [name, blocks] of layers) out.push(layerCss(name, blocks, widths, tokens, customs));
  return (
    [
      `@layer ${['reset', 'tags', ...[...layers.keys()].filter((name) => name !== 'tags')].join(',')};`,
      fontsCss(documents),
      [...customs]
        .sort()
        .map((name) => `@property --${name}{syntax:"*";inherits:false}`)
        .join(''),
      `@layer reset{${RESET}${tokensCss(documents, tokens)}}`,
      ...out,
    ]
      .filter(Boolean)
      .join('\n') + '\n'
  );
}

/** Levels as layers, weakest first: the names count those that are on the page, so that others do not change its bytes. */
function ranked(written: readonly Written[]): Map<string, Written[]> {
  const layers = new Map<string, Written[]>();
  let at = -1;
  let before: Level | undefined;
  for (const each of written) {
    const { level } = each;
    const same = before !== undefined && compareLevels(before, level) === 0;
    const goesOn =
      before !== undefined &&
      before.of !== 'tags' &&
      level.of !== 'tags' &&
      before.of === level.of &&
      before.height === level.height;
    if (!same) at = goesOn ? at + 1 : 0;
    before = level;
    const name = layerOf(level.of === 'tags' ? level : { ...level, at });
    const list = layers.get(name);
    if (list) list.push(each);
    else layers.set(name, [each]);
  }
  return layers;
}

/** What a class that something on the page may have declares; nothing when that is gone. */
function writtenClass(
  documents: Documents,
  styles: readonly string[],
  { className, by, doc, node, height }: UsedClass,
): Written[] {
  const selector = '.' + className;
  if (by.is === 'shared') {
    const block = docOf(documents, 'style', by.style)?.style;
    const level: Level = { of: 'shared', height, at: styles.indexOf(by.style) };
    return block ? [{ selector, className, level, block }] : [];
  }
  const stored = nodeIn(documents, doc, node);
  if (stored?.kind !== 'element' && stored?.kind !== 'instance') return [];
  if (by.is === 'own')
    return [{ selector, className, level: { of: 'own', height, at: 0 }, block: stored.style }];
  const component = docOf(documents, 'component', doc);
  const rule = component && own(component.rules, by.rule);
  const block = rule && own(rule.patch, node)?.style;
  if (!component || !rule || !block) return [];
  const level: Level = { of: 'rules', height, at: by.at };
  const { pseudo } = rule.when;
  if (!pseudo) return [{ selector, className, level, block }];
  const root = rootOf(component.nodes);
  if (pseudo.of === 'self' || node === root)
    return [{ selector: selector + pseudo.is, className, level, block }];
  const within = { selector: '.' + classOf(doc, root), state: pseudo.is };
  return [{ selector, className, level, block, within }];
}

/** One layer: the base first, then each narrower width in a media query. */
function layerCss(
  name: string,
  blocks: readonly Written[],
  widths: ReturnType<typeof widthsOf>,
  tokens: Set<string>,
  customs: Set<string>,
): string {
  let out = '';
  for (const { id, max } of widths) {
    let inner = '';
    for (const { selector, className, block, within } of blocks) {
      const declarations = writtenBlock(block)
        .filter(({ width }) => width === id)
        .map(({ property, width, declared }) => {
          const css = withNames(declared, (ref, value) => {
            if ('token' in value) {
              tokens.add(value.token);
              return tokenName(value.token);
            }
            const custom = customOf(className, declarationKey(property, width), ref);
            customs.add(custom);
            return custom;
          });
          return `${property}:${css}`;
        });
      if (declarations.length === 0) continue;
      const rule = `${selector}{${declarations.join(';')}}`;
      inner += within
        ? `@scope (${within.selector}${within.state}) to (:scope ${within.selector}){${rule}}`
        : rule;
    }
    if (inner) out += id === 'base' ? inner : `@media (max-width:${max}px){${inner}}`;
  }
  return out && `@layer ${name}{${out}}`;
}

/**
 * What of the site's styles the CSS of a page is written from, in the words of `Recorded`: shared styles with those
 * they modify, and single tags and tokens.
 */
export function stylesRead(documents: Documents, used: Used): Set<string> {
  const read = new Set<string>();
  const tags = documents.tags;
  const tokens = documents.tokens;
  const block = (declares: Block | undefined) => {
    for (const key in declares)
      for (const ref of Object.values(declares[key]!.refs ?? {})) token(ref);
  };
  const token = (ref: Ref) => {
    if (!('token' in ref)) return;
    const name = recordOf(tokens.id, ref.token);
    if (read.has(name)) return;
    read.add(name);
    for (const inner of Object.values(own(tokens.tokens, ref.token)?.value.refs ?? {}))
      token(inner);
  };
  for (const tag of [...ALWAYS, ...used.tags]) {
    read.add(recordOf(tags.id, tag));
    block(own(tags.tags, tag));
  }
  const styles = stylesInOrder(documents);
  for (const each of used.classes.values()) {
    if (each.by.is === 'shared')
      for (let at: string | null = each.by.style; at !== null && !read.has(at);) {
        read.add(at);
        at = docOf(documents, 'style', at)?.base ?? null;
      }
    for (const written of writtenClass(documents, styles, each)) block(written.block);
  }
  return read;
}

/** A declaration as it stands in the CSS of a page, whoever said it: placeholders are custom properties there. */
export function asWritten({ origin, width, declared }: Applied, property: string): string {
  return withNames(declared, (name, ref) => {
    if ('token' in ref) return tokenName(ref.token);
    if (origin.is !== 'node' && origin.is !== 'rule')
      throw new Error('What many elements share reads no source.');
    const className = classOf(
      origin.doc,
      origin.node,
      origin.is === 'rule' ? origin.rule : undefined,
    );
    return customOf(className, declarationKey(property, width), name);
  });
}

/** The custom property of a token. */
function tokenName(token: string): string {
  return `t-${token}`;
}

/** The tokens that are used, and those that they are made from, as custom properties of the root. */
function tokensCss(documents: Documents, used: ReadonlySet<string>): string {
  const { tokens } = documents.tokens;
  const wanted = new Set(used);
  // A set gives what is added while it is walked, too.
  for (const id of wanted)
    for (const ref of Object.values(own(tokens, id)?.value.refs ?? {}))
      if ('token' in ref) wanted.add(ref.token);
  const declared = [...wanted].sort().flatMap((id) => {
    const token = own(tokens, id);
    if (!token) return [];
    const css = withNames(token.value, (_, ref) => ('token' in ref ? tokenName(ref.token) : ''));
    return [`--${tokenName(id)}:${css}`];
  });
  return declared.length === 0 ? '' : `:root{${declared.join(';')}}`;
}

/** The fonts a site ships with. They are not in a layer: font faces do not cascade. */
function fontsCss(documents: Documents): string {
  const { fonts } = documents.site;
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
