import type { ReactNode } from 'react';
import {
  assetPath,
  dateInWords,
  kindOf,
  docOf,
  entryTitle,
  pathOf,
  type Documents,
  type LinkValue,
  richWords,
} from '@sormet/core/model';
import type { Known } from '@sormet/core/value';
import './values.css';

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
    case 'list':
      return value.value.length === 1 ? 'one record' : `${value.value.length} records`;
    default:
      return kind.css?.(value.value as never) ?? String(value.value);
  }
}

function linkWords(documents: Documents, link: LinkValue): string {
  if (link.to === 'address') return link.href;
  const page = docOf(documents, 'page', link.page);
  if (!page) return 'a page that is gone';
  const entry = link.entry === undefined ? undefined : docOf(documents, 'entry', link.entry);
  return pathOf(page, entry);
}

/** A value as a cell shows it: pictures small, before their name. */
export function ShowValue({
  documents,
  value,
}: {
  documents: Documents;
  value: Known | undefined;
}): ReactNode {
  const words = valueWords(documents, value);
  const asset =
    value?.type === 'image' && value.value
      ? docOf(documents, 'asset', value.value.asset)
      : undefined;
  const empty = words === 'nothing' || words === 'hides the element';
  return (
    <span className={empty ? 'value-words quiet' : 'value-words'} title={words}>
      {asset ? <img src={assetPath(asset)} alt="" className="value-picture" /> : null}
      {words}
    </span>
  );
}
