import {
  clone,
  generate,
  parse,
  walk,
  type CssNode,
  type List,
  type ListItem,
  type Value,
} from 'css-tree';
import {
  BORDER_PARTS,
  own,
  type BorderPart,
  type Declared,
  type PlaceholderType,
  type Ref,
} from '../model';

/** What stands in for each placeholder of a value, by its name. */
export type Refs = Readonly<Record<string, Ref>>;

/** A value of each type, to check a declaration with where the real one is known only later. */
const SAMPLES: Record<PlaceholderType, string> = {
  colour: '#012345',
  length: '1px',
  number: '1',
  font: 'serif',
  duration: '1s',
  easing: 'linear',
  shadow: '0 0 1px #012345',
  border: '1px solid #012345',
  line: 'solid',
  gradient: 'linear-gradient(#012345,#543210)',
};

/** Where a picture stands: any image, as CSS checks it. */
const PICTURE_SAMPLE = SAMPLES.gradient;

const PART_SAMPLES: Record<BorderPart, string> = {
  width: '1px',
  style: 'solid',
  color: '#012345',
};

function sampleOf(ref: Ref): string {
  if (ref.type === 'image') return PICTURE_SAMPLE;
  return 'part' in ref && ref.part ? PART_SAMPLES[ref.part] : SAMPLES[ref.type];
}

/** Under which name the part of a border stands that a placeholder stands for. */
export function partName(name: string, part: BorderPart): string {
  return `${name}-${part}`;
}

/** Whether a placeholder stands for a whole border. */
export function isBorder(ref: Ref | undefined): boolean {
  return ref?.type === 'border' && !('part' in ref && ref.part);
}

/** What placeholders stand for, the parts of borders among them. */
export function withParts(refs: Refs): Refs {
  const all: Record<string, Ref> = { ...refs };
  for (const [name, ref] of Object.entries(refs))
    if (isBorder(ref) && 'token' in ref)
      for (const part of BORDER_PARTS) all[partName(name, part)] = { ...ref, part };
  return all;
}

const NAMED = /var\(--([a-z][a-z0-9-]*)\)/g;

/** The name of a placeholder where a node of a value is one: `var(--NAME)` and nothing more. */
export function placeholderIn(node: CssNode): string | undefined {
  if (node.type !== 'Function' || node.name !== 'var') return undefined;
  const [first, ...more] = node.children.toArray();
  return first?.type === 'Identifier' && more.length === 0 ? first.name.slice(2) : undefined;
}

/**
 * A value as it can be checked: every placeholder replaced with a value of its type. @returns the value, or the
 * name that stands for nothing
 */
export function withSamples(value: Value, refs: Refs): Value | { unknown: string } {
  let unknown: string | undefined;
  const copy = clone(value) as Value;
  walk(copy, {
    enter(node: CssNode, item: ListItem<CssNode>, list: List<CssNode>) {
      if (node.type !== 'Function' || node.name.toLowerCase() !== 'var') return;
      const name = placeholderIn(node);
      const ref = name === undefined ? undefined : own(refs, name);
      if (!ref || !list || !item) {
        unknown = generate(node);
        return;
      }
      const sample = parse(sampleOf(ref), { context: 'value' }) as Value;
      // A shadow or a border is several values; they stand in the place of one.
      list.replace(item, sample.children);
    },
  });
  return unknown === undefined ? copy : { unknown };
}

/** The placeholders of those given that some CSS holds. */
export function refsIn(css: string, refs: Refs): Record<string, Ref> | undefined {
  const found: Record<string, Ref> = {};
  for (const [, name] of css.matchAll(NAMED)) {
    const ref = own(refs, name!);
    if (ref) found[name!] = ref;
  }
  return Object.keys(found).length > 0 ? found : undefined;
}

/** A declaration's CSS with every placeholder written as the custom property that a name is given for. */
export function withNames(
  { css, refs }: Declared,
  nameOf: (name: string, ref: Ref) => string,
): string {
  if (!refs) return css;
  return css.replaceAll(NAMED, (whole, name: string) => {
    const ref = own(refs, name);
    return ref ? `var(--${nameOf(name, ref)})` : whole;
  });
}
