import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { expect } from '@playwright/test';
import { test } from './test';

/** Ways in which an SVG that is opened by itself runs something; each would set the title of the document. */
const HOSTILE = [
  '<script>document.title="ran"</script>',
  '<rect width="9" height="9" onload="document.title=\'ran\'"/>',
  '<image href="x" onerror="document.title=\'ran\'"/>',
  '<foreignObject><img xmlns="http://www.w3.org/1999/xhtml" src="x" onerror="document.title=\'ran\'"/></foreignObject>',
  '<set attributeName="onbegin" to="document.title=\'ran\'" onbegin="document.title=\'ran\'"/>',
];
const svg = (inner: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="20" height="20"><title>still</title>${inner}</svg>`;

test('a release that is opened from plain files, without any server’s policies, runs nothing', async ({
  page,
  request,
}) => {
  const folder = mkdtempSync(join(tmpdir(), 'sormet-plain-'));
  const open = async (name: string, text: string) => {
    const file = join(folder, name);
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, text);
    await page.goto(pathToFileURL(file).href);
    await page.waitForTimeout(200);
  };
  for (const [i, inner] of HOSTILE.entries()) {
    const answer = await request.post('/api/sites/brackenfold/files', {
      multipart: {
        file: {
          name: `hostile-${i}.svg`,
          mimeType: 'image/svg+xml',
          buffer: Buffer.from(svg(inner)),
        },
      },
    });
    expect([inner, answer.status()]).toEqual([inner, 201]);
    const { sha256 } = (await answer.json()) as { sha256: string };
    const stored = await request.get(`/files/${sha256.slice(0, 16)}.svg`);
    await open(`files/${i}.svg`, await stored.text());
    expect([inner, await page.title()]).toEqual([inner, 'still']);
  }
  // The same as they came, so that this test is known to see what runs.
  await open('files/as-it-came.svg', svg(HOSTILE[0]!));
  expect(await page.title()).toBe('ran');
  rmSync(folder, { recursive: true, force: true });
});
