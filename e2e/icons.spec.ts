import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect } from '@playwright/test';
import { readIcon, type DrawnElement } from '@sormet/core/format';
import { kindOf, type Fragment } from '@sormet/core/model';
import { BenchHand, ownPage } from './bench';
import { test } from './test';

const PACKAGES = join(import.meta.dirname, '..', 'node_modules');

/** Every so manyth file of a folder of drawings. */
function drawings(folder: string, many: number): { name: string; svg: string }[] {
  const path = join(PACKAGES, folder);
  const files = readdirSync(path).filter((file) => file.endsWith('.svg'));
  const step = Math.max(1, Math.floor(files.length / many));
  return files
    .filter((_, i) => i % step === 0)
    .map((file) => ({ name: `${folder}/${file}`, svg: readFileSync(join(path, file), 'utf8') }));
}

/** Drawings whose paint stands in a style sheet of their own, as programs for drawing write it. */
const STYLED = [
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 24 24"><defs><style>.a{fill:none;stroke:#000;stroke-width:2px;stroke-linecap:round}.b{fill:#000}</style></defs><path class="a" d="M3 12h12l-4-6"/><circle class="b" cx="19" cy="12" r="3"/></svg>',
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 24 24"><style>path{fill:none;stroke:#000}#x{stroke-width:4;stroke-dasharray:3 2}</style><path d="M2 2l20 20" fill="red"/><path id="x" d="M2 20h20"/></svg>',
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 24 24"><g transform="translate(4 2) rotate(20)" style="fill:none;stroke:#000;stroke-width:3"><rect x="2" y="2" width="10" height="8" rx="2"/></g></svg>',
].map((svg, i) => ({ name: `styled ${i + 1}`, svg }));

function written(fragment: Fragment): string {
  if (typeof fragment === 'string') return fragment;
  const attributes = Object.entries(fragment.attributes).map(
    ([name, value]) => ` ${name}="${value}"`,
  );
  return `<${fragment.tag}${attributes.join('')}>${fragment.children.map(written).join('')}</${fragment.tag}>`;
}

test('drawings of three icon packages are drawn as the browser draws their files (heroicons, bootstrap-icons, lucide-static)', async ({
  page,
}) => {
  const all = [
    ...drawings('heroicons/24/outline', 40),
    ...drawings('heroicons/20/solid', 40),
    ...drawings('bootstrap-icons/icons', 60),
    ...drawings('lucide-static/icons', 60),
    ...STYLED,
  ];
  await page.goto('/');
  // The browser reads the files, as it does for whoever pastes one.
  const read = await page.evaluate(
    (svgs) => {
      const drawn = (element: Element): DrawnElement => ({
        tag: element.localName,
        attributes: Object.fromEntries(
          [...element.attributes].map(({ name, value }) => [name, value]),
        ),
        ...(element.localName === 'style' ? { text: element.textContent } : {}),
        children: [...element.children].map(drawn),
      });
      return svgs.map((svg) =>
        drawn(new DOMParser().parseFromString(svg, 'image/svg+xml').documentElement),
      );
    },
    all.map(({ svg }) => svg),
  );
  const refused: string[] = [];
  const pairs = all.flatMap(({ name, svg }, i) => {
    const icon = readIcon(read[i]!, name);
    if (!icon.ok) {
      refused.push(`${name}: ${icon.reason.code}`);
      return [];
    }
    const [fragment] = kindOf('icon').fragments!(icon.icon, undefined as never);
    return [{ name, svg, ours: written(fragment!) }];
  });
  const differ = await page.evaluate(async (each) => {
    const SIZE = 96;
    const pixels = async (svg: string) => {
      const sized = svg
        .replace(/<svg([^>]*)>/, (_, inner: string) => {
          const kept = inner.replace(/\s(width|height|xmlns)="[^"]*"/g, '');
          return `<svg xmlns="http://www.w3.org/2000/svg" width="${SIZE}" height="${SIZE}"${kept}>`;
        })
        .replace(/<\?xml.*?\?>|<!--[\s\S]*?-->/g, '');
      const image = new Image();
      image.src = `data:image/svg+xml,${encodeURIComponent(sized)}`;
      await image.decode();
      const canvas = document.createElement('canvas');
      canvas.width = canvas.height = SIZE;
      const at = canvas.getContext('2d')!;
      at.drawImage(image, 0, 0);
      return at.getImageData(0, 0, SIZE, SIZE).data;
    };
    const found: string[] = [];
    for (const { name, svg, ours } of each) {
      const [a, b] = [await pixels(svg), await pixels(ours)];
      let most = 0;
      let ink = 0;
      // How much ink lies on each pixel: an icon has one colour, whatever the file has.
      for (let i = 3; i < a.length; i += 4) {
        most = Math.max(most, Math.abs(a[i]! - b[i]!));
        ink += b[i]!;
      }
      if (most > 2 || ink === 0) found.push(`${name}: ${most}, ${ink}`);
    }
    return found;
  }, pairs);
  expect(differ).toEqual([]);
  // What is left out of an icon is refused, and not more: a clip or a mask of a few.
  expect(refused.filter((each) => !/icon-beyond$/.test(each))).toEqual([]);
  expect(pairs.length).toBeGreaterThan(all.length * 0.95);
});

test('an icon takes width and height in every way one may say them', async ({ page }) => {
  const bench = new BenchHand(page);
  await bench.open(await ownPage(page, 'own-icon-sizes'));
  await page.getByRole('treeitem', { name: /How it works/ }).click();
  await bench.go('icon');
  await bench.tab('Style');
  const drawing = bench.canvas.locator('main svg');
  const size = () =>
    drawing.evaluate((svg) => {
      const { width, height } = svg.getBoundingClientRect();
      return `${Math.round(width)} ${Math.round(height)}`;
    });
  const sizes: [Record<string, string>, string][] = [
    [{ width: '40px' }, '40 40'],
    [{ width: '', height: '50px' }, '50 50'],
    [{ width: '30px' }, '30 50'],
    [{ width: 'auto', height: 'auto' }, '17 17'],
    [{ width: '', height: '', 'font-size': '2rem' }, '32 32'],
    [{ 'font-size': '', width: '3em' }, '51 51'],
  ];
  await expect(drawing).toBeVisible();
  for (const [said, is] of sizes) {
    for (const [property, css] of Object.entries(said)) await bench.declare(property, css);
    await expect.poll(size, JSON.stringify(said)).toBe(is);
  }
  // Nothing of that is told to have no effect.
  await expect(page.locator('.in-vain')).toHaveCount(0);

  // A drawing of several colours is taken in one only when that was read.
  await bench.tab('Values');
  await page.getByRole('button', { name: /^Icon .*: circle$/i }).click();
  const dialog = page.getByRole('dialog');
  await dialog
    .getByRole('textbox', { name: 'SVG of your own' })
    .fill(
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 8 8"><path d="M0 0h8v4z" fill="red"/><path d="M0 8h8V4z" fill="navy"/></svg>',
    );
  await dialog.getByRole('button', { name: 'Take what is pasted' }).press('Enter');
  await expect(dialog.getByRole('status')).toContainText('It has 2 colours');
  await expect(drawing.locator('circle')).toHaveCount(1);
  await dialog.getByRole('button', { name: 'Take it in one colour' }).press('Enter');
  await expect(drawing.locator('path')).toHaveCount(2);
  await bench.saved();
});
