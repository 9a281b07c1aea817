import type { ReactNode } from 'react';
import { Button, Popconfirm } from 'antd';
import { newId, type PageDoc } from '@sormet/core/model';
import { useSync } from '../../site/SiteProvider';
import { count } from '../../words';

/** What can be done to several pages at once, each as one step to undo. */
export function ManyPages({
  pages,
  onDone,
}: {
  pages: readonly PageDoc[];
  onDone: () => void;
}): ReactNode {
  const sync = useSync();
  if (pages.length === 0) return null;
  const drafts = (draft: boolean) => {
    const group = `drafts ${newId()} 1`;
    for (const { id } of pages)
      sync.edit({ name: 'setPage', args: { page: id, set: { draft } } }, { group });
    onDone();
  };
  const remove = () => {
    const group = `pages ${newId()} 1`;
    for (const { id } of pages) sync.edit({ name: 'removePage', args: { page: id } }, { group });
    onDone();
  };
  return (
    <div className="many-pages" role="group" aria-label="Chosen pages">
      <span>{count(pages.length, 'page')} chosen</span>
      <Button size="small" onClick={() => drafts(false)}>
        Publish with the next release
      </Button>
      <Button size="small" onClick={() => drafts(true)}>
        Make drafts
      </Button>
      <Popconfirm
        title={`Remove ${count(pages.length, 'page')}?`}
        description={`${pages.map(({ path }) => path).join(', ')}. One undo brings all back.`}
        okText="Remove them"
        cancelText="Keep them"
        onConfirm={remove}
      >
        <Button size="small">Remove</Button>
      </Popconfirm>
      <Button size="small" type="text" onClick={onDone}>
        choose none
      </Button>
    </div>
  );
}
