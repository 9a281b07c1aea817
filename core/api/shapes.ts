import { Type, type Static } from '@sinclair/typebox';
import { Change, EDIT_ID_PATTERN } from '../edit';
import { Font, ID_PATTERN, LARGEST_EDIT, SiteDoc } from '../model';
import { SAID, TOLD } from '../said';

const exact = { additionalProperties: false };

/** What `/api` takes and gives, as schemas: requests and answers are checked against them. */
export const HealthAnswer = Type.Object(
  { status: Type.Literal('ok'), sites: Type.Integer() },
  exact,
);

/** A site as the list of sites shows it. Moments are ISO 8601 in UTC, here and below. */
export const SiteSummary = Type.Object(
  {
    id: Type.String(),
    slug: Type.String(),
    name: Type.String(),
    revision: Type.Integer(),
    /** Address of the published site. */
    address: Type.String(),
    /** Address under which the newest state can be looked at. */
    preview: Type.String(),
    live: Type.Union([Type.Integer(), Type.Null()]),
    pages: Type.Integer(),
    /** When it was changed last; nothing when nobody has changed it yet. */
    changed: Type.Union([Type.String(), Type.Null()]),
    /** Whether something has changed since what is live was made. */
    unpublished: Type.Boolean(),
  },
  exact,
);
export type SiteSummary = Static<typeof SiteSummary>;

/** A site that was removed, and until when it can be brought back. */
export const RemovedSite = Type.Object(
  { id: Type.String(), name: Type.String(), removed: Type.String(), until: Type.String() },
  exact,
);
export type RemovedSite = Static<typeof RemovedSite>;

/** The sites there are, and those that were removed and can be brought back still. */
export const SiteList = Type.Object(
  { sites: Type.Array(SiteSummary), removed: Type.Array(RemovedSite) },
  exact,
);

/** A site that should be made: with what it begins, and what is said of it. */
export const SiteRequest = Type.Object(
  {
    begins: Type.Union([
      Type.Literal('empty'),
      Type.Literal('start'),
      Type.Object({ copy: Type.String({ pattern: ID_PATTERN }) }, exact),
    ]),
    name: SiteDoc.properties.name,
    slug: SiteDoc.properties.slug,
    language: SiteDoc.properties.language,
    width: Type.Integer({ minimum: 200, maximum: 4000 }),
    /** How it looks at first; a copy looks as what it is a copy of. */
    look: Type.Optional(
      Type.Union([Type.Literal('quiet'), Type.Literal('reading'), Type.Literal('signal')]),
    ),
  },
  exact,
);
export type SiteRequest = Static<typeof SiteRequest>;

/** That a site should be removed: its name, typed by whoever means it. */
export const RemovalRequest = Type.Object({ name: Type.String({ maxLength: 200 }) }, exact);

/** A whole site, as a window begins with it: what came after `revision` is heard then. */
export const SiteAnswer = Type.Object(
  {
    site: SiteSummary,
    revision: Type.Integer(),
    documents: Type.Record(Type.String(), Type.Unknown()),
  },
  exact,
);

/** A site as it was after one of its edits. */
export const RevisionAnswer = Type.Object(
  { revision: Type.Integer(), documents: Type.Record(Type.String(), Type.Unknown()) },
  exact,
);

/** An edit as a window sends it. Sent again under the same `id` it is done once and gets the same answer. */
export const EditRequest = Type.Object(
  {
    id: Type.String({ pattern: EDIT_ID_PATTERN }),
    who: Type.String({ minLength: 1, maxLength: 80 }),
    name: Type.String({ maxLength: 40 }),
    args: Type.Record(Type.String(), Type.Unknown()),
    /** What the edit did where it was made: its `was` is the guard. */
    changes: Type.Array(Change, { maxItems: LARGEST_EDIT }),
    /** Whether whoever made it is at work as an editor: then it is refused where it is more than editors may do. */
    editing: Type.Optional(Type.Literal(true)),
    /** What it is part of: edits of one stretch of typing or moving are one line of the history. */
    stretch: Type.Optional(
      Type.Union([Type.String({ minLength: 1, maxLength: 200 }), Type.Null()]),
    ),
  },
  exact,
);
export type EditRequest = Static<typeof EditRequest>;

