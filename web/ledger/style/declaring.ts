import type { NamedEdit } from '@sormet/core/edit';
import type { State } from '@sormet/core/model';
import type { Origin, Width } from '@sormet/core/style';

/** What is declared: CSS with the tokens that placeholders in it stand for; `null` takes it back. */
export interface Declaring {
  readonly css: string | null;
  readonly tokens?: Readonly<Record<string, string>> | undefined;
}

/** Where typing goes: a rule, at a width, in a state. */
export interface Target {
  readonly origin: Origin;
  readonly width: Width;
  readonly state: State | undefined;
  /** What else is selected, and is written together with it. */
  readonly nodes?: readonly string[];
}

/** The edits that declare a property in a rule; a theme says nothing by itself, so nothing is declared there. */
export function declaring(
  { origin, width, state, nodes }: Target,
  property: string,
  { css, tokens }: Declaring,
): NamedEdit[] {
  const declaration = {
    property,
    width,
    css,
    ...(state ? { state } : {}),
    ...(tokens && Object.keys(tokens).length > 0 ? { tokens: { ...tokens } } : {}),
  };
  switch (origin.is) {
    case 'tag':
      return [{ name: 'declareTag', args: { tag: origin.tag, ...declaration } }];
    case 'node': {
      const all = nodes && nodes.includes(origin.node) ? [...nodes] : [origin.node];
      return [{ name: 'declare', args: { doc: origin.doc, nodes: all, ...declaration } }];
    }
    case 'shared':
      return [{ name: 'declareShared', args: { style: origin.doc, ...declaration } }];
    case 'rule': {
      const { doc: component, rule, node } = origin;
      // What is selected together is written together, one node after the other.
      const all = nodes?.includes(node) ? nodes : [node];
      return all.map((each) => ({
        name: 'declareRule',
        args: { component, rule, node: each, ...declaration },
      }));
    }
    case 'part': {
      const { doc, node, part } = origin;
      return [{ name: 'declarePart', args: { doc, node, part, ...declaration } }];
    }
    case 'theme':
      return [];
  }
}
