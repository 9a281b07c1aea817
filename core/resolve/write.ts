import {
  own,
  type DocId,
  type EntryDoc,
  type NodeId,
  type StateOf,
  type TypeSpec,
  writtenName,
} from '../model';
import {
  Later,
  LaterItem,
  leavesFor,
  mayBeState,
  newRun,
  positionIn,
  queriedItems,
  runQuery,
  valuesOfState,
  type Data,
  type Item,
  type Known,
  type Leaf,
  type Queried,
  type Run,
} from '../value';
import { interpretActing, type Acting, type Does } from './acting';
import { emit } from './emit';
import { escapeAttribute } from './escape';
import { writtenContent, type Content } from './fragments';
import type {
  ClassTerm,
  Look,
  Linked,
  LinkedElement,
  LinkedInstance,
  LinkedNode,
  LinkedRepeat,
  LinkedText,
} from './linked';
import { attributeText, interpret, type Program, type StateAt, type Step } from './program';
import {
  contentOf,
  customText,
  elementAt,
  levelAt,
  allSaidAt,
  partAt,
  shownAt,
  tagsAt,
  textAt,
  type ElementAt,
} from './semantics';
import { sharedClassOf } from './look';
import { targetsAt } from './target-at';
import { NO_LOOK, type LookAt } from './look-at';
import { type Test } from './varied';
import {
  dataFor,
  instanceScope,
  itemScope,
  leafFor,
  onLeaf,
  rootScope,
  stateName,
  type Scope,
} from './scope';

/** A page's body, ready to be written for any entry, and what of the styles it may show. */
export interface Template {
  /** What is left to do for each page: a string alone when nothing is. */
  readonly program: Program;
  readonly write: (entry: EntryDoc | undefined, leaf: Leaf, acting?: Acting) => WrittenLeaf;
  /** Whether something on it has states that visitors change. */
  readonly acts: boolean;
  /** The first of the pages that its lists are divided over. */
  readonly first: (entry: EntryDoc | undefined) => Leaf;
  readonly used: Used;
}

/** A page's body as it is written, and how many pages its lists are divided over. */
export interface WrittenLeaf {
  readonly html: string;
  readonly leaves: number;
  /** What of a script it needs; nothing for a page that does nothing. */
  readonly does: Does | undefined;
}

/** The styles that some entry may show: nodes with declarations of their own, and tags. */
export interface Used {
  /** By class and height: what declares it. */
  readonly classes: Map<string, UsedClass>;
  readonly tags: Set<string>;
  /** The types of what sources give declarations: tokens of these types may be among it. */
  readonly fed: Set<string>;
  /** Whether there is rich text that is known only for a page: any element and shared style of words may be in it. */
  words: boolean;
  /** Whether something may be hidden by its states. */
  readonly acts: boolean;
}

/** The tag of what an icon is drawn as. */
export const DRAWING = 'svg';

/** A class that something may have, and where its declarations stand. */
export interface UsedClass {
  readonly className: string;
  readonly by: ClassTerm['by'];
  readonly doc: DocId;
  readonly node: NodeId;
  readonly height: number;
}

/** Notes the classes of a node at a height; a shared style counts once for each height it is put on at. */
export function noteLook(
  used: Used,
  { classes, customs }: Look,
  doc: DocId,
  node: NodeId,
  height: number,
): void {
  for (const { type } of customs) used.fed.add(type.kind);
  for (const { className, by } of classes) {
    const key = `${className} ${height}`;
    if (!used.classes.has(key)) used.classes.set(key, { className, by, doc, node, height });
  }
}

/**
 * Evaluates everything that does not depend on the entry of a page, definitions written out in place,
 * and leaves the rest as a program over runs of finished HTML.
 */
export function prepare(linked: Linked, site: Data): Template {
  const data = dataFor(linked.source, site);
  const entries = linked.source.kind === 'page' ? linked.source.entries : null;
  const page = entries === null ? undefined : new LaterItem((run) => run.page, 'page', entries);
  const { acts } = linked;
  const parts = new Parts({
    classes: new Map(),
    tags: new Set(),
    fed: new Set(),
    words: false,
    acts,
  });
  const leaf = (run: Run) => run.leaf;
  const scope = rootScope(linked, data, page, undefined, undefined, leaf, linked.acts);
  writeNode(linked.root, scope, NO_LOOK, parts);
  const { steps: program, used } = parts;
  const first = (entry: EntryDoc | undefined) => leafFor(linked, entry);
  return { program, used, first, acts, write: writerOf(program, data, entries !== null, acts) };
}

