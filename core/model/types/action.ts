import { Type } from '@sinclair/typebox';
import { defineKind, specSchema } from './kind';

/** Acts, and the place where they were written: what names in them mean is what they mean there. */
export interface BoundAction {
  readonly acts: object;
  readonly at: object;
}

/**
 * What something does, given from outside. It is never a value that is written down: whoever gives one writes acts, a source
 * of their own.
 */
export const actionKind = defineKind({
  kind: 'action',
  spec: specSchema('action', {}),
  value: Type.Unsafe<BoundAction>(Type.Never()),
  empty: null,
  asksSite: false,
});
