import { Type, type Static, type TSchema } from '@sinclair/typebox';
import { MEDIA_TYPES } from './assets';
import { StateOf } from './behaviour';
import { GuideLines, Guides } from './guides';
import { ID_PATTERN } from './ids';
import { OrderKey } from './order';
import { Source } from './source';
import { TIME_ZONE_PATTERN, Times } from './times';
import { TokenGroup } from './token-groups';
import { Typed, TypeSpec } from './types';
import { Attributes, Block, Declared, PlaceholderType, Query, Tree, Values } from './tree';

const Id = Type.String({ pattern: ID_PATTERN });
const Label = Type.String({ minLength: 1, maxLength: 120 });
const Slug = Type.String({
  pattern: '^[a-z0-9]+(-[a-z0-9]+)*$',
  maxLength: 120,
  says: 'slug-form',
});

/** The current format of every kind; older documents are upgraded on reading. */
export const FORMAT = 3;

function document<K extends string, P extends Record<string, TSchema>>(kind: K, properties: P) {
  return Type.Object(
    { id: Id, kind: Type.Literal(kind), format: Type.Literal(FORMAT), ...properties },
    { additionalProperties: false },
  );
}

/** A path of segments; `<slug>` as the last one stands for each entry's slug. */
const PATH_PATTERN = '^/$|^(/[a-z0-9]+(-[a-z0-9]+)*)*(/<slug>)?$';
const Path = Type.String({
  pattern: PATH_PATTERN,
  minLength: 1,
  maxLength: 300,
  says: 'path-form',
});

/** The measures of a font, in its own units: what stands in for it until it is there gets the same. */
const FontMetrics = Type.Object(
  {
    unitsPerEm: Type.Integer({ minimum: 16, maximum: 16384 }),
    ascent: Type.Number({ minimum: 0, maximum: 65535 }),
    descent: Type.Number({ minimum: -65535, maximum: 65535 }),
    lineGap: Type.Number({ minimum: 0, maximum: 65535 }),
    /** How wide its letters are, on average of how often they stand in texts. */
    widthAverage: Type.Number({ exclusiveMinimum: 0, maximum: 65535 }),
  },
  { additionalProperties: false },
);

/** One range of characters of CSS, or several. */
const RANGE_PATTERN =
  '^[Uu]\\+[0-9A-Fa-f?]{1,6}(-[0-9A-Fa-f]{1,6})?(, ?[Uu]\\+[0-9A-Fa-f?]{1,6}(-[0-9A-Fa-f]{1,6})?)*$';

/** A face of a font family: a file, for some weights and a style. */
export const Font = Type.Object(
  {
    family: Label,
    asset: Id,
    /** One weight, or the lightest and the heaviest of a file that has all between. */
    weight: Type.String({ pattern: '^\\d{1,4}( \\d{1,4})?$' }),
    style: Type.Union([Type.Literal('normal'), Type.Literal('italic')]),
    metrics: Type.Optional(FontMetrics),
    /** For which characters it is, where it is not for all (CSS Fonts Level 4, 4.5: `unicode-range`). */
    range: Type.Optional(Type.String({ pattern: RANGE_PATTERN, maxLength: 1000 })),
  },
  { additionalProperties: false },
);
export type Font = Static<typeof Font>;

/** A language tag (BCP 47). */
export const LanguageTag = Type.String({
  pattern: '^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$',
  maxLength: 35,
  says: 'language-form',
});

/** What becomes of the messages that visitors send: to which address mail tells of them, after how many days they are removed. */
export const Inbox = Type.Object(
  {
    mail: Type.Optional(
      Type.String({ pattern: '^[^@\\s]+@[^@\\s]+$', maxLength: 200, says: 'mail-form' }),
    ),
    days: Type.Optional(Type.Integer({ minimum: 1, maximum: 3650 })),
  },
  { additionalProperties: false },
);
export type Inbox = Static<typeof Inbox>;

/** What holds for the whole site: its name and address, its language, widths, fonts, the theme it stands in. */
export const SiteDoc = document('site', {
  name: Label,
  slug: Slug,
  /** The language of the pages. */
  language: LanguageTag,
  /** Where it is, for what day it is: a name of the tz database of IANA; without one, in UTC. */
  timeZone: Type.Optional(
    Type.String({ pattern: TIME_ZONE_PATTERN, maxLength: 60, says: 'time-zone-form' }),
  ),
  /** What becomes of the messages that visitors send. */
  inbox: Type.Optional(Inbox),
  surround: Type.Union([Id, Type.Null()]),
  /** The theme of every page; without one, tokens have the values they were given. */
  theme: Type.Optional(Id),
  /** The picture that browsers show for the site. */
  icon: Type.Optional(Id),
  /** The narrower widths, each the largest viewport width in px at which it holds. */
  widths: Type.Record(
    Id,
    Type.Object(
      { max: Type.Integer({ minimum: 200, maximum: 4000 }) },
      { additionalProperties: false },
    ),
    {
      additionalProperties: false,
    },
  ),
  /** What its pages are lined up with while they are designed, by width. */
  guides: Type.Optional(Type.Record(Id, Guides, { additionalProperties: false })),
  /** The fonts it ships with. */
  fonts: Type.Record(Id, Font, { additionalProperties: false }),
});
export type SiteDoc = Static<typeof SiteDoc>;

