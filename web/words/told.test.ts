import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import * as said from '@sormet/core/said';
import { CODES, isSaid, say, type About, type Code, type Said } from '@sormet/core/said';
import { ENGLISH } from './english';
import { sentence, inWords } from './told';

const codes = Object.keys(CODES) as Code[];

/** Something of each kind that a code can be about. */
const TOLD = { text: 'Shed', number: 3, list: ['Shed', 'Mender'] } as const;

function anyOf(code: Code): Said {
  const about = Object.entries(CODES[code]).map(([name, kind]): [string, About] => [
    name,
    TOLD[kind as keyof typeof TOLD],
  ]);
  return about.length === 0 ? { code } : { code, about: Object.fromEntries(about) };
}

test('no code is without words, and no words are without a code', () => {
  expect(Object.keys(ENGLISH).sort()).toEqual([...codes].sort());
});

test('no code is said by two tables', () => {
  const tables = Object.values(said).filter(
    (table) =>
      typeof table === 'object' && table !== CODES && !('type' in table || 'anyOf' in table),
  );
  const all = tables.flatMap((table) => Object.keys(table));
  expect(all.filter((code, i) => all.indexOf(code) !== i)).toEqual([]);
  expect(all).toHaveLength(codes.length);
});

test('no code is unused: each is said somewhere', () => {
  const root = join(import.meta.dirname, '../..');
  const source = ['core', 'server', 'web']
    .flatMap((room) =>
      readdirSync(join(root, room), { recursive: true, encoding: 'utf8' }).map((file) =>
        join(room, file),
      ),
    )
    .filter(
      (file) =>
        /\.tsx?$/.test(file) &&
        !/\.test\.tsx?$|node_modules|^web\/dist|^core\/said\/codes|^web\/words\/english/.test(file),
    )
    .map((file) => readFileSync(join(root, file), 'utf8'))
    .join('\n');
  // Some are put together of a stem and what is meant: `value-`, and what several controls were given.
  const stems = [...source.matchAll(/say\(\s*`([^`]*)`/g)].map(
    ([, stem]) => new RegExp(`^${stem!.replaceAll(/\$\{[^}]*\}/g, '.+')}$`),
  );
  const unused = codes.filter(
    (code) =>
      !source.includes(`'${code}'`) &&
      !source.includes(`: ${code},`) &&
      !stems.some((stem) => stem.test(code)),
  );
  expect(unused).toEqual([]);
});

test('every code makes a whole sentence of what it is about, all of it', () => {
  for (const code of codes) {
    const it = anyOf(code);
    expect([code, isSaid(it)]).toEqual([code, true]);
    const told = sentence(it);
    expect([code, told]).toEqual([code, expect.stringMatching(/^\P{Ll}[^]*[.!?]$/u)]);
    expect([code, told]).not.toEqual([code, expect.stringMatching(/undefined|null|\[object/)]);
  }
});

test('what needs words inside has them, however deep', () => {
  const gone = say('gone', { what: say('the-component') });
  expect(sentence(gone)).toBe('The component is gone; somebody has removed it.');
  const back = say('did-take-back', { what: say('removed-thing', { what: 'Mender' }) });
  expect(inWords(back)).toBe('took back: removed Mender');
  expect(inWords(say('did-again', { what: say('exposed', { what: 'a', component: 'b' }) }))).toBe(
    'did again: exposed a of b',
  );
  expect(
    sentence(say('still-used', { what: 'Card', places: ['/', say('site-settings')], more: 2 })),
  ).toBe('Card is still used in /, the settings of the site and 2 more.');
});

test('what is stored stands there again as it was said, and what a later version says is told to be that', () => {
  fc.assert(
    fc.property(fc.constantFrom(...codes), (code) => {
      const stored: unknown = JSON.parse(JSON.stringify(anyOf(code)));
      expect(isSaid(stored)).toBe(true);
      expect(inWords(stored as Said)).toBe(inWords(anyOf(code)));
    }),
  );
  for (const none of [
    { code: 'constructor' },
    { code: 'gone' },
    { code: 'gone', about: {} },
    null,
    'gone',
  ])
    expect(isSaid(none)).toBe(false);
  for (const odd of [
    { code: 'from-tomorrow' as Code },
    { code: 'still-used', about: { what: '/' } },
  ])
    expect(inWords(odd as Said)).toContain('no words');
});
