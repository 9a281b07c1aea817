import { createElement, type ReactNode } from 'react';
import { kindOf, type Fragment, type IconValue } from '@sormet/core/model';

/** An icon as pages show it, in the size and colour of the words around. */
export function IconDrawn({ icon, size = '1em' }: { icon: IconValue; size?: string }): ReactNode {
  const [drawing] = kindOf('icon').fragments!(icon as never, undefined as never) as [Fragment];
  return typeof drawing === 'string' ? null : (
    <span style={{ fontSize: size, lineHeight: 1 }}>{draw(drawing, 'icon')}</span>
  );
}

function draw(fragment: Fragment, key: string | number): ReactNode {
  if (typeof fragment === 'string') return fragment;
  const { attributes } = fragment;
  const named = Object.fromEntries(
    Object.entries(attributes).map(([name, value]) => [
      name.startsWith('aria-')
        ? name
        : name.replace(/-([a-z])/g, (__, letter: string) => letter.toUpperCase()),
      value,
    ]),
  );
  return createElement(fragment.tag, { ...named, key }, ...fragment.children.map(draw));
}
