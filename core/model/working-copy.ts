import type { Doc, Documents } from './documents';
import { own } from './own';
import { tokensOf } from './pointer';

type Container = Record<string, unknown>;

/**
 * Documents while many changes are written into them. What is written to is copied once, however often it is
 * written to, and all else is shared: containers in `copied` belong to this working copy alone and are
 * changed in place; nothing that was handed in ever is. When `documents` has been handed out, no more is written.
 */
export class WorkingCopy {
  private readonly now: Container;
  private readonly copied = new Set<object>();

  constructor(documents: Documents) {
    this.now = { ...documents };
  }

  get documents(): Documents {
    return this.now as Record<string, Doc>;
  }

  /** What stands at a JSON Pointer into a document. */
  read(doc: string, path: string): unknown {
    let at = own(this.now, doc);
    for (const token of tokensOf(path)) {
      if (typeof at !== 'object' || at === null) return undefined;
      at = own(at as Container, token);
    }
    return at;
  }

  /** Puts a value at a JSON Pointer, `undefined` takes the member away. @returns whether there was something to put it into */
  write(doc: string, path: string, value: unknown): boolean {
    const tokens = [doc, ...tokensOf(path)];
    let container = this.now;
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
    if (typeof inner !== 'object' || inner === null || Array.isArray(inner)) return undefined;
    if (this.copied.has(inner)) return inner as Container;
    const copy = { ...inner } as Container;
    this.copied.add(copy);
    put(of, name, copy);
    return copy;
  }
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
