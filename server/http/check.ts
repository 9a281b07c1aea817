import type { Static, TSchema } from '@sinclair/typebox';
import { illFormedText, isTooDeep, schemaFindings } from '@sormet/core/model';
import type { Response } from 'express';
import { saidText, say } from '@sormet/core/said';
import { Problem } from './problem';

/** A request's value as its schema says. @throws a 400 problem with a JSON Pointer and the reason. */
export function read<S extends TSchema>(schema: S, value: unknown): Static<S> {
  if (isTooDeep(value)) throw new Problem(400, say('sent-too-deep'), { pointer: '' });
  const ill = illFormedText(value);
  if (ill) throw new Problem(422, say('sent-ill', { why: ill.reason }), { pointer: ill.path });
  const [finding] = schemaFindings(schema, value);
  if (finding) throw new Problem(400, finding.reason, { pointer: finding.path });
  return value;
}

/** Whether answers are held against their schemas: where somebody develops or tests. */
const IS_CHECKED = process.env['NODE_ENV'] !== 'production';

/** Sends an answer, written once. @throws where answers are checked and it does not fit its schema: a fault of the server */
export function answer<S extends TSchema>(
  response: Response,
  schema: S,
  value: Static<S>,
  status = 200,
): void {
  const text = JSON.stringify(value);
  const [finding] = IS_CHECKED ? schemaFindings(schema, JSON.parse(text)) : [];
  if (finding)
    throw new Error(
      `An answer does not fit its schema: ${finding.path} ${saidText(finding.reason)}`,
    );
  response.status(status).type('json').send(text);
}
