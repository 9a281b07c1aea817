import { isWide, own, type TypeSpec } from '../model';
import type { Data, Later, Run } from '../value';
import { escapeAttribute, escapeText } from './escape';
import {
  attributeText,
  classesText,
  customsText,
  textHtml,
  type Program,
  type Step,
} from './program';
import type { ClassAt } from './look-at';
import { Along, levelIn } from './semantics';
import { holds, type Test } from './varied';

/** Longer texts are handed to the function rather than written into its source. */
const LONGEST_LITERAL = 2000;

/**
 * A program as one JavaScript function: neighbouring texts joined, and the most common way to read a
 * value, one field of an entry, written out in place. Everything people wrote gets into the source
 * through `JSON.stringify` only. Nothing where functions cannot be made (under a strict policy in a browser).
 */
export function emit(program: Program, data: Data): ((run: Run) => string) | undefined {
  const emitter = new Emitter(data);
  const body = emitter.body(program);
  try {
    // oxlint-disable-next-line typescript/no-implied-eval -- what people wrote is in it as JSON alone
    const make = new Function(
      'c',
      `return (run) => { let out = "", v, h; ${body} return out; }`,
    ) as (constants: readonly unknown[]) => (run: Run) => string;
    return make(emitter.constants);
  } catch (error) {
    if (error instanceof EvalError) return undefined;
    throw error;
  }
}

/** Whether a field that holds an option of a choice gives that option, and no other gives it: it is there in each type on the way. */
function isStill({ field, type }: Later, option: string): boolean {
  // Options of another choice may be taken for those that are called the same.
  if (field?.declared.kind !== 'choice' || type?.kind !== 'choice') return false;
  const { options } = type;
  if (Object.keys(field.declared.options).some((id) => !own(options, id))) return false;
  return [field.declared, type].every((spec) => {
    if (spec?.kind !== 'choice') return false;
    const stored = own(spec.options, option);
    if (!stored || stored.gone !== undefined) return false;
    return Object.values(spec.options).every(({ gone }) => gone !== option);
  });
}

class Emitter {
  readonly constants: unknown[] = [escapeText, escapeAttribute];

  constructor(private readonly data: Data) {}

  body(program: Program): string {
    let code = '';
    let terms: string[] = [];
    const flush = () => {
      if (terms.length > 0) code += `out += ${terms.join(' + ')};`;
      terms = [];
    };
    for (const step of program) {
      const term = this.term(step);
      if (term !== undefined) terms.push(term);
      else {
        flush();
        code += this.statement(step as Exclude<Step, string>);
      }
    }
    flush();
    return code;
  }

  /** A step that is an expression; nothing for one that is a statement. */
  private term(step: Step): string | undefined {
    if (typeof step === 'string')
      return step.length > LONGEST_LITERAL ? this.constant(step) : JSON.stringify(step);
    if (step.is === 'text') {
      const { value, rich, level } = step;
      const otherwise = this.constant((run: Run) =>
        textHtml(value.read(run), rich, levelIn(level, run), this.data),
      );
      const plain = rich === undefined ? this.plain(value, 'text') : undefined;
      return plain
        ? `(${plain} && v.value ? c[0](v.value) : ${otherwise}(run))`
        : `${otherwise}(run)`;
    }
    if (step.is === 'classes') return this.classes(step.classes);
    if (step.is === 'customs') {
      const { customs } = step;
      return `${this.constant((run: Run) => customsText(customs, this.data, run))}(run)`;
    }
    if (step.is !== 'attribute') return undefined;
    const { name, value, type } = step;
    const { data } = this;
    const otherwise = this.constant((run: Run) => attributeText(name, value.read(run), data));
    if (value instanceof Along) {
      // Most values bring nothing along: then nothing is read anew.
      const { of, says } = value;
      const read = of.type && this.plain(of, of.type.kind);
      const nothing = JSON.stringify(attributeText(name, null, data));
      const brings = this.constant((held: unknown) => says(held) !== null);
      return read
        ? `(${read} && v.value !== null && !${brings}(v.value) ? ${nothing} : ${otherwise}(run))`
        : `${otherwise}(run)`;
    }
    const open = JSON.stringify(` ${name}="`);
    const plain = this.plain(value, type.kind);
    if (plain && type.kind === 'text')
      return `(${plain} && v.value ? ${open} + c[1](v.value) + '"' : ${otherwise}(run))`;
    if (plain && type.kind === 'link') {
      const href = this.constant((link: Parameters<Data['href']>[0]) => data.href(link));
      return `(${plain} && v.value !== null && (h = ${href}(v.value)) !== "" ? ${open} + c[1](h) + '"' : ${otherwise}(run))`;
    }
    return `${otherwise}(run)`;
  }

