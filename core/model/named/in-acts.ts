import type { Act, Acts, SetAct, StateRef } from '../acts';
import type { NodeId } from '../ids';
import type { Source } from '../source';
import { mapRecord, type At, type Naming } from './naming';

type MapSource = (source: Source, on: Naming, at: At) => Source | undefined;

/**
 * Acts as what they name is called now. One of which something means nothing there is left out; what is done only when
 * something holds that means nothing is done in any case no more, so it is left out, too.
 */
export function mapActs(acts: Acts, on: Naming, at: At, mapSource: MapSource): Acts {
  return mapRecord<Act>(acts, at, (act, where, id) => {
    const failing = act.failing && mapActs(act.failing, on, [...where, 'failing'], mapSource);
    const only = act.if && mapSource(act.if, on, [...where, 'if']);
    const does = mapDoes(act, on, where, mapSource);
    if (!does || (act.if && !only)) return undefined;
    if (does === act && failing === act.failing && only === act.if) return [id, act];
    return [id, { ...does, ...(only ? { if: only } : {}), ...(failing ? { failing } : {}) }];
  });
}

function mapDoes(act: Act, on: Naming, at: At, mapSource: MapSource): Act | undefined {
  const source = <T extends Act, M extends keyof T>(whole: T, member: M): T | undefined => {
    const held = whole[member] as Source;
    const now = mapSource(held, on, [...at, member as string]);
    return now === held ? whole : now && { ...whole, [member]: now };
  };
  switch (act.do) {
    case 'set':
      return mapSet(act, on, at, mapSource);
    case 'action':
      return source(act, 'action');
    case 'go':
      return source(act, 'to');
    case 'copy':
      return source(act, 'words');
    case 'ask':
      return source(act, 'address');
    case 'wait':
      return source(act, 'seconds');
    default: {
      const node = nodeNow(act.node, on);
      return node === act.node ? act : node === undefined ? undefined : { ...act, node };
    }
  }
}

function nodeNow(node: NodeId, on: Naming): NodeId | undefined {
  return on.node ? on.node(node) : node;
}

function mapSet(act: SetAct, on: Naming, at: At, mapSource: MapSource): SetAct | undefined {
  const state = mapState(act.state, on, at, mapSource);
  const to = mapTo(act.to, on, at, mapSource);
  if (!state || !to) return undefined;
  return state === act.state && to === act.to ? act : { ...act, state, to };
}

function mapTo(
  to: SetAct['to'],
  on: Naming,
  at: At,
  mapSource: MapSource,
): SetAct['to'] | undefined {
  if (typeof to === 'string' || 'answer' in to) return to;
  if ('field' in to) {
    const field = nodeNow(to.field, on);
    return field === to.field ? to : field === undefined ? undefined : { field };
  }
  const value = mapSource(to.value, on, [...at, 'to', 'value']);
  return value === to.value ? to : value && { value };
}

function mapState(state: StateRef, on: Naming, at: At, mapSource: MapSource): StateRef | undefined {
  if ('is' in state) return mapSource(state, on, [...at, 'state']);
  const component = on.named({ is: 'component', id: state.component, by: 'act' });
  const property = on.named({ is: 'property', of: state.component, id: state.property });
  if (component === undefined || property === undefined) return undefined;
  return component === state.component && property === state.property
    ? state
    : { component, property };
}
