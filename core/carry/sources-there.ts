import {
  own,
  isMade,
  queriedType,
  text,
  type Acts,
  type ComponentDoc,
  type Literal,
  type Made,
  type NodeId,
  type RichPiece,
  type Source,
  type TreeNode,
  type Typed,
} from '../model';
import { emptyLiteral } from '../edit';
import { say, type Said, type Told } from '../said';
import type { Carrying } from './carrying';

/** Where a source is read: in what was pasted, or in a definition that comes along and keeps its own. */
export type Reader = 'here' | ComponentDoc;

/** What of a query is bound. */
const QUERIED: Readonly<Record<string, Said>> = {
  limit: say('bound-limit'),
  offset: say('bound-offset'),
  related: say('bound-related'),
};

/** How what a clip is fed from is read where it comes to stand. */
export class SourcesThere {
  /**
   * @param value a value as it is there: what it names is called otherwise
   * @param acts the same of acts
   */
  constructor(
    private readonly carrying: Carrying,
    private readonly value: (typed: Typed) => unknown,
    private readonly acts: (acts: Acts, at: Reader) => Acts,
  ) {}

  /**
   * A source at a member of a node (see `sourcesOf`), with what is said where it cannot be read there, and what takes
   * its place: nothing, where the member is better left out.
   */
  at(
    source: Source,
    at: Reader,
    [member, name, ...rest]: readonly string[],
    node: TreeNode | undefined,
  ): Source | undefined {
    const nothing = () => undefined;
    switch (member) {
      case 'text':
        return this.source(source, at, say('bound-text'), () => text(''));
      case 'shown':
        return this.source(source, at, say('bound-shown'), nothing);
      case 'attributes':
        return this.source(source, at, name!, nothing);
      case 'values': {
        const { components } = this.carrying.clip;
        const component = node?.kind === 'instance' ? own(components, node.component) : undefined;
        const label = component?.properties[name!]?.label ?? say('a-property');
        return this.source(source, at, label, nothing);
      }
      case 'query':
        if (name === 'from')
          return this.source(source, at, say('bound-list'), () =>
            emptyLiteral({ kind: 'list', fields: {} }),
          );
        if (name === 'where') return this.source(source, at, say('bound-condition'), nothing);
        return this.source(source, at, QUERIED[name!] ?? say('bound-repeat'), nothing);
      case 'whens':
        return this.source(source, at, say('bound-act'), nothing);
      case 'chosen':
        // Elsewhere it has for good what was chosen for it (see `chosenForGood`).
        return this.read(source, at);
      default:
        return this.source(
          source,
          at,
          rest.length > 0 ? say('bound-declaration') : say('a-value'),
          nothing,
        );
    }
  }

  /**
   * A source as it is read there; what cannot be read gives way to what it held, else to what stands in for it.
   * @param what what is fed by it
   */
  source(
    source: Source,
    at: Reader,
    what: Told,
    standIn: () => Literal | undefined,
  ): Source | undefined {
    const read = this.read(source, at);
    const { whenEmpty } = source;
    if (!read) {
      if (typeof whenEmpty === 'object') return this.source(whenEmpty.use, at, what, standIn);
      this.carrying.lost(say('left-binding', { what }));
      return this.held(source) ?? standIn();
    }
    if (typeof whenEmpty !== 'object') return read;
    const use = this.source(whenEmpty.use, at, what, standIn);
    const { whenEmpty: _, ...alone } = read;
    return use ? { ...alone, whenEmpty: { use } } : alone;
  }

  /** What a source held where it was copied, where the clip says so. */
  held(source: Source): Literal | undefined {
    const { clip } = this.carrying;
    if (source.is === 'property') {
      const held = own(clip.components, clip.doc)?.properties[source.property]?.default;
      return held?.is === 'value' ? this.literal(held) : undefined;
    }
    if (source.is !== 'field' || source.from !== 'page' || source.path.length !== 1)
      return undefined;
    const held = clip.entry && own(clip.entry.values, source.path[0]!);
    return held ? this.literal({ is: 'value', ...(held as Typed) }) : undefined;
  }

  private literal(literal: Literal): Literal {
    const { is: _, whenEmpty: __, ...typed } = literal;
    return { ...literal, value: this.value(typed) } as Literal;
  }

