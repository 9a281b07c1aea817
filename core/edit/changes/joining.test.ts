import { text, type Documents } from '../../model';
import { saidText } from '../../said';
import { documentsOf, page } from '../../test';
import { isRefusal, runEdit, type NamedEdit } from '..';
import { applyChanges, joinChanges, replay, samePlaces, type Change } from '.';

const home = page('home', '/', {
  id: 'root',
  tag: 'main',
  children: [
    { id: 'one', tag: 'p', children: [{ id: 'one-t', text: 'One' }] },
    { id: 'two', tag: 'p', children: [{ id: 'two-t', text: 'Two' }] },
  ],
});
const start = documentsOf(home);

function typing(node: string, words: string): NamedEdit {
  return {
    name: 'setControl',
    args: { doc: 'home', node, control: { of: 'text' }, source: text(words) },
  };
}

function changesOf(documents: Documents, edit: NamedEdit): Change[] {
  const changes = runEdit(documents, edit);
  if (isRefusal(changes)) throw new Error(saidText(changes.refused));
  return changes;
}

function pendingOf(documents: Documents, edit: NamedEdit, id = 'p1') {
  return { id, changes: changesOf(documents, edit) };
}

describe('changes after one another', () => {
  const first = changesOf(start, typing('one-t', 'Onl'));
  const between = applyChanges(start, first);
  const then = changesOf(between, typing('one-t', 'Only'));

  test('at one place are one: from the first to the last', () => {
    const joined = joinChanges(first, then);
    expect(joined).toHaveLength(1);
    expect(joined[0]).toMatchObject({ was: text('One'), now: text('Only') });
    expect(applyChanges(start, joined)).toEqual(applyChanges(between, then));
  });

  test('that lead back to the beginning are none', () => {
    const back = changesOf(between, typing('one-t', 'One'));
    expect(joinChanges(first, back)).toEqual([]);
  });

  test('at different places are all there', () => {
    const other = changesOf(between, typing('two-t', 'Too'));
    expect(joinChanges(first, other)).toHaveLength(2);
    expect(samePlaces(first, other)).toBe(false);
    expect(samePlaces(first, then)).toBe(true);
  });
});

describe('pending edits on top of what others did', () => {
  test('stand when the others changed something else', () => {
    const mine = pendingOf(start, typing('one-t', 'Mine'));
    const theirs = applyChanges(start, changesOf(start, typing('two-t', 'Theirs')));
    const { documents, kept, lost } = replay(theirs, [mine]);
    expect(kept).toEqual([mine]);
    expect(lost).toEqual([]);
    expect(JSON.stringify(documents)).toContain('Mine');
    expect(JSON.stringify(documents)).toContain('Theirs');
  });

  test('are given back with what stands when the others changed the same', () => {
    const mine = pendingOf(start, typing('one-t', 'Mine'));
    const theirs = applyChanges(start, changesOf(start, typing('one-t', 'Theirs')));
    const { documents, kept, lost } = replay(theirs, [mine]);
    expect(kept).toEqual([]);
    expect(lost).toEqual([{ edit: mine, stands: text('Theirs') }]);
    expect(documents).toBe(theirs);
  });

  test('fall one after the other when the first they build on falls', () => {
    const first = pendingOf(start, typing('one-t', 'Mine'), 'p1');
    const after = applyChanges(start, first.changes);
    const second = pendingOf(after, typing('one-t', 'Mine too'), 'p2');
    const theirs = applyChanges(
      start,
      changesOf(start, { name: 'remove', args: { doc: 'home', nodes: ['one'] } }),
    );
    const { kept, lost } = replay(theirs, [first, second]);
    expect(kept).toEqual([]);
    expect(lost.map(({ edit }) => edit.id)).toEqual(['p1', 'p2']);
  });
});
