import {
  inOrder,
  nodeIn,
  own,
  type ComponentDoc,
  type DocId,
  type Documents,
  type PropertyId,
  type Source,
  type SpecOf,
} from '../model';
import type { Reach } from './reach';

/** Instances of a component that have the same options, as far as that can be said before a page is written. */
export interface OptionsInUse {
  /** By axis the option; `null` where something else gives it: content, or a property of the definition around. */
  readonly options: Readonly<Record<PropertyId, string | null>>;
  /** How many stored instances have them, and in which documents. */
  readonly instances: number;
  readonly documents: ReadonlySet<DocId>;
}

/** Whom a variant reaches. */
export interface OptionReach {
  readonly instances: number;
  /** How many pages those stand on, directly or within others. */
  readonly pages: number;
  /** How many more may have it, since what they have is bound. */
  readonly perhaps: number;
}

/** Which options the instances of a component have, counted once for each combination. */
export function optionsInUse(
  documents: Documents,
  reach: Reach,
  component: ComponentDoc,
): readonly OptionsInUse[] {
  const axes = inOrder(component.properties).filter(([, { axis }]) => axis);
  const found = new Map<
    string,
    { -readonly [M in keyof OptionsInUse]: OptionsInUse[M] } & {
      documents: Set<DocId>;
    }
  >();
  for (const { from, node, kind } of reach.usesOf(component.id)) {
    const stored = kind === 'places' ? nodeIn(documents, from, node) : undefined;
    if (stored?.kind !== 'instance') continue;
    const options: Record<PropertyId, string | null> = {};
    for (const [axis, { type, default: byDefault }] of axes)
      if (type.kind === 'choice')
        options[axis] =
          optionOf(own(stored.values, axis), type) ?? optionOf(byDefault, type) ?? null;
    for (const [axis] of axes) {
      const source = own(stored.values, axis);
      if (source && source.is !== 'value') options[axis] = null;
    }
    const key = JSON.stringify(options);
    const kept = found.get(key);
    if (kept) {
      kept.instances += 1;
      kept.documents.add(from);
    } else found.set(key, { options, instances: 1, documents: new Set([from]) });
  }
  return [...found.values()];
}

/** The option that a value stands for: what is gone may count as another. */
function optionOf(source: Source | undefined, { options }: SpecOf<'choice'>): string | undefined {
  if (source?.is !== 'value' || source.type !== 'choice' || source.value === null) return undefined;
  const { gone } = own(options, source.value) ?? { gone: true };
  const option = gone === undefined ? source.value : gone === true ? undefined : gone;
  return option !== undefined && own(options, option)?.gone === undefined ? option : undefined;
}

/** Whom a variant reaches: the instances that have all these options. */
export function reachOfOptions(
  reach: Reach,
  inUse: readonly OptionsInUse[],
  picks: Readonly<Record<PropertyId, string>>,
): OptionReach {
  let instances = 0;
  let perhaps = 0;
  const pages = new Set<DocId>();
  for (const each of inUse) {
    const asked = Object.entries(picks).map(([axis, option]) => [own(each.options, axis), option]);
    if (asked.every(([has, option]) => has === option)) {
      instances += each.instances;
      for (const doc of each.documents) for (const page of reach.answer(doc).pages) pages.add(page);
    } else if (asked.every(([has, option]) => has === option || has === null))
      perhaps += each.instances;
  }
  return { instances, pages: pages.size, perhaps };
}
