import type { ActsWhen, TypeSpec } from '../model';
import {
  Later,
  positionIn,
  type Data,
  type Item,
  type Known,
  type Result,
  type Run,
} from '../value';
import { escapeAttribute } from './escape';
import { writtenContent } from './fragments';
import type { LinkedText } from './linked';
import type { ClassAt, CustomAt } from './look-at';
import { contentOf, customText, levelIn, writtenAttribute, type Level } from './semantics';
import type { Scope } from './scope';
import type { AttributeAt } from './attribute-at';
import type { TargetAt } from './target-at';
import { holds, type Test } from './varied';

/** One step that is left to do for each page; a string is written as it is. */
export type Step =
  | string
  | {
      readonly is: 'text';
      readonly value: Later;
      readonly rich: LinkedText['rich'];
      readonly level: Level;
    }
  | {
      readonly is: 'attribute';
      readonly name: string;
      readonly type: TypeSpec;
      readonly value: Later;
    }
  | { readonly is: 'classes'; readonly classes: readonly ClassAt[] }
  | { readonly is: 'customs'; readonly customs: readonly CustomAt[] }
  | ActingStep
  | { readonly is: 'when'; readonly tests: readonly Test[]; readonly then: Program }
  | {
      readonly is: 'each';
      readonly items: (run: Run) => readonly Item[];
      /** How many of the list stand on pages before, where it is divided. */
      readonly past: ((run: Run) => number) | undefined;
      /** Whether something in it asks where an item stands. */
      readonly asksPosition: boolean;
      readonly depth: number;
      readonly item: Program;
      readonly none: Program;
    };

/** What a page with states is written of besides: its elements one by one, its instances, its words. See `acting`. */
export type ActingStep =
  | {
      readonly is: 'element';
      readonly tags: readonly { readonly tag: string; readonly tests: readonly Test[] }[];
      readonly isVoid: boolean;
      readonly classes: readonly ClassAt[];
      readonly attributes: readonly AttributeAt[];
      readonly customs: readonly CustomAt[];
      readonly whens: readonly WhenAt[];
      /** Where it is found by acts that do something to it; nothing for most. */
      readonly targets: readonly TargetAt[];
      readonly children: Program;
    }
  | {
      readonly is: 'instance';
      readonly states: readonly StateAt[];
      readonly then: Program;
    }
  | { readonly is: 'words'; readonly html: string; readonly rich: LinkedText['rich'] };

/** A state of an instance: its name, all that it can be, what it is at first. */
export interface StateAt {
  readonly name: string;
  readonly type: TypeSpec;
  /** Nothing for words, which have no end of them; of what counts items, as many as there are on the page that is written. */
  readonly values: readonly Known[] | ((run: Run) => readonly Known[]) | undefined;
  readonly first: Result;
  readonly isRound: boolean;
  /** Whether what is written elsewhere may set it, too. */
  readonly isOpen: boolean;
}

/** What an element does when something happens to it, and where that was written. */
export interface WhenAt {
  readonly when: ActsWhen;
  readonly at: Scope;
}

/** What is left of a page's body when everything that does not depend on its entry has been written. */
export type Program = readonly Step[];

/** Runs a program step by step. `emit` makes a function of it that does the same, faster. */
export function interpret(program: Program, data: Data, run: Run): string {
  let out = '';
  for (const step of program) {
    if (typeof step === 'string') out += step;
    else
      switch (step.is) {
        case 'text':
          out += textHtml(step.value.read(run), step.rich, levelIn(step.level, run), data);
          break;
        case 'attribute':
          out += attributeText(step.name, step.value.read(run), data);
          break;
        case 'classes':
          out += classesText(step.classes, run);
          break;
        case 'customs':
          out += customsText(step.customs, data, run);
          break;
        case 'when':
          if (step.tests.every((test) => holds(test, run))) out += interpret(step.then, data, run);
          break;
        case 'each': {
          const items = step.items(run);
          if (items.length === 0) out += interpret(step.none, data, run);
          const past = step.past?.(run);
          items.forEach((item, i) => {
            run.items[step.depth] = item;
            if (step.asksPosition) run.positions[step.depth] = positionIn(items, i, past);
            out += interpret(step.item, data, run);
          });
          break;
        }
        case 'element':
        case 'instance':
        case 'words':
          throw new Error('A page with states is written by interpretActing.');
      }
  }
  return out;
}

/** A text as it is written, `''` where it is empty. */
export function textHtml(
  value: Known,
  rich: LinkedText['rich'],
  level: number,
  data: Data,
): string {
  return writtenContent(contentOf(value, rich, level, data));
}

/** The classes of an element for a page. */
export function classesOf(classes: readonly ClassAt[], run: Run): string {
  const there: string[] = [];
  for (const each of classes)
    if (typeof each === 'string') there.push(each);
    else if (each.tests.every((test) => holds(test, run))) there.push(each.className);
  return there.join(' ');
}

/** The class attribute for a page, `''` where it has none. */
export function classesText(classes: readonly ClassAt[], run: Run): string {
  const there = classesOf(classes, run);
  return there === '' ? '' : ` class="${there}"`;
}

/** The custom properties of an element for a page, as CSS. */
export function customsOf(customs: readonly CustomAt[], data: Data, run: Run): string {
  return customs
    .map(({ name, value }) =>
      customText(name, value instanceof Later ? value.read(run) : value, data),
    )
    .filter(Boolean)
    .join(';');
}

/** The style attribute for a page, `''` where it has none. */
export function customsText(customs: readonly CustomAt[], data: Data, run: Run): string {
  const style = customsOf(customs, data, run);
  return style === '' ? '' : ` style="${escapeAttribute(style)}"`;
}

/** An attribute as it is written, `''` where its value is empty. */
export function attributeText(name: string, value: Known, data: Data): string {
  let out = '';
  for (const [key, text] of writtenAttribute(name, value, data))
    out += ` ${key}="${escapeAttribute(text)}"`;
  return out;
}