function writerOf(
  program: Program,
  data: Data,
  isPerEntry: boolean,
  acts: boolean,
): Template['write'] {
  const [only = ''] = program;
  if (program.length <= 1 && typeof only === 'string')
    return () => ({ html: only, leaves: 1, does: acts ? DOES_LITTLE : undefined });
  const plain = acts
    ? undefined
    : (emit(program, data) ?? ((run: Run) => interpret(program, data, run)));
  return (entry, leaf, acting) => {
    if (!entry && isPerEntry)
      throw new Error('This page is made from entries; writing it needs one.');
    const now = newRun(entry, leaf);
    const written = plain
      ? { html: plain(now), does: undefined }
      : interpretActing(program, data, now, acting);
    return { ...written, leaves: now.leaves };
  };
}

const DOES_LITTLE: Does = { more: false, happenings: false, keys: false, wrong: false };

/**
 * The HTML of a prepared body, for an entry where the page is made from entries.
 * @param leaf which of the pages that its lists are divided over; the first, without
 */
export function write(
  template: Template,
  entry?: EntryDoc,
  leaf: Leaf = template.first(entry),
): string {
  return template.write(entry, leaf).html;
}

/** Collects steps, joining neighbouring strings. */
class Parts {
  readonly steps: Step[] = [];

  constructor(readonly used: Used) {}

  /** Other parts that count towards the same use of styles. */
  inner(): Parts {
    return new Parts(this.used);
  }

  note(node: LinkedElement | LinkedInstance, scope: Scope, height: number): void {
    noteLook(this.used, node.look, scope.within.doc, node.id, height);
    const part = partAt(node, scope);
    if (part) noteLook(this.used, part.look, part.doc, part.instance, part.height);
  }

  add(step: Step): void {
    if (step === '') return;
    const last = this.steps.length - 1;
    const before = this.steps[last];
    if (typeof step === 'string' && typeof before === 'string') this.steps[last] = before + step;
    else this.steps.push(step);
  }

  addAll(steps: Program): void {
    for (const step of steps) this.add(step);
  }
}

function writeNode(node: LinkedNode, scope: Scope, outer: LookAt, parts: Parts): void {
  switch (node.kind) {
    case 'element':
      return conditional(node.shown, scope, parts, (inner) =>
        writeElement(node, scope, outer, inner),
      );
    case 'text':
      return conditional(node.shown, scope, parts, (inner) => writeText(node, scope, inner));
    case 'instance':
      return conditional(node.shown, scope, parts, (inner) => {
        inner.note(node, scope, node.component.height + 1);
        const look = allSaidAt(node, scope, outer);
        const within = instanceScope(node, scope);
        const states = scope.acting ? statesAt(node, within) : [];
        if (states.length === 0) return writeNode(node.component.root, within, look, inner);
        const of = inner.inner();
        writeNode(node.component.root, within, look, of);
        inner.add({ is: 'instance', states, then: of.steps });
      });
    case 'slot': {
      const fill = own(scope.slots, node.slot);
      return conditional(node.shown, scope, parts, (inner) =>
        writeList(fill ? fill.nodes : node.fallback, fill ? fill.scope : scope, inner),
      );
    }
    case 'repeat':
      return writeRepeat(node, scope, parts);
  }
}

function writeList(nodes: readonly LinkedNode[], scope: Scope, parts: Parts): void {
  for (const node of nodes) writeNode(node, scope, NO_LOOK, parts);
}

/** Writes what is shown on a condition: at once when it is known, else behind a test. */
function conditional(
  shown: LinkedElement['shown'],
  scope: Scope,
  parts: Parts,
  writeInner: (parts: Parts) => void,
): void {
  const value = shownAt(shown, scope);
  if (value instanceof Later) guarded(parts, [{ value, passes: 'yes' }], writeInner);
  else if (value) writeInner(parts);
}

function guarded(parts: Parts, tests: readonly Test[], writeInner: (parts: Parts) => void): void {
  const inner = parts.inner();
  writeInner(inner);
  if (inner.steps.length > 0) parts.add({ is: 'when', tests, then: inner.steps });
}

