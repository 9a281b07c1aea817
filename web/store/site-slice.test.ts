import { text, type Documents } from '@sormet/core/model';
import {
  applyChanges,
  doEdit,
  isRefusal,
  runEdit,
  toldOf,
  type NamedEdit,
} from '@sormet/core/edit';
import { saidText, say } from '@sormet/core/said';
import { documentsOf, page } from '@sormet/core/test';
import type { HistoryEntry } from '@sormet/core/api';
import { pastOf, unstoredOf } from './pending';
import { siteActions, siteSlice, type Made, type SiteState } from './site-slice';

const home = page('home', '/', {
  id: 'root',
  tag: 'main',
  children: [{ id: 'one', tag: 'p', children: [{ id: 'one-t', text: 'One' }] }],
});
const start = documentsOf(home);
const { reducer } = siteSlice;

function opened(): SiteState {
  return reducer(
    undefined,
    siteActions.opened({
      summary: null,
      revision: 1,
      documents: start,
      conflicts: [],
      kept: true,
      setAside: [],
      undo: [],
      redo: [],
    }),
  );
}

const typing = (words: string): NamedEdit => ({
  name: 'setControl',
  args: { doc: 'home', node: 'one-t', control: { of: 'text' }, source: text(words) },
});

/** The state after an edit made here. */
function edit(
  state: SiteState,
  named: NamedEdit,
  id: string,
  group: string | null = null,
): SiteState {
  return reducer(state, siteActions.edited(madeOf(state, named, id, group)));
}

function madeOf(state: SiteState, named: NamedEdit, id: string, group: string | null = null): Made {
  const past = pastOf([...state.undo, ...state.redo]);
  const done = doEdit(state.documents, named, past);
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  const made = { id, edit: named, changes: done.changes, group, stretch: null, sent: false };
  return { made, said: toldOf(state.documents, named, past), documents: done.documents };
}

/** What the server tells of an edit. */
function told(documents: Documents, named: NamedEdit, revision: number, id: string): HistoryEntry {
  const changes = runEdit(documents, named);
  if (isRefusal(changes)) throw new Error(saidText(changes.refused));
  return { revision, edit: id, who: 'w', at: '', name: named.name, said: say('tidied'), changes };
}

const shown = (state: SiteState) => JSON.stringify(state.documents.get('home'));

describe('editing here', () => {
  test('shows at once and waits to be sent', () => {
    const state = edit(opened(), typing('Mine'), 'e1');
    expect(shown(state)).toContain('Mine');
    expect(JSON.stringify(state.confirmed)).not.toContain('Mine');
    expect(state.pending.map(({ id }) => id)).toEqual(['e1']);
  });

  test('a word typed is one edit to send and one step to undo', () => {
    let state = opened();
    for (const [i, words] of ['M', 'Mi', 'Min', 'Mine'].entries())
      state = edit(state, typing(words), `e${i}`, 'word 1');
    expect(state.pending).toHaveLength(1);
    expect(state.pending[0]).toMatchObject({
      id: 'e0',
      changes: [{ was: text('One'), now: text('Mine') }],
    });
    expect(state.undo).toHaveLength(1);
    state = edit(state, typing('Mine again'), 'e9', 'word 2');
    expect(state.undo).toHaveLength(2);
  });

  test('what is on its way is not joined with what comes later, though it is one step', () => {
    let state = edit(opened(), typing('Mi'), 'e1', 'word 1');
    state = reducer(state, siteActions.sending('e1'));
    state = edit(state, typing('Mine'), 'e2', 'word 1');
    expect(state.pending.map(({ id }) => id)).toEqual(['e1', 'e2']);
    expect(state.undo).toHaveLength(1);
  });

  test('typing back to the beginning leaves nothing to send', () => {
    let state = edit(opened(), typing('O'), 'e1', 'word 1');
    state = edit(state, typing('One'), 'e2', 'word 1');
    expect(state.pending).toEqual([]);
  });
});

describe('undoing', () => {
  const takeBack = (...edits: string[]): NamedEdit => ({ name: 'revert', args: { edits } });

  test('names the edits of the step, and so does doing it again', () => {
    let state = edit(opened(), typing('Mi'), 'edit-one', 'word 1');
    state = reducer(state, siteActions.sending('edit-one'));
    state = edit(state, typing('Mine'), 'edit-two', 'word 1');
    expect(state.undo.map(({ edits }) => edits.map(({ id }) => id))).toEqual([
      ['edit-one', 'edit-two'],
    ]);
    const undone = madeOf(state, takeBack('edit-one', 'edit-two'), 'edit-three');
    state = reducer(state, siteActions.undone(undone));
    expect(shown(state)).toContain('One');
    expect(state.undo).toEqual([]);
    expect(state.redo[0]!.edits.map(({ id }) => id)).toEqual(['edit-three']);
    const redone = madeOf(state, takeBack('edit-three'), 'edit-four');
    expect(redone.said.code).toBe('did-again');
    state = reducer(state, siteActions.redone(redone));
    expect(shown(state)).toContain('Mine');
    expect(state.redo).toEqual([]);
    expect(state.undo[0]!.edits.map(({ id }) => id)).toEqual(['edit-four']);
  });

  test('a step that was joined before it was sent is one edit', () => {
    let state = edit(opened(), typing('Mi'), 'edit-one', 'word 1');
    state = edit(state, typing('Mine'), 'edit-two', 'word 1');
    expect(state.undo[0]!.edits).toMatchObject([
      { id: 'edit-one', changes: [{ was: text('One'), now: text('Mine') }] },
    ]);
    state = edit(state, typing('One'), 'edit-three', 'word 1');
    expect([state.pending, state.undo]).toEqual([[], []]);
  });

  test('with nothing to undo changes nothing', () => {
    const state = opened();
    const made = madeOf(state, typing('Mine'), 'edit-one');
    expect(reducer(state, siteActions.undone(made))).toBe(state);
    expect(reducer(state, siteActions.redone(made))).toBe(state);
  });
});

