/** One thing that is timed; every round does the same work. */
export interface Timed {
  readonly name: string;
  readonly round: () => void;
}

/** The median of a list of numbers. */
export function median(numbers: readonly number[]): number {
  const sorted = [...numbers].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)]!;
}

/** How many rounds are timed, after as many that are not. */
const ROUNDS = 7;

/** Milliseconds of each thing: medians of seven rounds, interleaved, after seven to warm up. */
export function measure(things: readonly Timed[]): Map<string, number> {
  const times = new Map<string, number[]>(things.map(({ name }) => [name, []]));
  for (let round = 0; round < 2 * ROUNDS; round += 1)
    for (const { name, round: run } of things) {
      const start = performance.now();
      run();
      if (round >= ROUNDS) times.get(name)!.push(performance.now() - start);
    }
  return new Map([...times].map(([name, list]) => [name, median(list)]));
}

/** A row of a benchmark's table: a figure, and its ratio to the reference beside it. */
export interface Row {
  readonly what: string;
  readonly figure: string;
  readonly ratio: number | null;
  readonly reference: string;
  readonly aim: string;
}

export interface Report {
  readonly name: string;
  readonly about: string;
  readonly rows: readonly Row[];
}

/** A ratio with three significant digits. */
export function rounded(ratio: number): number {
  return Number(ratio.toPrecision(3));
}

/** Prints a report as a table that can be read. */
export function printTable({ name, about, rows }: Report): void {
  console.log(`\n${name}: ${about}`);
  const cells = [
    ['what', 'figure', 'ratio', 'reference', 'aim'],
    ...rows.map(({ what, figure, ratio, reference, aim }) => [
      what,
      figure,
      ratio === null ? '' : String(ratio),
      reference,
      aim,
    ]),
  ];
  const widths = cells[0]!.map((_, column) => Math.max(...cells.map((row) => row[column]!.length)));
  for (const row of cells)
    console.log('  ' + row.map((cell, column) => cell.padEnd(widths[column]!)).join('  '));
}
