import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Checkbox, Popover, Switch } from 'antd';
import { docOf, type PageDoc } from '@sormet/core/model';
import { pagesBelow } from '@sormet/core/edit';
import { useDerived, useSync } from '../../site/SiteProvider';
import { DraftField } from '../../values/DraftField';
import { count } from '../../words';
import { PageActs } from './PageActs';
import type { PageRow } from './page-order';
import { PagePicture } from './PagePicture';
import { placesOf } from './places-of-page';

/** One page: where it stands, what it is made from, whether it is published, and what can be done to it. */
export function PageLine({
  row: { page, depth },
  beside,
  ticked,
  onTick,
  onAddBelow,
}: {
  row: PageRow;
  /** The pages beside it and itself, in order. */
  beside: readonly PageDoc[];
  ticked: boolean;
  onTick: (on: boolean) => void;
  onAddBelow: () => void;
}): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const below = pagesBelow(documents, page);
  const former = Object.keys(page.former);
  const { entries } = page;
  return (
    <tr className={ticked ? 'chosen' : undefined}>
      <td className="tick">
        <Checkbox
          aria-label={`Choose ${page.path}`}
          checked={ticked}
          onChange={({ target }) => onTick(target.checked)}
        />
      </td>
      <td style={{ paddingInlineStart: 12 + depth * 20 }}>
        <DraftField
          mono
          label={`Path of ${page.name}`}
          stored={page.path}
          edit={(path) => ({
            name: 'setPath',
            args: {
              page: page.id,
              path: path.trim(),
              ...(below.length > 0 ? { below: true } : {}),
            },
          })}
        />
        {below.length > 0 ? (
          <span className="quiet">{count(below.length, 'page')} below goes along</span>
        ) : null}
        {former.length > 0 ? (
          <span className="quiet">
            {' '}
            {former.join(', ')} {former.length === 1 ? 'leads' : 'lead'} here
          </span>
        ) : null}
      </td>
      <td>
        <Popover
          placement="right"
          mouseEnterDelay={0.3}
          destroyOnHidden
          content={<PagePicture page={page} />}
        >
          <Link to={`/sites/${sync.site}/bench/${page.id}`} className="open-bench">
            {page.name}
          </Link>
        </Popover>
      </td>
      <td>
        {entries === null
          ? 'one page'
          : `${count(reach.publishedAt(page.id), 'entry', 'entries')} of ${docOf(documents, 'type', entries)?.plural ?? ''}`}
      </td>
      <td className="places">{placesOf(documents, page)}</td>
      <td>
        <Switch
          size="small"
          aria-label={`Publish ${page.path}`}
          checked={!page.draft}
          onChange={(on) =>
            sync.edit({ name: 'setPage', args: { page: page.id, set: { draft: !on } } })
          }
        />{' '}
        <span className="quiet">{page.draft ? 'draft' : ''}</span>
      </td>
      <td>
        <PageActs page={page} beside={beside} onAddBelow={onAddBelow} />
      </td>
    </tr>
  );
}
