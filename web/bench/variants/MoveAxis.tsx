import { useState, type ReactNode } from 'react';
import { docOf, inOrder, own, type ComponentDoc, type PropertyId } from '@sormet/core/model';
import { decidedOtherwise, doEdit, isRefusal, type NamedEdit } from '@sormet/core/edit';
import { Dialog } from '../../parts/Dialog';
import { Wrong } from '../../parts/Wrong';
import { placing } from '../../ledger/property/standing-of-properties';
import { picksWords } from '../../ledger/style/picked';
import { useDerived, useSync } from '../../site/SiteProvider';
import { count, refusalWords } from '../../words';
import { differenceWords } from './difference-words';

/** How many things that would look otherwise are listed. */
const LISTED = 20;

/** Putting an axis before or behind another, so that another of them wins: first what would look otherwise. */
export function MoveAxis({
  definition,
  axis,
  to,
  on,
  onClose,
}: {
  definition: ComponentDoc;
  axis: PropertyId;
  to: 'before' | 'behind';
  /** The axis that it stands beside then. */
  on: PropertyId;
  onClose: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [wrong, setWrong] = useState('');
  const made = own(definition.properties, axis);
  const other = own(definition.properties, on);
  if (!made || !other) return null;
  const edit = movingAxis(definition, axis, to, on);
  const done = doEdit(documents, edit);
  const after = isRefusal(done) ? undefined : docOf(done.documents, 'component', definition.id);
  const otherwise = after ? decidedOtherwise(definition, after) : [];
  const move = () => {
    const reason = refusalWords(sync.attempt(edit));
    setWrong(reason);
    if (reason === '') onClose();
  };
  const winner = to === 'before' ? other.label : made.label;
  return (
    <Dialog
      open
      title={`${made.label} ${to} ${other.label}`}
      okText="Move it"
      cancelText="Leave it"
      onOk={move}
      onCancel={onClose}
    >
      <p>
        Where both say something of one thing, the later axis wins: {winner} then.{' '}
        {otherwise.length === 0
          ? 'Nothing would look otherwise: they never say anything of the same thing.'
          : `${count(otherwise.length, 'thing')} would look otherwise:`}
      </p>
      <ul className="becoming">
        {otherwise.slice(0, LISTED).map(({ difference, axes }, i) => (
          <li key={i}>
            {picksWords(definition, axes)}: {differenceWords(documents, definition, difference)}
          </li>
        ))}
        {otherwise.length > LISTED ? <li>and {otherwise.length - LISTED} more</li> : null}
      </ul>
      <Wrong as="p" words={wrong} />
    </Dialog>
  );
}

/** The edit that puts an axis beside another, into its group. */
function movingAxis(
  definition: ComponentDoc,
  axis: PropertyId,
  to: 'before' | 'behind',
  on: PropertyId,
): NamedEdit {
  const groupOf = (id: PropertyId) => own(definition.properties, id)?.group ?? null;
  const into = groupOf(on);
  if (to === 'before') return placing(definition, axis, into, on);
  const order = inOrder(definition.properties)
    .map(([id]) => id)
    .filter((id) => id !== axis && groupOf(id) === into);
  return placing(definition, axis, into, order[order.indexOf(on) + 1] ?? null);
}
