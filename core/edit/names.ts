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

/** How people see a page or component: its name. */
export function documentName(doc: TreeDoc | undefined): string {
  if (!doc) return 'a document that is gone';
  return doc.kind === 'page' ? doc.path : shortName(doc.name);
}

/** The path of a page, where something is said of it. */
export function pagePath(documents: Documents, page: string): string {
  return docOf(documents, 'page', page)?.path ?? 'a page that is gone';
}

/** The name of a component without its folder, where something is said of it. */
export function componentName(documents: Documents, component: string): string {
  const doc = docOf(documents, 'component', component);
  return doc ? shortName(doc.name) : 'a component that is gone';
}

/** The title of an entry, where something is said of it. */
export function entryName(documents: Documents, id: string): string {
  const entry = docOf(documents, 'entry', id);
  return entry ? entryTitle(documents, entry) : 'an entry that is gone';
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
export function named(documents: Documents, doc: string, node: string): string {
  const tree = treeDocOf(documents, doc);
  const stored = tree && own(tree.nodes, node);
  return stored ? nodeName(documents, stored, tree) : 'something that is gone';
}

/** The folder of a component's name, `''` for none. */
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
