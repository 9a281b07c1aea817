import { literal, type ComponentDoc, type Rule } from '@sormet/core/model';
import { component } from '@sormet/core/test';
import { asLit } from './axes-of';

const option = (value: string) => literal({ type: 'choice', value });
const rule = (axes: Record<string, string>): Rule => ({ order: 'a0', when: { axes }, patch: {} });

/** A card of two axes, with the rules that are given. */
function card(rules: Record<string, Rule>): ComponentDoc {
  const doc = component(
    'card',
    { id: 'root', tag: 'div' },
    { tone: option('a'), size: option('s') },
  );
  for (const [axis, options] of [
    ['tone', ['a', 'b']],
    ['size', ['s', 'm']],
  ] as const)
    doc.properties[axis] = {
      ...doc.properties[axis]!,
      axis: true,
      type: {
        kind: 'choice',
        options: Object.fromEntries(options.map((id, i) => [id, { label: id, order: `a${i}` }])),
      },
    };
  return { ...doc, rules };
}

test('what is lit for the options of the base is nothing, and options of the base are left out beside others', () => {
  const doc = card({ r: rule({ tone: 'b' }) });
  expect(asLit(doc, { tone: 'a', size: 's' })).toEqual({});
  expect(asLit(doc, { tone: 'b', size: 's' })).toEqual({ tone: 'b' });
  expect(asLit(doc, { tone: 'b', size: 'm' })).toEqual({ tone: 'b', size: 'm' });
});

test('a rule for an option that became the base is lit with it, else nobody could change what it says', () => {
  const doc = card({ r: rule({ tone: 'a' }) });
  expect(asLit(doc, {})).toEqual({ tone: 'a' });
  expect(asLit(doc, { tone: 'a', size: 'm' })).toEqual({ size: 'm' });
});
