import {
  dateInWords,
  docOf,
  entryTitle,
  kindOf,
  own,
  pathOf,
  PLAIN_THEME,
  richWords,
  type Documents,
  type LinkValue,
} from '@sormet/core/model';
import type { Known } from '@sormet/core/value';

/** A value in words, short enough for a cell. */
export function valueWords(documents: Documents, value: Known | undefined): string {
  if (!value) return 'nothing';
  if (value.type === 'hide') return 'hides the element';
  if (value.type === 'waiting') return 'not loaded yet';
  if (value.value === null || value.value === '') return 'nothing';
  const kind = kindOf(value.type);
  switch (value.type) {
    case 'text':
      return value.value;
    case 'boolean':
      return value.value ? 'yes' : 'no';
    case 'number':
      return String(value.value);
    case 'date':
      return dateInWords(value.value);
    case 'link':
      return linkWords(documents, value.value as LinkValue);
    case 'image':
      return docOf(documents, 'asset', value.value.asset)?.name ?? 'a picture that is gone';
    case 'entry': {
      const entry = docOf(documents, 'entry', value.value);
      return entry ? entryTitle(documents, entry) : 'an entry that is gone';
    }
    case 'rich':
      return richWords(value.value).trim() || 'nothing';
    case 'colour':
    case 'length':
      return typeof value.value === 'object' && 'token' in value.value
        ? (own(documents.tokens.tokens, value.value.token)?.name ?? 'a token that is gone')
        : (kind.spell?.(value.value as never) ?? '');
    case 'icon':
      return value.value.name;
    case 'video':
      return docOf(documents, 'asset', value.value.asset)?.name ?? 'a video that is gone';
    case 'theme':
      return value.value === PLAIN_THEME
        ? 'plain'
        : (own(documents.tokens.themes ?? {}, value.value)?.name ?? 'a theme that is gone');
    case 'style':
      return docOf(documents, 'style', value.value)?.name ?? 'a style that is gone';
    case 'list':
      return value.value.length === 1 ? 'one record' : `${value.value.length} records`;
    default:
      return kind.spell?.(value.value as never) ?? String(value.value);
  }
}

/** Where a link leads, as people read it. */
export function linkWords(documents: Documents, link: LinkValue): string {
  if (link.to === 'address') return link.href;
  if (link.to === 'mail') return link.address;
  if (link.to === 'telephone') return link.number;
  const page = docOf(documents, 'page', link.page);
  if (!page) return 'a page that is gone';
  const entry = link.entry === undefined ? undefined : docOf(documents, 'entry', link.entry);
  return pathOf(page, entry) + (link.anchor === undefined ? '' : `#${link.anchor}`);
}
