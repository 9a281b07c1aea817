import type { Page } from '@playwright/test';

/**
 * The body of a page as it is, and as it would be if it were written anew: without what tells of where states began, and the
 * region in which a script says what changed.
 */
export function bothBodies(page: Page, written: string): Promise<readonly string[]> {
  return page.evaluate((html) => {
    const other = document.implementation.createHTMLDocument();
    other.body.innerHTML = html;
    return [document.body.cloneNode(true) as HTMLElement, other.body].map((root) => {
      for (const each of root.querySelectorAll('[data-sormet-status]')) each.remove();
      for (const each of root.querySelectorAll('*')) {
        each.removeAttribute('data-sormet-states');
        const all = [...each.attributes].map(({ name, value }) => [name, value] as const);
        for (const [name] of all) each.removeAttribute(name);
        for (const [name, value] of all.sort(([a], [b]) => (a < b ? -1 : 1)))
          each.setAttribute(name, value);
      }
      return root.innerHTML;
    });
  }, written);
}
