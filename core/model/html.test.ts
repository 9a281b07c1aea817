import { parseFragment, serialize } from 'parse5';
import { HtmlValidate } from 'html-validate';
import {
  attributeFault,
  attributesOf,
  attributeType,
  attributeWords,
  IMAGE,
  isVoid,
  LINK,
  nestingFault,
  takesText,
  TAGS,
  TEXT,
} from '.';
import type { Said } from '../said';

const tags = [...TAGS].sort();

/** A chain of elements, outermost first, as HTML. */
function htmlOf(chain: readonly string[]): string {
  return chain.reduceRight(
    (inner, tag) => (isVoid(tag) ? `<${tag}>` : `<${tag}>${inner}</${tag}>`),
    '',
  );
}

function faultIn(chain: readonly string[]): Said | null {
  for (let i = 0; i < chain.length; i += 1) {
    const fault = nestingFault(chain[i]!, chain.slice(0, i).reverse());
    if (fault) return fault;
  }
  return null;
}

/** Of chains of elements those that a parser makes something else of. */
function changedByParser(chains: readonly string[][]): string[] {
  return chains.map(htmlOf).filter((html) => serialize(parseFragment(html)) !== html);
}

describe('nesting', () => {
  // Source: HTML Living Standard, 13.2.6 (tree construction), as implemented by parse5.
  test('that is allowed survives an HTML parser unchanged, for every pair of elements', () => {
    const chains = tags.flatMap((outer) => tags.map((inner) => [outer, inner]));
    expect(changedByParser(chains.filter((chain) => !faultIn(chain)))).toEqual([]);
  });

  test('that is allowed survives an HTML parser unchanged, for every three elements', () => {
    for (const a of tags)
      for (const b of tags) {
        if (faultIn([a, b]) || isVoid(b)) continue;
        const chains = tags.map((c) => [a, b, c]).filter((chain) => !faultIn(chain));
        expect(changedByParser(chains)).toEqual([]);
      }
  });

  test.each([
    ['div', ['p'], 'holds-text'],
    ['section', ['ul'], 'holds-li'],
    ['a', ['span', 'a'], 'link-in-link'],
    ['li', ['div'], 'li-in-list'],
    ['main', ['article'], 'main-in-landmark'],
    ['p', ['img'], 'holds-nothing'],
  ])('%s in %j is refused: %s', (tag, above, reason) => {
    expect(nestingFault(tag, above)?.code).toBe(reason);
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
    expect(attributeType('a', 'href')).toBe(LINK);
    expect(attributeType('p', 'href')).toBeUndefined();
    expect(attributeType('img', 'src')).toBe(IMAGE);
    expect(attributeType('img', 'aria-label')).toBe(TEXT);
    expect(attributeType('p', 'data-mended')).toBe(TEXT);
  });

  test('take no attribute that could run something, nor one that the canvas keeps for itself', () => {
    for (const name of [
      'onclick',
      'onload',
      'style',
      'class',
      'srcdoc',
      'data-sormet-place',
      'constructor',
    ])
      for (const tag of tags) expect(attributeType(tag, name)).toBeUndefined();
  });

  // Source: html-validate, which carries the value lists of the HTML Living Standard and WAI-ARIA 1.2.
  test('have names and words of attributes that a validator of HTML takes', async () => {
    const validator = new HtmlValidate({
      extends: ['html-validate:standard'],
      rules: { 'attribute-allowed-values': 'error', 'valid-id': 'off', 'no-inline-style': 'off' },
    });
    const faults = async (elements: readonly string[]) => {
      const { results } = await validator.validateString(elements.join('\n'));
      return results
        .flatMap(({ messages }) => messages)
        .filter(({ ruleId }) => ruleId === 'attribute-allowed-values')
        .map(({ line, message }) => [elements[line - 1], message]);
    };
    expect(await faults(['<p>', '</p><p dir="up">'])).toEqual([
      ['</p><p dir="up">', expect.any(String)],
    ]);
    // All of one tag at once, each in a line of its own: the validator takes long to begin.
    for (const tag of ['a', 'img', 'ol', 'li', 'p', 'blockquote', 'button', 'form', 'input']) {
      const elements = attributesOf(tag).flatMap((name) =>
        (attributeWords(tag, name) ?? []).map(
          (word) => `<${tag} ${name}="${word}">${isVoid(tag) ? '' : `</${tag}>`}`,
        ),
      );
      expect(elements.length).toBeGreaterThan(50);
      expect(await faults(elements)).toEqual([]);
    }
  });

  test.each([
    ['id', 'two words', 'attribute-no-spaces'],
    ['lang', 'English!', 'attribute-language'],
    ['dir', 'up', 'attribute-one-of'],
    ['aria-hidden', 'yes', 'attribute-one-of'],
    ['role', 'List 1', 'attribute-role'],
    ['target', 'window', 'attribute-one-of'],
  ])('%s does not take %s', (name, text, reason) => {
    expect(attributeFault('a', name, text)?.code).toBe(reason);
  });

  test('take what is written as their standards write it', () => {
    for (const [name, text] of [
      ['id', 'sheds'],
      ['lang', 'de-AT'],
      ['aria-current', 'page'],
      ['rel', 'nofollow noopener'],
      ['title', 'Any words, even < and &'],
    ] as const)
      expect(attributeFault('a', name, text)).toBeNull();
  });

  test('never include any that could run something', () => {
    for (const tag of [
      'script',
      'iframe',
      'object',
      'embed',
      'style',
      'base',
      'link',
      'meta',
      'template',
    ])
      expect(TAGS.has(tag)).toBe(false);
  });
});
