import { Type } from '@sinclair/typebox';
import { Change, EDIT_ID_PATTERN, EDITS } from '@sormet/core/edit';
import { isTooDeep, own, schemaFindings } from '@sormet/core/model';
import { say, type Said, SAID } from '@sormet/core/said';
import type { Conflict, PendingEdit } from '../store/pending';

const exact = { additionalProperties: false };
const Edit = Type.Object({ name: Type.String(), args: Type.Unknown() }, exact);
const Nullable = Type.Union([Type.String(), Type.Null()]);

/** An edit that waits, as it lies in a browser's storage. */
const Waiting = Type.Object(
  {
    id: Type.String({ pattern: EDIT_ID_PATTERN }),
    edit: Edit,
    changes: Type.Array(Change),
    group: Nullable,
    stretch: Nullable,
    editing: Type.Optional(Type.Literal(true)),
    sent: Type.Boolean(),
  },
  exact,
);

/** An edit that waits for somebody to decide. */
const Undecided = Type.Object(
  {
    id: Type.String({ pattern: EDIT_ID_PATTERN }),
    failed: Type.Boolean(),
    unstored: Type.Optional(Type.String()),
    edit: Edit,
    said: SAID,
    reason: SAID,
    yours: Type.Unknown(),
    stands: Type.Unknown(),
    at: Type.Optional(Type.Array(Type.Object({ doc: Type.String(), path: Type.String() }, exact))),
  },
  exact,
);

/** An edit that waits; nothing where something else stands in its place. */
export function waitingIn(value: unknown): PendingEdit | undefined {
  return fits(Waiting, value) ? (value as PendingEdit) : undefined;
}

/** The same of one that somebody has to decide on. */
export function undecidedIn(value: unknown): Conflict | undefined {
  const read = asCodes(value);
  return fits(Undecided, read) ? (read as Conflict) : undefined;
}

/** Earlier versions kept sentences in the place of codes: those are told as they were. */
function asCodes(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || !('says' in value)) return value;
  const { says, reason, ...rest } = value as { says: unknown; reason?: unknown };
  if (typeof says !== 'string' || typeof reason !== 'string') return value;
  const told = (words: string): Said => say('as-it-was-told', { words });
  return { ...rest, said: told(says), reason: told(reason) };
}

/** Whether it has the shape, and its edit is one that this version can do: named, with arguments as it takes them. */
function fits(schema: typeof Waiting | typeof Undecided, value: unknown): boolean {
  if (isTooDeep(value) || schemaFindings(schema, value).length > 0) return false;
  const { name, args } = (value as { edit: { name: string; args: unknown } }).edit;
  const kind = own<{ args: Parameters<typeof schemaFindings>[0] }>(EDITS, name);
  return kind !== undefined && schemaFindings(kind.args, args).length === 0;
}
