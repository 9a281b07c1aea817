import fc from 'fast-check';
import type { DataSource } from 'typeorm';
import {
  FORMAT,
  literal,
  text,
  type Condition,
  type Documents,
  type EntryDoc,
  type Operator,
  type Query,
} from '@sormet/core/model';
import { contentType, documentsOf } from '@sormet/core/test';
import { bareNames, dataOf, runQuery } from '@sormet/core/value';
import { startTestServer, type TestServer } from '../test/test-server';

/**
 * Conditions, groups, order, limit and offset of lists beside the same in SQL: PostgreSQL decides (SQL:2016, 8.2 comparison
 * predicate, 6.39 boolean value expression; NULLS LAST).
 */

let server: TestServer;
let database: DataSource;
beforeAll(async () => {
  server = await startTestServer();
  database = server.database;
});
afterAll(() => server.stop());

interface Row {
  readonly name: string | null;
  readonly size: number | null;
  readonly day: string | null;
}

const WORDS = ['ash', 'elm', 'Oak', 'as', 'larch'];
const row: fc.Arbitrary<Row> = fc.record({
  name: fc.option(fc.constantFrom(...WORDS)),
  size: fc.option(fc.integer({ min: -3, max: 3 })),
  day: fc.option(fc.constantFrom('2026-01-01', '2026-02-01', '2026-02-02')),
});

const FIELDS = { name: 'text', size: 'number', day: 'date' } as const;
type FieldName = keyof typeof FIELDS;

interface Asked {
  readonly field: FieldName;
  readonly is: Operator;
  readonly values: readonly (string | number)[];
  readonly group: 'one' | 'two' | undefined;
}
const values = (field: FieldName): fc.Arbitrary<string | number> =>
  field === 'name'
    ? fc.constantFrom('a', ...WORDS)
    : field === 'size'
      ? fc.integer({ min: -3, max: 3 })
      : fc.constantFrom('2026-01-01', '2026-02-01', '2026-03-01');
const OPERATORS: Readonly<Record<FieldName, readonly Operator[]>> = {
  name: ['equals', 'differs', 'contains', 'empty', 'filled'],
  size: ['equals', 'differs', 'atLeast', 'atMost', 'above', 'below', 'empty', 'filled'],
  day: ['equals', 'differs', 'atLeast', 'atMost', 'above', 'below', 'empty', 'filled'],
};
const asked: fc.Arbitrary<Asked> = fc
  .constantFrom<FieldName>('name', 'size', 'day')
  .chain((field) =>
    fc.record({
      field: fc.constant(field),
      is: fc.constantFrom(...OPERATORS[field]),
      values: fc.array(values(field), { minLength: 1, maxLength: 3 }),
      group: fc.constantFrom(undefined, 'one' as const, 'two' as const),
    }),
  );

const SQL_OF: Partial<Record<Operator, string>> = {
  atLeast: '>=',
  atMost: '<=',
  above: '>',
  below: '<',
};

/** One condition in SQL. */
function sqlOf({ field, is, values: wanted }: Asked, parameters: unknown[]): string {
  const put = (value: unknown) => `$${parameters.push(value)}${field === 'day' ? '::date' : ''}`;
  switch (is) {
    case 'empty':
      return `${field} IS NULL`;
    case 'filled':
      return `${field} IS NOT NULL`;
    case 'equals':
      return `COALESCE(${field} IN (${wanted.map(put).join(',')}), FALSE)`;
    case 'differs':
      return `COALESCE(${field} NOT IN (${wanted.map(put).join(',')}), TRUE)`;
    case 'contains':
      return `COALESCE(${wanted.map((each) => `strpos(lower(${field}), lower(${put(each)})) > 0`).join(' OR ')}, FALSE)`;
    default:
      return `COALESCE(${wanted.map((each) => `${field} ${SQL_OF[is]!} ${put(each)}`).join(' OR ')}, FALSE)`;
  }
}

const cases = fc.record({
  rows: fc.array(row, { maxLength: 12 }),
  conditions: fc.array(asked, { maxLength: 5 }),
  any: fc.boolean(),
  one: fc.constantFrom('all' as const, 'any' as const),
  two: fc.constantFrom('all' as const, 'any' as const),
  /** Whether the second group stands in the first. */
  isNested: fc.boolean(),
  by: fc.constantFrom<FieldName>('size', 'day'),
  descending: fc.boolean(),
  limit: fc.option(fc.nat(5), { nil: undefined }),
  offset: fc.option(fc.nat(3), { nil: undefined }),
});
type Case = typeof cases extends fc.Arbitrary<infer C> ? C : never;

