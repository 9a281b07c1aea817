import {
  allOf,
  docOf,
  EVERY_TAG,
  isTheme,
  nodeIn,
  own,
  PLAIN_THEME,
  RICH_TAGS,
  rootOf,
  STATES,
  type Block,
  type Documents,
  type Ref,
  type State,
} from '../model';
import {
  compareLevels,
  declarationKey,
  FED,
  isPart,
  layerOf,
  sameGroup,
  stylesInOrder,
  widthsOf,
  withNames,
  writtenBlock,
  type Applied,
  type Level,
  type WrittenDeclaration,
} from '../style';
import { recordOf, tokensOfType, WORD_STYLES } from '../value';
import {
  classOf,
  customOf,
  DRAWING,
  focusOfGround,
  groundOf,
  noteLook,
  partClassOf,
  wordLook,
  type Used,
  type UsedClass,
} from '../resolve';
import { FontsInUse } from './fonts-css';
import { tokenName, TokensInUse } from './tokens-css';

/** What every page begins from: sizes that add up, no margins, pictures that never stand out. */
const RESET = [
  '*,*::before,*::after{box-sizing:border-box}',
  'body,h1,h2,h3,h4,h5,h6,p,ul,ol,dl,dd,figure,blockquote{margin:0}',
  'ul,ol{padding:0;list-style-position:inside}',
  'img,video{display:block;max-width:100%}',
  // What of a picture is never cropped away, where it says so (`FOCUS`); its middle otherwise.
  'img{object-position:var(--focus,50% 50%)}',
  'a{color:inherit}',
  // How wide the lines of icons are, until something around them says otherwise.
  'html{stroke-width:1.5px}',
].join('');

/** Tags whose style applies to every page, whatever stands on it. */
const ALWAYS = [EVERY_TAG, 'html', 'body'];

/** A block with what selects it, at its level. */
interface Written {
  readonly selector: string;
  /** The class whose custom properties its sources are. */
  readonly className: string;
  readonly level: Level;
  readonly block: Block;
  /** For a state of the definition's root: inside which element, and not inside another of the same. */
  readonly within?: { readonly selector: string; readonly state: string };
  /** What tokens are where this theme begins. */
  readonly theme?: string;
}

/** How the CSS of a page is written. */
export interface CssOptions {
  /** How a state of visitors is selected: on a canvas it is held rather than had. */
  readonly stateSelector?: (state: State) => string;
}

/**
 * The CSS of a page as cascade layers, weakest first: reset, everything, tags, themes, then by height what each level says. Only
 * the rules that something on the page can select, and the tokens those use; the same input gives the same bytes.
 */
export function cssOf(documents: Documents, used: Used, options: CssOptions = {}): string {
  const written = writtenFor(documents, used);
  const fonts = new FontsInUse(documents);
  const tokens = new TokensInUse(
    documents,
    written.map(({ block }) => block),
    themesOf(documents, used),
    used.fed,
    fonts,
  );
  const select = options.stateSelector ?? ((state: State) => state);
  const layers = ranked(written.flatMap((each) => byState(each, select)));
  const widths = widthsOf(documents.site);
  const customs = new Set<string>();
  const out: string[] = [];
  const icons = used.tags.has(DRAWING) ? new Set<string>() : undefined;
  for (const [name, blocks] of layers)
    out.push(layerCss(name, blocks, { widths, tokens, fonts, customs, icons }));
  const root = tokens.declaredAt(documents.site.theme ?? PLAIN_THEME);
  return (
    [
      `@layer ${['reset', ...layers.keys()].join(',')};`,
      fonts.faces(root + out.join('')),
      [...customs]
        .sort()
        .map((name) => `@property --${name}{syntax:"*";inherits:false}`)
        .join(''),
      `@layer reset{${RESET}${sizedIcons(icons)}${root && `:root{${root}}`}${movesAt(written) ? LESS_MOTION : ''}${used.acts ? UNSEEN : ''}}`,
      ...out,
    ]
      .filter(Boolean)
      .join('\n') + '\n'
  );
}

/** What is hidden is, whatever is said of how it is laid out (HTML Living Standard, 6.1). */
const UNSEEN = '[hidden]{display:none!important}';

/**
 * Whoever asks for less motion gets none (Media Queries Level 5, 12.1). What is important wins the other way round: the
 * first layer over all others (CSS Cascading and Inheritance Level 5, 6.4.2).
 */
const LESS_MOTION =
  '@media (prefers-reduced-motion:reduce){*,*::before,*::after{transition-duration:1ms!important;' +
  'transition-delay:0s!important;animation-duration:1ms!important;animation-iteration-count:1!important}}';

function movesAt(written: readonly Written[]): boolean {
  return written.some(({ block }) =>
    Object.keys(block).some((key) => /^(transition|animation)-/.test(key)),
  );
}

