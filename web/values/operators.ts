import type { Operator, TypeSpec } from '@sormet/core/model';

/** A way of comparing, in the words in which it is offered. */
export interface OfferedOperator {
  readonly value: Operator;
  readonly label: string;
}

const SAME: readonly OfferedOperator[] = [
  { value: 'equals', label: 'is' },
  { value: 'differs', label: 'is not' },
];
const THERE: readonly OfferedOperator[] = [
  { value: 'empty', label: 'is empty' },
  { value: 'filled', label: 'is not empty' },
];
const SIZES: readonly OfferedOperator[] = [
  { value: 'atLeast', label: 'is at least' },
  { value: 'atMost', label: 'is at most' },
  { value: 'above', label: 'is more than' },
  { value: 'below', label: 'is less than' },
];
const DAYS: readonly OfferedOperator[] = [
  { value: 'below', label: 'is before' },
  { value: 'above', label: 'is after' },
  { value: 'atLeast', label: 'is on or after' },
  { value: 'atMost', label: 'is on or before' },
];

/** How values of a type can be compared; the most likely first. */
export function operatorsFor(type: TypeSpec | undefined): readonly OfferedOperator[] {
  switch (type?.kind) {
    case 'text':
    case 'rich':
      return [{ value: 'contains', label: 'contains' }, ...SAME, ...THERE];
    case 'number':
    case 'length':
      return [...SAME, ...SIZES, ...THERE];
    case 'date':
      return [...SAME, ...DAYS, ...THERE];
    case 'entry':
      return [
        { value: 'equals', label: 'refers to' },
        { value: 'differs', label: 'does not refer to' },
        ...THERE,
      ];
    case 'entries':
      return [{ value: 'contains', label: 'refers to' }, ...THERE];
    case 'boolean':
    case 'choice':
      return [...SAME, ...THERE];
    default:
      return THERE;
  }
}
