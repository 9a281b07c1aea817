import type { Made, Source, Words } from '../source';
import type { WordsPiece } from '../types';
import { mapActs } from './in-acts';
import { mapPieces, mapTyped } from './in-values';
import type { At, Naming } from './naming';

type SourceOf<K extends Source['is']> = Extract<Source, { is: K }>;
type Sources = {
  readonly [K in Source['is']]: (
    source: SourceOf<K>,
    on: Naming,
    at: At,
  ) => SourceOf<K> | undefined;
};

/**
 * What sources of each kind name. A property is one of the definition around and a repeat stands in its tree: those
 * are named where the source stands, so whoever puts others in their place does so with `Naming.source`.
 */
const SOURCES: Sources = {
  value: (source, on) => {
    const { is: _, whenEmpty: __, ...typed } = source;
    const now = mapTyped(typed, on);
    return now === typed || now.value === source.value
      ? source
      : ({ ...source, value: now.value } as SourceOf<'value'>);
  },
  property: (source, on) => withPath(source, on),
  field: (source, on) => withPath(source, on),
  position: (source) => source,
  leaf: (source) => source,
  today: (source) => source,
  begins: (source, on, at) => {
    const of = mapSource(source.of, on, at);
    return of === source.of ? source : of && { ...source, of };
  },
  // What means nothing any more leaves a name that stands for nothing: the whole fails where it is read, and is told.
  expression: (source, on, at) => {
    const names = mapNames(source, on, at);
    return names === source.names ? source : { ...source, names };
  },
  words: (source, on, at) => {
    const names = mapNames(source, on, at);
    const pieces = mapPieces(source.pieces as WordsPiece[], on);
    return names === source.names && pieces === source.pieces
      ? source
      : ({ ...source, names, pieces } as Words);
  },
  acts: (source, on, at) => {
    const acts = mapActs(source.acts, on, [...at, 'acts'], mapSource);
    return acts === source.acts ? source : { ...source, acts };
  },
};

function mapNames({ names: before }: Made, on: Naming, at: At): Record<string, Source> {
  let same = true;
  const names: Record<string, Source> = {};
  for (const name of Object.keys(before).sort()) {
    const held = before[name]!;
    const now = mapSource(held, on, at);
    if (now !== held) same = false;
    names[name] = now ?? GONE;
  }
  return same ? before : names;
}

/** What stands in the place of something that is gone: nothing, of a kind that everything can be asked about. */
const GONE: Source = Object.freeze({ is: 'value', type: 'text', value: null });

function withPath<T extends SourceOf<'property' | 'field'>>(source: T, on: Naming): T | undefined {
  if (!source.path || !on.path) return source;
  const path = on.path(undefined, source.path);
  if (path === undefined) return undefined;
  return path.join() === source.path.join() ? source : { ...source, path };
}

/** A source as it is named now, with what stands in for it; nothing where that means nothing either. */
export function mapSource(source: Source, on: Naming, at: At = []): Source | undefined {
  return on.source ? on.source(source, at) : mapSourceParts(source, on, at);
}

/** The same of its parts alone: for who has looked at the source as a whole already. */
export function mapSourceParts(source: Source, on: Naming, at: At = []): Source | undefined {
  const own = mapOneSource(source, on, at);
  const { whenEmpty } = source;
  if (typeof whenEmpty !== 'object') return own;
  const use = mapSource(whenEmpty.use, on, at);
  if (!own) return use;
  if (own === source && use === whenEmpty.use) return source;
  const { whenEmpty: _, ...alone } = own;
  return use ? { ...alone, whenEmpty: { use } } : alone;
}

/** The same of a source alone, whatever stands in for it. */
export function mapOneSource(source: Source, on: Naming, at: At = []): Source | undefined {
  const map = SOURCES[source.is] as (source: Source, on: Naming, at: At) => Source | undefined;
  return map(source, on, at);
}
