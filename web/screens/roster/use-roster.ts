import { knownTag } from '@sormet/core/locale';
import { useMemo } from 'react';
import {
  inOrder,
  own,
  treeDocOf,
  type ComponentDoc,
  type Documents,
  type Property,
  type PropertyId,
  type Typed,
  isMade,
} from '@sormet/core/model';
import { nodeName, rosterOf, type RosterRow } from '@sormet/core/edit';
import type { Reach } from '@sormet/core/reach';
import { documentWords, madeWords, valueWords } from '../../words';
import { sourceWords } from '../../values/source-words';

/** What an instance has for a property: the default, something set on it, or something it is bound to. */
export type Standing = 'default' | 'set' | 'bound';

export interface Column {
  readonly id: PropertyId;
  readonly property: Property;
}

export interface Cell {
  readonly standing: Standing;
  readonly words: string;
  /** What is set; nothing for what is bound or left at the default. */
  readonly value: Typed | undefined;
}

/** What is in a cell of the roster. */
export function cellOf(
  documents: Documents,
  { doc, instance }: RosterRow,
  { id, property }: Column,
): Cell {
  const source = own(instance.values, id);
  if (!source)
    return {
      standing: 'default',
      words: isMade(property.default)
        ? madeWords(property.default)
        : wordsOf(documents, property.default as Typed),
      value: undefined,
    };
  if (source.is === 'value') {
    const value = source as Typed;
    return { standing: 'set', words: wordsOf(documents, value), value };
  }
  const tree = treeDocOf(documents, doc);
  return {
    standing: 'bound',
    words: tree ? sourceWords(documents, tree, source) : '',
    value: undefined,
  };
}

function wordsOf(documents: Documents, value: Typed): string {
  const words = valueWords(documents, value);
  return words === 'nothing' ? '' : words;
}

export interface RosterView {
  readonly columns: readonly Column[];
  readonly rows: readonly RosterRow[];
  /** How many there are before anything is filtered. */
  readonly all: number;
}

export interface Looking {
  readonly filter: string;
  readonly standing: Standing | 'any';
  readonly sort: { readonly by: string; readonly down: boolean } | null;
}

/** The rows that are looked at, in the order that was chosen. */
export function useRoster(
  documents: Documents,
  reach: Reach,
  component: ComponentDoc | undefined,
  { filter, standing, sort }: Looking,
): RosterView {
  const columns = useMemo(
    () =>
      component
        ? inOrder(component.properties).map(([id, property]): Column => ({ id, property }))
        : [],
    [component],
  );
  const all = useMemo(
    () =>
      component
        ? rosterOf(
            documents,
            reach.usesOf(component.id).filter(({ kind }) => kind === 'places'),
          )
        : [],
    [documents, reach, component],
  );
  const rows = useMemo(() => {
    const wanted = filter.trim().toLowerCase();
    const words = (row: RosterRow, by: string): string => {
      if (by === 'page') return documentWords(documents, row.doc);
      if (by === 'name') return nameOf(documents, row);
      const column = columns.find(({ id }) => id === by);
      return column ? cellOf(documents, row, column).words : '';
    };
    const shown = all.filter(
      (row) =>
        (standing === 'any' ||
          columns.some((column) => cellOf(documents, row, column).standing === standing)) &&
        (wanted === '' ||
          ['page', 'name', ...columns.map(({ id }) => id)].some((by) =>
            words(row, by).toLowerCase().includes(wanted),
          )),
    );
    if (!sort) return shown;
    const keyed = shown.map((row) => ({ row, key: words(row, sort.by) }));
    const compare = new Intl.Collator(knownTag(documents.site.language) ?? 'en', { numeric: true })
      .compare;
    keyed.sort((a, b) => (sort.down ? compare(b.key, a.key) : compare(a.key, b.key)));
    return keyed.map(({ row }) => row);
  }, [all, columns, documents, filter, standing, sort]);
  return { columns, rows, all: all.length };
}

/** What an instance is called where it stands. */
export function nameOf(documents: Documents, { doc, instance }: RosterRow): string {
  const tree = documents.get(doc);
  return nodeName(
    documents,
    instance,
    tree?.kind === 'page' || tree?.kind === 'component' ? tree : undefined,
  );
}
