import fc from 'fast-check';
import jsonPatch, { type Operation } from 'fast-json-patch';
import {
  compileSite,
  makePages,
  planOf,
  putTogether,
  Release,
  workOf,
  type Earlier,
  type MadePages,
} from '../compile';
import {
  documentFindings,
  sameJson,
  SCHEMAS,
  compiledCheck,
  readCheck,
  siteFindings,
  invariantFindings,
  NO_MOMENT,
  type Documents,
  type EntryDoc,
} from '../model';
import { Reach } from '../reach';
import { build, Linker, prepare, write, type Built } from '../resolve';
import { saidText } from '../said';
import { dataOf, type Data } from '../value';
import { htmlOf } from '../test/html';
import { means, TIMES } from '../test';
import { demo } from '../test/law-site';
import { asSeen } from '../test/as-seen';
import { pastOf, runEdits } from '../test/random-edits';
import {
  applyChanges,
  asPatch,
  danglingIn,
  doEdit,
  inverse,
  isRefusal,
  mismatches,
  touched,
  type NamedEdit,
} from '.';

/** Runs of edits as lists of numbers; fast-check shortens a run that breaks a law. */
const runs = (maxLength: number) =>
  fc.array(fc.array(fc.nat(10_000), { minLength: 8, maxLength: 8 }), { minLength: 1, maxLength });

