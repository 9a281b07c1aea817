import type { ReactNode } from 'react';
import type { State } from '@sormet/core/model';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { statesOf, stateWord } from './states';

/** The states of what is selected: the one that is chosen is written to, and the canvas holds it. */
export function States({
  tag,
  declared,
}: {
  tag: string;
  /** Those of which some rule says something: marked. */
  declared: ReadonlySet<State>;
}): ReactNode {
  const held = useApp((state) => state.bench.state);
  const dispatch = useAppDispatch();
  return (
    <div className="style-states" role="radiogroup" aria-label="State">
      {statesOf(tag).map((state) => (
        <button
          key={state ?? 'rest'}
          type="button"
          role="radio"
          aria-checked={held === state}
          className={held === state ? 'is-held' : undefined}
          data-declared={state !== null && declared.has(state) ? true : undefined}
          title={state !== null && declared.has(state) ? 'Something is declared for it' : undefined}
          onClick={() => dispatch(benchActions.holdState(state))}
        >
          {stateWord(state)}
        </button>
      ))}
    </div>
  );
}