/** Every block that something on a page can select, weakest first. */
function writtenFor(documents: Documents, used: Used): Written[] {
  const { tags } = documents.tags;
  const written: Written[] = [...tagsOf(used)]
    .filter((tag) => own(tags, tag))
    .map((tag) => ({
      selector: tag,
      className: tag,
      level: { of: tag === EVERY_TAG ? 'everything' : 'tags' },
      block: tags[tag]!,
    }));
  const styles = stylesInOrder(documents);
  for (const each of classesOf(documents, used))
    written.push(...writtenClass(documents, styles, each));
  return written;
}

/** The tags that something on a page may have: all that rich text is made of where that is not known. */
function tagsOf(used: Used): ReadonlySet<string> {
  return new Set([...ALWAYS, ...used.tags, ...(used.words ? [...RICH_TAGS, 'h5', 'h6'] : [])]);
}

/** The classes that something on a page may have: those of every shared style of words where these are not known. */
function classesOf(documents: Documents, used: Used): Iterable<UsedClass> {
  if (!used.words) return used.classes.values();
  const all: Used = { ...used, classes: new Map(used.classes) };
  for (const { id, base } of allOf(documents, 'style'))
    if (base === null) noteLook(all, wordLook(id), '', '', 0);
  return all.classes.values();
}

/** The themes that begin somewhere on a page. */
function themesOf(documents: Documents, used: Used): string[] {
  const { theme } = documents.site;
  const named = [...used.classes.values()].flatMap(({ by }) => (by.is === 'theme' ? by.theme : []));
  return [...new Set([...named, ...(theme === undefined ? [] : [theme])])];
}

/** A block taken apart by the states it speaks of: each is a level of its own, above rest. */
function byState(written: Written, select: (state: State) => string): Written[] {
  const states = new Set(writtenBlock(written.block).map(({ state }) => state));
  if (states.size === 0 && written.theme === undefined) return [];
  return [undefined, ...STATES]
    .filter((state) => states.has(state) || (state === undefined && written.theme !== undefined))
    .map((state) => {
      if (state === undefined) return written;
      const { theme: _, ...rest } = written;
      const selector = written.selector + (isPart(state) ? state : select(state));
      return { ...rest, selector, level: { ...written.level, state } };
    });
}

