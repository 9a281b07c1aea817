import type { ReactNode } from 'react';
import { Button } from 'antd';
import { cascade, declaredProperties, valueText, widthsOf, type Applied } from '@sormet/core/style';
import { HeadedTable } from '../../parts/HeadedTable';
import { useDerived } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { componentWords } from '../../words';
import type { Selected } from '../use-selected';
import { useRuleWords } from '../style/rule-words';

/** How an element inside an instance looks, property by property, and who says so: to be read, not written. */
export function InsideStyle({
  selected,
  inside,
}: {
  selected: Selected;
  inside: Selected;
}): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const state = useApp(({ bench }) => bench.state);
  const words = useRuleWords(selected);
  const widths = widthsOf(documents.site);
  const { tokens } = documents.tokens;
  const rows = declaredProperties(inside.rules, state ? [state] : []).map((property) => ({
    property,
    winners: widths.map(
      ({ id }) => cascade(inside.rules, property, id, documents.site, state ? [state] : [])[0],
    ),
  }));
  const said = (winner: Applied | undefined, width: string) =>
    winner && (winner.width === width || width === 'base') ? winner : undefined;
  return (
    <>
      <p className="inside-note">
        Its definition does not let this be styled from here: what it looks like can be read.{' '}
        <Button
          size="small"
          onClick={() => {
            const { doc, id } = inside;
            dispatch(benchActions.openBeside(doc.id));
            dispatch(benchActions.select({ doc: doc.id, nodes: [id] }));
          }}
        >
          To it in the definition of {componentWords(documents, inside.doc.id)}
        </Button>
      </p>
      <HeadedTable
        label="Style of what is looked at"
        className="ledger-table"
        heads={[
          'Declaration',
          ...widths.map(({ id, max }) => ({ name: id === 'base' ? 'Base' : max, width: 'wide' })),
          { name: 'Said by', width: 'wide' },
        ]}
      >
        <tbody>
          {rows.map(({ property, winners }) => (
            <tr key={property}>
              <th scope="row">
                <code>{property}</code>
              </th>
              {winners.map((winner, i) => {
                const here = said(winner, widths[i]!.id);
                return (
                  <td key={widths[i]!.id} className="cell">
                    <span className="cell-words">
                      {here ? valueText(here.declared, tokens) : ''}
                    </span>
                  </td>
                );
              })}
              <td className="cell">
                <span className="cell-words quiet">
                  {[
                    ...new Set(winners.flatMap((each) => (each ? words.word(each.origin) : []))),
                  ].join(', ')}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </HeadedTable>
      {rows.length === 0 ? (
        <p className="ledger-empty">Nobody says anything of it: browsers say what shows.</p>
      ) : null}
    </>
  );
}
