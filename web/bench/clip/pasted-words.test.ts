import { branchesOfWords } from './pasted-words';

const texts = (words: string, isInList = false) =>
  branchesOfWords(words, isInList).map(({ tag, text }) => [tag, text]);

test('words are paragraphs between empty lines, whichever way lines end', () => {
  expect(texts('One\r\nline.\r\n\r\nAnother  one.\r\n')).toEqual([
    ['p', 'One line.'],
    ['p', 'Another one.'],
  ]);
});

test('in a list each line is an item, and empty ones are none', () => {
  expect(texts('First\n\nSecond\n  \nThird', true)).toEqual([
    ['li', 'First'],
    ['li', 'Second'],
    ['li', 'Third'],
  ]);
});

test('nothing is nothing, markup stays words, and no more is taken than can be looked at', () => {
  expect(texts(' \n\t\n ')).toEqual([]);
  expect(texts('<b>bold</b>')).toEqual([['p', '<b>bold</b>']]);
  expect(texts('line\n\n'.repeat(1000))).toHaveLength(200);
});
