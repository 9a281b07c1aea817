import { isMade, type DocId, type NodeId, type Source, type TypeSpec } from '../../model';
import { everywhere, type Site, type Somewhere } from '../../resolve';
import { evaluate, Later, typeOf, type Known, type Names } from '../../value';

/** How many places are looked at: more take too long to be told while somebody types. */
const MOST_PLACES = 10_000;

/** A place at which something that is bound or worked out gives nothing. */
export interface EmptyAt extends Omit<Somewhere, 'scope'> {
  /** What it reads there: `null` for what is empty. Where nothing is, what is there cannot be reckoned with. */
  readonly reads: readonly { readonly source: Source; readonly value: Known }[];
}

/** Where a source gives nothing. */
export interface WhereEmpty {
  /** How many places were looked at. */
  readonly tried: number;
  /** Whether there are more places than were looked at. */
  readonly isPart: boolean;
  readonly empty: readonly EmptyAt[];
}

/**
 * Every place at which something that is bound or worked out gives nothing, whatever stands in for it then: for each entry, each item
 * and each instance.
 * @param node where it is read; nothing for what a document says of itself
 * @param wanted the type of what it must give
 */
export function whereEmpty(
  site: Site,
  { doc, node, wanted }: { doc: DocId; node: NodeId | null; wanted: TypeSpec },
  { whenEmpty: _, ...given }: Source,
): WhereEmpty {
  const source = given as Source;
  const read = isMade(source) ? Object.values(source.names) : [source];
  const empty: EmptyAt[] = [];
  let tried = 0;
  for (const { scope, ...place } of everywhere(site, doc, node)) {
    if (tried === MOST_PLACES) return { tried, isPart: true, empty };
    tried += 1;
    if (evaluate(source, wanted, scope) === null)
      empty.push({ ...place, reads: read.flatMap(readIn(scope)) });
  }
  return { tried, isPart: false, empty };
}

function readIn(names: Names) {
  return (source: Source): EmptyAt['reads'] => {
    const type = typeOf(source, names);
    const value = type && evaluate(source, type, names);
    return value === undefined || value instanceof Later ? [] : [{ source, value }];
  };
}
