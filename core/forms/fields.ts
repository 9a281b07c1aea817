/** What a field takes: the types of `input` (HTML Living Standard, 4.10.5.1), and the other elements that are filled in. */
export type FieldType =
  | 'text'
  | 'search'
  | 'tel'
  | 'url'
  | 'email'
  | 'password'
  | 'number'
  | 'range'
  | 'date'
  | 'time'
  | 'checkbox'
  | 'radio'
  | 'hidden'
  | 'textarea'
  | 'select';

/** A field of a form as it stands in a page. Limits are as their attributes say them. */
export interface Field {
  /** Under which its value is sent. */
  readonly name: string;
  /** What people call it. */
  readonly label: string;
  readonly type: FieldType;
  readonly isRequired: boolean;
  readonly min?: string;
  readonly max?: string;
  readonly step?: string;
  /** The value with which it begins, from which steps are counted where nothing else says so. */
  readonly begins?: string;
  /** In UTF-16 code units. */
  readonly shortest?: number;
  readonly longest?: number;
  /** A regular expression that the whole value matches (ECMA-262, with the flag `v`). */
  readonly pattern?: string;
  /** What may be sent of a choice, or when it is ticked. */
  readonly options?: readonly string[];
  /** The words for what is wrong with it; HTML has none of its own. */
  readonly wrong?: string;
  /** Whether nobody sees it: only robots fill it in. */
  readonly isTrap?: boolean;
}
