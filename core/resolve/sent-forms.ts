import { TEXT, writtenName, type NodeId } from '../model';
import { Later, type Known, type Result } from '../value';
import { withinKey, type Scope } from './scope';
import type { AttributeAt } from './attribute-at';
import { isYes } from './varied';

const SENDS = writtenName('sends');

/**
 * What a form says of where it goes (HTML Living Standard, 4.10.21.3) where it is sent to the inbox of its site: to its own page,
 * with the place in which it stands, by which the page's form is found again.
 */
export function addSending(attributes: AttributeAt[], node: NodeId, scope: Scope): void {
  const sends = attributes.find(({ name }) => name === SENDS)?.value ?? null;
  if (sends === null) return;
  const place = `${withinKey(scope.within)}/${node}`.replace(/[^\w-]+/g, '.');
  for (const [name, said] of [
    ['action', `?send=${place}`],
    ['method', 'post'],
  ] as const) {
    const at = attributes.findIndex((each) => each.name === name);
    const before: AttributeAt = attributes[at] ?? { name, type: TEXT, value: null };
    const now = { ...before, type: TEXT, value: either(sends, said, before.value) };
    if (at < 0) attributes.push(now);
    else attributes[at] = now;
  }
}

/** Words where something is yes, else what stands there otherwise. */
function either(sends: Result, words: string, otherwise: Result): Result {
  const said: Known = { type: 'text', value: words };
  if (!(sends instanceof Later)) return isYes(sends) ? said : otherwise;
  return new Later((run) => {
    if (isYes(sends.read(run))) return said;
    return otherwise instanceof Later ? otherwise.read(run) : otherwise;
  }, false);
}
