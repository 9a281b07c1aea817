import type { Documents } from '../model';
import { rulesOf, type Built, type ResolvedElement } from '../resolve';
import { cascade, filled, type AppliedBlock, type Width } from '../style';
import type { State } from '../model';
import { wayTo } from './paint';

/** What decides how an element is laid out: what is said of it, and what it stands in. */
export interface Box {
  readonly tag: string;
  /** What a property is declared to be there; nothing where nobody says it. */
  readonly said: (property: string) => string | undefined;
  /** Whether it is what an icon stands in: given a size, that is a box as large (compile/css.ts). */
  readonly holdsIcon?: boolean;
  /** How it is laid out, as its surroundings make of it. */
  readonly display: string;
  /** How the element around is laid out; nothing where that is not known, as around a definition. */
  readonly around: string | undefined;
}

/** The elements that are boxes of lines (HTML, 15.3.3 and the like: what is not here is `inline`). */
const BLOCKS = new Set(
  (
    'html body div section article aside header footer main nav ul ol dl dt dd figure figcaption blockquote address p ' +
    'h1 h2 h3 h4 h5 h6 details summary form fieldset legend hr optgroup option'
  ).split(' '),
);
const OTHERS: Readonly<Record<string, string>> = {
  li: 'list-item',
  table: 'table',
  caption: 'table-caption',
  thead: 'table-header-group',
  tbody: 'table-row-group',
  tfoot: 'table-footer-group',
  tr: 'table-row',
  th: 'table-cell',
  td: 'table-cell',
  button: 'inline-block',
  input: 'inline-block',
  select: 'inline-block',
  textarea: 'inline-block',
  progress: 'inline-block',
  meter: 'inline-block',
  // Only what is open is laid out, as a block (15.3.3).
  dialog: 'none',
};

/** How a tag is laid out where nothing is said (HTML, 15.3: the style sheet of the user agent). */
export function displayOfTag(tag: string): string {
  return OTHERS[tag] ?? (BLOCKS.has(tag) ? 'block' : 'inline');
}

const SIZES = ['width', 'height', 'inline-size', 'block-size'];

/** What an element is laid out as: what floats or is taken out of the flow, or is an item, is a block (CSS Display 3, 2.7). */
export function usedDisplay(box: Omit<Box, 'display'>): string {
  const isSized = box.holdsIcon && SIZES.some((size) => box.said(size) !== undefined);
  const display = box.said('display') ?? (isSized ? 'inline-block' : displayOfTag(box.tag));
  const isItem = /^(inline-)?(flex|grid)$/.test(box.around ?? '');
  const isOut = /^(absolute|fixed)$/.test(box.said('position') ?? '');
  const floats = /^(left|right|inline-start|inline-end)$/.test(box.said('float') ?? '');
  if (!isItem && !isOut && !floats) return display;
  if (display === 'inline' || display === 'inline-block') return 'block';
  return display.replace(/^inline-/, '');
}

/** The box of an element at a width and in a state; nothing where it does not stand in what is built. */
export function boxOf(
  documents: Documents,
  built: Built,
  element: ResolvedElement,
  width: Width,
  state: State | undefined,
): Box | undefined {
  const way = wayTo(built.root, element);
  return way?.reduce<Box | undefined>((around, each, at) => {
    const here = at === way.length - 1 ? state : undefined;
    const rules = rulesOf(each, documents, documents.tags);
    return boxIn({
      tag: each.tag,
      said: saidBy(documents, rules, width, here),
      holdsIcon:
        /^(span|i)$/.test(each.tag) &&
        each.children.some((child) => child.kind === 'text' && child.from.rich === 'icon'),
      around: around?.display,
    });
  }, undefined);
}

function boxIn(box: Omit<Box, 'display'>): Box {
  return { ...box, display: usedDisplay(box) };
}

function saidBy(
  documents: Documents,
  rules: readonly AppliedBlock[],
  width: Width,
  state: State | undefined,
): Box['said'] {
  return (property) => {
    const winner = cascade(rules, property, width, documents.site, state ? [state] : [])[0];
    const declared = winner?.declared;
    return declared && (filled(declared, documents.tokens.tokens) ?? declared.css);
  };
}
