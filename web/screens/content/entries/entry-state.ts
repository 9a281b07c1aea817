import type { EntryStanding } from '@sormet/core/api';
import { instantOf, type EntryDoc } from '@sormet/core/model';
import { zonedWords } from '../../../words';

/** What visitors see of an entry, in words. */
export interface EntryState {
  readonly words: string;
  /** More of it, where the words are short. */
  readonly title: string;
  /** Whether it is published as it stands here. */
  readonly isLive: boolean;
}

/**
 * The state of an entry: a draft, to be published at a time, ready, published since, changed since, taken back.
 * @param standing what the server says; nothing before it has
 */
export function stateOf(
  { draft, times }: Pick<EntryDoc, 'draft' | 'times'>,
  standing: EntryStanding | undefined,
  zone: string,
  now = instantOf(new Date()),
): EntryState {
  const isThere = standing !== undefined && standing.live !== 'not';
  const still = isThere ? ', still published until the next release' : '';
  const at = (instant: string) => zonedWords(instant, zone);
  if (draft)
    return { words: 'draft', title: `a draft: visitors do not see it${still}`, isLive: false };
  if (times?.until !== undefined && times.until <= now)
    return { words: 'taken back', title: `taken back at ${at(times.until)}`, isLive: false };
  if (times?.from !== undefined && times.from > now) {
    const words = `from ${at(times.from)}`;
    return {
      words,
      title: `ready, to be published ${words}, once a release holds it`,
      isLive: false,
    };
  }
  const until = times?.until === undefined ? '' : `, until ${at(times.until)}`;
  if (standing?.live === 'same')
    return { words: 'published', title: `published as it is${until}`, isLive: true };
  if (standing?.live === 'other')
    return {
      words: 'changed since',
      title: `changed since it was published${until}`,
      isLive: false,
    };
  return { words: 'ready', title: `ready: the next release publishes it${until}`, isLive: false };
}
