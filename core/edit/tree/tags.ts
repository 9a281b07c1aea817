import { Type } from '@sinclair/typebox';
import {
  attributeFault,
  attributeType,
  childrenOf,
  docOf,
  type Documents,
  isVoid,
  nestingFault,
  nodeIn,
  own,
  tagFamily,
  TAGS,
  takesText,
  treeDocOf,
  type TreeDoc,
  type NodeId,
} from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { named } from '../names';

/** Makes an element another one: what its new tag does not take of its attributes goes with the old one. */
export const setTag = defineEdit({
  args: Type.Object(
    { doc: Id, node: Id, tag: Type.String({ pattern: '^[a-z][a-z0-9]*$', maxLength: 20 }) },
    exact,
  ),
  run(documents, { doc, node, tag }) {
    const stored = nodeIn(documents, doc, node);
    if (!stored) return gone('the-element', doc);
    if (stored.kind !== 'element') return refuse(say('only-element-has-tag'), doc);
    if (isVoid(tag) && childrenOf(treeDocOf(documents, doc)!.nodes).of(node).length > 0)
      return refuse(say('tag-holds-nothing', { tag }), doc);
    const lost = Object.keys(stored.attributes).filter((name) => {
      const source = stored.attributes[name]!;
      if (!attributeType(tag, name)) return true;
      return (
        source.is === 'value' &&
        source.type === 'text' &&
        source.value !== null &&
        attributeFault(tag, name, source.value) !== null
      );
    });
    const component = docOf(documents, 'component', doc);
    // A variant of it stays one of its family; what is of none now follows the base.
    const left = Object.keys(component?.rules ?? {}).filter((rule) => {
      const said = own(component!.rules[rule]!.patch, node)?.tag;
      return said !== undefined && !tagFamily(tag).includes(said);
    });
    return [
      ...changeTo(documents, doc, ['nodes', node, 'tag'], tag),
      ...left.flatMap((rule) =>
        changeTo(documents, doc, ['rules', rule, 'patch', node, 'tag'], undefined),
      ),
      ...lost.flatMap((name) =>
        changeTo(documents, doc, ['nodes', node, 'attributes', name], undefined),
      ),
    ];
  },
  told: (documents, { doc, node, tag }) =>
    say('made-tag', { what: named(documents, doc, node), tag }),
});

/**
 * The tags an element may have where it stands, as far as its own document says: what is around it and what is in it
 * both allow them. Whether it may everywhere says the edit.
 */
export function tagsFor(documents: Documents, doc: TreeDoc, node: NodeId): string[] {
  const stored = own(doc.nodes, node);
  if (stored?.kind !== 'element') return [];
  const above: string[] = [];
  for (
    let at = stored.place.parent === null ? undefined : own(doc.nodes, stored.place.parent);
    at?.kind === 'element';
    at = at.place.parent === null ? undefined : own(doc.nodes, at.place.parent)
  )
    above.push(at.tag);
  const children = childrenOf(doc.nodes)
    .of(node)
    .map((id) => doc.nodes[id]!);
  return [...TAGS].filter((tag) => {
    if (tag === stored.tag) return true;
    if (nestingFault(tag, above)) return false;
    if (children.length > 0 && isVoid(tag)) return false;
    return children.every((child) =>
      child.kind === 'text'
        ? takesText(tag)
        : child.kind !== 'element' || !nestingFault(child.tag, [tag, ...above]),
    );
  });
}
