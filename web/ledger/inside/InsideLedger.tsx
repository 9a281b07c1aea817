import type { ReactNode } from 'react';
import { shortName } from '@sormet/core/edit';
import { nodeIn, partNameOf } from '@sormet/core/model';
import { innerOf, innerWords } from '../../canvas/inside';
import { useDerived } from '../../site/SiteProvider';
import { benchActions, type LedgerTab } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import type { Selected } from '../use-selected';
import { isStyledPart } from '../style/lit-rule';
import { StyleLedger } from '../style/StyleLedger';
import { InsideStyle } from './InsideStyle';
import { InsideValues } from './InsideValues';
import './inside.css';

/** More elements than this are not listed: what is looked for is pressed on the canvas. */
const MOST_LISTED = 400;

/**
 * What stands inside an instance, without changing it: its elements in a list, of the one that is looked at what shows
 * and by whom. Only a part that its definition marks is styled from here.
 */
export function InsideLedger({
  selected,
  inside,
  tab,
}: {
  selected: Selected;
  /** What is looked at inside it. */
  inside: Selected;
  tab: Exclude<LedgerTab, 'history'>;
}): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const { built, component, doc, id } = selected;
  const address = inside.address;
  const all = (
    selected.resolved && built ? innerOf(selected.resolved, built.linked.doc) : []
  ).slice(0, MOST_LISTED);
  return (
    <div className="inside-ledger">
      <fieldset className="inside-list">
        <legend>Inside {component ? shortName(component.name) : 'it'}</legend>
        {all.map(({ element, depth, address: each }) => {
          const stored = nodeIn(documents, element.scope.within.doc, element.from.id);
          const part = partNameOf(stored);
          return (
            <label key={each} style={{ paddingLeft: 6 + Math.min(depth, 12) * 12 }}>
              <input
                type="radio"
                name="inside"
                checked={each === address}
                onChange={() =>
                  dispatch(benchActions.select({ doc: doc.id, nodes: [id], inside: each }))
                }
              />
              {innerWords(documents, element, component?.id ?? '')}{' '}
              <span className="quiet">{part === undefined ? element.tag : 'part'}</span>
            </label>
          );
        })}
      </fieldset>
      <div className="inside-facts">
        {tab !== 'style' ? (
          <InsideValues inside={inside} />
        ) : isStyledPart(selected) ? (
          <StyleLedger key={address} selected={inside} />
        ) : (
          <InsideStyle selected={selected} inside={inside} />
        )}
      </div>
    </div>
  );
}
