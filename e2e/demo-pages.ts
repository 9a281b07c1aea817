import type { APIRequestContext } from '@playwright/test';
import { addressesOf, type Address, type Documents } from '@sormet/core/model';

/** The documents of the demo as the server has them now. */
export async function documentsOf(request: APIRequestContext): Promise<Documents> {
  const answer = await request.get('/api/sites/brackenfold');
  return ((await answer.json()) as { documents: Documents }).documents;
}

/** Every address of the demo, drafts apart. */
export async function demoAddresses(request: APIRequestContext): Promise<Address[]> {
  return addressesOf(await documentsOf(request));
}
