import { Fragment, type ReactNode } from 'react';
import { Plus, X } from 'lucide-react';
import {
  canStandFor,
  type Cell,
  type Comparison,
  type ExpressionName,
  type Gives,
  type Table,
  type TableCondition,
  type TableRow,
} from '@sormet/core/expression';
import { IconButton } from '../../parts/IconButton';
import { CellField } from './CellField';
import { comparisonsOf, comparisonWord, takesOf } from './comparisons';

const NOTHING: Gives = { of: 'nothing' };

/** Rows of "when … then …", and what there is otherwise: the same as an expression. */
export function WorkTable({
  table,
  names,
  gives,
  onChange,
}: {
  table: Table;
  names: readonly ExpressionName[];
  /** The kind that the table gives. */
  gives: Gives;
  onChange: (table: Table) => void;
}): ReactNode {
  const { rows, otherwise } = table;
  const setRow = (at: number, row: TableRow | null) =>
    onChange({ ...table, rows: rows.flatMap((each, i) => (i === at ? (row ?? []) : each)) });
  return (
    <table className="work-table">
      <thead>
        <tr>
          <th scope="col">When</th>
          <th scope="col">then</th>
          <th scope="col" aria-label="Take away" />
        </tr>
      </thead>
      <tbody>
        {rows.map((row, i) => (
          <tr key={i}>
            <td>
              <When
                row={row}
                at={i + 1}
                names={names}
                onChange={(when) => setRow(i, { ...row, when })}
              />
            </td>
            <td>
              <CellField
                cell={row.then}
                label={`Row ${i + 1}, then`}
                gives={gives}
                names={names}
                onChange={(then) => setRow(i, { ...row, then })}
              />
            </td>
            <td>
              {rows.length > 1 ? (
                <IconButton
                  icon={X}
                  name={`Take row ${i + 1} away`}
                  title="Take this row away"
                  onPress={() => setRow(i, null)}
                />
              ) : null}
            </td>
          </tr>
        ))}
        <tr>
          <th scope="row">otherwise</th>
          <td>
            <CellField
              cell={otherwise}
              label="Otherwise"
              gives={gives}
              names={names}
              onChange={(next) => onChange({ ...table, otherwise: next })}
            />
          </td>
          <td />
        </tr>
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={3}>
            <button
              type="button"
              className="as-link"
              onClick={() =>
                onChange({
                  ...table,
                  rows: [...rows, { when: [[firstCondition(names)]], then: otherwise }],
                })
              }
            >
              another row
            </button>
          </td>
        </tr>
      </tfoot>
    </table>
  );
}

function When({
  row: { when },
  at,
  names,
  onChange,
}: {
  row: TableRow;
  at: number;
  names: readonly ExpressionName[];
  onChange: (when: TableRow['when']) => void;
}): ReactNode {
  const set = (i: number, j: number, condition: TableCondition | null) =>
    onChange(
      when.flatMap((all, k) => {
        if (k !== i) return [all];
        const now = all.flatMap((each, l) => (l === j ? (condition ?? []) : each));
        return now.length === 0 ? [] : [now];
      }),
    );
  const many = when.flat().length;
  return (
    <div className="work-when">
      {when.map((all, i) => (
        <Fragment key={i}>
          {i > 0 ? <span className="work-joins">or</span> : null}
          {all.map((condition, j) => (
            <span key={j} className="work-condition">
              {j > 0 ? <span className="work-joins">and</span> : null}
              <ConditionField
                condition={condition}
                label={`Row ${at}, condition ${i + 1}.${j + 1}`}
                names={names}
                onChange={(next) => set(i, j, next)}
              />
              {many > 1 ? (
                <IconButton
                  icon={X}
                  name={`Row ${at}: no condition ${i + 1}.${j + 1}`}
                  title="Take this condition away"
                  onPress={() => set(i, j, null)}
                />
              ) : null}
            </span>
          ))}
          <button
            type="button"
            className="as-link"
            aria-label={`Row ${at}: and another condition beside ${i + 1}`}
            onClick={() =>
              onChange(when.map((each, k) => (k === i ? [...each, firstCondition(names)] : each)))
            }
          >
            <Plus size={11} aria-hidden /> and
          </button>
        </Fragment>
      ))}
      <button
        type="button"
        className="as-link"
        aria-label={`Row ${at}: or another condition`}
        onClick={() => onChange([...when, [firstCondition(names)]])}
      >
        <Plus size={11} aria-hidden /> or
      </button>
    </div>
  );
}

