import { commonControls, doEdit, type NamedEdit } from '.';
import { docOf, literal, nodeIn, text, treeDocOf } from '../model';
import { component, documentsOf, page } from '../test';
import { after } from '../test/after';

const start = documentsOf(
  component(
    'card',
    {
      id: 'card-root',
      tag: 'div',
      children: [
        { id: 'h', tag: 'h2', text: 'Title' },
        { id: 'p', tag: 'p', text: 'Words' },
      ],
    },
    { title: text('Card'), size: text('7') },
  ),
  component('panel', { id: 'panel-root', tag: 'div' }, { title: text('Panel') }),
  page('home', '/', {
    tag: 'main',
    children: [
      { id: 'a', component: 'card', values: { title: text('One'), size: text('12') } },
      { id: 'b', component: 'card', values: { title: text('Two'), size: text('12') } },
      { id: 'c', component: 'card' },
      { id: 'd', component: 'panel' },
      { id: 'link', tag: 'a', text: 'On' },
      { id: 'words', tag: 'p', text: 'On' },
    ],
  }),
);
const home = treeDocOf(start, 'home')!;
const holds = (nodes: string[]) =>
  Object.fromEntries(
    commonControls(start, home, nodes)
      .filter(({ rows: [row] }) => !['chosen', 'declaration'].includes(row!.control.of))
      .map(({ what, holds: each }) => [what, each]),
  );

describe('several selected have together', () => {
  test('the properties of their component, mixed where they differ', () => {
    expect(holds(['a', 'b'])).toEqual({ shown: undefined, title: 'mixed', size: text('12') });
    expect(holds(['a', 'b', 'c'])).toEqual({ shown: undefined, title: 'mixed', size: 'mixed' });
  });

  test('of different components and elements only what all have', () => {
    expect(holds(['a', 'd'])).toEqual({ shown: undefined });
    expect(holds(['link', 'words'])).toEqual({ shown: undefined, text: text('On') });
    expect(holds([])).toEqual({});
  });

  test('one value for all as one step, and back to the default', () => {
    const { rows } = commonControls(start, home, ['a', 'b', 'c']).find(
      ({ what }) => what === 'title',
    )!;
    const set = (source: ReturnType<typeof text> | null): NamedEdit => ({
      name: 'setControls',
      args: { set: rows.map(({ node, control }) => ({ doc: 'home', node, control, source })) },
    });
    const all = after(start, set(text('Same')));
    for (const id of ['a', 'b', 'c'])
      expect(nodeIn(all, 'home', id)).toMatchObject({ values: { title: text('Same') } });
    const back = after(all, set(null));
    for (const id of ['a', 'b', 'c'])
      expect(nodeIn(back, 'home', id)).not.toMatchObject({ values: { title: expect.anything() } });
  });

  test('two things chosen for one node in one step stand beside each other', () => {
    const chosen = (what: 'tag' | 'theme', value: string) => ({
      doc: 'card',
      node: 'h',
      control: { of: 'chosen' as const, what },
      source: literal({ type: what, value }),
    });
    const themed = after(start, {
      name: 'addTheme',
      args: { theme: 'night', name: 'Night', order: 'a0' },
    });
    const done = after(themed, {
      name: 'setControls',
      args: { set: [chosen('tag', 'h3'), chosen('theme', 'night')] },
    });
    expect(nodeIn(done, 'card', 'h')).toMatchObject({ tag: 'h3', theme: 'night' });
  });
});

describe('several controls as one property', () => {
  const exposed = (property: string, node: string, label: string) => {
    const child = Object.entries(docOf(start, 'component', 'card')!.nodes).find(
      ([, { place }]) => place.parent === node,
    )![0];
    return {
      node: child,
      control: { of: 'text' as const },
      property,
      label,
      key: 'both',
      order: 'b00',
      group: null,
    };
  };

  test('follow it together; the default is that of the first', () => {
    const done = after(start, {
      name: 'expose',
      args: { component: 'card', controls: [exposed('x', 'h', 'Both'), exposed('x', 'p', 'Both')] },
    });
    const card = docOf(done, 'component', 'card')!;
    expect(card.properties['x']).toMatchObject({ label: 'Both', default: text('Title') });
    const fed = Object.values(card.nodes).filter(
      (node) => node.kind === 'text' && node.text.is === 'property' && node.text.property === 'x',
    );
    expect(fed).toHaveLength(2);
  });

  test('of different types are refused', () => {
    const refused = doEdit(start, {
      name: 'expose',
      args: {
        component: 'card',
        controls: [
          exposed('x', 'h', 'Both'),
          { ...exposed('x', 'p', 'Both'), node: 'p', control: { of: 'shown' as const } },
        ],
      },
    });
    expect(refused).toMatchObject({ refused: { code: 'of-another-type' } });
  });
});