/** Levels as layers, weakest first: the names count those that are on the page, so that others do not change its bytes. */
function ranked(blocks: readonly Written[]): Map<string, Written[]> {
  const written = [...blocks].sort(
    (a, b) => compareLevels(a.level, b.level) || (a.selector < b.selector ? -1 : 1),
  );
  const layers = new Map<string, Written[]>();
  let at = -1;
  let before: Level | undefined;
  for (const each of written) {
    const { level } = each;
    const same = before !== undefined && compareLevels(before, level) === 0;
    const goesOn = before !== undefined && sameGroup(before, level);
    if (!same) at = goesOn ? at + 1 : 0;
    before = level;
    const name = layerOf(level, at);
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
  if (by.is === 'theme') {
    if (!isTheme(documents.tokens.themes, by.theme)) return [];
    const block = groundOf(documents);
    return [{ selector, className, level: { of: 'themes', at: height }, block, theme: by.theme }];
  }
  if (by.is === 'shared') {
    const block = docOf(documents, 'style', by.style)?.style;
    const level: Level = { of: 'shared', height, at: styles.indexOf(by.style) };
    return block ? [{ selector, className, level, block }] : [];
  }
  const stored = nodeIn(documents, doc, node);
  if (stored?.kind !== 'element' && stored?.kind !== 'instance') return [];
  if (by.is === 'own')
    return [{ selector, className, level: { of: 'own', height, at: 0 }, block: stored.style }];
  if (by.is === 'part') {
    const block = stored.kind === 'instance' && own(stored.parts ?? {}, by.part);
    return block ? [{ selector, className, level: { of: 'own', height, at: 0 }, block }] : [];
  }
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

/** What the layers of a page are written with. */
interface Writing {
  readonly widths: ReturnType<typeof widthsOf>;
  readonly tokens: TokensInUse;
  readonly fonts: FontsInUse;
  /** The custom properties that were written. */
  readonly customs: Set<string>;
  /** What selects an icon that is given a size; nothing where no icon is drawn. */
  readonly icons: Set<string> | undefined;
}

/** One layer: the base first, then each narrower width in a media query. */
function layerCss(
  name: string,
  blocks: readonly Written[],
  { widths, tokens, fonts, customs, icons }: Writing,
): string {
  let out = '';
  for (const { id, max } of widths) {
    let inner = '';
    for (const { selector, className, block, level, within, theme } of blocks) {
      const here = writtenBlock(block).filter(
        ({ width, state }) => width === id && state === level.state,
      );
      const declarations = here.map(({ property, width, state, declared }) => {
        const css = withNames(declared, (ref, value) => {
          if ('token' in value) return tokenName(value);
          const custom = customOf(className, declarationKey(property, width, state), ref);
          customs.add(custom);
          return custom;
        });
        return `${property}:${property === 'font-family' ? fonts.list(css) : css}`;
      });
      const focus = groundFocus(here, className);
      if (focus !== undefined) {
        const at = here.findIndex(({ property }) => property === 'background-position');
        // What somebody said themselves of where it lies, holds.
        if (here[at]?.declared.css === 'center')
          declarations[at] = `background-position:var(--${GROUND_FOCUS},center)`;
        // Of several pictures that may lie there, the one that wins brings its own along.
        declarations.push(`--${GROUND_FOCUS}:var(--${focus})`);
        customs.add(focus).add(GROUND_FOCUS);
      }
      const again = theme !== undefined && id === 'base' ? tokens.declaredIn(theme) : '';
      if (again) declarations.unshift(again);
      if (declarations.length === 0) continue;
      const icon = icons && iconOf(selector);
      const size = icon && iconSize(here);
      if (icon && size) icons.add(icon);
      const drawn = icon && size ? `${icon}>svg{${size}}` : '';
      const rule = `${selector}{${declarations.join(';')}}${drawn}`;
      inner += within
        ? `@scope (${within.selector}${within.state}) to (:scope ${within.selector}){${rule}}`
        : rule;
    }
    if (inner) out += id === 'base' ? inner : `@media (max-width:${max}px){${inner}}`;
  }
  return out && `@layer ${name}{${out}}`;
}

/** What of the picture that lies behind an element is never cropped away. No class and no token is called so. */
const GROUND_FOCUS = 'ground-focus';

/** The custom property by which a picture that is laid behind something says what of it is never cropped away; nothing without one. */
function groundFocus(
  declarations: readonly WrittenDeclaration[],
  className: string,
): string | undefined {
  const ground = declarations.find(({ property }) => property === 'background-image');
  const fed = ground && own(ground.declared.refs ?? {}, FED);
  if (!ground || !fed || !('source' in fed) || fed.type !== 'image') return undefined;
  const { property, width, state } = ground;
  return focusOfGround(customOf(className, declarationKey(property, width, state), FED));
}

/** What selects the elements of a selector that an icon stands in alone; nothing where there are none. */
function iconOf(selector: string): string | undefined {
  if (selector.includes('::')) return undefined;
  if (selector.startsWith('.')) return `:is(span,i)${selector}`;
  return /^(span|i)(:|$)/.test(selector) ? selector : undefined;
}

const WIDE = /^(width|inline-size)$/;
const HIGH = /^(height|block-size)$/;

/**
 * How an icon is drawn whose element is given a size: as large as that is, where one of the two is said in the proportion
 * of its box (SVG 2, 8.9: intrinsic sizing).
 */
function iconSize(declarations: readonly WrittenDeclaration[]): string | undefined {
  const said = (names: RegExp) => declarations.findLast(({ property }) => names.test(property));
  const [wide, high] = [said(WIDE), said(HIGH)];
  if (!wide && !high) return undefined;
  const fills = (of: WrittenDeclaration | undefined) =>
    of !== undefined && !/^(auto|initial|unset|revert)/.test(of.declared.css);
  if (!fills(wide) && !fills(high)) return 'width:1em;height:1em';
  return `width:${fills(wide) ? '100%' : 'auto'};height:${fills(high) ? '100%' : 'auto'}`;
}

/** An icon with a size is a box in its line: in the line itself it would have none. */
function sizedIcons(icons: ReadonlySet<string> | undefined): string {
  return icons && icons.size > 0 ? `:where(${[...icons].join(',')}){display:inline-block}` : '';
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
  if (used.words) read.add(WORD_STYLES);
  for (const tag of tagsOf(used)) {
    read.add(recordOf(tags.id, tag));
    block(own(tags.tags, tag));
  }
  for (const theme of themesOf(documents, used)) {
    read.add(recordOf(tokens.id, theme));
    for (const value of Object.values(own(tokens.themes ?? {}, theme)?.values ?? {}))
      for (const ref of Object.values(value.refs ?? {})) token(ref);
  }
  // A value may be any token of its type: one that comes or goes is among what the page is made from.
  for (const type of used.fed) read.add(tokensOfType(tokens.id, type));
  for (const id in tokens.tokens)
    if (used.fed.has(tokens.tokens[id]!.type)) token({ token: id, type: tokens.tokens[id]!.type });
  const styles = stylesInOrder(documents);
  for (const each of classesOf(documents, used)) {
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
export function asWritten({ origin, width, state, declared }: Applied, property: string): string {
  return withNames(declared, (name, ref) => {
    if ('token' in ref) return tokenName(ref);
    if (origin.is !== 'node' && origin.is !== 'rule' && origin.is !== 'part')
      throw new Error('What many elements share reads no source.');
    const className =
      origin.is === 'part'
        ? partClassOf(origin.doc, origin.node, origin.part)
        : classOf(origin.doc, origin.node, origin.is === 'rule' ? origin.rule : undefined);
    return customOf(className, declarationKey(property, width, state), name);
  });
}
