import { expect, type Page } from '@playwright/test';
import { test } from './test';

/** Puts the library in an order, and sees that it is chosen. */
async function orderBy(page: Page, order: string): Promise<void> {
  const choice = page.getByRole('combobox', { name: 'Order of the library' });
  await choice.click();
  await page
    .locator('.ant-select-dropdown:visible .ant-select-item-option', { hasText: order })
    .click();
  await expect(page.locator('.ant-select', { has: choice })).toContainText(order);
}

test('the library shows what each component looks like, what is used most and what not at all', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold/library');
  const mender = page.getByRole('row', { name: /^Mender/ });
  await expect(mender.frameLocator('iframe').getByText('Somebody who mends')).toBeVisible();

  // The order and what is unused.
  const names = () => page.getByRole('textbox', { name: /^Folder and name of/ });
  await orderBy(page, 'used most first');
  // Other tests place things on the same site: the order is that of what each row says.
  const placed = () =>
    page
      .locator('.library tbody tr')
      .evaluateAll((rows) =>
        rows.map(({ textContent }) => Number(/(\d+) instances? in/.exec(textContent)?.[1] ?? 0)),
      );
  await expect
    .poll(async () => {
      const counts = await placed();
      return counts.length > 2 && counts.every((each, i) => i === 0 || each <= counts[i - 1]!);
    })
    .toBe(true);
  await expect(page.getByRole('checkbox', { name: 'unused only (0)' })).toBeVisible();
  await mender.getByRole('button', { name: 'duplicate' }).click();
  await page.getByRole('checkbox', { name: 'unused only (1)' }).check();
  await expect(names()).toHaveCount(1);
  await expect(names()).toHaveValue('Fittings/Mender 2');

  // It is renamed where it stands, into another folder; a name that is none says why.
  await names().fill('People//Helper');
  await names().press('Enter');
  await expect(page.getByRole('alert')).toBeVisible();
  await names().fill('People/Helper');
  await names().press('Enter');
  await expect(page.getByRole('link', { name: 'Helper' })).toBeVisible();
  await orderBy(page, 'changed last first');
  await page.getByRole('checkbox', { name: /^unused only/ }).uncheck();
  await expect(names().first()).toHaveValue('People/Helper');
  for (const _ of [1, 2]) await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('checkbox', { name: 'unused only (0)' })).toBeVisible();
});

test('a picture that is loaded anew, as its row goes elsewhere in the list, takes nothing else with it', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold/library');
  const row = (name: string) => page.getByRole('row', { name: new RegExp(`^${name}`) });
  const drawn = row('Mender').frameLocator('iframe').getByText('Somebody who mends');
  await expect(drawn).toBeVisible();
  await orderBy(page, 'changed last first');

  // The browser loads a frame anew when it is moved; here it takes its time.
  let mayLoad!: () => void;
  const loading = new Promise<void>((done) => (mayLoad = done));
  await page.route('**/canvas', async (route) => {
    await loading;
    await route.continue();
  });
  // What is changed goes first: the browser loads those anew that it passes, and the next is one of them.
  const names = page.getByRole('textbox', { name: /^Folder and name of/ });
  for (const place of [3, 2, 1]) {
    const name = `${await names.nth(place).inputValue()} again`;
    await names.nth(place).fill(name);
    await names.nth(place).press('Enter');
    await expect(names.first()).toHaveValue(name);
  }
  for (const _ of [1, 2, 3]) await page.getByRole('button', { name: 'Undo' }).click();
  mayLoad();
  await expect(drawn).toBeVisible();
});
