import {
  ariaText,
  attributeType,
  BOOLEAN,
  ICON,
  kindOf,
  mayRefer,
  own,
  referredIn,
  RICH,
  TEXT,
  writtenName,
  type Source,
  type TypeSpec,
  type Written,
} from '../model';
import {
  evaluate,
  HIDE,
  Later,
  WAITING,
  type Data,
  type Hide,
  type Known,
  type Result,
  type Run,
  type Waiting,
} from '../value';
import { uniqueIds } from './unique-id';
import { addSending } from './sent-forms';
import type { AttributeAt } from './attribute-at';
import { fitted, headingLevel, TITLE_LEVEL, type Content } from './fragments';
import type {
  LinkedAttribute,
  LinkedElement,
  LinkedInstance,
  LinkedText,
  TagBy,
  Varied,
} from './linked';
import { lookAt, type CustomAt, type LookAt } from './look-at';
import type { PartAt, Scope } from './scope';
import { holds, isYes, testsOf, variedAt, type Test } from './varied';

/**
 * What parts of a tree come to at a place, said once for both writers: with all names known everything is known, and
 * what is known only when a page is written is left as `Later`, behind tests.
 */

/** What the instance around says of a node as a part of its component; nothing where it says nothing. */
export function partAt(
  { id, isPart }: LinkedElement | LinkedInstance,
  scope: Scope,
): PartAt | undefined {
  return isPart ? own(scope.parts, id) : undefined;
}

/** What is said of a node's element at a place: by the node itself, by the instance around as of a part, by those whose root it is. */
export function allSaidAt(
  node: LinkedElement | LinkedInstance,
  scope: Scope,
  outer: LookAt,
): LookAt {
  const said = partAt(node, scope)?.at;
  if (!said) return lookAt(node.look, scope, outer);
  return lookAt(node.look, scope, {
    classes: [...said.classes, ...outer.classes],
    customs: [...said.customs, ...outer.customs],
  });
}

/**
 * The tags that an element may have at a place, each with what must hold for it: what rules say first, then what is chosen
 * for it, else its own. The last asks nothing. No content gives a tag; only which option an axis has may be known later.
 */
export function tagsAt(
  { tag, tagBy }: Pick<LinkedElement, 'tag' | 'tagBy'>,
  scope: Scope,
): readonly { readonly tag: string; readonly tests: readonly Test[] }[] {
  if (!tagBy) return [{ tag, tests: [] }];
  const found: { tag: string; tests: readonly Test[] }[] = [];
  for (const { when, source } of tagBy.byRules) {
    const tests = testsOf(when, scope);
    if (!tests) continue;
    found.push({ tag: tagGiven(source, tagBy, scope) ?? tag, tests });
    if (tests.length === 0) return found;
  }
  return [
    ...found,
    { tag: (tagBy.source && tagGiven(tagBy.source, tagBy, scope)) ?? tag, tests: [] },
  ];
}

function tagGiven(source: Source, { type }: TagBy, scope: Scope): string | undefined {
  const value = evaluate(source, type, scope);
  return value && !(value instanceof Later) && value.type === 'tag' && value.value !== null
    ? value.value
    : undefined;
}

/** The tag of an element at a place, where all names are known. */
export function tagAt(element: Pick<LinkedElement, 'tag' | 'tagBy'>, scope: Scope): string {
  return tagsAt(element, scope).at(-1)!.tag;
}

/** The custom property by which a picture says what of it is never cropped away. No class has a name without `_`. */
export const FOCUS = 'focus';

/** A custom property as it stands in a style attribute; `''` where there is no value. */
export function customText(name: string, value: Known, data: Data): string {
  if (isNothing(value)) return '';
  if (name === FOCUS && value.type === 'text') return `--${name}:${value.value}`;
  const kind = kindOf(value.type);
  const css = kind.css?.(value.value, data);
  if (css === undefined) return '';
  const point = kind.focus?.(value.value, data);
  return `--${name}:${css}${point ? `;--${focusOfGround(name)}:${point}` : ''}`;
}

