import { doEdit, isRefusal } from '../edit';
import { literal, type AssetDoc, type Documents, type EntryDoc, type FocusPoint } from '../model';
import { asset, contentType, documentsOf, entry, page } from '../test';
import { htmlOf } from '../test/html';
import { dataOf } from '../value';
import { build, Linker, prepare, write } from '.';

const held = (focus?: FocusPoint): AssetDoc => ({ ...asset('pic'), ...(focus ? { focus } : {}) });
const picture = literal({ type: 'image', value: { asset: 'pic' } });

/** The style attribute of the one picture of a page, by both writers. */
function styleOf(documents: Documents, one?: EntryDoc): string | undefined {
  const data = dataOf(documents);
  const html = write(prepare(new Linker().link(documents, 'p'), data), one);
  expect(html).toBe(htmlOf(build(new Linker().link(documents, 'p'), data, one).root));
  return /<img[^>]* style="([^"]*)"/.exec(html)?.[1];
}

const chosen = (file: AssetDoc) =>
  documentsOf(
    file,
    page('p', '/', { tag: 'main', children: [{ tag: 'img', attributes: { src: picture } }] }),
  );
const shed = entry('shed', 'one', { photo: { type: 'image', value: { asset: 'pic' } } });
const bound = (file: AssetDoc) =>
  documentsOf(
    file,
    contentType('shed', { name: 'text', photo: 'image' }),
    shed,
    page(
      'p',
      '/s/<slug>',
      {
        tag: 'main',
        children: [
          { tag: 'img', attributes: { src: { is: 'field', from: 'page', path: ['photo'] } } },
        ],
      },
      'shed',
    ),
  );

describe('what of a picture is never cropped away', () => {
  test('comes along wherever it is shown, chosen or out of an entry', () => {
    expect(styleOf(chosen(held({ x: 30, y: 0 })))).toBe('--focus:30% 0%');
    expect(styleOf(bound(held({ x: 30, y: 100 })), shed)).toBe('--focus:30% 100%');
  });

  test('says nothing where nothing was said: its middle is kept', () => {
    expect(styleOf(chosen(held()))).toBeUndefined();
    expect(styleOf(bound(held()), shed)).toBeUndefined();
  });

  test('is said of pictures alone, and taken back', () => {
    const set = (documents: Documents, focus: FocusPoint | null) =>
      doEdit(documents, { name: 'setAsset', args: { asset: 'pic', set: { focus } } });
    const once = set(chosen(held()), { x: 1, y: 2 });
    if (isRefusal(once)) throw new Error(once.refused.code);
    expect(styleOf(once.documents)).toBe('--focus:1% 2%');
    const again = set(once.documents, null);
    if (isRefusal(again)) throw new Error(again.refused.code);
    expect(styleOf(again.documents)).toBeUndefined();
    const font = set(documentsOf({ ...held(), mediaType: 'font/woff2' }), { x: 1, y: 2 });
    expect(isRefusal(font) && font.refused.code).toBe('only-picture-cropped');
  });
});
