import type { APIRequestContext } from '@playwright/test';
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
