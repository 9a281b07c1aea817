import { createContext, useContext, useMemo, useRef, useState, type ReactNode } from 'react';
import { useDerived } from '../../site/SiteProvider';
import { offeredValues } from './offered-values';

/** The list of what may stand in the cell that somebody is at: one for all of them. */
export const OFFERS = 'style-offers';

const OfferContext = createContext<(property: string) => void>(() => undefined);

/** Tells of which property somebody is at the cell, so that its values are offered. */
export function useOffer(): (property: string) => void {
  return useContext(OfferContext);
}

/** Offers, in every cell within, what may stand there: tokens that fit, usual values, the words of CSS. */
export function Offers({ children }: { children: ReactNode }): ReactNode {
  const show = useRef<(property: string) => void>(() => undefined);
  const offer = useMemo(() => (property: string) => show.current(property), []);
  return (
    <OfferContext value={offer}>
      {children}
      <Listed show={show} />
    </OfferContext>
  );
}

/** The list itself, alone drawn again when another is offered. */
function Listed({ show }: { show: React.RefObject<(property: string) => void> }): ReactNode {
  const { documents } = useDerived();
  const [property, setProperty] = useState<string | null>(null);
  show.current = setProperty;
  return (
    <datalist id={OFFERS}>
      {(property === null ? [] : offeredValues(property, documents.tokens.tokens)).map(
        ({ value, what }) => (
          <option key={value} value={value} label={what} />
        ),
      )}
    </datalist>
  );
}
