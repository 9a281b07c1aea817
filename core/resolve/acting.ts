import { writtenName } from '../model';
import { positionIn, type Data, type Known, type Run } from '../value';
import { escapeAttribute } from './escape';
import { classesOf, customsOf, textHtml, type ActingStep, type Program } from './program';
import type { AttributeAt } from './attribute-at';
import { levelIn, writtenAttribute } from './semantics';
import { hasWordsOfStates, StatesAround, type Begun } from './states-around';
import type { TargetAt } from './target-at';
import { ToldActs } from './told-acts';
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
): { readonly html: string; readonly does: Does } {
  const writer = new ActingWriter(data, run, acting);
  const html = writer.all(program, []);
  return { html, does: writer.does };
}

/** What of a script a page needs: what sets states when something is pressed, what does more than that, what else may happen. */
export interface Does {
  readonly more: boolean;
  readonly happenings: boolean;
  /** Whether something that is no control of HTML is pressed: it is by keys, too. */
  readonly keys: boolean;
  /** Whether a field has words of its own for what is wrong with it. */
  readonly wrong: boolean;
}

const WRONG = writtenName('wrong');

class ActingWriter {
  private instances = 0;
  private readonly around: StatesAround;
  /** What the next element says of the instances whose root it is. */
  private rooted: Record<string, Begun> = {};
  private readonly acts: ToldActs;
  private readonly ids = new Map<string, number>();
  /** Which round it is of each repeat around that is known only now, by its depth. */
  private readonly rounds: number[] = [];
  private happens = false;
  private isPressed = false;
  private wrong = false;

  constructor(
    private readonly data: Data,
    private readonly run: Run,
    private readonly acting: Acting,
  ) {
    this.around = new StatesAround(run);
    this.acts = new ToldActs(this.around, data, (target) => this.idOf(target));
  }

  /** What of a script is needed for what was written. */
  get does(): Does {
    const more = this.acts.isMore || this.around.hasWords;
    return { more, happenings: this.happens, keys: this.isPressed, wrong: this.wrong };
  }

  /** The number by which acts find an element in the page. */
  private idOf({ key, depth }: TargetAt): number {
    const whole = `${this.rounds.slice(0, depth).join()} ${key}`;
    const known = this.ids.get(whole);
    if (known !== undefined) return known;
    this.ids.set(whole, this.ids.size);
    return this.ids.size - 1;
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
            this.rounds[step.depth] = i;
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
    for (const attribute of attributes) say(() => this.attribute(attribute));
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
    const says = new Set(attributes.map(({ name }) => name));
    this.wrong ||= says.has(WRONG);
    open += this.doing(step, tag, (name) => says.has(name));
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
    return `<${tag}${isHidden} data-sormet-words="" data-sormet-vary="${escapeAttribute(JSON.stringify(varying))}">${html}</${tag}>`;
  }

  /** An attribute as it is written. Words of a visitor stand in words alone: never in an address. */
  private attribute({ name, type, value }: AttributeAt): readonly (readonly [string, string])[] {
    const written = writtenAttribute(name, this.around.known(value), this.data);
    if (type.kind === 'text') return written;
    return written.filter(([, text]) => !hasWordsOfStates(text));
  }

  /** What an element does, as its script is told, and by what other acts find it. */
  private doing(
    { whens, targets }: Extract<ActingStep, { is: 'element' }>,
    tag: string,
    has: (name: string) => boolean,
  ): string {
    const ids = targets.map((target) => this.idOf(target)).join(' ');
    const at = ids === '' ? '' : ` data-sormet-at="${ids}"`;
    const told = this.acts.told(whens, has('action'));
    if (told === '') return at;
    this.happens ||= whens.some(({ when }) => when.on !== 'press');
    const acts = `${at} data-sormet-acts="${escapeAttribute(told)}"`;
    if (PRESSED_TAGS.has(tag) || !whens.some(({ when }) => when.on === 'press')) return acts;
    this.isPressed = true;
    const role = BUTTON_TAGS.has(tag) && !has('role') ? ' role="button"' : '';
    return `${acts} data-sormet-press=""${role}${has('tabindex') ? '' : ' tabindex="0"'}`;
  }
}

/** What is pressed by keys, too, as HTML says (HTML Living Standard, 6.4.2: activation behavior). */
const PRESSED_TAGS: ReadonlySet<string> = new Set([
  'a',
  'button',
  'input',
  'select',
  'textarea',
  'summary',
  'label',
  'option',
]);

/** What may be a button to who hears a page (ARIA in HTML, 4: roles that each element allows); a heading, say, may not. */
const BUTTON_TAGS: ReadonlySet<string> = new Set(['div', 'span', 'p', 'b', 'i', 'em', 'strong']);