/** A value with a name. Declarations refer to it by its id, so that it can be renamed and changed in one place. */
export const Token = Type.Object(
  {
    name: Label,
    order: OrderKey,
    /** What it holds, as CSS types it. */
    type: PlaceholderType,
    /** What it is for; without one, that of its type. */
    group: Type.Optional(TokenGroup),
    value: Declared,
    about: Type.Optional(Type.String({ maxLength: 500 })),
  },
  { additionalProperties: false },
);
export type Token = Static<typeof Token>;

/** Other values for some tokens, in whatever it is put on. */
export const Theme = Type.Object(
  {
    name: Label,
    order: OrderKey,
    /** By token. */
    values: Type.Record(Id, Declared, { additionalProperties: false }),
  },
  { additionalProperties: false },
);
export type Theme = Static<typeof Theme>;

/** The tokens of a site: values with names, written once and used in declarations. */
export const TokensDoc = document('tokens', {
  tokens: Type.Record(Id, Token, { additionalProperties: false }),
  themes: Type.Optional(Type.Record(Id, Theme, { additionalProperties: false })),
});
export type TokensDoc = Static<typeof TokensDoc>;

/** The name among tags of what holds for every element, whatever its tag. */
export const EVERY_TAG = '*';

/** The look of a site's tags; under `*` what holds for every element in some state. */
export const TagsDoc = document('tags', {
  tags: Type.Record(Type.String({ pattern: '^([a-z][a-z0-9]*|\\*)$' }), Block, {
    additionalProperties: false,
  }),
});
export type TagsDoc = Static<typeof TagsDoc>;

/** A shared style: a chosen part of a look, put on whatever should have it. */
export const StyleDoc = document('style', {
  name: Label,
  /** One order for the whole site: the later wins, on whatever both are. */
  order: OrderKey,
  /** The style it modifies, and without which it makes no sense. */
  base: Type.Union([Id, Type.Null()]),
  /** Where it was brought in from; nothing for one that was made here. */
  origin: Type.Union([
    Type.Object({ site: Label, style: Id }, { additionalProperties: false }),
    Type.Null(),
  ]),
  style: Block,
});
export type StyleDoc = Static<typeof StyleDoc>;

/**
 * A page: its address, what it says of itself, and its tree. One that is made from entries stands for a page of each.
 */
export const PageDoc = document('page', {
  name: Label,
  path: Path,
  title: Source,
  description: Source,
  /** The picture that stands for it where somebody shares its address. */
  image: Type.Optional(Source),
  draft: Type.Boolean(),
  /** The language it is in, where that is not the site's. */
  language: Type.Optional(LanguageTag),
  /** Where it stands among the pages beside it, for whoever works on the site. */
  order: Type.Optional(OrderKey),
  /** The content type of which this is the page of each entry; then the path ends in `<slug>`. */
  entries: Type.Union([Id, Type.Null()]),
  /** Paths it was once published under, which now lead here. */
  former: Type.Record(Path, Type.Literal(true), { additionalProperties: false }),
  /** Lines that things are put to while it is designed. */
  lines: Type.Optional(GuideLines),
  nodes: Tree,
});
export type PageDoc = Static<typeof PageDoc>;

/** What each instance of a component may set: the interface of a definition. */
export const Property = Type.Object(
  {
    label: Label,
    key: Type.String({
      pattern: '^[a-z][a-zA-Z0-9]*$',
      maxLength: 80,
      says: 'key-form',
    }),
    type: TypeSpec,
    group: Type.Union([Id, Type.Null()]),
    order: OrderKey,
    default: Source,
    /** An independent way of varying: rules may name its options. Only a choice can be one. */
    axis: Type.Optional(Type.Literal(true)),
    /** That visitors change it, where it is a state. */
    state: Type.Optional(StateOf),
    /** Whether only typed values are taken: no content is offered for it. */
    typedOnly: Type.Optional(Type.Literal(true)),
    /** Whether an instance must have a value for it. */
    required: Type.Optional(Type.Literal(true)),
    /** What it is for, shown to whoever sets it. */
    help: Type.Optional(Type.String({ maxLength: 500 })),
  },
  { additionalProperties: false },
);
export type Property = Static<typeof Property>;

