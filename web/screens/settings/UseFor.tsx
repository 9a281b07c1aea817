import type { ReactNode } from 'react';
import type { Documents } from '@sormet/core/model';
import { useSync } from '../../site/SiteProvider';
import { familyTokens, firstFamily, listOf } from './font-families';

/** The tokens that say which fonts words are set in, each pressed to have a family in it: told where it is in already. */
export function UseFor({
  documents,
  family,
  generic,
}: {
  documents: Documents;
  family: string;
  /** What comes after it in a list, where that is known. */
  generic: string | undefined;
}): ReactNode {
  const sync = useSync();
  const tokens = familyTokens(documents);
  if (tokens.length === 0) return null;
  return (
    <span className="use-for">
      {tokens.map(([id, { name, value }]) => {
        const isIn = firstFamily(value.css).toLowerCase() === family.toLowerCase();
        return (
          <button
            key={id}
            type="button"
            className="as-link"
            aria-pressed={isIn}
            disabled={isIn}
            aria-label={`${isIn ? 'is' : 'use as'} ${name}: ${family}`}
            onClick={() =>
              sync.edit({
                name: 'setToken',
                args: { token: id, set: { css: listOf(family, generic, value.css) } },
              })
            }
          >
            {isIn ? `is ${name}` : `use as ${name}`}
          </button>
        );
      })}
    </span>
  );
}
