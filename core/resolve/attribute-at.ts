import type { TypeSpec } from '../model';
import type { Result } from '../value';

/** An attribute with the value it has at a place, under the name under which it is written. */
export interface AttributeAt {
  readonly name: string;
  readonly type: TypeSpec;
  readonly value: Result;
}
