import type { ReactNode } from 'react';
import {
  allOf,
  BOOLEAN,
  childrenOf,
  docOf,
  inOrder,
  isMade,
  literal,
  own,
  yesNo,
  type ComponentDoc,
  type NodeId,
  type Slot,
  type Source,
  type TreeDoc,
} from '@sormet/core/model';
import { folderOf, nodeName, shortName } from '@sormet/core/edit';
import type { Resolved } from '@sormet/core/resolve';
import { HeadedTable } from '../parts/HeadedTable';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { ChoiceCell } from '../parts/ChoiceCell';
import type { Selected } from './use-selected';
import { count } from '../words';
import { DraftField } from '../values/DraftField';
import { ValueCell } from '../values/ValueCell';
import { AtBase } from './AtBase';
import { GroupCell } from './GroupCell';
import { SlotLying } from './SlotLying';
import { saidByVariant } from './style/picked';
import { holdsAt } from './what-shows';
import { WorkedOut } from './WorkedOut';

/** A slot of a definition: what it is called, how what comes in lies, what it takes, and what stands there otherwise. */
export function SlotValues({
  component,
  slot,
  selected,
}: {
  component: ComponentDoc;
  slot: string;
  /** The node where it stands, in the variant that is lit. */
  selected: Selected;
}): ReactNode {
  const made = own(component.slots, slot);
  if (!made) return <p className="ledger-empty">This slot is not in the definition any more.</p>;
  const args = { component: component.id, slot };
  return (
    <HeadedTable
      label={`Values of the slot ${made.label}`}
      heads={[
        { unseen: 'Group' },
        'Of the slot',
        { name: 'Value', width: 'half' },
        { unseen: 'What it is for', width: 'wide' },
      ]}
    >
      <tbody>
        <tr>
          <GroupCell label="This slot" rows={3} />
          <th scope="row">name</th>
          <td className="cell set wins">
            <DraftField
              label="Name of the slot"
              stored={made.label}
              edit={(label) => ({ name: 'setSlot', args: { ...args, set: { label } } })}
            />
          </td>
          <td className="quiet">seen by whoever fills it</td>
        </tr>
        <tr>
          <th scope="row">shown</th>
          <td className="cell set wins">
            <SlotShown selected={selected} label={made.label} />
          </td>
          <td className="quiet">hidden, what fills it stays and comes back with it</td>
        </tr>
        <tr>
          <th scope="row">lies</th>
          <td className="cell set wins">
            <SlotLying selected={selected} />
          </td>
          <td className="quiet">the style of what is around it, of a variant too</td>
        </tr>
      </tbody>
      <tbody>
        <tr>
          <GroupCell label="What comes in" rows={2} />
          <th scope="row">takes</th>
          <td className={made.allows ? 'cell set wins tight' : 'cell tight'}>
            <Taken component={component} slot={slot} made={made} />
          </td>
          <td />
        </tr>
        <tr>
          <th scope="row">at most</th>
          <td className={made.most === undefined ? 'cell' : 'cell set wins'}>
            <DraftField
              label="How many the slot holds at most"
              number={{ least: 1, most: 1000 }}
              placeholder="as many as one likes"
              stored={made.most === undefined ? '' : String(made.most)}
              edit={(typed) => ({
                name: 'setSlot',
                args: { ...args, set: { most: typed.trim() === '' ? null : Number(typed) } },
              })}
            />
          </td>
          <td />
        </tr>
      </tbody>
      <tbody>
        <tr>
          <GroupCell label="With nothing in it" rows={1} />
          <th scope="row">stands there</th>
          <td colSpan={2}>
            <Standing
              doc={component}
              nodes={childrenOf(component.nodes).of(selected.id)}
              nothing="nothing; place something with the slot selected, and that stands there"
            />
          </td>
        </tr>
      </tbody>
    </HeadedTable>
  );
}

/** Whether a slot shows: said, worked out, or by what a variant says. */
function SlotShown({ selected, label }: { selected: Selected; label: string }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { doc, id, node } = selected;
  const source = node.kind === 'slot' ? node.shown : undefined;
  const give = (next: Source | null) =>
    sync.edit({
      name: 'setControl',
      args: { doc: doc.id, node: id, control: { of: 'shown' }, source: next },
    });
  const isVaried = saidByVariant(selected.picked, id, { of: 'shown' }) !== undefined;
  return (
    <span className={isVaried ? 'cell-with-actions is-varied' : 'cell-with-actions'}>
      {isMade(source) ? null : (
        <ValueCell
          type={BOOLEAN}
          value={source?.is === 'value' ? source : yesNo(true)}
          label={`Whether the slot ${label} is shown`}
          onChange={(value) => give(literal(value))}
        />
      )}
      <WorkedOut
        label={`slot ${label} shown`}
        doc={doc}
        node={id}
        wanted={BOOLEAN}
        source={source}
        gives={holdsAt(documents, selected, BOOLEAN)}
        onGive={give}
        onRelease={() => give(null)}
      />
      <AtBase
        selected={selected}
        node={id}
        control={{ of: 'shown' }}
        what="shown"
        onBack={() => give(null)}
      />
    </span>
  );
}

