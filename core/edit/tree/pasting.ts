import { Type } from '@sinclair/typebox';
import {
  AssetDoc,
  Block,
  ComponentDoc,
  docOf,
  own,
  StyleDoc,
  Token,
  Tree,
  treeDocOf,
} from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { change, changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { documentName, nodeName } from '../names';

/** Puts several branches into a tree at once, with the definitions, shared styles and files they need. */
export const paste = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      roots: Type.Array(Id, { minItems: 1, maxItems: 500 }),
      nodes: Tree,
      bring: Type.Array(Type.Union([ComponentDoc, StyleDoc, AssetDoc]), { maxItems: 500 }),
      /** What shared styles of the site say from then on. */
      restyle: Type.Optional(Type.Record(Id, Block, { ...exact, maxProperties: 500 })),
      /** Tokens as they are from then on, new ones among them. */
      tokens: Type.Optional(Type.Record(Id, Token, { ...exact, maxProperties: 500 })),
    },
    exact,
  ),
  run(documents, { doc, roots, nodes, bring, restyle = {}, tokens = {} }) {
    const tree = treeDocOf(documents, doc);
    if (!tree) return gone('the-document', doc);
    for (const root of roots) {
      const parent = own(nodes, root)?.place.parent;
      if (parent === undefined || parent === null) return refuse(say('nothing-to-paste'), doc);
      if (!own(tree.nodes, parent)) return gone('place-to-stand', doc);
    }
    for (const id in nodes)
      if (own(tree.nodes, id)) return refuse(say('node-id-taken'), doc, `/nodes/${id}`);
    for (const { id } of bring) if (documents.get(id)) return refuse(say('id-taken'), id);
    for (const style in restyle)
      if (!docOf(documents, 'style', style)) return gone('a-shared-style', style);
    return [
      ...Object.keys(tokens).flatMap((token) =>
        changeTo(documents, documents.tokens.id, ['tokens', token], tokens[token]),
      ),
      ...Object.keys(restyle).flatMap((style) =>
        changeTo(documents, style, ['style'], restyle[style]),
      ),
      ...bring.map((each) => change(each.id, '', undefined, each)),
      ...Object.keys(nodes).flatMap((id) => changeTo(documents, doc, ['nodes', id], nodes[id])),
    ];
  },
  told(documents, { doc, roots, nodes, bring }) {
    const node = own(nodes, roots[0]!)!;
    const brought = bring.find((each) => node.kind === 'instance' && each.id === node.component);
    const first =
      brought && !docOf(documents, 'component', brought.id)
        ? brought.name.slice(brought.name.lastIndexOf('/') + 1)
        : nodeName(documents, node);
    const what = roots.length === 1 ? first : say('things-counted', { many: roots.length });
    return say('pasted', { what, doc: documentName(treeDocOf(documents, doc)) });
  },
});
