import {
  literal,
  own,
  type ChosenKind,
  type ElementNode,
  type InstanceNode,
  type NodeId,
  type RuleId,
  type Source,
  type TreeNode,
} from '../model';
import { FED, literalOfDeclared } from '../style';
import type { Built } from './build';
import type { LinkedNode, Varied } from './linked';
import { customOf } from './look';
import type { Within } from './scope';
import { linkedNode, standingAt, type Standing } from './scope-at';
import { testsOf } from './varied';

/** Which of a node's sources: its text, whether it is shown, an attribute, or an instance's value. */
export type Control =
  | { of: 'text' }
  | { of: 'shown' }
  | { of: 'attribute'; name: string }
  | { of: 'value'; property: string }
  | { of: 'chosen'; what: ChosenKind }
  | { of: 'declaration'; key: string };

/** One step on the way from what shows to where it comes from. */
export interface Step {
  readonly doc: string;
  readonly node: NodeId;
  readonly source: Source;
  /** How this step was reached: the control itself, what an instance sets, or a property's default. */
  readonly by: 'control' | 'set' | 'default';
  readonly property?: string;
  /** The rule that gives the source here while its axes have its options, in place of what the node says. */
  readonly rule?: RuleId;
}

/** The source that a control holds, when it holds one. */
export function sourceAt(node: TreeNode, control: Control): Source | undefined {
  switch (control.of) {
    case 'text':
      return node.kind === 'text' ? node.text : undefined;
    case 'shown':
      return node.kind === 'repeat' ? undefined : node.shown;
    case 'attribute':
      return node.kind === 'element' ? own(node.attributes, control.name) : undefined;
    case 'value':
      return node.kind === 'instance' ? own(node.values, control.property) : undefined;
    case 'chosen':
      return node.kind === 'element' || node.kind === 'instance'
        ? (node.chosen?.[control.what] ?? ownChoice(node, control.what))
        : undefined;
    case 'declaration': {
      const declared =
        node.kind === 'element' || node.kind === 'instance'
          ? own(node.style, control.key)
          : undefined;
      const fed = declared && own(declared.refs ?? {}, FED);
      return fed && 'source' in fed
        ? fed.source
        : declared && literalOfDeclared(control.key, declared);
    }
  }
}

/** What a node itself says of what may be chosen for it. */
function ownChoice(node: ElementNode | InstanceNode, what: ChosenKind): Source | undefined {
  if (what === 'tag')
    return node.kind === 'element' ? literal({ type: 'tag', value: node.tag }) : undefined;
  return what === 'theme' && node.theme !== undefined
    ? literal({ type: 'theme', value: node.theme })
    : undefined;
}

/** The same of a linked node, with what rules put in its place. */
function variedOf(node: LinkedNode, control: Control): Varied | undefined {
  switch (control.of) {
    case 'text':
      return node.kind === 'text' ? node.text : undefined;
    case 'shown':
      return node.kind === 'repeat' ? undefined : node.shown;
    case 'attribute':
      return node.kind === 'element'
        ? node.attributes.find(({ name }) => name === control.name)
        : undefined;
    case 'value':
      return node.kind === 'instance' ? own(node.values, control.property) : undefined;
    case 'chosen': {
      if (node.kind !== 'element' && node.kind !== 'instance') return undefined;
      if (control.what === 'tag') return node.kind === 'element' ? node.tagBy : undefined;
      const by = node.look.classes.find(({ chosen }) => chosen?.type.kind === control.what)?.chosen;
      return by && { source: by.source, byRules: [] };
    }
    case 'declaration': {
      if (node.kind !== 'element' && node.kind !== 'instance') return undefined;
      const fed = node.look.customs.find(({ name }) => name.endsWith(customEnd(control.key)));
      return fed && { source: fed.source, byRules: [] };
    }
  }
}

/** How the custom property of a declaration ends that a source feeds. */
function customEnd(key: string): string {
  return customOf('', key, FED);
}

/** What a node's control holds where it stands: what the strongest rule that holds there says, else the node itself. */
function heldAt(
  { linked, scope }: Standing,
  node: NodeId,
  control: Control,
): Pick<Step, 'source' | 'rule'> | undefined {
  const at = linkedNode(linked, node);
  const varied = at && variedOf(at, control);
  const put = varied?.byRules.find(({ when }) => testsOf(when, scope)?.length === 0);
  if (put) return { source: put.source, rule: put.rule };
  return varied?.source && { source: varied.source };
}

/**
 * Where a value comes from, step by step: the control, then for each property it reads what the
 * instance around sets, or the default. Ends at a literal, a field, or where nothing is set.
 * @param within the way down to the node, as a resolved node says it
 */
export function trace(built: Built, within: Within, node: NodeId, control: Control): Step[] {
  const steps: Step[] = [];
  let at: Within | null = within;
  let standing = standingAt(built, at);
  const held = standing && heldAt(standing, node, control);
  if (!held) return steps;
  steps.push({ doc: at.doc, node, ...held, by: 'control' });
  let { source } = held;
  while (standing && source.is === 'property') {
    const { property }: { property: string } = source;
    const instance: Within = instanceOf(at);
    const outer: Within | null = instance.parent;
    const around: Standing | undefined = outer ? standingAt(built, outer) : undefined;
    const set = around && heldAt(around, instance.node, { of: 'value', property });
    if (set) {
      steps.push({ doc: outer!.doc, node: instance.node, ...set, by: 'set', property });
      source = set.source;
      at = outer!;
      standing = around;
      continue;
    }
    const made = standing.linked.properties.find(({ id }) => id === property)?.property;
    if (made) steps.push({ doc: at.doc, node, source: made.default, by: 'default', property });
    break;
  }
  return steps;
}

/** The step into the definition that a place belongs to: rounds of a repeat may stand between. */
export function instanceOf(within: Within): Within {
  let at = within;
  while (at.entry !== undefined && at.parent) at = at.parent;
  return at;
}
