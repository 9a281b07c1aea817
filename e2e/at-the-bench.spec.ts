import { expect, test } from '@playwright/test';
import { BenchHand } from './bench';

test.describe('at the bench', () => {
  test('outline, canvas and ledger select together; arrow keys walk the tree', async ({ page }) => {
    const bench = new BenchHand(page);
    await bench.open('page-about');
    await bench.clickOn(bench.canvas.locator('h2').first());
    await expect(page.locator('.outline-row.selected')).toContainText('Heading');
    await expect(bench.sentence).toContainText('Heading');
    await page.keyboard.press('ArrowLeft');
    await expect(page.locator('.outline-row.selected')).toContainText('How it works');
    await page.keyboard.press('ArrowDown');
    await expect(page.locator('.outline-row.selected')).toContainText('Join band');
    await expect(bench.sentence).toHaveAttribute('data-edge', 'instance');
  });

  test('hovering names the thing', async ({ page }) => {
    const bench = new BenchHand(page);
    await bench.open('page-about');
    const box = (await bench.canvas.locator('h1').boundingBox())!;
    await page.mouse.move(box.x + 10, box.y + 10);
    await expect(page.locator('.mark-hover .mark-label')).toHaveText('Opening “top”');
  });

  test('text of a definition that is not exposed says what can be done instead', async ({
    page,
  }) => {
    const bench = new BenchHand(page);
    await bench.open('page-about');
    await bench.clickOn(bench.canvas.locator('header nav a').first(), 'page', true);
    await expect(bench.sentence).toContainText(
      'belongs to the definition of Site surround; it is not exposed',
    );
    await expect(bench.canvas.locator('[contenteditable]')).toHaveCount(0);
  });

  test('text being typed into is never under 13 px on screen', async ({ page }) => {
    const bench = new BenchHand(page);
    await bench.open('page-home');
    await bench.clickOn(bench.canvas.locator('h1'));
    await page.keyboard.press('b');
    await expect(bench.definition.locator('h1')).toBeVisible();
    await bench.clickOn(bench.definition.locator('p').first(), 'definition', true);
    const text = bench.definition.locator('[contenteditable]');
    await expect(text).toBeVisible();
    const size = await text.evaluate((element) => {
      const frame = element.ownerDocument.defaultView!.frameElement!;
      const scale = frame.getBoundingClientRect().width / (frame as HTMLElement).offsetWidth;
      return parseFloat(getComputedStyle(element).fontSize) * scale;
    });
    expect(size).toBeGreaterThanOrEqual(12.99);
    await page.keyboard.press('Escape');
  });

  test('nothing inside the canvas runs', async ({ page }) => {
    const bench = new BenchHand(page);
    await bench.open('page-about');
    const ran = await page
      .locator('iframe[title="The page"]')
      .evaluate((frame: HTMLIFrameElement) => {
        const inner = frame.contentDocument!;
        const script = inner.createElement('script');
        script.textContent = 'parent.document.title = "ran"';
        inner.body.append(script);
        const image = inner.createElement('img');
        image.setAttribute('onerror', 'parent.document.title = "ran"');
        image.src = '/nothing.png';
        inner.body.append(image);
        return new Promise<string>((done) =>
          setTimeout(() => {
            script.remove();
            image.remove();
            done(document.title);
          }, 300),
        );
      });
    expect(ran).not.toBe('ran');
  });

  test('the rule that typing goes to is seen and chosen, with its reach', async ({ page }) => {
    const bench = new BenchHand(page);
    await bench.open('page-home');
    await bench.clickOn(bench.canvas.locator('h1'));
    await bench.tab('Style');
    const chain = page.getByRole('radiogroup', { name: 'Writing to' });
    await expect(chain.getByRole('radio')).toHaveText([
      /section tag/,
      /definition of Opening/,
      /here/,
    ]);
    await expect(chain.getByRole('radio', { name: /here/ })).toBeChecked();
    await expect(bench.sentence).toHaveAttribute('data-edge', 'instance');
    await chain.getByRole('radio', { name: /definition of Opening/ }).click();
    await expect(bench.sentence).toHaveAttribute('data-edge', 'definition');
    await expect(bench.sentence).toContainText('2 instances in 2 documents');
    await chain.getByRole('radio', { name: /here/ }).click();
    await bench.declare('background-color', '#ffeeee');
    await expect(bench.canvas.locator('main > section').first()).toHaveCSS(
      'background-color',
      'rgb(255, 238, 238)',
    );
    await bench.declare('background-color', '');
    await expect(bench.canvas.locator('main > section').first()).toHaveCSS(
      'background-color',
      'rgb(243, 230, 211)',
    );
  });

  test('a trace says where each value comes from', async ({ page }) => {
    const bench = new BenchHand(page);
    await bench.open('page-home');
    await bench.clickOn(bench.canvas.locator('h1'));
    await page.keyboard.press('x');
    const trace = page.getByRole('dialog', { name: 'Where the values come from' });
    await expect(trace).toContainText('in /: “Bring it broken. Take it home mended.”');
    await expect(trace).toContainText('nothing set here, so the default: “Find a shed”');
  });

  test('things are moved by dragging, and by keys', async ({ page }) => {
    const bench = new BenchHand(page);
    await bench.open('page-home');
    const headings = bench.canvas.locator('main > section');
    const first = (await headings.first().boundingBox())!;
    await page.mouse.move(first.x + 20, first.y + 30);
    await page.mouse.down();
    await page.mouse.move(first.x + 40, first.y + 120, { steps: 4 });
    await page.mouse.move(first.x + 40, first.y + 60, { steps: 4 });
    await expect(page.locator('.landing-line')).toBeVisible();
    await page.mouse.up();
    await page.locator('.outline-row', { hasText: 'Join band' }).click();
    await page.keyboard.press('Alt+ArrowUp');
    await expect(headings.last()).toContainText('I came with a broken kettle');
    await page.keyboard.press('Control+z');
    await expect(headings.last()).toContainText('Good with your hands');
  });

  test('everything folds and the layout is remembered', async ({ page }) => {
    const bench = new BenchHand(page);
    await bench.open('page-home');
    await page.keyboard.press('o');
    await expect(page.locator('.outline')).toHaveCount(0);
    await page.keyboard.press('o');
    await page.keyboard.press('l');
    await expect(page.locator('.ledger')).toHaveCount(0);
    await page.keyboard.press('l');
    await expect(page.locator('.ledger')).toBeVisible();
  });

  test('? lists the keys', async ({ page }) => {
    await new BenchHand(page).open('page-home');
    await page.keyboard.press('?');
    const keys = page.getByRole('dialog', { name: 'Keys' });
    for (const key of ['g', 'b', 'm', 'e', 'x', 'p', ', and .', '[ and ]'])
      await expect(keys.locator('kbd', { hasText: key }).first()).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(keys).toBeHidden();
  });
});
