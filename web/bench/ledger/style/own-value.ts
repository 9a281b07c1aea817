import { own, type Declared } from '@sormet/core/model';
import {
  declarationKey,
  longhandsOf,
  together,
  type AppliedBlock,
  type Width,
} from '@sormet/core/style';

/** What a rule itself declares for a property, shorthand or not, at one width. */
export function ownValue(rule: AppliedBlock, property: string, width: Width): string | undefined {
  const at = (name: string) => own<Declared>(rule.block, declarationKey(name, width))?.css;
  const longhands = longhandsOf(property);
  if (!longhands) return at(property);
  const values = longhands.map(at);
  if (values.every((value) => value === undefined)) return undefined;
  return joined(property, values);
}

/** Longhand values as one shorthand; where some are missing, what is there with gaps shown. One value stays as it is. */
export function joined(property: string, values: readonly (string | undefined)[]): string {
  if (values.length === 1) return values[0] ?? '';
  if (property === 'border') {
    const [width, style, color] = values;
    const uniform = values.every((value, i) => value === values[i % 3]);
    return uniform && width && style && color ? `${width} ${style} ${color}` : 'differs by side';
  }
  return together(values) ?? values.map((value) => value ?? '–').join(' ');
}
