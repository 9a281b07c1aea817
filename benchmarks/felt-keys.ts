import type { CDPSession, Page } from '@playwright/test';
import { median, rounded, type Row } from './measure';

/** How many keys are typed at each place; the first ones warm up and are not counted. */
const KEYS = 40;
const WARMING = 10;

/** What one key cost, in ms. */
export interface Felt {
  /** From the key's event to the frame that shows it being presented. */
  readonly presented: number;
  /** The main thread's tasks from the event until the next key, what is done after the frame among them. */
  readonly work: number;
}

/** An event of a trace, as Chromium writes it; times in µs. */
interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly ts: number;
  readonly dur?: number;
  readonly pid: number;
  readonly tid: number;
  readonly id?: string;
  readonly id2?: { readonly local?: string };
  readonly args: Readonly<Record<string, unknown>>;
}

/** As few as tell of events and tasks: tracing costs too. */
const CATEGORIES = ['input', 'toplevel'];

/** Rows of what keys cost at a place, beside what they cost in a field by hand. */
export function rowsOf(what: string, felt: readonly Felt[], hand: readonly Felt[]): Row[] {
  const of = (list: readonly Felt[], member: keyof Felt) =>
    median(list.map((each) => each[member]));
  const row = (part: string, member: keyof Felt): Row => ({
    what: `${what}: ${part}`,
    figure: `${of(felt, member).toFixed(2)} ms`,
    ratio: rounded(of(felt, member) / of(hand, member)),
    reference: `a text field by hand, ${of(hand, member).toFixed(2)} ms`,
    aim: '',
  });
  return [row('to its frame being presented', 'presented'), row('work of the main thread', 'work')];
}

/** Types where the focus is, one key after the other with a rest between, and reads from the trace what each cost. */
export async function typed(page: Page, session: CDPSession, rest = 60): Promise<Felt[]> {
  const events: TraceEvent[] = [];
  const collect = ({ value }: { value: object[] }) => events.push(...(value as TraceEvent[]));
  session.on('Tracing.dataCollected', collect);
  await session.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: { includedCategories: CATEGORIES },
  });
  for (let i = 0; i < KEYS; i += 1) {
    await page.keyboard.press('a');
    await page.waitForTimeout(rest);
  }
  const complete = new Promise((done) => session.once('Tracing.tracingComplete', done));
  await session.send('Tracing.end');
  await complete;
  session.off('Tracing.dataCollected', collect);
  const felt = feltIn(events);
  if (felt.length < KEYS - 1)
    throw new Error(`The trace tells of ${felt.length} keys; ${KEYS} were pressed.`);
  return felt.slice(WARMING);
}

/** What every key that made a text cost, by Chromium's own account of the way from an event to its frame. */
function feltIn(events: readonly TraceEvent[]): Felt[] {
  const tasks = events.filter(
    ({ name, ph }) => ph === 'X' && name === 'ThreadControllerImpl::RunTask',
  );
  const mains = new Set(
    events
      .filter(
        ({ name, args }) =>
          name === 'thread_name' && (args as { name?: string }).name === 'CrRendererMain',
      )
      .map(({ pid, tid }) => `${pid} ${tid}`),
  );
  const ends = events.filter(({ name, ph }) => name === 'EventLatency' && ph === 'e');
  const keys = events
    .filter(({ name, ph }) => name === 'EventLatency' && ph === 'b')
    .filter((event) => typeOf(event) === 'KEY_PRESSED')
    .sort((a, b) => a.ts - b.ts);
  const ofMain = tasks.filter(({ pid, tid }) => mains.has(`${pid} ${tid}`));
  return keys.flatMap((key, i) => {
    // Ids are used again: the end is the first of its id after the beginning.
    const end = Math.min(
      ...ends.filter((each) => keyOf(each) === keyOf(key) && each.ts > key.ts).map(({ ts }) => ts),
    );
    const next = keys[i + 1]?.ts;
    if (end === Infinity || next === undefined) return [];
    const work = ofMain
      .filter(({ ts }) => ts >= key.ts && ts < next)
      .reduce((sum, { dur = 0 }) => sum + dur, 0);
    return [{ presented: (end - key.ts) / 1000, work: work / 1000 }];
  });
}

const keyOf = ({ pid, id, id2 }: TraceEvent) => `${pid} ${id ?? id2?.local ?? ''}`;

function typeOf({ args }: TraceEvent): string | undefined {
  const latency = args['event_latency'] as { event_type?: string } | undefined;
  return latency?.event_type;
}
