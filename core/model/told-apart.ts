import type { TSchema } from '@sinclair/typebox';

interface Branch {
  readonly type?: unknown;
  readonly required?: readonly string[];
  readonly properties?: Readonly<Record<string, { readonly const?: unknown }>>;
}

/**
 * A schema that says of each of its unions by which member the branches are told apart, where one does: then whoever checks
 * a value looks at the one branch that it may be, and not at each in turn. What passes is the same.
 * `discriminator` is a keyword of OpenAPI 3.0 (4.7.25) that Ajv knows: with it `oneOf` stands for `anyOf`.
 */
export function toldApart(schema: TSchema): TSchema {
  return apart(schema) as TSchema;
}

function apart(part: unknown): unknown {
  if (Array.isArray(part)) return part.map(apart);
  if (typeof part !== 'object' || part === null) return part;
  const made: Record<string, unknown> = {};
  for (const [name, inner] of Object.entries(part)) made[name] = apart(inner);
  const { anyOf } = made as { anyOf?: readonly Branch[] };
  const by = anyOf && memberApart(anyOf);
  if (by === undefined) return made;
  const { anyOf: branches, ...rest } = made;
  return { ...rest, type: 'object', discriminator: { propertyName: by }, oneOf: branches };
}

/** The member that every branch demands, with another constant in each; nothing where there is none. */
function memberApart(branches: readonly Branch[]): string | undefined {
  const [first] = branches;
  if (branches.length < 2) return undefined;
  return Object.keys(first?.properties ?? {}).find((name) => {
    const constants = branches.map(({ type, required, properties }) =>
      type === 'object' && required?.includes(name) ? properties?.[name]?.const : undefined,
    );
    return (
      constants.every((each) => typeof each === 'string') &&
      new Set(constants).size === constants.length
    );
  });
}
