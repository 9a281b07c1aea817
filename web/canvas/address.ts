import {
  docOf,
  isMade,
  treeDocOf,
  type ComponentDoc,
  type DocId,
  type Documents,
  type EntryDoc,
  type Made,
  type NodeId,
  nodeIn,
  own,
  type RichPiece,
  type Source,
  type TypeSpec,
} from '@sormet/core/model';
import {
  instanceOf,
  levelAt,
  sourceAt,
  textAt,
  TITLE_LEVEL,
  trace,
  type Built,
  type Control,
  type Resolved,
  type ResolvedElement,
  type ResolvedGroup,
  type ResolvedText,
  type Within,
} from '@sormet/core/resolve';
import { nodeName, propertyOf, shortName } from '@sormet/core/edit';
import { Later } from '@sormet/core/value';
import type { Offer } from '../store/bench-slice';

/** The node of the open document that something shown belongs to: itself, or the instance it is in. */
export function ownerIn(node: Resolved, doc: string): NodeId | undefined {
  let found: NodeId = node.from.id;
  for (let at: Within | null = node.scope.within; at; at = at.parent) {
    if (at.doc === doc && isAtTop(at)) return found;
    found = at.node;
  }
  return undefined;
}

/** Whether a way down has only rounds of repeats above it: it is still in the document that was opened. */
function isAtTop(within: Within): boolean {
  for (let at: Within | null = within; at; at = at.parent)
    if (at.parent && at.entry === undefined) return false;
  return true;
}

/** Whether a resolved node was written in the open document itself. */
export function isOwn(node: Resolved, doc: string): boolean {
  return node.scope.within.doc === doc && isAtTop(node.scope.within);
}

/**
 * What of the open document a slot that is shown belongs to: in a definition the node of the slot itself, else the
 * instance whose slot it is. Nothing for slots of instances that stand inside other definitions.
 */
export function slotOwner(
  group: ResolvedGroup,
  doc: string,
): { readonly node: NodeId; readonly slot?: string } | undefined {
  if (group.from.kind !== 'slot') return undefined;
  if (isOwn(group, doc)) return { node: group.from.id };
  const { within } = group.scope;
  if (within.parent?.doc !== doc || !isAtTop(within.parent)) return undefined;
  const node = ownerIn(group, doc);
  return node === undefined ? undefined : { node, slot: group.from.slot };
}

/** The resolved nodes of a node of the open document: several where a repeat shows it several times. */
export function resolvedOf(built: Built | undefined, node: NodeId): Resolved[] {
  const found: Resolved[] = [];
  if (!built?.root) return found;
  const { doc } = built.linked;
  const visit = (at: Resolved) => {
    if (at.from.id === node && isOwn(at, doc)) {
      if (!(at.kind === 'group' && at.item)) found.push(at);
      return;
    }
    if (at.kind !== 'text') at.children.forEach(visit);
  };
  visit(built.root);
  return found;
}

/** The first element that shows a node: for an instance, the root of its component. */
export function elementOf(node: Resolved | undefined): ResolvedElement | undefined {
  let at = node;
  while (at && at.kind === 'group') at = at.children[0];
  return at?.kind === 'element' ? at : undefined;
}

/** Where typing into a text shown on the canvas goes, or why it cannot. */
export type TextTarget =
  | {
      readonly ok: true;
      readonly doc: string;
      readonly node: NodeId;
      readonly control: Control;
      /** How many characters a property takes at most, where it says so. */
      readonly longest?: number;
      /** Where it is rich: what stands there, in a line of words or with blocks, and by how much its headings show lower. */
      readonly rich?: {
        readonly pieces: readonly RichPiece[];
        readonly line: boolean;
        readonly lowered: number;
      };
    }
  | { readonly ok: false; readonly why: string; readonly offer?: Offer };

/**
 * Follows a text from where it shows to the open document: its own text there, or the value of the
 * instance that hands it down.
 */
