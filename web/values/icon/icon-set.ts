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
      if (read.ok) icons.set(name, read.icon);
    }
    return icons;
  });
  // What could not be loaded is asked for anew the next time.
  loading.catch(() => {
    loading = undefined;
  });
  return loading;
}
