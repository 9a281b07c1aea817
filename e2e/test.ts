import { expect, test as base } from '@playwright/test';

/**
 * A test of the interface. When it has passed, what it did is waited for until it is saved: the tests of a worker share
 * a site, and what is taken back at the end of one must not be missing in the next.
 */
export const test = base.extend<{ savesWhatItDid: void }>({
  savesWhatItDid: [
    async ({ page }, use, info) => {
      await use();
      const saved = page.locator('.bar-saved');
      if (info.status === 'passed' && (await saved.count()) > 0)
        await expect(saved).toHaveText('Saved');
    },
    { auto: true },
  ],
});
