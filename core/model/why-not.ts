import { Kind as TYPE, type TSchema } from '@sinclair/typebox';
import { Value } from '@sinclair/typebox/value';
import { own } from './own';
import { pointer } from './pointer';
import type { Finding } from './well-formed';

/**
 * Why a value does not fit a schema, in words for whoever wrote it: the deepest place that is wrong, and what may stand
 * there. The same wherever it is asked, whichever validator said that it does not fit; no validator's own message is
 * ever shown.
 * @param referred the schemas that others refer to by their `$id`
 * @param within the members that lead to the value, where it is part of something
 */
export function whyNot(
  schema: TSchema,
  value: unknown,
  referred: readonly TSchema[],
  within: readonly string[] = [],
): Finding {
  const { tokens, says } = new Look(referred).at(schema, value, []);
  return { path: pointer(...tokens), reason: `${subjectOf([...within, ...tokens])} ${says}` };
}

/** What is wrong somewhere: as what follows after its subject. */
interface Wrong {
  readonly tokens: readonly string[];
  readonly says: string;
}

/** The members of schemas of JSON Schema (draft-07) that are read here; `says` is ours: what a pattern lets through. */
interface Described extends TSchema {
  readonly anyOf?: readonly TSchema[];
  readonly const?: unknown;
  readonly properties?: Readonly<Record<string, TSchema>>;
  readonly required?: readonly string[];
  readonly patternProperties?: Readonly<Record<string, TSchema>>;
  readonly additionalProperties?: boolean;
  readonly items?: TSchema | readonly TSchema[];
  readonly says?: string;
}

class Look {
  constructor(private readonly referred: readonly TSchema[]) {}

  private fits(schema: TSchema, value: unknown): boolean {
    return Value.Check(schema, [...this.referred], value);
  }

  at(given: TSchema, value: unknown, tokens: readonly string[]): Wrong {
    const schema = this.named(given) as Described;
    if (schema.anyOf) return this.inUnion(schema.anyOf, value, tokens);
    if (schema.const !== undefined) return { tokens, says: `must be “${String(schema.const)}”` };
    switch (schema.type) {
      case 'object':
        return this.inObject(schema, value, tokens);
      case 'array':
        return this.inArray(schema, value, tokens);
      case 'string':
        return { tokens, says: stringSays(schema, value) };
      case 'number':
      case 'integer':
        return { tokens, says: numberSays(schema, value) };
      case 'boolean':
        return { tokens, says: 'must be yes or no' };
      case 'null':
        return { tokens, says: 'must be empty' };
      default:
        return { tokens, says: NOT_POSSIBLE };
    }
  }

  /** A schema by reference is the one that is named, wherever that stands. */
  private named(schema: TSchema): TSchema {
    if (schema[TYPE] !== 'Ref' && schema[TYPE] !== 'This') return schema;
    return this.referred.find(({ $id }) => $id === schema.$ref) ?? schema;
  }

  /** Of several, the one that was meant: that with the same words where words are fixed, else the one that nearly fits. */
  private inUnion(branches: readonly TSchema[], value: unknown, tokens: readonly string[]): Wrong {
    const fixed = branches.map((each) => (this.named(each) as Described).const);
    if (fixed.every((each) => each !== undefined))
      return {
        tokens,
        says: `must be one of ${fixed.map((each) => `“${String(each)}”`).join(', ')}`,
      };
    const meant = branches.filter((each) => this.isMeant(this.named(each), value));
    if (meant.length === 0) return { tokens, says: NOT_POSSIBLE };
    const wrong = meant.map((each) => this.at(each, value, tokens));
    return wrong.reduce((best, each) => (each.tokens.length > best.tokens.length ? each : best));
  }

  private isMeant(schema: Described, value: unknown): boolean {
    if (schema.anyOf) return schema.anyOf.some((each) => this.isMeant(this.named(each), value));
    if (schema.type === 'object') {
      if (!isRecord(value)) return false;
      return Object.entries(schema.properties ?? {}).every(([name, member]) => {
        const { const: fixed } = this.named(member) as Described;
        return fixed === undefined || own(value, name) === undefined || own(value, name) === fixed;
      });
    }
    if (schema.type === 'array') return Array.isArray(value);
    if (schema.type === 'string') return typeof value === 'string';
    if (schema.type === 'number' || schema.type === 'integer') return typeof value === 'number';
    return false;
  }

