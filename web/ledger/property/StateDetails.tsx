import type { ReactNode } from 'react';
import type { NodeId, StateOf, TypeSpec } from '@sormet/core/model';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { ValueCell } from '../../values/ValueCell';

const STEP = { kind: 'number', least: 0.000001 } as const;

/** More of a state: by how much a number goes on, whether behind the last comes the first, whether what is around may set it. */
export function StateDetails({
  label,
  type,
  lists,
  state,
  onGive,
}: {
  label: string;
  type: TypeSpec;
  /** The lists of the definition whose items a number may count. */
  lists: readonly { readonly value: NodeId; readonly label: string }[];
  state: StateOf;
  onGive: (state: StateOf) => void;
}): ReactNode {
  const { round: _, open: __, ...without } = state;
  const { open, round } = state;
  return (
    <span className="state-details">
      {type.kind === 'number' && (lists.length > 0 || state.among !== undefined) ? (
        <ChoiceCell
          label={`${label}: what it counts`}
          chosen={state.among ?? 'nothing'}
          placeholder="a list that is gone"
          options={[
            { value: 'nothing', label: 'from least to most' },
            ...lists.map((list) => ({ value: list.value, label: `each of ${list.label}` })),
          ]}
          onChoose={(among) => {
            const { among: ___, ...rest } = state;
            onGive(among === 'nothing' ? rest : { ...rest, among });
          }}
        />
      ) : null}
      {type.kind === 'number' && state.among === undefined ? (
        <label>
          by{' '}
          <ValueCell
            type={STEP}
            label={`${label}: by how much it goes on`}
            value={{ type: 'number', value: state.step ?? 1 }}
            onChange={({ value }) => {
              if (typeof value === 'number' && value > 0) onGive({ ...state, step: value });
            }}
          />
        </label>
      ) : null}
      {type.kind === 'number' || type.kind === 'choice' ? (
        <label title="Behind the last comes the first">
          <input
            type="checkbox"
            aria-label={`${label}: behind the last comes the first`}
            checked={round === true}
            onChange={({ target }) =>
              onGive({
                ...without,
                ...(open ? { open } : {}),
                ...(target.checked ? { round: true } : {}),
              })
            }
          />{' '}
          round
        </label>
      ) : null}
      <label title="What stands around an instance or in its slots may set it, too">
        <input
          type="checkbox"
          aria-label={`${label}: what is around may set it`}
          checked={open === true}
          onChange={({ target }) =>
            onGive({
              ...without,
              ...(round ? { round } : {}),
              ...(target.checked ? { open: true } : {}),
            })
          }
        />{' '}
        open
      </label>
    </span>
  );
}
