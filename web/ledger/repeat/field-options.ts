import {
  DATE,
  DATE_FIELDS,
  docOf,
  ENTRY_DATES,
  inOrder,
  own,
  type Documents,
  type Literal,
  type TypeSpec,
} from '@sormet/core/model';
import { emptyLiteral, type Records } from '@sormet/core/edit';
import { ENTRY_DATE_WORDS } from '../../words';

/** A field that entries can be compared or sorted by: of their type, or one of what a field refers to. */
export interface FieldOption {
  /** The path as one word, for lists. */
  readonly value: string;
  readonly label: string;
  readonly path: string[];
  readonly type: TypeSpec;
  /** What a condition on it compares with at first. */
  readonly empty: Literal;
}

/** The fields of a content type and those across one reference, in order. */
export function fieldOptions(documents: Documents, type: Records): FieldOption[] {
  const fields = inOrder(type.fields).flatMap(([id, field]) => {
    const of = field.type.kind === 'entry' ? field.type.of : undefined;
    const other = of === undefined ? undefined : docOf(documents, 'type', of);
    return [
      optionOf([id], field.label.toLowerCase(), field.type),
      ...inOrder(other?.fields ?? {}).map(([inner, each]) =>
        optionOf(
          [id, inner],
          `${field.label.toLowerCase()} · ${each.label.toLowerCase()}`,
          each.type,
        ),
      ),
    ];
  });
  // Records of a list are nobody's entries.
  if (!('kind' in type)) return fields;
  return fields.concat(
    ENTRY_DATES.map((date) => optionOf([DATE_FIELDS[date]], ENTRY_DATE_WORDS[date], DATE)),
  );
}

function optionOf(path: string[], label: string, type: TypeSpec): FieldOption {
  return { value: path.join('/'), label, path, type, empty: emptyLiteral(type) };
}

/** How a path is called where its type is known; what is gone says so. */
export function pathLabel(documents: Documents, type: Records, path: readonly string[]): string {
  const found = fieldOptions(documents, type).find(({ value }) => value === path.join('/'));
  return found?.label ?? (own(type.fields, path[0]!) ? 'a longer path' : 'a field that is gone');
}
