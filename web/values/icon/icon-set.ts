import { readIcon } from '@sormet/core/format';
import type { IconValue } from '@sormet/core/model';

/** The icons that ship: those of Lucide (ISC licence, with it in the package), as their shapes. */
export type IconSet = ReadonlyMap<string, IconValue>;

let loading: Promise<IconSet> | undefined;

/** Reads the set when somebody first chooses an icon: it is no part of what is loaded before. */
export function loadIconSet(): Promise<IconSet> {
  loading ??= import('lucide-static/icon-nodes.json').then(({ default: nodes }) => {
    const icons = new Map<string, IconValue>();
    for (const [name, shapes] of Object.entries(
      nodes as unknown as Record<string, [string, Record<string, string>][]>,
    )) {
      const read = readIcon(
        {
          tag: 'svg',
          attributes: { viewBox: '0 0 24 24', fill: 'none', stroke: 'currentColor' },
          children: shapes.map(([tag, attributes]) => ({ tag, attributes, children: [] })),
        },
        name.replaceAll('-', ' '),
      );
      if (read.ok) icons.set(name, asLines(read.icon));
    }
    return icons;
  });
  // What could not be loaded is asked for anew the next time.
  loading.catch(() => {
    loading = undefined;
  });
  return loading;
}

/** An icon whose lines are as wide as the site says: what is drawn as lines alone has no width of its own. */
function asLines(icon: IconValue): IconValue {
  return {
    ...icon,
    shapes: icon.shapes.map(({ paint, ...shape }) =>
      paint && (paint.fill || paint.transform) ? { ...shape, paint } : shape,
    ),
  };
}
