import { expect, test as base } from '@playwright/test';
import { PORT } from './addresses';

/**
 * A test of the interface. What the program itself throws fails it, whatever else is seen. When it has passed, what it
 * did is waited for until it is saved: the tests of a worker share a site, and what is taken back at the end of one must
 * not be missing in the next.
 */
export const test = base.extend<{
  /** Whether the program is made to throw, to see what becomes of it then. */
  mayThrow: boolean;
  throwsNothing: void;
  savesWhatItDid: void;
}>({
  // Whoever tests has read the notes of the first time. Said as each page begins: what a context is given to keep beforehand
  // costs a page of its own, a fifth of a second for each test.
  context: async ({ context }, use) => {
    await context.addInitScript((origin) => {
      if (location.origin === origin) localStorage.setItem('sormet.bench.notes', 'true');
    }, `http://127.0.0.1:${PORT}`);
    await use(context);
  },
  mayThrow: [false, { option: true }],
  throwsNothing: [
    async ({ page, mayThrow }, use) => {
      const thrown: string[] = [];
      page.on('pageerror', (error) => thrown.push(error.stack ?? error.message));
      page.on('console', (message) => {
        // A screen that cannot be drawn is caught by the router, which tells of it here alone.
        if (message.type() === 'error' && message.text().includes('caught the following error'))
          thrown.push(message.text());
      });
      await use();
      if (!mayThrow) expect(thrown, 'what the program threw').toEqual([]);
    },
    { auto: true },
  ],
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
