import {
  DATE_FIELDS,
  docOf,
  ENTRY_DATES,
  entryDateOf,
  inOrder,
  LEAF_PARTS,
  POSITIONS,
  repeatsAround,
  sameOption,
  type Bound,
  type Documents,
  type NodeId,
  type Source,
  type TreeDoc,
  type TypeSpec,
  type ValueKind,
  own,
} from '@sormet/core/model';
import { nodeName, repeatedType, type Giving } from '@sormet/core/edit';
import { feeds } from '@sormet/core/value';
import { dividedLists } from '@sormet/core/resolve';
import { ENTRY_DATE_WORDS, LEAF_WORDS, OFTEN_ASKED, POSITION_WORDS, todayWords } from '../words';

/** A field that can be bound: how people see it, and the source it makes. */
export interface FittingField {
  readonly key: string;
  readonly label: string;
  /** What gives it: the page's entry, a repeat's, something one of them refers to. */
  readonly group: string;
  readonly source: Bound;
}

/** What tells things to bind to apart. */
export function boundKey(source: Bound): string {
  switch (source.is) {
    case 'field':
      return JSON.stringify([source.from, source.path]);
    case 'today':
      return JSON.stringify([source.is, source.days ?? 0]);
    default:
      return JSON.stringify([source.is, source.repeat, source.as]);
  }
}

/** The fields that may feed a type where a node stands, of the page's entry and of the repeats around; only those that fit. */
export function fittingFields(
  documents: Documents,
  doc: TreeDoc,
  node: NodeId,
  type: TypeSpec,
): FittingField[] {
  const found: FittingField[] = [];
  // Asked for less often than anything else: they stand at the end.
  const days: (() => void)[] = [];
  const addType = (typeId: string, from: Extract<Source, { is: 'field' }>['from']) => {
    const contentType = docOf(documents, 'type', typeId);
    if (!contentType) return;
    const name = contentType.name.toLowerCase();
    const whose = from === 'page' ? `the page’s ${name}` : `each ${name} of the repeat`;
    const add = (path: string[], label: string, given: TypeSpec | ValueKind, group = whose) => {
      const of = typeof given === 'string' ? given : given.kind;
      if (!feeds(of, type.kind)) return;
      if (typeof given !== 'string' && isOfAnotherChoice(given, type)) return;
      const source: Bound = { is: 'field', from, path, whenEmpty: 'default' };
      found.push({ key: boundKey(source), label, group, source });
    };
    const across: (() => void)[] = [];
    for (const [id, field] of inOrder(contentType.fields)) {
      add([id], `${name} · ${field.label.toLowerCase()}`, field.type);
      const to = field.type.kind === 'entry' ? field.type.of : undefined;
      const other = to === undefined ? undefined : docOf(documents, 'type', to);
      if (other)
        across.push(() => {
          const refers = `${field.label.toLowerCase()}, which ${whose} refers to`;
          for (const [inner, { label, type: innerType }] of inOrder(other.fields))
            add(
              [id, inner],
              `${name} · ${field.label.toLowerCase()} · ${label.toLowerCase()}`,
              innerType,
              refers,
            );
        });
    }
    if (type.kind === 'link' || type.kind === 'entry') add([], `${name} · its page`, 'entry');
    // What is referred to stands behind what the entry has itself.
    for (const each of across) each();
    days.push(() => {
      for (const date of ENTRY_DATES)
        add(
          [DATE_FIELDS[date]],
          `${name} · ${ENTRY_DATE_WORDS[date]}`,
          'date',
          `the days of ${whose}`,
        );
    });
  };
  for (const repeat of repeatsAround(doc, node)) {
    const queried = repeatedType(documents, doc, repeat);
    if (queried !== undefined) addType(queried, { repeat });
    for (const as of POSITIONS) {
      if (!feeds(as === 'number' ? 'number' : 'boolean', type.kind)) continue;
      const source: Bound = { is: 'position', repeat, as, whenEmpty: 'default' };
      const label = POSITION_WORDS[as];
      found.push({ key: boundKey(source), label, group: 'its place in the list', source });
    }
  }
  if (doc.kind === 'page' && doc.entries !== null) addType(doc.entries, 'page');
  for (const repeat of dividedLists(doc))
    for (const as of LEAF_PARTS) {
      if (!feeds(as === 'number' || as === 'count' ? 'number' : 'link', type.kind)) continue;
      const source: Bound = { is: 'leaf', repeat, as, whenEmpty: 'default' };
      const group = `the pages of ${nodeName(documents, doc.nodes[repeat]!, doc)}`;
      found.push({ key: boundKey(source), label: LEAF_WORDS[as], group, source });
    }
  for (const each of days) each();
  // As words it is worked out: among fields it would stand everywhere.
  if (type.kind === 'date')
    for (const days of OFTEN_ASKED) {
      const source: Bound = {
        is: 'today',
        ...(days === 0 ? {} : { days }),
        whenEmpty: 'default',
      };
      const label = todayWords(source);
      found.push({ key: boundKey(source), label, group: 'the day it is', source });
    }
  return found;
}