/** A heading over properties, for whoever sets them. */
export const Group = Type.Object(
  { label: Label, order: OrderKey },
  { additionalProperties: false },
);
export type Group = Static<typeof Group>;

/** A named place of a definition that each instance fills: what it lets in, how many, and which way they lie. */
export const Slot = Type.Object(
  {
    label: Label,
    order: OrderKey,
    /**
     * What may come in, where not anything may: instances of these components, of all in these folders (as their names
     * begin), and elements of these tags.
     */
    allows: Type.Optional(Type.Record(Id, Type.Literal(true), { additionalProperties: false })),
    allowsFolders: Type.Optional(
      Type.Record(Type.String({ minLength: 1, maxLength: 120 }), Type.Literal(true)),
    ),
    allowsTags: Type.Optional(
      Type.Record(Type.String({ pattern: '^[a-z][a-z0-9]*$' }), Type.Literal(true), {
        additionalProperties: false,
      }),
    ),
    /** How many things it holds at most. */
    most: Type.Optional(Type.Integer({ minimum: 1, maximum: 1000 })),
  },
  { additionalProperties: false },
);
export type Slot = Static<typeof Slot>;

/** In which state of which element a rule holds: the definition's root, or the node that is patched. */
export const Pseudo = Type.Object(
  {
    of: Type.Union([Type.Literal('root'), Type.Literal('self')]),
    is: Type.Union([
      Type.Literal(':hover'),
      Type.Literal(':focus-visible'),
      Type.Literal(':active'),
    ]),
  },
  { additionalProperties: false },
);
export type Pseudo = Static<typeof Pseudo>;

/** What a rule says of one node: only what is said here is otherwise. */
export const Patch = Type.Object(
  {
    style: Type.Optional(Block),
    attributes: Type.Optional(Attributes),
    text: Type.Optional(Source),
    shown: Type.Optional(Source),
    values: Type.Optional(Values),
    /** Another element of the same family. */
    tag: Type.Optional(Type.String({ pattern: '^[a-z][a-z0-9]*$', maxLength: 20 })),
    /** The theme that begins with it; `null`: as around it. */
    theme: Type.Optional(Type.Union([Id, Type.Null()])),
    /** Shared styles that are put on it, or taken off. */
    shared: Type.Optional(Type.Record(Id, Type.Boolean(), { additionalProperties: false })),
  },
  { additionalProperties: false },
);
export type Patch = Static<typeof Patch>;

/** What of a definition is otherwise when some of its axes have some option, or somebody points at it. */
export const Rule = Type.Object(
  {
    order: OrderKey,
    when: Type.Object(
      {
        /** By property: the option that it must have. */
        axes: Type.Record(Id, Id, { additionalProperties: false }),
        pseudo: Type.Optional(Pseudo),
      },
      { additionalProperties: false },
    ),
    patch: Type.Record(Id, Patch, { additionalProperties: false }),
  },
  { additionalProperties: false },
);
export type Rule = Static<typeof Rule>;

/** A component: its definition as a tree, what of it an instance may set, and what rules make otherwise. */
export const ComponentDoc = document('component', {
  /** With its folder: `Sections/Shed intro`. */
  name: Type.String({
    pattern: '^[^/]+(/[^/]+)*$',
    minLength: 1,
    maxLength: 200,
    says: 'component-name-form',
  }),
  /** Whether editors may put it into the slots of pages (see core/edit/editing). */
  offered: Type.Optional(Type.Literal(true)),
  properties: Type.Record(Id, Property, { additionalProperties: false }),
  groups: Type.Record(Id, Group, { additionalProperties: false }),
  slots: Type.Record(Id, Slot, { additionalProperties: false }),
  rules: Type.Record(Id, Rule, { additionalProperties: false }),
  /** Lines that things are put to while it is designed. */
  lines: Type.Optional(GuideLines),
  nodes: Tree,
});
export type ComponentDoc = Static<typeof ComponentDoc>;

/** A field of a content type. What it asks of values is told where they are written, and keeps nothing from being stored. */
export const Field = Type.Object(
  {
    label: Label,
    key: Type.String({
      pattern: '^[a-z][a-zA-Z0-9]*$',
      maxLength: 80,
      says: 'key-form',
    }),
    type: TypeSpec,
    order: OrderKey,
    /** Under which heading it stands. */
    group: Type.Optional(Id),
    /** What it is for, shown to whoever fills it. */
    help: Type.Optional(Type.String({ maxLength: 500 })),
    /** Whether an entry is missing something without it. */
    required: Type.Optional(Type.Literal(true)),
    /** Whether no two entries should hold the same: files find the entry by it. */
    unique: Type.Optional(Type.Literal(true)),
    /** What a new entry begins with. */
    default: Type.Optional(Typed),
    /** Whether the table leaves it out, unless somebody asks for it. */
    aside: Type.Optional(Type.Literal(true)),
  },
  { additionalProperties: false },
);
export type Field = Static<typeof Field>;

