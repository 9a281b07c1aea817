import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';

const axeSource = readFileSync(
  createRequire(import.meta.url).resolve('axe-core/axe.min.js'),
  'utf8',
);

/** What axe-core finds that is serious, by the rules of WCAG 2.2 A and AA. */
export async function seriousFindings(page: Page): Promise<string[]> {
  await page.evaluate(axeSource);
  const { violations } = await page.evaluate(() => {
    const { axe } = window as unknown as {
      axe: {
        run: (
          options: object,
        ) => Promise<{ violations: { id: string; impact: string; nodes: { html: string }[] }[] }>;
      };
    };
    return axe.run({
      runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
      // What is right is not described.
      resultTypes: ['violations'],
    });
  });
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`);
}
