import {
  nodeIn,
  own,
  treeDocOf,
  type Documents,
  type NodeId,
  type Source,
  type TreeNode,
} from '../model';
import type { Within } from './scope';

/** Which of a node's sources: its text, whether it is shown, an attribute, or an instance's value. */
export type Control =
  | { of: 'text' }
  | { of: 'shown' }
  | { of: 'attribute'; name: string }
  | { of: 'value'; property: string };

/** One step on the way from what shows to where it comes from. */
export interface Step {
  readonly doc: string;
  readonly node: NodeId;
  readonly source: Source;
  /** How this step was reached: the control itself, what an instance sets, or a property's default. */
  readonly by: 'control' | 'set' | 'default';
  readonly property?: string;
}

/** The source that a control holds, when it holds one. */
export function sourceAt(node: TreeNode, control: Control): Source | undefined {
  switch (control.of) {
    case 'text':
      return node.kind === 'text' ? node.text : undefined;
    case 'shown':
      return node.kind === 'slot' || node.kind === 'repeat' ? undefined : node.shown;
    case 'attribute':
      return node.kind === 'element' ? own(node.attributes, control.name) : undefined;
    case 'value':
      return node.kind === 'instance' ? own(node.values, control.property) : undefined;
  }
}

/**
 * Where a value comes from, step by step: the control, then for each property it reads what the
 * instance around sets, or the default. Ends at a literal, a field, or where nothing is set.
 */
export function trace(
  documents: Documents,
  within: Within,
  node: NodeId,
  control: Control,
): Step[] {
  const steps: Step[] = [];
  const stored = nodeIn(documents, within.doc, node);
  const held = stored && sourceAt(stored, control);
  if (!held) return steps;
  let source: Source = held;
  steps.push({ doc: within.doc, node, source, by: 'control' });
  let at: Within | null = within;
  while (at && source.is === 'property') {
    const property: string = source.property;
    const component = treeDocOf(documents, at.doc);
    let instance: Within = at;
    // Rounds of a repeat inside the definition stand between the node and its instance.
    while (instance.entry !== undefined && instance.parent) instance = instance.parent;
    const outer = instance.parent;
    const placed = outer && nodeIn(documents, outer.doc, instance.node);
    const set: Source | undefined =
      placed?.kind === 'instance' ? own(placed.values, property) : undefined;
    if (set && outer) {
      source = set;
      steps.push({ doc: outer.doc, node: instance.node, source, by: 'set', property });
      at = outer;
      continue;
    }
    const byDefault =
      component?.kind === 'component' ? own(component.properties, property)?.default : undefined;
    if (byDefault) steps.push({ doc: at.doc, node, source: byDefault, by: 'default', property });
    break;
  }
  return steps;
}
