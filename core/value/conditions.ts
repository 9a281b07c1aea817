import {
  canonicalJson,
  own,
  TEXT,
  type Condition,
  type Query,
  type Source,
  type TypeSpec,
} from '../model';
import { convert } from './convert';
import type { Data } from './data';
import { evaluate, fieldOf, typeAlong, type Known, type Names, type Result } from './evaluate';
import type { Item } from './items';
import { orderKey } from './order-key';

/** What of a query says which items are wanted. */
type Wanting = Pick<Query, 'where' | 'groups' | 'any'>;

/** A condition made ready for one list of items. */
export interface ReadyCondition {
  readonly id: string;
  /** The declared type at the end of the path: both sides are compared as it. */
  readonly type: TypeSpec;
  readonly is: Condition['is'];
  /** What is compared with: any of these will do. */
  readonly sources: readonly Source[];
  readonly group: string | undefined;
  /** What each item holds, those that hold nothing left out. */
  readonly held: ReadonlyMap<Item, NonNullable<Known>>;
  /** The items in order, by what they hold: answers `equals` without looking at all. */
  readonly byValue: ReadonlyMap<unknown, readonly Item[]>;
}

/** Whether a condition compares with nothing yet: one that was just added must not empty the list. */
export function asksNothing({ is, source, or }: Condition): boolean {
  if (is === 'empty' || is === 'filled') return false;
  return [source, ...Object.values(or ?? {})].every(isNothing);
}

function isNothing(source: Source): boolean {
  if (source.is !== 'value') return false;
  const { value } = source;
  return value === null || value === '' || (Array.isArray(value) && value.length === 0);
}

/** A condition made ready for items in their order. */
export function readyCondition(
  id: string,
  { path, is, source, or = {}, group }: Condition,
  items: readonly Item[],
  type: Item['type'],
  data: Data,
): ReadyCondition {
  const held = new Map<Item, NonNullable<Known>>();
  const byValue = new Map<unknown, Item[]>();
  for (const item of items) {
    const value = fieldOf(item, path, data);
    if (value === null) continue;
    held.set(item, value);
    const key = valueKey(value);
    const list = byValue.get(key);
    if (list) list.push(item);
    else byValue.set(key, [item]);
  }
  // An order that storing does not change; those that compare with nothing yet are not asked.
  const further = Object.keys(or)
    .sort()
    .map((each) => or[each]!);
  const sources =
    is === 'empty' || is === 'filled'
      ? []
      : [source, ...further].filter((each) => !isNothing(each));
  return { id, type: typeAlong(type, path, data) ?? TEXT, is, sources, group, held, byValue };
}

/** What two values of one type have in common exactly when they are equal. */
export function valueKey(value: NonNullable<Known>): unknown {
  return typeof value.value === 'object' ? canonicalJson(value.value) : value.value;
}

/** What the conditions compare with at a place, in their order. */
export function wantedBy(
  conditions: readonly ReadyCondition[],
  names: Names,
): readonly (readonly Result[])[] {
  return conditions.map(({ sources, type }) =>
    sources.map((source) => evaluate(source, type, names)),
  );
}

/**
 * The items that are wanted.
 * @param conditions those that ask anything
 * @param wanted what each compares with; one whose value is empty lets nothing through
 */
export function itemsWanted(
  items: readonly Item[],
  query: Wanting,
  conditions: readonly ReadyCondition[],
  wanted: readonly (readonly Known[])[],
  data: Data,
): readonly Item[] {
  if (conditions.length === 0) return items;
  const values = new Map(conditions.map((each, i) => [each, wanted[i]!]));
  const [only] = conditions;
  // One condition alone that asks for the same is answered without looking at all items.
  if (conditions.length === 1 && only!.is === 'equals' && values.get(only!)!.length === 1) {
    const [value] = values.get(only!)!;
    return value && value.value !== null ? (only!.byValue.get(valueKey(value)) ?? NONE) : NONE;
  }
  const meets = joined(undefined, query, conditions, values, data, new Set());
  return meets ? items.filter(meets) : items;
}

