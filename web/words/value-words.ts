import { languageOf } from '@sormet/core/locale';
import {
  allOf,
  docOf,
  entryTitle,
  kindOf,
  own,
  pathOf,
  PLAIN_THEME,
  richWords,
  type Documents,
  type LinkValue,
  type TypeSpec,
} from '@sormet/core/model';
import type { Known } from '@sormet/core/value';
import { count } from './count';

/** What the options of choices are called, by what holds them: worked out once for each state of it. */
const labelled = new WeakMap<object, ReadonlyMap<string, string>>();

function labelsIn(held: Readonly<Record<string, { readonly type: TypeSpec }>>) {
  let labels = labelled.get(held);
  if (!labels) {
    const made = new Map<string, string>();
    for (const { type } of Object.values(held))
      if (type.kind === 'choice')
        for (const [id, { label }] of Object.entries(type.options)) made.set(id, label);
    labels = made;
    labelled.set(held, labels);
  }
  return labels;
}

/** What an option is called: in its choice, else wherever the site has one of this id. */
function optionLabel(documents: Documents, option: string, type: TypeSpec | undefined): string {
  const here = type?.kind === 'choice' ? own(type.options, option)?.label : undefined;
  if (here !== undefined) return here;
  for (const { properties } of allOf(documents, 'component')) {
    const label = labelsIn(properties).get(option);
    if (label !== undefined) return label;
  }
  for (const { fields } of allOf(documents, 'type')) {
    const label = labelsIn(fields).get(option);
    if (label !== undefined) return label;
  }
  return 'an option that is gone';
}

/**
 * A value in words, short enough for a cell.
 * @param type what it is read as, where that is known: an option is called as its choice says
 */
export function valueWords(
  documents: Documents,
  value: Known | undefined,
  type?: TypeSpec,
): string {
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
      return languageOf(documents.site.language).number(value.value, {});
    case 'choice':
      return optionLabel(documents, value.value, type);
    case 'date':
      return languageOf(documents.site.language).date(value.value, 'long');
    case 'link':
      return linkWords(documents, value.value);
    case 'image':
      return docOf(documents, 'asset', value.value.asset)?.name ?? 'a picture that is gone';
    case 'entry': {
      const entry = docOf(documents, 'entry', value.value);
      return entry ? entryTitle(documents, entry) : 'an entry that is gone';
    }
    case 'entries':
      return (
        languageOf(documents.site.language).list(
          value.value.map((id) => {
            const entry = docOf(documents, 'entry', id);
            return entry ? entryTitle(documents, entry) : 'an entry that is gone';
          }),
          'and',
        ) || 'nothing'
      );
    case 'rich':
      return richWords(value.value).trim() || 'nothing';
    case 'colour':
    case 'length':
      return typeof value.value === 'object' && 'token' in value.value
        ? (own(documents.tokens.tokens, value.value.token)?.name ?? 'a token that is gone')
        : (kind.spell?.(value.value) ?? '');
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
    case 'action': {
      const many = Object.keys(value.value.acts).length;
      return many === 0 ? 'nothing' : count(many, 'act');
    }
    default:
      return kind.spell?.(value.value) ?? String(value.value);
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
