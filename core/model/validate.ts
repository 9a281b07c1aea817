import { Ajv, type ErrorObject, type ValidateFunction } from 'ajv';
import type { TSchema } from '@sinclair/typebox';
import { SOURCE_SCHEMA } from './source';
import { SCHEMAS, type Doc, type Kind } from './documents';

/** What is wrong with a value, and where: a JSON Pointer into it. */
export type Finding = { path: string; reason: string };

let ajv: Ajv | undefined;
const compiled = new Map<TSchema, ValidateFunction>();

/** What keeps a value from its schema; empty when it passes. Compiled once for each schema. */
export function schemaFindings(schema: TSchema, value: unknown): Finding[] {
  ajv ??= new Ajv({ strict: true }).addSchema(SOURCE_SCHEMA);
  let check = compiled.get(schema);
  if (!check) compiled.set(schema, (check = ajv.compile(schema)));
  if (check(value)) return [];
  return [sayWhy(check.errors ?? [])];
}

/** What keeps a value from being a document; empty when it is one. */
export function documentFindings(value: unknown): Finding[] {
  const kind = (value as Partial<Doc> | null)?.kind;
  if (typeof kind !== 'string' || !Object.hasOwn(SCHEMAS, kind))
    return [{ path: '/kind', reason: 'is none of ' + Object.keys(SCHEMAS).join(', ') }];
  return schemaFindings(SCHEMAS[kind as Kind], value);
}

/** The deepest error tells most: in a union every branch fails, the one meant fails last. */
function sayWhy(errors: ErrorObject[]): Finding {
  const deepest = errors.reduce((best, error) => {
    const depth = error.instancePath.split('/').length;
    const bestDepth = best.instancePath.split('/').length;
    const vague = error.keyword === 'anyOf' || error.keyword === 'const';
    const bestVague = best.keyword === 'anyOf' || best.keyword === 'const';
    if (depth !== bestDepth) return depth > bestDepth ? error : best;
    return bestVague && !vague ? error : best;
  });
  const params = deepest.params as { additionalProperty?: string; propertyName?: string };
  const extra = params.additionalProperty ?? params.propertyName;
  return {
    path: deepest.instancePath,
    reason: (deepest.message ?? 'does not fit') + (extra ? ` (“${extra}”)` : ''),
  };
}
