import { useState, type ReactNode } from 'react';
import { canStandFor, type Cell, type ExpressionName, type Gives } from '@sormet/core/expression';

const TYPED = ' typed';

/** One value of a table: typed, where it is a text, a number or a day; else chosen from what is there. */
export function CellField({
  cell,
  label,
  gives,
  names,
  onChange,
}: {
  cell: Cell;
  label: string;
  /** The kind that is wanted. */
  gives: Gives;
  names: readonly ExpressionName[];
  onChange: (cell: Cell) => void;
}): ReactNode {
  const fitting = names.filter((name) => canStandFor(name.gives, gives));
  const isTyped = gives.of === 'text' || gives.of === 'number';
  const isNamed = cell.is === 'name';
  if (cell.is === 'written')
    return (
      <code className="work-written" title="Written as an expression: it is edited there">
        {cell.cel}
      </code>
    );
  if (gives.of === 'date' && !isNamed)
    return (
      <span className="work-cell">
        <input
          type="date"
          aria-label={label}
          value={cell.is === 'day' ? cell.day : ''}
          onChange={({ target }) =>
            onChange(
              target.value === ''
                ? { is: 'literal', value: null }
                : { is: 'day', day: target.value },
            )
          }
        />
        <NamesField
          label={label}
          fitting={fitting}
          onChoose={(name) => onChange({ is: 'name', name })}
        />
      </span>
    );
  if (cell.is === 'day') return <code className="work-written">{cell.day}</code>;
  if (gives.of === 'boolean' && !isNamed)
    return (
      <select
        aria-label={label}
        value={String(cell.value)}
        onChange={({ target }) =>
          onChange(
            target.value === 'true' || target.value === 'false'
              ? { is: 'literal', value: target.value === 'true' }
              : { is: 'name', name: target.value },
          )
        }
      >
        <option value="true">yes</option>
        <option value="false">no</option>
        {fitting.map(({ path, label: word }) => (
          <option key={path} value={path}>
            {word}
          </option>
        ))}
      </select>
    );
  return (
    <span className="work-cell">
      {isTyped && !isNamed ? (
        <LiteralField
          label={label}
          value={cell.value}
          isNumber={gives.of === 'number'}
          onChange={(value) => onChange({ is: 'literal', value })}
        />
      ) : null}
      {!isTyped || isNamed || fitting.length > 0 ? (
        <select
          className={isTyped && !isNamed ? 'work-other' : ''}
          aria-label={isTyped && !isNamed ? `${label}: what a name stands for` : label}
          title={isTyped && !isNamed ? 'Take what a name stands for' : undefined}
          value={isNamed ? cell.name : TYPED}
          onChange={({ target }) =>
            onChange(
              target.value === TYPED
                ? {
                    is: 'literal',
                    value: gives.of === 'text' ? '' : gives.of === 'number' ? 0 : null,
                  }
                : { is: 'name', name: target.value },
            )
          }
        >
          <option value={TYPED}>{isTyped ? 'a value that is typed' : 'nothing'}</option>
          {fitting.map(({ path, label: word }) => (
            <option key={path} value={path}>
              {word}
            </option>
          ))}
        </select>
      ) : null}
    </span>
  );
}

/** What a name stands for, in the place of what is typed beside it. */
function NamesField({
  label,
  fitting,
  onChoose,
}: {
  label: string;
  fitting: readonly ExpressionName[];
  onChoose: (name: string) => void;
}): ReactNode {
  if (fitting.length === 0) return null;
  return (
    <select
      className="work-other"
      aria-label={`${label}: what a name stands for`}
      title="Take what a name stands for"
      value={TYPED}
      onChange={({ target }) => onChoose(target.value)}
    >
      <option value={TYPED}>a value that is typed</option>
      {fitting.map(({ path, label: word }) => (
        <option key={path} value={path}>
          {word}
        </option>
      ))}
    </select>
  );
}

function LiteralField({
  label,
  value,
  isNumber,
  onChange,
}: {
  label: string;
  value: string | number | boolean | null;
  isNumber: boolean;
  onChange: (value: string | number) => void;
}): ReactNode {
  const stored = value === null ? '' : String(value);
  const [draft, setDraft] = useState<string | null>(null);
  const typed = draft ?? stored;
  const number = Number(typed);
  const isWrong = isNumber && (typed.trim() === '' || !Number.isFinite(number));
  const take = () => {
    setDraft(null);
    if (!isWrong && typed !== stored) onChange(isNumber ? number : typed);
  };
  return (
    <input
      type="text"
      aria-label={label}
      aria-invalid={isWrong || undefined}
      inputMode={isNumber ? 'decimal' : undefined}
      value={typed}
      onChange={({ target }) => setDraft(target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        // The first Enter takes what was typed; one more is done with all of it.
        if (event.key !== 'Enter' || typed === stored) return;
        event.preventDefault();
        take();
      }}
    />
  );
}
