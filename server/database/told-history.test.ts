import fc from 'fast-check';
import { toldOf, type NamedEdit } from '@sormet/core/edit';
import { say } from '@sormet/core/said';
import { demo } from '../../core/test/law-site';
import { pastOf, runEdits, type DoneEdit } from '../../core/test/random-edits';
import { toldHistory, type OldEdit } from './told-history';

const steps = fc.array(fc.array(fc.nat(10_000), { minLength: 8, maxLength: 8 }), {
  minLength: 1,
  maxLength: 12,
});

/** An edit as it was kept while the history was told in sentences. */
function asKept({ id, edit, changes }: DoneEdit, revision: number): OldEdit {
  return { revision, edit: id, name: edit.name, args: edit.args, changes, says: 'as it was told' };
}

function bodiesAfter(done: readonly DoneEdit[]): unknown[] {
  return [...(done.at(-1)?.after ?? demo)];
}

test('a history is told anew as it would have been told when it was made, what takes back what as well', () => {
  let many = 0;
  fc.assert(
    fc.property(steps, (numbers) => {
      const done = runEdits(demo, numbers);
      if (done.length === 0) return;
      const takenBack = done.slice(0, 1).map(({ id }) => id);
      const revert: NamedEdit = { name: 'revert', args: { edits: takenBack } };
      const history = toldHistory(bodiesAfter(done));
      history.add({
        revision: done.length,
        edit: 'the-last-edit',
        name: 'revert',
        args: revert.args,
        changes: [],
        says: 'x',
      });
      for (const [i, each] of [...done.entries()].reverse()) history.add(asKept(each, i));
      const told = new Map(history.told().map(({ revision, said }) => [revision, said]));
      for (const [i, { edit, before }] of done.entries())
        if (edit.name !== 'revert') {
          many += 1;
          expect([edit, told.get(i)]).toEqual([edit, toldOf(before, edit, pastOf(done))]);
        }
      if (done[0]!.edit.name !== 'revert')
        expect(told.get(done.length)).toEqual(
          say('did-take-back', { what: toldOf(done[0]!.before, done[0]!.edit) }),
        );
    }),
    { numRuns: 60 },
  );
  expect(many).toBeGreaterThan(100);
});

test('what this version cannot do any more keeps its words, and what is older than an upgrade', () => {
  const edit: NamedEdit = { name: 'setPage', args: { page: 'page-about', set: { name: 'Us' } } };
  const history = toldHistory([...demo]);
  const line = (revision: number, over: Partial<OldEdit>): OldEdit => ({
    revision,
    edit: `edit-${revision}`,
    name: edit.name,
    args: edit.args,
    changes: [],
    says: `said of ${revision}`,
    ...over,
  });
  history.add(line(4, {}));
  history.add(line(3, { name: 'noSuchEdit' }));
  history.add(line(2, { args: { page: 7 } }));
  history.add(line(1, { name: 'upgrade', args: { from: 1, to: 2 } }));
  history.add(line(0, {}));
  expect(Object.fromEntries(history.told().map(({ revision, said }) => [revision, said]))).toEqual({
    4: toldOf(demo, edit),
    3: say('as-it-was-told', { words: 'said of 3' }),
    2: say('as-it-was-told', { words: 'said of 2' }),
    1: say('upgraded', { from: 1, to: 2 }),
    0: say('as-it-was-told', { words: 'said of 0' }),
  });
});
