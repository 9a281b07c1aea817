import type { ReactNode } from 'react';
import { Route } from 'lucide-react';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { IconButton } from '../parts/IconButton';

/** Shows beside the ledger where a value comes from. */
export function TraceButton({ label }: { label: string }): ReactNode {
  const dispatch = useAppDispatch();
  return (
    <IconButton
      icon={Route}
      name={`Trace of ${label}`}
      title="Where this comes from"
      onPress={() => dispatch(benchActions.traceValue(label))}
    />
  );
}
