import { Type } from '@sinclair/typebox';
import {
  ancestorsOf,
  ID_PATTERN,
  nodeIn,
  own,
  Place,
  rootOf,
  Source,
  pointer,
  readAt,
  tokensOf,
  treeDocOf,
  docOf,
  Tree,
  withDescendants,
  type Block,
  type Ref,
} from '../model';
import { declarationKey, expand, longhandsOf, refsIn } from '../style';
import { changeTo, isRefusal, type Change } from './change';
import {
  attributeWord,
  ControlArg,
  controlPath,
  controlType,
  nodeName,
  propertyOf,
} from './control';
import { shortName } from './names';
import { defineEdit, refuse } from './define';
import type { Documents, TreeDoc, TreeNode } from '../model';

const Id = Type.String({ pattern: ID_PATTERN });
const exact = { additionalProperties: false };

/** How people see a page or component: its name. */
export function documentName(doc: TreeDoc | undefined): string {
  if (!doc) return 'a document that is gone';
  return doc.kind === 'page' ? doc.path : shortName(doc.name);
}

function named(documents: Documents, doc: string, node: string): string {
  const tree = treeDocOf(documents, doc);
  const stored = tree && own(tree.nodes, node);
  return stored ? nodeName(documents, stored, tree) : 'something that is gone';
}

function gone(what: string, doc: string) {
  return refuse(`${what} is gone; somebody has removed it.`, doc);
}

/** Puts nodes that belong together into a tree. */
export const place = defineEdit({
  args: Type.Object({ doc: Id, root: Id, nodes: Tree }, exact),
  run(documents, { doc, root, nodes }) {
    const tree = treeDocOf(documents, doc);
    if (!tree) return gone('The document', doc);
    const placed = own(nodes, root);
    if (!placed || placed.place.parent === null) return refuse('Nothing was given to place.', doc);
    if (!own(tree.nodes, placed.place.parent))
      return gone('The place where this should stand', doc);
    for (const id in nodes)
      if (own(tree.nodes, id))
        return refuse('A node with this id is there already.', doc, `/nodes/${id}`);
    return Object.keys(nodes).flatMap((id) => changeTo(documents, doc, ['nodes', id], nodes[id]));
  },
  says: (documents, { doc, root, nodes }) =>
    `placed ${nodeName(documents, nodes[root]!)} on ${documentName(treeDocOf(documents, doc))}`,
});

export const move = defineEdit({
  args: Type.Object({ doc: Id, node: Id, place: Place }, exact),
  run(documents, { doc, node, place: to }) {
    const tree = treeDocOf(documents, doc);
    if (!tree || !own(tree.nodes, node)) return gone('What should move', doc);
    if (to.parent === null || node === rootOf(tree.nodes))
      return refuse('The root stays where it is.', doc);
    if (!own(tree.nodes, to.parent)) return gone('The place to move to', doc);
    if (to.parent === node || ancestorsOf(tree.nodes, to.parent).includes(node))
      return refuse('Nothing can stand inside itself.', doc, `/nodes/${node}/place`);
    return changeTo(documents, doc, ['nodes', node, 'place'], to);
  },
  says: (documents, { doc, node }) => `moved ${named(documents, doc, node)}`,
});

export const remove = defineEdit({
  args: Type.Object({ doc: Id, node: Id }, exact),
  run(documents, { doc, node }) {
    const tree = treeDocOf(documents, doc);
    if (!tree || !own(tree.nodes, node)) return gone('What should be removed', doc);
    if (node === rootOf(tree.nodes)) return refuse('The root cannot be removed.', doc);
    return withDescendants(tree.nodes, node)
      .reverse()
      .flatMap((id) => changeTo(documents, doc, ['nodes', id], undefined));
  },
  says: (documents, { doc, node }) => `removed ${named(documents, doc, node)}`,
});

export const nameNode = defineEdit({
  args: Type.Object({ doc: Id, node: Id, name: Type.String({ maxLength: 120 }) }, exact),
  run(documents, { doc, node, name }) {
    if (!nodeIn(documents, doc, node)) return gone('What should be named', doc);
    return changeTo(documents, doc, ['nodes', node, 'name'], name.trim() || undefined);
  },
  says: (documents, { doc, node, name }) => `named ${named(documents, doc, node)} “${name}”`,
});

/** Gives a control a source of its own: a value, a field, a property; `null` takes it away. */
export const setControl = defineEdit({
  args: Type.Object(
    { doc: Id, node: Id, control: ControlArg, source: Type.Union([Source, Type.Null()]) },
    exact,
  ),
  run(documents, { doc, node, control, source }) {
    const stored = nodeIn(documents, doc, node);
    if (!stored) return gone('What should be set', doc);
    const type = controlType(documents, stored, control);
    if (!type && source !== null) return gone('The property', doc);
    if (control.of === 'text' && source === null) return refuse('A text always has a value.', doc);
    return changeTo(documents, doc, ['nodes', node, ...controlPath(control)], source ?? undefined);
  },
  says(documents, { doc, node, control, source }) {
    const stored = nodeIn(documents, doc, node);
    const of = named(documents, doc, node);
    const what = stored ? controlWord(documents, stored, control) : 'a value';
    if (source === null) return `took back ${what} of ${of}`;
    return source.is === 'field' ? `bound ${what} of ${of}` : `set ${what} of ${of}`;
  },
});

function controlWord(documents: Documents, node: TreeNode, control: ControlArg): string {
  if (control.of === 'attribute') return attributeWord(control.name);
  if (control.of !== 'value') return control.of;
  const property =
    node.kind === 'instance' ? propertyOf(documents, node.component, control.property) : undefined;
  return property?.label ?? 'a property';
}

