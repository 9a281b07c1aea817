import type { JSONContent } from '@tiptap/react';
import type { Format, LinkValue, RichPiece, ValuePlace, WordsPiece } from '@sormet/core/model';

/**
 * Rich text as it is stored, and as the editor's document (ProseMirror's JSON): the same words, the same elements. Marks
 * of the editor nest in a fixed order, so that what comes back is written alike each time.
 */

const MARKS = ['a', 'span', 'strong', 'em', 'small', 'code'] as const;
type Mark = (typeof MARKS)[number];
const MARK_NAMES: Readonly<Record<Mark, string>> = {
  a: 'link',
  span: 'styled',
  strong: 'bold',
  em: 'italic',
  small: 'small',
  code: 'code',
};
const BLOCK_NAMES: Readonly<Record<string, string>> = {
  p: 'paragraph',
  ul: 'bulletList',
  ol: 'orderedList',
  li: 'listItem',
  blockquote: 'blockquote',
};

/** What the place of a value is called in the editor. */
export const PLACE = 'valuePlace';

interface Marked {
  readonly tag: Mark;
  readonly link?: LinkValue;
  readonly style?: string;
}

/**
 * Stored pieces as a document of the editor: words that stand alone are a paragraph.
 * @param bare whether the document is a line of words itself, as where one types into an element of the page
 */
