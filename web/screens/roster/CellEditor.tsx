import type { ReactNode } from 'react';
import type { Typed } from '@sormet/core/model';
import { ValueEditor } from '../../values/ValueEditor';
import type { Column } from './use-roster';

/** The editor of the cell that somebody is in; Enter goes on to the one below, Escape leaves it. */
export function CellEditor({
  column: { property },
  value,
  placeholder,
  onChange,
  onEnd,
}: {
  column: Column;
  value: Typed | undefined;
  placeholder: string;
  onChange: (value: Typed, group: string | null) => void;
  onEnd: (moved: boolean) => void;
}): ReactNode {
  const focus = (place: HTMLDivElement | null) => {
    if (!place || place.contains(document.activeElement)) return;
    const field = place.querySelector<HTMLElement>('input, textarea, button, [contenteditable]');
    field?.focus();
    // What is typed stands in the place of what there was, as in any table of this kind.
    if (field instanceof HTMLInputElement || field instanceof HTMLTextAreaElement) field.select();
  };
  return (
    <div
      ref={focus}
      className="roster-editor"
      onKeyDown={(event) => {
        if (event.key === 'Escape') {
          event.stopPropagation();
          onEnd(false);
        }
        const isWords = property.type.kind === 'text' || property.type.kind === 'number';
        if (event.key === 'Enter' && isWords) {
          event.preventDefault();
          event.stopPropagation();
          onEnd(true);
        }
      }}
    >
      <ValueEditor
        type={property.type}
        label={property.label}
        value={value}
        placeholder={placeholder}
        open
        onChange={onChange}
      />
    </div>
  );
}
