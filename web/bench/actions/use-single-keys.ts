import { keyFor, type SingleKey } from '../../store/keymap';
import { useBench } from '../../store/store';
import type { BenchAction, Subject } from './bench-action';

/** An action that a single key does, by the key that it has in this window. */
export type SingleKeyAction = (
  does: SingleKey,
  about: Subject,
  label: string,
  run: () => void,
  offered?: boolean,
) => BenchAction;

/** Makes actions that single keys do; where those are off, they have none. */
export function useSingleKeys(): SingleKeyAction {
  const { keymap } = useBench('keymap');
  return (does, about, label, run, offered = false) => ({
    label,
    about,
    does,
    key: keymap.on ? keyFor(keymap, does) : '',
    offered,
    run,
  });
}