/** The revision after an edit: the window has heard of the others up to it, or asks for the history. */
export const EditAnswer = Type.Object({ revision: Type.Integer() }, exact);

/** An edit as others hear of it: its changes are laid on what they have, and nothing is run again. */
export const HistoryEntry = Type.Object(
  {
    revision: Type.Integer(),
    edit: Type.String(),
    who: Type.String(),
    at: Type.String(),
    name: Type.String(),
    said: SAID,
    changes: Type.Array(Change),
  },
  exact,
);
export type HistoryEntry = Static<typeof HistoryEntry>;

/** Edits after a revision, in order; where there are more, the last of these is asked after next. */
export const HistoryAnswer = Type.Object(
  { revision: Type.Integer(), edits: Type.Array(HistoryEntry), more: Type.Boolean() },
  exact,
);

/** One line of the history: an edit, or all of one stretch that followed each other. */
export const HistoryLine = Type.Object(
  {
    first: Type.Integer(),
    last: Type.Integer(),
    who: Type.String(),
    at: Type.String(),
    said: SAID,
  },
  exact,
);
export type HistoryLine = Static<typeof HistoryLine>;

/** Lines of the history, newest first; where there are more, those before the last are asked for next. */
export const HistoryLines = Type.Object(
  { lines: Type.Array(HistoryLine), more: Type.Boolean() },
  exact,
);

/** A document as it was after a revision. */
export const DocumentAnswer = Type.Object(
  { revision: Type.Integer(), document: Type.Record(Type.String(), Type.Unknown()) },
  exact,
);
export type DocumentAnswer = Static<typeof DocumentAnswer>;

/** When each document of a site was changed last: the moment, where an edit did it. */
export const LastChanges = Type.Object(
  {
    changed: Type.Record(
      Type.String(),
      Type.Object(
        { revision: Type.Integer(), at: Type.Union([Type.String(), Type.Null()]) },
        exact,
      ),
    ),
  },
  exact,
);
export type LastChanges = Static<typeof LastChanges>;

/** A page that publishing would change, or that a release changed, and why. */
export const Planned = Type.Object(
  {
    path: Type.String(),
    what: Type.Union([
      Type.Literal('new'),
      Type.Literal('changed'),
      Type.Literal('gone'),
      Type.Literal('redirect'),
      Type.Literal('later'),
    ]),
    reasons: Type.Array(SAID),
  },
  exact,
);
export type Planned = Static<typeof Planned>;

/** What publishing would change at a revision: a later one may change more. */
export const PlanAnswer = Type.Object(
  {
    revision: Type.Integer(),
    pages: Type.Array(Planned),
    unchanged: Type.Integer(),
  },
  exact,
);
export type PlanAnswer = Static<typeof PlanAnswer>;

/** A release, also while it is made: `done` of `of` pages are. */
export const ReleaseSummary = Type.Object(
  {
    id: Type.String(),
    number: Type.Integer(),
    revision: Type.Integer(),
    state: Type.Union([
      Type.Literal('waiting'),
      Type.Literal('making'),
      Type.Literal('done'),
      Type.Literal('failed'),
    ]),
    live: Type.Boolean(),
    /** Whether it was made by itself, since the time of something had come. */
    byItself: Type.Boolean(),
    done: Type.Integer(),
    of: Type.Integer(),
    pages: Type.Array(Planned),
    error: Type.Union([SAID, Type.Null()]),
    at: Type.String(),
  },
  exact,
);
export type ReleaseSummary = Static<typeof ReleaseSummary>;

const When = Type.Union([Type.String(), Type.Null()]);

/** How an entry stands: whether visitors see it, as it is or as it was, and when it was made, changed, published first and last. */
export const EntryStanding = Type.Object(
  {
    live: Type.Union([Type.Literal('same'), Type.Literal('other'), Type.Literal('not')]),
    made: When,
    changed: When,
    first: When,
    last: When,
  },
  exact,
);
export type EntryStanding = Static<typeof EntryStanding>;

/** How the entries of a type stand, by id, and when what is live was published. */
export const EntriesStanding = Type.Object(
  { live: When, entries: Type.Record(Type.String(), EntryStanding) },
  exact,
);
export type EntriesStanding = Static<typeof EntriesStanding>;

/** A day, as a full-date (RFC 3339, 5.6). */
const Day = Type.Optional(Type.String());

