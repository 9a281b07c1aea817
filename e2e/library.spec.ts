import { expect } from '@playwright/test';
import { test } from './test';

test('the library shows what each component looks like, what is used most and what not at all', async ({
  page,
}) => {
  await page.goto('/sites/brackenfold/library');
  const mender = page.getByRole('row', { name: /^Mender/ });
  await expect(mender.frameLocator('iframe').getByText('Somebody who mends')).toBeVisible();

  // The order and what is unused.
  const names = () => page.getByRole('textbox', { name: /^Folder and name of/ });
  // What Enter takes: it follows what is typed a moment later.
  const active = page.locator('.ant-select-item-option-active');
  await page.getByRole('combobox', { name: 'Order of the library' }).focus();
  await page.keyboard.type('used');
  await expect(active).toContainText('used');
  await page.keyboard.press('Enter');
  await expect(names().first()).toHaveValue('Fittings/Mender');
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
  await page.getByRole('combobox', { name: 'Order of the library' }).focus();
  await page.keyboard.type('changed');
  await expect(active).toContainText('changed');
  await page.keyboard.press('Enter');
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
  await page.getByRole('combobox', { name: 'Order of the library' }).focus();
  await page.keyboard.type('changed');
  await page.keyboard.press('Enter');

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
