import { EVERY_TAG, TAGS } from '../../model';

/** The tags that a site may give a look: those of a page's whole and every element that may stand in it; `*` for all. */
export const STYLED_TAGS: ReadonlySet<string> = new Set([EVERY_TAG, 'html', 'body', ...TAGS]);
