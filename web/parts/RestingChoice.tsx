import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';

/**
 * What is chosen from a list, as plain words until somebody goes there; only then is the list made, open when it was
 * pressed. At rest it is a select-only combobox (WAI-ARIA Authoring Practices, Combobox Pattern).
 */
export function RestingChoice({
  label,
  rest,
  children,
}: {
  label: string;
  rest: ReactNode;
  children: (open: boolean) => ReactNode;
}): ReactNode {
  const [editing, setEditing] = useState<'no' | 'keys' | 'pressed'>('no');
  const pressed = useRef(false);
  const place = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    if (editing !== 'no') place.current?.querySelector<HTMLElement>('input, [tabindex]')?.focus();
  }, [editing]);
  if (editing === 'no')
    return (
      <div
        className="resting"
        role="combobox"
        aria-label={label}
        aria-expanded={false}
        aria-haspopup="listbox"
        tabIndex={0}
        onPointerDown={() => {
          pressed.current = true;
        }}
        onFocus={() => {
          setEditing(pressed.current ? 'pressed' : 'keys');
          pressed.current = false;
        }}
      >
        {rest}
      </div>
    );
  return (
    <div
      ref={place}
      onBlur={({ currentTarget, relatedTarget }) => {
        if (!currentTarget.contains(relatedTarget)) setEditing('no');
      }}
    >
      {children(editing === 'pressed')}
    </div>
  );
}
