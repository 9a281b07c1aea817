import fc from 'fast-check';
import { STATES, type Block, type State } from '../model';
import { documentsOf, page } from '../test';
import { cascade, declarationKey, widthsOf, type AppliedBlock, type Width } from './cascade';
import { overlaid } from './overlaid';

const { site } = documentsOf(page('home', '/', { id: 'root', tag: 'main' }));
const WIDTHS: readonly Width[] = widthsOf(site).map(({ id }) => id);

const block = fc
  .array(
    fc.record({
      property: fc.constantFrom('color', 'padding-top'),
      width: fc.constantFrom(...WIDTHS),
      state: fc.option(fc.constantFrom(...STATES), { nil: undefined }),
      css: fc.integer({ min: 1, max: 99 }).map(String),
    }),
    { maxLength: 12 },
  )
  .map((list): Block =>
    Object.fromEntries(
      list.map(({ property, width, state, css }) => [
        declarationKey(property, width, state),
        { css },
      ]),
    ),
  );

const applied = (height: number, declares: Block): AppliedBlock => ({
  origin: { is: 'node', doc: 'home', node: `n${height}` },
  level: { of: 'own', height, at: 0 },
  block: declares,
});

const winner = (rules: readonly AppliedBlock[], at: Width, states: readonly State[]) =>
  ['color', 'padding-top'].map((each) => cascade(rules, each, at, site, states)[0]?.declared.css);

test('two blocks of which one is stronger come to the same as one, at every width and in every state', () => {
  expect(WIDTHS.length).toBeGreaterThan(2);
  fc.assert(
    fc.property(
      block,
      block,
      fc.constantFrom(...WIDTHS),
      fc.subarray([...STATES], { maxLength: 1 }),
      (weaker, stronger, at, states) => {
        const two = winner([applied(0, weaker), applied(1, stronger)], at, states);
        const one = winner([applied(0, overlaid(weaker, stronger, site))], at, states);
        expect(one).toEqual(two);
      },
    ),
    { numRuns: 2000 },
  );
});
