import type { MouseEvent, ReactNode } from 'react';
import type { LucideIcon } from 'lucide-react';

/**
 * Leaves the focus in the field beside a button while the button is pressed: a field that loses it is laid
 * out anew, and the button would no longer be under the pointer when it is let go.
 */
function keepFocus(event: MouseEvent): void {
  event.preventDefault();
}

/** A small button in a cell: what it does stands in its name, and what it is for in the word that pointing at it shows. */
export function IconButton({
  icon: Icon,
  name,
  title = name,
  onPress,
}: {
  icon: LucideIcon;
  name: string;
  title?: string;
  onPress: () => void;
}): ReactNode {
  return (
    <button
      type="button"
      className="icon-button"
      aria-label={name}
      title={title}
      onMouseDown={keepFocus}
      onClick={onPress}
    >
      <Icon size={13} aria-hidden />
    </button>
  );
}
