import type { ReactNode } from 'react';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import {
  docOf,
  inOrder,
  newId,
  orderBetween,
  type Act,
  type Acts,
  type NodeId,
  type TreeDoc,
} from '@sormet/core/model';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { IconButton } from '../../parts/IconButton';
import { useDerived } from '../../site/SiteProvider';
import { elementsFor, newAct, ToCell, WhatCell } from './ActCells';
import { DOES_WORDS, MAY_FAIL } from './act-words';
import { OnlyWhen } from './OnlyWhen';
import { statesFor, waysOf } from './state-ways';

/** Acts in their order, each a row: what is done, to what, where to, only when; below it what is done when it fails. */
export function ActRows({
  label,
  doc,
  node,
  of,
  acts,
  before = '',
  onGive,
}: {
  /** When they are done, in words. */
  label: string;
  doc: TreeDoc;
  node: NodeId;
  /** What tells the words in these acts from those of others. */
  of: string;
  acts: Acts;
  /** The number of the act that these are done for when it fails, with a dot behind. */
  before?: string;
  onGive: (acts: Acts, group: string | null) => void;
}): ReactNode {
  const sorted = inOrder(acts);
  const give = (id: string, act: Act | null, group: string | null = null) => {
    const { [id]: _, ...others } = acts;
    onGive(act ? { ...others, [id]: act } : others, group === null ? null : `${id} ${group}`);
  };
  const swap = (i: number, j: number) => {
    const [a, b] = [sorted[i]!, sorted[j]!];
    onGive(
      { ...acts, [a[0]]: { ...a[1], order: b[1].order }, [b[0]]: { ...b[1], order: a[1].order } },
      null,
    );
  };
  return (
    <>
      {sorted.map(([id, act], i) => {
        const number = `${before}${i + 1}`;
        const name = `${label}, act ${number}`;
        const set = (next: Act, group?: string | null) => give(id, next, group ?? null);
        const cell = { label: name, doc, node, of: `${of} ${id}`, act, onGive: set };
        return (
          <ActRow
            key={id}
            when={label}
            cell={cell}
            number={number}
            isInner={before !== ''}
            onEarlier={i > 0 ? () => swap(i, i - 1) : undefined}
            onLater={i < sorted.length - 1 ? () => swap(i, i + 1) : undefined}
            onTake={() => give(id, null)}
          />
        );
      })}
      <tr className={before === '' ? undefined : 'act-inner'}>
        <td className="act-number quiet">{before}</td>
        <td colSpan={5}>
          <AddAct
            label={before === '' ? `${label}, then` : `${label}, if ${before.slice(0, -1)} fails`}
            words={
              before !== ''
                ? sorted.length === 0
                  ? 'what is done then'
                  : 'then …'
                : sorted.length === 0
                  ? 'what is done'
                  : 'then …'
            }
            doc={doc}
            node={node}
            order={orderBetween(sorted.at(-1)?.[1].order ?? null, null)}
            onAdd={(act) => give(newId(), act)}
          />
        </td>
      </tr>
    </>
  );
}

interface Cell {
  readonly label: string;
  readonly doc: TreeDoc;
  readonly node: NodeId;
  readonly of: string;
  readonly act: Act;
  readonly onGive: (act: Act, group?: string | null) => void;
}

