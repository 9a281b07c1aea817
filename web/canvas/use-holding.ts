import { useLayoutEffect } from 'react';
import { useApp } from '../store/store';
import { resolvedOf } from './address';
import { HELD } from './canvas-css';
import type { Stage } from './stage';

/** Holds what is selected in the state that is being styled, as though somebody pointed at it or pressed it. */
export function useHolding({ doc, built, registry, body }: Stage): void {
  const { selection, state } = useApp(({ bench }) => bench);
  useLayoutEffect(() => {
    if (!body || !built || !state?.match(/^:[^:]/) || selection?.doc !== doc) return undefined;
    const held = selection.nodes
      .flatMap((id) => resolvedOf(built, id))
      .flatMap((node) => registry.elementsOf(node));
    for (const element of held) element.setAttribute(HELD, state.slice(1));
    return () => {
      for (const element of held) element.removeAttribute(HELD);
    };
  }, [body, built, doc, registry, selection, state]);
}
