import { useState, type ReactNode } from 'react';
import { nodeIn, type ComponentDoc } from '@sormet/core/model';
import { nodeName, rulesNaming } from '@sormet/core/edit';
import { member } from '@sormet/core/reach';
import { Dialog } from '../../parts/Dialog';
import { Wrong } from '../../parts/Wrong';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { count, documentWords, refusalWords } from '../../words';
import type { AxisOffered } from './axes-of';

/** How many of the instances that chose it are listed. */
const LISTED = 12;

/** Taking an option away: first who chose it, and what they have then. */
export function RemoveOption({
  definition,
  axis,
  option,
  onClose,
}: {
  definition: ComponentDoc;
  axis: AxisOffered;
  option: string;
  onClose: () => void;
}): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const others = axis.options.filter(({ id }) => id !== option);
  const isBase = option === axis.base;
  const [instead, setInstead] = useState<string>((isBase ? others[0]?.id : axis.base) ?? '');
  const [wrong, setWrong] = useState('');
  const label = axis.options.find(({ id }) => id === option)?.label ?? '';
  const setters = reach.usesOf(member(definition.id, axis.id));
  const chose = setters.flatMap(({ from, node }) => {
    const stored = nodeIn(documents, from, node);
    const source = stored?.kind === 'instance' ? stored.values[axis.id] : undefined;
    return source?.is === 'value' && source.value === option
      ? [`${nodeName(documents, stored!)} on ${documentWords(documents, from)}`]
      : [];
  });
  const bound = setters.filter(({ from, node }) => {
    const stored = nodeIn(documents, from, node);
    return stored?.kind === 'instance' && stored.values[axis.id]?.is !== 'value';
  }).length;
  const rules = rulesNaming(definition, axis.id, option).length;
  const remove = () => {
    const reason = refusalWords(
      sync.attempt({
        name: 'removeOption',
        args: { component: definition.id, property: axis.id, option, instead: instead || null },
      }),
    );
    setWrong(reason);
    if (reason !== '') return;
    dispatch(benchActions.pick({ doc: definition.id, axis: axis.id, option: null }));
    onClose();
  };
  return (
    <Dialog
      open
      title={`Remove ${label}`}
      okText="Remove it"
      cancelText="Leave it"
      onOk={remove}
      onCancel={onClose}
    >
      <p>
        {chose.length === 0
          ? 'No instance chose it.'
          : `${count(chose.length, 'instance')} chose it.`}
        {bound > 0 ? ` ${count(bound, 'instance')} may have it by what they are bound to.` : ''}
        {rules > 0 ? ' What it says otherwise than the base goes with it.' : ''}
        {isBase
          ? ' It is the base: another takes its place for every instance that chose none.'
          : ''}
      </p>
      <label className="stacked-field">
        Whoever has it, has then
        <select
          data-first=""
          value={instead}
          onChange={({ target }) => setInstead(target.value)}
          aria-label="The option in its place"
        >
          {others.map(({ id, label: word }) => (
            <option key={id} value={id}>
              {word}
              {id === axis.base ? ' (the base)' : ''}
            </option>
          ))}
        </select>
      </label>
      {chose.length > 0 ? (
        <ul className="becoming">
          {chose.slice(0, LISTED).map((words, i) => (
            <li key={i}>{words}</li>
          ))}
          {chose.length > LISTED ? <li>and {chose.length - LISTED} more</li> : null}
        </ul>
      ) : null}
      <p className="quiet">One undo brings all of it back.</p>
      <Wrong as="p" words={wrong} />
    </Dialog>
  );
}
