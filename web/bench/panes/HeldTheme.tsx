import type { ReactNode } from 'react';
import { inOrder, PLAIN_THEME } from '@sormet/core/model';
import { useDerived } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';

/** The theme in which the canvas shows everything, to look at it: nothing of the site changes by it. */
export function HeldTheme(): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const held = useApp((state) => state.bench.heldTheme);
  const { themes = {} } = documents.tokens;
  if (Object.keys(themes).length === 0) return null;
  return (
    <select
      className="held-theme"
      aria-label="Shown in the theme"
      title="To look at all of it in another theme; nothing of the site changes"
      value={held ?? ''}
      onChange={({ target }) =>
        dispatch(benchActions.holdTheme(target.value === '' ? null : target.value))
      }
    >
      <option value="">as published</option>
      <option value={PLAIN_THEME}>shown in plain</option>
      {inOrder(themes).map(([id, { name }]) => (
        <option key={id} value={id}>
          shown in {name}
        </option>
      ))}
    </select>
  );
}
