import { allOf, docOf, rootOf, type ComponentDoc, type Documents } from '@sormet/core/model';
import { folderOf, shortName } from '@sormet/core/edit';
import { STARTERS, type Starter } from '@sormet/core/ready';
import type { ShelfPart } from './kept-shelf';
import type { Placeable } from '../../canvas/placing';

/** Something of the shelf, with everything it can be found by. */
export interface Item {
  readonly id: string;
  readonly label: string;
  readonly note: string;
  readonly folder: string;
  /** The part of the shelf that it stands in. */
  readonly part: Exclude<ShelfPart, 'all' | 'fields'>;
  /** Whether it takes the whole width of a page. */
  readonly isWhole: boolean;
  readonly placeable: Placeable;
  readonly words: string;
}

/** Everything there is to place: ready sections first, then components by folder, elements last. */
export function itemsOf(documents: Documents, doc: string): Item[] {
  const starters = (folder: Starter['folder']): Item[] =>
    STARTERS.filter((starter) => starter.folder === folder).map(({ key, label, also }) => ({
      id: key,
      label,
      note: '',
      folder,
      part: folder === 'Elements' ? 'elements' : 'ready',
      isWhole: folder !== 'Elements',
      placeable: { is: 'starter', key },
      words: [label, folder, ...also].join(' ').toLowerCase(),
    }));
  const components = allOf(documents, 'component')
    .toSorted((a, b) => rank(a) - rank(b) || (a.name < b.name ? -1 : 1))
    .map((component): Item => ({
      id: component.id,
      label: shortName(component.name),
      note: '',
      folder: folderOf(component.name) || 'Surrounds',
      part: 'components',
      isWhole: WHOLE.has(tagOf(component)),
      placeable: { is: 'component', id: component.id },
      words: wordsIn(component),
    }));
  const slot: Item = {
    id: 'slot',
    label: 'Slot',
    note: '',
    folder: 'Elements',
    part: 'elements',
    isWhole: false,
    placeable: { is: 'slot' },
    words: 'slot elements place',
  };
  return [
    ...starters('Ready sections'),
    ...starters('Ready that do something'),
    ...components,
    ...starters('Elements'),
    ...(docOf(documents, 'component', doc) ? [slot] : []),
  ];
}

/** Elements that take the whole width of a page. */
const WHOLE = new Set(['section', 'header', 'footer', 'main', 'body', 'nav', '']);

function tagOf({ nodes }: ComponentDoc): string {
  const root = nodes[rootOf(nodes)];
  return root?.kind === 'element' ? root.tag : '';
}

function rank({ name }: ComponentDoc): number {
  const folder = folderOf(name);
  return folder === 'Sections' ? 0 : folder === '' ? 9 : 1;
}

/** What a component is found by: its name with its folder, the words in it, its properties. */
function wordsIn({ name, properties, nodes }: ComponentDoc): string {
  const texts = Object.values(nodes).flatMap((node) =>
    node.kind === 'text' && node.text.is === 'value' && node.text.type === 'text'
      ? [node.text.value ?? '']
      : [],
  );
  const exposed = Object.values(properties).flatMap(({ label, default: held }) => [
    label,
    held.is === 'value' && held.type === 'text' ? (held.value ?? '') : '',
  ]);
  return [name, ...exposed, ...texts].join(' ').toLowerCase();
}
