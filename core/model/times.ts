import { Type, type Static } from '@sinclair/typebox';

/** A minute in UTC (RFC 3339, 5.6, without seconds): instants compare as their texts do. */
export const Instant = Type.String({
  pattern: '^\\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])T([01]\\d|2[0-3]):[0-5]\\dZ$',
  says: 'instant-form',
});
export type Instant = Static<typeof Instant>;

/** A name of the tz database of IANA, as it is written. */
export const TIME_ZONE_PATTERN = '^[A-Za-z0-9_+-]+(/[A-Za-z0-9_+-]+)*$';

/** From when and until when visitors see an entry, where that is not always: without an end until it is taken back by hand. */
export const Times = Type.Object(
  { from: Type.Optional(Instant), until: Type.Optional(Instant) },
  { additionalProperties: false },
);
export type Times = Static<typeof Times>;
