import { brackenfold } from '@sormet/demo';
import type { TypeSpec } from '@sormet/core/model';
import { readCell } from './read-cell';

const { documents } = brackenfold();

/** What the words of a cell are as a type: the value, or the reason. */
function read(type: TypeSpec, words: string): unknown {
  const cell = readCell(documents, type, words);
  return cell.ok ? cell.value.value : cell.reason;
}

describe('the words of a cell', () => {
  test.each<[string, TypeSpec, string, unknown]>([
    ['text', { kind: 'text' }, ' as it is ', ' as it is '],
    ['a number', { kind: 'number' }, ' 12.5 ', 12.5],
    ['yes', { kind: 'boolean' }, 'Yes', true],
    ['a date', { kind: 'date' }, '2026-12-03', '2026-12-03'],
    ['a length in arithmetic', { kind: 'length' }, '20/16rem', { value: 1.25, unit: 'rem' }],
    ['a page', { kind: 'link' }, '/about', { to: 'page', page: 'page-about' }],
    [
      'a place on a page',
      { kind: 'link' },
      '/about#team',
      { to: 'page', page: 'page-about', anchor: 'team' },
    ],
    ['a mail', { kind: 'link' }, 'a@b.example', { to: 'mail', address: 'a@b.example' }],
    [
      'a telephone',
      { kind: 'link' },
      '+44 20 7946 0018',
      { to: 'telephone', number: '+44 20 7946 0018' },
    ],
    [
      'an address',
      { kind: 'link' },
      'https://example.com/',
      { to: 'address', href: 'https://example.com/' },
    ],
    ['an entry by its title', { kind: 'entry', of: 'shed' }, 'millgate', 'shed-millgate'],
    ['a theme by its name', { kind: 'theme', of: { night: true } }, 'Night', 'night'],
    ['rich text', { kind: 'rich' }, 'words', ['words']],
  ])('are %s', (_, type, words, value) => {
    expect(read(type, words)).toEqual(value);
  });

  test.each<[string, TypeSpec, string, string]>([
    ['no number', { kind: 'number' }, 'a lot', 'is no number'],
    ['too large a number', { kind: 'number', most: 5 }, '6', 'is not from'],
    ['too long a text', { kind: 'text', longest: 3 }, 'four', '3 are the most'],
    ['no date', { kind: 'date' }, '3 December', 'is no date'],
    [
      'an address that may not stand in a page',
      { kind: 'link' },
      'javascript:alert(1)',
      'is no link',
    ],
    ['no entry', { kind: 'entry', of: 'shed' }, 'nowhere', 'There is no entry'],
    ['no picture', { kind: 'image' }, 'none.png', 'There is no picture'],
    ['a theme that is not allowed', { kind: 'theme', of: {} }, 'Night', 'is no theme'],
    ['a list', { kind: 'list', fields: {} }, 'a, b', 'own editor'],
  ])('that are %s are told', (_, type, words, reason) => {
    expect(read(type, words)).toContain(reason);
  });
});
