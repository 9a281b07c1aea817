import {
  allOf,
  docOf,
  inOrder,
  kindOf,
  literal,
  PLAIN_THEME,
  own,
  repeatsAround,
  type Documents,
  type FieldId,
  type NodeId,
  type Source,
  type TreeDoc,
  type Typed,
  type TypeSpec,
  BOOLEAN,
  DATE,
  DATE_FIELDS,
  ENTRY_DATES,
  type EntryDate,
  LEAF_PARTS,
  LINK,
  NUMBER,
  POSITIONS,
} from '../../model';
import { say } from '../../said';
import { canStandFor, typedWith, type ExpressionName, type Typing } from '../../expression';
import { feeds, givesOf } from '../../value';
import { dividedLists } from '../../resolve';
import { keyFor } from '../control';
import { nodeName } from '../names';
import { repeatedType } from '../repeats/over';

/** How the days that every entry has are called; where a field is called the same, that one is meant. */
const DAY_NAMES: Readonly<Record<EntryDate, { readonly key: string; readonly label: string }>> = {
  made: { key: 'made', label: 'made' },
  changed: { key: 'changed', label: 'changed' },
  first: { key: 'firstPublished', label: 'first published' },
  last: { key: 'lastPublished', label: 'last published' },
};

/** How many references are followed. */
const FARTHEST = 2;

/**
 * All that an expression can name at a node: properties of the definition, the page's entry, the items of repeats around,
 * with their options; and the options of what is wanted.
 * @param node where it is read; nothing for what a document says of itself
 * @param wanted the type of what it must give
 */
export function namesAt(
  documents: Documents,
  doc: TreeDoc,
  node: NodeId | null,
  wanted: TypeSpec,
): ExpressionName[] {
  const found = new Map<string, ExpressionName>();
  const add = (path: string, label: string, type: TypeSpec, source: Source): boolean => {
    if (found.has(path)) return false;
    found.set(path, { path, label, gives: givesOf(type), source });
    addOptions(path, label, type);
    return true;
  };
  const addOptions = (path: string, label: string, type: TypeSpec): void => {
    if (type.kind !== 'choice') return;
    for (const [option, { label: word, gone }] of inOrder(type.options))
      if (gone === undefined) {
        const at = `${path}.${keyFor(word, new Set())}`;
        const source = literal({ type: 'choice', value: option });
        if (!found.has(at))
          found.set(at, {
            path: at,
            label: label === '' ? word : `${label}: ${word}`,
            gives: { of: 'choice', options: [option] },
            source,
          });
      }
  };
  const addFields = (
    path: string,
    label: string,
    typeId: string,
    of: (way: FieldId[]) => Source,
    way: FieldId[],
  ): void => {
    const type = docOf(documents, 'type', typeId);
    for (const [field, { key, label: word, type: spec }] of inOrder(type?.fields ?? {})) {
      const here = `${path}.${key}`;
      const named = `${label} · ${word.toLowerCase()}`;
      const added = add(here, named, spec, of([...way, field]));
      if (added && spec.kind === 'entry' && spec.of !== undefined && way.length + 1 < FARTHEST)
        addFields(here, named, spec.of, of, [...way, field]);
    }
    if (way.length === 0)
      for (const date of ENTRY_DATES)
        add(
          `${path}.${DAY_NAMES[date].key}`,
          `${label} · ${DAY_NAMES[date].label}`,
          DATE,
          of([DATE_FIELDS[date]]),
        );
  };
  if (doc.kind === 'component')
    for (const [property, { key, label, type, state }] of inOrder(doc.properties)) {
      const isAdded = add(key, label, type, { is: 'property', property });
      if (isAdded && state && type.kind === 'text')
        found.set(key, { ...found.get(key)!, isSaid: true });
      if (type.kind === 'entry' && type.of !== undefined)
        addFields(key, label, type.of, (path) => ({ is: 'property', property, path }), []);
    }
  if (doc.kind === 'page' && doc.entries !== null) {
    const name = docOf(documents, 'type', doc.entries)?.name.toLowerCase() ?? '';
    addFields('page', name, doc.entries, (path) => ({ is: 'field', from: 'page', path }), []);
  }
  (node === null ? [] : repeatsAround(doc, node)).forEach((repeat, i) => {
    const type = repeatedType(documents, doc, repeat);
    if (type === undefined) return;
    const name = docOf(documents, 'type', type)?.name.toLowerCase() ?? '';
    const of = (path: FieldId[]): Source => ({ is: 'field', from: { repeat }, path });
    addFields(i === 0 ? 'item' : `item${i + 1}`, `each ${name}`, type, of, []);
    for (const as of POSITIONS)
      add(
        `${i === 0 ? 'place' : `place${i + 1}`}.${as}`,
        as === 'number' ? `number of each ${name}` : `${as} ${name}`,
        as === 'number' ? NUMBER : BOOLEAN,
        { is: 'position', repeat, as },
      );
  });
  add('today', 'today', DATE, { is: 'today' });
  dividedLists(doc).forEach((repeat, i) => {
    const name = nodeName(documents, doc.nodes[repeat]!, doc).toLowerCase();
    for (const as of LEAF_PARTS)
      add(
        `${i === 0 ? 'pages' : `pages${i + 1}`}.${as}`,
        `${as === 'number' || as === 'count' ? `${as} of pages` : `${as} page`} · ${name}`,
        as === 'number' || as === 'count' ? NUMBER : LINK,
        { is: 'leaf', repeat, as },
      );
  });
  // What is wanted is what the whole is about: its options need no other name.
  addOptions('option', '', wanted);
  const taken = new Set<string>();
  for (const { of, word, value } of chosenFrom(documents, wanted)) {
    const key = keyFor(word, taken);
    taken.add(key);
    const path = `${of}.${key}`;
    if (!found.has(path))
      found.set(path, { path, label: word, gives: givesOf(wanted), source: literal(value) });
  }
  return [...found.values()];
}

