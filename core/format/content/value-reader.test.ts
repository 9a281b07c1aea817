import { brackenfold } from '@sormet/demo';
import type { TypeSpec } from '../../model';
import { saidText } from '../../said';
import { ValueReader } from './value-reader';

const { documents } = brackenfold();

/** What the words of a cell are as a type: the value, or the reason. */
function read(type: TypeSpec, words: string): unknown {
  const cell = new ValueReader(documents).read(type, words);
  return cell.ok ? cell.value.value : saidText(cell.why);
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
    ['no number', { kind: 'number' }, 'a lot', 'words-no-value'],
    ['too large a number', { kind: 'number', most: 5 }, '6', 'number-out-of-range'],
    ['too long a text', { kind: 'text', longest: 3 }, 'four', 'text-too-long'],
    ['no date', { kind: 'date' }, '31 November 2026', 'words-no-value'],
    [
      'an address that may not stand in a page',
      { kind: 'link' },
      'javascript:alert(1)',
      'words-no-value',
    ],
    ['no entry', { kind: 'entry', of: 'shed' }, 'nowhere', 'no-entry-called'],
    ['no picture', { kind: 'image' }, 'none.png', 'no-picture-called'],
    ['a theme that is not allowed', { kind: 'theme', of: {} }, 'Night', 'words-no-value'],
    ['a list', { kind: 'list', fields: {} }, 'a, b', 'not-by-words'],
  ])('that are %s are told', (_, type, words, reason) => {
    expect(read(type, words)).toContain(reason);
  });
});
