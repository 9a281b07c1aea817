import type { ReactNode } from 'react';
import {
  chainOf,
  leafPath,
  NUMBER,
  PerPage,
  repeatsAround,
  sourcesOf,
  type NodeId,
  type TreeDoc,
} from '@sormet/core/model';
import { pagesOfList } from '@sormet/core/ready';
import { leavesFor, runQuery, type Item } from '@sormet/core/value';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { ValueCell } from '../../values/ValueCell';
import { count } from '../../words';
import type { Selected } from '../use-selected';
import { AddRow } from './AddRow';
import type { SetQuery } from './set-query';

/** Over how many pages a long list is divided, and what leads from one to the next. */
export function PagesRow({
  selected,
  onSet,
}: {
  selected: Selected;
  onSet: (set: SetQuery) => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { doc, id, node } = selected;
  if (node.kind !== 'repeat') return null;
  const { perPage } = node.query;
  const isInner = repeatsAround(doc, id).length > 0;
  const add = () => {
    const planted = pagesOfList(documents, doc.nodes, id);
    if (sync.edit({ name: 'place', args: { doc: doc.id, ...planted } }))
      dispatch(benchActions.select({ doc: doc.id, nodes: [planted.root] }));
  };
  return (
    <tr>
      <th scope="row">on each page</th>
      <td className={perPage === undefined ? 'cell' : 'cell set wins'}>
        <ValueCell
          type={ON_EACH}
          value={perPage === undefined ? undefined : { type: 'number', value: perPage }}
          label="Repeat, on each page"
          placeholder="all of them"
          onChange={({ value }) =>
            onSet({ perPage: typeof value === 'number' ? Math.round(value) : null })
          }
        />
      </td>
      <td colSpan={3}>
        {perPage === undefined ? null : isInner ? (
          <span className="quiet">it stands in another list, so that it is not divided</span>
        ) : (
          <>
            <span className="quiet">{dividedWords(selected, perPage)}</span>{' '}
            {readsPages(doc, id) ? null : (
              <AddRow words="put links to the page before and the next below it" onAdd={add} />
            )}
          </>
        )}
      </td>
    </tr>
  );
}

const ON_EACH = { ...NUMBER, least: PerPage.minimum!, most: PerPage.maximum! };

/** How many pages it comes to where it is looked at, and where they are. */
function dividedWords({ doc, node, resolved }: Selected, perPage: number): string {
  if (node.kind !== 'repeat' || !resolved) return '';
  const found = runQuery(node.query, resolved.scope) as readonly Item[];
  const pages = leavesFor(found.length, perPage);
  const { path } = resolved.scope.leaf as { path: string };
  const where = doc.kind === 'page' && pages > 1 ? `: ${leafPath(path, 2)}` : '';
  const more = where !== '' && pages > 2 ? ' …' : '';
  return `${count(found.length, 'entry', 'entries')} on ${count(pages, 'page')}${where}${more}`;
}

/** Whether something of a document leads from one of the pages of a list to another. */
function readsPages(doc: TreeDoc, repeat: NodeId): boolean {
  return Object.values(doc.nodes).some((node) =>
    sourcesOf(node).some(([, source]) =>
      chainOf(source).some((each) => each.is === 'leaf' && each.repeat === repeat),
    ),
  );
}
