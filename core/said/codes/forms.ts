/** What a pattern of a schema lets through: `says` of a schema names one of these. */
export const FORMS = {
  'slug-form': {},
  'path-form': {},
  'language-form': {},
  'key-form': {},
  'component-name-form': {},
  'folder-form': {},
  'colour-form': {},
  'date-form': {},
  'instant-form': {},
  'time-zone-form': {},
  'no-spaces-form': {},
  'mail-form': {},
  'telephone-form': {},
} as const;
