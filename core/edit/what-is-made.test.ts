import fc from 'fast-check';
import { SCHEMAS, SOURCE_SCHEMA, text, VALUE_KINDS } from '../model';
import { membersOf, noteMembers, valuesOf, wordsAround } from '../test';
import { demo } from '../test/law-site';
import { runEdits } from '../test/random-edits';

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
  /(list\.fields\.\*\.type|type\.fields\.\*\.type)\{type of (tag|theme|style)\}$/,
  /^Typed\{type=(tag|theme|style)\}/,
];

test('random edits make every member of every schema there is', () => {
  const seen = new Set<string>();
  const known = new WeakSet<object>();
  const runs = fc.array(fc.array(fc.nat(10_000), { minLength: 8, maxLength: 8 }), {
    minLength: 1,
    maxLength: 14,
  });
  for (const { kind, value } of VALUE_KINDS)
    for (const typed of fc.sample(valuesOf(kind), { numRuns: 400, seed: 1 }))
      if (typed.value !== null) noteMembers(value, typed.value, `value of ${kind}`, seen);
  for (const words of fc.sample(wordsAround, { numRuns: 2000, seed: 1 }))
    noteMembers(SOURCE_SCHEMA, { is: 'words', ...words, names: { n0: text('') } }, 'Source', seen);
  const all = new Set<string>();
  for (const [kind, schema] of Object.entries(SCHEMAS)) membersOf(schema, kind, all);
  const missing = () =>
    [...all].filter((each) => !seen.has(each) && !NEVER.some((never) => never.test(each)));
  let run = 0;
  let isDone = false;
  fc.assert(
    fc.property(runs, (steps) => {
      // No run beyond the one that makes the last of them.
      run += 1;
      if (run % 50 === 0) isDone = missing().length === 0;
      if (isDone) return;
      for (const { after, changes } of runEdits(demo, steps))
        for (const { doc: id, now } of changes) {
          const doc = after.get(id);
          if (!doc || now === undefined || known.has(doc)) continue;
          known.add(doc);
          noteMembers(SCHEMAS[doc.kind], doc, doc.kind, seen);
        }
    }),
    { numRuns: 2500, seed: 20261129 },
  );
  expect(all.size).toBeGreaterThan(500);
  expect(missing()).toEqual([]);
});
