import { doEdit, isRefusal, matchingOf, rosterOf, whatBecomes, type NamedEdit } from '..';
import {
  docOf,
  literal,
  nodeIn,
  sameJson,
  text,
  type ComponentDoc,
  type Documents,
  type TypeSpec,
} from '../../model';
import { member, Reach } from '../../reach';
import { saidText } from '../../said';
import { component, documentsOf, page } from '../../test';
import { dataOf } from '../../value';

const number = (value: number) => literal({ type: 'number', value });

const card = component(
  'card',
  { id: 'card-root', tag: 'div', children: [{ slot: 'inside' }] },
  { title: text('Card'), size: text('7') },
  ['inside'],
);
const panel = component(
  'panel',
  { id: 'panel-root', tag: 'div', children: [{ slot: 'body' }] },
  { heading: text('Panel'), count: number(1) },
  ['body'],
);
const start = documentsOf(
  card,
  panel,
  page('home', '/', {
    tag: 'main',
    children: [
      { id: 'a', component: 'card', values: { size: text('12') } },
      {
        id: 'b',
        component: 'card',
        values: { title: text('Two'), size: text('many') },
        slots: { inside: [{ id: 'in-b', tag: 'p', text: 'kept' }] },
      },
      { id: 'c', component: 'card', values: { size: text('') } },
    ],
  }),
  page('about', '/about', { tag: 'main', children: [{ id: 'd', component: 'card' }] }),
);

function after(documents: Documents, edit: NamedEdit): Documents {
  const done = doEdit(documents, edit);
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  return done.documents;
}

describe('retyping a property that is in use', () => {
  const becoming = (type: TypeSpec | null) =>
    whatBecomes(
      start,
      docOf(start, 'component', 'card')!,
      'size',
      type,
      new Reach(start).usesOf(member('card', 'size')),
      dataOf(start),
    ).map(({ node, becomes }) => [node, becomes]);

  test('says beforehand what each stored value will show', () => {
    expect(becoming({ kind: 'number' })).toEqual([
      [null, 'converted'],
      ['a', 'converted'],
      ['b', 'empty'],
      ['c', 'was empty'],
    ]);
    expect(becoming({ kind: 'text', longest: 2 })).toEqual([
      [null, 'kept'],
      ['a', 'kept'],
      ['b', 'empty'],
      ['c', 'was empty'],
    ]);
    expect(becoming(null).map(([, becomes]) => becomes)).toEqual([
      'empty',
      'empty',
      'empty',
      'was empty',
    ]);
  });

  test('touches no stored value, so that all of it comes back with the type', () => {
    const set = (type: TypeSpec) => ({
      name: 'setProperty' as const,
      args: { component: 'card', property: 'size', set: { type } },
    });
    const retyped = after(start, set({ kind: 'number' }));
    expect(
      sameJson(nodeIn(retyped, 'home', 'b') as never, nodeIn(start, 'home', 'b') as never),
    ).toBe(true);
    expect(after(retyped, set({ kind: 'text' })).get('card')).toEqual(start.get('card'));
  });

  test('keys stay unique, and a property is made before anything reads it', () => {
    const key = (to: string) =>
      doEdit(start, {
        name: 'setProperty',
        args: { component: 'card', property: 'size', set: { key: to } },
      });
    const taken = docOf(start, 'component', 'card')!.properties['title']!.key;
    expect(key(taken)).toMatchObject({ refused: { code: 'key-of-other' } });
    const made = after(start, {
      name: 'addProperty',
      args: {
        component: 'card',
        property: 'hours',
        label: 'Hours',
        key: 'hours',
        type: { kind: 'list', fields: {} },
        group: null,
        order: 'a7',
      },
    });
    expect((made.get('card') as ComponentDoc).properties['hours']!.default).toMatchObject({
      type: 'list',
      value: [],
    });
  });
});

describe('the instances of a component', () => {
  const rows = () =>
    rosterOf(
      start,
      new Reach(start).usesOf('card').filter(({ kind }) => kind === 'places'),
    ).map(({ doc, node }) => `${doc} ${node}`);

  test('stand by page, then as on screen', () => {
    expect(rows()).toEqual(['home a', 'home b', 'home c', 'about d']);
  });

  test('are set together as one step, the last said of each', () => {
    const set = after(start, {
      name: 'setControls',
      args: {
        set: [
          {
            doc: 'home',
            node: 'a',
            control: { of: 'value', property: 'title' },
            source: text('x'),
          },
          {
            doc: 'about',
            node: 'd',
            control: { of: 'value', property: 'title' },
            source: text('y'),
          },
          { doc: 'home', node: 'a', control: { of: 'value', property: 'title' }, source: null },
          { doc: 'home', node: 'b', control: { of: 'value', property: 'title' }, source: null },
        ],
      },
    });
    expect(nodeIn(set, 'about', 'd')).toMatchObject({ values: { title: text('y') } });
    for (const node of ['a', 'b'])
      expect(nodeIn(set, 'home', node)).not.toMatchObject({ values: { title: expect.anything() } });
  });

  test('give way to another component: what matches goes over, slots too, room and order stay', () => {
    const [from, to] = ['card', 'panel'].map((id) => docOf(start, 'component', id)!);
    const { properties, slots, unmatched } = matchingOf(from!, to!);
    expect([...properties]).toEqual([['title', 'heading']]);
    expect([...slots]).toEqual([['inside', 'body']]);
    expect(unmatched).toEqual([from!.properties['size']!.label]);
    const done = after(start, {
      name: 'exchangeInstances',
      args: { instances: [{ doc: 'home', node: 'b' }], component: 'panel' },
    });
    expect(nodeIn(done, 'home', 'b')).toMatchObject({
      component: 'panel',
      place: nodeIn(start, 'home', 'b')!.place,
      values: { heading: text('Two') },
    });
    expect(nodeIn(done, 'home', 'in-b')!.place).toMatchObject({ parent: 'b', slot: 'body' });
    expect(
      doEdit(done, {
        name: 'exchangeInstances',
        args: { instances: [{ doc: 'home', node: 'b' }], component: 'panel' },
      }),
    ).toMatchObject({ refused: { code: 'one-of-these-already' } });
  });

  test('keep the variant that is called the same in the other component, and what it has none of as it was', () => {
    const axis = (component: string, options: Record<string, string>): NamedEdit => ({
      name: 'addAxis',
      args: {
        component,
        property: `${component}-tone`,
        label: 'Tone',
        key: 'tone',
        order: 'a5',
        options: Object.fromEntries(
          Object.entries(options).map(([id, label]) => [id, { label, order: 'a0' }]),
        ),
        base: Object.keys(options)[0]!,
      },
    });
    const toned = [
      axis('card', { c1: 'plain', c2: 'Quiet', c3: 'loud' }),
      axis('panel', { p1: 'plain', p2: 'quiet' }),
    ].reduce(after, start);
    const picked = (option: string) => {
      const source = literal({ type: 'choice', value: option });
      const control = { of: 'value' as const, property: 'card-tone' };
      const set = after(toned, {
        name: 'setControl',
        args: { doc: 'home', node: 'b', control, source },
      });
      const done = after(set, {
        name: 'exchangeInstances',
        args: { instances: [{ doc: 'home', node: 'b' }], component: 'panel' },
      });
      const node = nodeIn(done, 'home', 'b');
      return node?.kind === 'instance' ? node.values['panel-tone'] : undefined;
    };
    expect(picked('c2')).toMatchObject({ type: 'choice', value: 'p2' });
    expect(picked('c3')).toMatchObject({ type: 'choice', value: 'c3' });
  });
});
