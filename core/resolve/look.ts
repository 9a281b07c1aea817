import {
  own,
  type Block,
  type ChosenKind,
  type DocId,
  type ElementNode,
  type InstanceNode,
  type NodeId,
  type Source,
  type SpecOf,
  type TreeDoc,
  type TypeSpec,
} from '../model';
import { keyParts } from '../style';
import type { ClassTerm, Custom, Look } from './linked';
import { patchesOf } from './patches';

const PLAIN: Look = Object.freeze({ classes: [], customs: [] });

/**
 * The class of a node: node and document, since ids of nodes are unique only in their document. No id holds a
 * `_`, so no two pairs give one class; nor do a node, its document and a rule of that.
 */
export function classOf(doc: DocId, node: NodeId, rule?: string): string {
  return rule === undefined ? `${node}_${doc}` : `${node}_${doc}_${rule}`;
}

/** The class of what an instance says of a part of its component. No other has four names. */
export function partClassOf(doc: DocId, instance: NodeId, part: NodeId): string {
  return `part_${part}_${instance}_${doc}`;
}

/** The class of a shared style on something of a height: how strong it is there depends on that. */
export function sharedClassOf(style: DocId, height: number): string {
  return `s${height}_${style}`;
}

/** The class of a theme that begins on something of a height: of two, that of the greater is meant. No other holds `__`. */
export function themeClassOf(theme: string, height: number): string {
  return `theme${height}__${theme}`;
}

/** The name of the custom property that a source in a declaration of a class gives. */
export function customOf(className: string, key: string, name: string): string {
  const { property, width, state = '' } = keyParts(key);
  return [className, property, width, ...(state ? [state.replaceAll(':', '')] : []), name].join(
    '_',
  );
}

/** What of a node says how its element looks. */
type Styled = Pick<ElementNode | InstanceNode, 'style' | 'shared' | 'theme' | 'chosen'>;

/** What a node of a document says of its element's look: its own declarations, shared styles, the rules that patch it. */
export function lookOf(
  doc: TreeDoc,
  id: NodeId,
  { style, shared, theme, chosen = {} }: Styled,
  height: number,
): Look {
  const classes: ClassTerm[] = [];
  const customs: Custom[] = [];
  const declares = (block: Block, className: string) =>
    customs.push(...customsIn(block, className));
  // Rules for a state of the root say inside which element they hold: it has its class then, whatever it declares.
  if (hasAny(style) || isStateRoot(doc, id)) {
    const className = classOf(doc.id, id);
    classes.push({ className, when: [], by: { is: 'own' } });
    declares(style, className);
  }
  if (theme !== undefined)
    classes.push({ className: themeClassOf(theme, height), when: [], by: { is: 'theme', theme } });
  for (const styleId of Object.keys(shared ?? {}).sort())
    classes.push({
      className: sharedClassOf(styleId, height),
      when: [],
      by: { is: 'shared', style: styleId },
    });
  for (const { kind, source, type, option } of choicesOf(doc, chosen)) {
    const isTheme = kind === 'theme';
    classes.push({
      className: isTheme ? themeClassOf(option, height) : sharedClassOf(option, height),
      when: [],
      chosen: { source, type, option },
      by: isTheme ? { is: 'theme', theme: option } : { is: 'shared', style: option },
    });
  }
  for (const { rule, at, when, patch } of patchesOf(doc, id)) {
    if (!patch.style || !hasAny(patch.style)) continue;
    const className = classOf(doc.id, id, rule);
    classes.push({ className, when, by: { is: 'rule', rule, at } });
    declares(patch.style, className);
  }
  return classes.length === 0 ? PLAIN : { classes, customs };
}

/** What an instance says of a part of its component. */
export function partLookOf(doc: DocId, instance: NodeId, part: NodeId, block: Block): Look {
  if (!hasAny(block)) return PLAIN;
  const className = partClassOf(doc, instance, part);
  return {
    classes: [{ className, when: [], by: { is: 'part', part } }],
    customs: customsIn(block, className),
  };
}

/** The custom properties that sources in the declarations of a class give. */
function customsIn(block: Block, className: string): Custom[] {
  const customs: Custom[] = [];
  for (const key in block)
    for (const [name, ref] of Object.entries(block[key]!.refs ?? {}))
      if ('source' in ref) {
        const type: TypeSpec = { kind: ref.type };
        customs.push({
          name: customOf(className, key, name),
          className,
          type,
          source: ref.source,
        });
      }
  return customs;
}

/** The themes and shared styles that may be chosen for a node: each option of what its definition lets somebody choose. */
export function choicesOf(
  doc: TreeDoc,
  chosen: NonNullable<Styled['chosen']>,
): { kind: 'theme' | 'style'; source: Source; type: TypeSpec; option: string }[] {
  return (['theme', 'style'] as const).flatMap((kind) => {
    const source = chosen[kind];
    const type = source && typeOfChoice(doc, source, kind);
    if (!source || !type) return [];
    return Object.keys(type.of)
      .sort()
      .map((option) => ({ kind, source, type, option }));
  });
}

/** The type of a choice that a property of the definition makes: what it may come to. Nothing else makes one. */
export function typeOfChoice<K extends ChosenKind>(
  doc: TreeDoc,
  source: Source,
  kind: K,
): SpecOf<K> | undefined {
  if (source.is !== 'property' || doc.kind !== 'component') return undefined;
  const type = own(doc.properties, source.property)?.type;
  return type?.kind === kind ? (type as SpecOf<K>) : undefined;
}

function isStateRoot(doc: TreeDoc, id: NodeId): boolean {
  if (doc.kind !== 'component' || doc.nodes[id]?.place.parent !== null) return false;
  for (const rule in doc.rules) if (doc.rules[rule]!.when.pseudo?.of === 'root') return true;
  return false;
}

function hasAny(block: Block): boolean {
  for (const _ in block) return true;
  return false;
}
