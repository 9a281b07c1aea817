import fc from 'fast-check';
import { saidText, say } from '../said';
import { site } from '../test/small-site';
import {
  blockFindings,
  blockOf,
  cascade,
  declarationKey,
  declaredProperties,
  expand,
  keyParts,
  longhandsOf,
  together,
  widthsOf,
  type AppliedBlock,
} from '.';

describe('a declaration', () => {
  test.each([
    [
      'padding',
      '1px 2px 3px 4px',
      {
        'padding-top': '1px',
        'padding-right': '2px',
        'padding-bottom': '3px',
        'padding-left': '4px',
      },
    ],
    [
      'margin',
      '0 auto',
      { 'margin-top': '0', 'margin-right': 'auto', 'margin-bottom': '0', 'margin-left': 'auto' },
    ],
    ['gap', '4px 8px', { 'row-gap': '4px', 'column-gap': '8px' }],
    ['flex', '1', { 'flex-grow': '1', 'flex-shrink': '1', 'flex-basis': '0%' }],
    ['flex', 'none', { 'flex-grow': '0', 'flex-shrink': '0', 'flex-basis': 'auto' }],
    ['background', 'red', { 'background-color': 'red' }],
    [
      'border-top',
      '2px dashed',
      {
        'border-top-width': '2px',
        'border-top-style': 'dashed',
        'border-top-color': 'currentcolor',
      },
    ],
    ['text-decoration', 'none', { 'text-decoration-line': 'none' }],
    ['font-size', 'calc(1rem + 2px)', { 'font-size': 'calc(1rem + 2px)' }],
  ])('%s: %s is taken apart into longhands', (property, value, longhands) => {
    expect(expand(property, value)).toEqual({ ok: true, longhands });
  });

  test('of a border is the same on all sides', () => {
    const expanded = expand('border', '1px solid #ccc');
    if (!expanded.ok) throw new Error(saidText(expanded.reason));
    expect(Object.keys(expanded.longhands)).toHaveLength(12);
    for (const side of ['top', 'right', 'bottom', 'left'])
      expect(expanded.longhands[`border-${side}-color`]).toBe('#ccc');
  });

  test.each([
    ['padding', 'much', 'css-does-not-fit'],
    ['colour', 'red', 'no-css-property'],
    ['color', '', 'no-value'],
    ['font', '12px serif', 'write-instead'],
    ['background', 'url(https://elsewhere.example/x.png)', 'no-address'],
    ['color', 'red; } body { display: none', 'no-important'],
    ['color', 'red !important', 'no-important'],
    ['width', '</style>', 'no-important'],
    ['background', 'linear-gradient(red, blue)', 'css-does-not-fit'],
  ])('%s: %s is refused', (property, value, reason) => {
    expect(expand(property, value)).toMatchObject({
      ok: false,
      reason: { code: reason },
    });
  });

  test('that was taken apart goes together again', () => {
    const length = fc.constantFrom('0', '1px', '2rem', '3%');
    for (const property of ['padding', 'margin', 'border-radius', 'inset', 'gap'])
      fc.assert(
        fc.property(
          fc.array(length, {
            minLength: 1,
            maxLength: longhandsOf(property)!.length === 2 ? 2 : 4,
          }),
          (values) => {
            const first = expand(property, values.join(' '));
            if (!first.ok) throw new Error(saidText(first.reason));
            const shown = together(longhandsOf(property)!.map((name) => first.longhands[name]))!;
            expect(expand(property, shown)).toEqual(first);
          },
        ),
      );
  });

  test('with a side missing is not shown as one', () => {
    expect(together(['1px', undefined, '1px', '1px'])).toBeUndefined();
  });
});

describe('a block', () => {
  test('is written with shorthands and stored as longhands by width', () => {
    expect(blockOf({ color: 'red' }, { w500: { padding: '1px' } })).toMatchObject({
      color: { css: 'red' },
      'padding-top@w500': { css: '1px' },
    });
    expect(() => blockOf({ color: 'very red' })).toThrow('css-does-not-fit');
  });

  test('holds longhands with values that fit, and says where it does not', () => {
    expect(blockFindings(blockOf({ border: '1px solid red' }))).toEqual([]);
    expect(blockFindings({ padding: { css: '1px' } })[0]).toEqual({
      path: '/padding',
      reason: say('stored-as-longhands', { property: 'padding' }),
    });
    expect(blockFindings({ 'color@w500': { css: 'is-no' } })[0]?.path).toBe('/color@w500');
  });

  test('keys name a property and a width', () => {
    expect(keyParts(declarationKey('color', 'w500'))).toEqual({ property: 'color', width: 'w500' });
    expect(keyParts(declarationKey('color', 'base'))).toEqual({ property: 'color', width: 'base' });
  });
});

describe('the cascade', () => {
  const rule = (height: number, block: AppliedBlock['block']): AppliedBlock => ({
    origin: { is: 'node', doc: 'd', node: `n${height}` },
    level: { of: 'own', height, at: 0 },
    block,
  });
  const rules = [
    rule(
      0,
      blockOf(
        { color: 'red', padding: '30px' },
        { w900: { padding: '20px' }, w500: { color: 'maroon' } },
      ),
    ),
    rule(1, blockOf({ color: 'blue' })),
  ];

  test('puts the nearer to the page before the narrower', () => {
    expect(cascade(rules, 'color', 'w500', site).map(({ declared }) => declared.css)).toEqual([
      'blue',
      'maroon',
      'red',
    ]);
  });

  // Common practice, no published source: padding 30 px at the base and 20 px at medium.
  test('lets what is set at a wider width hold below, unless a narrower one says otherwise', () => {
    expect(cascade(rules, 'padding-top', 'base', site)[0]).toMatchObject({
      declared: { css: '30px' },
      width: 'base',
    });
    expect(cascade(rules, 'padding-top', 'w900', site)[0]).toMatchObject({
      declared: { css: '20px' },
      width: 'w900',
    });
    expect(cascade(rules, 'padding-top', 'w500', site)[0]).toMatchObject({
      declared: { css: '20px' },
      width: 'w900',
    });
  });

  // Common practice, no published source: a margin that only a helper sets below is 0 above.
  test('leaves what only a narrower width sets unset above', () => {
    const helper = [rule(0, blockOf({}, { w900: { 'margin-top': '12px' } }))];
    expect(cascade(helper, 'margin-top', 'base', site)).toEqual([]);
    expect(cascade(helper, 'margin-top', 'w900', site)[0]?.declared.css).toBe('12px');
  });

  test('knows the widths from wide to narrow and every property declared', () => {
    expect(widthsOf(site).map(({ id }) => id)).toEqual(['base', 'w900', 'w500']);
    expect(declaredProperties(rules)).toEqual([
      'color',
      'padding-bottom',
      'padding-left',
      'padding-right',
      'padding-top',
    ]);
  });
});
