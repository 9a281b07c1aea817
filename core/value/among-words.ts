import {
  TEXT,
  own,
  type Format,
  type NumberFormat,
  type RichPiece,
  type Typed,
  type TypeSpec,
  type Words,
  type WordsPiece,
} from '../model';
import type { NumberStyle } from '../locale';
import { convert } from './convert';
import type { Data } from './data';

/**
 * The words that stand for a value among others, in the language of the data; `null` where it is empty.
 * @param type what it was read as: an option is called as its choice says
 */
export function writtenAs(
  value: Typed,
  type: TypeSpec | undefined,
  format: Format | undefined,
  data: Data,
): string | null {
  const { language } = data;
  if (value.type === 'choice' && type?.kind === 'choice')
    return (value.value !== null && own(type.options, value.value)?.label) || null;
  if (format?.as === 'plural' || format?.as === 'number') {
    const number = convert(value, { kind: 'number' }, data);
    if (number?.type === 'number' && number.value !== null)
      return format.as === 'number'
        ? language.number(number.value, styleOf(format))
        : withNumber(number.value, format, data);
  }
  if (format?.as === 'date' && value.type === 'date' && value.value !== null)
    return language.date(value.value, format.style) || null;
  if (format?.as === 'list' && value.type === 'list' && value.value !== null) {
    const items = value.value.flatMap(({ values }) => {
      const field = format.field ?? firstText(values);
      const held = field === undefined ? undefined : own(values, field);
      const words = held && convert(held, TEXT, data);
      return words?.type === 'text' && words.value ? [words.value] : [];
    });
    return items.length === 0 ? null : language.list(items, format.by);
  }
  const words = convert(value, TEXT, data);
  return words?.type === 'text' ? words.value : null;
}

function firstText(values: Readonly<Record<string, Typed>>): string | undefined {
  return Object.keys(values)
    .sort()
    .find((field) => values[field]!.type === 'text');
}

function styleOf(format: NumberFormat | undefined): NumberStyle {
  return format ?? {};
}

/** Words that go with a number: `#` stands for it, as in ICU’s MessageFormat. */
function withNumber(
  number: number,
  { forms, none, number: format }: Extract<Format, { as: 'plural' }>,
  { language }: Data,
): string {
  const style = styleOf(format);
  const form =
    number === 0 && none !== undefined
      ? none
      : (forms[language.plural(number, style)] ?? forms.other ?? '#');
  return form.replaceAll('#', () => language.number(number, style));
}

/**
 * Words with their values in their places.
 * @param written the words of the value behind a name
 */
export function withValues(
  { of, pieces }: Words,
  written: (name: string, format: Format | undefined) => string,
): Typed {
  const put = (piece: WordsPiece): RichPiece => {
    if (typeof piece === 'string') return piece;
    if ('place' in piece) return written(piece.place, piece.format);
    return { ...piece, children: joined(piece.children.map(put)) };
  };
  const all = (pieces as WordsPiece[]).map(put);
  return of === 'text'
    ? { type: 'text', value: all.map((piece) => (typeof piece === 'string' ? piece : '')).join('') }
    : { type: 'rich', value: joined(all) };
}

/** Words that stand beside each other are one piece. */
function joined(pieces: readonly RichPiece[]): RichPiece[] {
  const out: RichPiece[] = [];
  for (const piece of pieces) {
    const last = out.at(-1);
    if (typeof piece === 'string' && typeof last === 'string') out[out.length - 1] = last + piece;
    else out.push(piece);
  }
  return out;
}
