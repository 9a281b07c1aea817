import type { Static, TSchema } from '@sinclair/typebox';
import { illFormedText, isTooDeep, schemaFindings } from '@sormet/core/model';
import type { Response } from 'express';
import { Problem } from './problem';

/** A request's value as its schema says. @throws a 400 problem with a JSON Pointer and the reason. */
export function read<S extends TSchema>(schema: S, value: unknown): Static<S> {
  if (isTooDeep(value))
    throw new Problem(400, 'Bad request', 'What was sent stands too deep in itself to be read.', {
      pointer: '',
      reason: 'is too deep',
    });
  const ill = illFormedText(value);
  if (ill)
    throw new Problem(422, 'Refused', `What was sent ${ill.reason}.`, {
      pointer: ill.path,
      reason: ill.reason,
    });
  const [finding] = schemaFindings(schema, value);
  if (finding)
    throw new Problem(
      400,
      'Bad request',
      `${finding.reason[0]!.toUpperCase()}${finding.reason.slice(1)}.`,
      {
        pointer: finding.path,
        reason: finding.reason,
      },
    );
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
    throw new Error(`An answer does not fit its schema: ${finding.path} ${finding.reason}`);
  response.status(status).type('json').send(text);
}