export function textTarget(
  documents: Documents,
  built: Built,
  element: ResolvedElement,
): TextTarget {
  const text = element.children.find((child): child is ResolvedText => child.kind === 'text');
  if (!text) return { ok: false, why: 'There is no text of its own here.' };
  const { rich } = text.from;
  if (rich === 'icon') return { ok: false, why: 'An icon is chosen in the ledger.' };
  const target = wordsTarget(documents, built, text);
  if (!target.ok) return target;
  const type = typeWritten(documents, target);
  const kind = type?.kind ?? (rich ? 'rich' : 'text');
  // Words that are handed on as plain text are typed as that, wherever they show.
  if (kind !== 'rich')
    return type?.kind === 'text' && type.longest !== undefined
      ? { ...target, longest: type.longest }
      : target;
  if (!rich)
    return {
      ok: false,
      why: 'These are the words of rich text, shown plain here: they are edited in the ledger.',
    };
  return {
    ...target,
    rich: {
      pieces: piecesAt(text),
      line: rich === 'line',
      lowered: (levelAt(text.from, text.scope) as number) - TITLE_LEVEL,
    },
  };
}

/** What a rich text shows now, as it is stored. */
function piecesAt({ from, scope }: ResolvedText): readonly RichPiece[] {
  const value = textAt(from, scope);
  return value && !(value instanceof Later) && value.type === 'rich' ? (value.value ?? []) : [];
}

/** The type of value that typing at a place writes, where a property says it. */
function typeWritten(
  documents: Documents,
  { doc, node, control }: Extract<TextTarget, { ok: true }>,
): TypeSpec | undefined {
  const stored = nodeIn(documents, doc, node);
  if (control.of === 'value')
    return stored?.kind === 'instance'
      ? propertyOf(documents, stored.component, control.property)?.type
      : undefined;
  const source = stored?.kind === 'text' ? stored.text : undefined;
  return source?.is === 'property' ? propertyOf(documents, doc, source.property)?.type : undefined;
}

/** The same, whatever the words are made of. */
function wordsTarget(documents: Documents, built: Built, text: ResolvedText): TextTarget {
  const found = whereSaid(documents, built, text, { of: 'text' });
  switch (found.is) {
    case 'here':
      return { ok: true, ...found.at };
    case 'made':
      return notTyped(found.made);
    case 'rule':
      return { ok: false, why: 'A rule of this definition says this text; change it there.' };
    case 'field': {
      const why = 'This text is bound to content; it is edited in the entry.';
      return { ok: false, why, ...(found.entry && { offer: { is: 'entry', entry: found.entry } }) };
    }
    case 'inside': {
      const { definition, node } = found;
      const of = definition ? shortName(definition.name) : 'a component';
      return {
        ok: false,
        why: `This text belongs to the definition of ${of}; it is not exposed. Change it there everywhere, or expose it.`,
        ...(definition ? { offer: { is: 'expose', definition: definition.id, node } } : {}),
      };
    }
  }
}

/** What is made from values is not typed over where it shows: it would be gone. */
function notTyped(made: Made): TextTarget {
  return {
    ok: false,
    why:
      made.is === 'words'
        ? 'There are values among these words: they are edited in the ledger, on Values.'
        : 'This text is worked out; what from, is said in the ledger, on Values.',
  };
}

/** Where something that shows is said, followed from there to the open document. */
export type WhereSaid =
  | {
      readonly is: 'here';
      readonly at: { readonly doc: string; readonly node: NodeId; readonly control: Control };
    }
  /** It is worked out, or words around values. */
  | { readonly is: 'made'; readonly made: Made }
  /** A rule says it. */
  | { readonly is: 'rule' }
  /** A field says it, of an entry where that is known here. */
  | { readonly is: 'field'; readonly entry: DocId | undefined }
  /** A definition says it that stands there, and no property hands it down: this node of it. */
  | { readonly is: 'inside'; readonly definition: ComponentDoc | undefined; readonly node: NodeId };

