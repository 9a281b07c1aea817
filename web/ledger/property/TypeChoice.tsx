import { useState, type ReactNode } from 'react';
import { kindOnly, NEVER_CONTENT, type TypeSpec, type ValueKind } from '@sormet/core/model';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { useDerived } from '../../site/SiteProvider';
import { KIND_WORDS, typeWords } from '../../words';
import { hasDetails, TypeDetails } from './TypeDetails';
import './property.css';

/** What something holds: its kind, chosen anew, and what narrows it. Told as a whole, so that what becomes of values is seen first. */
export function TypeChoice({
  label,
  type,
  onNext,
}: {
  label: string;
  type: TypeSpec;
  /** Told the type that it should have. */
  onNext: (type: TypeSpec) => void;
}): ReactNode {
  const { documents } = useDerived();
  const details = useTypeDetails(label, onNext);
  return (
    <span className="type-cell" title={typeWords(documents, type)}>
      <ChoiceCell
        label={`What ${label} holds`}
        chosen={type.kind}
        options={(Object.keys(KIND_WORDS) as ValueKind[])
          .filter((kind) => kind === type.kind || !NEVER_CONTENT.has(kind))
          .map((value) => ({ value, label: KIND_WORDS[value] }))}
        onChoose={(kind) => {
          if (kind === type.kind) return;
          const made = kindOnly(kind as ValueKind);
          // A choice of nothing and a list without fields say nothing yet.
          if (kind === 'choice' || kind === 'list') details.open(made);
          else onNext(made);
        }}
      />
      <TypeMore label={label} type={type} onDetail={() => details.open(type)} />
      {details.dialog}
    </span>
  );
}

/** The dialog of what narrows a type: opened with one, it tells what was made of it. */
export function useTypeDetails(
  label: string,
  onNext: (type: TypeSpec) => void,
): { readonly open: (type: TypeSpec) => void; readonly dialog: ReactNode } {
  const [detailing, setDetailing] = useState<TypeSpec | null>(null);
  const dialog = detailing ? (
    <TypeDetails
      label={label}
      type={detailing}
      onDone={(made) => {
        setDetailing(null);
        onNext(made);
      }}
      onClose={() => setDetailing(null)}
    />
  ) : null;
  return { open: setDetailing, dialog };
}

/** Opens what narrows a type, where something can. */
export function TypeMore({
  label,
  type,
  onDetail,
}: {
  label: string;
  type: TypeSpec;
  onDetail: () => void;
}): ReactNode {
  if (!hasDetails(type)) return null;
  const what = type.kind === 'choice' ? 'options' : type.kind === 'list' ? 'fields' : 'limits';
  return (
    <button
      type="button"
      className="as-link type-more"
      aria-label={`${label}: ${what}`}
      onClick={onDetail}
    >
      …
    </button>
  );
}
