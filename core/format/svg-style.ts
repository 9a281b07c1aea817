import { generate, parse, walk, type CssNode, type Rule } from 'css-tree';
import type { DrawnElement } from './drawn-element';

/** What is said of an element, by property of SVG, as it is written. */
export type SaidOf = (element: DrawnElement) => Readonly<Record<string, string>>;

/** A rule of a style sheet in a drawing, with one of its selectors. */
interface StyleRule {
  readonly matches: (element: DrawnElement) => boolean;
  /** How closely it names what it is of (Selectors 4, 17): ids, classes, tags. */
  readonly specificity: readonly [number, number, number];
  readonly said: Readonly<Record<string, string>>;
}

/**
 * What a drawing says of each of its elements: by attributes, over those by its own style sheets, over those in its style
 * attribute (SVG 2, 6.6). Style sheets are read as far as they name elements by tag, class and id; what else they say
 * is left out.
 */
export function styleOf(root: DrawnElement): SaidOf {
  const rules = sheetsIn(root).flatMap(rulesOf);
  return (element) => {
    const matched = rules
      .filter(({ matches }) => matches(element))
      // Of rules that name it as closely, the later one wins: sorting keeps their order.
      .sort((a, b) => compare(a.specificity, b.specificity));
    const own = declarationsIn(element.attributes['style'] ?? '');
    return Object.assign({}, element.attributes, ...matched.map(({ said }) => said), own) as Record<
      string,
      string
    >;
  };
}

function sheetsIn({ tag, text, children }: DrawnElement, depth = 0): string[] {
  if (tag === 'style') return text === undefined ? [] : [text];
  return depth > 100 ? [] : children.flatMap((child) => sheetsIn(child, depth + 1));
}

function compare(a: StyleRule['specificity'], b: StyleRule['specificity']): number {
  return a[0] - b[0] || a[1] - b[1] || a[2] - b[2];
}

function declarationsIn(css: string): Record<string, string> {
  const said: Record<string, string> = {};
  walk(parse(css, { context: 'declarationList', onParseError: () => undefined }), (node) => {
    if (node.type === 'Declaration') said[node.property] = generate(node.value);
  });
  return said;
}

function rulesOf(sheet: string): StyleRule[] {
  const rules: StyleRule[] = [];
  const tree = parse(sheet, { onParseError: () => undefined });
  if (tree.type !== 'StyleSheet') return rules;
  // What stands in a condition, as in a media query, is not for a drawing of one size.
  tree.children.forEach((node) => {
    if (node.type === 'Rule') rules.push(...rulesIn(node));
  });
  return rules;
}

function rulesIn({ prelude, block }: Rule): StyleRule[] {
  if (prelude.type !== 'SelectorList') return [];
  const said: Record<string, string> = {};
  block.children.forEach((node) => {
    if (node.type === 'Declaration') said[node.property] = generate(node.value);
  });
  return prelude.children.toArray().flatMap((selector) => {
    const parts = selector.type === 'Selector' ? selector.children.toArray() : [];
    const tests = parts.map(testOf);
    return parts.length === 0 || tests.some((test) => test === undefined)
      ? []
      : [
          {
            matches: (element: DrawnElement) => tests.every((test) => test!(element)),
            specificity: [
              parts.filter(({ type }) => type === 'IdSelector').length,
              parts.filter(({ type }) => type === 'ClassSelector').length,
              parts.filter((part) => part.type === 'TypeSelector' && part.name !== '*').length,
            ] as const,
            said,
          },
        ];
  });
}

function testOf(part: CssNode): ((element: DrawnElement) => boolean) | undefined {
  switch (part.type) {
    case 'TypeSelector':
      return ({ tag }) => part.name === '*' || part.name === tag;
    case 'ClassSelector':
      return ({ attributes }) => (attributes['class'] ?? '').split(/\s+/).includes(part.name);
    case 'IdSelector':
      return ({ attributes }) => attributes['id'] === part.name;
    default:
      return undefined;
  }
}
