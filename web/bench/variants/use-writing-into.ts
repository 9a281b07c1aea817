import { useEffect } from 'react';
import { docOf } from '@sormet/core/model';
import { intoVariant, pickedOf } from '../../ledger/style/picked';
import { useDerived, useSync } from '../../site/SiteProvider';
import { useBench } from '../../store/store';

/** While a variant of a definition is lit, what is edited in that definition goes into its rule. */
export function useWritingInto(): void {
  const sync = useSync();
  const { documents } = useDerived();
  const { picks, lit } = useBench('picks', 'lit');
  const component = picks ? docOf(documents, 'component', picks.doc) : undefined;
  const picked = picks && component ? pickedOf(component, picks.axes, picks.rule) : undefined;
  useEffect(() => {
    sync.writeInto(picked ? (now, edits) => intoVariant(picked, lit === null, now, edits) : null);
    return () => sync.writeInto(null);
  }, [sync, picked, lit]);
}
