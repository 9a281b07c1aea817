import { createAction, type Action, type PayloadActionCreator } from '@reduxjs/toolkit';

/** What makes the next state of a slice from the last one and from what an action carries. */
type Change<S> = (state: S, carried: never) => S;

type ActionsOf<S, C extends Record<string, Change<S>>> = {
  readonly [K in keyof C]: PayloadActionCreator<
    C[K] extends (state: S, carried: infer P) => S ? (unknown extends P ? void : P) : void
  >;
};

/**
 * A slice of the store whose states are replaced whole. What it holds is large and shares what is the same from state to
 * state, so nothing is drafted: changes are plain functions.
 * @param name stands before the types of its actions
 */
export function plainSlice<S, const C extends Record<string, Change<S>>>(
  name: string,
  initial: S,
  changes: C,
): {
  readonly reducer: (state: S | undefined, action: Action) => S;
  readonly actions: ActionsOf<S, C>;
} {
  const byType = new Map<string, Change<S>>();
  const actions: Record<string, unknown> = {};
  for (const [each, change] of Object.entries(changes)) {
    const made = createAction<unknown>(`${name}/${each}`);
    actions[each] = made;
    byType.set(made.type, change);
  }
  return {
    reducer: (state = initial, action) => {
      const change = byType.get(action.type);
      return change ? change(state, (action as { payload?: unknown }).payload as never) : state;
    },
    actions: actions as ActionsOf<S, C>,
  };
}
