import { parseFragment, serialize } from 'parse5';
import { attributesOf, IMAGE, isVoid, LINK, nestingFault, takesText, TAGS, TEXT } from '.';

const tags = [...TAGS].sort();

/** A chain of elements, outermost first, as HTML. */
function htmlOf(chain: readonly string[]): string {
  return chain.reduceRight(
    (inner, tag) => (isVoid(tag) ? `<${tag}>` : `<${tag}>${inner}</${tag}>`),
    '',
  );
}

function faultIn(chain: readonly string[]): string | null {
  for (let i = 0; i < chain.length; i += 1) {
    const fault = nestingFault(chain[i]!, chain.slice(0, i).reverse());
    if (fault) return fault;
  }
  return null;
}

describe('nesting', () => {
  // Source: HTML Living Standard, 13.2.6 (tree construction), as implemented by parse5.
  test('that is allowed survives an HTML parser unchanged, for every pair of elements', () => {
    for (const outer of tags)
      for (const inner of tags) {
        if (faultIn([outer, inner])) continue;
        const html = htmlOf([outer, inner]);
        expect(serialize(parseFragment(html))).toBe(html);
      }
  });

  test('that is allowed survives an HTML parser unchanged, for every three elements', () => {
    for (const a of tags)
      for (const b of tags) {
        if (faultIn([a, b]) || isVoid(b)) continue;
        for (const c of tags) {
          if (faultIn([a, b, c])) continue;
          const html = htmlOf([a, b, c]);
          expect(serialize(parseFragment(html))).toBe(html);
        }
      }
  });

  test.each([
    ['div', ['p'], 'p holds only text-level elements'],
    ['section', ['ul'], 'ul holds only li'],
    ['a', ['span', 'a'], 'a link cannot stand in a link'],
    ['li', ['div'], 'li stands only in ul or ol'],
    ['main', ['article'], 'main stands under no other landmark'],
    ['p', ['img'], 'img holds nothing'],
  ])('%s in %j is refused: %s', (tag, above, reason) => {
    expect(nestingFault(tag, above)).toContain(reason);
  });

  test('of sections, headings, lists and links as people use them is allowed', () => {
    for (const chain of [
      ['main', 'section', 'h2', 'a', 'em'],
      ['ul', 'li', 'article', 'a'],
      ['a', 'article', 'h3'],
      ['figure', 'blockquote', 'p'],
    ])
      expect(faultIn(chain)).toBeNull();
  });
});

describe('elements', () => {
  test('that hold nothing hold no text either', () => {
    for (const tag of tags) if (isVoid(tag)) expect(takesText(tag)).toBe(false);
  });

  test('take attributes of fixed types', () => {
    expect(attributesOf('a')['href']).toBe(LINK);
    expect(attributesOf('img')).toMatchObject({ src: IMAGE, alt: TEXT, 'aria-label': TEXT });
    expect(attributesOf('p')['onclick']).toBeUndefined();
  });

  test('never include any that could run something', () => {
    for (const tag of [
      'script',
      'iframe',
      'object',
      'embed',
      'form',
      'style',
      'base',
      'link',
      'meta',
      'template',
    ])
      expect(TAGS.has(tag)).toBe(false);
  });
});
