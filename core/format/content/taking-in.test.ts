import fc from 'fast-check';
import { doEdit, isRefusal } from '../../edit';
import { allOf, docOf, type Documents, type EntryDoc, type TypeDoc } from '../../model';
import { saidText } from '../../said';
import { valuesOf } from '../../test/arbitrary-values';
import { demo } from '../../test/law-site';
import { documentsOf, contentType, entry } from '../../test';
import { proposeColumns, waysOf } from './propose';
import { readCsv, type CsvWays } from './read-csv';
import { readJson } from './read-json';
import { planTaking, type Asked, type Plan } from './taking-in';
import { WRITTEN } from './words-of-value';
import { writeCsv, writeJson } from './write-table';
import type { Table } from './table';

const CSV: CsvWays = { delimiter: ',', quote: '"', header: true };

const sheds = documentsOf(
  contentType('shed', {
    name: { kind: 'text' },
    benches: { kind: 'number' },
    opened: { kind: 'date' },
    size: {
      kind: 'choice',
      options: { small: { label: 'Small', order: 'a0' }, large: { label: 'Large', order: 'a1' } },
    },
    keeper: { kind: 'entry', of: 'mender' },
  }),
  contentType('mender', { name: { kind: 'text' } }),
  entry('mender', 'greta', { name: { type: 'text', value: 'Greta Lind' } }),
  entry('shed', 'millgate', {
    name: { type: 'text', value: 'Millgate' },
    benches: { type: 'number', value: 4 },
  }),
);

