import { brackenfold } from '@sormet/demo';
import { EXTENSION, readTokens, tokensToTake, writeTokens } from '.';
import { doEdit, isRefusal } from '../edit';
import {
  allOf,
  documentFindings,
  newId,
  sameJson,
  type Documents,
  type Json,
  type TokensDoc,
} from '../model';
import { saidText } from '../said';
import { documentsOf } from '../test';

const empty = documentsOf({ ...documentsOf().tokens, tokens: {} });

function taken(documents: Documents, file: Json): Documents {
  const read = readTokens(file);
  if (!read.ok) throw new Error(JSON.stringify(read.findings));
  const take = tokensToTake(documents, read, newId);
  expect(take.left).toEqual([]);
  const { tokens, themes, styles } = take;
  const done = doEdit(documents, {
    name: 'takeTokens',
    args: { tokens, themes, styles: [...styles] },
  });
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  return done.documents;
}

const writtenOf = (documents: Documents): Json =>
  plain(writeTokens(documents.tokens, allOf(documents, 'style')));

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
    'of aliases': {
      $value: {
        color: '{colour.action}',
        width: '{space.spacing-stack-0}',
        style: '{stroke.focus-ring-style}',
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
    layered: {
      $value: [0, 1].map((y) => ({
        color: '{colour.translucent}',
        offsetX: { value: 0, unit: 'px' },
        offsetY: { value: y, unit: 'px' },
        blur: '{space.spacing-stack-0}',
        spread: { value: 0, unit: 'px' },
        inset: true,
      })),
    },
  },
  duration: { $type: 'duration', quick: { $value: { value: 100, unit: 'ms' } } },
  easing: { $type: 'cubicBezier', accelerate: { $value: [0.5, 0, 1, 1] } },
  stroke: { $type: 'strokeStyle', 'focus-ring-style': { $value: 'dashed' } },
  gradient: {
    $type: 'gradient',
    'blue-to-red': {
      $value: [
        { color: { colorSpace: 'srgb', components: [0, 0, 1], hex: '#0000ff' }, position: 0 },
        { color: { colorSpace: 'srgb', components: [1, 0, 0], hex: '#ff0000' }, position: 1 },
      ],
    },
    'mostly-magenta': {
      $value: [
        { color: '{colour.majestic magenta}', position: 0 },
        { color: '{colour.action}', position: 0.666 },
      ],
    },
  },
  typography: {
    $type: 'typography',
    'type styles heading-level-1': {
      $value: {
        fontFamily: '{family.primary}',
        fontSize: '{space.spacing-stack-0}',
        fontWeight: 700,
        letterSpacing: { value: 0.1, unit: 'px' },
        lineHeight: 1.2,
      },
    },
  },
  transition: {
    $type: 'transition',
    emphasis: {
      $value: {
        duration: { value: 200, unit: 'ms' },
        delay: { value: 0, unit: 'ms' },
        timingFunction: '{easing.accelerate}',
      },
    },
  },
};

