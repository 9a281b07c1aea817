import { useState, type ReactNode } from 'react';
import { Button } from 'antd';
import { DEFAULT_ZONE, type EntryDoc } from '@sormet/core/model';
import { Wrong } from '../../../parts/Wrong';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { clockTime, instantAt, refusalWords } from '../../../words';

/** From when and until when visitors see some entries, by the clocks where the site is. */
export function TimeFields({ entries }: { entries: readonly EntryDoc[] }): ReactNode {
  return (
    <>
      <TimeField label="Published from" which="from" entries={entries} />
      <TimeField label="Taken back at" which="until" entries={entries} />
    </>
  );
}

function TimeField({
  label,
  which,
  entries,
}: {
  label: string;
  which: 'from' | 'until';
  entries: readonly EntryDoc[];
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [wrong, setWrong] = useState('');
  const zone = documents.site.timeZone ?? DEFAULT_ZONE;
  const [held, ...others] = new Set(entries.map(({ times }) => times?.[which]));
  const differs = others.length > 0;
  const shown = differs ? undefined : held;
  const stored = shown === undefined ? '' : clockTime(shown, zone);
  const set = (time: string | null) => {
    const refusal = sync.attempt({
      name: 'setTimes',
      args: {
        entries: entries.map(({ id }) => id),
        set: which === 'from' ? { from: time } : { until: time },
      },
    });
    setWrong(refusal ? refusalWords(refusal) : '');
  };
  return (
    <div className="field">
      <span className="field-label">{label}</span>
      <div>
        <div className="field-editor">
          <input
            className="plain-field"
            type="datetime-local"
            aria-label={label}
            // Left to itself while it is typed in: what is half typed is nothing to whoever asks, and must not take it away.
            key={stored}
            defaultValue={stored}
            onBlur={({ currentTarget }) => {
              if (currentTarget.validity.badInput) setWrong('That is not yet a day and a time.');
              else if (currentTarget.value !== stored) set(instantAt(currentTarget.value, zone));
            }}
            onKeyDown={(event) => {
              const { currentTarget } = event;
              if (event.key === 'Enter') currentTarget.blur();
              if (event.key !== 'Escape' || (currentTarget.value === stored && wrong === ''))
                return;
              event.stopPropagation();
              currentTarget.value = stored;
              setWrong('');
            }}
          />
          {shown === undefined && !differs ? null : (
            <Button size="small" type="text" onClick={() => set(null)}>
              empty
            </Button>
          )}
        </div>
        <p className="field-help">
          {differs
            ? 'not the same for all: another sets it for each'
            : shown !== undefined
              ? `by the clocks of ${zone.replaceAll('_', ' ')}`
              : which === 'from'
                ? 'as soon as a release holds it'
                : 'never: it stays'}
        </p>
        <Wrong words={wrong} />
      </div>
    </div>
  );
}
