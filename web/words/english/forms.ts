import type { FORMS } from '@sormet/core/said';
import type { WordsOf } from '../words-of';

export const forms: WordsOf<typeof FORMS> = {
  'slug-form':
    'must be made of small letters, digits and single hyphens between them, as in “shed-intro”',
  'path-form':
    'must begin with “/” and be made of small letters, digits and single hyphens between them, as in “/sheds/shed-intro”',
  'language-form': 'must be a language tag, as “en” or “en-GB”',
  'key-form': 'must begin with a small letter and be made of letters and digits, as in “shedName”',
  'folder-form': 'must have “/” between its folders and none that is empty, as in “sheds/old”',
  'component-name-form':
    'must have “/” between its folders and none that is empty, as in “Sections/Shed intro”',
  'colour-form': 'must be a colour as six or eight hexadecimal digits, as “#0b6b6f”',
  'instant-form': 'must be a minute in UTC, as “2026-12-03T18:30Z”',
  'time-zone-form': 'must be the name of a time zone, as “Europe/London”',
  'date-form': 'must be a day as year, month and day, as “2026-12-03”',
  'no-spaces-form': 'must hold no spaces',
  'mail-form': 'must be a mail address, as “name@shed.example”',
  'telephone-form':
    'must be a telephone number: digits, with spaces and “+ ( ) . / -” between them',
};
