import { isDay } from '../../locale';
import {
  allOf,
  FORMAT,
  newId,
  orderBetween,
  own,
  pointer,
  type Documents,
  type Field,
  type FieldId,
  type Finding,
  type Group,
  type Json,
  type Typed,
  type TypeDoc,
  type TypeSpec,
} from '../../model';
import { keyFor } from '../../edit';
import { say } from '../../said';
import { isObject, type JsonObject } from '../extended-groups';
import { optionsOf } from './propose';
import { KEYWORD } from './write-type';

/** A content type as a schema describes it, and what of that it cannot be. */
export interface ReadType {
  readonly type: TypeDoc;
  /** Members of the schema that mean nothing here, by JSON Pointer. */
  readonly left: readonly Finding[];
}

/** How far references lead into each other. */
const FARTHEST = 20;

/** Keywords that are read or say nothing that a field keeps; others are told. */
const READ = new Set([
  'type',
  'title',
  'description',
  'default',
  'format',
  'enum',
  'const',
  'maxLength',
  'minimum',
  'maximum',
  'contentMediaType',
  'items',
  'anyOf',
  'oneOf',
  '$ref',
  '$comment',
  'examples',
  'deprecated',
  'readOnly',
  'writeOnly',
  KEYWORD,
]);

/**
 * A content type from a JSON Schema (draft 2020-12) of an object: each property is a field. What is not of a kind that a
 * field has becomes a text, and is told.
 * @returns nothing for a schema of anything else
 */
export function readType(documents: Documents, schema: Json): ReadType | undefined {
  if (!isObject(schema) || !isObject(schema['properties'])) return undefined;
  return new Reading(documents, schema).type();
}

class Reading {
  private readonly left: Finding[] = [];

  constructor(
    private readonly documents: Documents,
    private readonly schema: JsonObject,
  ) {}

  type(): ReadType {
    const { schema } = this;
    const fields: Record<FieldId, Field> = {};
    const groups: Record<string, Group> = {};
    const keys = new Set<string>();
    const required = Array.isArray(schema['required']) ? schema['required'] : [];
    let last: string | null = null;
    let title: FieldId | undefined;
    for (const [name, given] of Object.entries(schema['properties'] as JsonObject)) {
      const at = ['properties', name];
      const said = this.resolved(given, at);
      if (!said) continue;
      const ours = isObject(said[KEYWORD]) ? said[KEYWORD] : {};
      const type = this.specOf(said, ours, at);
      const label = textIn(said['title'], 120) ?? name.slice(0, 120);
      const key =
        /^[a-z][a-zA-Z0-9]{0,79}$/.test(name) && !keys.has(name)
          ? name
          : keyFor(label || 'field', keys);
      keys.add(key);
      last = orderBetween(last, null);
      const id = newId();
      const begins = defaultIn(said['default'], type);
      const help = textIn(said['description'], 500);
      const group =
        typeof ours['group'] === 'string' ? groupCalled(groups, ours['group']) : undefined;
      fields[id] = {
        label: label || name,
        key,
        type,
        order: last,
        ...(help === undefined ? {} : { help }),
        ...(required.includes(name) ? { required: true as const } : {}),
        ...(ours['unique'] === true ? { unique: true as const } : {}),
        ...(ours['aside'] === true ? { aside: true as const } : {}),
        ...(group === undefined ? {} : { group }),
        ...(begins ? { default: begins } : {}),
      };
      if (ours['title'] === true) title = id;
    }
    title ??= Object.keys(fields).find((id) => fields[id]!.type.kind === 'text');
    if (title === undefined) {
      title = newId();
      fields[title] = {
        label: 'Title',
        key: keyFor('Title', keys),
        type: { kind: 'text' },
        order: orderBetween(null, Object.values(fields)[0]?.order ?? null),
      };
    }
    const ours = isObject(schema[KEYWORD]) ? schema[KEYWORD] : {};
    const name = textIn(schema['title'], 120) ?? 'Entry';
    const type: TypeDoc = {
      id: newId(),
      kind: 'type',
      format: FORMAT,
      name,
      plural: textIn(ours['plural'], 120) ?? `${name}s`,
      title,
      ...(Object.keys(groups).length > 0 ? { groups } : {}),
      fields,
    };
    return { type, left: this.left };
  }

