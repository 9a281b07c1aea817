import type { CHECKS } from '@sormet/core/said';
import type { WordsOf } from '../words-of';

export const checks: WordsOf<typeof CHECKS> = {
  'no-landmark': ({ landmark }) => `no ${landmark}`,
  'landmark-twice': ({ many, landmark }) => `${many} times ${landmark}: a page has one`,
  'no-nav': 'no nav',
  'navs-unnamed': ({ many }) => `${many} times nav that have no names of their own (aria-label)`,
  'no-skip-link': 'no skip link before all others',
};
