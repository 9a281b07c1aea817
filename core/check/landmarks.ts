import type { Resolved, ResolvedElement } from '../resolve';
import { say, type Said } from '../said';

/** What of a page's landmarks is missing, doubled or cannot be told apart (WAI-ARIA Authoring Practices, Landmark Regions). */
export interface LandmarkFinding {
  readonly landmark: 'header' | 'nav' | 'main' | 'footer' | 'skip link';
  readonly says: Said;
  /** One that is concerned, where there is one. */
  readonly element?: ResolvedElement;
}

/** Elements in which a header or footer is that of a part, not of the page (HTML Accessibility API Mappings 1.0, 4). */
const PARTS = new Set(['article', 'aside', 'main', 'nav', 'section']);

/** What is to be said of the landmarks of a page as it resolves. */
export function landmarkFindings(root: Resolved | null | undefined): LandmarkFinding[] {
  const found: Record<'header' | 'nav' | 'main' | 'footer', ResolvedElement[]> = {
    header: [],
    nav: [],
    main: [],
    footer: [],
  };
  const links: ResolvedElement[] = [];
  const ids = new Set<string>();
  const visit = (node: Resolved, inPart: boolean): void => {
    if (node.kind === 'text') return;
    if (node.kind === 'group') {
      for (const child of node.children) visit(child, inPart);
      return;
    }
    const { tag, attributes } = node;
    if (attributes['id']) ids.add(attributes['id']);
    if (tag === 'a') links.push(node);
    if (tag === 'nav' || tag === 'main') found[tag].push(node);
    if ((tag === 'header' || tag === 'footer') && !inPart) found[tag].push(node);
    for (const child of node.children) visit(child, inPart || PARTS.has(tag));
  };
  if (root) visit(root, false);
  const findings: LandmarkFinding[] = [];
  for (const landmark of ['header', 'main', 'footer'] as const) {
    const [first, second] = found[landmark];
    if (!first) findings.push({ landmark, says: say('no-landmark', { landmark }) });
    else if (second)
      findings.push({
        landmark,
        says: say('landmark-twice', { many: found[landmark].length, landmark }),
        element: second,
      });
  }
  const named = (nav: ResolvedElement) =>
    nav.attributes['aria-label'] ?? nav.attributes['aria-labelledby'];
  if (found.nav.length === 0) findings.push({ landmark: 'nav', says: say('no-nav') });
  const names = found.nav.map(named);
  const unclear = found.nav.find(
    (nav) =>
      found.nav.length > 1 && (!named(nav) || names.filter((n) => n === named(nav)).length > 1),
  );
  if (unclear)
    findings.push({
      landmark: 'nav',
      says: say('navs-unnamed', { many: found.nav.length }),
      element: unclear,
    });
  // What skips to the content stands before everything else that can be reached (WCAG 2.2, 2.4.1, technique G1).
  const [first] = links;
  const target = /^#(.+)$/.exec(first?.attributes['href'] ?? '')?.[1];
  if (target === undefined || !ids.has(target))
    findings.push({ landmark: 'skip link', says: say('no-skip-link') });
  return findings;
}
