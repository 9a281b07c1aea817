import {
  inOrder,
  own,
  treeDocOf,
  type ComponentDoc,
  type DocId,
  type Documents,
  type PropertyId,
  type Source,
  type SpecOf,
  type TreeDoc,
} from '../model';
import type { Reach } from './reach';

/** Instances of a component in a document that have the same options, as far as that can be said before a page is written. */
export interface OptionsInUse {
  /** By axis the option; `null` where something else gives it: content, or a property of the definition around. */
  readonly options: Readonly<Record<PropertyId, string | null>>;
  /** How many stored instances have them, and in which document. */
  readonly instances: number;
  readonly document: DocId;
}

/** Whom a variant reaches. */
export interface OptionReach {
  readonly instances: number;
  /** How many pages those stand on, directly or within others. */
  readonly pages: number;
  /** How many more may have it, since what they have is bound. */
  readonly perhaps: number;
}

/** What was counted in one tree, for one state of it and of the properties of a component. */
const counted = new WeakMap<TreeDoc['nodes'], WeakMap<object, readonly OptionsInUse[]>>();

/** Which options the instances of a component have, once for each combination in each document: an edit counts only its own anew. */
export function optionsInUse(
  documents: Documents,
  reach: Reach,
  component: ComponentDoc,
): readonly OptionsInUse[] {
  return reach.answer(component.id).documents.flatMap((id) => {
    const doc = treeDocOf(documents, id);
    if (!doc) return [];
    let kept = counted.get(doc.nodes);
    if (!kept) counted.set(doc.nodes, (kept = new WeakMap()));
    const before = kept.get(component.properties);
    if (before) return before;
    const made = countedIn(doc, component);
    kept.set(component.properties, made);
    return made;
  });
}

function countedIn(doc: TreeDoc, component: ComponentDoc): readonly OptionsInUse[] {
  const axes = inOrder(component.properties).flatMap(([id, { axis, type, default: byDefault }]) =>
    axis && type.kind === 'choice' ? [{ id, type, base: optionOf(byDefault, type) ?? null }] : [],
  );
  const found = new Map<
    string,
    { options: Record<PropertyId, string | null>; instances: number }
  >();
  for (const id in doc.nodes) {
    const stored = doc.nodes[id]!;
    if (stored.kind !== 'instance' || stored.component !== component.id) continue;
    const options: Record<PropertyId, string | null> = {};
    for (const { id: axis, type, base } of axes) {
      const source = own(stored.values, axis);
      options[axis] = source && source.is !== 'value' ? null : (optionOf(source, type) ?? base);
    }
    const key = JSON.stringify(options);
    const kept = found.get(key);
    if (kept) kept.instances += 1;
    else found.set(key, { options, instances: 1 });
  }
  return [...found.values()].map((each) => ({ ...each, document: doc.id }));
}

/** The option that a value stands for: what is gone may count as another. */
function optionOf(source: Source | undefined, { options }: SpecOf<'choice'>): string | undefined {
  if (source?.is !== 'value' || source.type !== 'choice' || source.value === null) return undefined;
  const { gone } = own(options, source.value) ?? { gone: true };
  const option = gone === undefined ? source.value : gone === true ? undefined : gone;
  return option !== undefined && own(options, option)?.gone === undefined ? option : undefined;
}

/** How many instances have all these options, and how many more may have them, since what they have is bound. */
export function instancesWith(
  inUse: readonly OptionsInUse[],
  picks: Readonly<Record<PropertyId, string>>,
): Pick<OptionReach, 'instances' | 'perhaps'> {
  let instances = 0;
  let perhaps = 0;
  for (const each of inUse) {
    const fit = fitOf(each, picks);
    if (fit === 'has') instances += each.instances;
    else if (fit === 'may have') perhaps += each.instances;
  }
  return { instances, perhaps };
}

/** Whom a variant reaches: the instances that have all these options. */
export function reachOfOptions(
  reach: Reach,
  inUse: readonly OptionsInUse[],
  picks: Readonly<Record<PropertyId, string>>,
): OptionReach {
  const pages = new Set<DocId>();
  for (const each of inUse)
    if (fitOf(each, picks) === 'has')
      for (const page of reach.answer(each.document).pages) pages.add(page);
  return { ...instancesWith(inUse, picks), pages: pages.size };
}

function fitOf(
  { options }: OptionsInUse,
  picks: Readonly<Record<PropertyId, string>>,
): 'has' | 'may have' | 'has not' {
  let fit: 'has' | 'may have' = 'has';
  for (const [axis, option] of Object.entries(picks)) {
    const has = own(options, axis);
    if (has === null) fit = 'may have';
    else if (has !== option) return 'has not';
  }
  return fit;
}