/** A way of looking at the entries of a type that was kept: which columns, which entries, in which order. */
export const View = Type.Object(
  {
    label: Label,
    order: OrderKey,
    /** The fields it shows, by id. */
    columns: Type.Record(
      Id,
      Type.Object(
        {
          order: OrderKey,
          /** In CSS px. */
          width: Type.Optional(Type.Integer({ minimum: 40, maximum: 2000 })),
        },
        { additionalProperties: false },
      ),
      { additionalProperties: false },
    ),
    /** Words that stand in the entries. */
    find: Type.String({ maxLength: 200 }),
    where: Query.properties.where,
    any: Type.Optional(Type.Literal(true)),
    sort: Query.properties.order,
  },
  { additionalProperties: false },
);
export type View = Static<typeof View>;

/** A content type: which fields its entries have. */
export const TypeDoc = document('type', {
  name: Label,
  plural: Label,
  /** The field by which people know an entry. */
  title: Id,
  /** The fields that the slug of a new entry is made from, in this order; without them, the title. */
  slugFrom: Type.Optional(Type.Array(Id, { minItems: 1, maxItems: 4, uniqueItems: true })),
  groups: Type.Optional(Type.Record(Id, Group, { additionalProperties: false })),
  fields: Type.Record(Id, Field, { additionalProperties: false }),
  /** Ways of looking at its entries that were kept. */
  views: Type.Optional(Type.Record(Id, View, { additionalProperties: false })),
});
export type TypeDoc = Static<typeof TypeDoc>;

/** An entry of a content type. Its values keep the kind they were written in, whatever its fields are of now. */
export const EntryDoc = document('entry', {
  type: Id,
  slug: Slug,
  draft: Type.Boolean(),
  /** When visitors see it, once it is no draft. */
  times: Type.Optional(Times),
  /** Slugs it was once published under: its pages' addresses with them lead to the pages now. */
  former: Type.Optional(Type.Record(Slug, Type.Literal(true), { additionalProperties: false })),
  values: Type.Record(Id, Typed, { additionalProperties: false }),
});
export type EntryDoc = Static<typeof EntryDoc>;

const Percent = Type.Integer({ minimum: 0, maximum: 100 });
/** A point of a picture, in percent from its left and its upper edge. */
export const FocusPoint = Type.Object({ x: Percent, y: Percent }, { additionalProperties: false });
export type FocusPoint = Static<typeof FocusPoint>;

/** A file of the site, by its content: two of the same bytes are one file, under two names. */
export const AssetDoc = document('asset', {
  name: Type.String({ minLength: 1, maxLength: 200 }),
  sha256: Type.String({ pattern: '^[0-9a-f]{64}$' }),
  mediaType: Type.Union(MEDIA_TYPES.map((type) => Type.Literal(type))),
  /** In CSS px; absent for fonts. */
  width: Type.Optional(Type.Integer({ minimum: 1 })),
  height: Type.Optional(Type.Integer({ minimum: 1 })),
  /** What of a picture is never cropped away: a point, in percent from its left and its upper edge. */
  focus: Type.Optional(FocusPoint),
  /** What stands for a picture where it is not seen and nothing else is said of it there. */
  alt: Type.Optional(Type.String({ minLength: 1, maxLength: 500 })),
});
export type AssetDoc = Static<typeof AssetDoc>;

/** Each kind of document with its schema. */
export const SCHEMAS = {
  site: SiteDoc,
  tokens: TokensDoc,
  tags: TagsDoc,
  style: StyleDoc,
  page: PageDoc,
  component: ComponentDoc,
  type: TypeDoc,
  entry: EntryDoc,
  asset: AssetDoc,
} as const;

/** A kind of document. */
export type Kind = keyof typeof SCHEMAS;
/** A document: what is stored, sent and changed as one, by edits of its members. */
export type Doc =
  | SiteDoc
  | TokensDoc
  | TagsDoc
  | StyleDoc
  | PageDoc
  | ComponentDoc
  | TypeDoc
  | EntryDoc
  | AssetDoc;
/** A document of one kind. */
export type DocOf<K extends Kind> = Extract<Doc, { kind: K }>;

/** The kinds of which a site has exactly one document. */
export const ONLY_KINDS = ['site', 'tokens', 'tags'] as const;

/** A page or component: a document with a tree. */
export type TreeDoc = PageDoc | ComponentDoc;
