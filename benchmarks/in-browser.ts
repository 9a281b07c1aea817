import { chromium, type CDPSession, type Page } from '@playwright/test';
import { chromiumProgram } from '../scripts/lib/install.mjs';
import { BenchHand } from '../e2e/bench';
import { OwnServer } from '../e2e/own-server';

/** Does something in Chromium on the demo, on a server of its own, with the browser's traces at hand. */
export async function inBrowser<T>(
  viewport: { readonly width: number; readonly height: number },
  run: (page: Page, bench: BenchHand, session: CDPSession) => Promise<T>,
): Promise<T> {
  const server = await OwnServer.make();
  await server.start();
  const browser = await chromium.launch({
    executablePath: chromiumProgram(),
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage({ baseURL: server.address, viewport });
    await page.addInitScript(() => localStorage.setItem('sormet.bench.notes', 'true'));
    return await run(page, new BenchHand(page), await browser.newBrowserCDPSession());
  } finally {
    await browser.close();
    await server.stop();
  }
}
