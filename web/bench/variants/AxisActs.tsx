import { useState, type ReactNode } from 'react';
import { Dropdown, Input } from 'antd';
import { Ellipsis } from 'lucide-react';
import { inOrder, newId, orderBetween, own, type ComponentDoc } from '@sormet/core/model';
import { rulesNaming, type NamedEdit } from '@sormet/core/edit';
import { Dialog } from '../../parts/Dialog';
import { Wrong } from '../../parts/Wrong';
import { useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { refusalWords } from '../../words';
import type { AxisOffered } from './axes-of';
import { MoveAxis } from './MoveAxis';
import { RemoveOption } from './RemoveOption';

type Asked =
  | { readonly is: 'add' | 'name' | 'duplicate'; readonly begun: string }
  | { readonly is: 'remove' }
  | { readonly is: 'before'; readonly axis: string };

/** What can be done to the options of an axis: the one that is lit is meant. */
export function AxisActs({
  definition,
  axis,
  chosen,
  axes,
}: {
  definition: ComponentDoc;
  axis: AxisOffered;
  /** The option that is lit. */
  chosen: string | undefined;
  axes: readonly AxisOffered[];
}): ReactNode {
  const sync = useSync();
  const dispatch = useAppDispatch();
  const [asked, setAsked] = useState<Asked | null>(null);
  const { options } = axis;
  const at = options.findIndex(({ id }) => id === chosen);
  const option = options[at];
  const before = axes[axes.findIndex(({ id }) => id === axis.id) - 1];
  const of = { component: definition.id, property: axis.id };
  const orderAfter = (i: number) => {
    const all = ordersOf(definition, axis.id);
    return orderBetween(all[i] ?? null, all[i + 1] ?? null);
  };
  const move = (by: -1 | 1) => {
    const all = ordersOf(definition, axis.id);
    const order =
      by < 0
        ? orderBetween(all[at - 2] ?? null, all[at - 1] ?? null)
        : orderBetween(all[at + 1] ?? null, all[at + 2] ?? null);
    sync.edit({ name: 'setOption', args: { ...of, option: option!.id, set: { order } } });
  };
  const done = (label: string): string => {
    const made = newId();
    const edit = ((): NamedEdit => {
      if (asked?.is === 'name')
        return { name: 'setOption', args: { ...of, option: option!.id, set: { label } } };
      if (asked?.is === 'duplicate') {
        const named = rulesNaming(definition, axis.id, option!.id);
        const rules = Object.fromEntries(named.map((rule) => [rule, newId()]));
        const order = orderAfter(at);
        return {
          name: 'duplicateOption',
          args: { ...of, option: option!.id, made, label, order, rules },
        };
      }
      return {
        name: 'addOption',
        args: { ...of, option: made, label, order: orderAfter(options.length - 1) },
      };
    })();
    const reason = refusalWords(sync.attempt(edit));
    if (reason === '' && asked?.is !== 'name')
      dispatch(benchActions.pick({ doc: definition.id, axis: axis.id, option: made }));
    return reason;
  };
  const name = option?.label ?? '';
  const items = [
    { key: 'add', label: 'another option …', onClick: () => ask({ is: 'add', begun: '' }) },
    ...(option
      ? [
          {
            key: 'name',
            label: `rename ${name} …`,
            onClick: () => ask({ is: 'name', begun: name }),
          },
          {
            key: 'duplicate',
            label: `duplicate ${name} …`,
            onClick: () => ask({ is: 'duplicate', begun: `${name} 2` }),
          },
          ...(at > 0
            ? [{ key: 'earlier', label: `${name} further left`, onClick: () => move(-1) }]
            : []),
          ...(at < options.length - 1
            ? [{ key: 'later', label: `${name} further right`, onClick: () => move(1) }]
            : []),
          ...(options.length > 1
            ? [{ key: 'remove', label: `remove ${name} …`, onClick: () => ask({ is: 'remove' }) }]
            : []),
        ]
      : []),
    ...(before
      ? [
          {
            key: 'before',
            label: `${axis.label} before ${before.label}, which wins over it then …`,
            onClick: () => ask({ is: 'before', axis: before.id }),
          },
        ]
      : []),
  ];
  const ask = (what: Asked) => setAsked(what);
  return (
    <>
      <Dropdown trigger={['click']} menu={{ items }}>
        <button type="button" className="icon-button" aria-label={`Options of ${axis.label}`}>
          <Ellipsis size={14} aria-hidden />
        </button>
      </Dropdown>
      {asked?.is === 'remove' && option ? (
        <RemoveOption
          definition={definition}
          axis={axis}
          option={option.id}
          onClose={() => setAsked(null)}
        />
      ) : asked?.is === 'before' ? (
        <MoveAxis
          definition={definition}
          axis={axis.id}
          to="before"
          on={asked.axis}
          onClose={() => setAsked(null)}
        />
      ) : asked && 'begun' in asked ? (
        <OptionName
          title={
            asked.is === 'add'
              ? `Another option of ${axis.label}`
              : asked.is === 'name'
                ? `Rename ${name}`
                : `Duplicate ${name}`
          }
          begun={asked.begun}
          taken={options.filter(({ id }) => asked.is !== 'name' || id !== chosen)}
          onDone={done}
          onClose={() => setAsked(null)}
        />
      ) : null}
    </>
  );
}

/** The orders of the options of an axis that are offered, as they stand. */
function ordersOf({ properties }: ComponentDoc, axis: string): string[] {
  const type = own(properties, axis)?.type;
  return type?.kind === 'choice'
    ? inOrder(type.options).flatMap(([, { gone, order }]) => (gone === undefined ? order : []))
    : [];
}

function OptionName({
  title,
  begun,
  taken,
  onDone,
  onClose,
}: {
  title: string;
  begun: string;
  /** The other options. */
  taken: readonly { readonly label: string }[];
  /** Does it. @returns why not */
  onDone: (label: string) => string;
  onClose: () => void;
}): ReactNode {
  const [label, setLabel] = useState(begun);
  const [wrong, setWrong] = useState('');
  const name = label.trim();
  const isTaken = taken.some((each) => each.label.toLowerCase() === name.toLowerCase());
  const sound = name !== '' && !isTaken;
  const finish = () => {
    if (!sound) return;
    const reason = onDone(name);
    setWrong(reason);
    if (reason === '') onClose();
  };
  return (
    <Dialog
      open
      title={title}
      okText="Do it"
      cancelText="Leave it"
      okButtonProps={{ disabled: !sound }}
      onOk={finish}
      onCancel={onClose}
    >
      <Input
        autoFocus
        data-first=""
        aria-label="Name of the option"
        maxLength={120}
        value={label}
        onFocus={({ target }) => target.select()}
        onChange={({ target }) => setLabel(target.value)}
      />
      <Wrong as="p" words={isTaken ? `There is an option “${name}” already.` : wrong} />
    </Dialog>
  );
}
