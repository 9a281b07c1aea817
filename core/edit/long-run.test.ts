import fc from 'fast-check';
import { SCHEMAS, SOURCE_SCHEMA, text, VALUE_KINDS } from '../model';
import { membersOf, noteMembers, valuesOf, wordsAround } from '../test';
import { JudgedRefusals } from '../test/judged-refusals';
import { demo } from '../test/law-site';
import { runEdits } from '../test/random-edits';
import { EDITS } from '.';

/** What no sound site holds, or no edit makes yet; each with the reason. */
const NEVER: readonly RegExp[] = [
  // The root of a tree is an element or an instance.
  /kind=(text|slot|repeat)\}\.place\.parent\{null\}$/,
  // A page has no slots, parts and properties: those are a definition's.
  /^page\.nodes\.\*\{kind=slot\}/,
  /^page\.nodes\.\*\{kind=(element|instance)\}\.(part|chosen)/,
  // An instance's tag is that of its component.
  /kind=instance\}\.chosen\.tag$/,
  // What a definition lets choose is no content.
  /(list\.fields\.\*\.type|type\.fields\.\*\.type)\{type of (tag|theme|style|action)\}$/,
  /^Typed\{type=(tag|theme|style|action)\}/,
];

/** How many runs have their refusals judged: that takes longer than to make them. */
const JUDGED = 700;

const all = new Set<string>();
const seen = new Set<string>();
const missing = () =>
  [...all].filter((each) => !seen.has(each) && !NEVER.some((never) => never.test(each)));
const done = new Map<string, number>();
const refusals = new JudgedRefusals();

// One long run of random edits, looked at from three sides.
beforeAll(() => {
  for (const { kind, value } of VALUE_KINDS)
    for (const typed of fc.sample(valuesOf(kind), { numRuns: 400, seed: 1 }))
      if (typed.value !== null) noteMembers(value, typed.value, `value of ${kind}`, seen);
  for (const words of fc.sample(wordsAround, { numRuns: 2000, seed: 1 }))
    noteMembers(SOURCE_SCHEMA, { is: 'words', ...words, names: { n0: text('') } }, 'Source', seen);
  for (const [kind, schema] of Object.entries(SCHEMAS)) membersOf(schema, kind, all);
  const known = new WeakSet<object>();
  const runs = fc.array(fc.array(fc.nat(10_000), { minLength: 8, maxLength: 8 }), {
    minLength: 1,
    maxLength: 14,
  });
  let run = 0;
  let isDone = false;
  fc.assert(
    fc.property(runs, (steps) => {
      // No run beyond the one that makes the last of them.
      run += 1;
      if (run >= JUDGED && run % 50 === 0) isDone = missing().length === 0;
      if (isDone) return;
      const judge = run <= JUDGED ? refusals.judge.bind(refusals) : undefined;
      for (const { edit, after, changes } of runEdits(demo, steps, judge)) {
        done.set(edit.name, (done.get(edit.name) ?? 0) + 1);
        for (const { doc: id, now } of changes) {
          const doc = after.get(id);
          if (!doc || now === undefined || known.has(doc)) continue;
          known.add(doc);
          noteMembers(SCHEMAS[doc.kind], doc, doc.kind, seen);
        }
      }
    }),
    { numRuns: 2500, seed: 20261129 },
  );
}, 300_000);

test('random edits make every member of every schema there is', () => {
  expect(all.size).toBeGreaterThan(500);
  expect(missing()).toEqual([]);
});

test('random edits do every edit there is, more than once', () => {
  const rare = Object.keys(EDITS).filter((name) => (done.get(name) ?? 0) < 2);
  // Nothing dangles on a sound site, so there is nothing to mend; `mend` has tests of its own.
  expect(rare).toEqual(['mend']);
});

test('every refusal of random edits has a reason that is judged, and is right', () => {
  console.log(refusals.counted.map(([reason, n]) => `${n} ${reason}`).join('\n'));
  expect(refusals.counted.length).toBeGreaterThan(50);
  expect({ wrong: refusals.wrong, unknown: refusals.unknown }).toEqual({ wrong: [], unknown: [] });
});
