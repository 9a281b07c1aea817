import { useState, type ReactNode } from 'react';
import { declaredProperties } from '@sormet/core/style';
import { GroupCell } from '../GroupCell';
import { longhandsOfRow } from './rows';
import { StyleRows, type RowsOf } from './StyleRows';

/**
 * The rows of one group of declarations: those that apply to the element, the others folded behind their count. Rows
 * keep their order when they are unfolded, so that what is being declared does not move away.
 */
export function StyleGroup({
  group,
  properties,
  ...of
}: RowsOf & { group: string; properties: readonly string[] }): ReactNode {
  const { selected, state, widths } = of;
  const [unfolded, setUnfolded] = useState(false);
  const declared = new Set(declaredProperties(selected.rules, state ? [state] : []));
  const applies = (property: string) =>
    longhandsOfRow(property).some((longhand) => declared.has(longhand));
  const shown = unfolded || group === 'More' ? properties : properties.filter(applies);
  const rest = properties.length - properties.filter(applies).length;
  const foldable = rest > 0 && group !== 'More';
  return (
    <tbody>
      {shown.map((property, i) => (
        <StyleRows
          key={property}
          {...of}
          property={property}
          group={i === 0 ? <GroupCell label={group} rows={0} /> : null}
        />
      ))}
      {foldable ? (
        <tr>
          {shown.length === 0 ? <GroupCell label={group} rows={1} /> : null}
          <td colSpan={widths.length + 1}>
            <button
              type="button"
              className="more-rows"
              aria-expanded={unfolded}
              aria-label={unfolded ? `${group}: only what applies` : `${group}: ${rest} more`}
              onClick={() => setUnfolded(!unfolded)}
            >
              {unfolded ? 'only what applies' : `${rest} more`}
            </button>
          </td>
        </tr>
      ) : null}
    </tbody>
  );
}
