import { useRef, useState, type ReactNode } from 'react';
import { flushSync } from 'react-dom';
import { FUNCTIONS, type ExpressionName, type Fault } from '@sormet/core/expression';
import { Wrong } from '../../parts/Wrong';
import { sentence } from '../../words';

/** How many completions are shown. */
const OFFERED = 8;

/** An expression as it is typed: what could go on from the cursor is offered, what is wrong is marked where it is. */
export function ExpressionField({
  typed,
  names,
  faults,
  onType,
}: {
  typed: string;
  names: readonly ExpressionName[];
  faults: readonly Fault[];
  onType: (typed: string) => void;
}): ReactNode {
  const field = useRef<HTMLTextAreaElement>(null);
  const [cursor, setCursor] = useState<number | null>(null);
  const [active, setActive] = useState(0);
  const before = cursor === null ? '' : typed.slice(0, cursor);
  const word = /[\p{L}_][\p{L}\p{N}_.]*$/u.exec(before)?.[0] ?? '';
  const offers = cursor === null || word === '' ? [] : completions(word, names);
  const take = (offer: Completion) => {
    const start = before.length - word.length;
    const next = typed.slice(0, start) + offer.insert + typed.slice(before.length);
    const at = start + offer.insert.length;
    // At once: who types on before a later frame would find the cursor moved under their words.
    flushSync(() => {
      onType(next);
      setCursor(null);
    });
    field.current?.setSelectionRange(at, at);
  };
  const [fault] = faults;
  return (
    <div className="work-expression">
      <textarea
        ref={field}
        data-first=""
        rows={3}
        spellCheck={false}
        aria-label="Expression"
        aria-invalid={fault !== undefined || undefined}
        aria-describedby="work-fault"
        aria-controls={offers.length > 0 ? 'work-offers' : undefined}
        value={typed}
        maxLength={2000}
        onChange={({ target }) => {
          onType(target.value);
          setCursor(target.selectionStart);
          setActive(0);
        }}
        onSelect={({ currentTarget }) => {
          if (offers.length === 0) setCursor(currentTarget.selectionStart);
        }}
        onBlur={() => setCursor(null)}
        onKeyDown={(event) => {
          if (offers.length === 0) return;
          if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            const step = event.key === 'ArrowDown' ? 1 : -1;
            setActive((active + step + offers.length) % offers.length);
          } else if (event.key === 'Enter' || event.key === 'Tab') {
            event.preventDefault();
            take(offers[active]!);
          } else if (event.key === 'Escape') {
            event.stopPropagation();
            setCursor(null);
          }
        }}
      />
      {offers.length > 0 ? (
        <ul id="work-offers" className="work-offers" role="listbox" aria-label="What could follow">
          {offers.map((offer, i) => (
            <li
              key={offer.insert}
              role="option"
              aria-selected={i === active}
              onPointerDown={(event) => {
                event.preventDefault();
                take(offer);
              }}
            >
              <code>{offer.insert}</code> <span className="quiet">{offer.label}</span>
            </li>
          ))}
        </ul>
      ) : null}
      <div id="work-fault" className="work-fault" aria-live="polite">
        {fault && offers.length === 0 ? (
          <>
            <code>
              {typed.slice(0, fault.start)}
              <mark>{typed.slice(fault.start, fault.end) || ' '}</mark>
              {typed.slice(fault.end)}
            </code>
            <Wrong words={sentence(fault.said)} />
          </>
        ) : null}
      </div>
    </div>
  );
}

interface Completion {
  readonly insert: string;
  readonly label: string;
}

/** Names and functions that begin with what was typed, or whose words do. */
function completions(word: string, names: readonly ExpressionName[]): Completion[] {
  const wanted = word.toLowerCase();
  const fits = ({ path, label }: ExpressionName) =>
    path.toLowerCase().startsWith(wanted) || label.toLowerCase().startsWith(wanted);
  const found: Completion[] = names
    .filter(fits)
    .map(({ path, label }) => ({ insert: path, label }));
  for (const name of Object.keys(FUNCTIONS))
    if (!name.startsWith('.') && name.toLowerCase().startsWith(wanted))
      found.push({ insert: `${name}(`, label: 'function' });
  // On a text what can be asked of it is offered behind the point.
  const [, of, member] = /^(.*)\.([^.]*)$/.exec(word) ?? [];
  const on = names.find(({ path }) => path === of);
  if (on?.gives.of === 'text')
    for (const name of Object.keys(FUNCTIONS))
      if (name.startsWith('.') && name.slice(1).toLowerCase().startsWith(member!.toLowerCase()))
        found.push({ insert: `${of}${name}(`, label: 'asks of a text' });
  return found.filter(({ insert }) => insert !== word).slice(0, OFFERED);
}
