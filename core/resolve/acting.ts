import { positionIn, type Data, type Known, type Run } from '../value';
import { escapeAttribute } from './escape';
import {
  classesOf,
  customsOf,
  textHtml,
  type ActingStep,
  type Program,
  type WhenAt,
} from './program';
import { levelIn, writtenAttribute } from './semantics';
import { StatesAround, type Begun } from './states-around';
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
  private readonly around: StatesAround;
  /** What the next element says of the instances whose root it is. */
  private rooted: Record<string, Begun> = {};

  constructor(
    private readonly data: Data,
    private readonly run: Run,
    private readonly acting: Acting,
  ) {
    this.around = new StatesAround(run);
  }

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
          const { isAsked, now } = this.around.asking(() =>
            step.tests.every((test) => this.holds(test)),
          );
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

  private instance(
    { states, then }: Extract<ActingStep, { is: 'instance' }>,
    hidden: readonly (readonly Test[])[],
  ): string {
    const number = this.instances;
    this.instances += 1;
    const held = (state: string) => this.acting.held?.(number, state);
    return this.around.inside(states, held, (begun) => {
      Object.assign(this.rooted, begun);
      const out = this.all(then, hidden);
      // What has no element has no states that anybody could change.
      for (const name in begun) delete this.rooted[name];
      return out;
    });
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
    const unlessEmpty = (name: string, text: string): readonly (readonly [string, string])[] =>
      text === '' ? [] : [[name, text]];
    say(() => unlessEmpty('class', classesOf(classes, this.run)));
    for (const { name, value } of attributes)
      say(() => writtenAttribute(name, this.around.known(value), this.data));
    say(() => unlessEmpty('style', customsOf(customs, this.data, this.run)));
    if (hidden.length > 0) open += this.hidden(hidden, varying);
    const [only, ...more] = children;
    let inner: string;
    if (more.length === 0 && typeof only === 'object' && only.is === 'text') {
      const content = this.around.asking(() => this.textOf(only));
      inner = content.now;
      if (content.isAsked)
        varying.push(this.around.table<Attributes>(() => ({ [CONTENT]: this.textOf(only) })));
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
    const { isAsked, now } = this.around.asking(read);
    if (isAsked) {
      const table = this.around.table<Attributes>(() => Object.fromEntries(read()));
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
    const { isAsked, now } = this.around.asking(() => this.textOf(step));
    if (!isAsked) return this.words(now, step.rich, hidden);
    const varying: Varying[] = [
      this.around.table<Attributes>(() => ({ [CONTENT]: this.textOf(step) })),
    ];
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
        if (!this.around.has(state)) return [];
        if (typeof to === 'string') return [[state, to]];
        const at = this.around.placeOf(state, this.around.known(to));
        return at === undefined ? [] : [[state, at]];
      });
      return steps.length === 0 ? [] : [[on, steps]];
    });
    return told.length === 0 ? '' : ` data-sormet-acts="${escapeAttribute(JSON.stringify(told))}"`;
  }
}
