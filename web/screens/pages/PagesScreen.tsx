import { useState, type ReactNode } from 'react';
import { Button, Checkbox, Input } from 'antd';
import { allOf } from '@sormet/core/model';
import { HeadedTable } from '../../parts/HeadedTable';
import { useDerived } from '../../site/SiteProvider';
import { AddPage } from './AddPage';
import { ManyPages } from './ManyPages';
import { pageRows } from './page-order';
import { PageLine } from './PageLine';
import { placesOf } from './places-of-page';
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
