import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Button } from 'antd';
import { nodeName } from '@sormet/core/edit';
import { weakPairs, type WeakPair } from '@sormet/core/check';
import { writeOklch } from '@sormet/core/colour';
import { widthsOf } from '@sormet/core/style';
import { allOf, nodeIn, own, type PageDoc } from '@sormet/core/model';
import { count } from '../../../words';
import { useDerived, useSync } from '../../../site/SiteProvider';

interface OnPage extends WeakPair {
  readonly page: PageDoc;
  /** The largest viewport at which it is so, in px; without end at the base. */
  readonly max: number;
}

/**
 * Words that are too weak on their ground somewhere on the site, in the theme that holds there. Looked for when it is asked
 * for: it goes through every page.
 */
export function WeakPairs(): ReactNode {
  const { documents, builtOf } = useDerived();
  const sync = useSync();
  const [found, setFound] = useState<{ in: typeof documents; pairs: OnPage[] } | null>(null);
  const widths = widthsOf(documents.site);
  const look = () => {
    const pairs = allOf(documents, 'page').flatMap((page) => {
      const entry =
        page.entries === null
          ? undefined
          : allOf(documents, 'entry').find(({ type }) => type === page.entries);
      const built = builtOf(page.id, entry);
      if (!built) return [];
      return widths.flatMap(({ id, max }) =>
        weakPairs(documents, built, id).map((pair) => ({ ...pair, page, max })),
      );
    });
    setFound({ in: documents, pairs });
  };
  // One line for each kind of weakness: the same element of one definition is weak everywhere alike.
  const lines = new Map<string, { first: OnPage; many: number }>();
  for (const pair of found?.pairs ?? []) {
    const key = `${pair.element.scope.within.doc} ${pair.element.from.id} ${pair.theme ?? ''}`;
    const line = lines.get(key);
    // Weak at the base, it is so at the narrower widths as well: counted once.
    if (line) line.many += line.first.max === pair.max ? 1 : 0;
    else lines.set(key, { first: pair, many: 1 });
  }
  return (
    <section className="weak-pairs" aria-label="Words that are hard to read">
      <h2>Words that are hard to read</h2>
      {found === null || found.in !== documents ? (
        <p>
          Every text on every page against its ground, at every width and in the theme that holds
          there (WCAG 2.2, 1.4.3).{' '}
          <Button size="small" onClick={look}>
            Look through the site
          </Button>
        </p>
      ) : lines.size === 0 ? (
        <p>None: every text can be read on its ground.</p>
      ) : (
        <ul>
          {[...lines.values()].map(({ first, many }) => {
            const { element, page, theme, ink, ground, ratio, least, max } = first;
            const { doc } = element.scope.within;
            const node = nodeIn(documents, doc, element.from.id);
            const themeWord = own(documents.tokens.themes ?? {}, theme ?? '')?.name;
            return (
              <li key={`${doc} ${element.from.id} ${theme ?? ''}`}>
                <span
                  className="pair"
                  style={{ color: writeOklch(ink), background: writeOklch(ground) }}
                >
                  {node ? nodeName(documents, node) : element.tag}
                </span>{' '}
                {ratio.toFixed(2)} to 1, at least {least}
                {themeWord ? `, in ${themeWord}` : ''}
                {max === Infinity ? '' : `, at ${max} px and below`}: {count(many, 'place')}, first
                on <Link to={`/sites/${sync.site}/bench/${page.id}`}>{page.path}</Link>
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