function documentsWith(rows: readonly Row[]): Documents {
  return documentsOf(
    contentType('tree', {
      name: { kind: 'text' },
      size: { kind: 'number' },
      day: { kind: 'date' },
    }),
    ...rows.map((held, i): EntryDoc => ({
      id: idOf(i),
      kind: 'entry',
      format: FORMAT,
      type: 'tree',
      slug: `tree-${i}`,
      draft: false,
      values: Object.fromEntries(
        (Object.keys(FIELDS) as FieldName[]).flatMap((field) =>
          held[field] === null ? [] : [[field, { type: FIELDS[field], value: held[field] }]],
        ),
      ) as EntryDoc['values'],
    })),
  );
}

const idOf = (i: number) => `t${String(i).padStart(3, '0')}`;

function queryOf({
  conditions,
  any,
  one,
  two,
  isNested,
  by,
  descending,
  limit,
  offset,
}: Case): Query {
  const source = (field: FieldName, value: string | number) =>
    literal({ type: FIELDS[field], value } as Parameters<typeof literal>[0]);
  const where = Object.fromEntries(
    conditions.map(({ field, is, values: [first, ...more], group }, i): [string, Condition] => [
      `c${i}`,
      {
        path: [field],
        is,
        source: is === 'empty' || is === 'filled' ? text('') : source(field, first!),
        or: Object.fromEntries(more.map((each, j) => [`o${j}`, source(field, each)])),
        ...(group === undefined ? {} : { group }),
      },
    ]),
  );
  const number = (value: number) => literal({ type: 'number', value });
  return {
    from: { type: 'tree' },
    where,
    groups: { one: { of: one }, two: { of: two, ...(isNested ? { group: 'one' } : {}) } },
    ...(any ? { any: true as const } : {}),
    order: { by: { path: [by], descending, order: 'a0' } },
    ...(limit === undefined ? {} : { limit: number(limit) }),
    ...(offset === undefined ? {} : { offset: number(offset) }),
  };
}

async function inSql(given: Case): Promise<string[]> {
  const { rows, conditions, any, one, two, isNested, by, descending, limit, offset } = given;
  const parameters: unknown[] = [];
  const join = (parts: readonly string[], of: 'all' | 'any') =>
    parts.length === 0 ? [] : [`(${parts.join(of === 'any' ? ' OR ' : ' AND ')})`];
  const own = (group: Asked['group']) =>
    conditions.filter((each) => each.group === group).map((each) => sqlOf(each, parameters));
  const second = join(own('two'), two);
  const first = join([...own('one'), ...(isNested ? second : [])], one);
  const [whole = 'TRUE'] = join(
    [...own(undefined), ...first, ...(isNested ? [] : second)],
    any ? 'any' : 'all',
  );
  const table = rows.length
    ? `VALUES ${rows
        .map(
          (held, i) =>
            `($${parameters.push(idOf(i))}, $${parameters.push(held.name)}::text, $${parameters.push(held.size)}::float8, $${parameters.push(held.day)}::date)`,
        )
        .join(', ')}`
    : `SELECT NULL::text, NULL::text, NULL::float8, NULL::date WHERE FALSE`;
  const found: { id: string }[] = await database.query(
    `SELECT id FROM (${table}) AS trees (id, name, size, day) WHERE ${whole}
     ORDER BY ${by} ${descending ? 'DESC' : 'ASC'} NULLS LAST, id COLLATE "C" ASC
     ${limit === undefined ? '' : `LIMIT ${limit}`} OFFSET ${offset ?? 0}`,
    parameters,
  );
  return found.map(({ id }) => id);
}

test('whatever is asked of whatever entries, lists give what SQL gives', async () => {
  let some = 0;
  await fc.assert(
    fc.asyncProperty(cases, async (given) => {
      const names = bareNames(dataOf(documentsWith(given.rows)));
      const found = runQuery(queryOf(given), names);
      if (typeof found === 'function') throw new Error('nothing here is known later');
      const ids = found.map(({ id }) => id);
      expect(ids).toEqual(await inSql(given));
      if (ids.length > 0 && ids.length < given.rows.length) some += 1;
    }),
    { numRuns: 400 },
  );
  expect(some).toBeGreaterThan(60);
});
