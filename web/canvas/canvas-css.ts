import { docOf, siteOf, stylesOf, type Documents, nodeIn } from '@sormet/core/model';
import { cssOf } from '@sormet/core/compile';
import { reachableStyles, type Linked } from '@sormet/core/resolve';

/** What the canvas adds to the compiled CSS: nothing that changes what is shown, only the cursor while typing. */
const TYPING = '[contenteditable]{outline:none;cursor:text}';

/**
 * The CSS of a canvas: what publishing compiles, for everything the document can reach. Written again only
 * when something that it is written from is another object.
 */
export class CanvasCss {
  private from: readonly unknown[] = [];
  private css = '';

  of(documents: Documents, linked: Linked): string {
    const used = reachableStyles(linked);
    const styles = stylesOf(documents);
    const from: unknown[] = [styles, siteOf(documents).widths];
    for (const { asset } of Object.values(styles.fonts))
      from.push(docOf(documents, 'asset', asset));
    for (const { doc, node } of used.classes.values()) {
      const stored = nodeIn(documents, doc, node);
      from.push(
        node,
        stored?.kind === 'element' || stored?.kind === 'instance' ? stored.style : null,
      );
    }
    for (const tag of used.tags) from.push(tag);
    if (from.length !== this.from.length || from.some((each, i) => each !== this.from[i])) {
      this.from = from;
      this.css = cssOf(documents, used) + TYPING;
    }
    return this.css;
  }
}
