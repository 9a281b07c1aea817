import {
  docOf,
  type Bound,
  type Documents,
  inOrder,
  type NodeId,
  own,
  repeatsAround,
  type Source,
  type TreeDoc,
  type TreeNode,
} from '../../model';
import { feeds } from '../../value';
import { unconnected } from '../components/unconnected';
import { controlsOf, propertyOf, type ControlRow } from '../control';
import type { Records } from './over';

/** A control and the field that fits it. */
export interface Fit {
  readonly row: ControlRow;
  readonly label: string;
  readonly source: Bound;
}

/** Whether a control is a property of a component that content would do nothing for: it takes typed values only, or nothing reads it. */
function takesNoContent(
  documents: Documents,
  node: TreeNode | undefined,
  control: ControlRow['control'],
): boolean {
  if (node?.kind !== 'instance' || control.of !== 'value') return false;
  const component = docOf(documents, 'component', node.component);
  return (
    propertyOf(documents, node.component, control.property)?.typedOnly === true ||
    (component !== undefined && unconnected(component).has(control.property))
  );
}

/**
 * Which fields of a content type fit which controls of a branch: a field of the same name first; else the title for the
 * first words, pictures for pictures, the entry's page for links. Only controls that hold a value of their own; each
 * field once, but the page.
 * @param from what gives the entry: the page, or a repeat
 */
export function whatFits(
  documents: Documents,
  doc: TreeDoc,
  node: NodeId,
  type: Records,
  from: Extract<Source, { is: 'field' }>['from'],
): Fit[] {
  const isInstance = own(doc.nodes, node)?.kind === 'instance';
  const around = repeatsAround(doc, node);
  const rows = controlsOf(documents, doc, node).filter(
    (row) =>
      // Of an instance its own values; of anything else what stands in it, but for what repeats something else.
      (isInstance ? row.node === node : repeatsAround(doc, row.node).length === around.length) &&
      (row.source === undefined || row.source.is === 'value') &&
      isOfContent(documents, doc, row),
  );
  const fields = inOrder(type.fields);
  const taken = new Set<string>();
  const fits = new Map<ControlRow, string[]>();
  const take = (row: ControlRow, path: string[]) => {
    fits.set(row, path);
    if (path.length > 0) taken.add(path[0]!);
  };
  for (const row of rows) {
    const same = fields.find(
      ([id, field]) =>
        !taken.has(id) && feeds(field.type.kind, row.type.kind) && sameName(row, field),
    );
    if (same) take(row, [same[0]]);
  }
  const free = (fitsKind: (kind: string) => boolean) =>
    fields.find(([id, field]) => !taken.has(id) && fitsKind(field.type.kind))?.[0];
  let hasWords = false;
  for (const row of rows) {
    if (fits.has(row)) continue;
    const { kind } = row.type;
    if (kind === 'link') {
      // On its own page an entry does not lead to itself.
      const link = from === 'page' ? free((each) => each === 'link') : undefined;
      if (from !== 'page') take(row, []);
      else if (link !== undefined) take(row, [link]);
    } else if (isWords(kind)) {
      const isTitle = isHeading(row) && !taken.has(type.title);
      const words = isTitle ? type.title : isBody(row) && !hasWords ? free(isWords) : undefined;
      if (!isTitle && words !== undefined) hasWords = true;
      if (words !== undefined) take(row, [words]);
    } else if (row.control.of !== 'declaration') {
      // What something looks like is bound to content when somebody says so, or calls it the same.
      const same = free((each) => each === kind);
      if (same !== undefined) take(row, [same]);
    }
  }
  return rows.flatMap((row) => {
    const path = fits.get(row);
    if (!path) return [];
    const field = path[0] === undefined ? undefined : own(type.fields, path[0]);
    const label = `${type.name.toLowerCase()} · ${field?.label.toLowerCase() ?? 'its page'}`;
    return [{ row, label, source: { is: 'field', from, path, whenEmpty: 'default' } }];
  });
}

/** Whether a control says what something is about: not whether it is there, how it behaves, or which of some it is. */
export function isOfContent(
  documents: Documents,
  doc: TreeDoc,
  { control, type, node }: ControlRow,
): boolean {
  return (
    control.of !== 'shown' &&
    !(control.of === 'attribute' && !MADE_OF_CONTENT.has(control.name)) &&
    type.kind !== 'choice' &&
    !takesNoContent(documents, own(doc.nodes, node), control)
  );
}

/** Attributes that say what something is about, not how it behaves. */
const MADE_OF_CONTENT = new Set(['href', 'src', 'alt', 'datetime', 'title']);

function isWords(kind: string): boolean {
  return kind === 'text' || kind === 'rich';
}

function isHeading({ elementName, what }: ControlRow): boolean {
  return /heading|title|name/i.test(`${elementName} ${what}`);
}

/** Words that say more than a heading, a button or a caption does. */
function isBody({ elementName, what }: ControlRow): boolean {
  const said = `${elementName} ${what}`;
  return /\b(text|words|summary|description)\b/i.test(said) && !OTHER_WORDS.test(said);
}

const OTHER_WORDS = /button|link|alternative|caption|heading|title|label/i;

/** Whether people would say that a control and a field are the same thing: `Picture alternative text`, `alternative text`. */
export function sameName(row: ControlRow, { label, key }: { label: string; key: string }): boolean {
  const plain = (words: string) => words.toLowerCase().replace(/[^a-z0-9 ]/g, '');
  const names = [row.label, row.what, row.elementName].map(plain);
  return [label, key]
    .map(plain)
    .some((field) =>
      names.some((name) => name === field || (field.includes(' ') && name.endsWith(' ' + field))),
    );
}

/** The content type by its id, and what of a branch it fits; nothing when the type is gone. */
export function fitsOfType(
  documents: Documents,
  doc: TreeDoc,
  node: NodeId,
  type: string,
  from: Extract<Source, { is: 'field' }>['from'],
): Fit[] {
  const content = docOf(documents, 'type', type);
  return content ? whatFits(documents, doc, node, content, from) : [];
}