/** The custom property by which a picture that lies behind something says what of it is never cropped away. */
export function focusOfGround(custom: string): string {
  return `${custom}-focus`;
}

/** An element as it is at one place, as far as that is known before a page is written. */
export interface ElementAt {
  readonly attributes: readonly AttributeAt[];
  /** What must hold for the element to be written at all. */
  readonly tests: readonly Test[];
  /** What it says of where its picture is cropped. */
  readonly focus: CustomAt | undefined;
}

/**
 * An element at a place: its attributes, and on what it depends; `null` when it is known not to be there. A picture
 * without a picture is no element, nor is a film without one, and what is decided to hide hides the element that finally uses it.
 */
export function elementAt(node: LinkedElement, scope: Scope): ElementAt | null {
  const tests: Test[] = [];
  const attributes: AttributeAt[] = [];
  let needed = node.tag === 'img' || node.tag === 'video' ? 'src' : undefined;
  for (const attribute of node.attributes) {
    const { name, type } = attribute;
    const value = referredAt(node.tag, attribute, scope) ?? variedAt(attribute, type, scope);
    const required = name === needed;
    if (value instanceof Later) {
      if (required) tests.push({ value, passes: 'there' });
      else if (value.mayHide) tests.push({ value, passes: 'unhidden' });
    } else if (value === HIDE || (value === null && required)) return null;
    if (required) needed = undefined;
    attributes.push({ name: writtenName(name), type, value });
  }
  if (node.tag === 'form') addSending(attributes, node.id, scope);
  if (needed !== undefined) return null;
  addBeside(node.tag, attributes, scope.data);
  for (const child of node.children) {
    if (child.kind !== 'text') continue;
    const value = textAt(child, scope);
    if (value === HIDE) return null;
    if (value instanceof Later && value.mayHide) tests.push({ value, passes: 'unhidden' });
  }
  return { attributes, tests, focus: focusOf(node.tag, attributes, scope.data) };
}

/** The ids that an attribute gives where it names elements; nothing where it says something else. */
function referredAt(tag: string, attribute: LinkedAttribute, scope: Scope): Result | undefined {
  const { name, source, byRules } = attribute;
  if (byRules.length > 0 || source?.is !== 'value' || source.type !== 'text') return undefined;
  const nodes = source.value !== null && mayRefer(tag, name) ? referredIn(source.value) : undefined;
  return nodes && uniqueIds(nodes, scope);
}

/** What an element says of where its picture is cropped, as far as that is known; nothing where no picture of the site says anything. */
function focusOf(
  tag: string,
  attributes: readonly AttributeAt[],
  data: Data,
): CustomAt | undefined {
  if (tag !== 'img' || !data.hasFocus()) return undefined;
  const src = attributes.find(({ name }) => name === 'src');
  const tells = src && kindOf(src.type.kind).focus;
  if (!tells) return undefined;
  const says = (value: unknown) =>
    (tells as (value: unknown, site: Data) => string | null)(value, data);
  const value =
    src.value instanceof Later ? new Along(src.value, says) : givenAlong(src.value, says);
  return value === null ? undefined : { name: FOCUS, value };
}

/** What comes along with a value that is known only for a page. */
export class Along extends Later {
  constructor(
    readonly of: Later,
    /** What comes along with a value that is there; nothing for most. */
    readonly says: (value: unknown) => string | null,
  ) {
    super((run) => givenAlong(of.read(run), says), false);
  }
}

function givenAlong(known: Known, says: Along['says']): Known {
  const text = isNothing(known) ? null : says(known.value);
  return text === null ? null : { type: 'text', value: text };
}

