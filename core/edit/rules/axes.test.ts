import { docOf, literal, text, type ComponentDoc, type Documents } from '../../model';
import { build, Linker, prepare, write, type Resolved } from '../../resolve';
import { component, documentsOf, page } from '../../test';
import { dataOf } from '../../value';
import { differencesOf, doEdit, inVariant, isRefusal, type NamedEdit } from '..';

const card = component('card', {
  id: 'root',
  tag: 'article',
  children: [{ id: 'words', tag: 'p', text: 'Words' }],
});
const start = documentsOf(card);
const done = (documents: Documents, edit: NamedEdit): Documents => {
  const made = doEdit(documents, edit);
  if (isRefusal(made)) throw new Error(made.refused.code);
  return made.documents;
};
const refusedBy = (documents: Documents, edit: NamedEdit): string | undefined => {
  const made = doEdit(documents, edit);
  return isRefusal(made) ? made.refused.code : undefined;
};
const cardIn = (documents: Documents): ComponentDoc => docOf(documents, 'component', 'card')!;
const addTone: NamedEdit = {
  name: 'addAxis',
  args: {
    component: 'card',
    property: 'tone',
    label: 'Tone',
    key: 'tone',
    order: 'a0',
    options: {
      plain: { label: 'plain', order: 'a0' },
      quiet: { label: 'quiet', order: 'a1' },
    },
    base: 'plain',
  },
};
const rule = (axes: Record<string, string>, id = 'r'): NamedEdit => ({
  name: 'addRule',
  args: { component: 'card', rule: id, order: 'a0', axes },
});
const toned = done(start, addTone);

describe('an axis', () => {
  test('is a choice whose first option every instance has that chooses none', () => {
    expect(cardIn(toned).properties['tone']).toMatchObject({
      axis: true,
      default: { type: 'choice', value: 'plain' },
    });
  });

  test('begins at an option that it has, under a key of its own', () => {
    const { args } = addTone as Extract<NamedEdit, { name: 'addAxis' }>;
    expect(refusedBy(start, { name: 'addAxis', args: { ...args, base: 'other' } })).toBe(
      'no-option',
    );
    expect(refusedBy(toned, { name: 'addAxis', args: { ...args, property: 'more' } })).toBe(
      'key-of-other',
    );
  });

  test('stays one while rules name its options, and is a plain choice without them', () => {
    const plain = (documents: Documents) =>
      refusedBy(documents, {
        name: 'setProperty',
        args: { component: 'card', property: 'tone', set: { axis: false } },
      });
    expect(plain(done(toned, rule({ tone: 'quiet' })))).toBe('rules-name-axis');
    expect(plain(toned)).toBeUndefined();
  });
});

describe('a rule', () => {
  test('names axes that are there, with options that they have, and is the only one of them', () => {
    expect(refusedBy(toned, rule({ size: 'small' }))).toBe('no-axis');
    expect(refusedBy(toned, rule({ tone: 'loud' }))).toBe('no-option');
    const there = done(toned, rule({ tone: 'quiet' }));
    expect(refusedBy(there, rule({ tone: 'quiet' }, 'other'))).toBe('rule-is-there');
    expect(refusedBy(there, rule({ tone: 'quiet' }))).toBe('ids-taken');
  });

  test('says what differs, which is listed, taken back one by one, and dropped as a whole', () => {
    const where = { component: 'card', rule: 'r', node: 'words' };
    const said = [
      rule({ tone: 'quiet' }),
      {
        name: 'declareRule',
        args: { ...where, property: 'color', width: 'base', css: 'navy', state: ':hover' },
      },
      {
        name: 'setByRule',
        args: { ...where, control: { of: 'attribute', name: 'title' }, source: text('Quiet') },
      },
    ] as NamedEdit[];
    const there = said.reduce(done, toned);
    expect(differencesOf(cardIn(there), 'r')).toEqual([
      {
        node: 'words',
        of: 'style',
        property: 'color',
        width: 'base',
        state: ':hover',
        declared: { css: 'navy' },
      },
      { node: 'words', of: 'attribute', name: 'title', source: text('Quiet') },
    ]);
    const dropped = done(there, { name: 'removeRule', args: { component: 'card', rule: 'r' } });
    expect(cardIn(dropped)).toEqual(cardIn(toned));
    expect(differencesOf(cardIn(dropped), 'r')).toEqual([]);
  });
});

describe('a definition in one of its variants', () => {
  const where = { component: 'card', rule: 'r' };
  const sized = done(toned, {
    name: 'addAxis',
    args: {
      component: 'card',
      property: 'size',
      label: 'Size',
      key: 'size',
      order: 'a1',
      options: { usual: { label: 'usual', order: 'a0' }, small: { label: 'small', order: 'a1' } },
      base: 'usual',
    },
  });
  const said = (id: string, axes: Record<string, string>, words: string): NamedEdit[] => [
    rule(axes, id),
    {
      name: 'setByRule',
      args: {
        ...where,
        rule: id,
        node: wordsOf(sized),
        control: { of: 'text' },
        source: text(words),
      },
    },
  ];
  const there = [
    ...said('both', { tone: 'quiet', size: 'small' }, 'Both'),
    ...said('quiet', { tone: 'quiet' }, 'Quiet'),
    ...said('small', { size: 'small' }, 'Small'),
  ].reduce(done, sized);

  test.each<[Record<string, string>, string]>([
    [{}, 'Words'],
    [{ tone: 'quiet' }, 'Quiet'],
    [{ size: 'small' }, 'Small'],
    // More axes named wins, whatever stands first.
    [{ tone: 'quiet', size: 'small' }, 'Both'],
    [{ tone: 'plain', size: 'small' }, 'Small'],
  ])('%j says what its rules put in place, and what is built and written of it', (picks, words) => {
    const varied = inVariant(cardIn(there), picks);
    expect(varied.nodes[wordsOf(sized)]).toMatchObject({ text: text(words) });
    const linked = new Linker().link(there, 'card');
    const built = build(linked, dataOf(there), undefined, undefined, undefined, picks);
    expect(wordsIn(built.root)).toBe(words);
    const placed = there.with(
      page('home', '/', {
        component: 'card',
        values: Object.fromEntries(
          Object.entries(picks).map(([axis, value]) => [axis, literal({ type: 'choice', value })]),
        ),
      }),
    );
    const onPage = new Linker().link(placed, 'home');
    expect(write(prepare(onPage, dataOf(placed)), undefined)).toContain(`>${words}</p>`);
  });

  test('has every text apart: of what no rule speaks it is as the base', () => {
    expect(inVariant(cardIn(there), {}).nodes).toEqual(cardIn(there).nodes);
  });
});

/** The node of the words of the card: the text in its paragraph. */
function wordsOf(documents: Documents): string {
  const { nodes } = cardIn(documents);
  return Object.keys(nodes).find((id) => nodes[id]!.kind === 'text')!;
}

function wordsIn(node: Resolved | null): string {
  if (!node) return '';
  if (node.kind === 'text') return typeof node.content === 'string' ? node.content : '';
  return node.children.map(wordsIn).join('');
}
