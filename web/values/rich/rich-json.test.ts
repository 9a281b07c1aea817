import fc from 'fast-check';
import { rich } from '@sormet/core/test';
import { schemaFindings, Typed, type RichPiece } from '@sormet/core/model';
import { fromEditor, toEditor } from './rich-json';

/** The words without any space: what must not change when a shape is made one that the editor has. */
function fittedWords(pieces: readonly RichPiece[]): string {
  return pieces
    .map((piece) =>
      typeof piece === 'string' ? piece : piece.tag === 'br' ? '' : fittedWords(piece.children),
    )
    .join('')
    .replace(/\s+/g, '');
}

describe('rich text in the editor', () => {
  test.each<[string, RichPiece[]]>([
    ['words alone', ['Bring it broken.']],
    ['emphasis in a line', ['Bring ', { tag: 'strong', children: ['it'] }, ' broken.']],
    [
      'a link with bold words in it',
      [
        {
          tag: 'a',
          link: { to: 'page', page: 'home' },
          children: ['to ', { tag: 'strong', children: ['the sheds'] }],
        },
      ],
    ],
    [
      'blocks',
      [
        { tag: 'h2', children: ['Title'] },
        { tag: 'p', children: ['one', { tag: 'br', children: [] }, 'two'] },
        {
          tag: 'ul',
          children: [
            { tag: 'li', children: ['first'] },
            { tag: 'li', children: ['second'] },
          ],
        },
        { tag: 'blockquote', children: [{ tag: 'p', children: ['said'] }] },
      ],
    ],
    [
      'a list in a list',
      [
        { tag: 'p', children: ['before'] },
        {
          tag: 'ol',
          children: [
            {
              tag: 'li',
              children: ['outer', { tag: 'ul', children: [{ tag: 'li', children: ['inner'] }] }],
            },
          ],
        },
      ],
    ],
  ])('%s comes back as it was', (_, pieces) => {
    expect(fromEditor(toEditor(pieces), false)).toEqual(pieces);
  });

  test('one paragraph alone is its words, or stays one where paragraphs are meant', () => {
    const doc = toEditor([{ tag: 'p', children: ['alone'] }]);
    expect(fromEditor(doc, false)).toEqual(['alone']);
    expect(fromEditor(doc, false, true)).toEqual([{ tag: 'p', children: ['alone'] }]);
  });

  test('of any shape comes back with the same words, as what may be stored, and the second time unchanged', () => {
    fc.assert(
      fc.property(rich, (pieces) => {
        const once = fromEditor(toEditor(pieces), false);
        expect(schemaFindings(Typed, { type: 'rich', value: once })).toEqual([]);
        expect(fittedWords(once)).toBe(fittedWords(pieces));
        expect(fromEditor(toEditor(once), false)).toEqual(once);
      }),
    );
  });
});
