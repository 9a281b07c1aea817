import { expect, type Page } from '@playwright/test';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

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
    await expect(page.locator('.outline-row.selected')).toContainText('Where it began');
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('ArrowUp');
    await expect(page.locator('.outline-row.selected')).toContainText('Opening');
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
    await bench.clickOn(bench.canvas.locator('header a').first(), 'page', true);
    await expect(bench.sentence).toContainText(
      'belongs to the definition of Site surround; it is not exposed',
    );
    await expect(bench.canvas.locator('[contenteditable]')).toHaveCount(0);
    // It is exposed from there with one press, and can be written at once.
    await bench.sentence.getByRole('button', { name: 'Expose it' }).click();
    await expect(bench.sentence).toContainText('It is exposed as');
    await bench.clickOn(bench.canvas.locator('header a').first(), 'page', true);
    await expect(bench.canvas.locator('[contenteditable]')).toHaveCount(1);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Undo' }).click();
    // It leads to where that was: the definition lies beside then.
    await expect(page.locator('.pane-definition')).toBeVisible();
    await page.getByRole('button', { name: 'Close the definition' }).click();
    await expect(page.locator('.pane-definition')).toHaveCount(0);
    await bench.clickOn(bench.canvas.locator('header a').first(), 'page', true);
    await expect(bench.sentence).toContainText('it is not exposed');
  });

  test('text that content gives leads to the entry that gives it', async ({ page }) => {
    const bench = new BenchHand(page);
    await bench.open('page-home');
    await bench.clickOn(bench.canvas.getByText('A boathouse').first(), 'page', true);
    await expect(bench.sentence).toContainText('bound to content');
    await bench.sentence.getByRole('button', { name: /^Open / }).click();
    await expect(page).toHaveURL(/\/content\/shed\/shed-/);
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
    const trace = page.getByRole('complementary', { name: 'Where the values come from' });
    await expect(trace).toContainText('in /: “Bring it broken. Take it home mended.”');
    await expect(trace).toContainText('nothing set here, so the default: “Find a shed”');
    // The page is not hidden, and each step leads to where it can be changed.
    await expect(bench.canvas.locator('h1')).toBeVisible();
    await bench.open('page-shed');
    await bench.clickOn(bench.canvas.locator('h2').first());
    await page.keyboard.press('x');
    await trace.getByRole('button', { name: '/sheds/<slug>' }).first().click();
    await expect(page.locator('.outline-row.selected')).toBeVisible();
    await page.keyboard.press('x');
    await expect(trace).toBeHidden();
  });

  test('what is placed by the go line goes where it says, and elsewhere with Tab; a mistyped name is found', async ({
    page,
  }) => {
    const bench = new BenchHand(page);
    await bench.open('page-about');
    await bench.clickOn(bench.canvas.locator('h2').first());
    await page.keyboard.press('g');
    const line = page.getByRole('combobox', { name: 'Go line' });
    await line.fill('plce section');
    const chosen = page.locator('.go-where.chosen');
    await expect(chosen).toContainText('after');
    await expect(page.locator('.go-option').first()).toContainText('Section');
    await expect(page.locator('.go-option').first()).toContainText('elements');
    await line.press('Tab');
    await expect(chosen).toContainText('before');
    await line.press('Enter');
    await expect(line).toBeHidden();
    await expect(page.locator('.outline-row.selected')).toContainText('Section');
    // What is empty and selected is filled.
    await page.keyboard.press('g');
    await line.fill('place text');
    await expect(chosen).toContainText('into Section');
    await line.press('Enter');
    await expect(line).toBeHidden();
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await bench.saved();
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

  test('in the outline arrows go from row to row, focus and selection together', async ({
    page,
  }) => {
    const bench = new BenchHand(page);
    await bench.open('page-home');
    await page.locator('.outline-row', { hasText: 'Opening' }).click();
    const rows = await page.locator('.outline-row').allTextContents();
    let at = rows.findIndex((row) => row.startsWith('Opening'));
    const focused = page.locator('[role=treeitem]:focus .outline-row');
    for (const key of ['ArrowDown', 'ArrowDown', 'ArrowDown', 'ArrowDown', 'ArrowUp', 'ArrowUp']) {
      await page.keyboard.press(key);
      at += key === 'ArrowDown' ? 1 : -1;
      await expect(focused).toHaveText(rows[at]!);
      await expect(page.locator('.outline-row.selected')).toHaveText(rows[at]!);
    }
  });

  test('every key that ? lists does what it says', async ({ page }) => {
    test.setTimeout(180_000);
    const bench = new BenchHand(page);
    await bench.open('page-shed');
    const press = (key: string) => page.keyboard.press(key);
    const dialog = (name: string) => page.getByRole('dialog', { name });
    const width = (name: string) => page.getByRole('radio', { name });
    const tried = new Set<string>();
    const tries: Record<string, () => Promise<void>> = {
      '?': async () => {
        await expect(dialog('Keys')).toBeVisible();
        await press('Escape');
        await expect(dialog('Keys')).toBeHidden();
      },
      ',': async () => {
        await expect(width('960 and below')).toBeChecked();
        await press(',');
        await expect(width('600 and below')).toBeChecked();
      },
      '.': async () => {
        await expect(width('960 and below')).toBeChecked();
        await press('.');
        await expect(width('Base, 1280')).toBeChecked();
      },
      ']': () => expect(page.locator('.bar-entry')).toContainText('2 of 12'),
      '[': () => expect(page.locator('.bar-entry')).toContainText('1 of 12'),
      g: async () => {
        await expect(page.getByRole('combobox', { name: 'Go line' })).toBeVisible();
        await press('Escape');
        await expect(page.getByRole('combobox', { name: 'Go line' })).toBeHidden();
      },
      o: async () => {
        await expect(page.locator('.outline')).toHaveCount(0);
        await press('o');
        await expect(page.locator('.outline')).toBeVisible();
      },
      l: async () => {
        await expect(page.locator('.ledger')).toHaveCount(0);
        await press('l');
        await expect(page.locator('.ledger')).toBeVisible();
      },
      x: async () => {
        const trace = page.getByRole('complementary', { name: 'Where the values come from' });
        await expect(trace).toBeVisible();
        await press('x');
        await expect(trace).toBeHidden();
      },
      i: async () => {
        await expect(bench.sentence).toContainText('You are looking inside');
        await press('i');
        await expect(bench.sentence).not.toContainText('looking inside');
      },
      m: async () => {
        await expect(dialog('Make component')).toBeVisible();
        await page.getByRole('button', { name: 'Leave it' }).click();
        await expect(dialog('Make component')).toBeHidden();
      },
      k: async () => {
        await expect(page.locator('[data-ruler]')).toHaveCount(2);
        await press('k');
        await expect(page.locator('[data-ruler]')).toHaveCount(0);
      },
      b: async () => {
        await expect(page.locator('.pane-definition')).toBeVisible();
        await press('b');
        await expect(page.locator('.pane-definition')).toHaveCount(0);
      },
      z: async () => {
        const size = page.getByLabel('Size of the page, in percent');
        await expect(page.getByRole('button', { name: 'fit', exact: true })).toBeVisible();
        await press('z');
        await expect(page.getByRole('button', { name: 'fit', exact: true })).toHaveCount(0);
        await expect(size).not.toHaveValue('');
      },
      s: () =>
        expect(page.getByRole('tab', { name: 'Style' })).toHaveAttribute('aria-selected', 'true'),
      a: () =>
        expect(page.getByRole('tab', { name: 'Acts' })).toHaveAttribute('aria-selected', 'true'),
      t: async () => {
        const trying = page.getByRole('region', { name: 'Try' });
        await expect(trying.locator('iframe')).toBeVisible();
        await press('t');
        await expect(trying).toBeHidden();
      },
      h: () =>
        expect(page.getByRole('tab', { name: 'History' })).toHaveAttribute('aria-selected', 'true'),
      v: () =>
        expect(page.getByRole('tab', { name: 'Values' })).toHaveAttribute('aria-selected', 'true'),
      e: () => expect(bench.sentence).toContainText('Controls are exposed in a definition'),
      d: async () => {
        const line = page.getByRole('combobox', { name: 'Declare line' });
        await expect(line).toBeFocused();
        await press('Escape');
        await expect(line).not.toBeFocused();
      },
      w: () => expect(page.locator('.outline-row.selected')).toHaveText(/^Box/),
      u: async () => {
        await expect(page.locator('.outline-row.selected')).not.toHaveText(/^Box/);
        await expect(page.locator('.outline-row', { hasText: /^Box/ })).toHaveCount(0);
      },
      p: async () => {
        await expect(page.locator('.preview-frame')).toBeVisible();
        await press('p');
        await expect(bench.canvas.locator('main')).toBeVisible();
      },
    };
    await page.locator('.outline-row.is-stamp').nth(1).click();
    await press('?');
    const listed = await dialog('Keys')
      .getByRole('textbox', { name: /^Key for/ })
      .evaluateAll((boxes) => boxes.map((box) => (box as HTMLInputElement).value));
    await press('Escape');
    await expect(dialog('Keys')).toBeHidden();
    // One right after the other: a dialog that has just been closed is no longer in the way.
    for (const key of '? g x i z k m , . ] [ o l s a h t v e d w u b p'.split(' ')) {
      await press(key);
      await tries[key]!();
      tried.add(key);
    }
    expect([...tried].sort()).toEqual(listed.sort());
  });

  test('single keys are changed and turned off, and stay so', async ({ page }) => {
    const bench = new BenchHand(page);
    await bench.open('page-home');
    await page.keyboard.press('?');
    const keys = page.getByRole('dialog', { name: 'Keys' });
    const go = keys.getByRole('textbox', { name: /^Key for: go line/ });
    await go.fill('b');
    await expect(keys.getByRole('alert')).toContainText('is the key of: definition beside');
    await go.fill('q');
    await expect(go).toHaveValue('q');
    await page.keyboard.press('Escape');
    await page.reload();
    await expect(bench.canvas.locator('main')).toBeVisible();
    await page.keyboard.press('q');
    await expect(page.getByRole('combobox', { name: 'Go line' })).toBeVisible();
    await page.keyboard.press('Escape');
    await page.keyboard.press('?');
    await keys.getByRole('switch', { name: 'Single keys' }).click();
    await page.keyboard.press('Escape');
    await expect(keys).toBeHidden();
    await page.keyboard.press('o');
    await expect(page.locator('.outline')).toBeVisible();
    await page.evaluate(() => localStorage.removeItem('sormet.keys'));
  });

  test('double click marks only the text that is typed into, and Escape unmarks it', async ({
    page,
  }) => {
    const bench = new BenchHand(page);
    await bench.open('page-home');
    const heading = bench.canvas.locator('h1');
    await bench.clickOn(heading);
    await bench.clickOn(heading, 'page', true);
    await expect(heading).toHaveAttribute('contenteditable', 'plaintext-only');
    expect(await page.evaluate(() => getSelection()?.toString() ?? '')).toBe('');
    await page.keyboard.press('Escape');
    const marked = () => heading.evaluate((each) => each.ownerDocument.getSelection()?.toString());
    await expect.poll(marked).toBe('');
  });

  test('what is being declared is dropped by Escape, and kept by a click elsewhere', async ({
    page,
  }) => {
    const bench = new BenchHand(page);
    await bench.open('page-about');
    await bench.clickOn(bench.canvas.locator('h2').first());
    await bench.tab('Style');
    const cell = await bench.styleCell('color');
    const heading = bench.canvas.locator('h2').first();
    const before = await heading.evaluate((each) => getComputedStyle(each).color);
    await cell.fill('tomato');
    await cell.press('Escape');
    await cell.blur();
    await expect(heading).toHaveCSS('color', before);
    await cell.fill('tomato');
    await bench.clickOn(bench.canvas.locator('main p').first());
    await expect(heading).toHaveCSS('color', 'rgb(255, 99, 71)');
    await expect(bench.canvas.locator('main p').first()).not.toHaveCSS('color', 'rgb(255, 99, 71)');
    const add = page.getByRole('combobox', { name: 'Add a declaration' });
    await add.fill('letter-spacing');
    await add.press('Escape');
    await add.blur();
    await expect(page.locator('.ledger tr', { hasText: 'letter-spacing' })).toHaveCount(0);
    await page.keyboard.press('Control+z');
    await expect(heading).toHaveCSS('color', before);
  });

  test('a stretch of typing is one line of the history', async ({ page }) => {
    const bench = new BenchHand(page);
    await bench.open('page-about');
    await bench.clickOn(bench.canvas.locator('h2').first(), 'page', true);
    await page.keyboard.type('One line for all of these words', { delay: 60 });
    await page.keyboard.press('Escape');
    await bench.saved();
    await bench.tab('History');
    const lines = page.locator('.history-list li', { hasText: 'set text of' });
    await expect(lines.first().locator('.history-revision')).toHaveText(/^\d+–\d+$/);
    await page.keyboard.press('Control+z');
    await expect(bench.canvas.locator('h2').first()).toHaveText('One line for all of these');
  });
});

