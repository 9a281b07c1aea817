import type { Fault } from '@sormet/core/forms';

/** What is wrong with a field, in words: those that the site has for it, else some. */
export function wordsOfFault({ field, why }: Fault): string {
  if (field.wrong) return field.wrong;
  const { type, min, max, shortest, longest } = field;
  switch (why) {
    case 'missing':
      return type === 'checkbox'
        ? 'Please tick this.'
        : type === 'radio' || type === 'select'
          ? 'Please choose one.'
          : 'Please fill this in.';
    case 'type':
      return NEEDED[type] ?? 'This cannot be read.';
    case 'pattern':
      return 'This is not written as it is asked for.';
    case 'short':
      return `At least ${shortest} characters, please.`;
    case 'long':
      return `At most ${longest} characters, please.`;
    case 'below':
      return `Not below ${min}, please.`;
    case 'above':
      return max === undefined ? 'That is too much.' : `Not above ${max}, please.`;
    case 'step':
      return 'This is between two values that can be given.';
    case 'option':
      return 'Please choose one of these.';
  }
}

const NEEDED: Partial<Record<Fault['field']['type'], string>> = {
  email: 'An address of mail, please, as name@example.org.',
  url: 'An address, please, as https://example.org.',
  number: 'A number, please.',
  range: 'A number, please.',
  date: 'A day, please.',
  time: 'A time, please.',
};