  /** The class attribute: classes that are always there come first of what is joined, so nothing need be looked at twice. */
  private classes(classes: readonly ClassAt[]): string {
    const first = classes[0];
    if (typeof first !== 'string')
      return `${this.constant((run: Run) => classesText(classes, run))}(run)`;
    const rest = classes.slice(1).map((each) => {
      if (typeof each === 'string') return JSON.stringify(' ' + each);
      const tests = each.tests.map((test) => this.test(test)).join(' && ');
      return `(${tests} ? ${JSON.stringify(' ' + each.className)} : "")`;
    });
    return [JSON.stringify(` class="${first}`), ...rest, JSON.stringify('"')].join(' + ');
  }

  private statement(step: Exclude<Step, string>): string {
    if (step.is === 'when') {
      const tests = step.tests.map((test) => this.test(test)).join(' && ');
      return `if (${tests}) {${this.body(step.then)}}`;
    }
    if (step.is !== 'each') throw new Error(`The step ${step.is} is no statement.`);
    const { depth, items, past, asksPosition, item, none } = step;
    const list = `l${depth}`;
    // Nothing is noted for each item that nobody asks.
    const before = past ? `${this.constant(past)}(run)` : '0';
    const position = asksPosition
      ? `run.positions[${depth}] = { at: i${depth} + 1, of: ${list}.length, past: ${before}, before: ${list}[i${depth} - 1] };`
      : '';
    return (
      `{const ${list} = ${this.constant(items)}(run);` +
      (none.length > 0 ? `if (${list}.length === 0) {${this.body(none)}}` : '') +
      `for (let i${depth} = 0; i${depth} < ${list}.length; i${depth} += 1) {` +
      `const e${depth} = ${list}[i${depth}]; run.items[${depth}] = e${depth};` +
      `${position}${this.body(item)}}}`
    );
  }

  private test(test: Test): string {
    if ('not' in test) return `!(${test.not.map((each) => this.test(each)).join(' && ')})`;
    const otherwise = `${this.constant((run: Run) => holds(test, run))}(run)`;
    const plain = test.passes === 'yes' && this.plain(test.value, 'boolean');
    const { passes } = test;
    if (typeof passes === 'object' && isStill(test.value, passes.option)) {
      const chosen = this.read(test.value.field, 'choice');
      if (chosen)
        return `(${chosen} ? v.value === ${JSON.stringify(passes.option)} : ${otherwise})`;
    }
    return plain ? `(${plain} && v.value !== null ? v.value : ${otherwise})` : otherwise;
  }

  /** Code that puts the field a value is read from into `v` and asks whether it has the type; nothing for other values. */
  private plain({ field, type }: Later, wanted: TypeSpec['kind']): string | undefined {
    const is = (spec: TypeSpec | undefined) => spec?.kind === wanted && isWide(spec);
    if (!field || !is(type) || !is(field.declared)) return undefined;
    return this.read(field, wanted);
  }

  /** The same, where the field is known to be read as it is. */
  private read(field: Later['field'], wanted: TypeSpec['kind']): string | undefined {
    // A field that is named like something every object inherits is read by the function that looks twice.
    if (!field || field.id in Object.prototype) return undefined;
    const entry = field.of === 'page' ? 'run.page' : `e${field.of}`;
    return `(v = ${entry}.values[${JSON.stringify(field.id)}]) !== undefined && v.type === ${JSON.stringify(wanted)}`;
  }

  private constant(value: unknown): string {
    this.constants.push(value);
    return `c[${this.constants.length - 1}]`;
  }
}
