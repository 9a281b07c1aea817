import {
  docOf,
  nodeIn,
  own,
  type ComponentDoc,
  type DocId,
  type Documents,
  type NodeId,
  type Source,
  type Typed,
  type TypeSpec,
} from '../../model';
import { feeds, type Data } from '../../value';
import { becomingOf, type Becomes } from '../becoming';

/** A stored value of a property, where it stands, and what becomes of it. */
export interface Becoming {
  readonly doc: DocId;
  /** The instance that sets it; nothing for the default. */
  readonly node: NodeId | null;
  readonly source: Source;
  readonly becomes: Becomes;
  /** What it will show then; nothing for what is bound. */
  readonly then: Typed | null;
}

/**
 * What becomes of every stored value of a property when its type is another (or it goes, for `null`). Nothing of it is
 * changed by that: values are converted when they are read, so all of it comes back with the type.
 * @param instances the nodes that set the property, as reach knows them
 */
export function whatBecomes(
  documents: Documents,
  component: ComponentDoc,
  property: string,
  type: TypeSpec | null,
  instances: readonly { readonly from: DocId; readonly node: NodeId }[],
  data: Data,
): Becoming[] {
  const made = own(component.properties, property);
  if (!made) return [];
  const one = (doc: DocId, node: NodeId | null, source: Source): Becoming => {
    if (source.is !== 'value') {
      const from = typeOfSource(documents, doc, source);
      const stays = type !== null && (from === undefined || feeds(from.kind, type.kind));
      return { doc, node, source, becomes: stays ? 'kept' : 'empty', then: null };
    }
    return { doc, node, source, ...becomingOf(source, made.type, type, data) };
  };
  const set = instances.flatMap(({ from, node }) => {
    const stored = nodeIn(documents, from, node);
    const source = stored?.kind === 'instance' ? own(stored.values, property) : undefined;
    return source ? [one(from, node, source)] : [];
  });
  return [one(component.id, null, made.default), ...set];
}

/** The declared type of what a bound value is handed: a property of the definition it stands in. */
function typeOfSource(documents: Documents, doc: DocId, source: Source): TypeSpec | undefined {
  if (source.is !== 'property' || source.path?.length) return undefined;
  return own(docOf(documents, 'component', doc)?.properties ?? {}, source.property)?.type;
}
