import {
  applyChanges,
  EDITS,
  inverse,
  toldOf,
  type Change,
  type NamedEdit,
} from '@sormet/core/edit';
import {
  Documents,
  FORMAT,
  formatOf,
  own,
  schemaFindings,
  type Doc,
  type Stored,
} from '@sormet/core/model';
import { say, type Said } from '@sormet/core/said';

/** An edit as the history kept it while it was told in sentences. */
export interface OldEdit {
  readonly revision: number;
  readonly edit: string;
  readonly name: string;
  readonly args: unknown;
  readonly changes: readonly Change[];
  readonly says: string;
}

/** The history of a site told anew, as codes. */
export interface ToldHistory {
  /** Takes the next edit, newest first: what it changed is taken back, and it is told of what stood then. */
  add(edit: OldEdit): void;
  /** What each of them says, by its revision. */
  told(): { readonly revision: number; readonly said: Said }[];
}

/**
 * Begins with how a site is now. What was done to documents of an older format, and what this version can no longer do,
 * keeps the words it was told with.
 */
export function toldHistory(bodies: readonly unknown[]): ToldHistory {
  const stored = Object.fromEntries((bodies as Doc[]).map((doc) => [doc.id, doc]));
  let documents =
    bodies.length > 0 && formatOf(stored as unknown as Stored) === FORMAT
      ? Documents.fromRecord(stored)
      : undefined;
  const said = new Map<string, Said>();
  const revisions = new Map<string, number>();
  const takingBack: { edit: OldEdit; named: NamedEdit }[] = [];
  return {
    add(old) {
      const { edit, name, args, changes, says } = old;
      revisions.set(edit, old.revision);
      said.set(edit, say('as-it-was-told', { words: says }));
      // Before it the documents were of another format: this version does not know how to tell of those.
      if (name === 'upgrade') {
        const { from, to } = args as { from: number; to: number };
        said.set(edit, say('upgraded', { from, to }));
        documents = undefined;
      }
      if (!documents) return;
      documents = applyChanges(documents, inverse(changes));
      const named = editOf(name, args);
      if (!named) return;
      // What it takes back is older, and told later.
      if (named.name === 'revert') takingBack.push({ edit: old, named });
      else said.set(edit, toldOf(documents, named));
    },
    told() {
      for (const { edit, named } of takingBack.reverse())
        said.set(
          edit.edit,
          toldOf(Documents.none, named, (id) => {
            const back = said.get(id);
            return back && { changes: [], said: back };
          }),
        );
      takingBack.length = 0;
      return [...said].map(([edit, each]) => ({ revision: revisions.get(edit)!, said: each }));
    },
  };
}

/** An edit that this version can do; nothing for one that it cannot. */
function editOf(name: string, args: unknown): NamedEdit | undefined {
  const kind = own(EDITS as Readonly<Record<string, (typeof EDITS)[NamedEdit['name']]>>, name);
  return kind && schemaFindings(kind.args, args).length === 0
    ? ({ name, args } as NamedEdit)
    : undefined;
}
