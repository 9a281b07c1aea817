import { Type } from '@sinclair/typebox';
import { ID_PATTERN } from '../model';

/** The schemas that the arguments of many edits share. */

export const Id = Type.String({ pattern: ID_PATTERN });
/** A name that people read, as an argument: 1 to 120 characters. */
export const Label = Type.String({ minLength: 1, maxLength: 120 });

/** Nothing but what is named. */
export const exact = { additionalProperties: false };
