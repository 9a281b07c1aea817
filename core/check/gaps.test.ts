import { gapsIn } from '.';
import { doEdit, isRefusal } from '../edit';
import { type Branch } from '../ready';
import { docOf, literal, type Source } from '../model';
import { Linker, prepare, write } from '../resolve';
import { saidText } from '../said';
import { blockOf } from '../style';
import { component, documentsOf } from '../test';
import { dataOf } from '../value';

const follows: Source = { is: 'property', property: 'open' };
/** A repeat over a list that is handed in. */
const listed = (id: string): Branch => ({
  id,
  repeat: { from: { list: { is: 'property', property: 'points' } }, where: {}, order: {} },
  children: [{ tag: 'p', text: 'x' }],
});
const start = documentsOf(
  component(
    'card',
    {
      id: 'root',
      tag: 'div',
      style: blockOf({ display: 'grid', gap: '12px' }),
      children: [
        { id: 'apart', tag: 'div', children: [{ id: 'a', tag: 'p', text: 'x', shown: follows }] },
        {
          id: 'two',
          tag: 'div',
          children: [
            { tag: 'p', text: 'x', shown: follows },
            { tag: 'p', text: 'always' },
          ],
        },
        {
          id: 'plain',
          tag: 'div',
          children: [
            { id: 'bare', tag: 'div', children: [{ tag: 'p', text: 'x', shown: follows }] },
            {
              id: 'padded',
              tag: 'div',
              style: blockOf({ padding: '4px' }),
              children: [{ tag: 'p', text: 'x', shown: follows }],
            },
          ],
        },
        { id: 'always', tag: 'div', children: [{ tag: 'p', text: 'x' }] },
        { id: 'listed', tag: 'div', children: [listed('lines')] },
        {
          id: 'told',
          tag: 'div',
          children: [{ ...listed('told-lines'), slots: { none: [{ tag: 'p', text: 'None' }] } }],
        },
      ],
    },
    {
      open: literal({ type: 'boolean', value: true }),
      points: literal({ type: 'list', value: [] }),
    },
  ),
);
const found = (documents = start) =>
  gapsIn(documents, docOf(documents, 'component', 'card')!).map(({ wrapper }) => wrapper);

describe('a wrapper whose only content may be hidden', () => {
  test('leaves a gap where it takes room, or where what it stands among is set apart', () => {
    expect(found().sort()).toEqual(['apart', 'listed', 'padded']);
  });

  test('follows its content with one step, and leaves none', () => {
    const done = doEdit(start, {
      name: 'setControls',
      args: {
        set: gapsIn(start, docOf(start, 'component', 'card')!).map(({ wrapper, shown }) => ({
          doc: 'card',
          node: wrapper,
          control: { of: 'shown' },
          source: shown,
        })),
      },
    });
    if (isRefusal(done)) throw new Error(saidText(done.refused));
    expect(found(done.documents)).toEqual([]);
    // An empty list hides what stands around it, one with something in it does not.
    const shows = (length: number) => {
      const value = Array.from({ length }, (_, i) => ({ id: `r${i}`, values: {} }));
      const set = doEdit(done.documents, {
        name: 'setDefault',
        args: { component: 'card', property: 'points', value: literal({ type: 'list', value }) },
      });
      if (isRefusal(set)) throw new Error(saidText(set.refused));
      const linked = new Linker().link(set.documents, 'card');
      return write(prepare(linked, dataOf(set.documents)));
    };
    expect(shows(2)).toContain('<div><p>x</p><p>x</p></div>');
    expect(shows(0)).not.toContain('<div></div>');
  });
});
