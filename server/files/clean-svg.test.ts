import { say } from '@sormet/core/said';
import { cleanSvg, unsafeInSvg, UnreadableSvg } from './clean-svg';

const svg = (inner: string, more = '') =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${more}>${inner}</svg>`;

describe('an SVG that is brought in', () => {
  test.each([
    ['a script', '<script>alert(1)</script>'],
    [
      'a script with a prefix',
      '<s:script xmlns:s="http://www.w3.org/2000/svg">alert(1)</s:script>',
    ],
    ['a handler', '<rect onload="alert(1)" onclick="alert(2)"/>'],
    [
      'foreign content',
      '<foreignObject><iframe xmlns="http://www.w3.org/1999/xhtml" src="javascript:alert(1)"/></foreignObject>',
    ],
    ['a link', '<a href="javascript:alert(1)"><rect/></a>'],
    ['a reference outside', '<use href="https://evil.example/x.svg#a"/>'],
    ['a reference with a prefix', '<use xlink:href="data:image/svg+xml;base64,PHN2Zy8+#x"/>'],
    ['a picture from elsewhere', '<image href="https://evil.example/p.png"/>'],
    ['an SVG as data', '<image href="data:image/svg+xml,%3Csvg/%3E"/>'],
    ['an animation that sets an address', '<set attributeName="href" to="javascript:alert(1)"/>'],
    ['an import', '<style>@import url(https://evil.example/a.css);</style>'],
    ['an address in a style', '<style>rect{fill:url(https://evil.example/#a)}</style>'],
    [
      'an address that is spelled with escapes',
      '<style>rect{fill:u\\72l(https://evil.example/#a)}</style>',
    ],
    ['an address in a style attribute', '<rect style="fill:url(//evil.example/a#b)"/>'],
    ['an address in a presentation attribute', '<rect fill="url(https://evil.example/#a)"/>'],
    ['another base', '<g xml:base="https://evil.example/"><use href="#a"/></g>'],
  ])('loses %s', (_, inner) => {
    const { svg: clean, leftOut } = cleanSvg(svg(inner));
    expect(leftOut.length).toBeGreaterThan(0);
    expect(clean).not.toMatch(/script|evil|alert|\son\w+=/i);
    expect(unsafeInSvg(clean)).toBeUndefined();
    expect(cleanSvg(clean).svg).toBe(clean);
  });

  test('keeps what draws', () => {
    const drawn = svg(
      '<defs><linearGradient id="g"><stop offset="0" stop-color="#fff"/></linearGradient></defs>' +
        '<style>.a{fill:url(#g);stroke:red}</style><g class="a" transform="rotate(3)">' +
        '<path d="M0 0L1 1" fill="url(#g)"/><use href="#g"/><text>a &amp; b</text></g>',
      'viewBox="0 0 9 9" width="9" height="9"',
    );
    const { svg: clean, leftOut } = cleanSvg(drawn);
    expect(leftOut).toEqual([]);
    for (const kept of [
      'viewBox="0 0 9 9"',
      'fill="url(#g)"',
      'a &amp; b',
      'stroke:red',
      'href="#g"',
    ])
      expect(clean).toContain(kept);
  });

  test.each([
    ['what is no XML', '<svg xmlns="http://www.w3.org/2000/svg"><g></svg>'],
    ['another root', '<html xmlns="http://www.w3.org/1999/xhtml"/>'],
    ['an entity that is not known', svg('&xxe;')],
    ['no namespace', '<svg/>'],
    ['nothing', ''],
    ['too deep', svg('<g>'.repeat(500) + '</g>'.repeat(500))],
  ])('is refused with the reason when it is %s', (_, text) => {
    expect(() => cleanSvg(text)).toThrow(UnreadableSvg);
    expect(unsafeInSvg(text)).toEqual([say('svg-left-unread')]);
  });
});
