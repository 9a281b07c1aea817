import type { Field } from './fields';
import { asTyped, isCounted, isOfType, isWritten, numberOf, stepOf } from './values';

/** What may be wrong, as the validity states of HTML (Living Standard, 4.10.21.1) are called here. */
export type Wrong =
  | 'missing'
  | 'type'
  | 'pattern'
  | 'short'
  | 'long'
  | 'below'
  | 'above'
  | 'step'
  /** It is none of what may be chosen: no browser sends that. */
  | 'option';

/** A field with what is wrong with what it says. */
export interface Fault {
  readonly field: Field;
  readonly why: Wrong;
}

/** What a field that takes one value says, as it was typed. */
export type Said = ReadonlyMap<string, readonly string[]>;

/**
 * What is wrong with what was said in the fields of a form, in their order, of each field the first.
 * @param said what was sent under each name, in the order of the fields of that name
 */
export function faultsOf(fields: readonly Field[], said: Said): Fault[] {
  const found: Fault[] = [];
  const groups = new Set<string>();
  const nth = new Map<string, number>();
  for (const field of fields) {
    const { name, type } = field;
    const values = said.get(name) ?? [];
    if (type === 'radio') {
      if (groups.has(name)) continue;
      groups.add(name);
      const why = wrongChoice(
        fields.filter((each) => each.type === 'radio' && each.name === name),
        values,
      );
      if (why) found.push({ field, why });
      continue;
    }
    if (type === 'checkbox') {
      const isTicked = values.includes(field.options?.[0] ?? 'on');
      if (field.isRequired && !isTicked) found.push({ field, why: 'missing' });
      continue;
    }
    if (type === 'select') {
      const why = wrongChoice([field], values);
      if (why) found.push({ field, why });
      continue;
    }
    const at = nth.get(name) ?? 0;
    nth.set(name, at + 1);
    const why = wrongOf(field, values[at] ?? '');
    if (why) found.push({ field, why });
  }
  return found;
}

/** Of choices of one name: whether one must be made, and what was chosen is one of them. */
function wrongChoice(choices: readonly Field[], values: readonly string[]): Wrong | undefined {
  const chosen = values.filter((value) => value !== '');
  if (chosen.length === 0)
    return choices.some(({ isRequired }) => isRequired) ? 'missing' : undefined;
  const options = new Set(choices.flatMap((each) => each.options ?? []));
  return chosen.every((value) => options.has(value)) ? undefined : 'option';
}

/** What is wrong with a value of a field of which there is one; nothing where nothing is. */
export function wrongOf(field: Field, sent: string): Wrong | undefined {
  const { type } = field;
  // What nobody fills in is not asked (4.10.5.1.1: barred from constraint validation).
  if (type === 'hidden') return undefined;
  const value = asTyped(type, sent);
  if (value === '') return field.isRequired && type !== 'range' ? 'missing' : undefined;
  if (!isOfType(type, value)) return 'type';
  return isCounted(type) ? wrongNumber(field, value) : wrongWords(field, value);
}

function wrongWords({ type, pattern, shortest, longest }: Field, value: string): Wrong | undefined {
  if (!isWritten(type)) return undefined;
  if (shortest !== undefined && value.length < shortest) return 'short';
  if (longest !== undefined && value.length > longest) return 'long';
  const asked = pattern === undefined || type === 'textarea' ? undefined : wholly(pattern);
  return asked && !asked.test(value) ? 'pattern' : undefined;
}

/** A pattern that a whole value matches; nothing for what is no regular expression (4.10.5.3.6: then none is asked). */
function wholly(pattern: string): RegExp | undefined {
  try {
    // The pattern by itself first: what closes the group around it is none.
    new RegExp(pattern, 'v');
    return new RegExp(`^(?:${pattern})$`, 'v');
  } catch (error) {
    if (error instanceof SyntaxError) return undefined;
    throw error;
  }
}

function wrongNumber(field: Field, value: string): Wrong | undefined {
  const { type } = field;
  const number = numberOf(type, value)!;
  const [least, most] = [field.min, field.max].map((limit) =>
    limit === undefined ? undefined : numberOf(type, limit),
  );
  // Times go round: from evening until morning is a range, too (4.10.5.3.7).
  if (type === 'time' && least !== undefined && most !== undefined && most < least) {
    if (number > most && number < least) return 'above';
  } else {
    if (least !== undefined && number < least) return 'below';
    if (most !== undefined && number > most) return 'above';
  }
  const step = stepOf(type, field.step);
  if (step === undefined) return undefined;
  const base = least ?? (field.begins === undefined ? 0 : (numberOf(type, field.begins) ?? 0));
  const steps = (number - base) / step;
  return Math.abs(steps - Math.round(steps)) < 1e-9 * Math.max(1, Math.abs(steps))
    ? undefined
    : 'step';
}
