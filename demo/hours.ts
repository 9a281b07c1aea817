import { ordersFor, type Literal, type RecordField, type SpecOf } from '@sormet/core/model';

const [first, second, third] = ordersFor(3);

const field = (label: string, key: string, order: string): RecordField => ({
  label,
  key,
  order,
  type: { kind: 'text' },
});

/** Opening hours as one property: a record for each day, with when the doors open and close. */
export const HOURS_TYPE: SpecOf<'list'> = {
  kind: 'list',
  fields: {
    'hours-day': field('Day', 'day', first!),
    'hours-from': field('From', 'from', second!),
    'hours-to': field('To', 'to', third!),
  },
};

/** Opening hours as a value. */
export function hoursList(
  hours: readonly (readonly [day: string, from: string, to: string])[],
): Literal {
  return {
    is: 'value',
    type: 'list',
    value: hours.map(([day, from, to], i) => ({
      id: `hours-${i + 1}`,
      values: {
        'hours-day': { type: 'text', value: day },
        'hours-from': { type: 'text', value: from },
        'hours-to': { type: 'text', value: to },
      },
    })),
  };
}
