import { docOf, inOrder, placeAt, rootOf, text, type ComponentDoc } from '../../model';
import { saidText } from '../../said';
import { component, documentsOf, page } from '../../test';
import { doEdit, type NamedEdit } from '../edits';
import { applyChanges, inverse, isRefusal } from '../changes';
import { plant } from '../../ready';

const card = {
  ...component(
    'card',
    { tag: 'div', children: [{ tag: 'p', text: { is: 'property', property: 'words' } }] },
    { words: text('W'), more: text('M') },
  ),
};
card.groups = { first: { label: 'First', order: 'a0' } };
card.properties['words']!.group = 'first';
const home = page('home', '/', {
  id: 'root',
  tag: 'main',
  children: [{ id: 'i', component: 'card' }],
});
const start = documentsOf(card, home);
const at = placeAt(card.nodes, rootOf(card.nodes), 9);

const after = (edit: NamedEdit, from = start): ComponentDoc | string => {
  const done = doEdit(from, edit);
  return isRefusal(done) ? done.refused.code : docOf(done.documents, 'component', 'card')!;
};
const adding: NamedEdit = {
  name: 'addSlot',
  args: {
    component: 'card',
    slot: 'extras',
    made: { label: 'extras', order: 'a0' },
    node: 'place',
    place: at,
  },
};

describe('a slot', () => {
  const done = doEdit(start, adding);
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  const set = (part: Extract<NamedEdit, { name: 'setSlot' }>['args']['set']) =>
    after(
      { name: 'setSlot', args: { component: 'card', slot: 'extras', set: part } },
      done.documents,
    );

  test('is put into a definition with its place', () => {
    expect(after(adding)).toMatchObject({
      slots: { extras: { label: 'extras' } },
      nodes: { place: { kind: 'slot', slot: 'extras' } },
    });
    expect(doEdit(done.documents, adding)).toMatchObject({
      refused: { code: 'ids-taken' },
    });
  });

  test('goes with the place where it stood; what fills it on a page stays, and comes back with it', () => {
    const { nodes } = docOf(done.documents, 'page', 'home')!;
    const words = plant({ id: 'w', tag: 'p', text: 'Extra' }, placeAt(nodes, 'i', 0, 'extras'));
    const filled = doEdit(done.documents, { name: 'place', args: { doc: 'home', ...words } });
    if (isRefusal(filled)) throw new Error(saidText(filled.refused));
    const removed = doEdit(filled.documents, {
      name: 'remove',
      args: { doc: 'card', nodes: ['place'] },
    });
    if (isRefusal(removed)) throw new Error(saidText(removed.refused));
    expect(docOf(removed.documents, 'component', 'card')!.slots).toEqual({});
    expect(docOf(removed.documents, 'page', 'home')!.nodes['w']).toBeDefined();
    const back = applyChanges(removed.documents, inverse(removed.changes));
    expect(back.get('card')).toEqual(filled.documents.get('card'));
  });

  test('is named, laid out and limited, and each limit is taken back alone', () => {
    expect(set({ label: 'more' })).toMatchObject({ slots: { extras: { label: 'more' } } });
    expect(set({ allowsTags: { img: true } })).toMatchObject({
      slots: { extras: { allowsTags: { img: true } } },
    });
    expect(set({ most: 2 })).toMatchObject({ slots: { extras: { most: 2 } } });
    expect(set({ allows: null })).toMatchObject({ slots: { extras: { label: 'extras' } } });
    expect(set({ label: '' })).toBe('member-is');
  });
});

describe('a property', () => {
  const set = (
    property: string,
    part: Extract<NamedEdit, { name: 'setProperty' }>['args']['set'],
  ) => after({ name: 'setProperty', args: { component: 'card', property, set: part } });

  test('gets help, is required, and both are taken back without a trace', () => {
    expect(set('words', { help: ' Say it short. ' })).toMatchObject({
      properties: { words: { help: 'Say it short.' } },
    });
    expect(set('words', { required: true })).toMatchObject({
      properties: { words: { required: true } },
    });
    const none = set('words', { required: false });
    expect(typeof none === 'string' ? none : 'required' in none.properties['words']!).toBe(false);
  });

  test('moves into a group that is there or new; a group that nothing stands in goes', () => {
    const place = { group: { id: 'second', label: 'Second', order: 'a1' }, before: null };
    const moved = set('words', { place });
    expect(moved).toMatchObject({ properties: { words: { group: 'second' } } });
    expect(typeof moved === 'string' ? moved : moved.groups).toEqual({
      second: { label: 'Second', order: 'a1' },
    });
    const out = set('words', { place: { group: null, before: null } });
    expect(typeof out === 'string' ? out : out.groups).toEqual({});
    const joined = set('more', {
      place: { group: { id: 'first', label: 'ignored', order: 'z9' }, before: 'words' },
    });
    expect(typeof joined === 'string' ? joined : joined.groups).toEqual({
      first: { label: 'First', order: 'a0' },
    });
    expect(
      typeof joined === 'string' ? joined : inOrder(joined.properties).map(([id]) => id),
    ).toEqual(['more', 'words']);
  });

  test('that is gone cannot be set', () => {
    expect(set('nobody', { help: 'x' })).toContain('gone');
    expect(
      after({
        name: 'setGroup',
        args: { component: 'card', group: 'nobody', set: { label: 'X' } },
      }),
    ).toContain('gone');
  });
});
