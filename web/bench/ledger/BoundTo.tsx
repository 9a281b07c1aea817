import type { ReactNode } from 'react';
import { Button, Select, Tooltip } from 'antd';
import { Unlink } from 'lucide-react';
import type { Source } from '@sormet/core/model';
import type { FittingField } from '../../values/fields';
import { keepFocus } from './keep-focus';
import './BoundTo.css';

type FieldSource = Extract<Source, { is: 'field' }>;
type Choice = 'default' | 'nothing' | 'hide';

const EMPTY_WORDS: Record<Choice, string> = {
  default: 'else default',
  nothing: 'else nothing',
  hide: 'else hide',
};

interface BoundToProps {
  readonly label: string;
  readonly fields: readonly FittingField[];
  readonly bound: FieldSource | undefined;
  readonly boundLabel: string;
  readonly onBind: (source: FieldSource) => void;
  readonly onRelease: () => void;
  /** What may be decided for entries where the field is empty. */
  readonly whenEmpty: readonly Choice[];
}

/** Which field a value is taken from, and what was decided for empty. Only fields that fit are offered. */
export function BoundTo({
  label,
  fields,
  bound,
  boundLabel,
  onBind,
  onRelease,
  whenEmpty,
}: BoundToProps): ReactNode {
  if (!bound && fields.length === 0)
    return (
      <span className="cell-words quiet" title="Nothing around this place gives a value that fits">
        nothing fits
      </span>
    );
  const key = bound ? JSON.stringify([bound.from, bound.path]) : undefined;
  const known = fields.some((field) => field.key === key);
  const options = [
    ...fields.map((field) => ({ value: field.key, label: field.label })),
    ...(bound && !known ? [{ value: key!, label: boundLabel }] : []),
  ];
  const decided = typeof bound?.whenEmpty === 'string' ? bound.whenEmpty : 'nothing';
  return (
    <div className="bound-to">
      <Select
        size="small"
        variant="borderless"
        aria-label={`${label}, bound to`}
        placeholder=" "
        {...(bound ? { suffixIcon: null } : {})}
        value={key}
        options={options}
        popupMatchSelectWidth={240}
        onChange={(chosen: string) => {
          const field = fields.find((each) => each.key === chosen);
          if (field) onBind({ ...field.source, whenEmpty: bound?.whenEmpty ?? whenEmpty[0]! });
        }}
      />
      {bound ? (
        <>
          {whenEmpty.length > 1 ? (
            <Select
              size="small"
              variant="borderless"
              className="when-empty"
              suffixIcon={null}
              aria-label={`${label}, when the field is empty`}
              value={decided}
              options={whenEmpty.map((choice) => ({ value: choice, label: EMPTY_WORDS[choice] }))}
              popupMatchSelectWidth={150}
              onChange={(choice: Choice) => onBind({ ...bound, whenEmpty: choice })}
            />
          ) : null}
          <Tooltip title="No longer bound">
            <Button
              size="small"
              type="text"
              aria-label={`${label}: no longer bound`}
              icon={<Unlink size={13} />}
              onMouseDown={keepFocus}
              onClick={onRelease}
            />
          </Tooltip>
        </>
      ) : null}
    </div>
  );
}