function writeElement(node: LinkedElement, scope: Scope, outer: LookAt, parts: Parts): void {
  const here = elementAt(node, scope);
  if (!here) return;
  if (scope.acting) return writeActingElement(node, here, scope, outer, parts);
  const open = parts.inner();
  const look = allSaidAt(node, scope, outer);
  open.add(classStep(look));
  for (const { name, type, value } of here.attributes)
    open.add(
      value instanceof Later
        ? { is: 'attribute', name, type, value }
        : attributeText(name, value, scope.data),
    );
  const { focus } = here;
  open.add(styleStep(focus ? [...look.customs, focus] : look.customs, scope.data));
  parts.note(node, scope, 0);
  const tags = tagsAt(node, scope);
  for (const { tag } of tags) parts.used.tags.add(tag);
  const all = (inner: Parts) => {
    // Which tag it is known to be in nearly all cases; where it is not, each is written behind what it asks.
    for (const [i, { tag, tests }] of tags.entries()) {
      const others = tags.slice(0, i).map((each): Test => ({ not: each.tests }));
      const written = (within: Parts) => {
        within.add('<' + tag);
        within.addAll(open.steps);
        within.add('>');
        if (node.isVoid) return;
        writeList(node.children, scope, within);
        within.add(`</${tag}>`);
      };
      if (tags.length === 1) written(inner);
      else guarded(inner, [...tests, ...others], written);
    }
  };
  if (here.tests.length === 0) return all(parts);
  guarded(parts, here.tests, all);
}

/** An element of a page with states: written whole, so that whatever goes by them is told of it. */
function writeActingElement(
  node: LinkedElement,
  { attributes, focus, tests }: ElementAt,
  scope: Scope,
  outer: LookAt,
  parts: Parts,
): void {
  const { classes, customs } = allSaidAt(node, scope, outer);
  parts.note(node, scope, 0);
  const tags = tagsAt(node, scope);
  for (const { tag } of tags) parts.used.tags.add(tag);
  const children = parts.inner();
  if (!node.isVoid) writeList(node.children, scope, children);
  const element: Step = {
    is: 'element',
    tags,
    isVoid: node.isVoid,
    classes,
    attributes,
    customs: focus ? [...customs, focus] : customs,
    whens: node.whens.map((when) => ({ when, at: scope })),
    targets: targetsAt(node.id, scope),
    children: withoutWhatStays(children.steps, scope.data),
  };
  if (tests.length === 0) parts.add(element);
  else parts.add({ is: 'when', tests, then: [element] });
}

/**
 * What stands in an element, with what no visitor and no entry changes as it is written: nothing of it is asked about again. What
 * may be hidden stays what it is: that is told of an element, not of its words.
 */
function withoutWhatStays(steps: readonly Step[], data: Data): Program {
  const all: Step[] = [];
  for (const step of steps) {
    const html = stays(step, data);
    const last = all.length - 1;
    const before = all[last];
    if (html === undefined) all.push(step);
    else if (typeof before === 'string') all[last] = before + html;
    else all.push(html);
  }
  return all;
}

/** The HTML of a step that comes to the same on every page, whatever is done there; nothing where it may not. */
function stays(step: Step, data: Data): string | undefined {
  if (typeof step === 'string') return step;
  if (step.is === 'words') return step.html;
  if (step.is !== 'element') return undefined;
  const { tags, isVoid, attributes, customs, whens, targets, children } = step;
  const [inner = '', ...more] = children;
  const isPlain =
    tags.length === 1 && tags[0]!.tests.length === 0 && whens.length === 0 && targets.length === 0;
  if (!isPlain || more.length > 0 || typeof inner !== 'string') return undefined;
  let open = `<${tags[0]!.tag}`;
  const className = classStep(step);
  const style = styleStep(customs, data);
  if (typeof className !== 'string' || typeof style !== 'string') return undefined;
  open += className;
  for (const { name, value } of attributes) {
    if (value instanceof Later || name === WRONG) return undefined;
    open += attributeText(name, value, data);
  }
  open += `${style}>`;
  return isVoid ? open : `${open}${inner}</${tags[0]!.tag}>`;
}

/** Words for what is wrong are a part of the script: a page is asked whether it has any. */
const WRONG = writtenName('wrong');

/** The states of an instance at a place. */
function statesAt({ component }: LinkedInstance, scope: Scope): StateAt[] {
  const { properties } = scope;
  return component.properties.flatMap(({ id, property: { state, type } }): StateAt[] => {
    if (!state || !mayBeState(type, state)) return [];
    const name = stateName(component.doc, id);
    const { round: isRound = false, open: isOpen = false } = state;
    const values = allOfState(type, state, component, scope);
    return [{ name, type, values, first: properties[id] ?? null, isRound, isOpen }];
  });
}