  private inObject(schema: Described, value: unknown, tokens: readonly string[]): Wrong {
    if (!isRecord(value)) return { tokens, says: NOT_POSSIBLE };
    const { properties = {}, required = [], patternProperties = {} } = schema;
    const [pattern] = Object.entries(patternProperties);
    const named = pattern && new RegExp(pattern[0], 'u');
    for (const name of Object.keys(value)) {
      const member = own(properties, name) ?? (named?.test(name) ? pattern![1] : undefined);
      if (!member) {
        if (schema.additionalProperties === false)
          return { tokens, says: `has no place for “${name}”` };
      } else if (!this.fits(member, value[name]))
        return this.at(member, value[name], [...tokens, name]);
    }
    const missing = required.find((name) => own(value, name) === undefined);
    if (missing !== undefined) return { tokens: [...tokens, missing], says: 'is missing' };
    return { tokens, says: manySays(schema['maxProperties'], schema['minProperties']) };
  }

  private inArray(schema: Described, value: unknown, tokens: readonly string[]): Wrong {
    if (!Array.isArray(value)) return { tokens, says: NOT_POSSIBLE };
    const { items } = schema;
    for (const [i, each] of value.entries()) {
      const member = Array.isArray(items)
        ? (items as TSchema[])[i]
        : (items as TSchema | undefined);
      if (member && !this.fits(member, each)) return this.at(member, each, [...tokens, String(i)]);
    }
    return { tokens, says: manySays(schema['maxItems'], schema['minItems']) };
  }
}

const NOT_POSSIBLE = 'is none that can stand there';

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function stringSays(schema: Described, value: unknown): string {
  if (typeof value !== 'string') return 'must be words';
  const { maxLength, minLength } = schema as { maxLength?: number; minLength?: number };
  if (minLength !== undefined && value.length < minLength)
    return value === '' ? 'must not be empty' : `must have ${minLength} letters at least`;
  if (maxLength !== undefined && value.length > maxLength)
    return `is longer than ${maxLength} letters, the most there may be`;
  return schema.says ?? `cannot be “${value.slice(0, 60)}”`;
}

function numberSays(schema: Described, value: unknown): string {
  const whole = schema.type === 'integer';
  if (typeof value !== 'number' || (whole && !Number.isInteger(value)))
    return whole ? 'must be a whole number' : 'must be a number';
  const { minimum, maximum } = schema as { minimum?: number; maximum?: number };
  if (minimum !== undefined && maximum !== undefined)
    return `must be between ${minimum} and ${maximum}`;
  return minimum !== undefined ? `must be ${minimum} at least` : `must be ${maximum} at most`;
}

function manySays(most: unknown, least: unknown): string {
  if (typeof most === 'number') return `holds more than ${most}, the most there may be`;
  return typeof least === 'number' ? `must hold ${least} at least` : NOT_POSSIBLE;
}

/** What people call the members of documents and of the arguments of edits; for others, what those belong to. */
const SUBJECTS: Readonly<Record<string, string>> = {
  name: 'the name',
  label: 'the label',
  key: 'the key',
  path: 'the path',
  slug: 'the address',
  language: 'the language',
  title: 'the title',
  description: 'the description',
  help: 'the help',
  about: 'what it is for',
  plural: 'the plural',
  css: 'the value',
  refs: 'what stands in the value',
  max: 'the width',
  widths: 'the width',
  weight: 'the weight of the font',
  family: 'the name of the font',
  tag: 'the tag',
  text: 'the text',
  href: 'the address',
  address: 'the address',
  anchor: 'the anchor',
  number: 'the number',
  subject: 'the subject',
  alt: 'the alternative text',
  part: 'the name of the part',
  most: 'the largest number',
  order: 'the place in the order',
  query: 'the query',
  where: 'the condition',
  limit: 'the number of entries',
  attributes: 'the attribute',
  style: 'the declaration',
  properties: 'the property',
  options: 'the option',
  fields: 'the field',
  values: 'the value',
  value: 'the value',
  source: 'the value',
  default: 'the default',
  slots: 'the slot',
  rules: 'the rule',
  tokens: 'the token',
  themes: 'the theme',
  tags: 'the tag',
  nodes: 'the element',
  kind: 'the kind',
};

function subjectOf(tokens: readonly string[]): string {
  for (let i = tokens.length - 1; i >= 0; i -= 1) {
    const subject = own(SUBJECTS, tokens[i]!);
    if (subject !== undefined) return subject;
  }
  return 'what was given';
}
