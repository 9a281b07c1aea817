import { Environment } from '@marcbachmann/cel-js';
import { readExpression, running } from '@sormet/core/expression';
import { measure, rounded, type Report } from './measure';

const TIMES = 100_000;

/** Conditions as people write them, each beside the same in JavaScript. */
const PLACES: readonly {
  readonly what: string;
  readonly cel: string;
  readonly byHand: (words: string, many: number, wide: boolean) => unknown;
}[] = [
  {
    what: 'a comparison',
    cel: 'many > 3',
    byHand: (_, many) => many > 3,
  },
  {
    what: 'two conditions, either way a text',
    cel: 'wide && many >= 2 ? words : "nobody"',
    byHand: (words, many, wide) => (wide && many >= 2 ? words : 'nobody'),
  },
  {
    what: 'a table of three rows',
    cel: 'words == "one" ? "a" : words.contains("tw") || many > 8 ? "b" : words in ["x", "y"] ? "c" : "d"',
    byHand: (words, many) =>
      words === 'one'
        ? 'a'
        : words.includes('tw') || many > 8
          ? 'b'
          : ['x', 'y'].includes(words)
            ? 'c'
            : 'd',
  },
];

/** What expressions cost, beside the same conditions written in JavaScript. */
export function expressions(): Report {
  const names = ['words', 'many', 'wide'];
  const values = Array.from(
    { length: 64 },
    (_, i) => [['one', 'two', 'x', 'else'][i % 4]!, i % 10, i % 3 === 0] as const,
  );
  let kept: unknown;
  const rows = PLACES.map(({ what, cel, byHand }) => {
    const read = readExpression(cel);
    if (!read.ok) throw new Error(`${cel}: ${read.said.code}`);
    const run = running(read.tree, names);
    const environment = new Environment()
      .registerVariable('words', 'string')
      .registerVariable('many', 'double')
      .registerVariable('wide', 'bool');
    const byPackage = environment.parse(cel.replace(/\b(\d+)\b/g, '$1.0'));
    for (const given of values) {
      const [words, many, wide] = given;
      if (run(given) !== byHand(words, many, wide)) throw new Error(`${cel} differs.`);
    }
    const each = (one: (given: (typeof values)[number]) => unknown) => () => {
      for (let i = 0; i < TIMES; i += 1) kept = one(values[i & 63]!);
    };
    const times = measure([
      { name: 'ours', round: each((given) => run(given)) },
      { name: 'hand', round: each(([words, many, wide]) => byHand(words, many, wide)) },
      { name: 'package', round: each(([words, many, wide]) => byPackage({ words, many, wide })) },
    ]);
    const ours = times.get('ours')!;
    return {
      what: `${what}, against the package’s own evaluator ${rounded(ours / times.get('package')!)}`,
      figure: `${((ours * 1e6) / TIMES).toFixed(0)} ns`,
      ratio: rounded(ours / times.get('hand')!),
      reference: `JavaScript ${((times.get('hand')! * 1e6) / TIMES).toFixed(0)} ns`,
      aim: '≤ 5',
    };
  });
  if (kept === undefined) throw new Error('Nothing was worked out.');
  return { name: 'expressions', about: `${TIMES} evaluations a place`, rows };
}
