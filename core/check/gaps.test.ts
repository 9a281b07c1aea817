import { gapsIn } from '.';
import { doEdit, isRefusal } from '../edit';
import { docOf, literal, type Source } from '../model';
import { blockOf } from '../style';
import { component, documentsOf } from '../test';

const follows: Source = { is: 'property', property: 'open' };
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
      ],
    },
    { open: literal({ type: 'boolean', value: true }) },
  ),
);
const found = (documents = start) =>
  gapsIn(documents, docOf(documents, 'component', 'card')!).map(({ wrapper }) => wrapper);

describe('a wrapper whose only content may be hidden', () => {
  test('leaves a gap where it takes room, or where what it stands among is set apart', () => {
    expect(found().sort()).toEqual(['apart', 'padded']);
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
    if (isRefusal(done)) throw new Error(done.refused);
    expect(found(done.documents)).toEqual([]);
  });
});
