import type { RELEASES } from '@sormet/core/said';
import type { WordsOf } from '../words-of';

export const releases: WordsOf<typeof RELEASES> = {
  'no-page-here': 'no page has this path any more',
  'leads-to': ({ path }) => `leads to ${path} now`,
  'page-is-new': 'the page is new',
  'made-from-changed': 'something it is made from changed',
  'list-changed': ({ of }) => `the list of ${of} changed`,
  'linked-address-changed': 'the address of a page it links to changed',
  'tag-style-changed': ({ tag }) => `the style of every ${tag} changed`,
  'token-changed': ({ token }) => `the token ${token} changed`,
  'page-changed': ({ path }) => `the page ${path} changed`,
  'definition-changed': ({ component }) => `the definition of ${component} changed`,
  'entry-changed': ({ slug }) => `the entry ${slug} changed`,
  'entry-time': ({ slug }) => `the entry ${slug} came or went at its time`,
  'entry-dates': ({ slug }) => `when ${slug} was changed or published is shown`,
  'day-changed': 'it shows what goes by the day, and it is another day',
  'tokens-changed': 'the tokens changed',
  'tag-styles-changed': 'the tag styles changed',
  'style-changed': ({ style }) => `the style ${style} changed`,
  'settings-changed': 'the settings of the site changed',
  'file-changed': ({ file }) => `the file ${file} changed`,
  'type-changed': ({ type }) => `the content type ${type} changed`,
  'site-removed': 'The site was removed while this was published.',
  'nothing-to-publish': 'Every page is published as it is; there is nothing to publish.',
  'file-not-stored': ({ path }) => `The file of ${path} is not stored; bring it in again.`,
  'picture-unsafe': ({ path, what }) =>
    `The picture ${path} holds ${what.join(', ')}; bring it in again.`,
  'failed-too-often':
    'No worker could make it, though it was tried several times; nothing was changed. Look at what the workers said.',
};
