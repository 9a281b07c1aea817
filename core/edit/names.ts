import { type Doc } from '../model';

/** A component's name without its folder. */
export function shortName(name: string): string {
  return name.slice(name.lastIndexOf('/') + 1);
}

/** How people see a document where something is said of it. */
export function documentWord(doc: Doc | undefined): string {
  switch (doc?.kind) {
    case 'page':
      return doc.path;
    case 'component':
      return shortName(doc.name);
    case 'entry':
      return `the entry ${doc.slug}`;
    case 'type':
    case 'asset':
      return doc.name;
    case 'site':
      return 'the settings of the site';
    case 'tokens':
      return 'the tokens';
    case 'tags':
      return 'the tag styles';
    case 'style':
      return `the style ${doc.name}`;
    case undefined:
      return 'a document that is gone';
  }
}
