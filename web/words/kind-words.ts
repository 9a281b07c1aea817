import { docOf, inOrder, type Documents, type TypeSpec, type ValueKind } from '@sormet/core/model';
import { chosenOptions } from './chosen-options';

/** The words for what a property holds, in the order in which they are offered. */
export const KIND_WORDS: Readonly<Record<ValueKind, string>> = {
  text: 'text',
  rich: 'rich text',
  link: 'link',
  image: 'image',
  boolean: 'yes or no',
  number: 'number',
  length: 'length',
  colour: 'colour',
  icon: 'icon',
  choice: 'choice',
  date: 'date',
  entry: 'entry',
  entries: 'list of entries',
  list: 'list of records',
  tag: 'tag',
  theme: 'theme',
  style: 'shared style',
  video: 'video',
  action: 'action',
};

/** A type in words: its kind, with what narrows it. */
export function typeWords(documents: Documents, type: TypeSpec): string {
  const word = KIND_WORDS[type.kind];
  switch (type.kind) {
    case 'text':
      return type.longest === undefined ? word : `${word}, ${type.longest} at most`;
    case 'number': {
      const { least, most } = type;
      if (least === undefined && most === undefined) return word;
      return `${word}, ${least ?? '…'} to ${most ?? '…'}`;
    }
    case 'choice':
      return `${word}: ${inOrder(type.options)
        .filter(([, { gone }]) => gone === undefined)
        .map(([, { label }]) => label)
        .join(', ')}`;
    case 'entry':
    case 'entries': {
      const of = type.of === undefined ? undefined : docOf(documents, 'type', type.of);
      return of ? `${word}: ${of.plural.toLowerCase()}` : word;
    }
    case 'list':
      return `${word}: ${inOrder(type.fields)
        .map(([, { label }]) => label)
        .join(', ')}`;
    case 'tag':
    case 'theme':
    case 'style':
      return `${word}: ${chosenOptions(documents, type)
        .map(({ label }) => label)
        .join(', ')}`;
    default:
      return word;
  }
}
