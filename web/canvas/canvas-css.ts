import { docOf, type Documents, nodeIn, own, type State } from '@sormet/core/model';
import { cssOf } from '@sormet/core/compile';
import { reachableStyles, type Linked } from '@sormet/core/resolve';

/**
 * What the canvas adds to the compiled CSS: the cursor while typing, what waits, and the places of slots and boxes that
 * are empty and could not be seen otherwise. Nothing else of it moves anything.
 */
const ADDED =
  '[contenteditable]{outline:none;cursor:text}[data-sormet-waiting]{outline:1px dashed;outline-offset:1px}' +
  '[data-sormet-place]{display:block;min-width:120px;min-height:44px;padding:12px 14px;outline:1px dashed #4a5560;' +
  'outline-offset:-1px;background:#4a55600f;color:#4a5560;font:14px/20px sans-serif;text-align:left}' +
  '[data-sormet-place]::before{content:attr(data-sormet-place)}' +
  // What opens only when something is pressed is worked on where it stands (HTML Living Standard, 15.3.3: hidden unless open).
  'dialog:not([open]){display:block;position:static;margin-block:12px}';

/** The attribute of an element that is held in states, with their names. */
export const HELD = 'data-sormet-held';

/** A state that the canvas holds; what an element is by itself (checked, disabled) it is here too. */
function heldOrHad(state: State): string {
  const held = `[${HELD}~="${state.slice(1)}"]`;
  return state === ':checked' || state === ':disabled' ? `:is(${state},${held})` : held;
}

/**
 * The CSS of a canvas: what publishing compiles, for everything the document can reach. Written again only
 * when something that it is written from is another object.
 */
export class CanvasCss {
  private from: readonly unknown[] = [];
  private css = '';

  of(documents: Documents, linked: Linked): string {
    const used = reachableStyles(linked);
    const { widths, fonts, theme } = documents.site;
    const from: unknown[] = [documents.tags, documents.tokens, widths, fonts, theme];
    for (const { asset } of Object.values(fonts)) from.push(docOf(documents, 'asset', asset));
    for (const [key, { by, doc, node }] of used.classes) {
      const stored = nodeIn(documents, doc, node);
      from.push(key);
      if (by.is === 'shared') from.push(docOf(documents, 'style', by.style));
      else if (by.is === 'part')
        from.push(stored?.kind === 'instance' ? own(stored.parts ?? {}, by.part) : null);
      else if (by.is === 'rule') from.push(docOf(documents, 'component', doc)?.rules);
      else
        from.push(stored?.kind === 'element' || stored?.kind === 'instance' ? stored.style : null);
    }
    for (const tag of used.tags) from.push(tag);
    if (from.length !== this.from.length || from.some((each, i) => each !== this.from[i])) {
      this.from = from;
      this.css = cssOf(documents, used, { stateSelector: heldOrHad }) + ADDED;
    }
    return this.css;
  }
}
