import type { SingleKey } from '../../store/keymap';
import type { BenchAction } from './bench-action';

/** What may be done while somebody looks inside an instance: it shows something else, and changes nothing there. */
const LOOKING: ReadonlySet<SingleKey> = new Set(['trace', 'zoom', 'declare', 'inside', 'beside']);

/** What is said where something inside an instance would be changed from outside of its definition. */
export function insideWords(component: string): string {
  return `What stands inside belongs to the definition of ${component}: b opens it beside, Escape leads back out to the whole.`;
}

/** The actions of the bench while somebody looks inside an instance: what would change it says what can be done instead. */
export function whileInside(
  actions: readonly BenchAction[],
  say: () => void,
): readonly BenchAction[] {
  return actions.map((action) =>
    action.about === 'the bench' || (action.does && LOOKING.has(action.does))
      ? action
      : { ...action, offered: false, run: say },
  );
}