describe('what the server says', () => {
  test('accepting the first pending edit confirms it', () => {
    let state = edit(opened(), typing('Mine'), 'e1');
    state = reducer(state, siteActions.accepted({ id: 'e1', revision: 2 }));
    expect(state).toMatchObject({ revision: 2, pending: [] });
    expect(state.confirmed).toEqual(state.documents);
  });

  test('accepting it behind somebody else’s edit waits until that is heard', () => {
    const state = edit(opened(), typing('Mine'), 'e1');
    expect(reducer(state, siteActions.accepted({ id: 'e1', revision: 3 }))).toBe(state);
  });

  test('edits of others and our own are taken in order, each once', () => {
    const state = edit(opened(), typing('Mine'), 'e1');
    const theirs = told(
      start,
      { name: 'setPage', args: { page: 'home', set: { name: 'Front' } } },
      2,
      'x1',
    );
    const after = applyChanges(start, theirs.changes);
    const mine = told(after, typing('Mine'), 3, 'e1');
    const heard = reducer(state, siteActions.heard([theirs, mine]));
    expect(heard).toMatchObject({ revision: 3, pending: [], conflicts: [] });
    expect(heard.documents.get('home')).toMatchObject({ name: 'Front' });
    expect(reducer(heard, siteActions.heard([theirs, mine])).revision).toBe(3);
  });

  test('the same value changed by somebody else is kept with both sides', () => {
    const state = edit(opened(), typing('Mine'), 'e1');
    const heard = reducer(state, siteActions.heard([told(start, typing('Theirs'), 2, 'x1')]));
    expect(shown(heard)).toContain('Theirs');
    expect(heard.pending).toEqual([]);
    expect(heard.conflicts).toMatchObject([
      { id: 'e1', yours: text('Mine'), stands: text('Theirs') },
    ]);
    expect(reducer(heard, siteActions.decided('e1')).conflicts).toEqual([]);
  });

  test('a refusal is kept aside with its reason, and what stood on it is laid again', () => {
    let state = edit(opened(), typing('Mine'), 'e1');
    state = reducer(
      state,
      siteActions.refusedByServer({ id: 'e1', reason: say('no-site'), stands: null }),
    );
    expect(shown(state)).toContain('One');
    expect(state.conflicts).toMatchObject([{ id: 'e1', reason: say('no-site') }]);
    expect(
      reducer(
        state,
        siteActions.refusedByServer({ id: 'gone', reason: say('no-site'), stands: null }),
      ),
    ).toBe(state);
  });

  test('what the server fails on is set aside as such, and what comes after it goes on', () => {
    let state = edit(opened(), typing('Mine'), 'e1');
    state = edit(state, { name: 'setPage', args: { page: 'home', set: { name: 'Front' } } }, 'e2');
    const refusal = { id: 'e1', reason: say('went-wrong'), stands: null, failed: true };
    state = reducer(state, siteActions.refusedByServer(refusal));
    expect(state.conflicts).toMatchObject([{ id: 'e1', failed: true, yours: text('Mine') }]);
    expect(state.pending.map(({ id }) => id)).toEqual(['e2']);
    expect(state.documents.get('home')).toMatchObject({ name: 'Front' });
  });

  test('losing and finding the connection is a state that is seen', () => {
    const lost = reducer(opened(), siteActions.connection(false));
    expect(lost.connected).toBe(false);
    expect(reducer(lost, siteActions.connection(false))).toBe(lost);
    expect(reducer(lost, siteActions.heard([])).connected).toBe(true);
  });
});

test('what is typed and cannot be stored is said and kept, until something of the same stretch can be', () => {
  const edit = { name: 'setPage', args: { page: 'home', set: { name: 'x'.repeat(200) } } } as const;
  let state = opened();
  const { documents } = state;
  for (const reason of [say('too-long', { most: 60 }), say('too-long', { most: 80 })])
    state = reducer(state, siteActions.unstored(unstoredOf(documents, edit, 'Name 1', reason)));
  expect(state.conflicts).toMatchObject([
    { failed: true, reason: say('too-long', { most: 80 }), edit },
  ]);
  const made = {
    id: 'edit-number-1',
    edit,
    changes: [],
    group: 'Name 1',
    stretch: null,
    sent: false,
  };
  state = reducer(state, siteActions.edited({ made, said: say('tidied'), documents }));
  expect(state.conflicts).toEqual([]);
});
