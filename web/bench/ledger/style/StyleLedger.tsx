import { useState, type ReactNode } from 'react';
import { declaredProperties, widthsOf, type Origin } from '@sormet/core/style';
import { useDerived } from '../../../site/SiteProvider';
import { benchActions } from '../../../store/bench-slice';
import { useApp, useAppDispatch } from '../../../store/store';
import type { Selected } from '../../use-selected';
import { AddDeclaration } from './AddDeclaration';
import { Chain, kindOfRule } from './Chain';
import { litRule } from './lit-rule';
import { KNOWN, ROWS } from './rows';
import { useRuleWords } from './rule-words';
import { StyleCell } from './StyleCell';
import './StyleLedger.css';

/** The style of what is selected: a row for each declaration, a column for each width, the chain of rules above. */
export function StyleLedger({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const { lit, width: current } = useApp((state) => state.bench);
  const site = documents.site;
  const widths = widthsOf(site);
  const words = useRuleWords(selected);
  const rule = litRule(selected, lit);
  const [added, setAdded] = useState<readonly string[]>([]);
  if (!rule)
    return (
      <p className="ledger-empty">
        What is selected has no style of its own. Select an element or an instance that is shown.
      </p>
    );
  const kindOf = (origin: Origin) => kindOfRule(origin, selected);
  const others = [...declaredProperties(selected.rules), ...added].filter(
    (property) => !KNOWN.has(property),
  );
  const groups = [...ROWS, { group: 'More', properties: [...new Set(others)] }];
  return (
    <>
      <Chain
        rules={selected.rules}
        lit={rule.origin}
        words={words}
        kindOf={kindOf}
        onLight={(key) => dispatch(benchActions.light(key))}
      />
      <table
        className="ledger-table style-ledger"
        aria-label="Style"
        data-lit={kindOf(rule.origin)}
      >
        <colgroup>
          <col style={{ width: 190 }} />
          {widths.map(({ id }) => (
            <col key={id} />
          ))}
        </colgroup>
        <thead>
          <tr>
            <th scope="col">Declaration</th>
            {widths.map(({ id, max }) => (
              <th key={id} scope="col" className={id === current ? 'current' : ''}>
                {id === 'base' ? 'Base' : `${max} and below`}
              </th>
            ))}
          </tr>
        </thead>
        {groups.map(({ group, properties }) =>
          properties.length === 0 ? null : (
            <tbody key={group}>
              <tr className="ledger-group">
                <th colSpan={widths.length + 1} scope="colgroup">
                  {group}
                </th>
              </tr>
              {properties.map((property) => (
                <tr key={property}>
                  <th scope="row">
                    <code>{property}</code>
                  </th>
                  {widths.map(({ id }) => (
                    <StyleCell
                      key={id}
                      selected={selected}
                      rule={rule}
                      property={property}
                      width={id}
                      words={words}
                    />
                  ))}
                </tr>
              ))}
            </tbody>
          ),
        )}
        <tbody>
          <tr>
            <th scope="row">
              <AddDeclaration onAdd={(property) => setAdded([...added, property])} />
            </th>
            <td colSpan={widths.length} />
          </tr>
        </tbody>
      </table>
    </>
  );
}
