import { expect, test as base } from '@playwright/test';
import { Window } from './window';

/**
 * A test of the interface. What the program itself throws fails it, whatever else is seen. When it has passed, what it
 * did is waited for until it is saved: the tests of a worker share a site, and what is taken back at the end of one must
 * not be missing in the next.
 */
export const test = base.extend<
  {
    /** Whether the program is made to throw, to see what becomes of it then. */
    mayThrow: boolean;
    /** Whether it takes a browser that was never here: nothing of the program is kept there. */
    firstVisit: boolean;
    window: Window;
    throwsNothing: void;
    savesWhatItDid: void;
  },
  { sharedWindow: Window }
>({
  sharedWindow: [
    async ({ browser }, use) => {
      const window = await Window.make(browser);
      await use(window);
      await window.context.close();
    },
    { scope: 'worker' },
  ],
  firstVisit: [false, { option: true }],
  window: async ({ browser, sharedWindow, firstVisit }, use, info) => {
    const window = firstVisit ? await Window.make(browser) : sharedWindow;
    await use(window);
    if (firstVisit) await window.context.close();
    // After one that failed the worker is another: its page stays as it is, to be told of.
    else if (info.status === info.expectedStatus) await window.asNew();
  },
  context: ({ window }, use) => use(window.context),
  page: ({ window }, use) => use(window.page),
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
