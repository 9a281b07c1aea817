import { clone, generate, List, type CssNode, type Value } from 'css-tree';
import { withSamples, type Refs } from '../placeholders';
import { readSums } from '../sums';
import { lexer } from '../syntax';

/** Longhands with their values. */
export type Longhands = Record<string, string>;

/** One part of a value as it was typed, with what the syntax of the shorthand says that it is. */
export interface Part {
  readonly node: CssNode;
  /** As it is written. */
  readonly text: string;
  /** Types and properties of the syntax that it stands for, the outermost first. */
  readonly is: readonly string[];
}

/**
 * The parts of a shorthand's value with what each of them is, by the value definition of the shorthand (CSS Values and
 * Units 4, 2). The value is one that fits.
 * @param refs what placeholders stand for; each is read as a value of its type
 */
export function partsOf(shorthand: string, value: Value, refs: Refs): Part[] {
  const sampled = new List<CssNode>();
  const samples = new Map<CssNode, CssNode | undefined>();
  value.children.forEach((node) => {
    const alone: Value = { type: 'Value', children: new List<CssNode>().appendData(clone(node)) };
    const read = withSamples(alone, refs);
    if ('unknown' in read) return;
    readSums(read);
    samples.set(node, read.children.first ?? undefined);
    sampled.appendList(read.children);
  });
  const match = lexer.matchProperty(shorthand, { type: 'Value', children: sampled });
  return value.children.toArray().map((node) => {
    const sample = samples.get(node);
    const trace = (sample && match.getTrace(sample)) ?? [];
    return { node, text: generate(node), is: trace.flatMap(({ name }) => name ?? []) };
  });
}

/** Parts between commas. */
export function layersOf(parts: readonly Part[]): Part[][] {
  const layers: Part[][] = [[]];
  for (const part of parts)
    if (part.node.type === 'Operator' && part.text === ',') layers.push([]);
    else layers.at(-1)!.push(part);
  return layers;
}

/** Whether a part is the slash that stands between two values. */
export function isSlash({ node, text }: Part): boolean {
  return node.type === 'Operator' && text === '/';
}

/** Parts between slashes. */
export function slashedOf(parts: readonly Part[]): Part[][] {
  const slashed: Part[][] = [[]];
  for (const part of parts)
    if (isSlash(part)) slashed.push([]);
    else slashed.at(-1)!.push(part);
  return slashed;
}

/** Parts as they are written beside each other. */
export function textOf(parts: readonly Part[]): string {
  return parts.map(({ text }) => text).join(' ');
}
