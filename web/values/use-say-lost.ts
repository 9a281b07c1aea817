import { useCallback } from 'react';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';

/** Says what was typed and could not be kept, where its field is gone by then. */
export function useSayLost(): (typed: string, reason: string) => void {
  const dispatch = useAppDispatch();
  return useCallback(
    (typed, reason) => void dispatch(benchActions.notice(`“${typed}” was not kept. ${reason}`)),
    [dispatch],
  );
}
