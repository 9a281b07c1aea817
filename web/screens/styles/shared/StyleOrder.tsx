import type { ReactNode } from 'react';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { docOf, orderBetween } from '@sormet/core/model';
import { stylesInOrder } from '@sormet/core/style';
import { IconButton } from '../../../parts/IconButton';
import { useDerived, useSync } from '../../../site/SiteProvider';

/** Makes a shared style weaker or stronger than those beside it: others that modify the same, or nothing. */
export function StyleOrder({ style: id }: { style: string }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const styles = stylesInOrder(documents).flatMap((each) => docOf(documents, 'style', each) ?? []);
  const style = styles.find((each) => each.id === id);
  if (!style) return null;
  const beside = styles.filter(({ base }) => base === style.base);
  const at = beside.indexOf(style);
  const move = (by: -1 | 1) => {
    const rest = beside.filter((other) => other !== style);
    const to = at + by;
    if (to < 0 || to > rest.length) return;
    const order = orderBetween(rest[to - 1]?.order ?? null, rest[to]?.order ?? null);
    sync.edit({ name: 'setStyle', args: { style: id, set: { order } } });
  };
  return (
    <>
      <IconButton
        icon={ArrowUp}
        name={`${style.name}: weaker`}
        title="Weaker"
        onPress={() => move(-1)}
      />
      <IconButton
        icon={ArrowDown}
        name={`${style.name}: stronger`}
        title="Stronger"
        onPress={() => move(1)}
      />
    </>
  );
}
