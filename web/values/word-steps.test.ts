import { insertedInto, WordSteps } from './word-steps';

/** The steps that each key of some words belongs to, typed one after the other. */
function stepsOf(words: string, start = ''): number[] {
  const steps = new WordSteps(start);
  return [...words].map((_, i) => steps.after(start + words.slice(0, i + 1)));
}

describe('steps of typing', () => {
  test('are words, each with the space before it', () => {
    expect(stepsOf('We began')).toEqual([0, 0, 1, 1, 1, 1, 1, 1]);
    expect(stepsOf('a  b c')).toEqual([0, 1, 1, 1, 2, 2]);
  });

  test('taking away belongs to the word that is being typed', () => {
    const steps = new WordSteps('');
    expect(['a', 'ab', 'a', 'a ', 'a c', 'a '].map((text) => steps.after(text))).toEqual([
      0, 0, 0, 1, 1, 1,
    ]);
  });

  test('a text that is typed over by its own beginning is one step', () => {
    const steps = new WordSteps('We began in a shed');
    expect(['W', 'We', 'We '].map((text) => steps.after(text))).toEqual([0, 0, 1]);
  });

  test('a selection that is typed over begins where it was', () => {
    const steps = new WordSteps('A heading for this section');
    expect(['W', 'We', 'We '].map((text) => steps.after(text))).toEqual([0, 0, 1]);
  });
});

test.each([
  ['ab', 'axb', 'x'],
  ['aa', 'aaa', 'a'],
  ['abc', 'ac', ''],
  ['abc', 'axc', 'x'],
  ['', 'a', 'a'],
])('from %j to %j, %j was put in', (before, after, typed) => {
  expect(insertedInto(before, after)).toBe(typed);
});
