import type { ReactNode } from 'react';
import { Switch } from 'antd';
import { DEFAULT_ZONE, type EntryDoc } from '@sormet/core/model';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { useStanding } from '../../../site/use-standing';
import { zonedDay, zonedWords } from '../../../words';
import { stateOf } from './entry-state';
import { TimeFields } from './TimeFields';

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
      <TimeFields entries={[entry]} />
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
