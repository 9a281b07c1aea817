import { sameJson } from '../model';
import { Later, positionIn, type Data, type Known, type Result, type Run } from '../value';
import { escapeAttribute } from './escape';
import {
  classesText,
  customsText,
  textHtml,
  type ActingStep,
  type Program,
  type StateAt,
  type WhenAt,
} from './program';
import { levelIn, writtenAttribute } from './semantics';
import { holds, type Test } from './varied';

/** What states are at when a page is written: of the n-th instance that has any, in the order of the page. */
export type Held = (instance: number, state: string) => Known | undefined;

/** How a page with states is written: as it is published, or as its script leaves it when the states are held so. */
export interface Acting {
  readonly held?: Held;
}

/** Attributes of an element by name, as they are in one combination of states; `null` for one that is not there. */
type Attributes = Readonly<Record<string, string | null>>;

/** What stands in the place of an attribute for what an element holds. */
const CONTENT = '';

/**
 * What of an element goes by states: by which, and what it is for each combination of them, under their places among all that
 * each can be, with commas between.
 */
type Varying = readonly [states: readonly string[], at: Readonly<Record<string, Attributes>>];

/**
 * Writes a page that has states. What goes by them is worked out for each combination of those that it asks, by the one
 * evaluator that writes everything: so whatever a visitor does, the page is what it would be if it were written anew.
 */
export function interpretActing(
  program: Program,
  data: Data,
  run: Run,
  acting: Acting = {},
): string {
  return new ActingWriter(data, run, acting).all(program, []);
}

class ActingWriter {
  private instances = 0;
  /** The states around, by name; the nearest of a name is meant. */
  private states: ReadonlyMap<string, StateAt> = new Map();
  /** What the next element says of the instances whose root it is. */
  private rooted: Record<string, readonly [at: number, of: number, round: 0 | 1]> = {};

  constructor(
    private readonly data: Data,
    private readonly run: Run,
    private readonly acting: Acting,
  ) {}

  /** @param hidden what decides whether it is seen, where that goes by states: it is there in any case */
  all(program: Program, hidden: readonly (readonly Test[])[]): string {
    let out = '';
    for (const step of program) {
      if (typeof step === 'string') {
        out += this.words(step, undefined, hidden);
        continue;
      }
      switch (step.is) {
        case 'element':
          out += this.element(step, hidden);
          break;
        case 'instance':
          out += this.instance(step, hidden);
          break;
        case 'words':
          out += this.words(step.html, step.rich, hidden);
          break;
        case 'text':
          out += this.text(step, hidden);
          break;
        case 'when': {
          const { isAsked, now } = this.asking(() => step.tests.every((test) => this.holds(test)));
          if (isAsked) out += this.all(step.then, [...hidden, step.tests]);
          else if (now) out += this.all(step.then, hidden);
          break;
        }
        case 'each': {
          const items = step.items(this.run);
          if (items.length === 0) out += this.all(step.none, hidden);
          const past = step.past?.(this.run);
          items.forEach((item, i) => {
            this.run.items[step.depth] = item;
            if (step.asksPosition) this.run.positions[step.depth] = positionIn(items, i, past);
            out += this.all(step.item, hidden);
          });
          break;
        }
        // Only elements have attributes, and those are written whole.
        case 'attribute':
        case 'classes':
        case 'customs':
      }
    }
    return out;
  }

  private holds(test: Test): boolean {
    return holds(test, this.run);
  }

  private known(value: Result): Known {
    return value instanceof Later ? value.read(this.run) : value;
  }

  private instance(
    { states, then }: Extract<ActingStep, { is: 'instance' }>,
    hidden: readonly (readonly Test[])[],
  ): string {
    const [outer, held] = [this.states, this.run.held];
    const number = this.instances;
    this.instances += 1;
    const now = new Map(held);
    const all = new Map(outer);
    for (const state of states) {
      const first = this.known(state.first);
      // What begins empty, or between two steps, can be that, too; nothing an act does brings it back there.
      const isOne = state.values.some((each) => isSame(each, first));
      const values = isOne ? state.values : [...state.values, first];
      const value = this.acting.held?.(number, state.name) ?? first;
      const at = values.findIndex((each) => isSame(each, value));
      now.set(state.name, value);
      all.set(state.name, { ...state, values });
      this.rooted[state.name] = [at, state.values.length, state.isRound ? 1 : 0];
    }
    this.states = all;
    this.run.held = now;
    const out = this.all(then, hidden);
    this.states = outer;
    this.run.held = held;
    // What has no element has no states that anybody could change.
    for (const { name } of states) delete this.rooted[name];
    return out;
  }

  private element(
    step: Extract<ActingStep, { is: 'element' }>,
    hidden: readonly (readonly Test[])[],
  ): string {
    const { classes, attributes, customs, children } = step;
    const tag = step.tags.find(({ tests }) => tests.every((test) => this.holds(test)))!.tag;
    const { rooted } = this;
    this.rooted = {};
    const varying: Varying[] = [];
    let open = `<${tag}`;
    const say = (read: () => readonly (readonly [string, string])[]) => {
      open += this.said(read, varying);
    };
    say(() => {
      const text = classesText(classes, this.run);
      return text === '' ? [] : [['class', text.slice(' class="'.length, -1)]];
    });
    for (const { name, value } of attributes)
      say(() => writtenAttribute(name, this.known(value), this.data));
    say(() => {
      const text = customsText(customs, this.data, this.run);
      return text === '' ? [] : [['style', text.slice(' style="'.length, -1)]];
    });
    if (hidden.length > 0) open += this.hidden(hidden, varying);
    const [only, ...more] = children;
    let inner: string;
    if (more.length === 0 && typeof only === 'object' && only.is === 'text') {
      const content = this.asking(() => this.textOf(only));
      inner = content.now;
      if (content.isAsked) varying.push(this.table(() => ({ [CONTENT]: this.textOf(only) })));
    } else inner = this.all(children, []);
    if (Object.keys(rooted).length > 0)
      open += ` data-sormet-states="${escapeAttribute(JSON.stringify(rooted))}"`;
    open += this.acts(step.whens);
    if (varying.length > 0)
      open += ` data-sormet-vary="${escapeAttribute(JSON.stringify(varying))}"`;
    return step.isVoid ? `${open}>` : `${open}>${inner}</${tag}>`;
  }

