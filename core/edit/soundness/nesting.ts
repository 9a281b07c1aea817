import {
  childrenOf,
  claim,
  DEEPEST_PAGE,
  docOf,
  LARGEST_PAGE,
  LONGEST_WAY,
  pointer,
  treeDocOf,
  type ComponentDoc,
  type Documents,
  type TreeDoc,
} from '../../model';
import { say, type Said } from '../../said';
import { documentWord } from '../names';
import { containmentLoop } from './containment';
import { limitsWhat, slotTakes } from './slot-takes';
import { TreeOutlines, type TreeOutline } from './outline-of-tree';
import type { DocumentFinding } from './document-finding';

/**
 * Which element would stand where it may not, in the touched trees and in those that hold them. Whatever holds a
 * definition is looked at only when something of the definition that matters out there is another than in `other`.
 * @param limited components whose slots may let in something else than in `other`
 */
export function nestingFindings(
  documents: Documents,
  ids: readonly string[],
  limited: readonly string[],
  other: Documents,
): DocumentFinding[] {
  const loop = containmentLoop(documents, ids);
  if (loop) return [loop];
  const outlines = new TreeOutlines(documents);
  const before = new TreeOutlines(other);
  const findings: DocumentFinding[] = [];
  const checked = new Set<string>(ids);
  for (const id of checked) {
    const doc = treeDocOf(documents, id);
    if (!doc) continue;
    const outline = outlines.of(id);
    if (outline) findings.push(...outlineFindings(documents, doc, outline));
    findings.push(...slotFindings(documents, doc));
    if (doc.kind === 'component' && outline?.key !== before.of(id)?.key)
      for (const holder of documents.claiming(claim.places(id))) checked.add(holder);
  }
  for (const component of limited)
    for (const holder of documents.claiming(claim.places(component))) {
      const doc = checked.has(holder) ? undefined : treeDocOf(documents, holder);
      if (doc) findings.push(...slotFindings(documents, doc));
    }
  return findings;
}

function outlineFindings(
  documents: Documents,
  doc: TreeDoc,
  outline: TreeOutline,
): DocumentFinding[] {
  const found = outline.faults.map(({ node, reason }) => ({
    doc: doc.id,
    path: pointer('nodes', node),
    reason,
  }));
  const large = tooLarge(outline) && tooLarge(new TreeOutlines(documents, 'exactly').of(doc.id));
  return large ? [...found, { doc: doc.id, path: '/nodes', reason: large }] : found;
}

/** Why a tree is too large with every definition written out; nothing where it is not. */
function tooLarge(outline: TreeOutline | undefined): Said | undefined {
  if (!outline) return undefined;
  if (outline.size > LARGEST_PAGE) return say('too-many-parts', { most: LARGEST_PAGE });
  if (outline.depth > DEEPEST_PAGE || outline.way > LONGEST_WAY)
    return say('page-too-deep', { most: DEEPEST_PAGE });
  return undefined;
}

/** What the instances of a tree put into slots that do not let it in. */
function slotFindings(documents: Documents, doc: TreeDoc): DocumentFinding[] {
  return Object.keys(doc.nodes).flatMap((id) => {
    const node = doc.nodes[id]!;
    const component =
      node.kind === 'instance' ? docOf(documents, 'component', node.component) : undefined;
    return component ? slotFindingsAt(documents, doc, id, component) : [];
  });
}

function slotFindingsAt(
  documents: Documents,
  doc: TreeDoc,
  id: string,
  { slots }: ComponentDoc,
): DocumentFinding[] {
  const findings: DocumentFinding[] = [];
  for (const slot in slots) {
    const { label, most } = slots[slot]!;
    const takes = slots[slot]!;
    if (!limitsWhat(takes) && most === undefined) continue;
    const filled = childrenOf(doc.nodes).of(id, slot);
    if (most !== undefined && filled.length > most)
      findings.push({
        doc: doc.id,
        path: pointer('nodes', id),
        reason: say('slot-holds-most', { slot: label, most }),
      });
    const other = filled.find((child) => !slotTakes(documents, takes, doc.nodes, child));
    if (other === undefined) continue;
    const names = [
      ...Object.keys(takes.allows ?? {}).map((each) => documentWord(documents.get(each))),
      ...Object.keys(takes.allowsFolders ?? {}).map((folder) => `${folder}/…`),
      ...Object.keys(takes.allowsTags ?? {}),
    ];
    findings.push({
      doc: doc.id,
      path: pointer('nodes', other),
      reason: say('slot-takes-only', { slot: label, names }),
    });
  }
  return findings;
}
