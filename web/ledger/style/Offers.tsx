import { createContext, useContext, useState, type ReactNode } from 'react';
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
  const [property, offer] = useState<string | null>(null);
  return (
    <OfferContext value={offer}>
      {children}
      <Listed property={property} />
    </OfferContext>
  );
}

function Listed({ property }: { property: string | null }): ReactNode {
  const { documents } = useDerived();
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
