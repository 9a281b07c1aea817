import { useState, type ReactNode } from 'react';
import { ChevronDown, ChevronRight } from 'lucide-react';
import type { Box } from '@sormet/core/check';
import type { State } from '@sormet/core/model';
import type { AppliedBlock, Width } from '@sormet/core/style';
import { Scrub } from '../../parts/Scrub';
import { steppedValue } from '../../parts/stepped-value';
import { useDerived } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { TraceButton } from '../TraceButton';
import { cellValue } from './cell-value';
import type { Selected } from '../use-selected';
import { DIFFERS, IN_PART, ownValue } from './own-value';
import { rowsBelow } from './rows';
import type { RuleWords } from './rule-words';
import { StyleCell } from './StyleCell';
import { useGiving } from './use-giving';

/** What every row of a table of declarations is about. */
export interface RowsOf {
  readonly selected: Selected;
  readonly rule: AppliedBlock;
  readonly widths: readonly Width[];
  readonly state: State | undefined;
  /** How the element is laid out, by width. */
  readonly boxes: ReadonlyMap<Width, Box>;
  readonly words: RuleWords;
  readonly onLight: (key: string) => void;
}

/** The row of a property, a cell for each width; that of a shorthand unfolds to what it stands for. */
export function StyleRows({
  property,
  depth = 0,
  group,
  ...of
}: RowsOf & {
  property: string;
  depth?: number;
  /** What stands before the row, where it is the first of its group. */
  group?: ReactNode;
}): ReactNode {
  const { selected, rule, widths, state, boxes, words, onLight } = of;
  const below = rowsBelow(property);
  const [unfolded, setUnfolded] = useState(false);
  const isOpen = unfolded || (below.length > 0 && isInPart(of, property));
  const Chevron = isOpen ? ChevronDown : ChevronRight;
  return (
    <>
      <tr className={depth > 0 ? 'below-row' : undefined}>
        {group}
        <th scope="row">
          <span className="declaration-name" style={depth > 1 ? { paddingLeft: 30 } : undefined}>
            <span>
              {below.length > 0 ? (
                <button
                  type="button"
                  className="unfold-row"
                  aria-expanded={isOpen}
                  aria-label={`${property}: all that it stands for`}
                  onClick={() => setUnfolded(!isOpen)}
                >
                  <Chevron size={11} strokeWidth={2} aria-hidden />
                </button>
              ) : null}
              <PropertyName {...of} property={property} />
            </span>
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
      {isOpen
        ? below.map((each) => <StyleRows key={each} {...of} property={each} depth={depth + 1} />)
        : null}
    </>
  );
}

/** Whether a rule says something of a shorthand for which there is no one value: the rows below say it. */
function isInPart({ rule, widths, state }: RowsOf, property: string): boolean {
  return widths.some((width) => {
    const value = ownValue(rule, property, width, state, {});
    return value === IN_PART || value === DIFFERS;
  });
}

/** The name of a property: dragged, it steps the number at the width that is looked at. */
function PropertyName({
  selected,
  rule,
  state,
  boxes,
  property,
}: RowsOf & { property: string }): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const width = useApp((app) => app.bench.width);
  const place = { selected, rule, property, width, state, box: boxes.get(width) };
  const give = useGiving(place);
  const begin = () => {
    const { stored, elsewhere, fromWider } = cellValue(place, documents);
    const from = stored ?? elsewhere?.text ?? fromWider;
    const { tokens } = documents.tokens;
    if (from === undefined || steppedValue(from, 0, tokens) === undefined) return undefined;
    return (by: number) => steppedValue(from, by, tokens);
  };
  return (
    <Scrub
      begin={begin}
      onStep={(value, hold) => {
        const reason = give(property, value, `dragged ${property} ${Math.round(hold)}`);
        if (reason) dispatch(benchActions.notice(reason));
      }}
    >
      <code>{property}</code>
    </Scrub>
  );
}
