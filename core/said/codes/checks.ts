/** What checks of a page find. */
export const CHECKS = {
  'no-landmark': { landmark: 'text' },
  'landmark-twice': { many: 'number', landmark: 'text' },
  'no-nav': {},
  'navs-unnamed': { many: 'number' },
  'no-skip-link': {},
} as const;
