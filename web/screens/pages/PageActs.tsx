import type { ReactNode } from 'react';
import { Button, Popconfirm } from 'antd';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { newId, type PageDoc } from '@sormet/core/model';
import { duplicateOf } from '@sormet/core/edit';
import { useDerived, useSync } from '../../site/SiteProvider';
import { stepOf } from '../../site/step-of';
import { count } from '../../words';
import { ordersAfterStep } from './page-order';

/** What can be done to one page in the list: moved among those beside it, given one below, duplicated, removed. */
export function PageActs({
  page,
  beside,
  onAddBelow,
}: {
  page: PageDoc;
  /** The pages beside it and itself, in order. */
  beside: readonly PageDoc[];
  onAddBelow: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { path } = page;
  const step = (by: -1 | 1) => {
    const group = stepOf(`order ${page.id}`);
    for (const [id, order] of ordersAfterStep(beside, page, by))
      sync.edit({ name: 'setPage', args: { page: id, set: { order } } }, { group });
  };
  return (
    <span className="row-acts">
      {path === '/' ? null : (
        <>
          <Button
            size="small"
            type="text"
            icon={<ArrowUp size={13} aria-hidden />}
            aria-label={`${path}: further up`}
            title="Further up"
            onClick={() => step(-1)}
          />
          <Button
            size="small"
            type="text"
            icon={<ArrowDown size={13} aria-hidden />}
            aria-label={`${path}: further down`}
            title="Further down"
            onClick={() => step(1)}
          />
        </>
      )}
      {page.entries === null ? (
        <Button size="small" type="text" aria-label={`add below ${path}`} onClick={onAddBelow}>
          add below
        </Button>
      ) : null}
      <Button
        size="small"
        type="text"
        aria-label={`Duplicate ${path}`}
        onClick={() =>
          sync.edit({ name: 'addPage', args: { page: duplicateOf(documents, page, newId()) } })
        }
      >
        duplicate
      </Button>
      <Popconfirm
        title={`Remove ${path}?`}
        description={`This takes ${count(Object.keys(page.nodes).length, 'element')} with it. Undo brings it back; it stays published until the next release.`}
        okText="Remove"
        cancelText="Keep"
        onConfirm={() => sync.edit({ name: 'removePage', args: { page: page.id } })}
      >
        <Button size="small" type="text" aria-label={`Remove ${path}`}>
          remove
        </Button>
      </Popconfirm>
    </span>
  );
}
