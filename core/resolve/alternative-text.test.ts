import { doEdit, isRefusal } from '../edit';
import type { Documents, ImageValue } from '../model';
import { saidText } from '../said';
import { asset, contentType, documentsOf, entry, page } from '../test';
import { htmlOf } from '../test/html';
import { dataOf } from '../value';
import { build, Linker, prepare, write } from '.';

const HELD = { ...asset('pic'), alt: 'A bench with tools on it' };

/** The alternative text of the one picture of a page, by both writers. */
function altOf(documents: Documents): string | undefined {
  const data = dataOf(documents);
  const linked = new Linker().link(documents, 'p');
  const one = data.entriesOf('shed')[0]!;
  const html = write(prepare(linked, data), one);
  expect(html).toBe(htmlOf(build(linked, data, one).root));
  return /alt="([^"]*)"/.exec(html)?.[1];
}

const shows = (value: Partial<ImageValue>, alt = {}) =>
  documentsOf(
    HELD,
    contentType('shed', { name: 'text', photo: 'image' }),
    entry('shed', 'one', { photo: { type: 'image', value: { asset: 'pic', ...value } } }),
    page(
      'p',
      '/s/<slug>',
      {
        tag: 'main',
        children: [
          {
            tag: 'img',
            attributes: { src: { is: 'field', from: 'page', path: ['photo'] }, ...alt },
          },
        ],
      },
      'shed',
    ),
  );

describe('the alternative text of a picture (HTML, 4.8.4.4)', () => {
  test('is what the file says of itself, unless another is said where it is shown', () => {
    expect(altOf(shows({}))).toBe('A bench with tools on it');
    expect(altOf(shows({ alt: 'Where we mend' }))).toBe('Where we mend');
    const said = { alt: { is: 'value', type: 'text', value: 'Said by the element' } };
    expect(altOf(shows({ alt: 'Where we mend' }, said))).toBe('Said by the element');
  });

  test('is empty where the picture is decoration, whatever the file says', () => {
    expect(altOf(shows({ decorative: true }))).toBe('');
  });

  test('of the file changes everywhere at once, stays when the file is replaced, and can be taken back', () => {
    const edited = (documents: Documents, set: object) => {
      const done = doEdit(documents, { name: 'setAsset', args: { asset: 'pic', set } } as never);
      if (isRefusal(done)) throw new Error(saidText(done.refused));
      return done.documents;
    };
    const before = shows({});
    const other = edited(before, { alt: 'The same bench, tidied' });
    expect(altOf(other)).toBe('The same bench, tidied');
    const file = { sha256: 'f'.repeat(64), mediaType: 'image/png', width: 3, height: 2 };
    expect(altOf(edited(other, { file }))).toBe('The same bench, tidied');
    expect(altOf(edited(other, { alt: null }))).toBe('');
  });
});
