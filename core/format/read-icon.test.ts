import { readIcon, type DrawnElement } from '.';
import { kindOf, schemaFindings, Typed } from '../model';
import { saidText, say, type Said } from '../said';

const element = (
  tag: string,
  attributes: Record<string, string> = {},
  ...children: DrawnElement[]
): DrawnElement => ({ tag, attributes, children });

const box = { viewBox: '0 0 24 24' };

describe('an icon of a drawing', () => {
  test('has its shapes with their geometry, and nothing else of it', () => {
    const read = readIcon(
      element(
        'svg',
        { ...box, onload: 'run()', class: 'x', width: '48' },
        element('title'),
        element('g', {}, element('path', { d: 'M4 4\n h16', onclick: 'run()', id: 'p' })),
        element('circle', { cx: '12', cy: '12', r: '9', fill: 'red' }),
      ),
      'mark',
    );
    if (!read.ok) throw new Error(saidText(read.reason));
    expect(read.icon).toEqual({
      name: 'mark',
      box: [0, 0, 24, 24],
      drawn: 'areas',
      shapes: [
        { tag: 'path', geometry: { d: 'M4 4 h16' } },
        { tag: 'circle', geometry: { cx: '12', cy: '12', r: '9' } },
      ],
    });
    expect(schemaFindings(Typed, { type: 'icon', value: read.icon })).toEqual([]);
  });

  // SVG 2, 13.2 and 13.3: fill is black and stroke none where nothing is said; both are inherited.
  test.each<[string, Record<string, string>, Record<string, string>, 'lines' | 'areas']>([
    ['says nothing', {}, {}, 'areas'],
    ['strokes alone, said around it', { fill: 'none', stroke: 'currentColor' }, {}, 'lines'],
    ['strokes alone, said in a style', {}, { style: 'fill:none; stroke: #000' }, 'lines'],
    [
      'fills, against what is around',
      { fill: 'none', stroke: 'red' },
      { fill: 'blue', stroke: 'none' },
      'areas',
    ],
  ])('that %s is drawn as it was', (_, around, own, drawn) => {
    const read = readIcon(
      element('svg', { ...box, ...around }, element('path', { d: 'M0 0h4', ...own })),
      'it',
    );
    expect(read).toMatchObject({ ok: true, icon: { drawn } });
  });

  test.each<[string, DrawnElement, Said]>([
    ['no drawing', element('html'), { code: 'icon-no-svg' }],
    ['no size', element('svg', {}, element('path', { d: 'M0 0' })), { code: 'icon-no-size' }],
    ['words', element('svg', box, element('text')), say('icon-holds', { tag: 'text' })],
    ['a script', element('svg', box, element('script')), say('icon-holds', { tag: 'script' })],
    [
      'a picture',
      element('svg', box, element('image', { href: 'x.png' })),
      say('icon-holds', { tag: 'image' }),
    ],
    [
      'what is used from elsewhere',
      element('svg', box, element('use', { href: '#a' })),
      say('icon-holds', { tag: 'use' }),
    ],
    [
      'a transform of CSS',
      element(
        'svg',
        box,
        element('g', { style: 'transform: rotate(45deg)' }, element('path', { d: 'M0 0' })),
      ),
      { code: 'icon-transforms' },
    ],
    [
      'a mask',
      element('svg', box, element('g', { mask: 'url(#m)' }, element('path', { d: 'M0 0' }))),
      say('icon-beyond', { what: 'mask' }),
    ],
    [
      'nothing',
      element('svg', box, element('defs', {}, element('path'))),
      { code: 'icon-no-shape' },
    ],
    [
      'geometry that is none',
      element('svg', box, element('path', { d: 'M0 0"onload="x' })),
      { code: 'icon-geometry' },
    ],
    [
      'a gradient',
      element('svg', box, element('path', { d: 'M0 0h4', fill: 'url(#g)' })),
      { code: 'icon-gradient' },
    ],
  ])('of %s is refused with the reason', (_, root, reason) => {
    expect(readIcon(root, 'it')).toMatchObject({
      ok: false,
      reason,
    });
  });

  // SVG 2, 6.6: attributes weigh less than any rule of a style sheet, and these less than the style attribute.
  test('keeps the strokes and fills that its own style sheet says', () => {
    const sheet = {
      ...element('style'),
      text: '.a{fill:none;stroke:#123;stroke-width:2px;stroke-linecap:round}#b,path.a.c{stroke-width:3}@media print{.a{fill:red}}',
    };
    const read = readIcon(
      element(
        'svg',
        box,
        element('defs', {}, sheet),
        element('path', { d: 'M0 0h4', class: 'a', fill: 'red' }),
        element('path', { d: 'M0 4h4', class: 'a c' }),
        element(
          'g',
          { opacity: '0.5', transform: 'translate(2, 3)' },
          element('path', { d: 'M0 8h4', style: 'fill-rule:evenodd' }),
        ),
      ),
      'styled',
    );
    if (!read.ok) throw new Error(saidText(read.reason));
    const line = { fill: false, stroke: true, width: 2, cap: 'round' };
    expect(read.icon.shapes.map(({ paint }) => paint)).toEqual([
      line,
      { ...line, width: 3 },
      { fill: true, stroke: false, rule: 'evenodd', opacity: 0.5, transform: 'translate(2, 3)' },
    ]);
    expect(schemaFindings(Typed, { type: 'icon', value: read.icon })).toEqual([]);
  });

  test.each<[string, number, Record<string, string>, Record<string, string>]>([
    ['of the words around', 1, { fill: 'currentColor' }, { fill: 'currentColor' }],
    ['written in two ways', 1, { fill: '#F00' }, { fill: 'red' }],
    ['said by one, black by the other', 2, { fill: 'red' }, {}],
    ['of area and line', 2, { fill: 'red' }, { fill: 'none', stroke: '#00f' }],
    ['of both and another', 3, { fill: 'red', stroke: 'white' }, { fill: 'rgb(0 0 255)' }],
    ['of what is not seen', 1, { fill: 'red' }, { fill: 'blue', visibility: 'hidden' }],
  ])('counts the colours of its drawing: %s', (_, colours, one, other) => {
    const shape = (paint: Record<string, string>) => element('path', { d: 'M0 0h4v4z', ...paint });
    const read = readIcon(element('svg', box, shape(one), shape(other)), 'it');
    expect(read.ok && read.colours).toBe(colours);
  });

  test('is written with the colour of the words around it, said to nobody who listens', () => {
    const read = readIcon(
      element('svg', { ...box, fill: 'none', stroke: 'red' }, element('path', { d: 'M0 0h4' })),
      'it',
    );
    if (!read.ok) throw new Error(saidText(read.reason));
    const [drawing] = kindOf('icon').fragments!(read.icon, undefined as never);
    expect(drawing).toMatchObject({
      tag: 'svg',
      attributes: { stroke: 'currentColor', fill: 'none', 'aria-hidden': 'true' },
      children: [{ tag: 'path', attributes: { stroke: 'currentColor', 'stroke-width': '1' } }],
    });
  });
});

test('an icon of thousands of groups in each other is refused, and overflows nothing', () => {
  let drawn: DrawnElement = { tag: 'path', attributes: { d: 'M0 0h9' }, children: [] };
  for (let i = 0; i < 5000; i += 1) drawn = { tag: 'g', attributes: {}, children: [drawn] };
  const root = { tag: 'svg', attributes: { viewBox: '0 0 9 9' }, children: [drawn] };
  expect(readIcon(root, 'deep')).toEqual({
    ok: false,
    reason: say('icon-too-deep', { most: 100 }),
  });
});
