import { kindOf, type Declared, type Literal, type Ref, type TypeSpec } from '../model';
import { keyParts } from './cascade';
import { expand } from './expand';

/** The placeholder under which what a property of a definition gives stands in a declaration. */
export const FED = 'it';

type Feedable = Extract<Ref, { source: unknown }>['type'];

const taken = new Map<string, Feedable | undefined>();

/** What of a property of CSS a source can give: a colour, a length, a number, a picture; nothing for any other. */
export function feedableType(property: string): (TypeSpec & { kind: Feedable }) | undefined {
  if (!taken.has(property)) taken.set(property, read(property));
  const kind = taken.get(property);
  return kind && { kind };
}

function read(property: string): Feedable | undefined {
  if (property === 'background-image') return 'image';
  const takes = (value: string) => expand(property, value).ok;
  // What takes both a colour and something else is a shorthand; what takes any word (a name) takes neither.
  if (takes('#012345') && !takes('1px')) return 'colour';
  if (takes('1px') && !takes('#012345')) return 'length';
  return takes('1.5') || takes('15') ? 'number' : undefined;
}

/** What a declaration says as a value of what its property can be given; nothing where no such value says the same. */
export function literalOfDeclared(key: string, { css, refs }: Declared): Literal | undefined {
  const type = feedableType(keyParts(key).property);
  if (!type || type.kind === 'image') return undefined;
  const name = /^var\(--([a-z][a-z0-9-]*)\)$/.exec(css)?.[1];
  const ref = name === undefined ? undefined : refs?.[name];
  if (ref && 'token' in ref && !ref.part && ref.type === type.kind && type.kind !== 'number')
    return { is: 'value', type: type.kind, value: { token: ref.token } };
  if (refs) return undefined;
  const value = kindOf(type.kind).parse?.(css === '0' ? ZERO[type.kind] : css, type);
  return value === null || value === undefined
    ? undefined
    : ({ is: 'value', type: type.kind, value } as Literal);
}

/** How nought is written where a unit is asked for. */
const ZERO = { colour: '0', length: '0px', number: '0' } as const;
