import { Type } from '@sinclair/typebox';
import { CODES, type Code } from './codes';

/**
 * What is told to people, as a code and what it is about. The words for it are chosen where it is shown, so that what is
 * stored and sent is no sentence, and nothing has to compare or to cut one.
 */
export interface Said {
  readonly code: Code;
  readonly about?: Readonly<Record<string, About>>;
}

/** A text or a number as it stands, or something that needs words itself. */
export type Told = string | number | Said;
/** What a code may be about: one thing, or several. */
export type About = Told | readonly Told[];

interface Kinds {
  readonly text: Told;
  readonly number: number;
  readonly list: readonly Told[];
}

/** What a code is about: each by its name, of the kind that the code says. */
export type AboutOf<C extends Code> = {
  readonly [K in keyof (typeof CODES)[C]]: (typeof CODES)[C][K] extends keyof Kinds
    ? Kinds[(typeof CODES)[C][K]]
    : never;
};

/** Says something: with what it is about, where the code is about anything. */
export function say<C extends Code>(
  code: C,
  ...about: keyof (typeof CODES)[C] extends never ? [] : [AboutOf<C>]
): Said {
  return about[0] === undefined ? { code } : { code, about: { ...about[0] } };
}

/** What was said for those who develop: its code and what it is about. */
export function saidText({ code, about }: Said): string {
  return about === undefined ? code : `${code} ${JSON.stringify(about)}`;
}

/** Whether two names are the same, whether they need words or not. */
export function sameTold(a: Told, b: Told): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/** Whether two say the same, of the same. */
export function sameSaid(a: Said, b: Said): boolean {
  return saidText(a) === saidText(b);
}

/** What was said, as it is sent and stored. Which codes there are changes with the version: `isSaid` knows those of this one. */
export const SAID = Type.Unsafe<Said>(
  Type.Object(
    {
      code: Type.String({ maxLength: 60 }),
      about: Type.Optional(Type.Record(Type.String(), Type.Unknown())),
    },
    { additionalProperties: false },
  ),
);

/** A text as it stands, or something that needs words, as they are sent. */
export const TOLD = Type.Unsafe<Told>(Type.Union([Type.String(), Type.Number(), SAID]));

/** Whether a value is something that this version has words for, with all that it is about. */
export function isSaid(value: unknown): value is Said {
  if (typeof value !== 'object' || value === null || !('code' in value)) return false;
  const { code, about = {} } = value as { code: unknown; about?: unknown };
  if (typeof code !== 'string' || !Object.hasOwn(CODES, code)) return false;
  if (typeof about !== 'object' || about === null) return false;
  const kinds: Readonly<Record<string, keyof Kinds>> = CODES[code as Code];
  const given = about as Readonly<Record<string, unknown>>;
  return Object.keys(kinds).every((name) => isOfKind(given[name], kinds[name]!));
}

function isOfKind(value: unknown, kind: keyof Kinds): boolean {
  if (kind === 'number') return typeof value === 'number';
  return kind === 'list' ? Array.isArray(value) && value.every(isTold) : isTold(value);
}

function isTold(value: unknown): boolean {
  return typeof value === 'string' || typeof value === 'number' || isSaid(value);
}
