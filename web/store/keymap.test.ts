import {
  DEFAULT_KEYMAP,
  doneBy,
  keptKeymap,
  keyFor,
  SINGLE_KEYS,
  withKey,
  type Keymap,
} from './keymap';

const changed = (result: ReturnType<typeof withKey>): Keymap => {
  if ('reason' in result) throw new Error(result.reason);
  return result.keymap;
};

test('every single key does one thing', () => {
  expect(new Set(SINGLE_KEYS.map(({ key }) => key)).size).toBe(SINGLE_KEYS.length);
  for (const { does, key } of SINGLE_KEYS) expect(doneBy(DEFAULT_KEYMAP, key)).toBe(does);
});

test('turned off, none does anything', () => {
  for (const { key } of SINGLE_KEYS)
    expect(doneBy({ ...DEFAULT_KEYMAP, on: false }, key)).toBeUndefined();
});

test('a key is changed: the new one does it, the old one nothing', () => {
  const keymap = changed(withKey(DEFAULT_KEYMAP, 'go', 'q'));
  expect([doneBy(keymap, 'q'), doneBy(keymap, 'g'), keyFor(keymap, 'go')]).toEqual([
    'go',
    undefined,
    'q',
  ]);
  expect(changed(withKey(keymap, 'go', 'g'))).toEqual(DEFAULT_KEYMAP);
});

test.each([
  ['b', 'is the key of'],
  ['', 'one letter'],
  ['ab', 'one letter'],
  [' ', 'one letter'],
])('%j cannot be the key of the go line', (key, reason) => {
  expect(withKey(DEFAULT_KEYMAP, 'go', key)).toMatchObject({
    reason: expect.stringContaining(reason) as string,
  });
});

test('what a browser keeps is read again, and only what can be', () => {
  const keep = (value: string) =>
    Object.defineProperty(globalThis, 'localStorage', {
      value: { getItem: () => value },
      configurable: true,
    });
  keep('{"on":false,"changed":{"go":"q","beside":"q","constructor":"z"}}');
  expect(keptKeymap()).toEqual({ on: false, changed: { go: 'q' } });
  keep('{"on":');
  expect(keptKeymap()).toEqual(DEFAULT_KEYMAP);
});
