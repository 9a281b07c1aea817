import {
  docOf,
  nodeIn,
  own,
  repeatsAround,
  treeDocOf,
  type Act,
  type Acts,
  type Documents,
  type NodeId,
  type Property,
  type SetAct,
  type Source,
} from '../../model';
import { say } from '../../said';
import { type Refusal } from '../changes';
import { gone, refuse } from '../define';

/** How many acts one thing may do, and how far what is done when something fails may go on failing. */
export const MOST_ACTS = 40;
const DEEPEST_FAILING = 5;

/** Why acts cannot be written at a place: each does something to what is there; nothing where all can. */
export function actsRefusal(
  documents: Documents,
  doc: string,
  node: NodeId,
  acts: Acts,
  deep = 0,
): Refusal | undefined {
  if (deep > DEEPEST_FAILING || Object.keys(acts).length > MOST_ACTS)
    return refuse(say('does-enough', { many: deep > DEEPEST_FAILING ? deep : MOST_ACTS }), doc);
  for (const id of Object.keys(acts).sort()) {
    const act = acts[id]!;
    const why =
      actRefusal(documents, doc, node, act) ??
      (act.failing && actsRefusal(documents, doc, node, act.failing, deep + 1));
    if (why) return why;
  }
  return undefined;
}

/** The same of all that a source gives something to do. */
export function givenActsRefusal(
  documents: Documents,
  doc: string,
  node: NodeId,
  source: Source | null,
): Refusal | undefined {
  return source?.is === 'acts' ? actsRefusal(documents, doc, node, source.acts) : undefined;
}

function actRefusal(
  documents: Documents,
  doc: string,
  node: NodeId,
  act: Act,
): Refusal | undefined {
  if (act.do === 'set') {
    const { to } = act;
    const isField = typeof to === 'object' && 'field' in to;
    return (
      setRefusal(documents, doc, act) ??
      (isField ? targetRefusal(documents, doc, node, to.field, false) : undefined)
    );
  }
  if (act.do === 'ask' && act.address.is === 'value' && !isAsked(act.address.value))
    return refuse(say('asks-no-address'), doc);
  if (!('node' in act)) return undefined;
  const target = nodeIn(documents, doc, act.node);
  if (act.do === 'send' && target?.kind === 'element' && target.tag !== 'form')
    return refuse(say('sends-forms'), doc);
  return targetRefusal(documents, doc, node, act.node, OF_MANY.has(act.do));
}

/** What is done to the current one of several, where acts stand outside of the repeat that makes them. */
export const OF_MANY: ReadonlySet<Act['do']> = new Set(['focus', 'scroll']);

function targetRefusal(
  documents: Documents,
  doc: string,
  node: NodeId,
  of: NodeId,
  isOfMany: boolean,
): Refusal | undefined {
  const target = nodeIn(documents, doc, of);
  if (!target) return gone('the-element', doc);
  if (target.kind !== 'element') return refuse(say('acts-on-elements'), doc);
  const tree = treeDocOf(documents, doc)!;
  const around = new Set(repeatsAround(tree, node));
  return isOfMany || repeatsAround(tree, of).every((repeat) => around.has(repeat))
    ? undefined
    : refuse(say('acts-on-one-of-many'), doc);
}

function setRefusal(documents: Documents, doc: string, { state, to }: SetAct): Refusal | undefined {
  const property = stateOf(documents, doc, state);
  if (!property?.state) return refuse(say('sets-no-state'), doc);
  if (!('is' in state) && !property.state.open)
    return refuse(say('state-not-open', { label: property.label }), doc);
  if (to === 'other' && property.type.kind !== 'boolean')
    return refuse(say('other-of-two', { label: property.label }), doc);
  if ((to === 'next' || to === 'before') && property.type.kind === 'text')
    return refuse(say('no-next-words', { label: property.label }), doc);
  return undefined;
}

/** The property that a state is, where an act of a document names it. */
export function stateOf(
  documents: Documents,
  doc: string,
  state: SetAct['state'],
): Property | undefined {
  if (!('is' in state))
    return own(docOf(documents, 'component', state.component)?.properties ?? {}, state.property);
  if (state.is !== 'property' || state.path !== undefined) return undefined;
  return own(docOf(documents, 'component', doc)?.properties ?? {}, state.property);
}

/** Whether something can be asked: what has a scheme has that of the web (URL Standard, 4.1 and 4.4, which leaves out spaces and controls). */
function isAsked(address: unknown): boolean {
  if (typeof address !== 'string') return true;
  // oxlint-disable-next-line no-control-regex -- those are what is left out
  const scheme = /^([a-z][a-z0-9+.-]*):/i.exec(address.replace(/[\u0000-\u0020]/g, ''))?.[1];
  return scheme === undefined || /^https?$/i.test(scheme);
}
