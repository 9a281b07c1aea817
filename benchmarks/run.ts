import { app } from './app';
import { behaviour } from './behaviour';
import { canvas } from './canvas';
import { csv } from './csv';
import { entries } from './entries';
import { expressions } from './expressions';
import { printTable, type Report } from './measure';
import { publish } from './publish';
import { reach } from './reach';
import { render } from './render';
import { retype } from './retype';
import { roster } from './roster';
import { size } from './size';
import { strip } from './strip';
import { style } from './style';
import { varied } from './varied';

const BENCHMARKS: Record<string, () => Report | Promise<Report>> = {
  render,
  canvas,
  reach,
  roster,
  retype,
  size,
  publish,
  app,
  style,
  expressions,
  varied,
  strip,
  csv,
  entries,
  behaviour,
};

const args = process.argv.slice(2);
const json = args.includes('--json');
const names = args.filter((arg) => arg !== '--json');
const unknown = names.filter((name) => !Object.hasOwn(BENCHMARKS, name));
if (unknown.length > 0) {
  console.error(
    `There is no benchmark ${unknown.join(', ')}; there are ${Object.keys(BENCHMARKS).join(', ')}.`,
  );
  process.exit(1);
}
if (process.env['NODE_ENV'] !== 'production') {
  console.error('NODE_ENV must be production; “npm run bench” sets it.');
  process.exit(1);
}
const reports: Report[] = [];
for (const name of names.length > 0 ? names : Object.keys(BENCHMARKS)) {
  const report = await BENCHMARKS[name]!();
  reports.push(report);
  if (!json) printTable(report);
}
if (json)
  console.log(JSON.stringify(Object.fromEntries(reports.map((report) => [report.name, report]))));