describe('tokens in the Design Tokens Format Module', () => {
  test('its examples are read, resolved, and written as they were', () => {
    const documents = taken(empty, EXAMPLE);
    const doc = documents.tokens;
    expect([doc, ...allOf(documents, 'style')].flatMap(documentFindings)).toEqual([]);
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
    expect(value('mostly-magenta').css).toMatch(
      /^linear-gradient\(var\(--\w+\) 0%,var\(--\w+\) 66.6%\)$/,
    );
    const style = (name: string) => allOf(documents, 'style').find((each) => each.name === name)!;
    expect(style('emphasis').style['transition-duration']).toEqual({ css: '200ms' });
    expect(Object.keys(style('type styles heading-level-1').style)).toHaveLength(5);
    expect(writtenOf(documents)).toEqual(EXAMPLE);
  });

  test('the demo’s tokens and themes come back from a file as they were', () => {
    const { tokens } = brackenfold().documents;
    const back = taken(empty, writeTokens(tokens)).tokens;
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
    expect(writtenOf(taken(once, EXAMPLE))).toEqual(writtenOf(once));
    expect(sameJson(taken(once, EXAMPLE).tokens, once.tokens)).toBe(true);
  });

  // Design Tokens Format Module 2025.10, 6.4 (extending groups), its example; from memory.
  test('a group that extends another has what that one has, and what it says itself instead', () => {
    const color = (hex: string): Json => ({
      $value: {
        colorSpace: 'srgb',
        components: [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16) / 255),
      },
    });
    const file: Json = {
      button: { $type: 'color', background: color('#0066cc'), text: { on: color('#ffffff') } },
      'button-primary': {
        $extends: '{button}',
        background: color('#cc0066'),
        border: color('#990044'),
      },
      third: { $extends: '#/button-primary', text: { off: color('#808080') } },
    };
    const read = readTokens(file);
    if (!read.ok) throw new Error(JSON.stringify(read.findings));
    expect(Object.fromEntries(read.tokens.map(({ path, css }) => [path.join('.'), css]))).toEqual({
      'button.background': '#0066cc',
      'button.text.on': '#ffffff',
      'button-primary.background': '#cc0066',
      'button-primary.text.on': '#ffffff',
      'button-primary.border': '#990044',
      'third.background': '#cc0066',
      'third.text.on': '#ffffff',
      'third.text.off': '#808080',
      'third.border': '#990044',
    });
  });

  test('an alias of a whole composite token declares what that one declares', () => {
    const transition = (EXAMPLE as Record<string, Json>)['transition'] as Record<string, Json>;
    const easing = (EXAMPLE as Record<string, Json>)['easing']!;
    const file: Json = { easing, transition, again: { $value: '{transition.emphasis}' } };
    const read = readTokens(file);
    if (!read.ok) throw new Error(JSON.stringify(read.findings));
    expect(read.styles.map(({ name }) => name)).toEqual(['emphasis', 'again']);
    expect(read.styles[1]!.declares).toEqual(read.styles[0]!.declares);
  });

  test.each<[string, Json, string, string]>([
    ['no object', [], '', 'tokens-file-object'],
    ['no type', { a: { $value: [] } }, '/a', 'has-no-type'],
    [
      'a circle',
      { a: { $type: 'number', $value: '{b}' }, b: { $value: '{a}' } },
      '/a/$value',
      'made-from-itself',
    ],
    [
      'an alias of nothing',
      { a: { $type: 'number', $value: '{b}' } },
      '/a/$value',
      'names-not-there',
    ],
    [
      'a wrong unit',
      { a: { $type: 'dimension', $value: { value: 1, unit: 'em' } } },
      '/a/$value/unit',
      'unit-is',
    ],
    [
      'a number as a word',
      { a: { $type: 'number', $value: 'one' } },
      '/a/$value',
      'number-is-json',
    ],
    ['a name with a brace', { 'a}b': { $type: 'number', $value: 1 } }, '/a}b', 'name-signs'],
    [
      'a type nobody knows',
      { a: { $type: 'flavour', $value: 'sweet' } },
      '/a/$type',
      'type-not-kept',
    ],
    [
      'a curve outside',
      { a: { $type: 'cubicBezier', $value: [2, 0, 1, 1] } },
      '/a/$value',
      'curve-range',
    ],
    [
      'no component',
      { a: { $type: 'color', $value: { colorSpace: 'srgb', components: [1] } } },
      '/a/$value/components',
      'three-numbers',
    ],
    ['a group that is not there', { a: { $extends: '{b}' } }, '/a/$extends', 'names-not-there'],
    [
      'groups that extend each other',
      { a: { $extends: '{b}' }, b: { $extends: '{a}' } },
      '/a/$extends',
      'group-of-itself',
    ],
    [
      'a group that extends what it stands in',
      { a: { b: { $extends: '{a}' } } },
      '/a/b/$extends',
      'group-of-itself',
    ],
    [
      'a text style that says nothing',
      { a: { $type: 'typography', $value: { voice: 'low' } } },
      '/a/$value',
      'object-with',
    ],
    [
      'a part that names nothing',
      {
        a: {
          $type: 'transition',
          $value: {
            duration: '{none}',
            delay: { value: 0, unit: 'ms' },
            timingFunction: [0, 0, 1, 1],
          },
        },
      },
      '/a/$value/duration',
      'names-not-there',
    ],
    [
      'a gradient of one colour',
      { a: { $type: 'gradient', $value: [] } },
      '/a/$value',
      'gradient-list',
    ],
  ])('%s is told where it stands, and nothing is taken', (_, file, path, reason) => {
    const read = readTokens(file);
    if (read.ok) throw new Error('It was read.');
    expect(read.findings.some((each) => each.path === path && each.reason.code === reason)).toBe(
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

describe('a file made to be slow', () => {
  test('groups that extend each other twice at every level are read once each', () => {
    const file: Record<string, unknown> = {
      g0: { a: { $type: 'number', $value: 1 }, b: { $type: 'number', $value: 2 } },
    };
    for (let i = 1; i <= 28; i += 1)
      file[`g${i}`] = { x: { $extends: `{g${i - 1}}` }, y: { $extends: `{g${i - 1}}` } };
    // 2^28 tokens would stand in the last: that is told, and nothing is put together on the way.
    const read = readTokens(file as never);
    expect(read).toMatchObject({ ok: false });
    expect(JSON.stringify(read)).toContain('too-many-members');
  });

  test('thousands of groups in each other are refused, and overflow nothing', () => {
    let group: Record<string, unknown> = { a: { $type: 'number', $value: 1 } };
    for (let i = 0; i < 3000; i += 1) group = { g: group };
    expect(readTokens(group as never)).toMatchObject({
      ok: false,
      findings: [{ reason: { code: 'groups-too-deep' } }],
    });
  });
});
