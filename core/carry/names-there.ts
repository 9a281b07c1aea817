import {
  CHOSEN,
  docOf,
  kindOf,
  mapActs,
  mapNode,
  mapSource,
  mapTyped,
  own,
  partNameOf,
  partsIn,
  withChosen,
  type ElementNode,
  type InstanceNode,
  type Named,
  type Naming,
  type TreeNode,
} from '../model';
import { say } from '../said';
import { filled, keyParts } from '../style';
import type { Carrying } from './carrying';
import { SourcesThere, type Reader } from './sources-there';

/** What a clip names, by the names it has where it comes to stand: on the one map of references (`mapNode` and its like). */
export class NamesThere {
  readonly sources: SourcesThere;

  constructor(private readonly carrying: Carrying) {
    this.sources = new SourcesThere(
      carrying,
      (typed) => mapTyped(typed, this.naming('here')).value,
      (acts, at) => mapActs(acts, this.naming(at), ['whens'], mapSource),
    );
  }

  /**
   * @param at how sources in it are read
   * @param node the node that is mapped, where it is one
   */
  naming(at: Reader, node?: TreeNode): Naming {
    const { there, clip, lost } = this.carrying;
    return {
      named: (named) => this.named(named, node),
      path: (type, path) => (type === undefined ? [...path] : there.path(type, path)),
      source: (source, where) => this.sources.at(source, at, where, node),
      node: (id) => (at === 'here' ? this.nodeThere(id) : id),
      tokenValue: (kind, token) => this.tokenValue(kind, token),
      // A token that this site does not have is written out, all the way down.
      tokenCss: (name, ref) =>
        own(clip.tokens, ref.token) &&
        filled({ css: `var(--${name})`, refs: { [name]: ref } }, clip.tokens),
      lostDeclaration: (key) => lost(say('left-declaration', { property: keyParts(key).property })),
    };
  }

  /** A node as it is there. */
  node(node: TreeNode, at: Reader): TreeNode {
    const mapped = mapNode(node, this.naming(at, node));
    if (node.kind !== 'element' && node.kind !== 'instance') return mapped;
    return at === 'here' && node.chosen ? this.chosenForGood(mapped, node.chosen) : mapped;
  }

  private named(named: Named, node: TreeNode | undefined): string | undefined {
    const { there, clip, lost } = this.carrying;
    switch (named.is) {
      case 'component':
        return there.component(named.id);
      case 'style':
        return there.style(named.id) ?? lost(say('left-style'));
      case 'theme':
        return there.theme(named.id) ?? lost(say('left-theme'));
      case 'token':
        return there.token(named.id);
      case 'width': {
        const max = own(clip.widths, named.id)?.max;
        const why = max === undefined ? say('left-at-a-width') : say('left-at-width', { max });
        return there.width(named.id) ?? lost(why);
      }
      case 'asset': {
        const asset = there.asset(named.id);
        if (asset !== undefined || named.as === 'still') return asset;
        return lost(say(named.as === 'film' ? 'left-film' : 'left-picture'));
      }
      case 'entry': {
        const why = say(named.by === 'link' ? 'left-link' : 'left-entry');
        return there.entry(named.id) ?? lost(why);
      }
      case 'page':
        return there.page(named.id) ?? lost(say('left-link'));
      case 'type':
        return there.type(named.id);
      case 'property': {
        const label = own(clip.components, named.of)?.properties[named.id]?.label;
        return (
          there.property(named.of, named.id) ??
          lost(say('left-value', { property: label ?? say('a-property') }))
        );
      }
      case 'slot':
        return there.slot(named.of, named.id);
      case 'part':
        return this.part(named.of, named.id, node);
    }
  }

  /** An element that something is done to: it comes along, or stays where it was. */
  private nodeThere(id: string): string | undefined {
    const { ids, target, clip } = this.carrying;
    return ids.get(id) ?? (target.id === clip.doc ? id : undefined);
  }

  /** A part of a component: of one that is here already, that which is called the same there. */
  private part(component: string, id: string, node: TreeNode | undefined): string | undefined {
    const { documents, there, clip, lost } = this.carrying;
    const here = docOf(documents, 'component', there.component(component) ?? '');
    if (!here || node === undefined) return id;
    const name = partNameOf(own(own(clip.components, component)?.nodes ?? {}, id));
    const part = partsIn(here.nodes).find(([, each]) => each === name)?.[0];
    return part ?? lost(say('look-left', { part: name ?? say('part-gone') }));
  }

  /** A token that stands for a value: what it holds, where that is a value of the kind. */
  private tokenValue(kind: 'colour' | 'length', token: string): unknown {
    const { tokens } = this.carrying.clip;
    const css =
      own(tokens, token) &&
      filled({ css: 'var(--it)', refs: { it: { token, type: kind } } }, tokens);
    const value = css === undefined ? null : (kindOf(kind).parse?.(css, { kind }) ?? null);
    if (value === null) this.carrying.lost(say('left-token'));
    return value;
  }

  /** A node with what was chosen for it by what cannot be read there: it has that for good then. */
  private chosenForGood(mapped: TreeNode, chosen: NonNullable<ElementNode['chosen']>): TreeNode {
    let made = mapped as ElementNode | InstanceNode;
    for (const kind of CHOSEN) {
      const source = chosen[kind];
      if (!source || own(made.chosen ?? {}, kind)) continue;
      const { value } = this.sources.held(source) ?? {};
      if (typeof value === 'string') made = withChosen(made, kind, value);
    }
    return made;
  }
}
