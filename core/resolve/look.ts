import {
  own,
  type Block,
  type ChosenKind,
  type DocId,
  type ElementNode,
  type InstanceNode,
  type NodeId,
  type Patch,
  type Source,
  type SpecOf,
  type TreeDoc,
  type TypeSpec,
} from '../model';
import { keyParts } from '../style';
import type { ClassTerm, Custom, Look, When } from './linked';
import { patchesOf, type NodePatch } from './patches';

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
  const patches = patchesOf(doc, id);
  const begins = decidedBy(patches, ({ theme: put }) => put);
  const themeTerm = (put: string) => ({
    className: themeClassOf(put, height),
    by: { is: 'theme', theme: put } as const,
  });
  if (theme !== undefined) classes.push({ ...themeTerm(theme), ...unlessAny(begins) });
  const sharedTerm = (style: DocId) => ({
    className: sharedClassOf(style, height),
    by: { is: 'shared', style } as const,
  });
  for (const each of allShared(shared, patches)) {
    const worn = decidedBy(patches, (patch) => patch.shared && own(patch.shared, each));
    if (own(shared ?? {}, each)) classes.push({ ...sharedTerm(each), ...unlessAny(worn) });
    classes.push(...decidedTerms(worn, (isOn) => (isOn ? sharedTerm(each) : undefined)));
  }
  for (const { kind, source, type, option } of choicesOf(doc, chosen)) {
    const by = { chosen: { source, type, option } };
    if (kind === 'theme') classes.push({ ...themeTerm(option), ...unlessAny(begins), ...by });
    else classes.push({ ...sharedTerm(option), when: [], ...by });
  }
  classes.push(...decidedTerms(begins, (put) => (put === null ? undefined : themeTerm(put))));
  for (const { rule, at, when, patch } of patches) {
    if (!patch.style || !hasAny(patch.style)) continue;
    const className = classOf(doc.id, id, rule);
    classes.push({ className, when, by: { is: 'rule', rule, at } });
    declares(patch.style, className);
  }
  return classes.length === 0 ? PLAIN : { classes, customs };
}

/** What a rule decides, while its axes have its options. */
type Decided<T> = { readonly when: When; readonly put: T };

/** What rules decide of something that a node says, the strongest first. */
function decidedBy<T>(
  patches: readonly NodePatch[],
  of: (patch: Patch) => T | undefined,
): Decided<T>[] {
  const found: Decided<T>[] = [];
  for (const { when, pseudo, patch } of patches) {
    const put = pseudo ? undefined : of(patch);
    if (put !== undefined) found.unshift({ when, put });
  }
  return found;
}

/** That none of the rules holds which decide something. */
function unlessAny(decided: readonly Decided<unknown>[]): Pick<ClassTerm, 'when' | 'unless'> {
  return decided.length === 0
    ? { when: [] }
    : { when: [], unless: decided.map(({ when }) => when) };
}

/** The class that each rule puts on, while it holds and none that is stronger does. */
function decidedTerms<T>(
  decided: readonly Decided<T>[],
  term: (put: T) => Pick<ClassTerm, 'className' | 'by'> | undefined,
): ClassTerm[] {
  return decided.flatMap(({ when, put }, i) => {
    const made = term(put);
    if (!made) return [];
    const stronger = decided.slice(0, i).map((each) => each.when);
    return [{ ...made, when, ...(stronger.length > 0 ? { unless: stronger } : {}) }];
  });
}

/** The shared styles that a node has on, or that some rule says something of. */
function allShared(shared: Styled['shared'], patches: readonly NodePatch[]): string[] {
  const all = new Set(Object.keys(shared ?? {}));
  for (const { patch } of patches) for (const style in patch.shared) all.add(style);
  return [...all].sort();
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
