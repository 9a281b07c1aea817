import {
  chainOf,
  definitionSources,
  inOrder,
  own,
  type ComponentDoc,
  type Expression,
  type NodeId,
  type Source,
  type TypeSpec,
} from '../../model';
import { workedOut } from '../../value';

/** A value that is worked out from a property, and where: a property that begins with it, or a node that holds it. */
export interface ReckonedFrom {
  readonly property: string | null;
  readonly node: NodeId | null;
}

/** What of a definition is worked out from a property today, and could not be any more if that held another type. */
export function failsWithout(
  component: ComponentDoc,
  property: string,
  type: TypeSpec,
): ReckonedFrom[] {
  const { properties } = component;
  const kindOf = (source: Source, now: boolean) => {
    if (source.is === 'value') return source.value === null ? 'nothing' : source.type;
    if (source.is !== 'property' || source.path?.length) return undefined;
    if (source.property === property && now) return type.kind;
    return own(properties, source.property)?.type.kind;
  };
  const fails = (source: Source): boolean =>
    chainOf(source).some((each) => {
      if (each.is !== 'expression' || !readsIt(each, property)) return false;
      const of = (now: boolean) => workedOut(each, (name) => kindOf(each.names[name]!, now)).ok;
      return of(false) && !of(true);
    });
  return [
    ...inOrder(properties)
      .filter(([, made]) => fails(made.default))
      .map(([id]): ReckonedFrom => ({ property: id, node: null })),
    ...definitionSources(component)
      .filter(([, source]) => fails(source))
      .map(([, , node]): ReckonedFrom => ({ property: null, node })),
  ];
}

function readsIt({ names }: Expression, property: string): boolean {
  return Object.values(names).some((each) => each.is === 'property' && each.property === property);
}
