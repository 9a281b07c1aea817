import type { ReactNode } from 'react';
import { Button } from 'antd';
import { allOf, childrenOf, rootOf, type PageDoc } from '@sormet/core/model';
import { folderOf, shortName } from '@sormet/core/edit';
import { STARTERS } from '@sormet/core/ready';
import { usePlacing, type Placeable } from '../../canvas/placing';
import { useDerived } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { nextPlace } from '../go-line/places';

/** How many sections are offered on a page that nothing stands on. */
const OFFERED = 3;

/** Says of a page that nothing stands on what to do first, and does it with one press. */
export function EmptyPage({ page }: { page: PageDoc }): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const placing = usePlacing();
  if (childrenOf(page.nodes).all(rootOf(page.nodes)).length > 0) return null;
  const place = (placeable: Placeable) => {
    const at = nextPlace(documents, page.id, null);
    if (at) placing.place(page.id, placeable, at);
  };
  const sections = allOf(documents, 'component')
    .filter(({ name }) => folderOf(name) === 'Sections')
    .map(({ id, name }) => ({
      label: shortName(name),
      placeable: { is: 'component', id } as const,
    }));
  const ready = STARTERS.filter(({ folder }) => folder === 'Ready sections').map(
    ({ key, label }) => ({ label, placeable: { is: 'starter', key } as const }),
  );
  return (
    <div className="empty-page">
      <span>Nothing stands on this page yet. Begin with</span>
      {[...ready, ...sections].slice(0, OFFERED).map(({ label, placeable }, i) => (
        <Button
          key={label}
          size="small"
          type={i === 0 ? 'primary' : 'default'}
          onClick={() => place(placeable)}
        >
          {label}
        </Button>
      ))}
      <Button size="small" type="text" onClick={() => dispatch(benchActions.showGoLine(true))}>
        something else <kbd>g</kbd>
      </Button>
    </div>
  );
}
