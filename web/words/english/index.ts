import type { CODES } from '@sormet/core/said';
import type { WordsOf } from '../words-of';
import { checks } from './checks';
import { css } from './css';
import { expressions } from './expressions';
import { files } from './files';
import { findings } from './findings';
import { forms } from './forms';
import { history } from './history';
import { leftOut } from './left-out';
import { members } from './members';
import { names } from './names';
import { problems } from './problems';
import { refusals } from './refusals';
import { releases } from './releases';
import { things } from './things';

/** What every code is in English. */
export const ENGLISH: WordsOf<typeof CODES> = {
  ...refusals,
  ...things,
  ...findings,
  ...forms,
  ...members,
  ...css,
  ...expressions,
  ...files,
  ...checks,
  ...releases,
  ...problems,
  ...history,
  ...leftOut,
  ...names,
};
