import { chainOf, own, querySources, type Query, type Source, type TypeSpec } from '../../../model';
import { say } from '../../../said';
import {
  bareNames,
  dataOf,
  evaluate,
  runQuery,
  type Item,
  type Names,
  type Result,
} from '../../../value';
import { CannotBePlain } from './cannot-be-plain';
import type { GivenValues } from './given-values';
import type { InstanceHere, Round } from './instance-here';

/** The records of a list that an instance shows. @throws CannotBePlain where that depends on content */
export function recordsShown(
  query: Query,
  { documents, component }: InstanceHere,
  given: GivenValues,
  round: Round,
): readonly Item[] {
  const names: Names = {
    ...bareNames(dataOf(documents)),
    repeats: round.items,
    positions: round.positions,
  };
  const properties: Record<string, Result> = {};
  const types: Record<string, TypeSpec> = {};
  for (const [id, { type }] of Object.entries(component.properties)) {
    types[id] = type;
    const value = given.valueOf(id);
    if (chainOf(value).every(({ is }) => is === 'value'))
      properties[id] = evaluate(value, type, names);
  }
  const isKnown = (each: Source) =>
    each.is === 'value' ||
    (each.is === 'property' && own(properties, each.property) !== undefined) ||
    (each.is === 'field' &&
      each.from !== 'page' &&
      own(round.items, each.from.repeat) !== undefined) ||
    (each.is === 'position' && own(round.positions, each.repeat) !== undefined);
  const known = querySources(query).every(([, source]) => chainOf(source).every(isKnown));
  const items = known ? runQuery(query, { ...names, properties, types }) : undefined;
  if (items && typeof items !== 'function') return items;
  throw new CannotBePlain(say('plain-records-unknown'));
}