/** Follows what a control of something shown holds: the open document’s own, or the value of the instance that hands it down. */
export function whereSaid(
  documents: Documents,
  built: Built,
  shown: Resolved,
  control: Control,
): WhereSaid {
  const open = built.linked.doc;
  const { within } = shown.scope;
  const here = (node: NodeId, by: Control) =>
    ({ is: 'here', at: { doc: open, node, control: by } }) as const;
  const field = (source: FieldSource) =>
    ({ is: 'field', entry: entryBehind(documents, built, within, source)?.id }) as const;
  if (isOwn(shown, open)) {
    const stored = nodeIn(documents, open, shown.from.id);
    const source = stored && sourceAt(stored, control);
    const made = source && madeFrom(documents, open, source);
    if (made) return { is: 'made', made };
    return source?.is === 'field' ? field(source) : here(shown.from.id, control);
  }
  const steps = trace(built, within, shown.from.id, control);
  let property: string | undefined;
  let at: Within | null = within;
  let source = steps[0]?.source;
  for (const step of steps.slice(1)) {
    if (source?.is !== 'property' || !at) break;
    property = source.property;
    const instance = instanceOf(at);
    if (!instance.parent) break;
    if (instance.parent.doc === open && isAtTop(instance.parent)) {
      if (step.rule !== undefined) return { is: 'rule' };
      if (step.by === 'set' && step.source.is === 'field') return field(step.source);
      if (step.by === 'set' && isMade(step.source)) return { is: 'made', made: step.source };
      return here(instance.node, { of: 'value', property });
    }
    if (step.by === 'default') break;
    source = step.source;
    at = instance.parent;
  }
  const definition = docOf(documents, 'component', within.doc);
  return { is: 'inside', definition, node: shown.from.id };
}

/** What something is made from in an open document: itself, or as the property that says it begins. */
function madeFrom(documents: Documents, doc: DocId, source: Source): Made | undefined {
  if (isMade(source)) return source;
  const byDefault =
    source.is === 'property' ? propertyOf(documents, doc, source.property)?.default : undefined;
  return isMade(byDefault) ? byDefault : undefined;
}

type FieldSource = Extract<Source, { is: 'field' }>;

/**
 * The entry that holds what a field source reads: the page’s or that of the round of a repeat, followed across
 * references to the one in which the value stands.
 * @param within the way down to where it is read
 */
export function entryBehind(
  documents: Documents,
  built: Built,
  within: Within,
  { from, path }: FieldSource,
): EntryDoc | undefined {
  let id: DocId | undefined;
  if (from === 'page') {
    const { page } = built.scope;
    id = page && 'id' in page ? page.id : undefined;
  } else
    for (let at: Within | null = within; at && id === undefined; at = at.parent)
      if (at.node === from.repeat) id = at.entry;
  let entry = id === undefined ? undefined : docOf(documents, 'entry', id);
  for (const field of path.slice(0, -1)) {
    const value = entry && own(entry.values, field);
    entry =
      value?.type === 'entry' && value.value !== null
        ? docOf(documents, 'entry', value.value)
        : undefined;
  }
  return entry;
}

/** How a node is named where it is pointed at: its name, and the word for what it is. */
export function describe(documents: Documents, doc: string, node: NodeId): string {
  const tree = treeDocOf(documents, doc);
  const stored = nodeIn(documents, doc, node);
  if (!tree || !stored) return '';
  if (stored.kind === 'instance') {
    const component = docOf(documents, 'component', stored.component);
    const what = component ? shortName(component.name) : 'gone';
    return stored.name ? `${what} “${stored.name}”` : what;
  }
  return nodeName(documents, stored, tree);
}

/** The groups that show slots, with the element around each. */
export function slotsOf(built: Built): { group: ResolvedGroup; around: ResolvedElement }[] {
  const found: { group: ResolvedGroup; around: ResolvedElement }[] = [];
  const visit = (node: Resolved, around: ResolvedElement | undefined) => {
    if (node.kind === 'text') return;
    if (node.kind === 'group' && node.from.kind === 'slot' && around)
      found.push({ group: node, around });
    for (const child of node.children) visit(child, node.kind === 'element' ? node : around);
  };
  if (built.root) visit(built.root, undefined);
  return found;
}
