import { expect, type FrameLocator, type Locator, type Page } from '@playwright/test';
import { FORMAT, text, type PageDoc } from '@sormet/core/model';
import { plant } from '@sormet/core/ready';

/** What a person does at the bench, in their words. */
export class BenchHand {
  constructor(readonly page: Page) {}

  get canvas(): FrameLocator {
    return this.page.frameLocator('iframe[title="The page"]');
  }

  get definition(): FrameLocator {
    return this.page.frameLocator('iframe[title="The definition"]');
  }

  get sentence(): Locator {
    return this.page.locator('.sentence');
  }

  async open(doc: string): Promise<void> {
    await this.page.goto(`/sites/brackenfold/bench/${doc}`);
    const main = this.canvas.locator('main');
    await expect(main).toBeVisible();
    // The canvas is fitted into its pane a moment after it is there: what is dragged by hand waits for that.
    let before = await main.boundingBox();
    await expect(async () => {
      const now = await main.boundingBox();
      const same = JSON.stringify(now) === JSON.stringify(before);
      before = now;
      expect(same).toBe(true);
    }).toPass({ intervals: [100] });
  }

  /** Clicks where an element of a canvas shows. */
  async clickOn(
    target: Locator,
    kind: 'page' | 'definition' = 'page',
    twice = false,
  ): Promise<void> {
    await target.scrollIntoViewIfNeeded();
    const box = (await target.boundingBox())!;
    const at = { x: box.x + Math.min(12, box.width / 2), y: box.y + Math.min(8, box.height / 2) };
    await expect(this.page.locator(`[data-canvas=${kind}]`)).toBeVisible();
    if (twice) await this.page.mouse.dblclick(at.x, at.y);
    else await this.page.mouse.click(at.x, at.y);
  }

  /** The row of the ledger that begins with these words, inside a group where it is named. */
  row(name: string, group?: string): Locator {
    const body = group
      ? this.page.locator('.ledger tbody', {
          has: this.page.locator('th.ledger-group', { hasText: new RegExp(`^${group}$`) }),
        })
      : this.page.locator('.ledger tbody');
    return body.locator('tr', {
      has: this.page.locator('th[scope=row]', { hasText: new RegExp(`^${name}$`) }),
    });
  }

  async tab(name: 'Values' | 'Style' | 'Acts' | 'History'): Promise<void> {
    await this.page.getByRole('tab', { name }).click();
  }

  /** Declares a CSS property in the column of a width. */
  async declare(property: string, css: string, width = 'base'): Promise<void> {
    const cell = await this.styleCell(property, width);
    await cell.fill(css);
    await cell.press('Enter');
  }

  /** The cell of a property at a width, unfolded where it is among those that do not apply yet. */
  async styleCell(property: string, width = 'base'): Promise<Locator> {
    const cell = this.page.getByRole('combobox', { name: `${property}, ${width}`, exact: true });
    const folded = this.page.locator('.more-rows[aria-expanded=false]');
    await expect(folded.or(cell).first()).toBeVisible();
    while ((await cell.count()) === 0) await folded.first().click();
    return cell;
  }

  async go(words: string): Promise<void> {
    // Single keys work when no field has the focus: Escape leaves it.
    if (await this.page.locator('input:focus, textarea:focus').count())
      await this.page.keyboard.press('Escape');
    await this.page.keyboard.press('g');
    const line = this.page.getByRole('combobox', { name: 'Go line' });
    await line.fill(words);
    await line.press('Enter');
    await expect(line).toBeHidden();
  }

  async saved(): Promise<void> {
    await expect(this.page.locator('.bar-saved')).toHaveText('Saved');
  }

  async choose(label: string, option: string): Promise<void> {
    await this.page.getByRole('combobox', { name: label, exact: true }).click();
    await this.page
      .locator('.ant-select-dropdown:visible .ant-select-item-option', { hasText: option })
      .first()
      .click();
  }
}

/** Makes a copy of the demo that nobody else works in, as a person does. @returns its address */
export async function ownSite(page: Page, name: string): Promise<string> {
  const site = `${name}-${Date.now().toString(36)}`;
  await page.goto('/');
  await page.getByRole('button', { name: 'Make a site' }).click();
  await page.getByRole('radio', { name: 'as a copy' }).check();
  await page.getByLabel('Name').fill(site);
  await page.getByLabel('Address').fill(site);
  await page.getByRole('button', { name: 'Make the site' }).click();
  await page.waitForURL(/\/sites\/[^/]+$/);
  return page.url();
}

/** A page of one's own to change as one likes: an opening, a plain section of words, a band. It is a draft, so no release knows it. */
export async function ownPage(page: Page, name: string): Promise<string> {
  // Told apart from those of earlier tries.
  const id = `${name}-${Date.now().toString(36)}`;
  let next = 0;
  const { nodes } = plant(
    {
      id: `${id}-body`,
      component: 'surround',
      slots: {
        main: [
          { component: 'opening', name: 'top' },
          {
            tag: 'section',
            name: 'How it works',
            children: [
              { tag: 'h2', name: 'Heading', text: 'How it works' },
              { tag: 'p', name: 'Text', text: 'You come with the thing and stay with it.' },
              { tag: 'p', name: 'Text', text: 'You pay for the parts.' },
            ],
          },
          { component: 'join-band' },
        ],
      },
    },
    { parent: null, order: 'a0' },
    () => `${id}-n${(next += 1)}`,
  );
  const made: PageDoc = {
    id,
    kind: 'page',
    format: FORMAT,
    name: id,
    path: `/${id}`,
    title: text(id),
    description: text(''),
    draft: true,
    entries: null,
    former: {},
    nodes,
  };
  if (!page.url().startsWith('http')) await page.goto('/');
  const status = await page.evaluate(async (doc) => {
    const response = await fetch('/api/sites/brackenfold/edits', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        id: `make-${doc.id}-${Date.now()}`,
        who: 'a test',
        name: 'addPage',
        args: { page: doc },
        changes: [{ doc: doc.id, path: '', now: doc }],
      }),
    });
    return response.status;
  }, made);
  expect(status).toBe(200);
  await new BenchHand(page).open(id);
  return id;
}
