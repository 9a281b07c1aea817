import type { DocId, EntryDoc, NodeId, Source, ValueType } from '../model';
import {
  evaluate,
  HIDE,
  Later,
  LaterEntry,
  runQuery,
  type Data,
  type Known,
  type Run,
} from '../value';
import { needs, writtenAttribute } from './attributes';
import { textOf } from './build';
import { escapeAttribute, escapeText } from './escape';
import type { Linked, LinkedElement, LinkedNode, LinkedRepeat } from './linked';
import { instanceScope, itemScope, rootScope, type Scope } from './scope';

/** What is left to do for each page once everything known has been written: a string, or a function of the run. */
type Residue = string | ((run: Run) => string);

/** A page's body, ready to be written for any entry, and what of the styles it may show. */
export type Template = { readonly body: Residue; readonly used: Used };

/** The styles that some entry may show: nodes with declarations of their own, and tags. */
export interface Used {
  /** By class: the document and node that declare it, and their height. */
  readonly classes: Map<string, { doc: DocId; node: NodeId; height: number }>;
  readonly tags: Set<string>;
}

/**
 * Evaluates everything that does not depend on the entry of a page, definitions written out in place,
 * and leaves the rest as functions over runs of finished HTML.
 */
export function prepare(linked: Linked, data: Data, perEntry: boolean): Template {
  const page = perEntry ? new LaterEntry((run) => run.page) : undefined;
  const parts = new Parts({ classes: new Map(), tags: new Set() });
  writeNode(linked.root, rootScope(linked, data, page), '', parts);
  return { body: parts.join(), used: parts.used };
}

/** The HTML of a prepared body, for an entry where the page is made from entries. */
export function write(template: Template, entry?: EntryDoc): string {
  const { body } = template;
  if (typeof body === 'string') return body;
  if (!entry) throw new Error('This page is made from entries; writing it needs one.');
  return body({ page: entry, items: [] });
}

/** Collects residues, joining neighbouring strings. */
class Parts {
  private readonly list: Residue[] = [];

  constructor(readonly used: Used) {}

  /** Other parts that count towards the same use of styles. */
  inner(): Parts {
    return new Parts(this.used);
  }

  note(className: string, scope: Scope, height: number): void {
    if (className !== '' && !this.used.classes.has(className))
      this.used.classes.set(className, { doc: scope.within.doc, node: className, height });
  }

  add(part: Residue): void {
    if (part === '') return;
    const last = this.list.length - 1;
    if (typeof part === 'string' && last >= 0 && typeof this.list[last] === 'string')
      this.list[last] += part;
    else this.list.push(part);
  }

  join(): Residue {
    const { list } = this;
    if (list.length === 0) return '';
    if (list.length === 1) return list[0]!;
    return sequence(list);
  }
}

/** One function for a list of residues: strings stand in the closure, so no list is walked while writing. */
function sequence(list: readonly Residue[]): (run: Run) => string {
  const parts = [...list];
  if (typeof parts[0] !== 'string') parts.unshift('');
  if (parts.length % 2 === 0 || typeof parts[parts.length - 1] !== 'string') parts.push('');
  // Alternate string, function, string …: two functions in a row get an empty string between.
  const strings: string[] = [];
  const functions: ((run: Run) => string)[] = [];
  let expectString = true;
  for (const part of parts) {
    if (typeof part === 'string') {
      if (expectString) strings.push(part);
      else strings[strings.length - 1] += part;
      expectString = false;
    } else {
      if (expectString) strings.push('');
      functions.push(part);
      expectString = true;
    }
  }
  if (strings.length === functions.length) strings.push('');
  return joined(strings, functions, 0, functions.length);
}

