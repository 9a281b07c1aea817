import { brackenfold } from '@sormet/demo';
import { EXTENSION, readTokens, tokensToTake, writeTokens } from '.';
import { doEdit, isRefusal } from '../edit';
import { documentFindings, newId, sameJson, type Json, type TokensDoc } from '../model';
import { documentsOf } from '../test';

const empty: TokensDoc = { ...documentsOf().tokens, tokens: {} };

function taken(doc: TokensDoc, file: Json): TokensDoc {
  const read = readTokens(file);
  if (!read.ok) throw new Error(JSON.stringify(read.findings));
  const take = tokensToTake(doc, read.tokens, newId);
  if ('refused' in take) throw new Error(take.refused);
  const done = doEdit(documentsOf(doc), {
    name: 'takeTokens',
    args: { tokens: take.tokens, themes: take.themes },
  });
  if (isRefusal(done)) throw new Error(done.refused);
  return done.documents.tokens;
}

const plain = (file: Json): Json =>
  JSON.parse(JSON.stringify(file, (name, value) => (name === '$extensions' ? undefined : value)));

// Design Tokens Format Module 2025.10, examples of 5 (groups), 7 (aliases), 8 and 9 (types); its values from memory.
const EXAMPLE: Json = {
  colour: {
    $type: 'color',
    'majestic magenta': {
      $value: { colorSpace: 'srgb', components: [1, 0, 1], hex: '#ff00ff' },
      $description: 'The main colour',
    },
    translucent: {
      $value: { colorSpace: 'srgb', components: [0, 0, 0], alpha: 0.5, hex: '#000000' },
    },
    action: { $value: '{colour.majestic magenta}' },
  },
  space: { $type: 'dimension', 'spacing-stack-0': { $value: { value: 0.5, unit: 'rem' } } },
  family: {
    $type: 'fontFamily',
    primary: { $value: 'Comic Sans MS' },
    body: { $value: ['Helvetica', 'Arial'] },
  },
  weight: { $type: 'fontWeight', 'font-weight-default': { $value: 350 } },
  'line height': { $type: 'number', 'line-height-large': { $value: 2.3 } },
  border: {
    $type: 'border',
    heavy: {
      $value: {
        color: { colorSpace: 'srgb', components: [0.2, 0.2, 0.2], hex: '#333333' },
        width: { value: 3, unit: 'px' },
        style: 'solid',
      },
    },
  },
  shadow: {
    $type: 'shadow',
    'shadow-token': {
      $value: {
        color: { colorSpace: 'srgb', components: [0, 0, 0], alpha: 0.5, hex: '#000000' },
        offsetX: { value: 0.5, unit: 'rem' },
        offsetY: { value: 0.5, unit: 'rem' },
        blur: { value: 1.5, unit: 'rem' },
        spread: { value: 0, unit: 'px' },
      },
    },
  },
  duration: { $type: 'duration', quick: { $value: { value: 100, unit: 'ms' } } },
  easing: { $type: 'cubicBezier', accelerate: { $value: [0.5, 0, 1, 1] } },
  stroke: { $type: 'strokeStyle', 'focus-ring-style': { $value: 'dashed' } },
};

describe('tokens in the Design Tokens Format Module', () => {
  test('its examples are read, resolved, and written as they were', () => {
    const doc = taken(empty, EXAMPLE);
    expect(documentFindings(doc)).toEqual([]);
    const value = (name: string) =>
      Object.values(doc.tokens).find((each) => each.name === name)!.value;
    expect(value('majestic magenta').css).toBe('#ff00ff');
    expect(Object.values(value('action').refs!)).toEqual([
      expect.objectContaining({
        token: Object.keys(doc.tokens).find((id) => doc.tokens[id]!.name === 'majestic magenta'),
      }),
    ]);
    expect(value('body').css).toBe('Helvetica,Arial');
    expect(value('heavy').css).toBe('3px solid #333333');
    expect(plain(writeTokens(doc))).toEqual(EXAMPLE);
  });

  test('the demo’s tokens and themes come back from a file as they were', () => {
    const { tokens } = brackenfold().documents;
    const back = taken(empty, writeTokens(tokens));
    const byName = (doc: TokensDoc) => {
      const names = (css: Json) =>
        JSON.parse(
          JSON.stringify(css).replace(
            /"token":"([^"]+)"/g,
            (_, id: string) => `"token":"${doc.tokens[id]!.name}"`,
          ),
        );
      return {
        tokens: Object.values(doc.tokens)
          .map(({ name, group, type, value }) => [
            name,
            group,
            type,
            names(value.css),
            Object.values(value.refs ?? {}).length,
          ])
          .sort(),
        themes: Object.values(doc.themes ?? {}).map(({ name, values }) => [
          name,
          Object.entries(values)
            .map(([id, value]) => [doc.tokens[id]!.name, value.css])
            .sort(),
        ]),
      };
    };
    const loose = (value: unknown) =>
      JSON.parse(JSON.stringify(value).replaceAll(/var\(--[a-z0-9]+\)/g, 'var()'));
    expect(loose(byName(back))).toEqual(loose(byName(tokens)));
  });

  test('taking a file in twice changes nothing the second time', () => {
    const once = taken(empty, EXAMPLE);
    expect(sameJson(taken(once, EXAMPLE), once)).toBe(true);
  });

  test.each<[string, Json, string, string]>([
    ['no object', [], '', 'JSON object'],
    ['no type', { a: { $value: 1 } }, '/a', 'no type'],
    [
      'a circle',
      { a: { $type: 'number', $value: '{b}' }, b: { $value: '{a}' } },
      '/a/$value',
      'a → b → a',
    ],
    ['an alias of nothing', { a: { $type: 'number', $value: '{b}' } }, '/a/$value', 'names b'],
    [
      'a wrong unit',
      { a: { $type: 'dimension', $value: { value: 1, unit: 'em' } } },
      '/a/$value/unit',
      'px or rem',
    ],
    ['a number as text', { a: { $type: 'number', $value: '1' } }, '/a/$value', 'JSON number'],
    ['a name with a dot', { 'a.b': { $type: 'number', $value: 1 } }, '/a.b', 'no ., { or }'],
    ['a type nobody knows', { a: { $type: 'flavour', $value: 1 } }, '/a/$type', 'not kept here'],
    [
      'a curve outside',
      { a: { $type: 'cubicBezier', $value: [2, 0, 1, 1] } },
      '/a/$value',
      'between 0 and 1',
    ],
    [
      'no component',
      { a: { $type: 'color', $value: { colorSpace: 'srgb', components: [1] } } },
      '/a/$value/components',
      'three numbers',
    ],
    [
      'something in a token',
      { a: { $type: 'number', $value: 1, b: {} } },
      '/a/b',
      'nothing stands',
    ],
  ])('%s is told where it stands, and nothing is taken', (_, file, path, reason) => {
    const read = readTokens(file);
    if (read.ok) throw new Error('It was read.');
    expect(read.findings.some((each) => each.path === path && each.reason.includes(reason))).toBe(
      true,
    );
  });

  test('what the format cannot hold is kept beside it', () => {
    const { tokens } = brackenfold().documents;
    const file = writeTokens(tokens) as Record<string, Record<string, { $extensions?: Json }>>;
    expect(file['colour']!['brand dark']!.$extensions).toEqual({
      [EXTENSION]: { css: 'color-mix(in oklab,{brand},black 18%)' },
    });
    expect(JSON.stringify(file['colour']!['ink']!.$extensions)).toContain('Night');
  });
});
