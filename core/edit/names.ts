import {
  type Doc,
  docOf,
  type Documents,
  entryTitle,
  own,
  queriedType,
  type TreeDoc,
  treeDocOf,
  type TreeNode,
} from '../model';
import { say, type Told } from '../said';

/** A component's name without its folder. */
export function shortName(name: string): string {
  return name.slice(name.lastIndexOf('/') + 1);
}

/** How people see a document where something is said of it. */
export function documentWord(doc: Doc | undefined): Told {
  switch (doc?.kind) {
    case 'page':
      return doc.path;
    case 'component':
      return shortName(doc.name);
    case 'entry':
      return say('entry-of-slug', { slug: doc.slug });
    case 'type':
    case 'asset':
      return doc.name;
    case 'site':
      return say('site-settings');
    case 'tokens':
      return say('the-tokens');
    case 'tags':
      return say('the-tag-styles');
    case 'style':
      return say('style-of-name', { name: doc.name });
    case undefined:
      return say('gone-document');
  }
}

/** How people see a page or component: its name. */
export function documentName(doc: TreeDoc | undefined): Told {
  if (!doc) return say('gone-document');
  return doc.kind === 'page' ? doc.path : shortName(doc.name);
}

/** The path of a page, where something is said of it. */
export function pagePath(documents: Documents, page: string): Told {
  return docOf(documents, 'page', page)?.path ?? say('gone-page');
}

/** The name of a component without its folder, where something is said of it. */
export function componentName(documents: Documents, component: string): Told {
  const doc = docOf(documents, 'component', component);
  return doc ? shortName(doc.name) : say('gone-component');
}

/** The title of an entry, where something is said of it. */
export function entryName(documents: Documents, id: string): Told {
  const entry = docOf(documents, 'entry', id);
  return entry ? entryTitle(documents, entry) : say('gone-entry');
}

const TAG_WORDS: Record<string, string> = {
  h1: 'Heading',
  h2: 'Heading',
  h3: 'Heading',
  h4: 'Heading',
  h5: 'Heading',
  h6: 'Heading',
  p: 'Text',
  a: 'Link',
  img: 'Picture',
  video: 'Film',
  ul: 'List',
  ol: 'List',
  li: 'Item',
  section: 'Section',
  div: 'Box',
  header: 'Header',
  footer: 'Footer',
  nav: 'Navigation',
  main: 'Main',
  article: 'Article',
  span: 'Words',
  figure: 'Figure',
  figcaption: 'Caption',
  blockquote: 'Quotation',
  aside: 'Aside',
  time: 'Time',
  address: 'Address',
  small: 'Small print',
  strong: 'Strong',
  em: 'Emphasis',
  hr: 'Rule',
  table: 'Table',
  caption: 'Caption',
  thead: 'Head rows',
  tbody: 'Rows',
  tfoot: 'Foot rows',
  tr: 'Row',
  th: 'Head cell',
  td: 'Cell',
  select: 'Choice',
  option: 'Option',
};

/** The name by which people see a node: its own, else what it is. */
export function nodeName(documents: Documents, node: TreeNode, doc?: TreeDoc): string {
  if (node.name) return node.name;
  switch (node.kind) {
    case 'element':
      return own(TAG_WORDS, node.tag) ?? node.tag;
    case 'text':
      return 'Text';
    case 'instance': {
      const component = docOf(documents, 'component', node.component);
      return component ? shortName(component.name) : 'gone';
    }
    case 'slot':
      return doc?.kind === 'component' ? `slot: ${own(doc.slots, node.slot)?.label ?? ''}` : 'slot';
    case 'repeat': {
      const queried = queriedType(node.query);
      if (queried === undefined) return 'repeat: list';
      const type = docOf(documents, 'type', queried);
      return `repeat: ${type?.plural.toLowerCase() ?? 'entries'}`;
    }
  }
}

/** The same of a node by its id, where something is said of it. */
export function named(documents: Documents, doc: string, node: string): Told {
  const tree = treeDocOf(documents, doc);
  const stored = tree && own(tree.nodes, node);
  return stored ? nodeName(documents, stored, tree) : say('gone-thing');
}

/** The folder in a name, of a component or of a file; `''` for none. */
export function folderOf(name: string): string {
  return name.slice(0, Math.max(0, name.lastIndexOf('/')));
}

/** A name that none of those taken is, however they are written: with a number behind it where it is taken. */
export function freeName(wanted: string, taken: Iterable<string>): string {
  const names = new Set([...taken].map((name) => name.toLowerCase()));
  let free = wanted;
  for (let n = 2; names.has(free.toLowerCase()); n += 1) free = `${wanted} ${n}`;
  return free;
}
