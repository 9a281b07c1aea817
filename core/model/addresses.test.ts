import fc from 'fast-check';
import { safeAddress } from '.';

/** Anything that could stand before, between or behind the letters of a scheme. */
const noise = fc.array(
  fc.oneof(
    fc.constantFrom(
      '\u0000',
      '\u0001',
      '\t',
      '\n',
      '\r',
      '\u000c',
      ' ',
      '\u00a0',
      '\u001f',
      '\u007f',
      '\u0085',
      '\ufeff',
      '\\',
      '/',
    ),
    fc.string({ maxLength: 2 }),
  ),
  { maxLength: 3 },
);

test('whatever is let through, a browser reads as http, https, mailto, tel or a place on the same site (URL Standard)', () => {
  const base = 'https://site.example/page';
  fc.assert(
    fc.property(
      fc.constantFrom(
        'javascript:alert(1)',
        'data:text/html,x',
        'vbscript:x',
        'https://other.example/',
        '//other.example',
        '/about',
        'file:///etc',
        'blob:x',
      ),
      fc.array(fc.tuple(fc.nat(12), noise), { maxLength: 4 }),
      (address, inserts) => {
        let text = address;
        for (const [at, what] of inserts) text = text.slice(0, at) + what.join('') + text.slice(at);
        const safe = safeAddress(text);
        if (safe === '') return;
        const url = new URL(safe, base);
        expect(['http:', 'https:', 'mailto:', 'tel:']).toContain(url.protocol);
        if (!/^[a-z][a-z0-9+.-]*:/i.test(safe)) expect(url.origin).toBe('https://site.example');
      },
    ),
    { numRuns: 3000 },
  );
});

test('what is let through unread is a place on the same site, or one of https that a browser can read (URL Standard)', () => {
  const part = fc.stringMatching(/^[\w.#/-]{0,8}$/);
  const host = fc.stringMatching(/^[a-z0-9.-]{1,12}$/);
  fc.assert(
    fc.property(fc.option(host), part, (name, path) => {
      const address = `${name === null ? '' : 'https://' + name}/${path}`;
      if (safeAddress(address) !== address) return;
      const url = new URL(address, 'https://site.example/page');
      if (name === null) expect(url.origin).toBe('https://site.example');
      else expect(url.protocol).toBe('https:');
    }),
    { numRuns: 3000 },
  );
});

test.each([
  '\u0001 javascript:alert(1)',
  ' \u0001javascript:alert(1)',
  'java\tscript:alert(1)',
  '\u0000\u0020javascript:alert(1)',
  '/\\other.example',
  '\t//other.example',
  'data:text/html,<script>1</script>',
])('%j leads nowhere', (address) => expect(safeAddress(address)).toBe(''));

test.each([
  '/about',
  '#part',
  '?a=1',
  'https://example.com/a b',
  'mailto:a@example.com',
  'tel:+44',
  'about/us',
])('%j is let through as it is', (address) => expect(safeAddress(address)).toBe(address));