/** How many of what a site has are named: who has more finds them by a property of the kind. */
const MOST_CHOSEN = 300;

/**
 * What of a site may be wanted that nobody can write out: its colours, pictures, pages, themes and shared styles, under the
 * word before the dot.
 */
function chosenFrom(
  documents: Documents,
  wanted: TypeSpec,
): { of: string; word: string; value: Typed }[] {
  const { tokens, themes } = documents.tokens;
  switch (wanted.kind) {
    case 'colour':
      return inOrder(tokens).flatMap(([token, { type, name }]) =>
        type === 'colour' ? { of: 'token', word: name, value: { type, value: { token } } } : [],
      );
    case 'image':
      return allOf(documents, 'asset')
        .filter(({ mediaType }) => mediaType.startsWith('image/'))
        .slice(0, MOST_CHOSEN)
        .map(({ id, name }) => ({
          of: 'picture',
          word: name.replace(/\.[a-z0-9]+$/i, ''),
          value: { type: 'image', value: { asset: id } },
        }));
    case 'link':
      return allOf(documents, 'page')
        .filter(({ entries }) => entries === null)
        .slice(0, MOST_CHOSEN)
        .map(({ id, name }) => ({
          of: 'to',
          word: name,
          value: { type: 'link', value: { to: 'page', page: id } },
        }));
    case 'theme':
      return [PLAIN_THEME, ...inOrder(themes ?? {}).map(([id]) => id)]
        .filter((id) => own(wanted.of, id))
        .map((value) => ({
          of: 'theme',
          word: own(themes ?? {}, value)?.name ?? 'plain',
          value: { type: 'theme', value },
        }));
    case 'style':
      return allOf(documents, 'style')
        .filter(({ id }) => own(wanted.of, id))
        .map(({ id, name }) => ({ of: 'style', word: name, value: { type: 'style', value: id } }));
    default:
      return [];
  }
}

/** An expression as it was typed for a place that wants something of a type: also when it gives what cannot become that, it is told. */
export function typedFor(
  typed: string,
  names: readonly ExpressionName[],
  wanted: TypeSpec,
): Typing {
  const typing = typedWith(typed, names);
  if (!typing.ok || typing.gives.of === 'nothing') return typing;
  const { of, isList } = typing.gives;
  if (
    !isList &&
    of === 'choice' &&
    wanted.kind === 'choice' &&
    !canStandFor(typing.gives, givesOf(wanted))
  )
    return { ok: false, faults: [{ start: 0, end: typed.length, said: say('of-another-choice') }] };
  if (!isList && feeds(of, wanted.kind)) return typing;
  const gives = say('gives-kind', { kind: of });
  const said = say('does-not-feed', {
    gives: isList ? say('gives-list', { of: gives }) : gives,
    wanted: say('gives-kind', { kind: wanted.kind }),
  });
  return { ok: false, faults: [{ start: 0, end: typed.length, said }] };
}

/** What something is that an expression holds and nothing here names: a value that was chosen for it, or what is gone. */
export function furtherName(source: Source): Pick<ExpressionName, 'label' | 'gives'> | undefined {
  if (source.is !== 'value') return undefined;
  const spelt = source.value === null ? '' : (kindOf(source.type).spell?.(source.value) ?? '');
  return {
    label: spelt === '' ? 'a value' : spelt,
    gives: source.value === null ? { of: 'nothing' } : { of: source.type },
  };
}
