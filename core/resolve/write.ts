import { own, type DocId, type EntryDoc, type NodeId, type Source } from '../model';
import { evaluate, HIDE, Later, LaterEntry, runQuery, type Data, type Known } from '../value';
import { needs } from './attributes';
import { textOf } from './build';
import { emit } from './emit';
import { escapeText } from './escape';
import type { Linked, LinkedElement, LinkedInstance, LinkedNode, LinkedRepeat } from './linked';
import { attributeText, interpret, type Program, type Step, type Test } from './program';
import { instanceScope, itemScope, rootScope, type Scope } from './scope';

/** A page's body, ready to be written for any entry, and what of the styles it may show. */
export interface Template {
  /** What is left to do for each page: a string alone when nothing is. */
  readonly program: Program;
  readonly write: (entry: EntryDoc | undefined) => string;
  readonly used: Used;
}

/** The styles that some entry may show: nodes with declarations of their own, and tags. */
export interface Used {
  /** By class: the document and node that declare it, and their height. */
  readonly classes: Map<string, { doc: DocId; node: NodeId; height: number }>;
  readonly tags: Set<string>;
}

/**
 * Evaluates everything that does not depend on the entry of a page, definitions written out in place,
 * and leaves the rest as a program over runs of finished HTML.
 */
export function prepare(linked: Linked, data: Data): Template {
  const entries = linked.source.kind === 'page' ? linked.source.entries : null;
  const page = entries === null ? undefined : new LaterEntry((run) => run.page, 'page', entries);
  const parts = new Parts({ classes: new Map(), tags: new Set() });
  writeNode(linked.root, rootScope(linked, data, page), '', parts);
  const { steps: program, used } = parts;
  return { program, used, write: writerOf(program, data) };
}

function writerOf(program: Program, data: Data): Template['write'] {
  const [only = ''] = program;
  if (program.length <= 1 && typeof only === 'string') return () => only;
  const run = emit(program, data) ?? ((each) => interpret(program, data, each));
  return (entry) => {
    if (!entry) throw new Error('This page is made from entries; writing it needs one.');
    return run({ page: entry, items: [] });
  };
}

/** The HTML of a prepared body, for an entry where the page is made from entries. */
export function write(template: Template, entry?: EntryDoc): string {
  return template.write(entry);
}

/** Collects steps, joining neighbouring strings. */
class Parts {
  readonly steps: Step[] = [];

  constructor(readonly used: Used) {}

  /** Other parts that count towards the same use of styles. */
  inner(): Parts {
    return new Parts(this.used);
  }

  note({ ownClass, id }: LinkedElement | LinkedInstance, scope: Scope, height: number): void {
    if (ownClass !== '' && !this.used.classes.has(ownClass))
      this.used.classes.set(ownClass, { doc: scope.within.doc, node: id, height });
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

function writeNode(node: LinkedNode, scope: Scope, outer: string, parts: Parts): void {
  switch (node.kind) {
    case 'element':
      return conditional(node.shown, scope, parts, (inner) =>
        writeElement(node, scope, outer, inner),
      );
    case 'text':
      return conditional(node.shown, scope, parts, (inner) =>
        inner.add(textStep(evaluate(node.text, 'text', scope))),
      );
    case 'instance':
      return conditional(node.shown, scope, parts, (inner) => {
        inner.note(node, scope, node.component.height + 1);
        const classes =
          node.ownClass && outer ? `${node.ownClass} ${outer}` : node.ownClass || outer;
        writeNode(node.component.root, instanceScope(node, scope), classes, inner);
      });
    case 'slot': {
      const fill = own(scope.slots, node.slot);
      return writeList(fill ? fill.nodes : node.fallback, fill ? fill.scope : scope, parts);
    }
    case 'repeat':
      return writeRepeat(node, scope, parts);
  }
}

function writeList(nodes: readonly LinkedNode[], scope: Scope, parts: Parts): void {
  for (const node of nodes) writeNode(node, scope, '', parts);
}

/** Writes what is shown on a condition: at once when it is known, else behind a test. */
function conditional(
  shown: Source | undefined,
  scope: Scope,
  parts: Parts,
  writeInner: (parts: Parts) => void,
): void {
  if (!shown) return writeInner(parts);
  const value = evaluate(shown, 'boolean', scope);
  if (!(value instanceof Later)) {
    if (value !== null && value.type === 'boolean' && value.value === true) writeInner(parts);
    return;
  }
  guarded(parts, [{ value, passes: 'yes' }], writeInner);
}

function guarded(parts: Parts, tests: readonly Test[], writeInner: (parts: Parts) => void): void {
  const inner = parts.inner();
  writeInner(inner);
  if (inner.steps.length > 0) parts.add({ is: 'when', tests, then: inner.steps });
}

function writeElement(node: LinkedElement, scope: Scope, outer: string, parts: Parts): void {
  const tests: Test[] = [];
  const open = parts.inner();
  const classes = node.ownClass && outer ? `${node.ownClass} ${outer}` : node.ownClass || outer;
  open.add(classes ? `<${node.tag} class="${classes}"` : `<${node.tag}`);
  if (node.tag === 'img' && !node.attributes.some(({ name }) => name === 'src')) return;
  for (const { name, type, source } of node.attributes) {
    const value = evaluate(source, type, scope);
    const required = needs(node.tag, name);
    if (value instanceof Later) {
      if (required) tests.push({ value, passes: 'there' });
      else if (value.mayHide) tests.push({ value, passes: 'unhidden' });
      open.add({ is: 'attribute', name, type, value });
    } else {
      if (value === HIDE || (value === null && required)) return;
      open.add(attributeText(name, value, scope.data));
    }
  }
  for (const child of node.children) {
    if (child.kind !== 'text') continue;
    const value = evaluate(child.text, 'text', scope);
    if (value === HIDE) return;
    if (value instanceof Later && value.mayHide) tests.push({ value, passes: 'unhidden' });
  }
  parts.note(node, scope, 0);
  parts.used.tags.add(node.tag);
  const all = (inner: Parts) => {
    inner.addAll(open.steps);
    inner.add('>');
    if (node.isVoid) return;
    writeList(node.children, scope, inner);
    inner.add(`</${node.tag}>`);
  };
  if (tests.length === 0) return all(parts);
  guarded(parts, tests, all);
}

function textStep(value: Known | Later): Step {
  return value instanceof Later ? { is: 'text', value } : escapeText(textOf(value));
}

function writeRepeat(node: LinkedRepeat, scope: Scope, parts: Parts): void {
  const entries = runQuery(node.query, scope);
  if (typeof entries !== 'function') {
    if (entries.length === 0) writeList(node.none, scope, parts);
    for (const entry of entries) writeList(node.items, itemScope(node.id, entry, scope), parts);
    return;
  }
  const { depth } = scope;
  const item = parts.inner();
  const entry = new LaterEntry((run) => run.items[depth]!, depth, node.query.type);
  writeList(node.items, itemScope(node.id, entry, scope), item);
  const none = parts.inner();
  writeList(node.none, scope, none);
  parts.add({ is: 'each', entries, depth, item: item.steps, none: none.steps });
}
