import type { Targets } from './targets';
import type {
  ActsWhen,
  DocId,
  NodeId,
  Property,
  PropertyId,
  Query,
  RuleId,
  SlotId,
  Source,
  SpecOf,
  TreeDoc,
  TypeSpec,
} from '../model';

/**
 * What a linked node reads, itself or anything below it in the same tree. A resolved node may be used
 * again when none of it changed. `data` means: more than the entries in scope (links, pictures, queries).
 */
export interface Reads {
  readonly properties: readonly PropertyId[];
  readonly page: boolean;
  readonly repeats: readonly NodeId[];
  /** The repeats around of whose items it reads where they stand. */
  readonly positions: readonly NodeId[];
  readonly slots: readonly SlotId[];
  readonly data: boolean;
  /** Whether there is a part in it, of which the instance around may say something. */
  readonly parts: boolean;
  /** Whether it asks for the pages that a list of its document is divided over. */
  readonly lists: boolean;
}

interface LinkedBase {
  readonly id: NodeId;
  readonly reads: Reads;
}

/** Which options some axes of the definition must have. */
export type When = readonly { readonly property: PropertyId; readonly option: string }[];

/** What a rule puts in place of a source, while its axes have its options. */
export interface ByRule {
  readonly rule: RuleId;
  readonly when: When;
  readonly source: Source;
}

/** A source, where there is one, and what rules put in its place, the strongest first. */
export interface Varied {
  readonly source: Source | undefined;
  readonly byRules: readonly ByRule[];
}

/** An attribute with the type that its element takes for it. */
export interface LinkedAttribute extends Varied {
  readonly name: string;
  readonly type: TypeSpec;
}

/** What gives an element another tag than its own, and which that may be. */
export interface TagBy extends Varied {
  readonly type: SpecOf<'tag'>;
}

/** A class of a node: always there, or only while some axes of the definition have some options. */
export interface ClassTerm {
  readonly className: string;
  readonly when: When;
  /** Rules that say otherwise: while one of them holds, the class is not there. */
  readonly unless?: readonly When[];
  /** The choice that must come to this option: of a theme, or of a shared style. */
  readonly chosen?: { readonly source: Source; readonly type: TypeSpec; readonly option: string };
  /** What it stands for: what the node declares itself, the theme that begins there, a shared style, a rule of the definition, what an instance says of a part. */
  readonly by:
    | { readonly is: 'own' }
    | { readonly is: 'theme'; readonly theme: string }
    | { readonly is: 'shared'; readonly style: DocId }
    | { readonly is: 'rule'; readonly rule: RuleId; readonly at: number }
    | { readonly is: 'part'; readonly part: NodeId };
}

/** A custom property that is set on the element itself: what a source in one of its declarations gives. */
export interface Custom {
  readonly name: string;
  /** The class whose declarations it feeds: without that it stands for nothing. */
  readonly className: string;
  readonly type: TypeSpec;
  readonly source: Source;
}

/** What a node says of its element's look. */
export interface Look {
  readonly classes: readonly ClassTerm[];
  readonly customs: readonly Custom[];
}

/** An element with all that decides about it: which sources, under which rules. */
export interface LinkedElement extends LinkedBase {
  readonly kind: 'element';
  readonly tag: string;
  /** What gives it another: what chooses one out of those its type allows, and rules. */
  readonly tagBy: TagBy | undefined;
  readonly isVoid: boolean;
  readonly look: Look;
  readonly isPart: boolean;
  readonly attributes: readonly LinkedAttribute[];
  readonly shown: Varied | undefined;
  /** What it does when something happens to it. */
  readonly whens: readonly ActsWhen[];
  readonly children: readonly LinkedNode[];
}

/** Words with their source, and what decides how they are written. */
export interface LinkedText extends LinkedBase {
  readonly kind: 'text';
  readonly text: Varied;
  /** Where it is rich: in a line of words, or with blocks of its own; or an icon. */
  readonly rich: 'line' | 'blocks' | 'icon' | undefined;
  /** The heading of its document that it stands below, where it may hold headings itself. */
  readonly below: Pick<LinkedElement, 'tag' | 'tagBy'> | undefined;
  readonly shown: Varied | undefined;
}

/** An instance with the definition it places and what fills that. */
export interface LinkedInstance extends LinkedBase {
  readonly kind: 'instance';
  readonly component: Linked;
  /** What it sets, by property; the component's other properties have their default. */
  readonly values: Readonly<Record<PropertyId, Varied>>;
  readonly slots: Readonly<Record<SlotId, readonly LinkedNode[]>>;
  /** What it says of its component's root. */
  readonly look: Look;
  readonly isPart: boolean;
  /** What it says of parts of its component, by their nodes, and how strong that is. */
  readonly parts: Readonly<Record<NodeId, LinkedPart>>;
  readonly shown: Varied | undefined;
}

/** What an instance says of one part: one height above all that its definition says of it. */
export interface LinkedPart {
  readonly look: Look;
  readonly height: number;
}

/** Where a slot of the definition around is. */
export interface LinkedSlot extends LinkedBase {
  readonly shown: Varied | undefined;
  readonly kind: 'slot';
  readonly slot: SlotId;
  readonly fallback: readonly LinkedNode[];
}

/** A repeat, its children apart: what stands for each item, and what stands there when there are none. */
export interface LinkedRepeat extends LinkedBase {
  readonly kind: 'repeat';
  readonly query: Query;
  readonly items: readonly LinkedNode[];
  readonly none: readonly LinkedNode[];
  /** Whether something in it asks where an item stands among the others. */
  readonly asksPosition: boolean;
  /** How many stand on one page, where the list is divided over several. */
  readonly perPage: number | undefined;
}

/** A node ready to be resolved. */
export type LinkedNode = LinkedElement | LinkedText | LinkedInstance | LinkedSlot | LinkedRepeat;

/**
 * A document ready to be resolved: children in order, definitions found, what is read listed. The same
 * object as long as neither the document nor any definition in it, however deep, has changed.
 */
export interface Linked {
  readonly doc: DocId;
  readonly root: LinkedNode;
  /** The properties of a definition in the order of their ids; none for a page. */
  readonly properties: readonly { readonly id: PropertyId; readonly property: Property }[];
  /** Those of them that are worked out from others, each after those that it reads. */
  readonly workedOut: Linked['properties'];
  /** The types of its properties. */
  readonly types: Readonly<Record<PropertyId, TypeSpec>>;
  /** The queries of its lists that are divided over several pages, by their repeats. */
  readonly divided: Readonly<Record<NodeId, Query>>;
  /** The queries of the repeats whose items its states count, by those repeats. */
  readonly counted: Readonly<Record<NodeId, Query>>;
  /** The height of the root: 0 for an element, one more than its component's for an instance. */
  readonly height: number;
  /** Whether anything in it, however deep, has states or does something. */
  readonly acts: boolean;
  /** Its elements to which acts do something. */
  readonly targets: Targets;
  /** Whether anything in it, however deep, reads data beside the entries in scope. */
  readonly readsData: boolean;
  /** The document this was made from. */
  readonly source: TreeDoc;
  /** The definitions it places, by id. */
  readonly definitions: ReadonlyMap<DocId, Linked | undefined>;
}
