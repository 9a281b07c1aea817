import {
  ACTION,
  BOOLEAN,
  inOrder,
  LINK,
  NUMBER,
  TEXT,
  type Act,
  type Acts,
  type ActsWhen,
  type BoundAction,
  type SetAct,
  type Source,
  type TypeSpec,
} from '../model';
import { evaluate, Later, type Data, type Known } from '../value';
import { stateName, type Scope } from './scope';
import type { StatesAround, Table } from './states-around';
import { targetMeant, type TargetAt } from './target-at';

/**
 * What the script of a page is told of what an element does, as JSON. What something is at that moment is told as it is, or as
 * what it is for each combination of the states that it asks for.
 */
type At<T> = T | { readonly n: readonly string[]; readonly t: Readonly<Record<string, T>> };

/** Where a state is set to: its place among all that it can be, a way, words, or what was answered. */
type To =
  | string
  | At<number>
  | { readonly v: At<string> }
  /** A name in what was answered, and where a state of so many values is with each of them. */
  | { readonly a: string; readonly m?: Readonly<Record<string, number>> }
  /** The element that is asked what it says, and the same. */
  | { readonly f: number; readonly m?: Readonly<Record<string, number>> };

/**
 * One act: what is done, to what, how; only when; what is done where it fails. See `core/compile/behaviour-js.ts`, which does it.
 */
type Step = readonly [
  does: string,
  what: unknown,
  how?: unknown,
  only?: At<0 | 1> | 0,
  failing?: readonly Step[],
];

/** What happens, what is done then, and more of what happens where there is more to say. */
type Told = readonly [
  on: ActsWhen['on'],
  steps: readonly Step[],
  more?: { key?: string; seconds?: number; way?: string; again?: 1; stop?: 1 },
];

/** Actions given on and on end somewhere: a component cannot contain itself. What goes round all the same ends here. */
const DEEPEST_ACTION = 20;

/** What a script is asked of an act whose turn it is: one letter each. */
const LETTERS = {
  action: 'd',
  go: 'g',
  scroll: 'r',
  focus: 'f',
  open: 'o',
  close: 'c',
  check: 'k',
  send: 'm',
  copy: 'y',
  ask: 'q',
  wait: 'w',
} as const;

/** Tells the script of a page what its elements do. */
export class ToldActs {
  /** Whether anything is done beside setting states at once. */
  isMore = false;

  /** @param idOf the id that an element has in the page, by which acts find it */
  constructor(
    private readonly around: StatesAround,
    private readonly data: Data,
    private readonly idOf: (target: TargetAt) => number,
  ) {}

  /**
   * What an element does, `''` where that is nothing.
   * @param isSent whether it is a form that goes somewhere by itself, unless its acts send it
   */
  told(whens: readonly { readonly when: ActsWhen; readonly at: Scope }[], isSent: boolean): string {
    const told = whens.flatMap(({ when, at }): Told[] => {
      const steps = this.steps(when.acts, at, 0);
      if (steps.length === 0) return [];
      const { on, key, seconds, way, again } = when;
      const more = {
        ...(on === 'key' && key !== undefined ? { key } : {}),
        ...(on === 'time' ? { seconds: seconds ?? 5 } : {}),
        ...(on === 'swipe' ? { way: way ?? 'left' } : {}),
        ...(again ? { again: 1 as const } : {}),
        ...(on === 'submit' && (!isSent || sends(steps)) ? { stop: 1 as const } : {}),
      };
      return [Object.keys(more).length > 0 ? [on, steps, more] : [on, steps]];
    });
    return told.length === 0 ? '' : JSON.stringify(told);
  }

  private steps(acts: Acts, at: Scope, deep: number): Step[] {
    return inOrder(acts).flatMap(([, act]): Step[] => {
      const only = act.if && this.at(act.if, BOOLEAN, at, (known) => (isYes(known) ? 1 : 0));
      // What is never done says nothing.
      if (only === 0) return [];
      const step = this.step(act, at, deep);
      if (!step) return [];
      const failing = act.failing && this.steps(act.failing, at, deep);
      const [does, what, how] = step;
      // What is always done needs no word of when.
      const when = only === undefined || only === 1 ? 0 : only;
      if (failing && failing.length > 0) return [[does, what, how ?? 0, when, failing]];
      if (when !== 0) return [[does, what, how ?? 0, when]];
      return [how === undefined ? [does, what] : [does, what, how]];
    });
  }

