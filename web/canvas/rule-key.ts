import { classOf, partClassOf, sharedClassOf } from '@sormet/core/resolve';
import type { Origin } from '@sormet/core/style';

/** A rule's key, by which it is lit: what kind of rule it is, and of what. */
export function ruleKey(origin: Origin): string {
  switch (origin.is) {
    case 'tag':
      return `tag ${origin.tag}`;
    case 'theme':
      return `theme ${origin.doc} ${origin.node}`;
    case 'node':
      return `node ${origin.doc} ${origin.node}`;
    case 'shared':
      return `shared ${origin.doc} ${origin.on.doc} ${origin.on.node}`;
    case 'part':
      return `part ${origin.doc} ${origin.node} ${origin.part}`;
    case 'rule':
      return `rule ${origin.doc} ${origin.node} ${origin.rule}`;
  }
}

/** How many instances can be each other's root; more are not looked for. */
const HEIGHTS = [0, 1, 2, 3, 4, 5, 6, 7];

/** The selector of what a rule reaches on a canvas, by its key; nothing for a theme, which reaches all that stands in it. */
export function selectorOfRule(key: string): string | undefined {
  const [is, first = '', second = '', third] = key.split(' ');
  switch (is) {
    case 'tag':
      return first;
    case 'node':
      return `.${CSS.escape(classOf(first, second))}`;
    case 'shared':
      return HEIGHTS.map((height) => `.${CSS.escape(sharedClassOf(first, height))}`).join(',');
    case 'part':
      return `.${CSS.escape(partClassOf(first, second, third ?? ''))}`;
    case 'rule':
      return `.${CSS.escape(classOf(first, second, third))}`;
    default:
      return undefined;
  }
}
