import type { NamedEdit } from '@sormet/core/edit';
import type { Origin, Width } from '@sormet/core/style';

/** The edit that declares a property in a rule at a width; an empty value takes it back. */
export function declaring(
  origin: Origin,
  property: string,
  width: Width,
  typed: string,
): NamedEdit {
  const css = typed === '' ? null : typed;
  switch (origin.is) {
    case 'tag':
      return { name: 'declareTag', args: { tag: origin.tag, property, width, css } };
    case 'node':
      return {
        name: 'declare',
        args: { doc: origin.doc, node: origin.node, property, width, css },
      };
    case 'shared':
      return { name: 'declareShared', args: { style: origin.doc, property, width, css } };
    case 'rule': {
      const { doc: component, rule, node } = origin;
      return { name: 'declareRule', args: { component, rule, node, property, width, css } };
    }
  }
}