describe('whatever somebody edits', () => {
  test('undoing every step gives the same documents again', () => {
    fc.assert(
      fc.property(runs(14), (steps) => {
        for (const { before, after, changes } of runEdits(demo, steps).reverse()) {
          expect(mismatches(after, inverse(changes))).toEqual([]);
          expect(sameJson(applyChanges(after, inverse(changes)), before)).toBe(true);
        }
      }),
      { numRuns: 18 },
    );
  });

  test('undoing is itself an edit under the same guards, and so is doing it again', () => {
    fc.assert(
      fc.property(runs(6), (steps) => {
        const done = runEdits(demo, steps);
        for (const each of done) {
          const { before, after } = each;
          const takeBack = (edit: string): NamedEdit => ({
            name: 'revert',
            args: { edits: [edit] },
          });
          const undone = doEdit(after, takeBack(each.id), pastOf(done));
          if (isRefusal(undone)) throw new Error(`${each.edit.name}: ${saidText(undone.refused)}`);
          expect(sameJson(undone.documents, before)).toBe(true);
          const past = pastOf([{ ...each, id: 'the-undoing', changes: undone.changes }]);
          const again = doEdit(undone.documents, takeBack('the-undoing'), past);
          if (isRefusal(again)) throw new Error(`${each.edit.name}: ${saidText(again.refused)}`);
          expect(sameJson(again.documents, after)).toBe(true);
        }
      }),
      { numRuns: 12 },
    );
  });

  test('what is not refused leaves documents that pass their schema and the invariants', () => {
    fc.assert(
      fc.property(runs(14), (steps) => {
        for (const { after, changes } of runEdits(demo, steps))
          for (const id of touched(changes)) {
            const doc = after.get(id);
            if (doc)
              expect([id, documentFindings(doc), invariantFindings(doc)]).toEqual([id, [], []]);
          }
      }),
      { numRuns: 15 },
    );
  });

  test('nothing ever points at nothing', () => {
    fc.assert(
      fc.property(runs(14), (steps) => {
        const last = runEdits(demo, steps).at(-1);
        if (last) expect(danglingIn(last.after)).toEqual([]);
      }),
      { numRuns: 18 },
    );
  });

  test('both ways of checking a schema agree, on what passes and on what does not', () => {
    const both = Object.fromEntries(
      Object.entries(SCHEMAS).map(([kind, schema]) => [
        kind,
        [readCheck(schema), compiledCheck(schema)] as const,
      ]),
    );
    fc.assert(
      fc.property(runs(8), fc.nat(), (steps, pick) => {
        for (const { after, changes } of runEdits(demo, steps))
          for (const id of touched(changes)) {
            const doc = after.get(id);
            if (!doc) continue;
            const spoiled = structuredClone(doc) as unknown as Record<string, unknown>;
            const members = Object.keys(spoiled).filter((name) => name !== 'kind');
            spoiled[members[pick % members.length]!] = [pick % 2 === 0 ? 7 : 'x'];
            const [read, compiled] = both[doc.kind]!;
            for (const value of [doc, spoiled])
              expect([id, read(value)]).toEqual([id, compiled(value)]);
          }
      }),
      { numRuns: 10 },
    );
  });

  test('no two pages ever have one path', () => {
    fc.assert(
      fc.property(runs(10), (steps) => {
        const last = runEdits(demo, steps).at(-1);
        if (last) expect(siteFindings(last.after)).toEqual([]);
      }),
      { numRuns: 9 },
    );
  });

  test('the changes as a JSON Patch, applied by a reference library, give the same document (RFC 6902)', () => {
    fc.assert(
      fc.property(runs(8), (steps) => {
        for (const { before, after, changes } of runEdits(demo, steps))
          for (const id of touched(changes)) {
            const patch = asPatch(changes.filter(({ doc }) => doc === id)) as Operation[];
            // Written out and read again: what two places of the demo share in memory, no stored document shares.
            const start = JSON.parse(JSON.stringify(before.get(id) ?? null)) as unknown;
            const { newDocument } = jsonPatch.applyPatch(start, structuredClone(patch), true);
            expect(newDocument ?? undefined).toEqual(after.get(id));
          }
      }),
      { numRuns: 12 },
    );
  });

  test('the tree built from the one before is the tree built anew, on every page and entry', () => {
    fc.assert(
      fc.property(runs(8), (steps) => {
        const kept = new Linker();
        const before = new Map<string, Built>();
        let data: Data | undefined;
        for (const documents of statesOf(steps)) {
          data = dataOf(documents, data);
          const fresh = new Linker();
          const freshData = dataOf(documents);
          for (const [key, page, entry] of shownIn(documents)) {
            const built = build(kept.link(documents, page), data, entry, before.get(key));
            before.set(key, built);
            const anew = build(fresh.link(documents, page), freshData, entry);
            expect(htmlOf(built.root)).toBe(htmlOf(anew.root));
          }
        }
      }),
      { numRuns: 9 },
    );
  });

  test('both writers agree: what the canvas shows is what is published', () => {
    fc.assert(
      fc.property(runs(8), (steps) => {
        const linker = new Linker();
        for (const documents of statesOf(steps)) {
          const data = dataOf(documents);
          for (const [, page, entry] of shownIn(documents)) {
            const linked = linker.link(documents, page);
            const shown = htmlOf(build(linked, data, entry).root);
            const template = prepare(linked, data);
            if (!template.acts) expect(write(template, entry)).toBe(shown);
            else {
              // A canvas shows what states are at first.
              const first = template.first(entry);
              const { html } = template.write(entry, first, { held: () => undefined });
              expect(asSeen(html)).toBe(asSeen(shown));
            }
          }
        }
      }),
      { numRuns: 8 },
    );
  });

  test('a release made again only where something changed is the release made anew', () => {
    fc.assert(
      fc.property(runs(6), (steps) => {
        const kept = means();
        let earlier: Earlier = {
          documents: demo,
          release: new Release(compileSite(demo, kept).manifest),
          at: NO_MOMENT,
        };
        for (const [i, documents] of statesOf(steps).slice(1).entries()) {
          // Each at a moment of its own: entries come and go between them, and days begin.
          const at = { now: ['', ...TIMES][i % 4]!, today: ['2026-12-01', '2026-12-24'][i % 2]! };
          const partial = compileSite(documents, { ...kept, at }, earlier);
          const full = compileSite(documents, { ...means(), at });
          expect(hashes(partial.manifest)).toEqual(hashes(full.manifest));
          expect(partial.made + partial.kept).toBe(full.made);
          earlier = { documents, release: new Release(partial.manifest), at };
        }
      }),
      { numRuns: 8 },
    );
  });

  test('a release whose parts are made apart, in any size, each without the others, is the release made in one', () => {
    fc.assert(
      fc.property(runs(6), fc.integer({ min: 1, max: 7 }), (steps, size) => {
        const states = statesOf(steps);
        const first = {
          documents: demo,
          release: new Release(compileSite(demo, means()).manifest),
        };
        for (const [documents, earlier] of [
          [states.at(-1)!, undefined],
          [states.at(-1)!, first],
        ] as const) {
          const work = workOf(documents, earlier);
          const parts: MadePages[] = [];
          for (let at = 0; at < work.pages.length; at += size) {
            // As it comes back from a table: texts apart, the rest as JSON.
            const { texts, ...made } = makePages(
              documents,
              means(),
              work.pages.slice(at, at + size),
            );
            parts.push({ ...(JSON.parse(JSON.stringify(made)) as typeof made), texts });
          }
          const { sha256 } = means();
          const together = putTogether(documents, sha256, work, parts, earlier?.release);
          const whole = compileSite(documents, means(), earlier);
          expect(together.manifest).toEqual(whole.manifest);
          expect(together.texts).toEqual(whole.texts);
          expect([together.made, together.kept]).toEqual([whole.made, whole.kept]);
          expect(planOf(together, documents, earlier)).toEqual(planOf(whole, documents, earlier));
        }
      }),
      { numRuns: 8 },
    );
  });

  test('the dependency index kept up to date is the index built anew', () => {
    fc.assert(
      fc.property(runs(16), (steps) => {
        const reach = new Reach(demo);
        for (const { before, after } of runEdits(demo, steps)) reach.updateAll(before, after);
        const last = runEdits(demo, steps).at(-1)?.after ?? demo;
        expect(reach.dump()).toEqual(new Reach(last).dump());
      }),
      { numRuns: 18 },
    );
  });
});

function statesOf(steps: readonly (readonly number[])[]): Documents[] {
  return [demo, ...runEdits(demo, steps).map(({ after }) => after)];
}

/** Some pages and entries of a state: each page, on per-entry pages three entries. */
function shownIn(documents: Documents) {
  const found: [string, string, EntryDoc | undefined][] = [];
  for (const doc of [...documents]) {
    if (doc.kind !== 'page') continue;
    if (doc.entries === null) found.push([doc.id, doc.id, undefined]);
    else
      for (const entry of dataOf(documents).entriesOf(doc.entries).slice(0, 3))
        found.push([doc.id + entry.id, doc.id, entry]);
  }
  return found;
}

function hashes(manifest: Readonly<Record<string, { sha256: string }>>) {
  return Object.fromEntries(Object.entries(manifest).map(([path, { sha256 }]) => [path, sha256]));
}
