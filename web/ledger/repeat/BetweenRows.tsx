import type { ReactNode } from 'react';
import {
  childrenOf,
  docOf,
  entryDateOf,
  inOrder,
  newId,
  orderBetween,
  own,
  type Query,
  type Source,
} from '@sormet/core/model';
import { nodeName, type Records } from '@sormet/core/edit';
import { DIVIDED_BY, headingBetween, type HeadingBy } from '@sormet/core/ready';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { datePartWords, ENTRY_DATE_WORDS } from '../../words';
import { GroupCell } from '../GroupCell';
import type { Selected } from '../use-selected';
import type { SetQuery } from './set-query';

/** Values of other kinds are no words of a heading. */
const DIVIDING = new Set(['text', 'number', 'choice', 'date', 'entry']);

/** What stands between the items of a repeat: headings, each before the first item with another value of a field. */
export function BetweenRows({
  selected,
  query,
  type,
  onSet,
}: {
  selected: Selected;
  query: Query;
  type: Records;
  onSet: (next: SetQuery) => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { doc, id } = selected;
  const between = childrenOf(doc.nodes)
    .of(id)
    .flatMap((child) => {
      const node = doc.nodes[child]!;
      const shown = 'shown' in node ? node.shown : undefined;
      if (shown?.is !== 'begins') return [];
      const field = fieldIn(shown.of);
      return [{ child, field, what: whatWords(type, field, shown.of) }];
    });
  const [first] = inOrder(query.order).map(([, key]) => key);
  const options = dividing(type, (of) => docOf(documents, 'type', of)?.title);
  const add = (chosen: string) => {
    const { by } = options.find(({ value }) => value === chosen)!;
    const planted = headingBetween(documents, doc.nodes, id, by);
    if (sync.edit({ name: 'place', args: { doc: doc.id, ...planted } }))
      dispatch(benchActions.select({ doc: doc.id, nodes: [planted.root] }));
  };
  return (
    <tbody>
      {between.map(({ child, field, what }, i) => (
        <tr key={child}>
          {i === 0 ? <GroupCell label="Between" rows={between.length + 1} /> : null}
          <th scope="row">stands there</th>
          <td>
            <button
              type="button"
              className="as-link in-row"
              onClick={() => dispatch(benchActions.select({ doc: doc.id, nodes: [child] }))}
            >
              {nodeName(documents, doc.nodes[child]!, doc)}
            </button>
          </td>
          <td colSpan={3}>
            <span className="quiet">where {what} is another</span>{' '}
            {field !== undefined && first?.path[0] !== field ? (
              <>
                <span className="quiet">
                  – sorted by something else first, so one may come again:
                </span>{' '}
                <button
                  type="button"
                  className="as-link"
                  onClick={() =>
                    onSet({
                      order: newId(),
                      key: {
                        path: [field],
                        descending: false,
                        order: orderBetween(null, first?.order ?? null),
                      },
                    })
                  }
                >
                  sort by it first
                </button>
              </>
            ) : null}
          </td>
        </tr>
      ))}
      <tr>
        {between.length === 0 ? <GroupCell label="Between" rows={1} /> : null}
        <th scope="row">a heading where</th>
        <td className="cell" colSpan={2}>
          <ChoiceCell
            label="A heading between, where what is another"
            chosen={undefined}
            placeholder="choose what begins with it"
            options={options}
            onChoose={add}
          />
        </td>
        <td colSpan={2} />
      </tr>
    </tbody>
  );
}

/** Something by which a list may be divided, as it is chosen. */
interface Dividing {
  readonly value: string;
  readonly label: string;
  readonly by: HeadingBy;
}

/** By what a list of records may be divided, in the order of their fields. */
function dividing(
  { fields, title }: Records,
  titleOf: (type: string) => string | undefined,
): Dividing[] {
  return inOrder(fields).flatMap(([field, { label, type }]): Dividing[] => {
    // A title is another with each.
    if (field === title || !DIVIDING.has(type.kind)) return [];
    const words = label.toLowerCase();
    if (type.kind === 'date')
      return DIVIDED_BY.map((style) => ({
        value: `${field}/${style}`,
        label: `${words}: its ${datePartWords(style)}`,
        by: { field, type, style },
      }));
    const inner = type.kind === 'entry' && type.of !== undefined ? titleOf(type.of) : undefined;
    if (type.kind === 'entry' && inner === undefined) return [];
    const by = { field, type, ...(inner === undefined ? {} : { title: inner }) };
    return [{ value: field, label: words, by }];
  });
}

/** What is compared, in words: a field, of a date the part that is written. */
function whatWords({ fields }: Records, field: string | undefined, of: Source): string {
  const date = field === undefined ? undefined : entryDateOf(field);
  const label =
    field === undefined
      ? undefined
      : (own(fields, field)?.label.toLowerCase() ?? (date && ENTRY_DATE_WORDS[date]));
  if (label === undefined) return 'what it says';
  const [piece] = of.is === 'words' ? of.pieces : [];
  const format = typeof piece === 'object' && 'format' in piece ? piece.format : undefined;
  const part = format?.as === 'date' ? datePartWords(format.style) : undefined;
  return part === undefined ? label : `the ${part} of ${label}`;
}

/** The field of the item that a source reads, by itself or among words. */
function fieldIn(source: Source): string | undefined {
  if (source.is === 'field') return source.path[0];
  const [read] = source.is === 'words' ? Object.values(source.names) : [];
  return read && fieldIn(read);
}
