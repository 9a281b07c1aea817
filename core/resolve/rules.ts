import { nodeIn, own, rootOf, treeDocOf, type Documents, type StylesDoc } from '../model';
import type { Rule } from '../style';
import type { ResolvedElement } from './resolved';
import type { Within } from './scope';

/**
 * The rules that apply to a resolved element, weakest first: its tag's, its own in its definition, then
 * what each instance says of it whose root it is, from the inside out.
 */
export function rulesOf(element: ResolvedElement, documents: Documents, styles: StylesDoc): Rule[] {
  const rules: Rule[] = [
    {
      origin: { is: 'tag', doc: styles.id, tag: element.tag },
      rank: -1,
      block: own(styles.tags, element.tag) ?? {},
    },
  ];
  const { within } = element.scope;
  rules.push(ruleOf(documents, within.doc, element.from.id, 0));
  let at: Within = within;
  let node = element.from.id;
  let height = 1;
  while (at.parent && at.entry === undefined) {
    const tree = treeDocOf(documents, at.doc);
    if (!tree || rootOf(tree.nodes) !== node) break;
    node = at.node;
    at = at.parent;
    rules.push(ruleOf(documents, at.doc, node, height));
    height += 1;
  }
  return rules;
}

function ruleOf(documents: Documents, doc: string, node: string, height: number): Rule {
  const stored = nodeIn(documents, doc, node);
  const block = stored?.kind === 'element' || stored?.kind === 'instance' ? stored.style : {};
  return { origin: { is: 'node', doc, node }, rank: height, block };
}