function joined(
  s: readonly string[],
  f: readonly ((run: Run) => string)[],
  from: number,
  to: number,
): (run: Run) => string {
  const [a, b, c, d] = [f[from], f[from + 1], f[from + 2], f[from + 3]];
  const [s0, s1, s2, s3, s4] = [s[from]!, s[from + 1]!, s[from + 2]!, s[from + 3]!, s[from + 4]!];
  switch (to - from) {
    case 1:
      return (run) => s0 + a!(run) + s1;
    case 2:
      return (run) => s0 + a!(run) + s1 + b!(run) + s2;
    case 3:
      return (run) => s0 + a!(run) + s1 + b!(run) + s2 + c!(run) + s3;
    case 4:
      return (run) => s0 + a!(run) + s1 + b!(run) + s2 + c!(run) + s3 + d!(run) + s4;
    default: {
      // The string between two halves belongs to the first; the second begins with none.
      const first = joined(s, f, from, from + 4);
      const strings = s.slice(from + 4);
      strings[0] = '';
      const rest = joined(strings, f.slice(from + 4), 0, to - from - 4);
      return (run) => first(run) + rest(run);
    }
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
        inner.add(textResidue(evaluate(node.text, 'text', scope))),
      );
    case 'instance':
      return conditional(node.shown, scope, parts, (inner) => {
        inner.note(node.ownClass, scope, node.component.height + 1);
        const classes =
          node.ownClass && outer ? `${node.ownClass} ${outer}` : node.ownClass || outer;
        writeNode(node.component.root, instanceScope(node, scope), classes, inner);
      });
    case 'slot': {
      const fill = scope.slots[node.slot];
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
  const { read } = value;
  guarded(parts, writeInner, (run) => {
    const known = read(run);
    return known !== null && known.type === 'boolean' && known.value === true;
  });
}

function guarded(
  parts: Parts,
  writeInner: (parts: Parts) => void,
  passes: (run: Run) => boolean,
): void {
  const inner = parts.inner();
  writeInner(inner);
  const residue = inner.join();
  if (residue === '') return;
  parts.add(
    typeof residue === 'string'
      ? (run) => (passes(run) ? residue : '')
      : (run) => (passes(run) ? residue(run) : ''),
  );
}

function writeElement(node: LinkedElement, scope: Scope, outer: string, parts: Parts): void {
  const tests: ((run: Run) => boolean)[] = [];
  const open = parts.inner();
  const classes = node.ownClass && outer ? `${node.ownClass} ${outer}` : node.ownClass || outer;
  open.add(classes ? `<${node.tag} class="${classes}"` : `<${node.tag}`);
  if (node.tag === 'img' && !node.attributes.some(({ name }) => name === 'src')) return;
  for (const { name, type, source } of node.attributes) {
    const value = evaluate(source, type, scope);
    const required = needs(node.tag, name);
    if (value instanceof Later) {
      const { read } = value;
      if (required)
        tests.push((run) => {
          const known = read(run);
          return known !== null && known !== HIDE;
        });
      else if (value.mayHide) tests.push((run) => read(run) !== HIDE);
      open.add(attributeResidue(name, type, read, scope.data));
    } else {
      if (value === HIDE || (value === null && required)) return;
      open.add(attributeText(name, value, scope.data));
    }
  }
  for (const child of node.children) {
    if (child.kind !== 'text') continue;
    const value = evaluate(child.text, 'text', scope);
    if (value === HIDE) return;
    if (value instanceof Later && value.mayHide) tests.push((run) => value.read(run) !== HIDE);
  }
  parts.note(node.ownClass, scope, 0);
  parts.used.tags.add(node.tag);
  const all = (inner: Parts) => {
    inner.add(open.join());
    inner.add('>');
    if (node.isVoid) return;
    writeList(node.children, scope, inner);
    inner.add(`</${node.tag}>`);
  };
  if (tests.length === 0) return all(parts);
  const [test] = tests;
  guarded(parts, all, tests.length === 1 ? test! : (run) => tests.every((passes) => passes(run)));
}

/** An attribute that is known only while writing; what its type needs is worked out beforehand. */
function attributeResidue(
  name: string,
  type: ValueType,
  read: (run: Run) => Known,
  data: Data,
): (run: Run) => string {
  const open = ` ${name}="`;
  if (type === 'link')
    return (run) => {
      const known = read(run);
      return known !== null && known.type === 'link' && known.value !== null
        ? open + escapeAttribute(data.href(known.value)) + '"'
        : '';
    };
  return (run) => attributeText(name, read(run), data);
}

function attributeText(name: string, value: Known, data: Data): string {
  if (value !== null && value.type === 'text' && value.value !== null)
    return ` ${name}="${escapeAttribute(value.value)}"`;
  let out = '';
  for (const [key, text] of writtenAttribute(name, value, data))
    out += ` ${key}="${escapeAttribute(text)}"`;
  return out;
}

function textResidue(value: Known | Later): Residue {
  if (!(value instanceof Later)) return escapeText(textOf(value));
  const { read } = value;
  return (run) => escapeText(textOf(read(run)));
}

function writeRepeat(node: LinkedRepeat, scope: Scope, parts: Parts): void {
  const entries = runQuery(node.query, scope);
  if (typeof entries !== 'function') {
    if (entries.length === 0) writeList(node.none, scope, parts);
    for (const entry of entries) writeList(node.items, itemScope(node.id, entry, scope), parts);
    return;
  }
  const { depth } = scope;
  const inner = parts.inner();
  writeList(
    node.items,
    itemScope(node.id, new LaterEntry((run) => run.items[depth]!), scope),
    inner,
  );
  const none = parts.inner();
  writeList(node.none, scope, none);
  const item = residueFunction(inner.join());
  const without = residueFunction(none.join());
  parts.add((run) => {
    const list = entries(run);
    if (list.length === 0) return without(run);
    let out = '';
    for (const entry of list) {
      run.items[depth] = entry;
      out += item(run);
    }
    return out;
  });
}

function residueFunction(residue: Residue): (run: Run) => string {
  return typeof residue === 'string' ? () => residue : residue;
}
