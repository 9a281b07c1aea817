import type { ReactNode } from 'react';
import { Link } from 'react-router';
import {
  entryTitle,
  own,
  pointer,
  type FieldId,
  type TypeDoc,
  type TypeSpec,
} from '@sormet/core/model';
import { whatBecomesOfField, type Becomes, type FieldBecoming } from '@sormet/core/edit';
import { Dialog } from '../../../parts/Dialog';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { count, documentWords, typeWords, valueWords } from '../../../words';

/** How many values are listed of each outcome. */
const LISTED = 40;

const WORDS: Readonly<Record<Becomes, readonly [one: string, many: string]>> = {
  kept: ['stays as it is', 'stay as they are'],
  converted: ['is converted', 'are converted'],
  empty: ['shows nothing', 'show nothing'],
  'was empty': ['showed nothing before', 'showed nothing before'],
};

/** What everything stored in a field will show once its type is another, or it is gone: seen before it is done. */
export function FieldBecomingDialog({
  type,
  field,
  to,
  onDo,
  onClose,
}: {
  type: TypeDoc;
  field: FieldId;
  /** The type it would have; `null` where it would go. */
  to: TypeSpec | null;
  onDo: () => void;
  onClose: () => void;
}): ReactNode {
  const { documents, data, reach } = useDerived();
  const made = own(type.fields, field);
  if (!made) return null;
  const all = whatBecomesOfField(documents, type.id, field, to, data);
  const readers = new Set(reach.usesOf(pointer('fields', field)).map(({ from }) => from));
  const of = (becomes: Becomes) => all.filter((each) => each.becomes === becomes);
  const counted = (['kept', 'converted', 'empty', 'was empty'] as const).flatMap((becomes) => {
    const many = of(becomes).length;
    return many === 0 ? [] : `${many} ${WORDS[becomes][many === 1 ? 0 : 1]}`;
  });
  return (
    <Dialog
      open
      width={620}
      title={
        to === null
          ? `Remove the field “${made.label}”`
          : `Make “${made.label}” ${typeWords(documents, to)}`
      }
      okText={to === null ? 'Remove the field' : 'Change the type'}
      okButtonProps={{ danger: to === null }}
      cancelText="Leave it"
      onOk={() => {
        onDo();
        onClose();
      }}
      onCancel={onClose}
    >
      <p>
        {all.length === 0
          ? `No ${type.name.toLowerCase()} holds anything in it.`
          : `${count(all.length, type.name.toLowerCase(), type.plural.toLowerCase())} ${
              all.length === 1 ? 'holds' : 'hold'
            } something in it: ${counted.join(', ')}.`}{' '}
        Nothing that was written is deleted: undo brings all of it back.
      </p>
      {readers.size > 0 ? (
        <p role="note">
          {to === null ? 'What reads it is empty then' : 'It is read'} on{' '}
          {[...readers]
            .slice(0, 6)
            .map((doc) => documentWords(documents, doc))
            .join(', ')}
          {readers.size > 6 ? ` and ${readers.size - 6} more` : ''}.
        </p>
      ) : null}
      {(['empty', 'converted'] as const).map((becomes) => (
        <Outcome key={becomes} type={type} words={WORDS[becomes]} rows={of(becomes)} />
      ))}
    </Dialog>
  );
}

function Outcome({
  type,
  words: [one, many],
  rows,
}: {
  type: TypeDoc;
  words: readonly [one: string, many: string];
  rows: readonly FieldBecoming[];
}): ReactNode {
  const { documents } = useDerived();
  const { site } = useSync();
  if (rows.length === 0) return null;
  return (
    <section aria-label={`Values that ${many}`}>
      <h3>{rows.length === 1 ? `This ${one}` : `These ${many}`}</h3>
      <ul className="becoming">
        {rows.slice(0, LISTED).map(({ entry, value, then }) => (
          <li key={entry.id}>
            <Link to={`/sites/${site}/content/${type.id}/${entry.id}`}>
              {entryTitle(documents, entry)}
            </Link>
            :{' '}
            <span className="quiet">
              {valueWords(documents, value)}
              {then ? ` → ${valueWords(documents, then)}` : ''}
            </span>
          </li>
        ))}
      </ul>
      {rows.length > LISTED ? <p>and {rows.length - LISTED} more</p> : null}
    </section>
  );
}