/** A property with its value at one width; `null` takes it back. */
const DECLARATION = {
  property: Type.String({ maxLength: 60 }),
  width: Type.String({ maxLength: 40 }),
  css: Type.Union([Type.String({ maxLength: 500 }), Type.Null()]),
};

/** Declares a CSS property on a node at one width, shorthands taken apart; `null` takes it back. */
export const declare = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      node: Id,
      ...DECLARATION,
    },
    exact,
  ),
  run(documents, { doc, node, property, width, css }) {
    const stored = nodeIn(documents, doc, node);
    if (!stored || (stored.kind !== 'element' && stored.kind !== 'instance'))
      return gone('What should be styled', doc);
    return declareIn(documents, doc, ['nodes', node, 'style'], stored.style, property, width, css);
  },
  says: (documents, { doc, node, property }) =>
    `styled ${property} of ${named(documents, doc, node)}`,
});

/** Declares a CSS property on every element of a tag. */
export const declareTag = defineEdit({
  args: Type.Object(
    {
      tag: Type.String({ pattern: '^[a-z][a-z0-9]*$' }),
      ...DECLARATION,
    },
    exact,
  ),
  run(documents, { tag, property, width, css }) {
    const tags = documents.tags;
    const block = own(tags.tags, tag);
    if (!block) return refuse(`The site has no style for ${tag} yet.`, tags.id);
    return declareIn(documents, tags.id, ['tags', tag], block, property, width, css);
  },
  says: (_, { tag, property }) => `styled ${property} of every ${tag}`,
});

/** Declares a CSS property in a shared style. */
export const declareShared = defineEdit({
  args: Type.Object({ style: Id, ...DECLARATION }, exact),
  run(documents, { style, property, width, css }) {
    const stored = docOf(documents, 'style', style);
    if (!stored) return gone('The shared style', style);
    return declareIn(documents, style, ['style'], stored.style, property, width, css);
  },
  says: (documents, { style, property }) =>
    `styled ${property} of ${docOf(documents, 'style', style)?.name ?? 'a shared style'}`,
});

/** Gives a control another source while a rule holds; `null` takes it away. */
export const setByRule = defineEdit({
  args: Type.Object(
    {
      component: Id,
      rule: Id,
      node: Id,
      control: ControlArg,
      source: Type.Union([Source, Type.Null()]),
    },
    exact,
  ),
  run(documents, { component, rule, node, control, source }) {
    const stored = docOf(documents, 'component', component);
    const held = stored && own(stored.nodes, node);
    if (!held || !own(stored.rules, rule)) return gone('The rule', component);
    if (control.of === 'text')
      return refuse('A rule says whether a text is shown, not what it says.', component);
    if (source !== null && !controlType(documents, held, control))
      return gone('The property', component);
    const where = ['rules', rule, 'patch', node, ...controlPath(control)];
    return withContainers(documents, changeTo(documents, component, where, source ?? undefined));
  },
  says: (documents, { component, node }) =>
    `set something of ${named(documents, component, node)} where a rule holds`,
});

/** Changes to members of a rule's patch, with what must hold them made first. */
function withContainers(documents: Documents, changes: readonly Change[]): Change[] {
  const [first] = changes;
  if (!first) return [];
  const tokens = tokensOf(first.path);
  // `rules/RULE/patch/NODE` and below it `style`, `attributes` or `values`; what is shown stands in the patch itself.
  const containers = [tokens.slice(0, 4), ...(tokens.length > 5 ? [tokens.slice(0, 5)] : [])];
  const doc = documents.get(first.doc);
  const missing = containers.filter((path) => readAt(doc, pointer(...path)) === undefined);
  const made = changes.some(({ now }) => now !== undefined) ? missing : [];
  return [...made.flatMap((path) => changeTo(documents, first.doc, path, {})), ...changes];
}

/** Declares a CSS property on what a rule of a definition patches. */
export const declareRule = defineEdit({
  args: Type.Object({ component: Id, rule: Id, node: Id, ...DECLARATION }, exact),
  run(documents, { component, rule, node, property, width, css }) {
    const stored = docOf(documents, 'component', component);
    const patch = stored && own(stored.rules, rule)?.patch;
    if (!patch || !own(stored.nodes, node)) return gone('The rule', component);
    const where = ['rules', rule, 'patch', node, 'style'];
    const block = own(patch, node)?.style;
    const changes = declareIn(documents, component, where, block ?? {}, property, width, css);
    return isRefusal(changes) ? changes : withContainers(documents, changes);
  },
  says: (documents, { component, node, property }) =>
    `styled ${property} of ${named(documents, component, node)} where a rule holds`,
});

function declareIn(
  documents: Documents,
  doc: string,
  tokens: string[],
  block: Block,
  property: string,
  width: string,
  css: string | null,
) {
  if (css === null) {
    const names = new Set([property, ...(longhandsOf(property) ?? [])]);
    return Object.keys(block)
      .sort()
      .filter((key) => [...names].some((name) => key === declarationKey(name, width)))
      .flatMap((key) => changeTo(documents, doc, [...tokens, key], undefined));
  }
  // What stands in for a part of the value may be kept, or used again for another property.
  const refs: Record<string, Ref> = {};
  for (const key in block) Object.assign(refs, block[key]!.refs);
  const expanded = expand(property, css, refs);
  if (!expanded.ok) return refuse(expanded.reason, doc, '/' + tokens.join('/'));
  return Object.entries(expanded.longhands).flatMap(([longhand, value]): Change[] => {
    const used = refsIn(value, refs);
    const declared = used ? { css: value, refs: used } : { css: value };
    return changeTo(documents, doc, [...tokens, declarationKey(longhand, width)], declared);
  });
}
