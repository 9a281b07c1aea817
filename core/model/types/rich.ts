import { Type, type Static, type TSchema } from '@sinclair/typebox';
import { Format } from '../format';
import { ID_PATTERN, NAME_PATTERN } from '../ids';
import { LinkValue, opensBeside } from './link-value';
import { defineKind, specSchema, type Fragment, type SiteValues } from './kind';

/** Elements that stand in a line, and those that are blocks of their own. */
const INLINE = ['strong', 'em', 'a', 'code', 'small', 'span', 'br'] as const;
const BLOCKS = ['p', 'h2', 'h3', 'h4', 'ul', 'ol', 'li', 'blockquote'] as const;

/** Every element that rich text may be made of. */
export const RICH_TAGS: readonly string[] = [...INLINE, ...BLOCKS];

/** An element of a closed list around more pieces. */
function richElement<T extends TSchema>(Piece: T) {
  return Type.Object(
    {
      tag: Type.Union([...INLINE, ...BLOCKS].map((tag) => Type.Literal(tag))),
      /** Where an `a` leads. */
      link: Type.Optional(LinkValue),
      /** The shared style of a `span`. */
      style: Type.Optional(Type.String({ pattern: ID_PATTERN })),
      children: Type.Array(Piece, { maxItems: 2000 }),
    },
    { additionalProperties: false },
  );
}

/** One piece of rich text: words, or an element of a closed list around more of them. Never HTML in a string. */
export const RICH_PIECE = Type.Recursive(
  (Self) => Type.Union([Type.String({ maxLength: 20000 }), richElement(Self)]),
  { $id: 'RichPiece' },
);
/** A piece of rich text: words, or an element with pieces in it. */
export type RichPiece = Static<typeof RICH_PIECE>;

/** Where a value stands among words: what its name stands for is said beside them. */
export const ValuePlace = Type.Object(
  { place: Type.String({ pattern: NAME_PATTERN }), format: Type.Optional(Format) },
  { additionalProperties: false },
);
export type ValuePlace = Static<typeof ValuePlace>;

/** A piece of words around values: as of rich text, or the place of a value. */
export const WORDS_PIECE = Type.Recursive(
  (Self) => Type.Union([Type.String({ maxLength: 20000 }), ValuePlace, richElement(Self)]),
  { $id: 'WordsPiece' },
);
/** A piece of words around values. */
export type WordsPiece = Static<typeof WORDS_PIECE>;

const RichValue = Type.Array(Type.Unsafe<RichPiece>(Type.Ref('RichPiece')), { maxItems: 2000 });

/** Rich text: structured down to the writers. */
export const richKind = defineKind({
  kind: 'rich',
  spec: specSchema('rich', {}),
  value: RichValue,
  empty: [],
  isEmpty: (value) => !value.some(hasWords),
  to: { text: (value) => richWords(value) },
  from: {
    text: (value: string) => [value],
    number: (value: number, site) => [site.language.number(value, {})],
    date: (value: string, site) => [site.language.date(value, 'long')],
  },
  fragments: (value, site) => value.map((piece) => fragmentOf(piece, site)),
  asksSite: true,
});

/** The words of rich text alone, blocks apart by a space. */
export function richWords(pieces: readonly RichPiece[]): string {
  return pieces
    .map((piece) => (typeof piece === 'string' ? piece : richWords(piece.children)))
    .join(pieces.some(isBlock) ? ' ' : '');
}

/** Whether a piece holds any word at all. */
function hasWords(piece: RichPiece): boolean {
  return typeof piece === 'string' ? /\S/.test(piece) : piece.children.some(hasWords);
}

function isBlock(piece: RichPiece): boolean {
  return typeof piece !== 'string' && (BLOCKS as readonly string[]).includes(piece.tag);
}

function fragmentOf(piece: RichPiece, site: SiteValues): Fragment {
  if (typeof piece === 'string') return piece;
  const { tag, link, style, children } = piece;
  const href = tag === 'a' && link ? site.href(link) : '';
  const inner = tag === 'br' ? [] : children.map((child) => fragmentOf(child, site));
  if (href === '' || !link)
    return {
      tag,
      attributes: {},
      children: inner,
      ...(tag === 'span' && style !== undefined ? { style } : {}),
    };
  const attributes: Record<string, string> = opensBeside(link)
    ? { href, target: '_blank', rel: 'noopener' }
    : { href };
  return { tag, attributes, children: inner };
}
