import { expect } from '@playwright/test';
import { ownSite } from './bench';
import { test } from './test';

test('an editor fills a page: values with their help, sections in their slots, content; nothing else', async ({
  page,
}) => {
  const site = await ownSite(page, 'editing');
  await page.goto(`${site}/edit/page-about`);
  const drawn = page.locator('.named-picture iframe').contentFrame();
  await expect(drawn.locator('h1')).toBeVisible();
  // What can be filled is outlined and named; a press opens its form.
  await page.getByRole('button', { name: 'top', exact: true }).first().click();
  const form = page.locator('.editing-form');
  const heading = form.getByRole('textbox', { name: 'Heading text' });
  await heading.fill('Nobody here knows it all');
  await expect(drawn.locator('h1')).toHaveText('Nobody here knows it all');
  await form
    .locator('.field', { hasText: 'Heading text' })
    .getByRole('button', { name: 'by default' })
    .click();
  await expect(drawn.locator('h1')).not.toHaveText('Nobody here knows it all');
  await page.getByRole('button', { name: 'done' }).click();
  // A section that is offered is put in, moved up, and taken out again.
  const main = page.getByRole('group', { name: 'In main' });
  await main.getByRole('button', { name: 'Add to main …' }).click();
  await main.getByRole('button', { name: 'Quotation' }).click();
  await expect(page.getByRole('region', { name: 'Section Quotation' })).toBeVisible();
  await expect(drawn.locator('main > *').last()).toContainText(/\w/);
  await page.getByRole('button', { name: 'done' }).click();
  const rows = main.getByRole('listitem');
  const many = await rows.count();
  await expect(rows.last()).toContainText('Quotation');
  await main.getByRole('button', { name: 'Quotation: further up' }).click();
  await expect(rows.nth(many - 2)).toContainText('Quotation');
  await main.getByRole('button', { name: 'Quotation: further down' }).click();
  await expect(rows.last()).toContainText('Quotation');
  await main.getByRole('button', { name: 'Quotation: take it out' }).click();
  await expect(rows).toHaveCount(many - 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(rows).toHaveCount(many);
  // What the designer put there is not taken out.
  await expect(main.getByRole('button', { name: 'top: take it out' })).toHaveCount(0);
});

test('on a page made from entries the entry is written, and the page follows', async ({ page }) => {
  const site = await ownSite(page, 'editing-entry');
  await page.goto(`${site}/edit/page-shed?entry=shed-dunmoor`);
  const drawn = page.locator('.named-picture iframe').contentFrame();
  await expect(drawn.locator('h1')).toHaveText('Dunmoor');
  const name = page.getByRole('textbox', { name: 'Name', exact: true });
  await name.fill('Dunmoor on the hill');
  await expect(drawn.locator('h1')).toHaveText('Dunmoor on the hill');
  await page.getByRole('combobox', { name: 'Entry' }).click();
  await page.keyboard.type('Millgate');
  await page.keyboard.press('Enter');
  await expect(drawn.locator('h1')).toHaveText('Millgate');
});

test('what is more than editors may is refused by the server as well', async ({ page }) => {
  const site = (await ownSite(page, 'editing-refused')).replace(/.*\/sites\//, '');
  const answer = await page.request.get(`/api/sites/${site}`);
  const { documents } = (await answer.json()) as {
    documents: Record<string, { id: string; kind: string; name: string }>;
  };
  const before = Object.values(documents).find(({ kind }) => kind === 'site')!;
  const edit = (editing: boolean) =>
    page.request.post(`/api/sites/${site}/edits`, {
      data: {
        id: `try-${String(editing)}-${Date.now()}`,
        who: 'an editor',
        name: 'setSite',
        args: { set: { name: 'Mine' } },
        changes: [{ doc: before.id, path: '/name', was: before.name, now: 'Mine' }],
        ...(editing ? { editing } : {}),
      },
    });
  const refused = await edit(true);
  expect(refused.status()).toBe(422);
  expect(((await refused.json()) as { said: { code: string } }).said.code).toBe('not-for-editors');
  expect((await edit(false)).status()).toBe(200);
});