  private read(source: Source, at: Reader): Source | undefined {
    if (source.is === 'value') return this.literal(source);
    if (isMade(source)) return this.made(source, at);
    if (source.is === 'acts') return { ...source, acts: this.acts(source.acts, at) };
    if (at !== 'here') return this.readInside(source, at);
    const { clip, target, there, ids } = this.carrying;
    if (source.is === 'property')
      return target.kind === 'component' &&
        target.id === clip.doc &&
        own(target.properties, source.property)
        ? source
        : undefined;
    if (source.is === 'position') {
      const repeat = this.repeatThere(source.repeat);
      return repeat === undefined ? undefined : { ...source, repeat };
    }
    if (source.is === 'begins') {
      const repeat = this.repeatThere(source.repeat);
      const of = this.read(source.of, at) ?? this.held(source.of);
      return repeat !== undefined && of ? { ...source, repeat, of } : undefined;
    }
    if (source.is === 'today') return source;
    if (source.is === 'leaf') {
      const list = ids.get(source.repeat) ?? (target.id === clip.doc ? source.repeat : undefined);
      return list === undefined ? undefined : { ...source, repeat: list };
    }
    const { from } = source;
    const comesAlong = from === 'page' ? undefined : ids.get(from.repeat);
    if (from !== 'page' && comesAlong !== undefined) {
      const repeat = clip.nodes[from.repeat]!;
      const type = repeat.kind === 'repeat' ? queriedType(repeat.query) : undefined;
      const path = type === undefined ? source.path : there.path(type, source.path);
      return path && { ...source, from: { repeat: comesAlong }, path };
    }
    const type = from === 'page' ? clip.entries : own(clip.around, from.repeat);
    if (type === null || type === undefined) return undefined;
    const path = there.path(type, source.path);
    const reader = this.readerOf(from, there.type(type));
    return path && reader && { ...source, from: reader, path };
  }

  /** The repeat that comes along, else the one it was read from where that is around, else the nearest. */
  private repeatThere(from: NodeId): NodeId | undefined {
    const { ids, repeats } = this.carrying;
    const near = repeats.find(({ repeat }) => repeat === from) ?? repeats[0];
    return ids.get(from) ?? near?.repeat;
  }

  /** What is made from names that are read there; for what cannot be, what it held; nothing where that is not known either. */
  private made<M extends Made>(source: M, at: Reader): M | undefined {
    const names: Record<string, Source> = {};
    for (const name of Object.keys(source.names).sort()) {
      const now = this.read(source.names[name]!, at) ?? this.held(source.names[name]!);
      if (!now) return undefined;
      names[name] = now;
    }
    if (source.is !== 'words') return { ...source, names };
    const pieces = this.value({ type: 'rich', value: source.pieces as RichPiece[] });
    return { ...source, names, pieces } as M;
  }

  /** What gives an entry of a type at the place: the one it was read from, else the nearest that does. */
  private readerOf(
    from: Extract<Source, { is: 'field' }>['from'],
    type: string | undefined,
  ): typeof from | undefined {
    const { target, repeats } = this.carrying;
    const ofPage = target.kind === 'page' && target.entries !== null && target.entries === type;
    if (from === 'page' && ofPage) return 'page';
    const same = repeats.find(({ repeat }) => from !== 'page' && repeat === from.repeat);
    const near = same ?? repeats.find((each) => each.type === type);
    if (near) return { repeat: near.repeat };
    return ofPage ? 'page' : undefined;
  }

  /** In a definition that comes along: its properties are its own, fields are those of its repeats. */
  private readInside(
    source: Exclude<Source, { is: 'value' | 'expression' | 'words' | 'acts' }>,
    component: ComponentDoc,
  ): Source | undefined {
    if (source.is === 'begins') {
      const of = this.read(source.of, component);
      return of && { ...source, of };
    }
    if (source.is !== 'field') return source;
    const repeat = source.from === 'page' ? undefined : own(component.nodes, source.from.repeat);
    const type = repeat?.kind === 'repeat' ? queriedType(repeat.query) : undefined;
    if (type === undefined) return source;
    const path = this.carrying.there.path(type, source.path);
    return path && { ...source, path };
  }
}
