import fc from 'fast-check';
import { literal, text } from '../model';
import {
  checked,
  Failure,
  readExpression,
  running,
  shownWith,
  tableOf,
  typedWith,
  writeTable,
  type Cell,
  type Comparison,
  type ExpressionName,
  type Gives,
  type Table,
} from '.';

const NAMES: Readonly<Record<string, Gives>> = {
  words: { of: 'text' },
  many: { of: 'number' },
  wide: { of: 'boolean' },
  day: { of: 'date' },
};

function gives(cel: string, values: Readonly<Record<string, unknown>> = {}): unknown {
  const read = readExpression(cel);
  if (!read.ok) throw new Error(`${cel}: ${read.said.code}`);
  const check = checked(read.tree, (name) => NAMES[name]);
  if (!check.ok) throw new Error(`${cel}: ${check.faults[0]!.said.code}`);
  const names = Object.keys(NAMES);
  const result = running(read.tree, names)(names.map((name) => values[name] ?? null));
  return result instanceof Failure ? 'fails' : result;
}

function fault(cel: string): { code: string; at: string } {
  const read = readExpression(cel);
  const found = read.ok ? checked(read.tree, (name) => NAMES[name]) : { ok: false, faults: [read] };
  if (found.ok || !('faults' in found)) throw new Error(`${cel} fits`);
  const { said, start, end } = found.faults[0] as {
    said: { code: string };
    start: number;
    end: number;
  };
  return { code: said.code, at: cel.slice(start, end) };
}

describe('what is empty', () => {
  test('is asked about, and fails whatever reckons with it', () => {
    expect(gives('empty(words)')).toBe(true);
    expect(gives('empty(words)', { words: 'x' })).toBe(false);
    expect(gives('words + "!"')).toBe('fails');
    expect(gives('many > 2')).toBe('fails');
    expect(gives('many == 2')).toBe(false);
    expect(gives('empty(words) ? "nobody" : words')).toBe('nobody');
  });

  test('does not matter where the other side decides', () => {
    expect(gives('many > 2 || wide', { wide: true })).toBe(true);
    expect(gives('many > 2 && wide', { wide: false })).toBe(false);
    expect(gives('many > 2 && wide', { wide: true })).toBe('fails');
  });
});

describe('what does not fit together', () => {
  test.each([
    ['words + many', 'operator-takes', 'words + many'],
    ['wide ? 1 : "a"', 'both-ways-the-same', '"a"'],
    ['words.contains(many)', 'function-takes', 'words.contains(many)'],
    ['many ? 1 : 2', 'must-give', 'many'],
    ['words == many', 'never-equal', 'words == many'],
    ['colour == 1', 'nothing-so-named', 'colour'],
    ['words.loud()', 'no-such-function', 'words.loud()'],
    ['day < words', 'operator-takes', 'day < words'],
    ['words in [1, 2]', 'operator-takes', 'words in [1, 2]'],
    ['words ==', 'expression-stops', ''],
    ['words many', 'does-not-go-on', 'many'],
    ['"abc', 'text-not-closed', '"abc'],
    ['words[0]', 'not-in-expressions', 'words[0]'],
    ['{"a": 1}', 'not-in-expressions', '{"a": 1}'],
  ])('%s is told at its place', (cel, code, at) => {
    expect(fault(cel)).toEqual({ code, at });
  });

  test('an odd character, a long text and one that nests deeply are told and nothing more', () => {
    expect(fault('words == “x”').code).toBe('does-not-go-on');
    expect(readExpression('1+'.repeat(1500) + '1')).toMatchObject({ ok: false });
    expect(readExpression('('.repeat(900) + '1' + ')'.repeat(900))).toMatchObject({ ok: false });
  });
});

test('texts are compared by code points, not by halves of them', () => {
  // U+1F600 is beyond U+FF5E, though its first half in UTF-16 is not.
  expect(gives('"\u{1F600}" > "\uFF5E"')).toBe(true);
  expect(gives('size("\u{1F600}")')).toBe(1);
});

/** A table made at random, of conditions that can be asked about the names above. */
const cell: fc.Arbitrary<Cell> = fc.oneof(
  fc.string({ unit: 'grapheme', maxLength: 8 }).map((value): Cell => ({ is: 'literal', value })),
  fc.constant<Cell>({ is: 'name', name: 'words' }),
);
const condition = fc.oneof(
  fc
    .constantFrom<Comparison>('is', 'isNot', 'contains', 'containsNot', 'startsWith', 'endsWith')
    .chain((is) => cell.map((value) => ({ name: 'words', is, values: [value] }))),
  fc
    .constantFrom<Comparison>('less', 'atMost', 'more', 'atLeast', 'is', 'isNot')
    .chain((is) =>
      fc
        .integer({ min: -3, max: 3 })
        .map((value) => ({ name: 'many', is, values: [{ is: 'literal' as const, value }] })),
    ),
  fc
    .constantFrom<Comparison>('oneOf', 'noneOf')
    .chain((is) =>
      fc
        .array(cell, { minLength: 1, maxLength: 3 })
        .map((values) => ({ name: 'words', is, values })),
    ),
  fc.constantFrom<Comparison>('empty', 'notEmpty').map((is) => ({ name: 'words', is, values: [] })),
  fc.constantFrom<Comparison>('yes', 'no').map((is) => ({ name: 'wide', is, values: [] })),
);
const table: fc.Arbitrary<Table> = fc.record({
  rows: fc.array(
    fc.record({
      when: fc.array(fc.array(condition, { minLength: 1, maxLength: 3 }), {
        minLength: 1,
        maxLength: 3,
      }),
      then: cell,
    }),
    { maxLength: 3 },
  ),
  otherwise: cell,
});

