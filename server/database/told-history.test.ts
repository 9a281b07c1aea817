import fc from 'fast-check';
import { applyChanges, toldOf, type NamedEdit } from '@sormet/core/edit';
import { say } from '@sormet/core/said';
import { demo } from '../../core/test/law-site';
import { pastOf, runEdits, type DoneEdit } from '../../core/test/random-edits';
import { toldHistory, type OldEdit } from './told-history';

const steps = fc.array(fc.array(fc.nat(10_000), { minLength: 8, maxLength: 8 }), {
  minLength: 1,
  maxLength: 12,
});

/** An edit as it was kept while the history was told in sentences. */
function asKept({ id, edit, changes }: DoneEdit): OldEdit {
  return { edit: id, name: edit.name, args: edit.args, changes, says: 'as it was told' };
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
        edit: 'the-last-edit',
        name: 'revert',
        args: revert.args,
        changes: [],
        says: 'x',
      });
      for (const each of [...done].reverse()) history.add(asKept(each));
      const told = new Map(history.told().map(({ edit, said }) => [edit, said]));
      for (const { id, edit, before } of done)
        if (edit.name !== 'revert') {
          many += 1;
          expect([edit, told.get(id)]).toEqual([edit, toldOf(before, edit, pastOf(done))]);
        }
      if (done[0]!.edit.name !== 'revert')
        expect(told.get('the-last-edit')).toEqual(
          say('did-take-back', { what: toldOf(done[0]!.before, done[0]!.edit) }),
        );
    }),
    { numRuns: 60 },
  );
  expect(many).toBeGreaterThan(100);
});

test('what this version cannot do any more keeps its words, and what is older than an upgrade', () => {
  const edit: NamedEdit = { name: 'setPage', args: { page: 'page-about', set: { name: 'Us' } } };
  const changes = [{ doc: 'page-about', path: '/name', was: 'About', now: 'Us' }];
  const after = applyChanges(demo, changes.slice(0, 0));
  const history = toldHistory([...after]);
  const line = (id: string, over: Partial<OldEdit>): OldEdit => ({
    edit: id,
    name: edit.name,
    args: edit.args,
    changes: [],
    says: `said of ${id}`,
    ...over,
  });
  history.add(line('four', {}));
  history.add(line('three', { name: 'noSuchEdit' }));
  history.add(line('two', { args: { page: 7 } }));
  history.add(line('one', { name: 'upgrade', args: { from: 1, to: 2 } }));
  history.add(line('none', {}));
  expect(Object.fromEntries(history.told().map(({ edit: id, said }) => [id, said]))).toEqual({
    four: toldOf(demo, edit),
    three: say('as-it-was-told', { words: 'said of three' }),
    two: say('as-it-was-told', { words: 'said of two' }),
    one: say('upgraded', { from: 1, to: 2 }),
    none: say('as-it-was-told', { words: 'said of none' }),
  });
});
