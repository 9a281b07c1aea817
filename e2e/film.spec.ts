import { expect, type Page } from '@playwright/test';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

/** Films: brought in, placed, played as visitors would; told from their bytes, with room kept while they load. */

/** A film of half a second that Chromium records itself, 64 by 48 px. */
async function recorded(page: Page): Promise<number[]> {
  return page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    canvas.width = 64;
    canvas.height = 48;
    const paper = canvas.getContext('2d')!;
    const chunks: Blob[] = [];
    const recorder = new MediaRecorder(canvas.captureStream(20), { mimeType: 'video/webm' });
    recorder.ondataavailable = ({ data }) => chunks.push(data);
    const ended = new Promise((done) => (recorder.onstop = done));
    recorder.start();
    for (let i = 0; i < 10; i += 1) {
      paper.fillStyle = i % 2 ? 'teal' : 'sandybrown';
      paper.fillRect(0, 0, 64, 48);
      await new Promise((done) => setTimeout(done, 50));
    }
    recorder.stop();
    await ended;
    return [...new Uint8Array(await new Blob(chunks).arrayBuffer())];
  });
}

/** Drops a file where an element of the interface is. */
async function drop(page: Page, selector: string, bytes: number[], name: string, type: string) {
  await page.evaluate(
    ([where, content, called, kind]) => {
      const target = document.querySelector(where)!;
      const { left, top, width, height } = target.getBoundingClientRect();
      const dataTransfer = new DataTransfer();
      dataTransfer.items.add(new File([new Uint8Array(content)], called, { type: kind }));
      const at = {
        dataTransfer,
        bubbles: true,
        cancelable: true,
        clientX: left + width / 2,
        clientY: top + Math.min(height / 2, 120),
      };
      for (const type of ['dragenter', 'dragover']) target.dispatchEvent(new DragEvent(type, at));
      target.dispatchEvent(new DragEvent('drop', at));
    },
    [selector, bytes, name, type] as const,
  );
}

test('a film is dropped onto the page, keeps its room, and plays; its still picture is chosen', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-film');
  const film = await recorded(page);
  await drop(page, '[data-canvas=page]', film, 'mending.webm', 'video/webm');
  const video = bench.canvas.locator('video');
  await expect(video).toHaveAttribute('width', '64');
  await expect(video).toHaveAttribute('height', '48');
  await expect(video).toHaveAttribute('controls');
  await expect
    .poll(() => video.evaluate((element) => (element as HTMLVideoElement).readyState))
    .toBeGreaterThan(0);
  expect(await video.evaluate((element) => (element as HTMLVideoElement).videoWidth)).toBe(64);
  await expect(bench.row('film')).toContainText('mending.webm');
  await page
    .getByRole('combobox', { name: /^Film film$/ })
    .first()
    .focus();
  await page.getByRole('combobox', { name: 'Film film, its still picture' }).focus();
  await page.keyboard.type('bench.svg');
  await page.keyboard.press('Enter');
  await expect(video).toHaveAttribute('poster', /^\/files\/.*\.svg$/);
  // What is no film is left, and that is said.
  await drop(page, '[data-canvas=page]', [1, 2, 3], 'notes.txt', 'text/plain');
  await expect(bench.sentence).toContainText('Pictures (SVG, PNG');
  await bench.saved();
});

test('a file is dropped onto a cell: what is of another kind is refused there', async ({
  page,
}) => {
  const bench = new BenchHand(page);
  await ownPage(page, 'own-drop');
  await bench.clickOn(bench.canvas.getByRole('heading', { name: 'How it works' }));
  await bench.go('Film');
  await expect(bench.row('film')).toBeVisible();
  const film = await recorded(page);
  const svg = [
    ...new TextEncoder().encode(
      '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="8"><path d="M0 0h9v8z"/></svg>',
    ),
  ];
  await drop(page, '.ledger .file-drop', svg, 'drawing.svg', 'image/svg+xml');
  await expect(bench.sentence).toContainText('A film is wanted here.');
  await page.getByRole('button', { name: 'understood' }).click();
  await drop(page, '.ledger .file-drop', film, 'mending.webm', 'video/webm');
  await expect(bench.canvas.locator('video')).toHaveAttribute('width', '64');
  await bench.saved();
});
