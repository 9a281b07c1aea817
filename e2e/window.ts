import type { Browser, BrowserContext, Page } from '@playwright/test';
import { PORT } from './addresses';

const APPLICATION = `http://127.0.0.1:${PORT}`;

const VIEWPORT = { width: 1280, height: 800 };

/** What tests listen for. */
const TOLD = ['console', 'dialog', 'pageerror', 'request', 'response'] as const;

/**
 * One window of a browser for all tests of a worker, given to each as if it were new. What a browser has read and
 * translated of the program stays with the process of a window, so every load but the first takes half the time.
 */
export class Window {
  private constructor(
    readonly context: BrowserContext,
    private open: Page,
  ) {}

  static async make(browser: Browser): Promise<Window> {
    const context = await browser.newContext({ baseURL: APPLICATION, viewport: VIEWPORT });
    // Whoever tests has read the notes of the first time. Said as each page begins: what a context is given to keep
    // beforehand costs a page of its own, a fifth of a second for each test.
    await context.addInitScript((origin) => {
      if (location.origin === origin) localStorage.setItem('sormet.bench.notes', 'true');
    }, APPLICATION);
    return new Window(context, await context.newPage());
  }

  get page(): Page {
    return this.open;
  }

  /** Takes back what a test did to the window: what it listened for, answered itself, set, kept, and opened beside it. */
  async asNew(): Promise<void> {
    if (this.open.isClosed()) this.open = await this.context.newPage();
    const page = this.open;
    for (const told of TOLD) page.removeAllListeners(told);
    await this.context.unrouteAll({ behavior: 'ignoreErrors' });
    await page.unrouteAll({ behavior: 'ignoreErrors' });
    await this.context.setOffline(false);
    for (const other of this.context.pages()) if (other !== page) await other.close();
    // Nothing of the program runs there, and what the program keeps can be reached.
    await page.goto('/api/health');
    await page.evaluate(() => {
      localStorage.clear();
      sessionStorage.clear();
    });
    await this.context.clearCookies();
    await this.context.clearPermissions();
    await page.emulateMedia({
      media: null,
      colorScheme: null,
      reducedMotion: null,
      forcedColors: null,
    });
    await page.setViewportSize(VIEWPORT);
  }
}
