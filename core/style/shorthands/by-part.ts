import { own } from '../../model';
import { splitAt } from '../split-at';
import { isSlash, layersOf, type Longhands, type Part } from './value';

/** A shorthand of which the parts tell by what they are for which longhand each of them stands. */
export interface ByPart {
  /** The longhands in the order in which they are written, with what each has where the shorthand is silent: its initial value. */
  readonly longhands: Readonly<Longhands>;
  /** The longhands by what the shorthand's syntax calls its parts; several where it calls more than one of them so. */
  readonly parts: Readonly<Record<string, string | readonly string[]>>;
  /** Whether there are layers, parted by commas. */
  readonly isLayered?: true;
  /** A longhand that only the last layer has. */
  readonly onlyInLast?: string;
  /** What the parts are called that stand for all their longhands where there is one of them. */
  readonly forAll?: string;
  /** What has to be written, too, where a longhand is. */
  readonly needs?: Readonly<Record<string, readonly string[]>>;
  /** Longhands before which a slash stands. */
  readonly slashed?: readonly string[];
}

/** The longhands of a value, by what its parts are; nothing where one of them has none. */
export function splitByPart(shorthand: ByPart, parts: readonly Part[]): Longhands | undefined {
  const { longhands, isLayered, onlyInLast } = shorthand;
  const layers = (isLayered ? layersOf(parts) : [parts]).map((layer) => layerOf(shorthand, layer));
  if (layers.some((layer) => layer === undefined)) return undefined;
  return Object.fromEntries(
    Object.entries(longhands).map(([longhand, initial]) => {
      const from = longhand === onlyInLast ? layers.slice(-1) : layers;
      return [longhand, from.map((layer) => layer![longhand] ?? initial).join(',')];
    }),
  );
}

function layerOf({ parts: called, forAll }: ByPart, parts: readonly Part[]): Longhands | undefined {
  const found: Record<string, string> = {};
  const met: Record<string, number> = {};
  let last = '';
  for (const part of parts) {
    if (isSlash(part)) continue;
    // The names of a list of fonts are one value, commas and all.
    if (part.text === ',' && last !== '') {
      found[last] += ',';
      continue;
    }
    const name = part.is.find((each) => own(called, each) !== undefined);
    if (name === undefined) return undefined;
    const of = [called[name]!].flat();
    const longhand = of[Math.min(met[name] ?? 0, of.length - 1)]!;
    met[name] = (met[name] ?? 0) + 1;
    const before = own(found, longhand);
    if (before === undefined) found[longhand] = part.text;
    else if (last !== longhand) return undefined;
    else found[longhand] = before + (before.endsWith(',') ? '' : ' ') + part.text;
    last = longhand;
  }
  if (forAll !== undefined && met[forAll] === 1) {
    const [first, ...others] = [called[forAll]!].flat();
    for (const other of others) found[other] ??= found[first!]!;
  }
  return found;
}

/**
 * One value for the longhands, without what is initial; it is for the caller to look whether it says the same. The
 * opposite of `splitByPart`.
 */
export function joinByPart(
  { longhands, isLayered, onlyInLast, needs = {}, slashed = [] }: ByPart,
  values: Readonly<Longhands>,
): string {
  const names = Object.keys(longhands);
  const layersIn = (name: string) =>
    isLayered && name !== onlyInLast ? splitAt(values[name]!, ',') : [values[name]!];
  const many = Math.max(...names.map((name) => layersIn(name).length));
  return Array.from({ length: many }, (_, at) => {
    const valueOf = (name: string) => {
      if (name === onlyInLast && at < many - 1) return longhands[name]!;
      const layers = layersIn(name);
      return layers[at % layers.length]!;
    };
    const isSaid = (name: string) => valueOf(name) !== longhands[name];
    const said = names.filter(
      (name) => isSaid(name) || names.some((by) => isSaid(by) && own(needs, by)?.includes(name)),
    );
    const words = said.flatMap((name) =>
      slashed.includes(name) ? ['/', valueOf(name)] : [valueOf(name)],
    );
    return words.join(' ') || longhands[names[0]!]!;
  }).join(', ');
}
