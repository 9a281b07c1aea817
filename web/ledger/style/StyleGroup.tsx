import { useState, type ReactNode } from 'react';
import type { Box } from '@sormet/core/check';
import type { State } from '@sormet/core/model';
import { declaredProperties, type AppliedBlock, type Width } from '@sormet/core/style';
import type { Selected } from '../use-selected';
import { GroupCell } from '../GroupCell';
import { TraceButton } from '../TraceButton';
import { longhandsOfRow } from './rows';
import type { RuleWords } from './rule-words';
import { StyleCell } from './StyleCell';

/**
 * The rows of one group of declarations: those that apply to the element, the others folded behind their count. Rows
 * keep their order when they are unfolded, so that what is being declared does not move away.
 */
export function StyleGroup({
  group,
  properties,
  selected,
  rule,
  widths,
  state,
  boxes,
  words,
  onLight,
}: {
  group: string;
  properties: readonly string[];
  selected: Selected;
  rule: AppliedBlock;
  widths: readonly Width[];
  state: State | undefined;
  /** How the element is laid out, by width. */
  boxes: ReadonlyMap<Width, Box>;
  words: RuleWords;
  onLight: (key: string) => void;
}): ReactNode {
  const [unfolded, setUnfolded] = useState(false);
  const declared = new Set(declaredProperties(selected.rules, state ? [state] : []));
  const applies = (property: string) =>
    longhandsOfRow(property).some((longhand) => declared.has(longhand));
  const shown = unfolded || group === 'More' ? properties : properties.filter(applies);
  const rest = properties.length - properties.filter(applies).length;
  const foldable = rest > 0 && group !== 'More';
  const rows = shown.length + (foldable ? 1 : 0);
  return (
    <tbody>
      {shown.map((property, i) => (
        <tr key={property}>
          {i === 0 ? <GroupCell label={group} rows={rows} /> : null}
          <th scope="row">
            <span className="declaration-name">
              <code>{property}</code>
              <TraceButton label={property} />
            </span>
          </th>
          {widths.map((width) => (
            <StyleCell
              key={width}
              selected={selected}
              rule={rule}
              property={property}
              width={width}
              state={state}
              box={boxes.get(width)}
              words={words}
              onLight={onLight}
            />
          ))}
        </tr>
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
