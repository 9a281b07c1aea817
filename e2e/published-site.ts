import { expect, type Page } from '@playwright/test';
import { ownSite } from './bench';

/** A copy of the demo, published. @returns where it is worked on, and where visitors are */
export async function publishedSite(
  page: Page,
  name: string,
): Promise<{ site: string; at: string }> {
  const site = await ownSite(page, name);
  await page.goto(`${site}/releases`);
  await page.getByRole('button', { name: /^Publish/ }).click();
  const opens = page.getByRole('link', { name: 'Open the published site' });
  await expect(opens).toBeVisible({ timeout: 60_000 });
  return { site, at: (await opens.getAttribute('href'))!.replace(/\/$/, '') };
}