function ConditionField({
  condition,
  label,
  names,
  onChange,
}: {
  condition: TableCondition;
  label: string;
  names: readonly ExpressionName[];
  onChange: (condition: TableCondition) => void;
}): ReactNode {
  const { name, is, values } = condition;
  const found = names.find(({ path }) => path === name);
  const gives = found?.gives ?? NOTHING;
  const offered = comparisonsOf(gives);
  const asked = names.filter(({ source }) => source.is !== 'value');
  const takes = takesOf(is);
  const set = (values: readonly Cell[]) => onChange({ ...condition, values });
  return (
    <>
      <select
        aria-label={`${label}: what`}
        value={name}
        onChange={({ target }) => {
          const next = names.find(({ path }) => path === target.value)!;
          const kept = comparisonsOf(next.gives).includes(is) && next.gives.of === gives.of;
          onChange(kept ? { ...condition, name: next.path } : conditionOf(next, names));
        }}
      >
        {found ? null : <option value={name}>{name}</option>}
        {asked.map(({ path, label: word }) => (
          <option key={path} value={path}>
            {word}
          </option>
        ))}
      </select>
      <select
        aria-label={`${label}: how`}
        value={is}
        onChange={({ target }) => {
          const next = target.value as Comparison;
          const wanted = takesOf(next);
          const held = values.length > 0 ? values : [firstCell(gives, names)];
          onChange({
            name,
            is: next,
            values: wanted === 'none' ? [] : wanted === 'one' ? held.slice(0, 1) : held,
          });
        }}
      >
        {(offered.includes(is) ? offered : [is, ...offered]).map((each) => (
          <option key={each} value={each}>
            {comparisonWord(each, gives)}
          </option>
        ))}
      </select>
      {values.map((value, i) => (
        <CellField
          key={i}
          cell={value}
          label={`${label}: value ${i + 1}`}
          gives={gives}
          names={names.filter(({ path }) => path !== name)}
          onChange={(next) => set(values.map((each, j) => (j === i ? next : each)))}
        />
      ))}
      {takes === 'several' ? (
        <button
          type="button"
          className="as-link"
          aria-label={`${label}: another value`}
          onClick={() => set([...values, firstCell(gives, names)])}
        >
          <Plus size={11} aria-hidden />
        </button>
      ) : null}
    </>
  );
}

/** The condition that a new row begins with: that the first thing there is, is something. */
export function firstCondition(names: readonly ExpressionName[]): TableCondition {
  const first = names.find(({ source }) => source.is !== 'value');
  return first ? conditionOf(first, names) : { name: '', is: 'notEmpty', values: [] };
}

function conditionOf(name: ExpressionName, names: readonly ExpressionName[]): TableCondition {
  const [is = 'notEmpty'] = comparisonsOf(name.gives);
  return {
    name: name.path,
    is,
    values: takesOf(is) === 'none' ? [] : [firstCell(name.gives, names, name.path)],
  };
}

/** What stands where nobody has said anything yet: an empty text, none, or the first that there is of a kind. */
export function firstCell(gives: Gives, names: readonly ExpressionName[], within?: string): Cell {
  const { of } = gives;
  if (of === 'text') return { is: 'literal', value: '' };
  if (of === 'number') return { is: 'literal', value: 0 };
  if (of === 'boolean') return { is: 'literal', value: true };
  const options = names.filter(
    (name) => name.source.is === 'value' && canStandFor(name.gives, gives),
  );
  const found =
    options.find(({ path }) => within !== undefined && path.startsWith(`${within}.`)) ?? options[0];
  return found ? { is: 'name', name: found.path } : { is: 'literal', value: null };
}
