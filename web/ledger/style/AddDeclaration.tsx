import { useRef, useState, type ReactNode } from 'react';
import { PROPERTIES, propertiesFor } from '@sormet/core/style';
import { SuggestField } from '../../parts/SuggestField';
import { Wrong } from '../../parts/Wrong';

/** The field under the table that makes a row for another CSS property, whichever there is. */
export function AddDeclaration({ onAdd }: { onAdd: (property: string) => void }): ReactNode {
  const [typed, setTyped] = useState('');
  const [wrong, setWrong] = useState('');
  /** Whether what is typed was dropped: the field tells of it once more when it loses the focus. */
  const dropped = useRef(false);
  const add = (name: string) => {
    if (dropped.current) return setTyped('');
    const property = name.trim().toLowerCase();
    if (property === '') return;
    if (!PROPERTIES.includes(property)) return setWrong(`There is no property “${property}”.`);
    setTyped('');
    setWrong('');
    onAdd(property);
  };
  return (
    <span
      onKeyDownCapture={({ key }) => {
        dropped.current = key === 'Escape';
        if (!dropped.current) return;
        setTyped('');
        setWrong('');
      }}
    >
      <SuggestField
        className="is-plain"
        value={typed}
        label="Add a declaration"
        placeholder="add a declaration"
        suggestions={
          typed === ''
            ? []
            : propertiesFor(typed)
                .slice(0, 8)
                .map((name) => ({ value: name }))
        }
        onType={setTyped}
        onChoose={add}
        onEnter={() => add(typed)}
        onLeave={() => add(typed)}
      />
      <Wrong words={wrong} />
    </span>
  );
}
