import {
  literal,
  text,
  yesNo,
  type ComponentDoc,
  type Property,
  type SetAct,
  type Source,
  type StateOf,
  type TypeSpec,
  type Whens,
} from '../model';
import { blockOf } from '../style';
import { component } from './small-site';

/**
 * A component with a state of every kind that visitors can change, and all that can go by one: what is shown, words alone and
 * beside others, attributes, a rule's style and words, what an inner instance is given, what is worked out.
 */

const property = (id: string): Source => ({ is: 'property', property: id });
const option = (label: string, order: string) => ({ label, order });

/** The choice among its states; an axis, with a rule for one of its options. */
export const NOW: TypeSpec = {
  kind: 'choice',
  options: {
    idle: option('idle', 'a0'),
    busy: option('busy', 'a1'),
    failed: option('failed', 'a2'),
  },
};

/** What stands inside: it has a state of its own, and is told of one around. */
const innerTree = component(
  'folded',
  {
    id: 'folded-root',
    tag: 'aside',
    children: [
      { id: 'folded-press', tag: 'button', text: property('folded-words') },
      { id: 'folded-more', tag: 'p', text: 'more', shown: property('folded-open') },
    ],
  },
  { 'folded-words': text('fold'), 'folded-open': yesNo(true) },
);

const press = (...acts: [set: string, to: SetAct['to']][]): Whens => ({
  press: {
    order: 'a0',
    on: 'press',
    acts: Object.fromEntries(
      acts.map(([set, to], i) => [
        `act-${i}`,
        { order: `a${i}`, do: 'set' as const, state: property(set), to },
      ]),
    ),
  },
});

/** A definition with states among its properties and acts on some of its elements. */
function acting(
  doc: ComponentDoc,
  states: Readonly<Record<string, { readonly type?: TypeSpec; readonly state?: StateOf }>>,
  whens: Readonly<Record<string, Whens>>,
): ComponentDoc {
  const properties: Record<string, Property> = {};
  for (const [id, each] of Object.entries(doc.properties))
    properties[id] = {
      ...each,
      key: id.replace(/-(.)/g, (_, letter: string) => letter.toUpperCase()),
    };
  for (const id in states) properties[id] = { ...properties[id]!, ...states[id] };
  const nodes = { ...doc.nodes };
  for (const id in whens) {
    const node = nodes[id]!;
    if (node.kind === 'element') nodes[id] = { ...node, whens: whens[id]! };
  }
  return { ...doc, properties, nodes };
}

/** The definition that stands inside, and the one around it. */
export const foldingDocs: readonly ComponentDoc[] = [
  acting(
    innerTree,
    { 'folded-open': { state: {} } },
    { 'folded-press': press(['folded-open', 'other']) },
  ),
  {
    ...acting(
      component(
        'folding',
        {
          id: 'folding-root',
          tag: 'section',
          children: [
            {
              id: 'folding-press',
              tag: 'button',
              attributes: { 'aria-expanded': property('folding-open') },
              text: property('folding-words'),
            },
            { id: 'folding-next', tag: 'button', text: 'next' },
            { id: 'folding-back', tag: 'button', text: 'back' },
            { id: 'folding-to', tag: 'button', text: 'to' },
            { id: 'folding-inside', tag: 'p', text: 'inside', shown: property('folding-open') },
            {
              id: 'folding-count',
              tag: 'p',
              text: {
                is: 'words',
                of: 'text',
                pieces: ['so many: ', { place: 'n0' }],
                names: { n0: property('folding-count') },
              },
            },
            {
              id: 'folding-both',
              tag: 'p',
              shown: {
                is: 'expression',
                cel: 'n0 && n1 > 1.0',
                names: { n0: property('folding-open'), n1: property('folding-count') },
              },
              children: [{ tag: 'em', text: 'open, and more than one' }],
            },
            {
              id: 'folding-inner',
              component: 'folded',
              values: { 'folded-words': property('folding-words') },
            },
          ],
        },
        {
          'folding-words': text('Fold'),
          'folding-open': yesNo(false),
          'folding-now': literal({ type: 'choice', value: 'idle' }),
          'folding-count': literal({ type: 'number', value: 0 }),
        },
      ),
      {
        'folding-open': { state: { open: true } },
        'folding-now': { type: NOW, state: { round: true } },
        'folding-count': { type: { kind: 'number', least: 0, most: 4 }, state: { step: 2 } },
      },
      {
        'folding-press': press(['folding-open', 'other'], ['folding-count', 'next']),
        'folding-next': press(['folding-now', 'next']),
        'folding-back': press(['folding-now', 'before'], ['folding-count', 'before']),
        'folding-to': press(['folding-now', { value: literal({ type: 'choice', value: 'busy' }) }]),
      },
    ),
    rules: {
      busy: {
        order: 'a0',
        when: { axes: { 'folding-now': 'busy' } },
        patch: {
          'folding-root': { style: blockOf({ color: 'green' }) },
          'folding-next': { shown: yesNo(false) },
          'folding-press': { attributes: { title: text('busy') } },
        },
      },
    },
  },
].map((doc) =>
  doc.id === 'folding'
    ? {
        ...doc,
        properties: {
          ...doc.properties,
          'folding-now': { ...doc.properties['folding-now']!, axis: true as const },
        },
      }
    : doc,
);
