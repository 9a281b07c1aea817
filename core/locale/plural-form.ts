import * as rules from 'make-plural/cardinals';

/** The forms that words may have with numbers, by their names in CLDR. */
export const PLURAL_FORMS = ['zero', 'one', 'two', 'few', 'many', 'other'] as const;
/** A form that words have with numbers. */
export type PluralForm = (typeof PLURAL_FORMS)[number];

type Rule = (digits: string | number) => PluralForm;

/**
 * The form that goes with a number in a language (UTS 35, part 3: language plural rules, cardinal).
 * @param digits as they are written, with a dot: `1.0` may take another form than `1`
 */
export function pluralForm(digits: string, tag: string): PluralForm {
  return ruleOf(tag)(digits.replace(/^-/, ''));
}

/** The forms that a language tells apart, in their usual order. */
export function formsOf(tag: string): readonly PluralForm[] {
  const rule = ruleOf(tag);
  const found = new Set<PluralForm>(['other']);
  for (let n = 0; n <= 200; n += 1) found.add(rule(String(n)));
  for (const digits of ['0.5', '1.0', '1.5', '10.1', '1000000']) found.add(rule(digits));
  return PLURAL_FORMS.filter((form) => found.has(form));
}

function ruleOf(tag: string): Rule {
  const all = rules as unknown as Readonly<Record<string, Rule>>;
  // Names of the package: parts joined by an underline, so that they are identifiers.
  return all[tag.replace(/-/g, '_')] ?? all[tag.split('-')[0]!.toLowerCase()] ?? (() => 'other');
}
