import {
  docOf,
  EVERY_TAG,
  isTheme,
  nodeIn,
  own,
  partNameOf,
  rootOf,
  treeDocOf,
  type Documents,
  type TagsDoc,
} from '../model';
import { compareLevels, rulesInOrder, stylesInOrder, type AppliedBlock } from '../style';
import type { ResolvedElement } from './resolved';
import { groundOf } from './ground';
import { classOf, lookOf } from './look';
import type { Within } from './scope';
import { instanceOf } from './trace';

/**
 * The blocks that apply to a resolved element, weakest first: its tag's, then from the inside out what its own
 * definition says of it and what each instance says of it whose root it is; each time shared styles, its own
 * declarations, then the rules of that definition that hold.
 */
export function rulesOf(
  element: ResolvedElement,
  documents: Documents,
  tags: TagsDoc,
): AppliedBlock[] {
  const everywhere = own(tags.tags, EVERY_TAG);
  const found: AppliedBlock[] = [
    {
      origin: { is: 'tag', doc: tags.id, tag: element.tag },
      level: { of: 'tags' },
      block: own(tags.tags, element.tag) ?? {},
    },
  ];
  if (everywhere)
    found.push({
      origin: { is: 'tag', doc: tags.id, tag: EVERY_TAG },
      level: { of: 'everything' },
      block: everywhere,
    });
  const styles = stylesInOrder(documents);
  // Which rules hold is what was written: each has a class of its own.
  const classes = new Set((element.attributes['class'] ?? '').split(' '));
  let at: Within = element.scope.within;
  let node = element.from.id;
  for (let height = 0; ; height += 1) {
    found.push(...saidOf(documents, styles, at.doc, node, height, classes));
    found.push(...saidOfPart(documents, at, node, height + 1));
    const tree = treeDocOf(documents, at.doc);
    if (!tree || rootOf(tree.nodes) !== node) break;
    if (!at.parent || at.entry !== undefined) break;
    node = at.node;
    at = at.parent;
  }
  return found.sort((a, b) => compareLevels(a.level, b.level));
}

/** What the instance around says of a part of its component. */
function saidOfPart(
  documents: Documents,
  within: Within,
  part: string,
  height: number,
): AppliedBlock[] {
  const { doc, node, parent } = instanceOf(within);
  const marked = nodeIn(documents, doc, part);
  const around = parent && nodeIn(documents, parent.doc, node);
  if (around?.kind !== 'instance' || partNameOf(marked) === undefined) return [];
  const block = own(around.parts ?? {}, part) ?? {};
  return [
    {
      origin: { is: 'part', doc: parent!.doc, node, part },
      level: { of: 'own', height, at: 0 },
      block,
    },
  ];
}

/** What one document says of one of its nodes. */
function saidOf(
  documents: Documents,
  styles: readonly string[],
  doc: string,
  node: string,
  height: number,
  classes: ReadonlySet<string>,
): AppliedBlock[] {
  const stored = nodeIn(documents, doc, node);
  if (stored?.kind !== 'element' && stored?.kind !== 'instance') return [];
  const found: AppliedBlock[] = [];
  const tree = treeDocOf(documents, doc);
  // What begins a theme, or puts a shared style on, is what was written.
  const seen = new Set<string>();
  for (const { className, by } of tree ? lookOf(tree, node, stored, height).classes : []) {
    if (!classes.has(className) || seen.has(className)) continue;
    seen.add(className);
    if (by.is === 'theme' && isTheme(documents.tokens.themes, by.theme))
      found.push({
        origin: { is: 'theme', doc, node, theme: by.theme },
        level: { of: 'themes', at: height },
        block: groundOf(documents),
      });
    const block = by.is === 'shared' ? docOf(documents, 'style', by.style)?.style : undefined;
    if (by.is === 'shared' && block)
      found.push({
        origin: { is: 'shared', doc: by.style, on: { doc, node } },
        level: { of: 'shared', height, at: styles.indexOf(by.style) },
        block,
      });
  }
  found.push({
    origin: { is: 'node', doc, node },
    level: { of: 'own', height, at: 0 },
    block: stored.style,
  });
  const component = docOf(documents, 'component', doc);
  rulesInOrderOf(component).forEach(([rule, { when, patch }], at) => {
    const block = own(patch, node)?.style;
    if (!block || !classes.has(classOf(doc, node, rule))) return;
    found.push({
      origin: { is: 'rule', doc, rule, node },
      level: { of: 'rules', height, at },
      block,
      ...(when.pseudo ? { pseudo: when.pseudo } : {}),
    });
  });
  return found;
}

function rulesInOrderOf(component: Parameters<typeof rulesInOrder>[0] | undefined) {
  return component ? rulesInOrder(component) : [];
}
