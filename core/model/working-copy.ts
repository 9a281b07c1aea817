import type { Documents } from './document-set';
import type { Doc } from './documents';
import { own } from './own';
import { tokensOf } from './pointer';

type Container = Record<string, unknown>;

/**
 * Documents while many changes are written into them. What is written to is copied once, however often it is
 * written to, and all else is shared: containers in `copied` belong to this working copy alone and are
 * changed in place; nothing that was handed in ever is. When `documents` has been handed out, no more is written.
 */
export class WorkingCopy {
  /** The documents that were written to, as they are now; `undefined` for those that were taken away. */
  private readonly now = new Map<string, unknown>();
  private readonly copied = new Set<object>();

  constructor(private readonly before: Documents) {}

  get documents(): Documents {
    return this.before.changed(this.now as ReadonlyMap<string, Doc | undefined>);
  }

  private doc(id: string): unknown {
    return this.now.has(id) ? this.now.get(id) : this.before.get(id);
  }

  /** What stands at a JSON Pointer into a document. */
  read(doc: string, path: string): unknown {
    let at = this.doc(doc);
    for (const token of tokensOf(path)) {
      if (typeof at !== 'object' || at === null) return undefined;
      at = own(at as Container, token);
    }
    return at;
  }

  /** Puts a value at a JSON Pointer, `undefined` takes the member away. @returns whether there was something to put it into */
  write(doc: string, path: string, value: unknown): boolean {
    const tokens = tokensOf(path);
    if (tokens.length === 0) {
      this.now.set(doc, value);
      return true;
    }
    const held = this.doc(doc);
    if (!isContainer(held)) return false;
    const root = this.copied.has(held) ? held : this.copyOf(held);
    this.now.set(doc, root);
    let container = root;
    for (const token of tokens.slice(0, -1)) {
      const inner = this.own(container, token);
      if (!inner) return false;
      container = inner;
    }
    put(container, tokens.at(-1)!, value);
    return true;
  }

  /** The container under a name, copied when it is not this working copy's own yet. */
  private own(of: Container, name: string): Container | undefined {
    const inner = own(of, name);
    if (!isContainer(inner)) return undefined;
    if (this.copied.has(inner)) return inner;
    const copy = this.copyOf(inner);
    put(of, name, copy);
    return copy;
  }

  private copyOf(container: Container): Container {
    const copy = { ...container };
    this.copied.add(copy);
    return copy;
  }
}

function isContainer(value: unknown): value is Container {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Sets or deletes an own member; a plain assignment to `__proto__` would do something else. */
function put(container: Container, name: string, value: unknown): void {
  if (value === undefined) delete container[name];
  else if (name !== '__proto__') container[name] = value;
  else
    Object.defineProperty(container, name, {
      value,
      writable: true,
      enumerable: true,
      configurable: true,
    });
}
