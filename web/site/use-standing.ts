import { useEffect, useState } from 'react';
import type { EntriesStanding } from '@sormet/core/api';
import { useSite } from '../store/store';
import { api } from './api';
import { useSync } from './SiteProvider';

/** How long after an edit it is asked again, in ms: while somebody types, once at the end is enough. */
const PAUSE = 500;
/** The same where there are many: what is asked grows with them. */
const LONG_PAUSE = 5000;
const MANY = 500;

/**
 * How the entries of a type stand beside what is published, as the server says it; nothing before it has answered, or where
 * it cannot be reached: then what is known here is shown alone.
 * @param entry the one that is asked for; all of them without
 */
export function useStanding(type: string, entry?: string): EntriesStanding | undefined {
  const { site } = useSync();
  const { revision } = useSite('revision');
  const live = useSite('summary').summary?.live;
  const [standing, setStanding] = useState<{ of: string; given: EntriesStanding }>();
  const of = entry ?? type;
  const known = standing?.of === of;
  useEffect(() => {
    let gone = false;
    const ask = setTimeout(
      () => {
        api.standing(site, type, entry).then(
          (given) => {
            if (!gone) setStanding({ of, given });
          },
          () => undefined, // That the server is away is said by the bar.
        );
      },
      known ? (Object.keys(standing.given.entries).length > MANY ? LONG_PAUSE : PAUSE) : 0,
    );
    return () => {
      gone = true;
      clearTimeout(ask);
    };
    // Whether it is known decides how soon it is asked, not whether.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [site, type, entry, revision, live]);
  return known ? standing.given : undefined;
}
