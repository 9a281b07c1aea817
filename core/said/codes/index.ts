import { CHECKS } from './checks';
import { CSS } from './css';
import { EXPRESSIONS } from './expressions';
import { FILES } from './files';
import { FINDINGS } from './findings';
import { FORMS } from './forms';
import { HISTORY } from './history';
import { LEFT_OUT } from './left-out';
import { MEMBERS } from './members';
import { NAMES } from './names';
import { PROBLEMS } from './problems';
import { REFUSALS } from './refusals';
import { RELEASES } from './releases';
import { THINGS } from './things';

export {
  CHECKS,
  CSS,
  EXPRESSIONS,
  FILES,
  FINDINGS,
  FORMS,
  HISTORY,
  LEFT_OUT,
  MEMBERS,
  NAMES,
  PROBLEMS,
  REFUSALS,
  RELEASES,
  THINGS,
};

/** Every code there is, with the names and kinds of what it is about. */
export const CODES = {
  ...REFUSALS,
  ...THINGS,
  ...FINDINGS,
  ...FORMS,
  ...MEMBERS,
  ...CSS,
  ...EXPRESSIONS,
  ...FILES,
  ...CHECKS,
  ...RELEASES,
  ...PROBLEMS,
  ...HISTORY,
  ...LEFT_OUT,
  ...NAMES,
} as const;

/** A code: what is told, apart from what it is about. */
export type Code = keyof typeof CODES;

/** What can be gone when somebody wants to do something to it. */
export type GoneCode = keyof typeof THINGS;

/** What a pattern of a schema lets through. */
export type FormCode = keyof typeof FORMS;

/** A member of a document or an argument of an edit. */
export type MemberCode = keyof typeof MEMBERS;
