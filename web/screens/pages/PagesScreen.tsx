import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Button, Checkbox, Input, Popconfirm, Popover, Switch } from 'antd';
import { ArrowDown, ArrowUp } from 'lucide-react';
import {
  allOf,
  docOf,
  newId,
  orderBetween,
  ordersFor,
  type Documents,
  type PageDoc,
} from '@sormet/core/model';
import { duplicateOf, pagesBelow, shortName } from '@sormet/core/edit';
import { HeadedTable } from '../../parts/HeadedTable';
import { useDerived, useSync } from '../../site/SiteProvider';
import { count } from '../../words';
import { DraftField } from '../../values/DraftField';
import { AddPage } from './AddPage';
import { inPlace, pageRows, type PageRow } from './page-order';
import { PagePicture } from './PagePicture';
import './PagesScreen.css';
import '../screens.css';

/** All pages as a tree by path: found, ordered, duplicated, moved with what is below, many at once. */
export function PagesScreen(): ReactNode {
  const { documents } = useDerived();
  const [adding, setAdding] = useState<string | null>(null);
  const [search, setSearch] = useState('');
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const rows = pageRows(allOf(documents, 'page'));
  const wanted = search.trim().toLowerCase();
  const found = rows.filter(({ page }) =>
    `${page.path} ${page.name} ${placesOf(documents, page)}`.toLowerCase().includes(wanted),
  );
  const chosen = found.filter(({ page }) => ticked.has(page.id));
  const tick = (ids: readonly string[], on: boolean) => {
    const next = new Set(ticked);
    for (const id of ids)
      if (on) next.add(id);
      else next.delete(id);
    setTicked(next);
  };
  return (
    <>
      <div className="screen-head">
        <h1>Pages</h1>
        <span className="screen-acts">
          <Input
            className="search"
            aria-label="Search the pages"
            placeholder="path, name or component"
            value={search}
            onChange={({ target }) => setSearch(target.value)}
          />
          <Button type="primary" onClick={() => setAdding('')}>
            Add a page
          </Button>
        </span>
      </div>
      {rows.length === 0 ? (
        <p className="first-steps">
          There is no page yet. The first one is the home page, at <code>/</code>.{' '}
          <Button size="small" type="primary" onClick={() => setAdding('')}>
            Add the first page
          </Button>
        </p>
      ) : null}
      {rows.length > 0 && found.length === 0 ? <p>No page is found by that.</p> : null}
      <ManyPages pages={chosen.map(({ page }) => page)} onDone={() => setTicked(new Set())} />
      {found.length > 0 ? (
        <HeadedTable
          label="Pages"
          className="screen-table pages"
          heads={[
            {
              name: (
                <>
                  <Checkbox
                    aria-label="All pages"
                    checked={chosen.length === found.length}
                    indeterminate={chosen.length > 0 && chosen.length < found.length}
                    onChange={({ target }) =>
                      tick(
                        found.map(({ page }) => page.id),
                        target.checked,
                      )
                    }
                  />
                </>
              ),
              width: 'tick',
            },
            'Path',
            'Name',
            'Made from',
            'Places',
            'Publish',
            { unseen: 'Acts' },
          ]}
        >
          <tbody>
            {found.map((row) => (
              <PageLine
                key={row.page.id}
                row={row}
                beside={rows.filter(({ parent }) => parent === row.parent).map(({ page }) => page)}
                ticked={ticked.has(row.page.id)}
                onTick={(on) => tick([row.page.id], on)}
                onAddBelow={() => setAdding(row.page.path)}
              />
            ))}
          </tbody>
        </HeadedTable>
      ) : null}
      <AddPage
        key={adding ?? ''}
        open={adding !== null}
        under={adding ?? ''}
        onClose={() => setAdding(null)}
      />
    </>
  );
}

function PageLine({
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
  const isPerEntry = page.entries !== null;
  const duplicate = () =>
    sync.edit({ name: 'addPage', args: { page: duplicateOf(documents, page, newId()) } });
  /** Past the neighbour: those beside it get orders of their own the first time. */
  const step = (by: -1 | 1) => {
    const pages = inPlace(beside);
    const at = pages.findIndex(({ id }) => id === page.id);
    const to = at + by;
    if (to < 0 || to >= pages.length || pages[to]!.path === '/') return;
    const orders = ordersFor(pages.length);
    const orderOf = (i: number) => pages[i]?.order ?? orders[i] ?? null;
    const group = `order ${page.id} ${Date.now()}`;
    const sorted = pages.every(
      ({ order }, i) => i === 0 || (order ?? '') > (pages[i - 1]!.order ?? ''),
    );
    if (!sorted || pages.some(({ order }) => order === undefined)) {
      const moved = [...pages];
      moved.splice(at, 1);
      moved.splice(to, 0, page);
      moved.forEach((each, i) =>
        sync.edit(
          { name: 'setPage', args: { page: each.id, set: { order: orders[i]! } } },
          { group },
        ),
      );
      return;
    }
    const order =
      by < 0
        ? orderBetween(orderOf(to - 1), orderOf(to))
        : orderBetween(orderOf(to), orderOf(to + 1));
    sync.edit({ name: 'setPage', args: { page: page.id, set: { order } } }, { group });
  };
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
        {isPerEntry
          ? `${count(reach.publishedAt(page.id), 'entry', 'entries')} of ${docOf(documents, 'type', page.entries!)?.plural ?? ''}`
          : 'one page'}
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
        <span className="row-acts">
          {page.path === '/' ? null : (
            <>
              <Button
                size="small"
                type="text"
                icon={<ArrowUp size={13} aria-hidden />}
                aria-label={`${page.path}: further up`}
                title="Further up"
                onClick={() => step(-1)}
              />
              <Button
                size="small"
                type="text"
                icon={<ArrowDown size={13} aria-hidden />}
                aria-label={`${page.path}: further down`}
                title="Further down"
                onClick={() => step(1)}
              />
            </>
          )}
          {isPerEntry ? null : (
            <Button
              size="small"
              type="text"
              aria-label={`add below ${page.path}`}
              onClick={onAddBelow}
            >
              add below
            </Button>
          )}
          <Button
            size="small"
            type="text"
            aria-label={`Duplicate ${page.path}`}
            onClick={duplicate}
          >
            duplicate
          </Button>
          <Popconfirm
            title={`Remove ${page.path}?`}
            description={`This takes ${count(Object.keys(page.nodes).length, 'element')} with it. Undo brings it back; it stays published until the next release.`}
            okText="Remove"
            cancelText="Keep"
            onConfirm={() => sync.edit({ name: 'removePage', args: { page: page.id } })}
          >
            <Button size="small" type="text" aria-label={`Remove ${page.path}`}>
              remove
            </Button>
          </Popconfirm>
        </span>
      </td>
    </tr>
  );
}

/** What can be done to several pages at once, each as one step to undo. */
function ManyPages({
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

function placesOf(documents: Documents, page: PageDoc): string {
  const names = new Set<string>();
  for (const node of Object.values(page.nodes))
    if (node.kind === 'instance' && node.place.parent !== null)
      names.add(shortName(docOf(documents, 'component', node.component)?.name ?? 'gone'));
  return [...names].sort().join(', ');
}
