/**
 * How much one thing may be. Browsers' parsers keep 512 open elements and put what is deeper beside its
 * parent (Chromium; the HTML Living Standard lets them, 13.2: "implementations may impose limits"), so a page stays well under that.
 */

/** How deep a document's own tree may be, its root counted as 1. */
export const DEEPEST_TREE = 200;

/** How many elements may stand in each other on a page with every definition written out, html and body apart. */
export const DEEPEST_PAGE = 400;

/** How many steps (elements, instances, slots, repeats) lead at most from a page's root to anything on it. */
export const LONGEST_WAY = 600;

/** How many nodes a page may have with every definition written out, each repeat counted once. */
export const LARGEST_PAGE = 100_000;

/** How many nodes one document may hold. */
export const LARGEST_TREE = 20_000;

/** How many changes one edit may make: a file of 20,000 rows is taken in at once. */
export const LARGEST_EDIT = 25_000;
