import {
  allOf,
  mapBlock,
  mapDeclared,
  mapDefinition,
  mapPatch,
  mapType,
  own,
  type Block,
  type ComponentDoc,
  type Doc,
  type NodeId,
  type StyleDoc,
  type Token,
  type TreeNode,
} from '../model';
import { emptyLiteral, freeName } from '../edit';
import type { Carrying } from './carrying';
import type { NamesThere } from './names-there';

/** A definition, shared style or file that comes along. */
export type Brought = Doc & { kind: 'component' | 'style' | 'asset' };

/** What a clip brings along beside its nodes: what they name and the site does not have, and what is taken in place of ours. */
export class Along {
  constructor(
    private readonly carrying: Carrying,
    private readonly names: NamesThere,
  ) {}

  /** What comes along, fitted itself, until nothing more does. */
  documents(): Brought[] {
    const { clip, there } = this.carrying;
    const bring: Brought[] = [];
    // The map grows while it is gone through: definitions place further ones.
    for (const [from, id] of there.coming) {
      const component = own(clip.components, from);
      const style = own(clip.styles, from);
      const asset = own(clip.assets, from);
      if (component) bring.push(this.definition(component, id));
      else if (style) bring.push(this.style(style, id));
      else if (asset) bring.push({ ...asset, id });
    }
    return bring;
  }

  /** What styles of the site say from then on, where theirs was chosen. */
  restyled(): Record<string, Block> {
    const { clip, choices, there } = this.carrying;
    const restyled: Record<string, Block> = {};
    for (const [id, style] of Object.entries(clip.styles)) {
      const here = own(choices, id) === 'theirs' ? there.style(id) : undefined;
      if (here !== undefined) restyled[here] = this.block(style.style);
    }
    return restyled;
  }

  /** Tokens of the site that become theirs, and those of theirs that come beside ours. */
  tokens(): Record<string, Token> {
    const { clip, choices, there, documents } = this.carrying;
    const { tokens } = documents.tokens;
    const taken: Record<string, Token> = {};
    const names = new Set(Object.values(tokens).map(({ name }) => name));
    for (const [id, theirs] of Object.entries(clip.tokens)) {
      const here = own(choices, id) === 'theirs' ? there.token(id) : undefined;
      const value = here === undefined ? undefined : this.declared(theirs.value);
      if (here !== undefined && value) taken[here] = { ...own(tokens, here)!, value };
    }
    // The map grows while it is gone through: a token may be made from further ones.
    for (const [id, here] of there.comingTokens) {
      const theirs = own(clip.tokens, id);
      const value = theirs && this.declared(theirs.value);
      if (!theirs || !value) continue;
      const name = freeName(theirs.name, names);
      names.add(name);
      taken[here] = { ...theirs, name, value };
    }
    return taken;
  }

  private style(style: StyleDoc, id: string): StyleDoc {
    const { documents, there } = this.carrying;
    const base = style.base === null ? null : (there.style(style.base) ?? null);
    const taken = allOf(documents, 'style').map((each) => each.name);
    const name = freeName(style.name, taken);
    return { ...style, id, name, base, style: this.block(style.style) };
  }

  private definition(doc: ComponentDoc, id: string): ComponentDoc {
    const { names } = this;
    const properties: ComponentDoc['properties'] = {};
    for (const [property, made] of Object.entries(doc.properties)) {
      const held = names.sources.source(made.default, doc, made.label, () =>
        emptyLiteral(made.type),
      )!;
      properties[property] = {
        ...made,
        type: mapType(made.type, names.naming(doc)),
        default: held,
      };
    }
    const rules: ComponentDoc['rules'] = {};
    for (const [rule, { patch, ...rest }] of Object.entries(doc.rules))
      rules[rule] = {
        ...rest,
        patch: Object.fromEntries(
          Object.entries(patch).map(([node, each]) => {
            const stored = own(doc.nodes, node);
            return [node, mapPatch(each, stored, names.naming(doc, stored))];
          }),
        ),
      };
    // Whatever else it has (slots, lines) goes by the one map of references.
    const fitted = mapDefinition(
      { ...doc, nodes: {}, properties: {}, rules: {} },
      names.naming(doc),
    );
    return { ...fitted, id, nodes: this.nodes(doc), properties, rules };
  }

  private nodes(doc: ComponentDoc): Record<NodeId, TreeNode> {
    const nodes: Record<NodeId, TreeNode> = {};
    for (const [id, stored] of Object.entries(doc.nodes)) {
      const { parent, slot } = stored.place;
      const around = parent === null ? undefined : doc.nodes[parent];
      const named =
        slot !== undefined && around?.kind === 'instance'
          ? this.carrying.there.slot(around.component, slot)
          : slot;
      const place = named === undefined ? stored.place : { ...stored.place, slot: named };
      nodes[id] = { ...this.names.node(stored, doc), place };
    }
    return nodes;
  }

  private block(block: Block): Block {
    return mapBlock(block, this.names.naming('here'));
  }

  private declared(declared: Block[string]): Block[string] | undefined {
    return mapDeclared(declared, this.names.naming('here'));
  }
}
