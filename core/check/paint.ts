import { contrast, LEAST_CONTRAST, readColour, type Colour } from '../colour';
import { own, type Declared, type Documents } from '../model';
import { rulesOf, type Built, type Resolved, type ResolvedElement } from '../resolve';
import { cascade, filled, type AppliedBlock, type Width } from '../style';

/** The colours in which an element's words are written and what they stand on, with the theme that holds there. */
export interface Paint {
  readonly ink: Colour | undefined;
  /** Nothing where a picture or a gradient lies behind, whose colours nobody can tell. */
  readonly ground: Colour | undefined;
  readonly theme: string | undefined;
}

const WHITE: Colour = { l: 1, c: 0, h: 0, alpha: 1 };
const BLACK: Colour = { l: 0, c: 0, h: 0, alpha: 1 };

/** What a page begins with: what its body says, else what browsers do. */
export function firstPaint(documents: Documents, at: Width): Paint {
  const { tags } = documents;
  const rules = ['html', 'body'].map((tag): AppliedBlock => {
    const block = own(tags.tags, tag) ?? {};
    return { origin: { is: 'tag', doc: tags.id, tag }, level: { of: 'tags' }, block };
  });
  const begin: Paint = { ink: BLACK, ground: WHITE, theme: documents.site.theme };
  return painted(documents, rules, begin, at);
}

/** What an element makes of the paint around it. */
export function paintOf(
  documents: Documents,
  element: ResolvedElement,
  around: Paint,
  at: Width,
): Paint {
  return painted(documents, rulesOf(element, documents, documents.tags), around, at);
}

function painted(
  documents: Documents,
  rules: readonly AppliedBlock[],
  around: Paint,
  at: Width,
): Paint {
  const begins = rules.flatMap(({ origin }) => (origin.is === 'theme' ? origin.theme : []));
  const theme = begins.at(-1) ?? around.theme;
  const said = (property: string) => cascade(rules, property, at, documents.site)[0]?.declared;
  const inkSaid = said('color');
  const ink = inkSaid ? colourIn(documents, inkSaid, theme, around.ink) : around.ink;
  const behind = said('background-image');
  if (behind && behind.css !== 'none') return { ink, ground: undefined, theme };
  const groundSaid = said('background-color');
  const own = groundSaid ? colourIn(documents, groundSaid, theme, ink) : undefined;
  const covers = own && own.alpha > 0;
  return { ink, ground: covers ? own : around.ground, theme };
}

function colourIn(
  documents: Documents,
  declared: Declared,
  theme: string | undefined,
  current: Colour | undefined,
): Colour | undefined {
  const { tokens, themes = {} } = documents.tokens;
  const values = theme === undefined ? {} : (own(themes, theme)?.values ?? {});
  const css = filled(declared, tokens, values);
  if (css === undefined) return undefined;
  if (/^(inherit|currentcolor|unset)$/i.test(css)) return current;
  return css === 'transparent' ? { ...BLACK, alpha: 0 } : readColour(css);
}

/** The paint at one element: that of each around it, from the outside in. */
export function paintAt(
  documents: Documents,
  built: Built,
  element: ResolvedElement,
  at: Width,
): Paint | undefined {
  const way = wayTo(built.root, element);
  return way?.reduce(
    (around, each) => paintOf(documents, each, around, at),
    firstPaint(documents, at),
  );
}

/** The paint of what an element stands in: what its border and the ring around it are seen against. */
export function paintAround(
  documents: Documents,
  built: Built,
  element: ResolvedElement,
  at: Width,
): Paint | undefined {
  const way = wayTo(built.root, element);
  return way
    ?.slice(0, -1)
    .reduce((around, each) => paintOf(documents, each, around, at), firstPaint(documents, at));
}

/** The theme in which an element stands. */
export function themeAt(
  documents: Documents,
  built: Built,
  element: ResolvedElement,
): string | undefined {
  const begins = (wayTo(built.root, element) ?? []).flatMap((each) =>
    rulesOf(each, documents, documents.tags).flatMap(({ origin }) =>
      origin.is === 'theme' ? origin.theme : [],
    ),
  );
  return begins.at(-1) ?? documents.site.theme;
}

/** The elements around one, itself last; nothing where it does not stand there. */
export function wayTo(
  node: Resolved | null | undefined,
  element: ResolvedElement,
): readonly ResolvedElement[] | undefined {
  if (!node || node.kind === 'text') return undefined;
  if (node === element) return [element];
  for (const child of node.children) {
    const rest = wayTo(child, element);
    if (rest) return node.kind === 'element' ? [node, ...rest] : rest;
  }
  return undefined;
}

/** Words that stand on a ground on which they are hard to read. */
export interface WeakPair {
  readonly element: ResolvedElement;
  readonly ink: Colour;
  readonly ground: Colour;
  readonly theme: string | undefined;
  readonly ratio: number;
  /** What WCAG 2.2 asks for there (1.4.3). */
  readonly least: number;
}

/** Where a document's words are too weak on their ground, as it stands. */
export function weakPairs(documents: Documents, built: Built, at: Width = 'base'): WeakPair[] {
  const found: WeakPair[] = [];
  const visit = (node: Resolved, around: Paint): void => {
    if (node.kind === 'text') return;
    if (node.kind === 'group') {
      for (const child of node.children) visit(child, around);
      return;
    }
    const paint = paintOf(documents, node, around, at);
    const { ink, ground, theme } = paint;
    if (ink && ground && hasWords(node)) {
      const ratio = contrast(ink, ground);
      const least = leastFor(documents, node, at);
      if (ratio < least) found.push({ element: node, ink, ground, theme, ratio, least });
    }
    for (const child of node.children) visit(child, paint);
  };
  if (built.root) visit(built.root, firstPaint(documents, at));
  return found;
}

function hasWords(node: ResolvedElement): boolean {
  const within = (each: Resolved): boolean =>
    each.kind === 'text'
      ? typeof each.content !== 'string' || each.content.trim() !== ''
      : each.kind === 'group' && each.children.some(within);
  return node.children.some(within);
}

/** Large text may be weaker: from 24 px, or 18.66 px where it is bold (WCAG 2.2, definition of large scale). */
function leastFor(documents: Documents, element: ResolvedElement, at: Width): number {
  const rules = rulesOf(element, documents, documents.tags);
  const said = (property: string) => {
    const declared = cascade(rules, property, at, documents.site)[0]?.declared;
    return declared && filled(declared, documents.tokens.tokens);
  };
  const [, number, unit] = /^([\d.]+)(px|rem)$/.exec(said('font-size') ?? '') ?? [];
  const px = Number(number ?? 0) * (unit === 'rem' ? 16 : 1);
  const bold = Number(said('font-weight') ?? 400) >= 700;
  return px >= 24 || (bold && px >= 18.66) ? LEAST_CONTRAST.largeText : LEAST_CONTRAST.text;
}
