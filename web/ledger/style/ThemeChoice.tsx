import type { ReactNode } from 'react';
import { inOrder, own, PLAIN_THEME } from '@sormet/core/model';
import { useDerived, useSync } from '../../site/SiteProvider';
import type { Selected } from '../use-selected';

const AROUND = '';

/** The theme that begins with what is selected, where the site has themes. */
export function ThemeChoice({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { themes = {} } = documents.tokens;
  const { node, doc, all } = selected;
  if (node.kind !== 'element' && node.kind !== 'instance') return null;
  if (Object.keys(themes).length === 0) return null;
  const chosen = node.theme ?? AROUND;
  const known = chosen === AROUND || chosen === PLAIN_THEME || own(themes, chosen) !== undefined;
  return (
    <select
      className="theme-choice"
      aria-label="Theme"
      title="The theme that begins here"
      value={chosen}
      onChange={({ target }) =>
        sync.edit({
          name: 'putTheme',
          args: {
            doc: doc.id,
            nodes: [...all],
            theme: target.value === AROUND ? null : target.value,
          },
        })
      }
    >
      <option value={AROUND}>theme as around it</option>
      <option value={PLAIN_THEME}>plain</option>
      {inOrder(themes).map(([id, { name }]) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
      {known ? null : <option value={chosen}>a theme that is gone</option>}
    </select>
  );
}
