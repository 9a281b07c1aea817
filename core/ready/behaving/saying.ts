import {
  literal,
  ordersFor,
  yesNo,
  type Acts,
  type ActsWhen,
  type Act,
  type Block,
  type Declared,
  type Literal,
  type NodeId,
  type PropertyId,
  type SetAct,
  type Source,
  type SpecOf,
  type Whens,
} from '../../model';
import { readBlock } from '../../style';

/** What ready ones that do something say again and again, in few words. */

/** What a property of the definition holds. */
export function held(property: PropertyId): Source {
  return { is: 'property', property };
}

/** A field of the item of a repeat. */
export function ofItem(repeat: NodeId, field: string): Source {
  return { is: 'field', from: { repeat }, path: [field] };
}

/** The number of the item of a repeat, from 1. */
export function numberIn(repeat: NodeId): Source {
  return { is: 'position', repeat, as: 'number' };
}

/** What is worked out from others: `n0`, `n1` and so on are their names. */
export function workedOut(cel: string, ...from: readonly Source[]): Source {
  const names = Object.fromEntries(from.map((source, i) => [`n${i}`, source]));
  return { is: 'expression', cel, names };
}

/** A number as it stands. */
export function number(value: number): Literal {
  return literal({ type: 'number', value });
}

type WithoutOrder<T> = T extends unknown ? Omit<T, 'order'> : never;

/** Acts in the order in which they are written. */
export function inTurn(...acts: readonly WithoutOrder<Act>[]): Acts {
  const orders = ordersFor(acts.length);
  return Object.fromEntries(
    acts.map((act, i) => [`act-${i + 1}`, { ...act, order: orders[i]! } as Act]),
  );
}

/** That a state of the definition is set. */
export function set(property: PropertyId, to: SetAct['to'] | boolean): WithoutOrder<SetAct> {
  const value = typeof to === 'boolean' ? { value: yesNo(to) } : to;
  return { do: 'set', state: held(property), to: value };
}

/** What is done when something happens: of keys, which. */
export function when(
  ...all: readonly (readonly [on: ActsWhen['on'] | { key: string } | { way: string }, acts: Acts])[]
): Whens {
  const orders = ordersFor(all.length);
  return Object.fromEntries(
    all.map(([on, acts], i): [string, ActsWhen] => {
      const order = orders[i]!;
      if (typeof on === 'string') return [`when-${i + 1}`, { order, on, acts }];
      if ('key' in on) return [`when-${i + 1}`, { order, on: 'key', key: on.key, acts }];
      return [
        `when-${i + 1}`,
        { order, on: 'swipe', way: on.way as NonNullable<ActsWhen['way']>, acts },
      ];
    }),
  );
}

/** Declarations of the base, as people write them. */
export function styled(declarations: Readonly<Record<string, string>>): Block {
  return readBlock({}, declarations, {});
}

/** A declaration that goes by something: `var(--it)` is 1 where that is yes, else 0. */
export function declaredBy(css: string, isSo: Source): Declared {
  const source = workedOut('n0 ? 1 : 0', isSo);
  return { css, refs: { it: { source, type: 'number' } } };
}

/** A list of records whose fields are of some kinds. */
export function listOf(
  fields: Readonly<Record<string, readonly [label: string, kind: 'text' | 'rich' | 'link']>>,
): SpecOf<'list'> {
  const orders = ordersFor(Object.keys(fields).length);
  return {
    kind: 'list',
    fields: Object.fromEntries(
      Object.entries(fields).map(([id, [label, kind]], i) => [
        id,
        { label, key: id, order: orders[i]!, type: { kind } },
      ]),
    ),
  };
}

/** Records as such a list begins with: a rich text is one paragraph, a link leads home. */
export function records(
  { fields }: SpecOf<'list'>,
  ...rows: readonly (readonly string[])[]
): Literal {
  const ids = Object.keys(fields);
  return {
    is: 'value',
    type: 'list',
    value: rows.map((row, i) => ({
      id: `record-${i + 1}`,
      values: Object.fromEntries(
        ids.map((id, at) => {
          const words = row[at] ?? '';
          switch (fields[id]!.type.kind) {
            case 'rich':
              return [id, { type: 'rich', value: [{ tag: 'p', children: [words] }] }];
            case 'link':
              return [id, { type: 'link', value: { to: 'address', href: words } }];
            default:
              return [id, { type: 'text', value: words }];
          }
        }),
      ),
    })) as never,
  };
}
