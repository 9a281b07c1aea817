import { docOf, own, PLAIN_THEME, type ComponentDoc, type Documents } from '@sormet/core/model';
import { nodeName, type Difference } from '@sormet/core/edit';
import { valueText } from '@sormet/core/style';

/** A difference in words: what of which element, at which width, in which state. */
export function differenceWords(
  documents: Documents,
  definition: ComponentDoc,
  difference: Difference,
): string {
  const node = definition.nodes[difference.node]!;
  return `${nodeName(documents, node, definition)}: ${whatWords(documents, definition, difference)}`;
}

function whatWords(documents: Documents, { nodes }: ComponentDoc, difference: Difference): string {
  switch (difference.of) {
    case 'style': {
      const { property, width, state = '', declared } = difference;
      const max = width === 'base' ? undefined : own(documents.site.widths, width)?.max;
      const at = max === undefined ? '' : ` up to ${max}`;
      return `${property} ${valueText(declared, documents.tokens.tokens)}${at}${state}`;
    }
    case 'shown':
      return 'whether it is shown';
    case 'text':
      return 'its words';
    case 'tag':
      return `is ${difference.tag}`;
    case 'theme':
      return difference.theme === null
        ? 'no theme begins with it'
        : `in the theme ${difference.theme === PLAIN_THEME ? 'plain' : (own(documents.tokens.themes ?? {}, difference.theme)?.name ?? 'that is gone')}`;
    case 'shared': {
      const name = docOf(documents, 'style', difference.style)?.name ?? 'a style that is gone';
      return difference.on ? `${name} is on` : `${name} is off`;
    }
    case 'attribute':
      return difference.name;
    case 'value': {
      const node = nodes[difference.node]!;
      const component =
        node.kind === 'instance' ? docOf(documents, 'component', node.component) : undefined;
      return own(component?.properties ?? {}, difference.name)?.label ?? 'a value that is gone';
    }
  }
}