  /** Some attributes as they are now; where they go by states, what they are for each combination is noted. */
  private said(read: () => readonly (readonly [string, string])[], varying: Varying[]): string {
    const { isAsked, now } = this.asking(read);
    if (isAsked) {
      const table = this.table(() => Object.fromEntries(read()));
      const names = new Set(Object.values(table[1]).flatMap((each) => Object.keys(each)));
      const whole: Record<string, Attributes> = {};
      for (const [at, each] of Object.entries(table[1]))
        whole[at] = Object.fromEntries([...names].map((name) => [name, each[name] ?? null]));
      varying.push([table[0], whole]);
    }
    return now.map(([name, text]) => ` ${name}="${escapeAttribute(text)}"`).join('');
  }

  /** Whether something is seen. As it is published it is: what a script hides, only a script can show again. */
  private hidden(hidden: readonly (readonly Test[])[], varying: Varying[]): string {
    const written = this.said(
      () =>
        hidden.every((tests) => tests.every((test) => this.holds(test))) ? [] : [['hidden', '']],
      varying,
    );
    return this.acting.held ? written : '';
  }

  private text(
    step: Extract<Program[number], { is: 'text' }>,
    hidden: readonly (readonly Test[])[],
  ): string {
    const { isAsked, now } = this.asking(() => this.textOf(step));
    if (!isAsked) return this.words(now, step.rich, hidden);
    const varying: Varying[] = [this.table(() => ({ [CONTENT]: this.textOf(step) }))];
    return this.wrapped(now, step.rich, hidden, varying);
  }

  private textOf({ value, rich, level }: Extract<Program[number], { is: 'text' }>): string {
    return textHtml(value.read(this.run), rich, levelIn(level, this.run), this.data);
  }

  private words(
    html: string,
    rich: Extract<ActingStep, { is: 'words' }>['rich'],
    hidden: readonly (readonly Test[])[],
  ): string {
    return hidden.length === 0 || html === '' ? html : this.wrapped(html, rich, hidden, []);
  }

  /** Words that go by states, in an element that can be told apart from what stands beside them. */
  private wrapped(
    html: string,
    rich: Extract<ActingStep, { is: 'words' }>['rich'],
    hidden: readonly (readonly Test[])[],
    varying: Varying[],
  ): string {
    const tag = rich === 'blocks' ? 'div' : 'span';
    const isHidden = hidden.length > 0 ? this.hidden(hidden, varying) : '';
    return `<${tag}${isHidden} data-sormet-words data-sormet-vary="${escapeAttribute(JSON.stringify(varying))}">${html}</${tag}>`;
  }

  /** What an element does, as its script is told: by what happens, the states with where they are set to. */
  private acts(whens: readonly WhenAt[]): string {
    const told = whens.flatMap(({ on, acts }) => {
      const steps = acts.flatMap(({ state, to }) => {
        const of = this.states.get(state);
        if (!of) return [];
        if (typeof to === 'string') return [[state, to]];
        const value = this.known(to);
        const at = of.values.findIndex((each) => isSame(each, value));
        return at < 0 ? [] : [[state, at]];
      });
      return steps.length === 0 ? [] : [[on, steps]];
    });
    return told.length === 0 ? '' : ` data-sormet-acts="${escapeAttribute(JSON.stringify(told))}"`;
  }

  /** What reading something gives now, and whether it asks for states. */
  private asking<T>(read: () => T): { readonly now: T; readonly isAsked: boolean } {
    const before = this.run.asked;
    const asked = (this.run.asked = new Set<string>());
    const now = read();
    this.run.asked = before;
    for (const name of asked) before?.add(name);
    return { now, isAsked: asked.size > 0 };
  }

  /** What something is for each combination of the states that it asks for, in any of them. */
  private table(read: () => Attributes): Varying {
    const { held } = this.run;
    let names: string[] = [];
    for (;;) {
      const asked = new Set(names);
      const at: Record<string, Attributes> = {};
      for (const places of this.combinations(names)) {
        const now = new Map(held);
        names.forEach((name, i) => now.set(name, this.valuesOf(name)[places[i]!]!));
        this.run.held = now;
        this.run.asked = asked;
        at[places.join()] = read();
      }
      this.run.held = held;
      this.run.asked = undefined;
      if (asked.size === names.length) return [names, at];
      names = [...asked].sort();
    }
  }

  private valuesOf(name: string): readonly Known[] {
    return this.states.get(name)!.values;
  }

  private *combinations(names: readonly string[]): Iterable<readonly number[]> {
    const [name, ...others] = names;
    if (name === undefined) return yield [];
    for (let at = 0; at < this.valuesOf(name).length; at += 1)
      for (const more of this.combinations(others)) yield [at, ...more];
  }
}

/** Whether two values are the same, wherever they were written. */
function isSame(a: Known, b: Known): boolean {
  return a?.type === b?.type && sameJson(a?.value, b?.value);
}
