import type { ReactNode } from 'react';
import { Plus } from 'lucide-react';
import {
  allOf,
  childrenOf,
  docOf,
  entryTitle,
  inOrder,
  literal,
  newId,
  NONE,
  NUMBER,
  orderBetween,
  placeAt,
  queriedType,
  type Source,
  type Typed,
} from '@sormet/core/model';
import { listsAround, nodeName, recordsOf } from '@sormet/core/edit';
import { plant } from '@sormet/core/ready';
import { HeadedTable } from '../../parts/HeadedTable';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { ValueCell } from '../../values/ValueCell';
import type { Selected } from '../use-selected';
import { count } from '../../words';
import { GroupCell } from '../GroupCell';
import { NameRow } from '../NameRow';
import { AddRow } from './AddRow';
import { BetweenRows } from './BetweenRows';
import { ConditionRows } from './ConditionRows';
import { OrderRow } from './OrderRow';
import { PagesRow } from './PagesRow';
import type { SetQuery } from './set-query';

/** What a repeat goes over, which of it, in which order, how many, and what stands there for none. */
export function RepeatValues({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { doc, id, node } = selected;
  if (node.kind !== 'repeat') return null;
  const { query } = node;
  const asked = queriedType(query);
  const lists = listsAround(documents, doc, id);
  const type = recordsOf(documents, doc, id, query.from);
  const set = (next: SetQuery) =>
    sync.edit({ name: 'setQuery', args: { doc: doc.id, node: id, set: next } });
  const orders = inOrder(query.order);
  return (
    <HeadedTable
      label="Values of the repeat"
      heads={[
        { unseen: 'Group' },
        'Of the repeat',
        { name: 'Field', width: 'wide' },
        { name: 'How', width: 'wide' },
        { name: 'Value', width: 'wide' },
        { width: 'tick' },
      ]}
    >
      <tbody>
        <NameRow
          doc={doc.id}
          node={id}
          name={node.name ?? ''}
          columns={5}
          group={<GroupCell label="This repeat" rows={2} />}
        />
        <tr>
          <th scope="row">goes over</th>
          <td className="cell set wins" colSpan={2}>
            <ChoiceCell
              label="What the repeat goes over"
              chosen={asked ?? JSON.stringify('list' in query.from ? query.from.list : null)}
              options={[
                ...lists.map(({ label, source }) => ({
                  value: JSON.stringify(source),
                  label: `${label} (a list)`,
                })),
                ...allOf(documents, 'type').map(({ id: value, plural }) => ({
                  value,
                  label: plural,
                })),
              ]}
              onChoose={(chosen) => {
                const list = lists.find(({ source }) => JSON.stringify(source) === chosen);
                set(list ? { list: list.source } : { type: chosen });
              }}
            />
          </td>
          <td colSpan={2} className="cut-words">
            <ShownNow selected={selected} />
          </td>
        </tr>
      </tbody>
      {type ? (
        <>
          <ConditionRows selected={selected} query={query} type={type} onSet={set} />
          <tbody>
            {orders.map(([key], i) => (
              <OrderRow
                key={key}
                selected={selected}
                type={type}
                id={key}
                group={i === 0 ? <GroupCell label="Sorted by" rows={orders.length + 1} /> : null}
              />
            ))}
            <tr>
              {orders.length === 0 ? <GroupCell label="Sorted by" rows={1} /> : null}
              <td colSpan={5}>
                <AddRow
                  words="add a field to sort by"
                  onAdd={() =>
                    set({
                      order: newId(),
                      key: {
                        path: [type.title],
                        descending: false,
                        order: orderBetween(orders.at(-1)?.[1].order ?? null, null),
                      },
                    })
                  }
                />
              </td>
            </tr>
          </tbody>
          <BetweenRows selected={selected} query={query} type={type} onSet={set} />
        </>
      ) : null}
      <tbody>
        <NumberRow
          label="at most"
          group={<GroupCell label="How many" rows={3} />}
          source={query.limit}
          placeholder="all there are"
          onSet={(limit) => set({ limit })}
        />
        <NumberRow
          label="leaving out the first"
          source={query.offset}
          placeholder="none"
          onSet={(offset) => set({ offset })}
        />
        <PagesRow selected={selected} onSet={set} />
      </tbody>
      <tbody>
        <NoneRow selected={selected} />
      </tbody>
    </HeadedTable>
  );
}

function NumberRow({
  label,
  group,
  source,
  placeholder,
  onSet,
}: {
  label: string;
  group?: ReactNode;
  source: Source | undefined;
  placeholder: string;
  onSet: (source: Source | null) => void;
}): ReactNode {
  const held = source?.is === 'value' ? (source as Typed) : undefined;
  return (
    <tr>
      {group}
      <th scope="row">{label}</th>
      <td className={held ? 'cell set wins' : 'cell'}>
        {source && source.is !== 'value' ? (
          <span className="quiet">from elsewhere</span>
        ) : (
          <ValueCell
            type={NUMBER}
            value={held}
            label={`Repeat, ${label}`}
            placeholder={placeholder}
            onChange={(value) => onSet(value.value === null ? null : literal(value))}
          />
        )}
      </td>
      <td colSpan={3} />
    </tr>
  );
}

/** How many it shows now, and which. */
function ShownNow({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const { resolved } = selected;
  const rounds =
    resolved?.kind === 'group'
      ? resolved.children.flatMap((child) =>
          child.kind === 'group' && child.item ? [child.item.id] : [],
        )
      : [];
  const names = rounds.slice(0, 3).map((round) => {
    const entry = docOf(documents, 'entry', round);
    return entry ? entryTitle(documents, entry) : round;
  });
  const which = names.length > 0 ? `: ${names.join(', ')}${rounds.length > 3 ? ' …' : ''}` : '';
  const words = `shows ${count(rounds.length, 'entry', 'entries')}${which}`;
  return (
    <span className="quiet" title={words}>
      {words}
    </span>
  );
}

/** What stands there when nothing is found. */
function NoneRow({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { doc, id } = selected;
  const none = childrenOf(doc.nodes).of(id, NONE);
  const select = (node: string) => dispatch(benchActions.select({ doc: doc.id, nodes: [node] }));
  const add = () => {
    const place = placeAt(doc.nodes, id, Infinity, NONE);
    const planted = plant({ tag: 'p', name: 'For none', text: 'There is nothing yet.' }, place);
    if (sync.edit({ name: 'place', args: { doc: doc.id, ...planted } })) select(planted.root);
  };
  return (
    <tr>
      <GroupCell label="For none" rows={1} />
      <th scope="row">stands there</th>
      <td colSpan={4}>
        {none.length === 0 ? (
          <button type="button" className="as-link" onClick={add}>
            <Plus size={12} aria-hidden /> nothing; put a text there
          </button>
        ) : (
          none.map((child) => (
            <button
              key={child}
              type="button"
              className="as-link in-row"
              onClick={() => select(child)}
            >
              {nodeName(documents, doc.nodes[child]!, doc)}
            </button>
          ))
        )}
      </td>
    </tr>
  );
}
