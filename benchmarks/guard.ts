import { timesEta } from './render';

/**
 * Part of `npm test`: writing pages stays this many times as fast as precompiled eta, the best of three measurements.
 * Both run interleaved in one process, so what else the machine does slows both.
 */
const LEAST = 1.4;

const ratios: number[] = [];
while (ratios.length < 3 && !(ratios.at(-1)! >= LEAST)) ratios.push(timesEta());
const best = Math.max(...ratios);
console.log(
  `Writing pages is ${ratios.map((ratio) => ratio.toFixed(2)).join(', ')} times as fast as eta; at least ${LEAST} is wanted.`,
);
if (best < LEAST) {
  console.error('Writing pages has become slower: see docs/how-fast-it-is.md.');
  process.exit(1);
}
