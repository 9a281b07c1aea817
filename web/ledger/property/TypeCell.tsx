import { useState, type ReactNode } from 'react';
import {
  kindOnly,
  type ComponentDoc,
  type PropertyId,
  type TypeSpec,
  type ValueKind,
} from '@sormet/core/model';
import { useDerived, useSync } from '../../site/SiteProvider';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { BecomingDialog } from './Becoming';
import { KIND_WORDS, typeWords } from '../../words';
import { hasDetails, TypeDetails } from './TypeDetails';

/** What a property holds: its kind, chosen anew, and what narrows it. What becomes of stored values is seen before. */
export function TypeCell({
  component,
  property,
}: {
  component: ComponentDoc;
  property: PropertyId;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [detailing, setDetailing] = useState<TypeSpec | null>(null);
  const [next, setNext] = useState<TypeSpec | null>(null);
  const { label, type, axis } = component.properties[property]!;
  const word = axis ? 'variant' : KIND_WORDS[type.kind];
  return (
    <span className="type-cell" title={typeWords(documents, type)}>
      {axis ? (
        word
      ) : (
        <ChoiceCell
          label={`What ${label} holds`}
          chosen={type.kind}
          options={(Object.keys(KIND_WORDS) as ValueKind[])
            .filter((kind) => kind === type.kind || !['tag', 'theme', 'style'].includes(kind))
            .map((value) => ({ value, label: KIND_WORDS[value] }))}
          onChoose={(kind) => {
            if (kind === type.kind) return;
            const made = kindOnly(kind as ValueKind);
            // A choice of nothing and a list without fields say nothing yet.
            if (kind === 'choice' || kind === 'list') setDetailing(made);
            else setNext(made);
          }}
        />
      )}
      {hasDetails(type) ? (
        <button
          type="button"
          className="as-link type-more"
          aria-label={`${label}: ${type.kind === 'choice' ? 'options' : type.kind === 'list' ? 'fields' : 'limits'}`}
          onClick={() => setDetailing(type)}
        >
          …
        </button>
      ) : null}
      {detailing ? (
        <TypeDetails
          label={label}
          type={detailing}
          onDone={(made) => {
            setDetailing(null);
            setNext(made);
          }}
          onClose={() => setDetailing(null)}
        />
      ) : null}
      {next ? (
        <BecomingDialog
          component={component}
          property={property}
          type={next}
          onDo={() =>
            sync.edit({
              name: 'setProperty',
              args: { component: component.id, property, set: { type: next } },
            })
          }
          onClose={() => setNext(null)}
        />
      ) : null}
    </span>
  );
}
