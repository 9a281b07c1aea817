import {
  BOOLEAN,
  chainOf,
  isWide,
  kindOf,
  own,
  type NodeId,
  type Source,
  type TreeDoc,
  type TypeSpec,
} from '../model';
import type { LinkedNode, Look, Reads, Varied } from './linked';

/** Gathers what a node reads. */
export class ReadsBuilder {
  private readonly properties = new Set<string>();
  private readonly repeats = new Set<string>();
  private readonly positions = new Set<string>();
  private readonly slots = new Set<string>();
  private page = false;
  private data = false;
  private parts = false;
  private lists = false;

  constructor(private readonly doc: TreeDoc | null) {}

  /** What decides whether it shows is read. */
  shown(shown: Varied | undefined): this {
    return shown ? this.varied(shown, BOOLEAN) : this;
  }

  /** A source and what rules put in its place are read, with the properties those rules ask. */
  varied({ source, byRules }: Varied, type: TypeSpec): this {
    if (source) this.source(source, type);
    for (const each of byRules) {
      this.source(each.source, type);
      for (const { property } of each.when) this.properties.add(property);
    }
    return this;
  }

  /** A source is read, and what stands in for it where it is empty. */
  source(source: Source, type: TypeSpec): this {
    for (const each of chainOf(source)) this.one(each, type);
    return this;
  }

  /** Only what is written and read as one plain type needs no data: a field is read by its declared type. */
  private one(source: Source, type: TypeSpec): void {
    if (kindOf(type.kind).asksSite || !isWide(type)) this.data = true;
    switch (source.is) {
      case 'expression':
      case 'words':
        // Its names are read each as it is declared.
        this.data = true;
        break;
      case 'value':
        if (source.type !== type.kind) this.data = true;
        break;
      case 'property': {
        this.properties.add(source.property);
        const property =
          this.doc?.kind === 'component' ? own(this.doc.properties, source.property) : undefined;
        if (source.path?.length || property?.type.kind !== type.kind) this.data = true;
        break;
      }
      case 'position':
        this.positions.add(source.repeat);
        if (type.kind !== (source.as === 'number' ? 'number' : 'boolean')) this.data = true;
        break;
      case 'leaf':
        this.data = true;
        this.lists = true;
        break;
      case 'today':
        this.data = true;
        break;
      // What is done is no part of what is seen; what it reads stands in the chain.
      case 'acts':
        break;
      case 'begins':
        this.positions.add(source.repeat);
        this.data = true;
        break;
      case 'field':
        if (source.from === 'page') this.page = true;
        else this.repeats.add(source.from.repeat);
        this.data = true;
    }
  }

  /** All that nodes read is read by what holds them. */
  nodes(nodes: readonly LinkedNode[]): this {
    for (const { reads } of nodes) {
      for (const id of reads.properties) this.properties.add(id);
      for (const id of reads.repeats) this.repeats.add(id);
      for (const id of reads.positions) this.positions.add(id);
      for (const id of reads.slots) this.slots.add(id);
      this.page ||= reads.page;
      this.data ||= reads.data;
      this.parts ||= reads.parts;
      this.lists ||= reads.lists;
    }
    return this;
  }

  /** What a look asks: options of axes, what is chosen, what feeds declarations. */
  look({ classes, customs }: Look): this {
    for (const { when, unless = [], chosen } of classes) {
      for (const { property } of when) this.properties.add(property);
      for (const each of unless) for (const { property } of each) this.properties.add(property);
      if (chosen) this.source(chosen.source, chosen.type);
    }
    for (const { source, type } of customs) this.source(source, type);
    return this;
  }

  /** A part shows what the instance around says of it. */
  part(isPart: boolean): this {
    this.parts ||= isPart;
    return this;
  }

  /** A slot shows what fills it. */
  slot(id: string): this {
    this.slots.add(id);
    return this;
  }

  /** A repeat gives the entry that what stands in it reads. */
  without(repeat: NodeId): this {
    this.repeats.delete(repeat);
    this.positions.delete(repeat);
    return this;
  }

  /** Whether where the items of a repeat stand is read. */
  asksPosition(repeat: NodeId): boolean {
    return this.positions.has(repeat);
  }

  /** It reads data that is not told apart: whenever any of it changes, it is resolved anew. */
  all(): this {
    this.data = true;
    return this;
  }

  /** What was gathered, in an order that does not depend on how. */
  done(): Reads {
    return {
      properties: [...this.properties].sort(),
      page: this.page,
      repeats: [...this.repeats].sort(),
      positions: [...this.positions].sort(),
      slots: [...this.slots].sort(),
      data: this.data,
      parts: this.parts,
      lists: this.lists,
    };
  }
}
