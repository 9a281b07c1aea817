import fc from 'fast-check';
import {
  arithmetic,
  dragStep,
  inOtherUnit,
  inUnits,
  propertiesFor,
  readLine,
  readValue,
  stepped,
  steppedToken,
  valueText,
} from '..';
import { STATES, type Token } from '../../model';

const tokens = {
  brand: { name: 'brand', type: 'colour' },
  brandDark: { name: 'brand dark', type: 'colour' },
  s5: { name: 'space 5', type: 'length' },
  s6: { name: 'space 6', type: 'length' },
  rule: { name: 'fine rule', type: 'border' },
} as const;
const widths = { w600: { max: 600 }, w960: { max: 960 } };
const knows = { tokens, widths, width: 'base', state: undefined } as const;

describe('arithmetic', () => {
  test.each([
    ['20/16rem', '1.25rem'],
    ['12+4', '16'],
    ['2*(8px+4px)', '24px'],
    ['-4px+1px', '-3px'],
    ['1 / 3 rem', undefined],
    ['100%-20px', 'calc(100% - 20px)'],
    ['(100vw - 72rem)/2', 'calc((100vw - 72rem) / 2)'],
    ['4/0', undefined],
    ['20px', undefined],
    ['a+b', undefined],
    ['var(--t1) * 2', 'calc(var(--t1) * 2)'],
    ['min(50%, (1px + 2em)) - 1px', 'calc(min(50%, (1px + 2em)) - 1px)'],
    ['2+', undefined],
  ])('%s is %s', (typed, worked) => expect(arithmetic(typed)).toBe(worked));

  test('20 px are 1.25 rem at 16, and the other way round (common practice, no published source)', () => {
    expect(inOtherUnit('20px')).toBe('1.25rem');
    expect(inOtherUnit('1.25rem')).toBe('20px');
    expect(inOtherUnit('60ch')).toBeUndefined();
  });

  test('a whole number of px comes back from rem as it was', () => {
    fc.assert(
      fc.property(fc.integer({ min: -4000, max: 4000 }), (px) => {
        expect(inOtherUnit(inOtherUnit(`${px}px`)!)).toBe(`${px}px`);
      }),
    );
  });

  test.each([
    ['24px', 4, 1, '25px'],
    ['10px 20px', 8, 10, '10px 30px'],
    ['10px 20px', 1, -0.1, '9.9px 20px'],
    ['0', 0, -1, '-1'],
  ])('%s with the cursor at %i steps by %d', (typed, at, by, text) =>
    expect(stepped(typed, at, by)?.text).toBe(text),
  );

  test('words have no step', () => expect(stepped('auto', 2, 1)).toBeUndefined());

  test.each([
    ['24px', 1],
    ['1.5rem', 0.1],
    ['1.4', 0.1],
    ['200ms', 1],
    ['auto', 0.1],
  ])('%s is dragged by %d', (typed, by) => expect(dragStep(typed)).toBe(by));

  test('a token is stepped along the scale of its group, and stays where that ends', () => {
    const token = (name: string, css: string, group: 'space' | 'size'): Token => ({
      name,
      type: 'length',
      group,
      order: 'a',
      value: { css },
    });
    const tokens = {
      a: token('wide', '4rem', 'space'),
      b: token('close', '8px', 'space'),
      c: token('usual', '16px', 'space'),
      d: token('of text', '17px', 'size'),
      e: token('fluid', 'clamp(1rem,2vw,2rem)', 'space'),
    };
    expect(steppedToken('usual', 1, tokens)).toBe('wide');
    expect(steppedToken('Usual', -1, tokens)).toBe('close');
    expect(steppedToken('usual', 9, tokens)).toBe('wide');
    expect(steppedToken('fluid', 1, tokens)).toBeUndefined();
    expect(steppedToken('16px', 1, tokens)).toBeUndefined();
  });

  // CSS Values and Units Level 4, 6.2: 1in is 96px, 7.1: a turn is 360deg, 7.2: 1s is 1000ms.
  test.each([
    ['24px', 'rem', '1.5rem', true],
    ['24px', 'em', '24em', false],
    ['64px', 'vw', '5vw', true],
    ['90deg', 'turn', '0.25turn', true],
    ['1.5s', 'ms', '1500ms', true],
  ])('%s in %s is %s', (typed, unit, css, same) =>
    expect(inUnits(typed)).toContainEqual({ unit, css, same }),
  );

  test.each(['auto', '1px 2px', '1fr', 'calc(1px + 2em)', '12'])('%s is in no other', (typed) =>
    expect(inUnits(typed)).toEqual([]),
  );
});

describe('a property by a few letters', () => {
  test.each([
    ['pad', 'padding'],
    ['mt', 'margin-top'],
    ['cols', 'grid-template-columns'],
    ['ink', 'color'],
    ['bc', 'background-color'],
    ['ta', 'text-align'],
    ['letter', 'letter-spacing'],
    ['scroll-snap-type', 'scroll-snap-type'],
    ['z', 'z-index'],
    ['bg', 'background-color'],
    ['tracking', 'letter-spacing'],
    ['leading', 'line-height'],
    ['mx', 'margin-inline'],
    ['rounded', 'border-radius'],
    ['transition', 'transition'],
    ['grid-column', 'grid-column'],
    ['border-bottom', 'border-bottom'],
  ])('%s is %s', (letters, property) => expect(propertiesFor(letters)[0]).toBe(property));

  test('letters that mean nothing mean nothing', () => expect(propertiesFor('qqq')).toEqual([]));
});

