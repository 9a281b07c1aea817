/**
 * `npm run diagrams`: the diagrams of docs/how-it-is-built drawn beside their texts, for whoever reads without a program that
 * draws Mermaid. `--check` tells whether each drawing is of its text as it is now, as `npm test` does; drawing needs the package
 * `mermaid`, which nothing else does: `npm install --no-save mermaid` brings it.
 */
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { chromiumProgram, root } from './lib/install.mjs';
import { giveUp, say } from './lib/say.mjs';

const folder = join(root, 'docs/how-it-is-built');
const library = join(root, 'node_modules/mermaid/dist/mermaid.min.js');

/** Each text with a diagram: its name, the Mermaid in it, the file it is drawn into. */
const diagrams = readdirSync(folder)
  .filter((file) => file.endsWith('.md'))
  .flatMap((file) => {
    const text = readFileSync(join(folder, file), 'utf8');
    const source = /```mermaid\n([^]*?)```/.exec(text)?.[1];
    const drawing = file.replace(/\.md$/, '.svg');
    return source ? [{ file, source, drawing, text }] : [];
  });

const markOf = (source) => `<!-- drawn of ${createHash('sha256').update(source).digest('hex')} -->`;

function check() {
  const stale = diagrams.filter(({ drawing, source, text }) => {
    const path = join(folder, drawing);
    const isThere = existsSync(path) && readFileSync(path, 'utf8').startsWith(markOf(source));
    return !isThere || !text.includes(`(${drawing})`);
  });
  for (const { file } of stale)
    say(`The diagram in ${file} is drawn of another text, or not shown: npm run diagrams.`);
  return stale.length === 0;
}

async function draw() {
  if (!existsSync(library)) throw new Error('Drawing needs it: npm install --no-save mermaid');
  const browser = await chromium.launch({
    executablePath: chromiumProgram(),
    args: ['--no-sandbox', '--disable-gpu'],
  });
  try {
    const page = await browser.newPage();
    await page.setContent('<!doctype html><body></body>');
    await page.addScriptTag({ path: library });
    for (const { source, drawing } of diagrams) {
      const svg = await page.evaluate(async (text) => {
        const { mermaid } = globalThis;
        mermaid.initialize({
          startOnLoad: false,
          theme: 'neutral',
          htmlLabels: false,
          sequence: {
            wrap: true,
            width: 170,
            actorMargin: 40,
            diagramMarginX: 8,
            mirrorActors: false,
          },
        });
        const drawn = await mermaid.render('drawn', text);
        return drawn.svg.replace('style="', 'style="background:#fff;');
      }, source);
      writeFileSync(join(folder, drawing), `${markOf(source)}\n${svg}\n`);
      say(`Drawn: ${drawing}`);
    }
  } finally {
    await browser.close();
  }
}

try {
  if (process.argv.includes('--check')) process.exit(check() ? 0 : 1);
  await draw();
} catch (error) {
  giveUp(error);
}
