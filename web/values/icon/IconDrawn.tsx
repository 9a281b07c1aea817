import { createElement, type ReactNode } from 'react';
import { kindOf, type Fragment, type IconValue } from '@sormet/core/model';
import { reactNames } from './react-names';

/** An icon as pages show it, in the size and colour of the words around. */
export function IconDrawn({ icon, size = '1em' }: { icon: IconValue; size?: string }): ReactNode {
  const [drawing] = kindOf('icon').fragments!(icon, undefined as never) as [Fragment];
  return typeof drawing === 'string' ? null : (
    <span style={{ fontSize: size, lineHeight: 1 }}>{draw(drawing, 'icon')}</span>
  );
}

function draw(fragment: Fragment, key: string | number): ReactNode {
  if (typeof fragment === 'string') return fragment;
  const props = { ...reactNames(fragment.attributes), key };
  return createElement(fragment.tag, props, ...fragment.children.map(draw));
}
