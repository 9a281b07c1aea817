import { Kind as TYPE, type TSchema } from '@sinclair/typebox';
import { Value } from '@sinclair/typebox/value';
import { say, type Said, type FormCode, type MemberCode } from '../said';
import { own } from './own';
import { pointer } from './pointer';
import type { Finding } from './well-formed';

/**
 * Why a value does not fit a schema, for whoever wrote it: the deepest place that is wrong, and what may stand
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
  return {
    path: pointer(...tokens),
    reason: say('member-is', { member: subjectOf([...within, ...tokens]), says }),
  };
}

/** What is wrong somewhere: as what follows after its subject. */
interface Wrong {
  readonly tokens: readonly string[];
  readonly says: Said;
}

/** The members of schemas of JSON Schema (draft-07) that are read here; `says` is ours: what a pattern lets through. */
interface Described extends TSchema {
  readonly anyOf?: readonly TSchema[];
  readonly const?: string | number | boolean;
  readonly properties?: Readonly<Record<string, TSchema>>;
  readonly required?: readonly string[];
  readonly patternProperties?: Readonly<Record<string, TSchema>>;
  readonly additionalProperties?: boolean;
  readonly items?: TSchema | readonly TSchema[];
  readonly says?: FormCode;
}

class Look {
  constructor(private readonly referred: readonly TSchema[]) {}

  private fits(schema: TSchema, value: unknown): boolean {
    return Value.Check(schema, [...this.referred], value);
  }

  at(given: TSchema, value: unknown, tokens: readonly string[]): Wrong {
    const schema = this.named(given) as Described;
    if (schema.anyOf) return this.inUnion(schema.anyOf, value, tokens);
    if (schema.const !== undefined)
      return { tokens, says: say('must-be-this', { value: String(schema.const) }) };
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
        return { tokens, says: say('must-be-yes-or-no') };
      case 'null':
        return { tokens, says: say('must-be-empty') };
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
        says: say('must-be-one-of', { these: fixed.map((each) => `“${String(each)}”`) }),
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
          return { tokens, says: say('has-no-place-for', { name }) };
      } else if (!this.fits(member, value[name]))
        return this.at(member, value[name], [...tokens, name]);
    }
    const missing = required.find((name) => own(value, name) === undefined);
    if (missing !== undefined) return { tokens: [...tokens, missing], says: say('is-missing') };
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

const NOT_POSSIBLE: Said = say('not-possible');

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function stringSays(schema: Described, value: unknown): Said {
  if (typeof value !== 'string') return say('must-be-words');
  const { maxLength, minLength } = schema as { maxLength?: number; minLength?: number };
  if (minLength !== undefined && value.length < minLength)
    return value === '' ? say('must-not-be-empty') : say('too-short', { least: minLength });
  if (maxLength !== undefined && value.length > maxLength)
    return say('too-long', { most: maxLength });
  return schema.says === undefined
    ? say('cannot-be', { value: value.slice(0, 60) })
    : say(schema.says);
}

function numberSays(schema: Described, value: unknown): Said {
  const whole = schema.type === 'integer';
  if (!Number.isFinite(value) || (whole && !Number.isInteger(value)))
    return whole ? say('must-be-whole') : say('must-be-number');
  const { minimum, maximum } = schema as { minimum?: number; maximum?: number };
  if (minimum !== undefined && maximum !== undefined)
    return say('must-be-between', { least: minimum, most: maximum });
  if (minimum !== undefined) return say('must-be-at-least', { least: minimum });
  return maximum === undefined ? NOT_POSSIBLE : say('must-be-at-most', { most: maximum });
}

function manySays(most: unknown, least: unknown): Said {
  if (typeof most === 'number') return say('holds-too-many', { most });
  return typeof least === 'number' ? say('holds-too-few', { least }) : NOT_POSSIBLE;
}

/** What people call the members of documents and of the arguments of edits; for others, what those belong to. */
const SUBJECTS: Readonly<Record<string, MemberCode>> = {
  name: 'member-name',
  label: 'member-label',
  key: 'member-key',
  path: 'member-path',
  slug: 'member-address',
  language: 'member-language',
  title: 'member-title',
  description: 'member-description',
  help: 'member-help',
  about: 'member-it-is-for',
  plural: 'member-plural',
  css: 'member-value',
  refs: 'member-stands-in-the-value',
  max: 'member-width',
  widths: 'member-width',
  weight: 'member-weight-of-the-font',
  family: 'member-name-of-the-font',
  tag: 'member-tag',
  text: 'member-text',
  href: 'member-address',
  address: 'member-address',
  anchor: 'member-anchor',
  number: 'member-number',
  subject: 'member-subject',
  alt: 'member-alternative-text',
  part: 'member-name-of-the-part',
  most: 'member-largest-number',
  order: 'member-place-in-the-order',
  columns: 'member-columns',
  gutter: 'member-gutter',
  margin: 'member-margin',
  widest: 'member-widest',
  baseline: 'member-baseline',
  at: 'member-at',
  axis: 'member-axis',
  query: 'member-query',
  where: 'member-condition',
  limit: 'member-number-of-entries',
  attributes: 'member-attribute',
  style: 'member-declaration',
  properties: 'member-property',
  options: 'member-option',
  fields: 'member-field',
  values: 'member-value',
  value: 'member-value',
  source: 'member-value',
  default: 'member-default',
  slots: 'member-slot',
  rules: 'member-rule',
  tokens: 'member-token',
  themes: 'member-theme',
  tags: 'member-tag',
  nodes: 'member-element',
  kind: 'member-kind',
};

function subjectOf(tokens: readonly string[]): Said {
  for (let i = tokens.length - 1; i >= 0; i -= 1) {
    const subject = own(SUBJECTS, tokens[i]!);
    if (subject !== undefined) return say(subject);
  }
  return say('member-given');
}
