import {
  allOf,
  docOf,
  kindOf,
  own,
  pathOf,
  sameJson,
  type Documents,
  type Typed,
  type TypeSpec,
} from '../../model';
import type { ValueReader, Ways } from './value-reader';

/** How tables are written: numbers with a dot, dates as RFC 3339 writes them. */
export const WRITTEN: Ways = { decimal: '.', dates: 'ymd' };

/**
 * A value as a cell of a table holds it, so that reading it gives the same value again: in words where these say all of it,
 * else as JSON.
 * @param reader reads cells as the table is written: numbers with a dot, dates as RFC 3339 writes them
 */
export function wordsOfValue(
  documents: Documents,
  type: TypeSpec,
  value: Typed | undefined,
  reader: ValueReader,
): string {
  if (!value || value.value === null) return '';
  const words = inWords(documents, type, value);
  if (words !== undefined && words !== '') {
    const again = reader.read(type, words);
    if (again.ok && sameJson(again.value, value)) return words;
  }
  return typeof value.value === 'string' ? value.value : JSON.stringify(value.value);
}

function inWords(documents: Documents, type: TypeSpec, value: Typed): string | undefined {
  switch (value.type) {
    case 'text':
    case 'date':
      return value.value ?? undefined;
    case 'number':
      return String(value.value);
    case 'rich': {
      const [only, ...more] = value.value ?? [];
      return typeof only === 'string' && more.length === 0 ? only : undefined;
    }
    case 'choice':
      return type.kind === 'choice' ? own(type.options, value.value ?? '')?.label : undefined;
    case 'entry':
      return docOf(documents, 'entry', value.value ?? '')?.slug;
    case 'entries':
      return value.value
        ?.map((id) => docOf(documents, 'entry', id)?.slug ?? '')
        .filter(Boolean)
        .join('; ');
    case 'image':
      return docOf(documents, 'asset', value.value?.asset ?? '')?.name;
    case 'link': {
      const link = value.value;
      if (link?.to === 'address') return link.href;
      if (link?.to === 'mail') return link.address;
      if (link?.to === 'telephone') return link.number;
      const page = allOf(documents, 'page').find(({ id }) => id === link?.page);
      const entry = docOf(documents, 'entry', link?.entry ?? '');
      return page && pathOf(page, entry) + (link?.anchor === undefined ? '' : `#${link.anchor}`);
    }
    default:
      return kindOf(value.type).spell?.(value.value as never);
  }
}