/** A field that can be given to something by itself, whatever that takes. */
export interface FieldAround extends Giving {
  readonly id: string;
  /** What gives it. */
  readonly group: string;
  readonly source: Bound;
}

/** All fields that can be read at a node, or on a page as such: of its entry, of the repeats around. */
export function fieldsAround(
  documents: Documents,
  doc: TreeDoc,
  node: NodeId | null,
): FieldAround[] {
  const found: FieldAround[] = [];
  const add = (typeId: string, from: Extract<Source, { is: 'field' }>['from']) => {
    const type = docOf(documents, 'type', typeId);
    const name = type?.name.toLowerCase() ?? '';
    const group = from === 'page' ? `Of the page’s ${name}` : `Of each ${name} of the repeat`;
    for (const [field, { label, key, type: spec }] of inOrder(type?.fields ?? {})) {
      const source: Bound = { is: 'field', from, path: [field], whenEmpty: 'default' };
      found.push({ id: boundKey(source), label, key, kind: spec.kind, group, source });
    }
  };
  for (const repeat of node === null ? [] : repeatsAround(doc, node)) {
    const queried = repeatedType(documents, doc, repeat);
    if (queried !== undefined) add(queried, { repeat });
  }
  if (doc.kind === 'page' && doc.entries !== null) add(doc.entries, 'page');
  return found;
}

/** Whether a choice has no option of another: neither the same nor one that is called the same. */
function isOfAnotherChoice(given: TypeSpec, wanted: TypeSpec): boolean {
  if (given.kind !== 'choice' || wanted.kind !== 'choice') return false;
  const ids = Object.keys(given.options);
  return (
    ids.length > 0 &&
    ids.every((id) => !own(wanted.options, id) && sameOption(id, given, wanted) === null)
  );
}

/** How a bound field is named: `shed · name`. */
export function fieldLabel(documents: Documents, doc: TreeDoc, source: Bound): string {
  if (source.is === 'position') return POSITION_WORDS[source.as];
  if (source.is === 'today') return todayWords(source);
  if (source.is === 'leaf')
    return own(doc.nodes, source.repeat) ? LEAF_WORDS[source.as] : 'a list that is gone';
  let typeId =
    source.from === 'page'
      ? doc.kind === 'page'
        ? doc.entries
        : null
      : (repeatedType(documents, doc, source.from.repeat) ?? null);
  const words: string[] = [];
  const first = typeId && docOf(documents, 'type', typeId);
  words.push(first ? first.name.toLowerCase() : 'content that is gone');
  for (const id of source.path) {
    const type = typeId ? docOf(documents, 'type', typeId) : undefined;
    const field = type && own(type.fields, id);
    const date = field ? undefined : entryDateOf(id);
    words.push(
      field?.label.toLowerCase() ?? (date ? ENTRY_DATE_WORDS[date] : 'a field that is gone'),
    );
    typeId = (field?.type.kind === 'entry' && field.type.of) || null;
  }
  if (source.path.length === 0) words.push('its page');
  return words.join(' · ');
}