/** The days of the entries of a site as publishing it now would show them, by id; of none where nothing reads them. */
export const EntryDates = Type.Record(
  Type.String(),
  Type.Object({ made: Day, changed: Day, first: Day, last: Day }, exact),
);

/** The releases of a site, newest first. */
export const ReleaseList = Type.Object({ releases: Type.Array(ReleaseSummary) }, exact);

/** A file that was brought in: stored by its content, and no part of a site before an edit adds it. */
export const FileAnswer = Type.Object(
  {
    sha256: Type.String(),
    mediaType: Type.String(),
    name: Type.String(),
    /** In CSS px; of films whoever brings them in knows. */
    width: Type.Optional(Type.Integer()),
    height: Type.Optional(Type.Integer()),
    /** What a font says of itself: all of a face but where its file is. */
    font: Type.Optional(Type.Omit(Font, ['asset'], exact)),
    /** What was left out of an SVG because it does not draw. */
    leftOut: Type.Array(TOLD),
  },
  exact,
);
export type FileAnswer = Static<typeof FileAnswer>;

/** A family of fonts that ships with the program: a site takes it in face by face. */
export const OpenFamily = Type.Object(
  {
    family: Type.String(),
    /** What comes after it in a list of fonts (CSS Fonts Level 4, 2.1.3). */
    generic: Type.Union([
      Type.Literal('serif'),
      Type.Literal('sans-serif'),
      Type.Literal('monospace'),
      Type.Literal('cursive'),
    ]),
    faces: Type.Array(
      Type.Object(
        {
          /** Its name under `/api/fonts`. */
          file: Type.String(),
          style: Type.Union([Type.Literal('normal'), Type.Literal('italic')]),
          /** For which characters it is, as CSS writes it. */
          range: Type.String(),
        },
        exact,
      ),
    ),
  },
  exact,
);
export type OpenFamily = Static<typeof OpenFamily>;

/** The families of fonts that ship with the program. */
export const OpenFamilies = Type.Object({ families: Type.Array(OpenFamily) }, exact);

/** What a visitor sent with a form of a site. */
export const Message = Type.Object(
  {
    id: Type.String(),
    at: Type.String(),
    /** The page that it was sent from. */
    path: Type.String(),
    /** What the form is called there. */
    form: Type.String(),
    /** What was said, under what each field was called; in the order of the form. */
    fields: Type.Array(Type.Object({ label: Type.String(), value: Type.String() }, exact)),
    /** Why it may be of a robot: it filled in what nobody sees, or sent sooner than anybody types. */
    held: Type.Union([Type.Literal('trap'), Type.Literal('quick'), Type.Null()]),
    read: Type.Boolean(),
  },
  exact,
);
export type Message = Static<typeof Message>;

/** Messages of a site, newest first, and how many of each kind there are in all. */
export const MessageList = Type.Object(
  {
    messages: Type.Array(Message),
    /** Whether there are older ones. */
    more: Type.Boolean(),
    all: Type.Integer(),
    unread: Type.Integer(),
    held: Type.Integer(),
  },
  exact,
);
export type MessageList = Static<typeof MessageList>;

const MessageIds = Type.Array(Type.String({ pattern: ID_PATTERN }), { minItems: 1, maxItems: 500 });

/** Messages that should be read, unread, or held back no longer. */
export const MarkRequest = Type.Object(
  {
    ids: MessageIds,
    set: Type.Union([
      Type.Object({ read: Type.Boolean() }, exact),
      Type.Object({ held: Type.Literal(false) }, exact),
    ]),
  },
  exact,
);
export type MarkRequest = Static<typeof MarkRequest>;

/** Messages that should be removed for good. */
export const RemoveMessages = Type.Object({ ids: MessageIds }, exact);
export type RemoveMessages = Static<typeof RemoveMessages>;

/** A mail that the stand-in holds in place of sending it. */
export const Mail = Type.Object(
  {
    id: Type.String(),
    at: Type.String(),
    recipient: Type.String(),
    subject: Type.String(),
    body: Type.String(),
  },
  exact,
);
export type Mail = Static<typeof Mail>;

/** The mails that the stand-in holds, newest first. */
export const MailList = Type.Object({ mails: Type.Array(Mail) }, exact);