  private step(
    act: Act,
    at: Scope,
    deep: number,
  ): readonly [does: string, what: unknown, how?: unknown] | undefined {
    if (act.do === 'set') return this.set(act, at);
    this.isMore = true;
    const letter = LETTERS[act.do];
    switch (act.do) {
      case 'action':
        return this.action(act.action, at, deep);
      case 'go': {
        const to = this.at(act.to, LINK, at, (known) => this.href(known));
        return to === '' ? undefined : [letter, to];
      }
      case 'copy':
        return [letter, this.at(act.words, TEXT, at, wordsOf)];
      case 'ask': {
        const address = this.at(act.address, TEXT, at, wordsOf);
        return address === '' ? undefined : [letter, address, act.post ? 1 : 0];
      }
      case 'wait':
        return [letter, this.at(act.seconds, NUMBER, at, (known) => numberOf(known))];
      default: {
        const target = targetMeant(act.node, at);
        return target && [letter, this.idOf(target)];
      }
    }
  }

  /** The acts that an action which was given holds: they are read where they were written. */
  private action(
    source: Source,
    at: Scope,
    deep: number,
  ): readonly [does: string, what: unknown] | undefined {
    if (deep >= DEEPEST_ACTION) return undefined;
    const given = evaluate(source, ACTION, at);
    const steps = (known: Known): Step[] => {
      if (known?.type !== 'action' || !known.value) return [];
      const { acts, at: written } = known.value as BoundAction;
      return this.steps(acts as Acts, written as Scope, deep + 1);
    };
    if (!(given instanceof Later)) {
      const all = steps(given);
      return all.length === 0 ? undefined : ['d', all];
    }
    const { isAsked, now } = this.around.asking(() => this.around.known(given));
    if (!isAsked) return [LETTERS.action, steps(now)];
    const [names, table] = this.around.table(() => this.around.known(given));
    const all = Object.entries(table).map(([key, known]) => [key, steps(known)] as const);
    return [LETTERS.action, { n: names, t: Object.fromEntries(all) }];
  }

  private set(
    { state: ref, to }: SetAct,
    at: Scope,
  ): readonly [does: string, what: string, how: To] | undefined {
    const isOwn = 'is' in ref;
    if (isOwn && ref.is !== 'property') return undefined;
    const name = isOwn
      ? stateName(at.within.doc, (ref as Extract<Source, { is: 'property' }>).property)
      : stateName(ref.component, ref.property);
    const state = this.around.of(name);
    if (!state || (!isOwn && !state.isOpen)) return undefined;
    if (typeof to === 'string') return state.values ? ['s', name, to] : undefined;
    if (!('value' in to)) {
      this.isMore = true;
      const places = this.around.placesByWords(name);
      const by = places ? { m: places } : {};
      if ('answer' in to) return ['s', name, { a: to.answer, ...by }];
      const field = targetMeant(to.field, at);
      return field && ['s', name, { f: this.idOf(field), ...by }];
    }
    if (!state.values) {
      this.isMore = true;
      return ['s', name, { v: this.at(to.value, TEXT, at, wordsOf) }];
    }
    const place = this.at(to.value, state.type, at, (known) => this.around.placeOf(name, known));
    return place === undefined ? undefined : ['s', name, place as At<number>];
  }

  /** What a source comes to when its turn comes. */
  private at<T>(source: Source, type: TypeSpec, scope: Scope, as: (known: Known) => T): At<T> {
    const value = evaluate(source, type, scope);
    const read = () => as(this.around.known(value));
    const { isAsked, now } = this.around.asking(read);
    if (!isAsked) return now;
    const [n, t]: Table<T> = this.around.table(read);
    return { n, t };
  }

  private href(known: Known): string {
    return known?.type === 'link' && known.value ? this.data.href(known.value) : '';
  }
}

/** Whether a form is sent among steps, however deep. */
function sends(steps: readonly Step[]): boolean {
  return JSON.stringify(steps).includes(`["${LETTERS.send}",`);
}

function isYes(known: Known): boolean {
  return known?.type === 'boolean' && known.value === true;
}

function wordsOf(known: Known): string {
  return known?.type === 'text' ? (known.value ?? '') : '';
}

function numberOf(known: Known): number {
  return known?.type === 'number' ? (known.value ?? 0) : 0;
}
