import type { Page } from '@playwright/test';
import { FORMAT, newId, type EntryDoc } from '@sormet/core/model';
import { inBrowser } from './in-browser';
import { median, rounded, type Report } from './measure';

const ENTRIES = 10_000;
/** How far is scrolled, by so much for each frame, in CSS px. */
const FRAMES = 120;
const STEP = 90;
/** A frame in time, where a screen is drawn sixty times a second, with what the clock may be off. */
const IN_TIME = 17.5;
const ROUNDS = 5;

/** The table of 10,000 entries: frames while scrolling, beside a bare list of as many rows; and a filter to its rows. */
export async function entries(): Promise<Report> {
  return inBrowser({ width: 1280, height: 800 }, async (page) => {
    await addEntries(page);
    await page.goto('/sites/brackenfold/content/session');
    const grid = page.getByRole('grid', { name: 'Sessions' });
    await grid.getByRole('row').nth(10).waitFor();
    // What is compiled here keeps the names of functions by a helper that a page has not.
    await page.evaluate('globalThis.__name = (made) => made');
    const ours = await scrolled(page, '.cell-grid');
    const find = page.getByRole('textbox', { name: 'Find in Sessions' });
    const took: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) {
      took.push(await filtered(page, `9${round}77`));
      await find.fill('');
      await page.waitForTimeout(300);
    }
    await page.evaluate(putBareList, ENTRIES);
    const bare = await scrolled(page, '.bare-list');
    const bareFilter = await page.evaluate(filterBare, ENTRIES);
    return {
      name: 'entries',
      about: `${ENTRIES} entries of six columns`,
      rows: [
        {
          what: 'frames in time while scrolling',
          figure: `${(ours * 100).toFixed(0)} %`,
          ratio: rounded(ours / bare),
          reference: `a bare list that draws the rows in sight, ${(bare * 100).toFixed(0)} %`,
          aim: '95 % in both',
        },
        {
          what: 'a word looked for in all texts, to the rows that have it',
          figure: `${median(took).toFixed(0)} ms`,
          ratio: rounded(median(took) / Math.max(0.1, bareFilter)),
          reference: `filtering as many texts in a loop, ${bareFilter.toFixed(1)} ms`,
          aim: '',
        },
      ],
    };
  });
}

async function addEntries(page: Page): Promise<void> {
  for (let from = 0; from < ENTRIES; from += 2500) {
    const made = Array.from({ length: 2500 }, (_, i): EntryDoc => ({
      id: newId(),
      kind: 'entry',
      format: FORMAT,
      type: 'session',
      slug: `many-${from + i}`,
      draft: false,
      values: {
        'session-title': { type: 'text', value: `Session number ${from + i}` },
        'session-hours': { type: 'text', value: `from ${i % 24}:00` },
      },
    }));
    const answer = await page.request.post('/api/sites/brackenfold/edits', {
      data: {
        id: newId(),
        who: 'bench',
        name: 'addEntries',
        args: { entries: made },
        changes: made.map((entry) => ({ doc: entry.id, path: '', now: entry })),
      },
    });
    if (!answer.ok()) throw new Error(await answer.text());
  }
}

/** Scrolls down a step for each frame. @returns the share of frames that came in time */
function scrolled(page: Page, selector: string): Promise<number> {
  return page.evaluate(
    ([target, frames, step, inTime]) =>
      new Promise<number>((done) => {
        const list = document.querySelector(target)!;
        let last = performance.now();
        const took: number[] = [];
        const frame = (now: number) => {
          took.push(now - last);
          last = now;
          list.scrollTop += step;
          if (took.length < frames) requestAnimationFrame(frame);
          else done(took.slice(1).filter((each) => each <= inTime).length / (took.length - 1));
        };
        requestAnimationFrame(frame);
      }),
    [selector, FRAMES, STEP, IN_TIME] as const,
  );
}

/** From a word in the field to the first frame with its rows alone, in ms. */
function filtered(page: Page, word: string): Promise<number> {
  return page.evaluate(
    (looked) =>
      new Promise<number>((done) => {
        const field = document.querySelector<HTMLInputElement>('[aria-label="Find in Sessions"]')!;
        const grid = document.querySelector('.cell-grid')!;
        const before = grid.getAttribute('aria-rowcount');
        const start = performance.now();
        field.focus();
        document.execCommand('insertText', false, looked);
        const look = () => {
          if (document.querySelector('.cell-grid')?.getAttribute('aria-rowcount') !== before)
            done(performance.now() - start);
          else requestAnimationFrame(look);
        };
        look();
      }),
    word,
  );
}

/** A list that draws the rows in sight and nothing else, in the place of the application. */
function putBareList(many: number): void {
  document.body.replaceChildren();
  const list = document.createElement('div');
  list.className = 'bare-list';
  list.style.cssText = 'height:640px;overflow:auto;position:relative';
  const inner = document.createElement('div');
  inner.style.cssText = `height:${many * 28}px;position:relative`;
  list.append(inner);
  document.body.append(list);
  const draw = () => {
    const first = Math.floor(list.scrollTop / 28);
    inner.replaceChildren(
      ...Array.from({ length: 40 }, (_, i) => {
        const row = document.createElement('div');
        row.style.cssText = `position:absolute;top:${(first + i) * 28}px;height:28px`;
        row.textContent = `Session number ${first + i}`;
        return row;
      }),
    );
  };
  list.addEventListener('scroll', draw);
  draw();
}

/** How long it takes to look through as many texts in a loop, in ms. */
function filterBare(many: number): number {
  const texts = Array.from({ length: many }, (_, i) => `session number ${i}\nfrom ${i % 24}:00`);
  const start = performance.now();
  const found = texts.filter((each) => each.includes('9077'));
  return found.length > 0 ? performance.now() - start : Number.NaN;
}
