import { kindOnly, type Expression, type TypeSpec, type ValueKind } from '../model';
import {
  checked,
  readExpression,
  running,
  type Fault,
  type Gives,
  type Run as RunExpression,
  type Tree,
} from '../expression';

/** What an expression comes to before it is run: a function of its names, with the kind that it gives; or why there is none. */
export type WorkedOut =
  | {
      readonly ok: true;
      /** The names in the order in which their values are given. */
      readonly names: readonly string[];
      readonly run: RunExpression;
      readonly tree: Tree;
      readonly gives: Gives;
    }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** What values of a type are in expressions; records of a list are there as a whole. */
export function givesOf(type: TypeSpec): Gives {
  return type.kind === 'choice'
    ? { of: type.kind, options: Object.keys(type.options) }
    : { of: type.kind };
}

type Kind = ValueKind | 'nothing' | undefined;

const kept = new WeakMap<
  Expression,
  { readonly names: readonly string[]; readonly kinds: readonly Kind[]; readonly made: WorkedOut }
>();

/**
 * An expression read and checked, ready to be run; worked out once for each kind of what its names stand for.
 * @param kindOf of which kind the source behind a name is; nothing where that is gone
 */
export function workedOut(source: Expression, kindOf: (name: string) => Kind): WorkedOut {
  const before = kept.get(source);
  if (before && isStill(before, kindOf)) return before.made;
  const names = Object.keys(source.names).sort();
  const kinds = names.map(kindOf);
  const made = workOut(source, names, kinds);
  kept.set(source, { names, kinds, made });
  return made;
}

/** Whether names stand for the kinds that they stood for; asked each time something is worked out. */
function isStill(
  { names, kinds }: { readonly names: readonly string[]; readonly kinds: readonly Kind[] },
  kindOf: (name: string) => Kind,
): boolean {
  for (let i = 0; i < names.length; i += 1) if (kindOf(names[i]!) !== kinds[i]) return false;
  return true;
}

function workOut({ cel }: Expression, names: readonly string[], kinds: readonly Kind[]): WorkedOut {
  const read = readExpression(cel);
  if (!read.ok) return { ok: false, faults: [read] };
  const check = checked(read.tree, (name) => {
    const of = kinds[names.indexOf(name)];
    return of === undefined ? undefined : ({ of } as Gives);
  });
  if (!check.ok) return check;
  const { tree } = read;
  return { ok: true, names, run: running(tree, names), tree, gives: check.gives };
}

/** The type of what an expression gives; nothing where it gives none that anything could take. */
export function typeGiven({ of, isList }: Gives): TypeSpec | undefined {
  return isList || of === 'nothing' ? undefined : kindOnly(of);
}
