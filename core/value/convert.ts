import { isWide, kindOf, type Typed, type TypeSpec, type ValueKind } from '../model';
import type { Data } from './data';

/** How a value of one kind becomes one of another; each kind says it of itself, or of those that came before it. */
function conversion(from: ValueKind, to: ValueKind) {
  return kindOf(from).to?.[to] ?? kindOf(to).from?.[from];
}

/** Whether a value of one kind may feed a place of another. */
export function feeds(from: ValueKind, to: ValueKind): boolean {
  return from === to || conversion(from, to) !== undefined;
}

/**
 * A value as the type that a place takes; `null` when it is empty or does not convert. A value that has
 * the type already is returned as the same object, so that identity tells whether it changed.
 */
export function convert(value: Typed, to: TypeSpec, data: Data): Typed | null {
  if (isEmpty(value, data)) return null;
  if (value.type === to.kind) return isWide(to) ? value : within(value, to, data);
  const offered = conversion(value.type, to.kind);
  const made = offered ? offered(value.value as never, data) : inWords(value, to, data);
  if (made === null) return null;
  const converted = { type: to.kind, value: made } as Typed;
  if (isEmpty(converted, data)) return null;
  return isWide(to) ? converted : within(converted, to, data);
}

/** What words mean as a type, or a value is in words: where a type has changed since it was written. */
function inWords(value: Typed, to: TypeSpec, data: Data): unknown {
  if (value.type === 'text')
    return kindOf(to.kind).parse?.(value.value as string, to, data) ?? null;
  return to.kind === 'text' ? (kindOf(value.type).spell?.(value.value) ?? null) : null;
}

/** A value of the kind of a narrower type, as that lets it through. */
function within(value: Typed, to: TypeSpec, data: Data): Typed | null {
  const kept = kindOf(to.kind).within!(value.value, to, data);
  if (kept === null) return null;
  return kept === value.value ? value : ({ type: value.type, value: kept } as Typed);
}

/** Whether a value counts as empty: null, "", an empty list, a picture or an entry that is gone, a link that leads nowhere. */
export function isEmpty(value: Typed, data: Data): boolean {
  if (value.value === null) return true;
  return kindOf(value.type).isEmpty?.(value.value, data) ?? false;
}

/** Whether everything that one type lets through, another lets through as it is. */
export function passesAsIs(from: TypeSpec, to: TypeSpec): boolean {
  return from === to || (from.kind === to.kind && isWide(to));
}