  private tell(path: readonly string[], name: string): void {
    this.left.push({ path: pointer(...path), reason: say('keyword-not-kept', { name }) });
  }

  /** A schema with what it refers to in the same document, and without what lets nothing through as well (`null`). */
  private resolved(
    given: Json | undefined,
    at: readonly string[],
    way = 0,
  ): JsonObject | undefined {
    if (given === true) return {};
    if (!isObject(given)) {
      this.tell(at, 'false');
      return undefined;
    }
    const ref = given['$ref'];
    if (typeof ref === 'string') {
      const target = ref.startsWith('#') ? this.at(ref.slice(1)) : undefined;
      if (target === undefined || way > FARTHEST) {
        this.tell([...at, '$ref'], '$ref');
        return given;
      }
      const { $ref: _, ...beside } = given as Record<string, Json>;
      return { ...this.resolved(target, at, way + 1), ...beside };
    }
    for (const keyword of ['anyOf', 'oneOf'] as const) {
      const branches = given[keyword];
      if (!Array.isArray(branches)) continue;
      const some = branches.filter((each) => !(isObject(each) && each['type'] === 'null'));
      if (some.length !== 1) continue;
      const { [keyword]: _, ...beside } = given as Record<string, Json>;
      return { ...this.resolved(some[0], at, way + 1), ...beside };
    }
    return given;
  }

  /** What a JSON Pointer (RFC 6901) leads to in the document. */
  private at(path: string): Json | undefined {
    return path
      .split('/')
      .slice(1)
      .map((part) => decodeURIComponent(part).replaceAll('~1', '/').replaceAll('~0', '~'))
      .reduce<Json | undefined>(
        (value, part) => (isObject(value) ? own(value, part) : undefined),
        this.schema as Json,
      );
  }

  private specOf(said: JsonObject, ours: JsonObject, at: readonly string[]): TypeSpec {
    for (const name in said) if (!READ.has(name)) this.tell([...at, name], name);
    const kept = keptKind(this.documents, ours);
    if (kept) return kept;
    const options = optionsIn(said);
    if (options) return { kind: 'choice', options: optionsOf(options) };
    // What is read where it means something, and here means nothing that a field keeps.
    for (const name of ['enum', 'const', 'oneOf', 'anyOf'])
      if (said[name] !== undefined) this.tell([...at, name], name);
    const types = [said['type'] ?? typeMeant(said)].flat().filter((each) => each !== 'null');
    const [type] = types;
    if (types.length > 1 || said['type'] === 'null') this.tell([...at, 'type'], 'type');
    switch (type) {
      case 'number':
      case 'integer':
        if (type === 'integer') this.tell([...at, 'type'], 'integer');
        return {
          kind: 'number',
          ...(typeof said['minimum'] === 'number' ? { least: said['minimum'] } : {}),
          ...(typeof said['maximum'] === 'number' ? { most: said['maximum'] } : {}),
        };
      case 'boolean':
        return { kind: 'boolean' };
      case 'string': {
        const spec = textual(said);
        const { format, maxLength } = said;
        if (format !== undefined && spec.kind === 'text') this.tell([...at, 'format'], 'format');
        if (maxLength !== undefined && !(spec.kind === 'text' && spec.longest === maxLength))
          this.tell([...at, 'maxLength'], 'maxLength');
        return spec;
      }
      case 'array': {
        const items = this.resolved(said['items'] ?? true, [...at, 'items']);
        const inner =
          items && isObject(items[KEYWORD]) ? keptKind(this.documents, items[KEYWORD]) : undefined;
        if (inner?.kind === 'entry') return { ...inner, kind: 'entries' };
        break;
      }
      default:
    }
    if (type !== undefined) this.tell([...at, 'type'], String(type as string));
    return { kind: 'text' };
  }
}

