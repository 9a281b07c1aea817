import Papa from 'papaparse';
import {
  planTaking,
  proposeColumns,
  readCsv,
  waysOf,
  type CsvWays,
  type Plan,
} from '@sormet/core/format';
import { newId } from '@sormet/core/model';
import { median, rounded, type Report } from './measure';
import { PlacedSite } from './placed-site';

const ROWS = 10_000;
const COLUMNS = 12;
const ROUNDS = 3;

const CSV: CsvWays = { delimiter: ',', quote: '"', header: true };

/** 10,000 rows of twelve columns: words, numbers, days, yes or no. */
function fileOf(round: number): string {
  const names = Array.from({ length: COLUMNS }, (_, i) => `Column ${i + 1}`);
  const cell = (row: number, i: number): string => {
    if (i === 0) return `Entry ${round} ${row}`;
    if (i % 4 === 1) return String(row * i);
    if (i % 4 === 2) return `20${10 + (row % 20)}-0${1 + (row % 9)}-1${row % 10}`;
    return i % 4 === 3 ? (row % 2 === 0 ? 'yes' : 'no') : `words of ${row}, and "more" of them`;
  };
  const rows = Array.from({ length: ROWS }, (_, row) => names.map((__, i) => cell(row, i)));
  return Papa.unparse([names, ...rows], { newline: '\r\n' });
}

/** A file taken in, from its text to the answer of the server; beside papaparse and the same rows inserted bare. */
export async function csv(): Promise<Report> {
  const site = await PlacedSite.make(1, 1);
  try {
    const read: number[] = [];
    const sent: number[] = [];
    const parsed: number[] = [];
    const bare: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) {
      const text = fileOf(round);
      let start = performance.now();
      const plan = planned(site, text);
      read.push(performance.now() - start);
      sent.push(await site.send({ name: 'takeContent', args: plan.args }));
      start = performance.now();
      Papa.parse(text, { delimiter: ',', header: true });
      parsed.push(performance.now() - start);
      bare.push(await bareInsert(site, plan));
    }
    const ours = median(read) + median(sent);
    const reference = median(parsed) + median(bare);
    return {
      name: 'csv',
      about: `${ROWS} rows of ${COLUMNS} columns`,
      rows: [
        {
          what: 'taken in: read, matched, checked, stored with its history',
          figure: `${ours.toFixed(0)} ms`,
          ratio: rounded(ours / reference),
          reference: `papaparse and the same rows inserted bare, ${reference.toFixed(0)} ms`,
          aim: '3',
        },
        {
          what: 'of that: read, matched and checked row by row',
          figure: `${median(read).toFixed(0)} ms`,
          ratio: rounded(median(read) / median(parsed)),
          reference: `papaparse, ${median(parsed).toFixed(0)} ms`,
          aim: '',
        },
        {
          what: 'of that: sent and stored as one edit',
          figure: `${median(sent).toFixed(0)} ms`,
          ratio: rounded(median(sent) / median(bare)),
          reference: `one INSERT of the same documents, ${median(bare).toFixed(0)} ms`,
          aim: '',
        },
      ],
    };
  } finally {
    await site.remove();
  }
}

function planned({ documents }: PlacedSite, text: string): Plan {
  const table = readCsv(text, CSV);
  const ways = waysOf(documents, table);
  const steps = planTaking(documents, table, {
    into: { name: 'Row', plural: `Rows ${newId()}` },
    columns: proposeColumns(documents, table, undefined, ways),
    ways,
    matchBy: null,
    makesMissing: false,
    drafts: true,
    left: new Set(),
    mended: new Map(),
    assets: [],
  });
  for (;;) {
    const step = steps.next();
    if (!step.done) continue;
    if (step.value.args.entries.length !== ROWS) throw new Error('Not every row was taken.');
    return step.value;
  }
}

function bareInsert(site: PlacedSite, { args }: Plan): Promise<number> {
  const bodies = args.entries.map((entry) => JSON.stringify(entry));
  return site.inDatabase(async (client) => {
    await client.query(
      'CREATE TABLE IF NOT EXISTS bare (id text PRIMARY KEY, body jsonb NOT NULL)',
    );
    await client.query('TRUNCATE bare');
    const start = performance.now();
    await client.query(
      'INSERT INTO bare SELECT given.id, given.body::jsonb FROM unnest($1::text[], $2::text[]) AS given (id, body)',
      [args.entries.map(({ id }) => id), bodies],
    );
    return performance.now() - start;
  });
}
