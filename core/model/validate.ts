import { Ajv } from 'ajv';
import { FormatRegistry, type TSchema } from '@sinclair/typebox';
import { Value } from '@sinclair/typebox/value';
import { say } from '../said';
import { own } from './own';
import { isOrderKey } from './order';
import { pointer } from './pointer';
import { FORMAT_OF_VALUE } from './format';
import { ACTS_SCHEMA } from './acts';
import { SOURCE_SCHEMA } from './source';
import { toldApart } from './told-apart';
import { RICH_PIECE, WORDS_PIECE } from './types';
import { SCHEMAS, type Doc } from './documents';
import { whyNot } from './why-not';
import { illFormedText, type Finding } from './well-formed';

// What TypeBox calls a format by this name is what Ajv is told it is.
FormatRegistry.Set('order-key', isOrderKey);

type Check = (value: unknown) => boolean;

/** The recursive schemas that others refer to. */
const REFERRED = [SOURCE_SCHEMA, ACTS_SCHEMA, RICH_PIECE, WORDS_PIECE, FORMAT_OF_VALUE];

/** How often a schema is asked before it is compiled: that takes as long as hundreds of times to read it step by step. */
const OFTEN = 300;

interface Asked {
  times: number;
  check: Check;
}

const asked = new Map<TSchema, Asked>();

/**
 * What keeps a value from its schema, or a text in it from being stored; empty when it passes. A schema that is asked often
 * is compiled, where that may be.
 */
export function schemaFindings(
  schema: TSchema,
  value: unknown,
  within: readonly string[] = [],
): Finding[] {
  const ill = illFormedText(value);
  if (ill) return [ill];
  let known = asked.get(schema);
  if (!known) asked.set(schema, (known = { times: 0, check: readCheck(schema) }));
  known.times += 1;
  if (known.times === OFTEN && makesFunctions()) known.check = compiledCheck(schema);
  return known.check(value) ? [] : [whyNot(schema, value, REFERRED, within)];
}

let ajv: Ajv | undefined;

/** A schema as a function that Ajv makes of it (JSON Schema draft-07). */
export function compiledCheck(schema: TSchema): Check {
  ajv ??= new Ajv({ strict: true, discriminator: true, formats: { 'order-key': isOrderKey } })
    .addVocabulary(['says'])
    .addSchema(REFERRED.map(toldApart));
  return ajv.compile(toldApart(schema));
}

/**
 * The same schema read step by step, by the package it is written with: what is asked now and then, and all of the
 * interface, whose policy forbids making functions from texts, which is what Ajv does.
 */
export function readCheck(schema: TSchema): Check {
  return (value) => Value.Check(schema, REFERRED, value);
}

let may: boolean | undefined;

/** Whether functions can be made from texts here. */
function makesFunctions(): boolean {
  if (may === undefined)
    try {
      // oxlint-disable-next-line typescript/no-implied-eval -- whether it may be done is what is asked
      may = new Function('return true')() as boolean;
    } catch (error) {
      if (!(error instanceof EvalError)) throw error;
      may = false;
    }
  return may;
}

/** What keeps a value from being a document; empty when it is one. */
export function documentFindings(value: unknown): Finding[] {
  const kind = (value as Partial<Doc> | null)?.kind;
  if (typeof kind !== 'string' || !Object.hasOwn(SCHEMAS, kind))
    return [{ path: '/kind', reason: say('no-document') }];
  return schemaFindings(SCHEMAS[kind], value);
}

/**
 * What keeps a document from its schema, looking only at these members of it: what a change at such a pointer
 * can have broken. `paths` are the pointers that were written to, in a document that passed before.
 */
export function documentFindingsAt(value: unknown, paths: Iterable<readonly string[]>): Finding[] {
  const kind = (value as Partial<Doc> | null)?.kind;
  const whole = typeof kind === 'string' ? own<TSchema>(SCHEMAS, kind) : undefined;
  if (!whole) return documentFindings(value);
  const looked = new Set<string>();
  for (const path of paths) {
    const part = partAt(whole, value, path);
    if (part.tokens.length === 0) return documentFindings(value);
    const prefix = pointer(...part.tokens);
    if (looked.has(prefix)) continue;
    looked.add(prefix);
    if (part.value === undefined) continue;
    const name = part.tokens.at(-1)!;
    if (!part.fits(name)) return [{ path: prefix, reason: say('no-such-name', { name }) }];
    const [finding] = schemaFindings(part.schema, part.value, part.tokens);
    if (finding) return [{ path: prefix + finding.path, reason: finding.reason }];
  }
  return [];
}

interface Part {
  readonly tokens: readonly string[];
  readonly schema: TSchema;
  readonly value: unknown;
  /** Whether a member may have this name. */
  readonly fits: (name: string) => boolean;
}

/** The smallest part of a document around a pointer that a schema of its own describes. */
function partAt(whole: TSchema, value: unknown, path: readonly string[]): Part {
  let part: Part = { tokens: [], schema: whole, value, fits: () => true };
  for (const token of path) {
    const inner = memberOf(part.schema, token);
    if (!inner || typeof part.value !== 'object' || part.value === null) break;
    const held = own(part.value as Record<string, unknown>, token);
    // A member that went may be one that must be there: the schema around says so.
    if (held === undefined && !inner.optional) break;
    part = {
      tokens: [...part.tokens, token],
      schema: inner.schema,
      value: held,
      fits: inner.fits,
    };
    if (held === undefined) break;
  }
  return part;
}

/** The schema of a member of an object or a record; nothing for other schemas, which are checked whole. */
function memberOf(
  schema: TSchema,
  name: string,
): { schema: TSchema; optional: boolean; fits: (name: string) => boolean } | undefined {
  const { properties, required, patternProperties } = schema as {
    properties?: Record<string, TSchema>;
    required?: string[];
    patternProperties?: Record<string, TSchema>;
  };
  const named = properties && own(properties, name);
  if (named) return { schema: named, optional: !required?.includes(name), fits: () => true };
  const [pattern] = Object.entries(patternProperties ?? {});
  if (!pattern) return undefined;
  const regex = new RegExp(pattern[0], 'u');
  return { schema: pattern[1], optional: true, fits: (each) => regex.test(each) };
}
