import type { ReactNode } from 'react';
import { Button } from 'antd';
import type { RosterRow } from '@sormet/core/edit';
import { ChoiceCell } from '../../parts/ChoiceCell';
import type { FittingField } from '../../values/fields';
import { count } from '../../words';
import type { Column } from './use-roster';

/** How many cells that cannot be read are told of at once. */
const TOLD = 6;

/** What can be done to the cells that are selected, how many those are, and why the last act was not done. */
export function RosterActs({
  rows,
  all,
  columns,
  chosen,
  fields,
  wrong,
  onFillDown,
  onTakeBack,
  onBind,
}: {
  rows: readonly RosterRow[];
  /** How many rows there are, those that are not looked at too. */
  all: number;
  /** The columns that are selected. */
  columns: readonly Column[];
  chosen: readonly RosterRow[];
  /** What all that is selected can be bound to. */
  fields: readonly FittingField[];
  wrong: readonly string[];
  onFillDown: () => void;
  onTakeBack: () => void;
  onBind: (field: FittingField) => void;
}): ReactNode {
  return (
    <>
      <div className="roster-line">
        <span>
          {rows.length === all
            ? count(all, 'instance')
            : `${rows.length} of ${count(all, 'instance')}`}
          {columns.length > 0 && chosen.length > 0 ? (
            <>
              {', '}
              <b>
                {columns.length === 1
                  ? `${columns[0]!.property.label} of ${chosen.length === 1 ? 'one' : chosen.length}`
                  : `${columns.length * chosen.length} cells`}
              </b>{' '}
              selected
            </>
          ) : null}
        </span>
        <Button size="small" disabled={chosen.length < 2} onClick={onFillDown}>
          Fill down <kbd>Ctrl+D</kbd>
        </Button>
        <Button
          size="small"
          disabled={columns.length === 0 || chosen.length === 0}
          onClick={onTakeBack}
        >
          Back to default <kbd>Del</kbd>
        </Button>
        <span className="roster-bind">
          <ChoiceCell
            label="Bind what is selected to"
            chosen={undefined}
            placeholder={fields.length === 0 ? 'nothing fits to bind to' : 'bind to …'}
            options={fields.map(({ key, label }) => ({ value: key, label }))}
            onChoose={(key) => {
              const field = fields.find((each) => each.key === key);
              if (field) onBind(field);
            }}
          />
        </span>
        <span className="quiet">
          Enter edits, a block from a spreadsheet is pasted where you are.
        </span>
      </div>
      {wrong.length > 0 ? (
        <div className="roster-wrong" role="alert">
          {wrong.slice(0, TOLD).map((each) => (
            <div key={each}>{each}</div>
          ))}
          {wrong.length > TOLD ? <div>and {wrong.length - TOLD} more</div> : null}
        </div>
      ) : null}
    </>
  );
}