function ActRow({
  when,
  cell,
  number,
  isInner,
  onEarlier,
  onLater,
  onTake,
}: {
  /** When it is done, in words. */
  when: string;
  cell: Cell;
  number: string;
  isInner: boolean;
  onEarlier: (() => void) | undefined;
  onLater: (() => void) | undefined;
  onTake: () => void;
}): ReactNode {
  const { act, doc, node, label, onGive } = cell;
  const place = doc.kind === 'component' ? 'cell definition' : 'cell set';
  return (
    <>
      <tr className={isInner ? 'act-inner' : undefined}>
        <td className="act-number">{number}</td>
        <td className="cell">
          <DoesCell {...cell} />
        </td>
        <td className={place}>
          <WhatCell {...cell} />
        </td>
        <td className={place}>
          <ToCell {...cell} />
        </td>
        <td className="cell">
          <OnlyWhen
            label={`${label}: only when`}
            doc={doc}
            node={node}
            source={act.if}
            onGive={(source) => {
              const { if: _, ...rest } = act;
              onGive((source ? { ...rest, if: source } : rest) as Act);
            }}
          />
        </td>
        <td className="tight act-buttons">
          {MAY_FAIL.has(act.do) && !act.failing && !isInner ? (
            <button
              type="button"
              className="as-link"
              aria-label={`${label}: if it fails`}
              onClick={() => onGive({ ...act, failing: {} })}
            >
              if it fails
            </button>
          ) : null}
          {onEarlier ? (
            <IconButton
              icon={ArrowUp}
              name={`${label}: earlier`}
              title="Earlier"
              onPress={onEarlier}
            />
          ) : null}
          {onLater ? (
            <IconButton icon={ArrowDown} name={`${label}: later`} title="Later" onPress={onLater} />
          ) : null}
          <IconButton
            icon={X}
            name={`${label}: take it away`}
            title="Take it away"
            onPress={onTake}
          />
        </td>
      </tr>
      {act.failing ? (
        <>
          <tr className="act-inner">
            <td />
            <th scope="rowgroup" colSpan={4} className="act-failing">
              if {number} fails, instead of what is behind it
            </th>
            <td className="tight">
              <IconButton
                icon={X}
                name={`${label}: nothing if it fails`}
                title="Nothing if it fails"
                onPress={() => {
                  const { failing: _, ...rest } = act;
                  onGive(rest as Act);
                }}
              />
            </td>
          </tr>
          <ActRows
            label={when}
            doc={doc}
            node={node}
            of={`${cell.of} failing`}
            acts={act.failing}
            before={`${number}.`}
            onGive={(failing, group) => onGive({ ...act, failing }, group)}
          />
        </>
      ) : null}
    </>
  );
}

/** What an act does; another keeps when it is done. */
function DoesCell({ label, doc, node, act, onGive }: Cell): ReactNode {
  const { options, make } = useActs(doc, node);
  return (
    <ChoiceCell
      label={`${label}: what it does`}
      chosen={act.do}
      options={options}
      onChoose={(kind) => {
        const next = make(kind as Act['do'], act.order);
        if (!next || kind === act.do) return;
        onGive({
          ...next,
          ...(act.if ? { if: act.if } : {}),
          ...(act.failing && MAY_FAIL.has(next.do) ? { failing: act.failing } : {}),
        });
      }}
    />
  );
}

function AddAct({
  label,
  words,
  doc,
  node,
  order,
  onAdd,
}: {
  label: string;
  words: string;
  doc: TreeDoc;
  node: NodeId;
  order: string;
  onAdd: (act: Act) => void;
}): ReactNode {
  const { options, make } = useActs(doc, node);
  return (
    <ChoiceCell
      label={label}
      chosen={undefined}
      placeholder={words}
      options={options}
      onChoose={(kind) => {
        const act = make(kind as Act['do'], order);
        if (act) onAdd(act);
      }}
    />
  );
}

/** What can be done where a node stands, and how each begins. */
function useActs(doc: TreeDoc, node: NodeId) {
  const { documents } = useDerived();
  const states = statesFor(documents, doc, node);
  const component = docOf(documents, 'component', doc.id);
  const actions = inOrder(component?.properties ?? {}).flatMap(([id, { type }]) =>
    type.kind === 'action' ? [id] : [],
  );
  const make = (kind: Act['do'], order: string) =>
    newAct(
      kind,
      order,
      states,
      actions,
      (does) => elementsFor(doc, node, does),
      ({ property }) => {
        const [way] = waysOf(documents, property);
        return way?.to ?? { value: property.default };
      },
    );
  const isForm = elementsFor(doc, node, 'send').length > 0;
  const options = (Object.keys(DOES_WORDS) as Act['do'][])
    .filter(
      (kind) =>
        (kind !== 'set' || states.length > 0) &&
        (kind !== 'action' || actions.length > 0) &&
        (kind !== 'send' || isForm),
    )
    .map((value) => ({ value, label: DOES_WORDS[value] }));
  return { options, make };
}