describe('a value with tokens in it', () => {
  const tokens = {
    a: { name: 'ink', type: 'colour' },
    b: { name: 'sand deep', type: 'colour' },
    c: { name: 'space 5', type: 'length' },
    d: { name: 'top', type: 'length' },
    e: { name: 'text family', type: 'font' },
  } as const;

  test.each([
    [
      'box-shadow',
      '0 4px 12px ink, inset 0 0 0 1px #0003',
      '0 4px 12px var(--t1), inset 0 0 0 1px #0003',
    ],
    [
      'background-image',
      'linear-gradient(45deg, ink, sand deep 40%, #fff)',
      'linear-gradient(45deg, var(--t1), var(--t2) 40%, #fff)',
    ],
    ['padding-top', 'calc(space 5 * 2)', 'calc(var(--t1) * 2)'],
    ['font-family', 'text family, serif', 'var(--t1), serif'],
    // What is a word of CSS there stays one.
    [
      'background-image',
      'linear-gradient(to top, ink, #fff)',
      'linear-gradient(to top, var(--t1), #fff)',
    ],
    ['content', '"ink , top"', '"ink , top"'],
  ])('%s: %s', (property, typed, css) => {
    const read = readValue(property, typed, tokens);
    expect(read.ok ? read.css : read.reason).toEqual(css);
  });
});

describe('the declare line', () => {
  test.each([
    ['pad 24', { property: 'padding', css: '24px', width: 'base' }],
    ['mt 32 @600', { property: 'margin-top', css: '32px', width: 'w600' }],
    ['cols 3', { property: 'grid-template-columns', css: 'repeat(3,1fr)' }],
    ['ink brand', { property: 'color', css: 'var(--t1)', tokens: { t1: 'brand' } }],
    ['ink brand dark :hov', { css: 'var(--t1)', tokens: { t1: 'brandDark' }, state: ':hover' }],
    ['pad space 6 space 5', { css: 'var(--t1) var(--t2)', tokens: { t1: 's6', t2: 's5' } }],
    ['w 60ch', { property: 'width', css: '60ch' }],
    ['size 20/16rem', { property: 'font-size', css: '1.25rem' }],
    ['line-height 1.5', { property: 'line-height', css: '1.5' }],
    ['border fine rule', { property: 'border', css: 'var(--t1)', tokens: { t1: 'rule' } }],
    ['color: red', { property: 'color', css: 'red' }],
    ['width 100% - 20px', { css: 'calc(100% - 20px)' }],
    ['pad 12 + 8', { css: '20px' }],
    ['margin 12 -8', { css: '12px -8px' }],
    ['height space 5 * 2', { css: 'calc(var(--t1) * 2)', tokens: { t1: 's5' } }],
    ['height {space 5} + 8', { css: 'calc(var(--t1) + 8px)' }],
    ['aspect-ratio 16/9', { css: '16/9' }],
    ['aspect-ratio 16 / 9', { css: '16 / 9' }],
    ['line-height 3 / 2', { css: '1.5' }],
    ['border-radius 12 / 6', { css: '12px / 6px' }],
    ['grid-row 1/3', { property: 'grid-row', css: '1/3' }],
    ['transition color .2s ease-in', { property: 'transition', css: 'color .2s ease-in' }],
    ['border-bottom 1px solid', { property: 'border-bottom' }],
    ['bg linear-gradient(red, blue)', { property: 'background-image' }],
    ['bg red', { property: 'background-color' }],
    ['z 3', { property: 'z-index', css: '3' }],
    ['margin {space 5} auto', { css: 'var(--t1) auto', tokens: { t1: 's5' } }],
  ])('%s', (line, declares) =>
    expect(readLine(line, knows)).toMatchObject({ ok: true, ...declares }),
  );

  test.each([
    ['', 'type-a-property'],
    ['qqq 3', 'no-property-like'],
    ['pad', 'type-a-value'],
    ['pad 24 @700', 'no-width'],
    ['ink brnad', 'css-does-not-fit'],
    // The whole name of a property never means another that would take the value.
    ['transition 50%', 'css-does-not-fit'],
    ['border-bottom 50%', 'css-does-not-fit'],
    ['pad 12 -8', 'css-does-not-fit'],
    ['columns red', 'css-does-not-fit'],
    ['mx red', 'css-does-not-fit'],
    ['ink {brnad}', 'no-token-named'],
    ['pad 24 :over', 'no-state'],
  ])('%s says what is wrong with it', (line, reason) => {
    expect(readLine(line, knows)).toMatchObject({ ok: false, reason: { code: reason } });
  });

  test('every state can be named', () => {
    for (const state of STATES)
      expect(readLine(`ink red ${state}`, knows)).toMatchObject({ ok: true, state });
  });
});

test('a value reads as it was typed: tokens by name, in braces inside something', () => {
  const whole = { css: 'var(--t)', refs: { t: { token: 's5', type: 'length' as const } } };
  expect(valueText(whole, tokens)).toBe('space 5');
  const inside = { ...whole, css: 'calc(var(--t)*2)' };
  expect(valueText(inside, tokens)).toBe('calc({space 5}*2)');
  expect(readValue('width', 'calc({space 5}*2)', tokens)).toMatchObject({
    ok: true,
    css: 'calc(var(--t1)*2)',
    tokens: { t1: 's5' },
  });
});
