import {
  attributeType,
  BOOLEAN,
  ICON,
  kindOf,
  own,
  RICH,
  TEXT,
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
import { fitted, type Content } from './fragments';
import type { ClassTerm, LinkedElement, LinkedText, Look, Varied } from './linked';
import type { Scope } from './scope';
import { isOption, isYes, testsOf, variedAt, type Test } from './varied';

/**
 * What parts of a tree come to at a place, said once for both writers: with all names known everything is known, and
 * what is known only when a page is written is left as `Later`, behind tests.
 */

/** A class at a place: there, or there only for some pages. */
export type ClassAt = string | { readonly className: string; readonly tests: readonly Test[] };

/** A custom property at a place, with what its declarations take in its stead. */
export interface CustomAt {
  readonly name: string;
  readonly value: Result;
}

/** How an element looks as far as classes and custom properties say it. */
export interface LookAt {
  readonly classes: readonly ClassAt[];
  readonly customs: readonly CustomAt[];
}

export const NO_LOOK: LookAt = Object.freeze({ classes: [], customs: [] });

/** What a node says of its element's look at a place, and what the instances around say of it as their root. */
export function lookAt({ classes, customs }: Look, scope: Scope, outer: LookAt): LookAt {
  if (classes.length === 0) return outer;
  const here: ClassAt[] = [];
  for (const { className, when, chosen } of classes) {
    const axes = testsOf(when, scope);
    const tests = axes && (chosen ? chosenTests(chosen, scope, axes) : axes);
    if (tests) here.push(tests.length === 0 ? className : { className, tests });
  }
  const set = customs.map(({ name, type, source }) => ({
    name,
    value: evaluate(source, type, scope),
  }));
  return { classes: [...here, ...outer.classes], customs: [...set, ...outer.customs] };
}

/** What must hold besides for a choice to be this one: `null` where it is known to be another. */
function chosenTests(
  { source, type, option }: NonNullable<ClassTerm['chosen']>,
  scope: Scope,
  axes: readonly Test[],
): readonly Test[] | null {
  const value = evaluate(source, type, scope);
  if (value instanceof Later) return [...axes, { value, passes: { option } }];
  return isOption(value, option) ? axes : null;
}

/** The tag of an element at a place: what is chosen for it there, else its own. No content gives a tag, so it is always known. */
export function tagAt({ tag, tagBy }: LinkedElement, scope: Scope): string {
  const value = tagBy && evaluate(tagBy.source, tagBy.type, scope);
  return value && !(value instanceof Later) && value.type === 'tag' && value.value !== null
    ? value.value
    : tag;
}

/** A custom property as it stands in a style attribute; `''` where there is no value. */
export function customText(name: string, value: Known, data: Data): string {
  if (isNothing(value)) return '';
  const css = kindOf(value.type).css?.(value.value as never, data);
  return css === undefined ? '' : `--${name}:${css}`;
}

/** An attribute with the value it has at a place. */
export interface AttributeAt {
  readonly name: string;
  readonly type: TypeSpec;
  readonly value: Result;
}

export interface ElementAt {
  readonly attributes: readonly AttributeAt[];
  /** What must hold for the element to be written at all. */
  readonly tests: readonly Test[];
}

/**
 * An element at a place: its attributes, and on what it depends; `null` when it is known not to be there. A picture
 * without a picture is no element, and what is decided to hide hides the element that finally uses it.
 */
export function elementAt(node: LinkedElement, scope: Scope): ElementAt | null {
  const tests: Test[] = [];
  const attributes: AttributeAt[] = [];
  let needed = node.tag === 'img' ? 'src' : undefined;
  for (const attribute of node.attributes) {
    const { name, type } = attribute;
    const value = variedAt(attribute, type, scope);
    const required = name === needed;
    if (value instanceof Later) {
      if (required) tests.push({ value, passes: 'there' });
      else if (value.mayHide) tests.push({ value, passes: 'unhidden' });
    } else if (value === HIDE || (value === null && required)) return null;
    if (required) needed = undefined;
    attributes.push({ name, type, value });
  }
  if (needed !== undefined) return null;
  addBeside(node.tag, attributes);
  for (const child of node.children) {
    if (child.kind !== 'text') continue;
    const value = textAt(child, scope);
    if (value === HIDE) return null;
    if (value instanceof Later && value.mayHide) tests.push({ value, passes: 'unhidden' });
  }
  return { attributes, tests };
}

/** The attributes that come along with others: where the element says one itself, that is meant; where that is empty, not. */
function addBeside(tag: string, attributes: AttributeAt[]): void {
  for (const { type, value } of [...attributes]) {
    const { beside } = kindOf(type.kind);
    for (const name in beside) {
      if (!attributeType(tag, name)) continue;
      const given = (known: Known): Known => {
        const text = isNothing(known) ? null : own(beside, name)!(known.value as never);
        return text === null ? null : { type: 'text', value: text };
      };
      const along: Result =
        value instanceof Later ? new Later((run) => given(value.read(run)), false) : given(value);
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
  return evaluate(node.text, typeOfText(node.rich), scope);
}

/** What a known text is written as: words, or fragments that fit where it stands. */
export function contentOf(value: Known, rich: LinkedText['rich'], data: Data): Content {
  if (isNothing(value)) return '';
  if (value.type === 'text') return value.value ?? '';
  const fragments = kindOf(value.type).fragments?.(value.value as never, data) ?? [];
  return rich === 'icon' ? fragments : fitted(fragments, rich ?? 'line');
}

/** What is shown where no rule says otherwise and the node says nothing of it. */
const SHOWN = Object.freeze({ type: 'boolean' as const, value: true });

const NONE_WRITTEN: Written = [];
/** A picture without an alternative text is decoration, and says so (HTML, 4.8.4.4.4). */
const EMPTY_ALT: Written = [['alt', '']];

/** What one attribute's value is written as; nothing for an empty one. */
export function writtenAttribute(name: string, value: Known, data: Data): Written {
  if (isNothing(value)) return name === 'alt' ? EMPTY_ALT : NONE_WRITTEN;
  return kindOf(value.type).attribute?.(name, value.value as never, data) ?? NONE_WRITTEN;
}
