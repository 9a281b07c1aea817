import type { CHECKS } from '@sormet/core/said';
import type { WordsOf } from '../words-of';

export const checks: WordsOf<typeof CHECKS> = {
  'no-landmark': ({ landmark }) => `no ${landmark}`,
  'landmark-twice': ({ many, landmark }) => `${many} times ${landmark}: a page has one`,
  'no-nav': 'no nav',
  'navs-unnamed': ({ many }) => `${many} times nav that have no names of their own (aria-label)`,
  'no-skip-link': 'no skip link before all others',
  'needs-grid': 'has no effect: it needs a grid',
  'needs-flex': 'has no effect: it needs a row or a stack',
  'needs-flex-or-grid': 'has no effect: it needs a row, a stack or a grid',
  'needs-gaps': 'has no effect: gaps are in a row, a stack or a grid',
  'needs-grid-around': 'has no effect: what is around is no grid',
  'needs-flex-around': 'has no effect: what is around is no row or stack',
  'needs-items-around': 'has no effect: what is around is no row, stack or grid',
  'needs-position': 'has no effect: it stands in the flow',
  'needs-layer': 'has no effect: it stands in the flow',
  'needs-box': 'has no effect: it is in a line of text, no box',
  'needs-line': 'has no effect: there is no line',
  'needs-picture-in-it': 'has no effect: it is no picture or film',
  'needs-ground': 'has no effect: there is no picture behind',
  'needs-clipping': 'has no effect: nothing is cut off',
};
