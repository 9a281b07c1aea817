import { say } from '../said';
import { sameJson, type Expression, type Source } from '../model';
import { checked, dotted } from './check';
import { readExpression, type Fault } from './read';
import type { Gives, Tree } from './tree';

/** Something that an expression can name at a place. */
export interface ExpressionName {
  /** As it is typed: `tone`, `tone.quiet`, `page.town`. */
  readonly path: string;
  /** As people know it. */
  readonly label: string;
  readonly gives: Gives;
  readonly source: Source;
  /** Whether it is words that a visitor says: nobody knows them when a page is written, so they are put in place and not worked with. */
  readonly isSaid?: boolean;
}

/** What typing an expression comes to: a source with its kind, or what is wrong with it. */
export type Typing =
  | { readonly ok: true; readonly source: Expression; readonly gives: Gives }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** The outermost names in an expression, those with dots whole. */
function namesIn(tree: Tree): Tree[] {
  if (dotted(tree) !== undefined) return [tree];
  switch (tree.is) {
    case 'literal':
    case 'name':
      return [];
    case 'member':
    case 'not':
    case 'minus':
      return namesIn(tree.of);
    case 'call':
      return tree.given.flatMap(namesIn);
    case 'list':
      return tree.items.flatMap(namesIn);
    case 'binary':
      return [...namesIn(tree.left), ...namesIn(tree.right)];
    case 'if':
      return [tree.test, tree.then, tree.otherwise].flatMap(namesIn);
  }
}

/**
 * The names in an expression whose words are worked with: compared, taken apart, counted. What is put in place as it is, alone or
 * behind other words, is not, nor is what is asked whether it is there.
 */
function workedWith(tree: Tree, isInPlace = true): Tree[] {
  if (dotted(tree) !== undefined) return isInPlace ? [] : [tree];
  switch (tree.is) {
    case 'literal':
    case 'name':
      return [];
    case 'if':
      return [
        ...workedWith(tree.test, false),
        ...workedWith(tree.then, isInPlace),
        ...workedWith(tree.otherwise, isInPlace),
      ];
    case 'binary': {
      const inner = isInPlace && tree.by === '+';
      return [...workedWith(tree.left, inner), ...workedWith(tree.right, inner)];
    }
    case 'call':
      return tree.given.flatMap((each) => workedWith(each, tree.name === 'empty'));
    case 'list':
      return tree.items.flatMap((each) => workedWith(each, false));
    case 'member':
    case 'not':
    case 'minus':
      return workedWith(tree.of, false);
  }
}

/** Puts other words in the place of parts of a text. */
function replaced(cel: string, parts: readonly { tree: Tree; by: string }[]): string {
  let made = cel;
  for (const { tree, by } of [...parts].sort((a, b) => b.tree.start - a.tree.start))
    made = made.slice(0, tree.start) + by + made.slice(tree.end);
  return made;
}

/** An expression as it was typed, with what its names stand for in their place: checked, so that it can be saved. */
export function typedWith(typed: string, names: readonly ExpressionName[]): Typing {
  const read = readExpression(typed);
  if (!read.ok) return { ok: false, faults: [read] };
  const byPath = new Map(names.map((each) => [each.path, each]));
  const check = checked(read.tree, (path) => byPath.get(path)?.gives);
  if (!check.ok) return check;
  const faults = workedWith(read.tree)
    .filter((tree) => byPath.get(dotted(tree)!)?.isSaid)
    .map(({ start, end }): Fault => ({ start, end, said: say('said-by-visitors') }));
  if (faults.length > 0) return { ok: false, faults };
  const kept: Record<string, Source> = {};
  const parts = namesIn(read.tree).map((tree) => {
    const { source } = byPath.get(dotted(tree)!)!;
    const before = Object.keys(kept).find((name) => sameJson(kept[name], source));
    const by = before ?? `n${Object.keys(kept).length}`;
    kept[by] = source;
    return { tree, by };
  });
  const cel = replaced(typed, parts).trim();
  return { ok: true, source: { is: 'expression', cel, names: kept }, gives: check.gives };
}

/**
 * An expression as it is typed, under the names that things have now. What none of them stands for gets a name too, so
 * that what is shown can be typed again.
 * @param further tells of what kind something is that none of the names stands for
 */
export function shownWith(
  { cel, names: held }: Expression,
  names: readonly ExpressionName[],
  further: (source: Source) => Pick<ExpressionName, 'label' | 'gives'> | undefined,
): { readonly typed: string; readonly names: readonly ExpressionName[] } {
  const all = [...names];
  const pathOf = new Map<string, string>();
  for (const name of Object.keys(held).sort()) {
    const source = held[name]!;
    let found = all.find((each) => sameJson(each.source, source));
    if (!found) {
      const made = further(source) ?? { label: 'something that is gone', gives: { of: 'nothing' } };
      found = { ...made, path: freePath(all, 'value'), source };
      all.push(found);
    }
    pathOf.set(name, found.path);
  }
  const read = readExpression(cel);
  if (!read.ok) return { typed: cel, names: all };
  const parts = namesIn(read.tree).flatMap((tree) => {
    const by = pathOf.get(dotted(tree)!);
    return by === undefined ? [] : [{ tree, by }];
  });
  return { typed: replaced(cel, parts), names: all };
}

function freePath(names: readonly ExpressionName[], begin: string): string {
  for (let i = 1; ; i += 1)
    if (!names.some(({ path }) => path === `${begin}${i}`)) return `${begin}${i}`;
}
