import { docOf, text, type ComponentDoc, type Documents } from '../../model';
import { component, documentsOf } from '../../test';
import { differencesOf, doEdit, isRefusal, type NamedEdit } from '..';

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
