import { useMemo } from 'react';
import type { EntryDoc } from '@sormet/core/model';
import { NOTHING_HELD, type Built, type Holding } from '@sormet/core/resolve';
import { useDerived } from '../site/SiteProvider';
import type { HeldAt } from '../store/bench-slice';
import { useApp } from '../store/store';

/**
 * The built tree of a document for what is shown now, a definition in the variant that is lit, with the states that are held;
 * everybody who asks gets the same one.
 */
export function useBuilt(doc: string, entry: EntryDoc | undefined): Built | undefined {
  const picks = useApp(({ bench }) => (bench.picks?.doc === doc ? bench.picks.axes : undefined));
  const all = useApp(({ bench }) => bench.held);
  const holding = useMemo(() => holdingOf(doc, all), [doc, all]);
  return useDerived().builtOf(doc, entry, picks, holding);
}

/** What is held of a document. */
function holdingOf(doc: string, all: readonly HeldAt[]): Holding {
  const held = all.filter((each) => each.doc === doc);
  if (held.length === 0) return NOTHING_HELD;
  const own: Record<string, HeldAt['value']> = {};
  const instances: Record<string, Record<string, HeldAt['value']>> = {};
  for (const { node, property, value } of held)
    if (node === null) own[property] = value;
    else (instances[node] ??= {})[property] = value;
  return { own, instances };
}