const NONE: readonly Item[] = Object.freeze([]);

type Meets = (item: Item) => boolean;

/** What an item must meet of a group (of the top, for none); nothing for one that asks nothing. */
function joined(
  group: string | undefined,
  query: Wanting,
  conditions: readonly ReadyCondition[],
  values: ReadonlyMap<ReadyCondition, readonly Known[]>,
  data: Data,
  above: ReadonlySet<string>,
): Meets | undefined {
  const groups = query.groups ?? {};
  // What stands in a group that is gone stands at the top.
  const standsIn = (id: string | undefined) =>
    id !== undefined && Object.hasOwn(groups, id) ? id : undefined;
  const parts: Meets[] = [];
  for (const condition of conditions)
    if (standsIn(condition.group) === group)
      parts.push(meeting(condition, values.get(condition)!, data));
  for (const id of Object.keys(groups).sort()) {
    if (standsIn(groups[id]!.group) !== group || above.has(id)) continue;
    const inner = joined(id, query, conditions, values, data, new Set([...above, id]));
    if (inner) parts.push(inner);
  }
  if (parts.length === 0) return undefined;
  const any = group === undefined ? query.any === true : groups[group]!.of === 'any';
  return any
    ? (item) => parts.some((part) => part(item))
    : (item) => parts.every((part) => part(item));
}

/** Whether an item meets one condition. */
function meeting({ is, held, type }: ReadyCondition, wanted: readonly Known[], data: Data): Meets {
  if (is === 'empty') return (item) => !held.has(item);
  if (is === 'filled') return (item) => held.has(item);
  const values = wanted.filter(
    (each): each is NonNullable<Known> => (each?.value ?? null) !== null,
  );
  if (values.length === 0) return () => false;
  switch (is) {
    case 'equals':
    case 'differs': {
      const keys = new Set(values.map(valueKey));
      const isSame: Meets = (item) => {
        const value = held.get(item);
        return value !== undefined && keys.has(valueKey(value));
      };
      return is === 'equals' ? isSame : (item) => !isSame(item);
    }
    case 'contains': {
      if (type.kind === 'entries') {
        const ids = new Set(values.flatMap((each) => each.value as readonly string[]));
        return (item) => {
          const value = held.get(item);
          return value?.type === 'entries' && (value.value ?? []).some((id) => ids.has(id));
        };
      }
      const words = values.map((each) => searched(each, type, data));
      return (item) => {
        const value = held.get(item);
        const own = value && searched(value, type, data);
        return own !== undefined && words.some((each) => own.includes(each));
      };
    }
    default: {
      const keys = values.map((each) => orderKey(each, type, data));
      return (item) => {
        const value = held.get(item);
        const own = value ? orderKey(value, type, data) : null;
        return own !== null && keys.some((key) => key !== null && stands(own, is, key));
      };
    }
  }
}

function stands(
  own: string | number,
  is: 'atLeast' | 'atMost' | 'above' | 'below',
  key: string | number,
): boolean {
  switch (is) {
    case 'atLeast':
      return own >= key;
    case 'atMost':
      return own <= key;
    case 'above':
      return own > key;
    case 'below':
      return own < key;
  }
}

/** A value as words are looked for in it: whatever the size of its letters. */
function searched(value: NonNullable<Known>, type: TypeSpec, data: Data): string {
  if (value.type === 'hide' || value.type === 'waiting' || value.value === null) return '';
  if (value.type === 'choice')
    return type.kind === 'choice'
      ? (own(type.options, value.value)?.label.toLowerCase() ?? '')
      : '';
  const text = convert(value, TEXT, data);
  const words = text?.value ?? value.value;
  return typeof words === 'string' || typeof words === 'number' ? String(words).toLowerCase() : '';
}

/** The conditions of a query that ask anything, in an order that storing does not change. */
export function conditionsAsked({ where }: Wanting): [string, Condition][] {
  return Object.keys(where)
    .sort()
    .filter((id) => !asksNothing(where[id]!))
    .map((id) => [id, where[id]!]);
}
