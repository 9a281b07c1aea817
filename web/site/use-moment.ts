import { useEffect, useMemo, useState } from 'react';
import {
  claim,
  momentOf,
  sameJson,
  sameMoment,
  type Documents,
  type EntryDates,
  type Moment,
} from '@sormet/core/model';
import { useSite } from '../store/store';
import { api } from './api';

/** How often it is looked whether the time of something has come, in ms: no finer than times are set. */
const LOOK = 30_000;
/** How long after an edit the days of entries are asked again, in ms: while somebody types, once at the end is enough. */
const PAUSE = 1000;

/**
 * The moment at which the open site is shown: it goes on while nobody edits, so that a window which is open over midnight
 * shows another day. The same object for as long as it is the same moment.
 */
export function useMoment(site: string, documents: Documents): Moment {
  const [date, setDate] = useState(() => new Date());
  const clock = momentOf(documents, date);
  useEffect(() => {
    // Another date is another picture of everything: only where something goes by it.
    const look = () =>
      setDate((then) => {
        const now = new Date();
        return sameMoment(momentOf(documents, then), momentOf(documents, now)) ? then : now;
      });
    look();
    const looking = setInterval(look, LOOK);
    return () => clearInterval(looking);
  }, [documents]);
  const dates = useEntryDates(site, documents);
  const { today, now } = clock;
  return useMemo(() => ({ today, now, ...(dates && { dates }) }), [today, now, dates]);
}

/** The days of entries as publishing would show them, where a page or a definition reads them and the server has said so. */
function useEntryDates(site: string, documents: Documents): EntryDates | undefined {
  const { revision, summary } = useSite('revision', 'summary');
  const live = summary?.live;
  const [dates, setDates] = useState<EntryDates>();
  const isRead = documents.claiming(claim.dated).length > 0;
  const known = dates !== undefined;
  useEffect(() => {
    if (!isRead) return undefined;
    let gone = false;
    const ask = setTimeout(
      () => {
        api.dates(site).then(
          (given) => {
            if (!gone) setDates((before) => (sameJson(before, given) ? before : given));
          },
          () => undefined, // That the server is away is said by the bar.
        );
      },
      known ? PAUSE : 0,
    );
    return () => {
      gone = true;
      clearTimeout(ask);
    };
    // Whether it is known decides how soon it is asked, not whether.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [site, revision, live, isRead]);
  return isRead ? dates : undefined;
}
