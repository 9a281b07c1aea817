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
    ['flex-flow', 'wrap', { 'flex-direction': 'row', 'flex-wrap': 'wrap' }],
    [
      'border-top',
      '2px dashed',
      {
        'border-top-width': '2px',
        'border-top-style': 'dashed',
        'border-top-color': 'currentcolor',
      },
    ],
    [
      'text-decoration',
      'underline',
      {
        'text-decoration-line': 'underline',
        'text-decoration-style': 'solid',
        'text-decoration-color': 'currentcolor',
        'text-decoration-thickness': 'auto',
      },
    ],
    ['font-size', 'calc(1rem + 2px)', { 'font-size': 'calc(1rem + 2px)' }],
    ['z-index', 'calc(2 * 3)', { 'z-index': 'calc(2*3)' }],
    ['width', 'min(100%,2*(1rem + 2px))', { width: 'min(100%,2*(1rem + 2px))' }],
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
    ['width', 'calc(1px + 8)', 'css-does-not-fit'],
    ['width', 'calc(2 * 3)', 'css-does-not-fit'],
    ['width', 'calc(1px * (2px + 1rem))', 'css-does-not-fit'],
    ['line-height', 'calc(3 / 2px)', 'css-does-not-fit'],
    ['colour', 'red', 'no-css-property'],
    ['color', '', 'no-value'],
    ['font', 'caption', 'not-apart'],
    ['all', 'unset', 'not-all'],
    ['background', 'url(https://elsewhere.example/x.png)', 'no-address'],
    ['color', 'red; } body { display: none', 'no-important'],
    ['color', 'red !important', 'no-important'],
    ['width', '</style>', 'no-important'],
    ['background-color', 'linear-gradient(red, blue)', 'css-does-not-fit'],
  ])('%s: %s is refused', (property, value, reason) => {
    expect(expand(property, value)).toMatchObject({
      ok: false,
      reason: { code: reason },
    });
  });

  test.each([
    ['padding', ['0', '1px 2rem', '1px 2px 3px', '1px 2px 3px 4px']],
    ['gap', ['4px', '4px 8px']],
    ['border-radius', ['4px', '4px 8px', '10px / 5px', '1px 2px 3px 4px / 5px 6px']],
    ['border', ['1px solid red', 'dashed', 'none', 'medium', 'inherit']],
    ['outline', ['2px solid currentcolor', 'auto']],
    ['flex', ['1', 'none', 'auto', '2 0 10rem', '1 2', '0 1 auto']],
    ['flex-flow', ['column wrap', 'wrap', 'row']],
    ['columns', ['3', '12rem', '12rem 3', 'auto']],
    ['list-style', ['none', 'square inside', 'inside']],
    ['text-decoration', ['underline', 'underline dotted red', 'none', 'underline overline 2px']],
    [
      'font',
      [
        'italic 700 1rem/1.5 "A B", serif',
        '1rem serif',
        'small-caps condensed 2em/2 Georgia, serif',
      ],
    ],
    [
      'transition',
      [
        'color 0.2s ease-in 1s, opacity 1s',
        'none',
        '0.3s',
        'all',
        '0s linear 1s',
        'color 1s cubic-bezier(0.1, 0.7, 1, 0.1), display 1s allow-discrete',
      ],
    ],
    ['animation', ['spin 1s linear infinite', 'a 1s 2s 3 reverse both paused, b 2s', 'none']],
    [
      'background',
      [
        'red',
        'linear-gradient(red, blue) center / cover no-repeat fixed, red',
        'none',
        'linear-gradient(red, blue) content-box, radial-gradient(red, blue) 1px 2px repeat-x border-box padding-box, #fff',
      ],
    ],
    ['grid-row', ['1 / 3', 'span 2', 'foo', '2', 'auto', 'foo / bar']],
    ['grid-column', ['1 / -1', 'span 2 / 4']],
    ['grid-area', ['foo', '1 / 2 / 3 / 4', '1 / 2', 'foo / bar']],
    ['grid-template', ['none', '1fr 2fr / 3fr', '"a b" 40px "c d" / 1fr 2fr', '"a b" "c d"']],
    [
      'grid',
      [
        'auto-flow / 1fr 2fr',
        'auto-flow dense 10px / 1fr',
        '1fr / auto-flow dense 2rem',
        '"a b" "c c" / 1fr 1fr',
        'none',
      ],
    ],
    ['place-items', ['center', 'start end']],
  ])('of %s goes together again as it was taken apart', (property, values) => {
    for (const value of values) {
      const apart = expand(property, value);
      if (!apart.ok) throw new Error(`${property}: ${value}: ${saidText(apart.reason)}`);
      const css = longhandsOf(property)!.map((name) => ({ css: apart.longhands[name]! }));
      const shown = together(property, css);
      expect({ value, shown: shown && expand(property, shown.css) }).toEqual({
        value,
        shown: apart,
      });
    }
  });

  test('goes together with tokens of one name that are not the same', () => {
    const of = (token: string) => ({
      css: 'var(--t1)',
      refs: { t1: { token, type: 'length' as const } },
    });
    const [a, b] = [of('a'), of('b')];
    expect(together('gap', [a, a])).toEqual(a);
    expect(together('gap', [a, b])).toEqual({
      css: 'var(--t1) var(--t1-2)',
      refs: { t1: a.refs.t1, 't1-2': b.refs.t1 },
    });
  });

  test('with a side missing is not shown as one', () => {
    const px = { css: '1px' };
    expect(together('padding', [px, undefined, px, px])).toBeUndefined();
  });

  test('is read anew for what else its placeholders stand for, and never for what it was taken for before', () => {
    const refs = (type: 'colour' | 'length') => ({ it: { token: 't', type } });
    const read = () =>
      (['colour', 'length', undefined, 'colour'] as const).map(
        (type) => expand('color', 'var(--it)', type && refs(type)).ok,
      );
    expect(read()).toEqual([true, false, false, true]);
    // Thousands of others push out what was read before: nothing changes by that.
    for (let i = 0; i < 6_000; i += 1) expand('width', `${i}px`);
    expect(read()).toEqual([true, false, false, true]);
    // No text says, by its letters, what another says with something in it.
    expect(expand('color', 'red","it","colour').ok).toBe(false);
    const kept = expand('padding', '1px 2px');
    if (!kept.ok) throw new Error(saidText(kept.reason));
    expect(() => Object.assign(kept.longhands, { 'padding-top': '9px' })).toThrow(TypeError);
    expect(expand('padding', '1px 2px')).toMatchObject({ longhands: { 'padding-top': '1px' } });
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
