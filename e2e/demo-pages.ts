import type { APIRequestContext } from '@playwright/test';
import type { Resolved, ResolvedElement } from '@sormet/core/resolve';
import { addressesOf, Documents, type Address, type Doc } from '@sormet/core/model';

/** The documents of the demo as the server has them now. */
export async function documentsOf(request: APIRequestContext): Promise<Documents> {
  const answer = await request.get('/api/sites/brackenfold');
  const { documents } = (await answer.json()) as { documents: Record<string, Doc> };
  return Documents.fromRecord(documents);
}

/** Every address of the demo, drafts apart. */
export async function demoAddresses(request: APIRequestContext): Promise<Address[]> {
  return addressesOf(await documentsOf(request));
}

/** The elements of a resolved tree, in document order. */
export function elementsOf(node: Resolved | null): ResolvedElement[] {
  if (node === null || node.kind === 'text') return [];
  const inner = node.children.flatMap(elementsOf);
  return node.kind === 'element' ? [node, ...inner] : inner;
}
