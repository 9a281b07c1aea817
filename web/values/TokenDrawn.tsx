import type { CSSProperties, ReactNode } from 'react';
import type { PlaceholderType, TokenGroup } from '@sormet/core/model';
import './values.css';

/** A token's value as it looks, small. */
export function TokenDrawn({
  type,
  group,
  css,
}: {
  type: PlaceholderType;
  group: TokenGroup;
  css: string | undefined;
}): ReactNode {
  if (css === undefined) return <span className="token-drawn" aria-hidden />;
  const style = styleOf(type, group, css);
  return style ? (
    <span className="token-drawn" style={style} aria-hidden>
      {type === 'font' || group === 'weight' || group === 'size' ? 'Aa' : ''}
    </span>
  ) : null;
}

function styleOf(type: PlaceholderType, group: TokenGroup, css: string): CSSProperties | undefined {
  switch (type) {
    case 'colour':
    case 'gradient':
      return { background: css };
    case 'length':
      if (group === 'radius') return { borderRadius: css, background: 'var(--soft)' };
      if (group === 'size') return { fontSize: `min(${css}, 15px)`, border: 0 };
      return { width: `min(${css}, 60px)`, height: 10, border: 0, background: 'var(--quiet)' };
    case 'font':
      return { fontFamily: css, border: 0 };
    case 'border':
      return { border: css };
    case 'line':
      return { border: 0, borderTop: `2px ${css} var(--ink)`, height: 2, borderRadius: 0 };
    case 'shadow':
      return { boxShadow: css, border: 0, background: 'var(--sheet)', overflow: 'visible' };
    case 'number':
      return group === 'weight' ? { fontWeight: css, border: 0 } : undefined;
    default:
      return undefined;
  }
}
