import type { ReactNode } from 'react';
import { Select } from 'antd';
import { Unlink } from 'lucide-react';
import type { Bound, Source } from '@sormet/core/model';
import { boundKey, type FittingField } from '../values/fields';
import { RestingChoice } from '../parts/RestingChoice';
import { IconButton } from '../parts/IconButton';
import type { MakingField } from './use-make-field';
import './BoundTo.css';

type Choice = 'default' | 'nothing' | 'hide';

const EMPTY_WORDS: Record<Choice, string> = {
  default: 'else default',
  nothing: 'else nothing',
  hide: 'else hide',
};

interface BoundToProps {
  readonly label: string;
  /** The fields that fit, asked for when somebody chooses. */
  readonly fields: () => readonly FittingField[];
  /** What a field would bring for the entry that is looked at, in words; left out where nothing shows. */
  readonly holds?: ((source: Source) => string) | undefined;
  readonly bound: Bound | undefined;
  readonly boundLabel: string;
  readonly onBind: (source: Bound) => void;
  readonly onRelease: () => void;
  /** What may be decided for entries where the field is empty. */
  readonly whenEmpty: readonly Choice[];
  /** Fields that can be made, where none that is there will do. */
  readonly making?: {
    readonly makes: readonly MakingField[];
    readonly make: (key: string) => void;
  };
}

/** Which field a value is taken from, and what was decided for empty. Only fields that fit are offered. */
export function BoundTo(props: BoundToProps): ReactNode {
  const { label, bound, boundLabel, onBind, onRelease, whenEmpty } = props;
  const decided = typeof bound?.whenEmpty === 'string' ? bound.whenEmpty : 'nothing';
  return (
    <div className="bound-to">
      <RestingChoice
        label={`${label}, bound to`}
        rest={bound ? <span className="bound-field">{boundLabel}</span> : null}
      >
        {(open) => <FieldChoice {...props} open={open} />}
      </RestingChoice>
      {bound && whenEmpty.length > 1 ? (
        <RestingChoice
          label={`${label}, when the field is empty`}
          rest={<span className="bound-else">{EMPTY_WORDS[decided]}</span>}
        >
          {(open) => (
            <Select
              size="small"
              variant="borderless"
              className="when-empty"
              suffixIcon={null}
              aria-label={`${label}, when the field is empty`}
              defaultOpen={open}
              value={decided}
              options={whenEmpty.map((choice) => ({ value: choice, label: EMPTY_WORDS[choice] }))}
              popupMatchSelectWidth={150}
              onChange={(choice: Choice) => onBind({ ...bound, whenEmpty: choice })}
            />
          )}
        </RestingChoice>
      ) : null}
      {bound ? (
        <IconButton
          icon={Unlink}
          name={`${label}: no longer bound`}
          title="No longer bound"
          onPress={onRelease}
        />
      ) : null}
    </div>
  );
}

function FieldChoice({
  label,
  fields,
  holds,
  bound,
  boundLabel,
  onBind,
  whenEmpty,
  making,
  open,
}: BoundToProps & { open: boolean }): ReactNode {
  const fitting = fields();
  const key = bound && boundKey(bound);
  const known = fitting.some((field) => field.key === key);
  const groups = [...new Set(fitting.map(({ group }) => group))];
  const options = [
    ...groups.map((group) => ({
      label: group,
      title: group,
      options: fitting
        .filter((field) => field.group === group)
        .map((field) => ({ value: field.key, label: field.label, source: field.source })),
    })),
    ...(bound && !known ? [{ value: key!, label: boundLabel, source: bound }] : []),
    ...(making && making.makes.length > 0
      ? [
          {
            label: 'No field fits: make one',
            title: 'No field fits: make one',
            options: making.makes.map((each) => ({ value: each.key, label: each.label })),
          },
        ]
      : []),
  ];
  return (
    <Select
      size="small"
      variant="borderless"
      className="bound-choice"
      showSearch={{ optionFilterProp: 'label' }}
      suffixIcon={null}
      aria-label={`${label}, bound to`}
      defaultOpen={open}
      placeholder={options.length === 0 ? 'nothing fits' : ' '}
      notFoundContent={
        <span className="quiet">Nothing around this place gives a value that fits.</span>
      }
      value={key}
      options={options}
      optionRender={({ label: name, data }) => (
        <span className="bound-option">
          <span className="bound-name">{name}</span>
          {holds && 'source' in data && data.source ? (
            <span className="bound-holds">{holds(data.source)}</span>
          ) : null}
        </span>
      )}
      popupMatchSelectWidth={420}
      onChange={(chosen: string) => {
        const field = fitting.find((each) => each.key === chosen);
        if (field) onBind({ ...field.source, whenEmpty: bound?.whenEmpty ?? whenEmpty[0]! });
        else making?.make(chosen);
      }}
    />
  );
}
