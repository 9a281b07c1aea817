import { chromium } from '@playwright/test';
const b = await chromium.launch({
  executablePath: '/usr/bin/chromium-headless-shell',
  args: ['--no-sandbox', '--disable-gpu'],
});
const ctx = await b.newContext({ viewport: { width: 1280, height: 800 } });
await ctx.addInitScript(() => localStorage.setItem('sormet.bench.notes', 'true'));
const page = await ctx.newPage();
const A = 'http://127.0.0.1:5480';
page.on('pageerror', (e) => console.log('ERR', e.message));
await page.goto(A + '/sites/brackenfold/files');
await page.waitForTimeout(1500);
await page
  .getByRole('textbox', { name: 'Alternative text of alderhithe.svg' })
  .fill('A brown shed');
await page.keyboard.press('Enter');
await page.screenshot({ path: '/tmp/look/3.png' });
await page.goto(A + '/sites/brackenfold/content/shed/shed-millgate?beside=page');
await page.waitForTimeout(1500);
await page.screenshot({ path: '/tmp/look/1.png' });
await page.goto(A + '/sites/brackenfold/bench/page-sheds');
await page.waitForTimeout(1500);
await page.locator('.outline-row', { hasText: 'Shed card' }).click();
await page.getByRole('tab', { name: 'Values' }).click();
await page.waitForTimeout(500);
console.log(
  await page
    .getByRole('button', { name: /bound to/ })
    .evaluateAll((l) => l.map((e) => e.getAttribute('aria-label'))),
);
console.log(
  await page.getByRole('combobox').evaluateAll((l) => l.map((e) => e.getAttribute('aria-label'))),
);
const box = page.locator('[aria-label="shown, bound to"]').first();
await box.click().catch((e) => console.log(String(e).slice(0, 300)));
await page.waitForTimeout(600);
await page.screenshot({ path: '/tmp/look/4.png' });
await b.close();
