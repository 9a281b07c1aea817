import { faultsOf, wrongOf, type Field } from '.';

const field = (more: Partial<Field> = {}): Field => ({
  name: 'it',
  label: 'It',
  type: 'text',
  isRequired: false,
  ...more,
});

describe('a value', () => {
  // HTML Living Standard, 4.10.5.1.5: valid email address; what is none is from memory of its grammar.
  test.each([
    ['ada@example.org', undefined],
    ['a.b+c@d', undefined],
    [' ada@example.org\r\n', undefined],
    ['ada@', 'type'],
    ['ada@-x.org', 'type'],
    ['a b@c.org', 'type'],
    [`a@${'x'.repeat(64)}.org`, 'type'],
  ])('of mail: %j', (value, why) => expect(wrongOf(field({ type: 'email' }), value)).toBe(why));

  test.each([
    ['number', '1e3', {}, undefined],
    ['number', '.5', { step: 'any' }, undefined],
    ['number', '+1', {}, 'type'],
    ['number', '1.', {}, 'type'],
    ['number', '0.3', { step: '0.1' }, undefined],
    ['number', '0.35', { step: '0.1' }, 'step'],
    ['number', '7', { min: '1', step: '3' }, undefined],
    ['number', '8', { min: '1', step: '3' }, 'step'],
    ['number', '11', { max: '10' }, 'above'],
    ['date', '2024-02-29', {}, undefined],
    ['date', '2023-02-29', {}, 'type'],
    ['date', '2026-12-01', { min: '2026-12-02' }, 'below'],
    ['date', '2026-12-09', { min: '2026-12-02', step: '7' }, undefined],
    ['time', '24:00', {}, 'type'],
    ['time', '09:30', {}, undefined],
    ['time', '09:30:01', {}, 'step'],
    ['time', '23:30', { min: '22:00', max: '02:00' }, undefined],
    ['time', '12:00', { min: '22:00', max: '02:00' }, 'above'],
  ] as const)('of a %s: %j with %j', (type, value, more, why) =>
    expect(wrongOf(field({ type, ...more }), value)).toBe(why),
  );

  test('is as long as it is in UTF-16 code units, its lines ending as a script reads them (HTML, 4.10.21.4)', () => {
    expect(wrongOf(field({ type: 'textarea', longest: 3 }), 'a\r\nb')).toBeUndefined();
    expect(wrongOf(field({ longest: 3 }), '😀😀')).toBe('long');
    expect(wrongOf(field({ shortest: 3 }), 'ab')).toBe('short');
    // What is empty is not too short: it is missing, or not.
    expect(wrongOf(field({ shortest: 3 }), '')).toBeUndefined();
  });

  test('matches a pattern as a whole; what is no pattern asks nothing (HTML, 4.10.5.3.6)', () => {
    expect(wrongOf(field({ pattern: 'a|bc' }), 'bc')).toBeUndefined();
    expect(wrongOf(field({ pattern: 'a|bc' }), 'abc')).toBe('pattern');
    expect(wrongOf(field({ pattern: '(' }), 'x')).toBeUndefined();
    expect(wrongOf(field({ pattern: 'a)|(b' }), 'x')).toBeUndefined();
  });
});

test('what must be there is missing: words, a tick, a choice; of several that are chosen from, one is enough', () => {
  const fields = [
    field({ name: 'words', isRequired: true }),
    field({ name: 'tick', type: 'checkbox', isRequired: true, options: ['on'] }),
    field({ name: 'one', type: 'radio', options: ['a'] }),
    field({ name: 'one', type: 'radio', isRequired: true, options: ['b'] }),
    field({ name: 'list', type: 'select', isRequired: true, options: ['', 'x'] }),
    field({ name: 'unseen', type: 'hidden', isRequired: true }),
  ];
  const why = (said: Record<string, string[]>) =>
    faultsOf(fields, new Map(Object.entries(said))).map((fault) => [fault.field.name, fault.why]);
  expect(why({})).toEqual([
    ['words', 'missing'],
    ['tick', 'missing'],
    ['one', 'missing'],
    ['list', 'missing'],
  ]);
  expect(why({ words: ['w'], tick: ['on'], one: ['a'], list: ['x'] })).toEqual([]);
  // What nobody could choose was made by no browser.
  expect(why({ words: ['w'], tick: ['yes'], one: ['c'], list: ['y'] })).toEqual([
    ['tick', 'missing'],
    ['one', 'option'],
    ['list', 'option'],
  ]);
});

test('fields of one name are asked each by itself, in their order', () => {
  const fields = [field({ isRequired: true }), field({ type: 'email' })];
  expect(faultsOf(fields, new Map([['it', ['a', 'b']]])).map(({ why }) => why)).toEqual(['type']);
  expect(faultsOf(fields, new Map([['it', ['', 'b@c']]])).map(({ why }) => why)).toEqual([
    'missing',
  ]);
});