/** All that a state can be at a place: where it counts the items of a repeat, as many as are shown there. */
function allOfState(
  type: TypeSpec,
  state: StateOf,
  { counted }: Linked,
  scope: Scope,
): StateAt['values'] {
  const query = state.among === undefined ? undefined : own(counted, state.among);
  if (!query) return valuesOfState(type, state, 0);
  const found = runQuery(query, scope);
  const items = query.perPage === undefined ? found : divided(found, query.perPage);
  if (typeof items !== 'function') return valuesOfState(type, state, items.length);
  return (run) => valuesOfState(type, state, items(run).length)!;
}

/** The class attribute: written where every class is known, else made of those that hold for a page. */
function classStep({ classes }: Pick<LookAt, 'classes'>): Step {
  if (classes.every((each) => typeof each === 'string'))
    return classes.length === 0 ? '' : ` class="${classes.join(' ')}"`;
  return { is: 'classes', classes };
}

/** The style attribute with the custom properties that are set on the element itself. */
function styleStep(customs: LookAt['customs'], data: Data): Step {
  if (customs.some(({ value }) => value instanceof Later)) return { is: 'customs', customs };
  const known = customs.map(({ name, value }) => customText(name, value as Known, data));
  const style = known.filter(Boolean).join(';');
  return style === '' ? '' : ` style="${escapeAttribute(style)}"`;
}

function writeText(node: LinkedText, scope: Scope, parts: Parts): void {
  const { rich } = node;
  const value = textAt(node, scope);
  const level = levelAt(node, scope);
  if (value instanceof Later) {
    if (rich === 'line' || rich === 'blocks') parts.used.words = true;
    if (rich === 'icon') parts.used.tags.add(DRAWING);
    return parts.add({ is: 'text', value, rich, level });
  }
  if (typeof level !== 'number') {
    const known = value;
    if (rich === 'blocks') parts.used.words = true;
    return parts.add({ is: 'text', value: new Later(() => known, false), rich, level });
  }
  const content = contentOf(value, rich, level, scope.data);
  noteWords(parts.used, content);
  const html = writtenContent(content);
  parts.add(scope.acting && html !== '' ? { is: 'words', html, rich } : html);
}

/** Notes the tags and shared styles of words that are known. */
function noteWords(used: Used, content: Content): void {
  if (typeof content === 'string') return;
  for (const fragment of content) {
    if (typeof fragment === 'string') continue;
    used.tags.add(fragment.tag);
    if (fragment.style !== undefined) noteLook(used, wordLook(fragment.style), '', '', 0);
    noteWords(used, fragment.children);
  }
}

/** The look of words with a shared style. */
export function wordLook(style: DocId): Look {
  const className = sharedClassOf(style, 0);
  return { classes: [{ className, when: [], by: { is: 'shared', style } }], customs: [] };
}

function writeRepeat(node: LinkedRepeat, scope: Scope, parts: Parts): void {
  const { perPage } = node;
  const found = runQuery(node.query, scope);
  const items = perPage === undefined ? found : divided(found, perPage);
  if (typeof items !== 'function') {
    if (items.length === 0) writeList(node.none, scope, parts);
    items.forEach((item, i) => {
      writeList(node.items, itemScope(node, item, positionIn(items, i), scope), parts);
    });
    return;
  }
  const { depth } = scope;
  const inner = parts.inner();
  const type = queriedItems(node.query, scope) ?? {};
  const later = new LaterItem((run) => run.items[depth]!, depth, type);
  const position = (run: Run) => run.positions[depth]!;
  writeList(node.items, itemScope(node, later, position, scope), inner);
  const none = parts.inner();
  writeList(node.none, scope, none);
  parts.add({
    is: 'each',
    items,
    past: perPage === undefined ? undefined : (run) => (run.leaf.number - 1) * perPage,
    asksPosition: node.asksPosition,
    depth,
    item: inner.steps,
    none: none.steps,
  });
}

/** What stands on the page that is written, of a list that is divided over several; how many those are is noted. */
function divided(found: Queried, perPage: number): (run: Run) => readonly Item[] {
  return (run) => {
    const all = typeof found === 'function' ? found(run) : found;
    run.leaves = Math.max(run.leaves, leavesFor(all.length, perPage));
    return onLeaf(all, perPage, run.leaf).items;
  };
}