export function toEditor(pieces: readonly WordsPiece[], bare = false): JSONContent {
  if (bare) return { type: 'doc', content: inlineOf(pieces) };
  const content = blocks(pieces);
  return { type: 'doc', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
}

function blocks(pieces: readonly WordsPiece[]): JSONContent[] {
  const out: JSONContent[] = [];
  let line: JSONContent[] = [];
  const end = () => {
    if (line.length > 0) out.push({ type: 'paragraph', content: line });
    line = [];
  };
  for (const piece of pieces) {
    if (typeof piece === 'string' || 'place' in piece || isInline(piece.tag)) {
      line.push(...inline(piece, []));
      continue;
    }
    end();
    const { tag, children } = piece;
    if (tag === 'p')
      out.push({ type: 'paragraph', content: children.flatMap((each) => inline(each, [])) });
    else if (/^h[2-4]$/.test(tag))
      out.push({
        type: 'heading',
        attrs: { level: Number(tag[1]) },
        content: children.flatMap((each) => inline(each, [])),
      });
    else if (tag === 'ul' || tag === 'ol')
      out.push({
        type: BLOCK_NAMES[tag]!,
        content: children.flatMap((each) =>
          typeof each === 'string' && each.trim() === ''
            ? []
            : [
                {
                  type: 'listItem',
                  content: filledItem(
                    typeof each !== 'string' && !('place' in each) && each.tag === 'li'
                      ? each.children
                      : [each],
                  ),
                },
              ],
        ),
      });
    else if (tag === 'blockquote') out.push({ type: 'blockquote', content: filledItem(children) });
    else out.push(...blocks(children));
  }
  end();
  return out;
}

/** A line of words without anything around it: blocks give their words, apart by a space. */
function inlineOf(pieces: readonly WordsPiece[]): JSONContent[] {
  return pieces.flatMap((piece, i): JSONContent[] => {
    if (typeof piece === 'string' || 'place' in piece || isInline(piece.tag))
      return inline(piece, []);
    return [...(i > 0 ? [{ type: 'text', text: ' ' }] : []), ...inlineOf(piece.children)];
  });
}

function filledItem(children: readonly WordsPiece[]): JSONContent[] {
  const content = blocks(children);
  return content.length > 0 ? content : [{ type: 'paragraph' }];
}

function isInline(tag: string): boolean {
  return tag === 'br' || (MARKS as readonly string[]).includes(tag);
}

function marksOf(marks: readonly Marked[]): Pick<JSONContent, 'marks'> {
  if (marks.length === 0) return {};
  return {
    marks: marks.map(({ tag, link, style }) => ({
      type: MARK_NAMES[tag],
      ...(link ? { attrs: { to: link } } : {}),
      ...(style === undefined ? {} : { attrs: { style } }),
    })),
  };
}

function inline(piece: WordsPiece, marks: readonly Marked[]): JSONContent[] {
  if (typeof piece === 'string')
    return piece === ''
      ? []
      : [
          {
            type: 'text',
            text: piece,
            ...marksOf(marks),
          },
        ];
  if ('place' in piece)
    return [
      {
        type: PLACE,
        attrs: { name: piece.place, format: piece.format ?? null },
        ...marksOf(marks),
      },
    ];
  const { tag, link, style, children } = piece;
  if (tag === 'br') return [{ type: 'hardBreak' }];
  // Words with no style are words: so the inner of two styles is the one that shows.
  const isMark = tag === 'span' ? style !== undefined : isInline(tag);
  const own = isMark
    ? [
        ...marks.filter((each) => each.tag !== tag),
        {
          tag: tag as Mark,
          ...(link && tag === 'a' ? { link } : {}),
          ...(style !== undefined && tag === 'span' ? { style } : {}),
        },
      ]
    : marks;
  return children.flatMap((each) => inline(each, own));
}

/**
 * A document of the editor as pieces to be stored. One paragraph alone is its words, unless paragraphs are meant.
 */
export function fromEditor(doc: JSONContent, line: boolean, paragraphs = false): RichPiece[] {
  return aroundFromEditor(doc, line, paragraphs) as RichPiece[];
}

/** The same, where values may have places among the words. */
export function aroundFromEditor(
  doc: JSONContent,
  line: boolean,
  paragraphs = false,
): WordsPiece[] {
  const content = doc.content ?? [];
  if (content.every(({ type }) => type === 'text' || type === 'hardBreak' || type === PLACE))
    return words(doc);
  if (content.length === 1 && content[0]!.type === 'paragraph' && !(paragraphs && !line))
    return words(content[0]!);
  if (line) return content.flatMap((each, i) => [...(i > 0 ? [' '] : []), ...words(each)]);
  return content.map(block);
}

function block(node: JSONContent): WordsPiece {
  switch (node.type) {
    case 'heading':
      return { tag: `h${node.attrs?.['level'] ?? 2}` as 'h2', children: words(node) };
    case 'bulletList':
    case 'orderedList':
      return {
        tag: node.type === 'bulletList' ? 'ul' : 'ol',
        children: (node.content ?? []).map(block),
      };
    case 'listItem': {
      const content = node.content ?? [];
      // An item that is one paragraph is its words: as people write lists.
      const [first, ...rest] = content;
      const begins = first?.type === 'paragraph' ? words(first) : first ? [block(first)] : [];
      return { tag: 'li', children: [...begins, ...rest.map(block)] };
    }
    case 'blockquote':
      return { tag: 'blockquote', children: (node.content ?? []).map(block) };
    default:
      return { tag: 'p', children: words(node) };
  }
}

function words(node: JSONContent): WordsPiece[] {
  if (node.type !== 'paragraph' && node.type !== 'heading' && node.type !== 'doc')
    return (node.content ?? []).flatMap((each, i) => [...(i > 0 ? [' '] : []), ...words(each)]);
  return joined(
    (node.content ?? []).map((each): WordsPiece => {
      if (each.type === 'hardBreak') return { tag: 'br', children: [] };
      const marks = MARKS.filter((tag) => each.marks?.some(({ type }) => type === MARK_NAMES[tag]));
      return marks.reduceRight<WordsPiece>(
        (inner, tag) => {
          const mark = each.marks?.find(({ type }) => type === MARK_NAMES[tag]);
          const link = mark?.attrs?.['to'] as LinkValue | undefined;
          const style = mark?.attrs?.['style'] as string | undefined;
          if (tag === 'span' && style) return { tag, style, children: [inner] };
          return tag === 'a' && link
            ? { tag, link, children: [inner] }
            : { tag, children: [inner] };
        },
        each.type === PLACE ? placeOf(each) : (each.text ?? ''),
      );
    }),
  );
}

function placeOf({ attrs }: JSONContent): ValuePlace {
  const { name, format } = attrs as { name: string; format: Format | null };
  return { place: name, ...(format ? { format } : {}) };
}

/** Neighbours in the same element are one: a link with a bold word in it is one link. */
function joined(pieces: readonly WordsPiece[]): WordsPiece[] {
  const out: WordsPiece[] = [];
  for (const piece of pieces) {
    const last = out.at(-1);
    if (typeof last === 'string' && typeof piece === 'string') out[out.length - 1] = last + piece;
    else if (
      last !== undefined &&
      typeof last !== 'string' &&
      typeof piece !== 'string' &&
      !('place' in last) &&
      !('place' in piece) &&
      last.tag !== 'br' &&
      last.tag === piece.tag &&
      JSON.stringify(last.link) === JSON.stringify(piece.link) &&
      last.style === piece.style
    )
      out[out.length - 1] = { ...last, children: joined([...last.children, ...piece.children]) };
    else out.push(piece);
  }
  return out;
}