/** Types as a machine does: every key is there before the first is answered, on a processor that is busy. */
async function typeAtOnce(page: Page, words: string): Promise<void> {
  const browser = await page.context().newCDPSession(page);
  await browser.send('Emulation.setCPUThrottlingRate', { rate: 3 });
  await Promise.all(
    [...words].map((text) => browser.send('Input.dispatchKeyEvent', { type: 'char', text })),
  );
  await browser.send('Emulation.setCPUThrottlingRate', { rate: 1 });
}

test('sixty letters typed at once arrive in the order in which they were typed, wherever one types', async ({
  page,
}) => {
  const faults: string[] = [];
  page.on('pageerror', (error) => faults.push(error.message));
  const bench = new BenchHand(page);
  await ownPage(page, 'own-typed');
  const words = Array.from({ length: 20 }, (_, i) => `word${i}`)
    .join(' ')
    .slice(0, 59);
  await page.locator('.outline-row', { hasText: 'How it works' }).click();
  const name = page.getByRole('textbox', { name: 'name', exact: true });
  await name.fill('');
  await typeAtOnce(page, words);
  await expect(name).toHaveValue(words);
  await name.blur();
  for (const [key, field] of [
    ['g', page.getByRole('combobox', { name: 'Go line' })],
    ['d', page.getByRole('combobox', { name: 'Declare line' })],
    ['m', page.getByRole('textbox', { name: 'Name of the component' })],
  ] as const) {
    await page.locator('.outline-row', { hasText: 'word0 word1' }).click();
    await page.keyboard.press(key);
    await expect(field).toBeFocused();
    await field.fill('');
    await typeAtOnce(page, words);
    await expect(field).toHaveValue(words);
    await page.keyboard.press('Escape');
  }
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.locator('.outline-row', { hasText: 'Heading' }).click();
  await page.getByRole('tab', { name: 'Values' }).click();
  const text = page.getByRole('textbox', { name: 'Heading text' });
  await text.click();
  await text.fill('');
  await typeAtOnce(page, words);
  await expect(text).toHaveValue(words);
  expect(faults).toEqual([]);
  await bench.saved();
});

test('what is typed into the go line and entered at once is what is done, though its list has not followed', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await bench.open('page-about');
  await page.keyboard.press('g');
  await expect(page.getByRole('combobox', { name: 'Go line' })).toBeFocused();
  const browser = await page.context().newCDPSession(page);
  const enter = { key: 'Enter', code: 'Enter', windowsVirtualKeyCode: 13, text: '\r' };
  await Promise.all([
    ...Array.from('go library', (text) =>
      browser.send('Input.dispatchKeyEvent', { type: 'char', text }),
    ),
    browser.send('Input.dispatchKeyEvent', { type: 'keyDown', ...enter }),
    browser.send('Input.dispatchKeyEvent', { type: 'keyUp', ...enter }),
  ]);
  await expect(page.getByRole('heading', { name: 'Library', exact: true })).toBeVisible();
});
