import { Kind as TYPE, type TSchema } from '@sinclair/typebox';
import { Value } from '@sinclair/typebox/value';
import {
  ACTS_SCHEMA,
  Block,
  FORMAT_OF_VALUE,
  Declared,
  Ref,
  RICH_PIECE,
  SOURCE_SCHEMA,
  Typed,
  VALUE_KINDS,
  WORDS_PIECE,
} from '../model';

const REFERRED = [SOURCE_SCHEMA, ACTS_SCHEMA, RICH_PIECE, WORDS_PIECE, FORMAT_OF_VALUE];

interface Described extends TSchema {
  readonly anyOf?: readonly TSchema[];
  readonly const?: unknown;
  readonly properties?: Readonly<Record<string, TSchema>>;
  readonly patternProperties?: Readonly<Record<string, TSchema>>;
  readonly items?: TSchema;
}

/** Schemas that stand in many places, by the names under which their members are listed once. */
const NAMES = new Map<TSchema, string>([
  [Block, 'Block'],
  [Declared, 'Declared'],
  [Ref, 'Ref'],
  [Typed, 'Typed'],
  ...VALUE_KINDS.flatMap(({ kind, value, spec }): [TSchema, string][] => [
    [value, `value of ${kind}`],
    [spec, `type of ${kind}`],
  ]),
]);

/** A schema by reference, as what it refers to, and by which name that is known. */
function named(schema: TSchema): [Described, string | undefined] {
  if (schema[TYPE] !== 'Ref' && schema[TYPE] !== 'This') {
    // What may be left out is a schema of its own around the same branches.
    const same = schema.anyOf === Typed.anyOf ? Typed : schema;
    return [same, NAMES.get(same) ?? schema.$id];
  }
  const found = REFERRED.find(({ $id }) => $id === schema.$ref);
  return [found ?? schema, found?.$id];
}

/** What happens where it is empty is said of a source of every kind in the same way; so is when an act is done, and what follows it. */
function memberName(here: string, member: string): string {
  if (member === 'whenEmpty') return 'Source.whenEmpty';
  return /^Acts\.\*\{/.test(here) && ['if', 'failing', 'order'].includes(member)
    ? `Acts.${member}`
    : `${here}.${member}`;
}

/** What a source or a list holds is a value of a kind: its members are listed under that. */
function isValue(where: string): boolean {
  return /^(Source|Typed|value of list.*)\{[^}]*type=\w+\}\.(value|type|is)$/.test(where);
}

/** What tells one branch of a union from the others: the words that are fixed in it. */
function branchName(schema: Described, i: number): string {
  if (schema.const !== undefined) return String(schema.const as string);
  const fixed = Object.entries(schema.properties ?? {}).flatMap(([name, member]) => {
    const value = (member as Described).const;
    return value === undefined ? [] : [`${name}=${String(value as string)}`];
  });
  return fixed.length > 0 ? fixed.join(',') : (schema.$id ?? String(schema.type ?? i));
}

/**
 * Every member that a schema lets through, one line for each: members of objects by name, those of records and lists
 * as `*`, branches of unions in braces. What refers to itself is listed once, under its own name.
 */
export function membersOf(schema: TSchema, at: string, found = new Set<string>()): Set<string> {
  const [described, name] = named(schema);
  const here = name ?? at;
  if (name !== undefined) {
    if (found.has(name)) return found;
    found.add(name);
  }
  described.anyOf?.forEach((branch, i) => {
    const [inner, id] = named(branch);
    const where = `${here}{${id ?? branchName(inner, i)}}`;
    found.add(where);
    membersOf(branch, where, found);
  });
  for (const [member, inner] of Object.entries(described.properties ?? {})) {
    const where = memberName(here, member);
    found.add(where);
    if (!isValue(where)) membersOf(inner, where, found);
  }
  for (const inner of Object.values(described.patternProperties ?? {})) {
    found.add(`${here}.*`);
    membersOf(inner, `${here}.*`, found);
  }
  if (described.type === 'array' && described.items) {
    found.add(`${here}[*]`);
    membersOf(described.items, `${here}[*]`, found);
  }
  return found;
}

/** Notes the members of a schema that a value holds, in the same words. */
export function noteMembers(schema: TSchema, value: unknown, at: string, seen: Set<string>): void {
  if (value === undefined) return;
  const [described, name] = named(schema);
  const here = name ?? at;
  if (name !== undefined) seen.add(name);
  described.anyOf?.forEach((branch, i) => {
    if (!Value.Check(branch, REFERRED, value)) return;
    const [inner, id] = named(branch);
    const where = `${here}{${id ?? branchName(inner, i)}}`;
    seen.add(where);
    noteMembers(branch, value, where, seen);
  });
  if (typeof value !== 'object' || value === null) return;
  if (Array.isArray(value)) {
    if (!described.items) return;
    for (const each of value) {
      seen.add(`${here}[*]`);
      noteMembers(described.items, each, `${here}[*]`, seen);
    }
    return;
  }
  const [pattern] = Object.values(described.patternProperties ?? {});
  for (const [member, inner] of Object.entries(value)) {
    const own = described.properties?.[member];
    if (own) {
      const where = memberName(here, member);
      seen.add(where);
      if (!isValue(where)) noteMembers(own, inner, where, seen);
    } else if (pattern) {
      seen.add(`${here}.*`);
      noteMembers(pattern, inner, `${here}.*`, seen);
    }
  }
}