/** What a table gives, read row by row, knowing nothing of expressions; `fails` where an empty value is reckoned with. */
function byHand({ rows, otherwise }: Table, given: Readonly<Record<string, unknown>>): unknown {
  const valueOf = (each: Cell) =>
    each.is === 'name' ? (given[each.name] ?? null) : each.is === 'literal' ? each.value : null;
  const holds = ({ name, is, values }: Table['rows'][number]['when'][number][number]): unknown => {
    const held = given[name] ?? null;
    const all = values.map(valueOf);
    const [value] = all;
    if (is === 'is') return held === value;
    if (is === 'isNot') return held !== value;
    if (is === 'empty') return held === null || held === '';
    if (is === 'notEmpty') return !(held === null || held === '');
    if (is === 'oneOf') return all.includes(held as never);
    if (is === 'noneOf') return !all.includes(held as never);
    if (held === null || (value === null && is !== 'yes' && is !== 'no')) return 'fails';
    if (is === 'yes') return held;
    if (is === 'no') return !held;
    if (is === 'less') return (held as number) < (value as number);
    if (is === 'atMost') return (held as number) <= (value as number);
    if (is === 'more') return (held as number) > (value as number);
    if (is === 'atLeast') return (held as number) >= (value as number);
    const [words, part] = [held as string, value as string];
    if (is === 'startsWith') return words.startsWith(part);
    if (is === 'endsWith') return words.endsWith(part);
    return words.includes(part) === (is === 'contains');
  };
  for (const { when, then } of rows) {
    const each = when.map((all) => {
      const results = all.map(holds);
      return results.includes(false) ? false : results.includes('fails') ? 'fails' : true;
    });
    if (each.includes(true)) return valueOf(then);
    if (each.includes('fails')) return 'fails';
  }
  return valueOf(otherwise);
}

const given = fc.record({
  words: fc.option(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 8 })),
  many: fc.option(fc.integer({ min: -3, max: 3 })),
  wide: fc.option(fc.boolean()),
});

test('a table gives as an expression what it gives read row by row, and is read back from it', () => {
  fc.assert(
    fc.property(table, given, (made, values) => {
      const cel = writeTable(made);
      const read = readExpression(cel);
      if (!read.ok) throw new Error(`${cel}: ${read.said.code}`);
      expect(gives(cel, values)).toEqual(byHand(made, values));
      const back = tableOf(read.tree, cel)!;
      expect(writeTable(back)).toBe(cel);
      expect(gives(writeTable(back), values)).toEqual(gives(cel, values));
    }),
    { numRuns: 1500 },
  );
});

test('days stand in a table as days; a name alone is a table of no rows', () => {
  const cel = 'day < date("2026-12-03") ? words : "later"';
  const read = readExpression(cel);
  const made = read.ok ? tableOf(read.tree, cel) : undefined;
  expect(made?.rows[0]!.when).toEqual([
    [{ name: 'day', is: 'less', values: [{ is: 'day', day: '2026-12-03' }] }],
  ]);
  expect(writeTable(made!)).toBe(cel);
  expect(gives(cel, { day: '2026-11-30', words: 'soon' })).toBe('soon');
  expect(gives(cel, { day: '2026-12-03', words: 'soon' })).toBe('later');
  const alone = readExpression('words');
  expect(alone.ok && tableOf(alone.tree, 'words')).toEqual({
    rows: [],
    otherwise: { is: 'name', name: 'words' },
  });
});

test('what cannot be a table is none: sums in conditions, choices within choices', () => {
  for (const cel of ['many + 1 > 2 ? "a" : "b"', '(wide ? many : 2) > 1 ? 1 : 2', 'words + "!"']) {
    const read = readExpression(cel);
    expect(read.ok && tableOf(read.tree, cel)).toBeUndefined();
  }
});

describe('names', () => {
  const names = (tone: string): ExpressionName[] => [
    {
      path: tone,
      label: 'Tone',
      gives: { of: 'choice' },
      source: { is: 'property', property: 'p1' },
    },
    {
      path: `${tone}.quiet`,
      label: 'Tone: quiet',
      gives: { of: 'choice' },
      source: literal({ type: 'choice', value: 'o1' }),
    },
    {
      path: 'page.town',
      label: 'town',
      gives: { of: 'text' },
      source: { is: 'field', from: 'page', path: ['f1'] },
    },
  ];

  test('stand for things by their ids: renaming rewrites nothing, and is shown', () => {
    const typed = typedWith('tone == tone.quiet ? page.town : "elsewhere"', names('tone'));
    if (!typed.ok) throw new Error(typed.faults[0]!.said.code);
    expect(JSON.stringify(typed.source)).not.toContain('tone');
    expect(typed.source.cel).toBe('n0 == n1 ? n2 : "elsewhere"');
    expect(shownWith(typed.source, names('mood'), () => undefined).typed).toBe(
      'mood == mood.quiet ? page.town : "elsewhere"',
    );
  });

  test('what nothing here names keeps its place under a name of its own, and can be typed again', () => {
    const source = { is: 'expression', cel: 'n0 == "x"', names: { n0: text('kept') } } as const;
    const shown = shownWith(source, names('tone'), () => ({
      label: 'kept',
      gives: { of: 'text' },
    }));
    expect(shown.typed).toBe('value1 == "x"');
    const again = typedWith(shown.typed, shown.names);
    expect(again.ok && again.source).toEqual(source);
  });

  test('in texts and in names that begin alike nothing is taken for a name', () => {
    const typed = typedWith('"tone" == page.town', names('tone'));
    expect(typed.ok && typed.source.cel).toBe('"tone" == n0');
    expect(typedWith('tones == tone', names('tone')).ok).toBe(false);
  });
});
