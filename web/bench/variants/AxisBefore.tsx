import { useState, type ReactNode } from 'react';
import { docOf, own, type ComponentDoc } from '@sormet/core/model';
import { decidedOtherwise, doEdit, isRefusal, type NamedEdit } from '@sormet/core/edit';
import { Dialog } from '../../parts/Dialog';
import { Wrong } from '../../parts/Wrong';
import { picksWords } from '../../ledger/style/picked';
import { useDerived, useSync } from '../../site/SiteProvider';
import { count, refusalWords } from '../../words';
import { differenceWords } from './difference-words';

/** How many things that would look otherwise are listed. */
const LISTED = 20;

/** Putting an axis before another, which wins over it then: first what would look otherwise. */
export function AxisBefore({
  definition,
  axis,
  before,
  onClose,
}: {
  definition: ComponentDoc;
  axis: string;
  /** The axis that comes after it then. */
  before: string;
  onClose: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [wrong, setWrong] = useState('');
  const made = own(definition.properties, axis);
  const other = own(definition.properties, before);
  if (!made || !other) return null;
  const group = other.group === null ? undefined : own(definition.groups, other.group);
  const edit: NamedEdit = {
    name: 'setProperty',
    args: {
      component: definition.id,
      property: axis,
      set: { place: { group: group ? { id: other.group!, ...group } : null, before } },
    },
  };
  const done = doEdit(documents, edit);
  const after = isRefusal(done) ? undefined : docOf(done.documents, 'component', definition.id);
  const otherwise = after ? decidedOtherwise(definition, after) : [];
  const move = () => {
    const reason = refusalWords(sync.attempt(edit));
    setWrong(reason);
    if (reason === '') onClose();
  };
  return (
    <Dialog
      open
      title={`${made.label} before ${other.label}`}
      okText="Move it"
      cancelText="Leave it"
      onOk={move}
      onCancel={onClose}
    >
      <p>
        Where both say something of one thing, the later axis wins: {other.label} then.{' '}
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
