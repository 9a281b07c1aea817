import { useState, type ReactNode } from 'react';
import { Button, Switch } from 'antd';
import { DEFAULT_ZONE, type EntryDoc } from '@sormet/core/model';
import { Wrong } from '../../../parts/Wrong';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { useStanding } from '../../../site/use-standing';
import { clockTime, instantAt, refusalWords, zonedDay, zonedWords } from '../../../words';
import { stateOf } from './entry-state';

/** Whether and when visitors see an entry, and how it stands now. */
export function EntryTimes({ entry }: { entry: EntryDoc }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const zone = documents.site.timeZone ?? DEFAULT_ZONE;
  const standing = useStanding(entry.type, entry.id)?.entries[entry.id];
  const state = stateOf(entry, standing, zone);
  return (
    <>
      <div className="field">
        <span className="field-label">Publish</span>
        <div>
          <Switch
            size="small"
            aria-label="Publish this entry"
            checked={!entry.draft}
            onChange={(on) =>
              sync.edit({ name: 'setDrafts', args: { entries: [entry.id], draft: !on } })
            }
          />{' '}
          <span className="quiet entry-state">{state.title}</span>
        </div>
      </div>
      <TimeField label="Published from" which="from" entry={entry} zone={zone} />
      <TimeField label="Taken back at" which="until" entry={entry} zone={zone} />
      {standing ? (
        <p className="field-help entry-dates">
          {[
            standing.made === null ? '' : `made ${zonedDay(standing.made, zone)}`,
            standing.changed === null ? '' : `changed ${zonedWords(standing.changed, zone)}`,
            standing.first === null ? '' : `first published ${zonedDay(standing.first, zone)}`,
            standing.last === null || standing.last === standing.first
              ? ''
              : `last published ${zonedWords(standing.last, zone)}`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
      ) : null}
    </>
  );
}

/** A time at which an entry comes or goes, by the clocks where the site is. */
function TimeField({
  label,
  which,
  entry,
  zone,
}: {
  label: string;
  which: 'from' | 'until';
  entry: EntryDoc;
  zone: string;
}): ReactNode {
  const sync = useSync();
  const [wrong, setWrong] = useState('');
  const held = entry.times?.[which];
  const stored = held === undefined ? '' : clockTime(held, zone);
  const set = (time: string | null) => {
    const refusal = sync.attempt({
      name: 'setTimes',
      args: {
        entries: [entry.id],
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
          {held === undefined ? null : (
            <Button size="small" type="text" onClick={() => set(null)}>
              empty
            </Button>
          )}
        </div>
        <p className="field-help">
          {held !== undefined
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
