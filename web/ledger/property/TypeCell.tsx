import { useState, type ReactNode } from 'react';
import type { ComponentDoc, PropertyId, TypeSpec } from '@sormet/core/model';
import { useDerived, useSync } from '../../site/SiteProvider';
import { typeWords } from '../../words';
import { BecomingDialog } from './Becoming';
import { TypeChoice, TypeMore, useTypeDetails } from './TypeChoice';

/** What a property holds. What becomes of stored values is seen before it holds something else. */
export function TypeCell({
  component,
  property,
}: {
  component: ComponentDoc;
  property: PropertyId;
}): ReactNode {
  const sync = useSync();
  const [next, setNext] = useState<TypeSpec | null>(null);
  const { label, type, axis } = component.properties[property]!;
  return (
    <>
      {axis ? (
        <AxisType label={label} type={type} onNext={setNext} />
      ) : (
        <TypeChoice label={label} type={type} onNext={setNext} />
      )}
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
    </>
  );
}

/** An axis stays a choice: its options can be others. */
function AxisType({
  label,
  type,
  onNext,
}: {
  label: string;
  type: TypeSpec;
  onNext: (type: TypeSpec) => void;
}): ReactNode {
  const { documents } = useDerived();
  const details = useTypeDetails(label, onNext);
  return (
    <span className="type-cell" title={typeWords(documents, type)}>
      variant
      <TypeMore label={label} type={type} onDetail={() => details.open(type)} />
      {details.dialog}
    </span>
  );
}
