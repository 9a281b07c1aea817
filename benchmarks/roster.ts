import { chromium } from '@playwright/test';
import { chromiumProgram } from '../scripts/lib/install.mjs';
import { text } from '@sormet/core/model';
import { median, rounded, type Report } from './measure';
import { instanceOn, pageId, PlacedSite } from './placed-site';

const PAGES = 50;
const EACH = 100;
const FILLED = 1000;
const ROUNDS = 7;

/** The roster of 5,000 instances opened in Chromium, and 1,000 of them filled down beside one bare SQL update of the same rows. */
export async function roster(): Promise<Report> {
  const site = await PlacedSite.make(PAGES, EACH);
  try {
    const opened = await openings(site);
    const filled: number[] = [];
    const bare: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) {
      filled.push(await fillDown(site, round));
      bare.push(await bareUpdate(site));
    }
    return {
      name: 'roster',
      about: `${PAGES * EACH} instances on ${PAGES} pages`,
      rows: [
        {
          what: `opening the roster of ${PAGES * EACH + 23}, from its address to its rows`,
          figure: `${opened.large.toFixed(0)} ms`,
          ratio: rounded(opened.large / opened.small),
          reference: `a roster of two on the same site, ${opened.small.toFixed(0)} ms`,
          aim: '',
        },
        {
          what: `filling ${FILLED} down, from sending to the answer`,
          figure: `${median(filled).toFixed(0)} ms`,
          ratio: rounded(median(filled) / median(bare)),
          reference: `one bare SQL update of the same rows, ${median(bare).toFixed(1)} ms`,
          aim: '',
        },
      ],
    };
  } finally {
    await site.remove();
  }
}

/** The pages that a fill-down of the first thousand reaches. */
const REACHED = Array.from({ length: FILLED / EACH }, (_, p) => p);

function fillDown(site: PlacedSite, round: number): Promise<number> {
  return site.send({
    name: 'setControls',
    args: {
      set: REACHED.flatMap((p) =>
        Array.from({ length: EACH }, (_, i) => ({
          doc: pageId(p),
          node: instanceOn(p, i),
          control: { of: 'value' as const, property: 'mender-name' },
          source: text(`Filled ${round}`),
        })),
      ),
    },
  });
}

/** Writes the same documents once more in one statement, committed as the server commits. */
function bareUpdate(site: PlacedSite): Promise<number> {
  const ids = REACHED.map(pageId);
  const bodies = ids.map((id) => JSON.stringify(site.documents.get(id)));
  return site.inDatabase(async (client) => {
    const start = performance.now();
    await client.query(
      `UPDATE documents SET body = given.body::jsonb
         FROM unnest($1::text[], $2::text[]) AS given (id, body) WHERE documents.id = given.id`,
      [ids, bodies],
    );
    return performance.now() - start;
  });
}

async function openings({ server }: PlacedSite): Promise<{ large: number; small: number }> {
  const browser = await chromium.launch({
    executablePath: chromiumProgram(),
    args: ['--no-sandbox', '--disable-background-networking'],
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    const open = async (component: string) => {
      await page.goto('about:blank');
      const start = performance.now();
      await page.goto(`${server.address}/sites/brackenfold/library/${component}`);
      await page.getByRole('grid').getByRole('row').nth(2).waitFor();
      return performance.now() - start;
    };
    const times: Record<'large' | 'small', number[]> = { large: [], small: [] };
    for (let round = 0; round < ROUNDS; round += 1) {
      times.large.push(await open('mender-card'));
      times.small.push(await open('session-line'));
    }
    return { large: median(times.large), small: median(times.small) };
  } finally {
    await browser.close();
  }
}
