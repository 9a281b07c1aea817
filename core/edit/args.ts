import { Type } from '@sinclair/typebox';
import { ID_PATTERN, OrderKey } from '../model';

/** The schemas that the arguments of many edits share. */

export const Id = Type.String({ pattern: ID_PATTERN });
/** A name that people read, as an argument: 1 to 120 characters. */
export const Label = Type.String({ minLength: 1, maxLength: 120 });

/** Nothing but what is named. */
export const exact = { additionalProperties: false };

/** Before which other a thing is put; `null` for last. */
export const Before = Type.Union([Id, Type.Null()]);

/** In which group one of several things stands (one that may be new), and before which other of that group. */
export const PlaceInGroup = Type.Object(
  {
    group: Type.Union([Type.Object({ id: Id, label: Label, order: OrderKey }, exact), Type.Null()]),
    before: Before,
  },
  exact,
);
