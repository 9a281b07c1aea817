import { memo, useDeferredValue, useId, useRef, useState, type ReactNode, type Ref } from 'react';
import { usePlacedList } from './use-placed-list';
import './SuggestField.css';

/** Something that is suggested while one types. */
export interface Suggestion {
  readonly value: string;
  /** What is shown of it, where that is not its value. */
  readonly label?: ReactNode;
}

/**
 * A field to type into, with suggestions below: an editable combobox with a list (WAI-ARIA Authoring Practices Guide).
 * The list is drawn when there is time, and no key sets a state after it is drawn: thousands may be typed at once.
 */
export function SuggestField({
  label,
  value,
  suggestions,
  onType,
  onChoose,
  onEnter,
  onEscape,
  onLeave,
  firstActive = false,
  alwaysOpen = false,
  nothing,
  className = '',
  ref,
  ...field
}: {
  label?: string;
  value: string;
  suggestions: readonly Suggestion[];
  onType: (text: string) => void;
  /** A suggestion is taken: by a click, or by Enter where it is the active one. */
  onChoose: (value: string) => void;
  /** Enter where no suggestion is active. */
  onEnter?: () => void;
  /** Escape where no list is open. @returns whether that was all there was to do */
  onEscape?: () => boolean;
  onLeave?: () => void;
  /** Whether the first suggestion is taken by Enter without walking to it. */
  firstActive?: boolean;
  /** Whether the list stands below the field for good, in place of over what is there. */
  alwaysOpen?: boolean;
  /** What stands in the list where nothing is suggested. */
  nothing?: string;
  className?: string;
  ref?: Ref<HTMLInputElement>;
  id?: string;
  placeholder?: string;
  autoFocus?: boolean;
  'aria-describedby'?: string;
}): ReactNode {
  const id = useId();
  const own = useRef<HTMLInputElement>(null);
  const [asked, setAsked] = useState(false);
  const [walkedTo, setWalkedTo] = useState<string | null>(null);
  const isEmpty = suggestions.length === 0;
  const open = alwaysOpen || (asked && (!isEmpty || nothing !== undefined));
  const at = suggestions.findIndex((each) => each.value === walkedTo);
  const active = at >= 0 ? at : firstActive && !isEmpty ? 0 : -1;
  const shown = useDeferredValue(suggestions);
  const close = () => {
    setAsked(false);
    setWalkedTo(null);
  };
  const choose = (chosen: string) => {
    close();
    onChoose(chosen);
  };
  const walk = (step: 1 | -1) => {
    setAsked(true);
    if (isEmpty) return;
    const from = active < 0 && step < 0 ? 0 : active;
    const to = (from + step + suggestions.length) % suggestions.length;
    setWalkedTo(suggestions[to]!.value);
  };
  const list = usePlacedList({
    field: own,
    isOver: open && !alwaysOpen,
    active,
    rows: shown.length,
  });
  return (
    <span className={`suggest ${className}`}>
      <input
        {...field}
        ref={(input) => {
          own.current = input;
          if (typeof ref === 'function') ref(input);
          else if (ref) ref.current = input;
        }}
        className="suggest-field"
        role="combobox"
        aria-label={label}
        aria-autocomplete="list"
        aria-expanded={open}
        aria-controls={id}
        aria-activedescendant={open && active >= 0 ? `${id}-${active}` : undefined}
        autoComplete="off"
        spellCheck={false}
        value={value}
        onChange={({ target }) => {
          setAsked(true);
          setWalkedTo(null);
          onType(target.value);
        }}
        onFocus={() => setAsked(value === '' && nothing !== undefined)}
        onBlur={() => {
          close();
          onLeave?.();
        }}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            walk(event.key === 'ArrowDown' ? 1 : -1);
          }
          if (event.key === 'Enter') {
            // Enter belongs to the field, and not to the form around it.
            event.preventDefault();
            const taken = open ? suggestions[active] : undefined;
            if (taken) choose(taken.value);
            else onEnter?.();
          }
          if (event.key === 'Escape') {
            if (open && !alwaysOpen) {
              event.stopPropagation();
              close();
            }
            if (onEscape?.()) event.stopPropagation();
          }
        }}
      />
      <ul
        ref={list}
        id={id}
        role="listbox"
        aria-label={label ?? 'Suggestions'}
        className={alwaysOpen ? 'suggest-list is-here' : 'suggest-list'}
        {...(alwaysOpen ? {} : { popover: 'manual' as const })}
        // The focus stays in the field.
        onMouseDown={(event) => event.preventDefault()}
      >
        <Rows id={id} suggestions={shown} active={active} onChoose={choose} />
        {isEmpty && nothing !== undefined ? <li className="quiet">{nothing}</li> : null}
      </ul>
    </span>
  );
}

const Rows = memo(function Rows({
  id,
  suggestions,
  active,
  onChoose,
}: {
  id: string;
  suggestions: readonly Suggestion[];
  active: number;
  onChoose: (value: string) => void;
}): ReactNode {
  return suggestions.map(({ value, label = value }, i) => (
    <li
      key={value}
      id={`${id}-${i}`}
      role="option"
      aria-selected={i === active}
      onClick={() => onChoose(value)}
    >
      {label}
    </li>
  ));
});