function planned(documents: Documents, table: Table, asked: Partial<Asked> = {}): Plan {
  const into = asked.into ?? docOf(documents, 'type', 'shed')!;
  const ways = asked.ways ?? waysOf(documents, table);
  const steps = planTaking(documents, table, {
    into,
    ways,
    columns: proposeColumns(documents, table, 'id' in into ? (into as TypeDoc) : undefined, ways),
    matchBy: 'slug',
    makesMissing: false,
    drafts: true,
    left: new Set(),
    mended: new Map(),
    assets: [],
    ...asked,
  });
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

function taken(documents: Documents, { args }: Plan): Documents {
  const done = doEdit(documents, { name: 'takeContent', args });
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  return done.documents;
}

const entriesOf = (documents: Documents, type: string): EntryDoc[] =>
  allOf(documents, 'entry').filter((each) => each.type === type);

describe('a file of sheds', () => {
  const text = [
    'Name,Benches,Opened,Size,Keeper,Telephone',
    'Ash Lane,"1,200",3.12.2026,Large,Greta Lind,0123 456',
    'Elm Row,7,4.12.2026,small,greta,0123 457',
  ].join('\r\n');
  const table = readCsv(text, CSV);

  test('is matched to fields by name; what is no field yet is one of the kind that its cells show', () => {
    expect(waysOf(sheds, table)).toEqual({ decimal: '.', dates: 'dmy' });
    const columns = proposeColumns(sheds, table, docOf(sheds, 'type', 'shed')!, {
      decimal: '.',
      dates: 'dmy',
    });
    expect(columns.map(({ to }) => to)).toEqual([
      'field',
      'field',
      'field',
      'field',
      'field',
      'new',
    ]);
    // What begins with a nought is no number to count with.
    expect(columns[5]).toMatchObject({ field: { label: 'Telephone', type: { kind: 'text' } } });
  });

  test('becomes entries with values of the fields’ kinds, slugs of their own, as drafts; one step', () => {
    const plan = planned(sheds, table);
    expect(plan.rows.map(({ is, line, title }) => [is, line, title])).toEqual([
      ['new', 2, 'Ash Lane'],
      ['new', 3, 'Elm Row'],
    ]);
    const after = taken(sheds, plan);
    const ash = entriesOf(after, 'shed').find(({ slug }) => slug === 'ash-lane')!;
    expect(ash).toMatchObject({
      draft: true,
      values: {
        benches: { type: 'number', value: 1200 },
        opened: { type: 'date', value: '2026-12-03' },
        size: { type: 'choice', value: 'large' },
        keeper: { type: 'entry', value: 'mender-greta' },
      },
    });
  });

  test('faulty rows say line, column and why; mended or left out, the rest comes in', () => {
    const faulty = readCsv(text + '\r\nOak End,many,31.11.2026,Huge,Nobody,x\r\n', CSV);
    const ways = { decimal: '.', dates: 'dmy' } as const;
    const plan = planned(sheds, faulty, { ways });
    expect(plan.rows[2]).toMatchObject({ is: 'faulty', line: 4, title: 'Oak End' });
    expect(plan.rows[2]!.faults.map(({ column, why }) => [column, why.code])).toEqual([
      [1, 'words-no-value'],
      [2, 'words-no-value'],
      [3, 'no-option-called'],
      [4, 'no-entry-called'],
    ]);
    expect(entriesOf(taken(sheds, plan), 'shed')).toHaveLength(3);
    const mended = new Map([
      [
        4,
        new Map([
          [1, '3'],
          [2, '30.11.2026'],
        ]),
      ],
    ]);
    const made = planned(sheds, faulty, { ways, mended, makesMissing: true });
    expect(made.rows[2]).toMatchObject({ is: 'new', faults: [] });
    const after = taken(sheds, made);
    expect(entriesOf(after, 'mender').map(({ slug }) => slug)).toEqual(
      expect.arrayContaining(['greta', 'nobody']),
    );
    const { options } = docOf(after, 'type', 'shed')!.fields['size']!.type as {
      options: Record<string, { label: string }>;
    };
    expect(Object.values(options).map(({ label }) => label)).toEqual(['Small', 'Large', 'Huge']);
    const left = planned(sheds, faulty, { ways, left: new Set([4]) });
    expect(left.rows[2]!.is).toBe('left');
  });

  test('entries are found again by slug or by a field of one alone, and only what is another changes', () => {
    const again = readCsv('slug,Name,Benches\r\nmillgate,Millgate,5\r\n', CSV);
    const plan = planned(sheds, again);
    expect(plan.rows[0]).toMatchObject({ is: 'changed', line: 2 });
    expect(plan.rows[0]!.changes.map(({ field }) => field)).toEqual(['benches']);
    const byName = readCsv('Name,Benches\r\nMILLGATE,4\r\n', CSV);
    expect(planned(sheds, byName, { matchBy: 'name' }).rows[0]).toMatchObject({
      is: 'changed',
      changes: [{ field: 'name' }],
    });
  });

  test('a type is made from it, in the same step', () => {
    const plan = planned(sheds, table, { into: { name: 'Place', plural: 'Places' } });
    const after = taken(sheds, plan);
    const type = docOf(after, 'type', plan.type.id)!;
    expect(type.plural).toBe('Places');
    expect(Object.values(type.fields).map(({ label, type: { kind } }) => [label, kind])).toEqual([
      ['Name', 'text'],
      ['Benches', 'number'],
      ['Opened', 'date'],
      ['Size', 'text'],
      ['Keeper', 'entry'],
      ['Telephone', 'text'],
    ]);
    expect(entriesOf(after, type.id)).toHaveLength(2);
  });
});

/** A type with a field of every kind that content holds, and entries with any values in them. */
const EVERY: TypeDoc = docOf(demo, 'type', 'thing')!;
const anyEntries = fc
  .array(
    fc.record(
      Object.fromEntries(
        Object.keys(EVERY.fields).map((id) => [id, valuesOf(EVERY.fields[id]!.type.kind)]),
      ),
      { requiredKeys: [] },
    ),
    { maxLength: 4 },
  )
  .map((all) =>
    all.map((values, i): EntryDoc => ({
      ...entry('thing', `any-${i}`, {}),
      draft: i % 2 === 0,
      values: values as EntryDoc['values'],
    })),
  );

test.each([
  ['CSV', writeCsv, (text: string) => readCsv(text, CSV)],
  ['JSON', writeJson, readJson],
] as const)(
  'what is written as %s and read back changes nothing, whatever entries hold',
  (_, write, read) => {
    let checked = 0;
    fc.assert(
      fc.property(anyEntries, (entries) => {
        const documents = demo.with(...entries);
        const text = write(documents, EVERY, entries);
        const plan = planned(documents, read(text), { into: EVERY, ways: WRITTEN });
        for (const row of plan.rows) {
          expect([row.line, row.faults]).toEqual([row.line, []]);
          expect([row.is, row.changes]).toEqual(['same', []]);
        }
        checked += plan.rows.length;
      }),
      { numRuns: 150 },
    );
    expect(checked).toBeGreaterThan(100);
  },
);