/** The attributes that come along with others: where the element says one itself, that is meant; where that is empty, not. */
function addBeside(tag: string, attributes: AttributeAt[], data: Data): void {
  for (const { type, value } of [...attributes]) {
    const { beside } = kindOf(type.kind);
    for (const name in beside) {
      if (!attributeType(tag, name)) continue;
      const tells = own(beside, name)! as (value: unknown, site: Data) => string | null;
      const says = (value: unknown) => tells(value, data);
      const along: Result =
        value instanceof Later ? new Along(value, says) : givenAlong(value, says);
      const at = attributes.findIndex((each) => each.name === name);
      const said = attributes[at];
      if (!said) attributes.push({ name, type: TEXT, value: along });
      else if (said.value instanceof Later) {
        const { read, mayHide } = said.value;
        const meant = (run: Run) => read(run) ?? (along instanceof Later ? along.read(run) : along);
        attributes[at] = { ...said, value: new Later(meant, mayHide) };
      } else if (said.value === null) attributes[at] = { ...said, value: along };
    }
  }
}

/**
 * Whether a part is shown at a place: always, unless a source says otherwise; an empty answer hides it. While nobody
 * can tell it is there, waiting.
 */
export function shownAt(shown: Varied | undefined, scope: Scope): boolean | Waiting | Later {
  if (!shown) return true;
  const value = variedAt(shown, BOOLEAN, scope, SHOWN);
  return value instanceof Later || value === WAITING ? value : isYes(value);
}

/** Whether there is nothing to write: an empty value, one that hides, one that is waited for. */
function isNothing(value: Known): value is Hide | Waiting | null {
  return value === null || value.value === null;
}

/** The type of what stands in a text: words, rich text, or an icon. */
export function typeOfText(rich: LinkedText['rich']): TypeSpec {
  return rich === undefined ? TEXT : rich === 'icon' ? ICON : RICH;
}

/** What a text gives at a place. */
export function textAt(node: LinkedText, scope: Scope): Result {
  return variedAt(node.text, typeOfText(node.rich), scope);
}

/** The level of a heading, as far as it is known before a page is written. */
export type Level = number | ((run: Run) => number);

/** The level of the heading that a rich text stands below at a place. */
export function levelAt({ below }: LinkedText, scope: Scope): Level {
  if (!below) return TITLE_LEVEL;
  const tags = tagsAt(below, scope).map(({ tag, tests }) => ({
    level: headingLevel(tag) ?? TITLE_LEVEL,
    tests,
  }));
  if (tags.length === 1) return tags[0]!.level;
  return (run) => tags.find(({ tests }) => tests.every((test) => holds(test, run)))!.level;
}

/** A level where the page is known. */
export function levelIn(level: Level, run: Run): number {
  return typeof level === 'number' ? level : level(run);
}

/** What a known text is written as: words, or fragments that fit where it stands. */
export function contentOf(
  value: Known,
  rich: LinkedText['rich'],
  level: number,
  data: Data,
): Content {
  if (isNothing(value)) return '';
  if (value.type === 'text') return value.value ?? '';
  const fragments = kindOf(value.type).fragments?.(value.value, data) ?? [];
  return rich === 'icon' ? fragments : fitted(fragments, rich ?? 'line', { level, site: data });
}

/** What is shown where no rule says otherwise and the node says nothing of it. */
const SHOWN = Object.freeze({ type: 'boolean' as const, value: true });

const NONE_WRITTEN: Written = [];
/** A picture without an alternative text is decoration, and says so (HTML, 4.8.4.4.4). */
const EMPTY_ALT: Written = [['alt', '']];

/** What one attribute's value is written as; nothing for an empty one. */
export function writtenAttribute(name: string, value: Known, data: Data): Written {
  if (isNothing(value)) return name === 'alt' ? EMPTY_ALT : NONE_WRITTEN;
  const written = kindOf(value.type).attribute?.(name, value.value, data) ?? NONE_WRITTEN;
  return name.startsWith('aria-')
    ? written.map(([key, text]) => [key, ariaText(key, text)])
    : written;
}
