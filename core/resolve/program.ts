import type { EntryDoc, ValueType } from '../model';
import { HIDE, type Data, type Known, type Later, type Run } from '../value';
import { writtenAttribute } from './attributes';
import { textOf } from './build';
import { escapeAttribute, escapeText } from './escape';

/** What a condition asks of its value: that it is yes, that it is there, that it hides nothing. */
export interface Test {
  readonly value: Later;
  readonly passes: 'yes' | 'there' | 'unhidden';
}

/** One step that is left to do for each page; a string is written as it is. */
export type Step =
  | string
  | { readonly is: 'text'; readonly value: Later }
  | {
      readonly is: 'attribute';
      readonly name: string;
      readonly type: ValueType;
      readonly value: Later;
    }
  | { readonly is: 'when'; readonly tests: readonly Test[]; readonly then: Program }
  | {
      readonly is: 'each';
      readonly entries: (run: Run) => readonly EntryDoc[];
      readonly depth: number;
      readonly item: Program;
      readonly none: Program;
    };

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
          out += escapeText(textOf(step.value.read(run)));
          break;
        case 'attribute':
          out += attributeText(step.name, step.value.read(run), data);
          break;
        case 'when':
          if (step.tests.every((test) => holds(test, run))) out += interpret(step.then, data, run);
          break;
        case 'each': {
          const entries = step.entries(run);
          if (entries.length === 0) out += interpret(step.none, data, run);
          for (const entry of entries) {
            run.items[step.depth] = entry;
            out += interpret(step.item, data, run);
          }
        }
      }
  }
  return out;
}

/** Whether a condition holds for a page. */
export function holds({ value, passes }: Test, run: Run): boolean {
  const known = value.read(run);
  if (passes === 'yes') return isYes(known);
  return known !== HIDE && (passes === 'unhidden' || known !== null);
}

/** Whether a value is a boolean that is true. */
export function isYes(known: Known): boolean {
  return known !== null && known.type === 'boolean' && known.value === true;
}

/** An attribute as it is written, `''` where its value is empty. */
export function attributeText(name: string, value: Known, data: Data): string {
  let out = '';
  for (const [key, text] of writtenAttribute(name, value, data))
    out += ` ${key}="${escapeAttribute(text)}"`;
  return out;
}