/** The type of which a schema without one speaks. */
function typeMeant(said: JsonObject): string | undefined {
  const has = (...names: readonly string[]) => names.some((name) => said[name] !== undefined);
  if (has('maxLength', 'format', 'contentMediaType')) return 'string';
  return has('minimum', 'maximum') ? 'number' : undefined;
}

function textual(said: JsonObject): TypeSpec {
  const format = said['format'];
  if (format === 'date' || format === 'date-time') return { kind: 'date' };
  if (
    typeof format === 'string' &&
    /^(uri|uri-reference|iri|iri-reference|email|idn-email)$/.test(format)
  )
    return { kind: 'link' };
  const media = said['contentMediaType'];
  if (typeof media === 'string' && media.startsWith('image/')) return { kind: 'image' };
  const longest = said['maxLength'];
  const isLimit =
    Number.isInteger(longest) && (longest as number) >= 1 && (longest as number) <= 20_000;
  return isLimit ? { kind: 'text', longest: longest as number } : { kind: 'text' };
}

/** The kind that a schema written here says outright, where its own words do not say all of it. */
function keptKind(documents: Documents, ours: JsonObject): TypeSpec | undefined {
  const kind = ours['kind'];
  if (kind === 'entry' || kind === 'entries') {
    const of = allOf(documents, 'type').find(({ name }) => name === ours['of'])?.id;
    return of === undefined ? { kind } : { kind, of };
  }
  if (
    kind === 'rich' ||
    kind === 'colour' ||
    kind === 'length' ||
    kind === 'icon' ||
    kind === 'video'
  )
    return { kind };
  return kind === 'image' || kind === 'link' ? { kind } : undefined;
}

/** The words of a closed list: an `enum`, or a `oneOf` of constants. */
function optionsIn(said: JsonObject): string[] | undefined {
  const branches = Array.isArray(said['oneOf']) ? said['oneOf'] : undefined;
  const constants = branches?.map((each) => (isObject(each) ? each['const'] : undefined));
  const list = Array.isArray(said['enum']) ? said['enum'] : constants;
  const words = list?.filter((each) => each !== null);
  const isWords = words?.every(
    (each) => typeof each === 'string' && each !== '' && each.length <= 120,
  );
  return words && words.length > 0 && isWords ? [...new Set(words as string[])] : undefined;
}

function textIn(value: Json | undefined, longest: number): string | undefined {
  return typeof value === 'string' && value.trim() !== ''
    ? value.trim().slice(0, longest)
    : undefined;
}

function groupCalled(groups: Record<string, Group>, label: string): string {
  const known = Object.keys(groups).find((id) => groups[id]!.label === label);
  if (known !== undefined) return known;
  const id = newId();
  const last = Object.values(groups).at(-1)?.order ?? null;
  groups[id] = { label: label.slice(0, 120) || 'Fields', order: orderBetween(last, null) };
  return id;
}

/** A default, where it is a value of the kind. */
function defaultIn(value: Json | undefined, type: TypeSpec): Typed | undefined {
  switch (type.kind) {
    case 'text':
      return typeof value === 'string' && value !== '' && value.length <= 20_000
        ? { type: 'text', value }
        : undefined;
    case 'number':
      return typeof value === 'number' ? { type: 'number', value } : undefined;
    case 'boolean':
      return typeof value === 'boolean' ? { type: 'boolean', value } : undefined;
    case 'date':
      return typeof value === 'string' && isDay(value) ? { type: 'date', value } : undefined;
    case 'choice': {
      const option = Object.keys(type.options).find((id) => type.options[id]!.label === value);
      return option === undefined ? undefined : { type: 'choice', value: option };
    }
    default:
      return undefined;
  }
}