/** What a slot takes: components, all in a folder, elements of a tag; anything, where none is named. */
function Taken({
  component,
  slot,
  made,
}: {
  component: ComponentDoc;
  slot: string;
  made: Slot;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const others = allOf(documents, 'component').filter(({ id }) => id !== component.id);
  const folders = [...new Set(others.flatMap(({ name }) => folderOf(name) || []))].sort();
  const offered: Taking[] = [
    ...others.map(({ id, name }): Taking => ({ in: 'allows', key: id, label: shortName(name) })),
    ...folders.map((key): Taking => ({ in: 'allowsFolders', key, label: `all of ${key}/` })),
    ...TAKEN_TAGS.map((key): Taking => ({ in: 'allowsTags', key, label: `<${key}>` })),
  ];
  const taken = (['allows', 'allowsFolders', 'allowsTags'] as const).flatMap((list) =>
    Object.keys(made[list] ?? {}).map(
      (key): Taking =>
        offered.find((each) => each.in === list && each.key === key) ?? {
          in: list,
          key,
          label: list === 'allows' ? 'gone' : key,
        },
    ),
  );
  const give = (list: Taking['in'], now: Readonly<Record<string, true>> | null) =>
    sync.edit({
      name: 'setSlot',
      args: { component: component.id, slot, set: { [list]: now } as never },
    });
  return (
    <span className="chips">
      {taken.map((each) => {
        const rest = Object.keys(made[each.in] ?? {}).filter((key) => key !== each.key);
        return (
          <button
            key={each.in + each.key}
            type="button"
            className="chip"
            aria-label={`${each.label}: no longer taken`}
            onClick={() =>
              give(
                each.in,
                rest.length > 0 ? Object.fromEntries(rest.map((key) => [key, true])) : null,
              )
            }
          >
            {each.label} ×
          </button>
        );
      })}
      <ChoiceCell
        label="What the slot takes"
        chosen={undefined}
        placeholder={taken.length === 0 ? 'anything; limit it to …' : 'and …'}
        options={offered
          .filter((each) => !own(made[each.in] ?? {}, each.key))
          .map((each) => ({ value: `${each.in} ${each.key}`, label: each.label }))}
        onChoose={(chosen) => {
          const [list, ...key] = chosen.split(' ') as [Taking['in'], ...string[]];
          give(list, { ...made[list], [key.join(' ')]: true });
        }}
      />
    </span>
  );
}

/** Something that a slot takes: in which of its lists it stands, and as what. */
interface Taking {
  readonly in: 'allows' | 'allowsFolders' | 'allowsTags';
  readonly key: string;
  readonly label: string;
}

/** Elements that people fill slots with. */
const TAKEN_TAGS = ['p', 'h2', 'h3', 'img', 'a', 'ul', 'ol', 'figure', 'blockquote', 'div'];

/** What stands in a slot, each leading to it. */
function Standing({
  doc,
  nodes,
  nothing,
}: {
  doc: TreeDoc;
  nodes: readonly NodeId[];
  nothing: string;
}): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  if (nodes.length === 0) return <span className="quiet">{nothing}</span>;
  return nodes.map((node) => (
    <button
      key={node}
      type="button"
      className="as-link in-row"
      onClick={() => dispatch(benchActions.select({ doc: doc.id, nodes: [node] }))}
    >
      {nodeName(documents, doc.nodes[node]!, doc)}
    </button>
  ));
}

/** A slot of an instance: what fills it here, and how it is filled. */
export function FilledSlot({ selected, slot }: { selected: Selected; slot: string }): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const { doc, id, component } = selected;
  const made = component && own(component.slots, slot);
  if (!made) return <p className="ledger-empty">The component has no such slot any more.</p>;
  const takes = [
    ...Object.keys(made.allows ?? {}).flatMap((each) => {
      const name = docOf(documents, 'component', each)?.name;
      return name === undefined ? [] : [shortName(name)];
    }),
    ...Object.keys(made.allowsFolders ?? {}).map((folder) => `all of ${folder}/`),
    ...Object.keys(made.allowsTags ?? {}).map((tag) => `<${tag}>`),
  ];
  const isHidden =
    selected.resolved !== undefined && !showsSlot(selected.resolved, component.id, slot);
  const standsThere = inOrder(component.slots).length;
  return (
    <HeadedTable
      label={`The slot ${made.label}`}
      heads={[{ unseen: 'Group' }, 'Of the slot', { name: 'Value', width: 'half' }]}
    >
      <tbody>
        <tr>
          <GroupCell label={made.label} rows={3} />
          <th scope="row">takes</th>
          <td>
            {takes.length > 0 ? takes.join(', ') : 'anything'}
            {made.most === undefined ? '' : `, at most ${made.most}`}
          </td>
        </tr>
        <tr>
          <th scope="row">holds</th>
          <td>
            <Standing
              doc={doc}
              nodes={childrenOf(doc.nodes).of(id, slot)}
              nothing="nothing here: what the definition has in store stands there"
            />
            {isHidden ? (
              <span className="quiet">
                {' '}
                The definition hides this slot here: what fills it stays, and shows when the slot
                does.
              </span>
            ) : null}
          </td>
        </tr>
        <tr>
          <th scope="row">fill it</th>
          <td>
            <button
              type="button"
              className="as-link"
              onClick={() => dispatch(benchActions.showGoLine(true))}
            >
              place something in it
            </button>{' '}
            <span className="quiet">
              <kbd>g</kbd>, drag from the shelf, or paste
              {standsThere > 1 ? `; ${count(standsThere, 'slot')} in all` : ''}
            </span>
          </td>
        </tr>
      </tbody>
    </HeadedTable>
  );
}

/** Whether a slot of an instance shows, with what fills it or what the definition has in store. */
function showsSlot(resolved: Resolved, component: string, slot: string): boolean {
  if (resolved.kind === 'text') return false;
  if (
    resolved.kind === 'group' &&
    resolved.from.kind === 'slot' &&
    resolved.from.slot === slot &&
    resolved.scope.within.doc === component
  )
    return true;
  return resolved.children.some((child) => showsSlot(child, component, slot));
}
