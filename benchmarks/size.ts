import { addressesOf, text, type Doc, type Documents, type EntryDoc } from '@sormet/core/model';
import {
  applyChanges,
  doEdit,
  inverse,
  isRefusal,
  type Done,
  type NamedEdit,
} from '@sormet/core/edit';
import { plant } from '@sormet/core/ready';
import { compileSite, PageCompiler, planOf, Release } from '@sormet/core/compile';
import { Linker } from '@sormet/core/resolve';
import { Reach } from '@sormet/core/reach';
import { saidText } from '@sormet/core/said';
import { dataOf } from '@sormet/core/value';
import { component, contentType, entry, page, words } from '@sormet/core/test';
import { brackenfold } from '@sormet/demo';
import { sha256 } from '../server/files/sha256';
import { measure, rounded, type Report, type Row } from './measure';

/** How many entries the site holds; the first is about as many as the demo has. */
const SIZES = [60, 100, 1_000, 10_000];
const CHANGES = 1_000;

/** The demo with more content: a type of notes with a page for each, which no other page lists. */
function siteOf(entries: number): Documents {
  const type = contentType('note', { title: 'text', body: 'text' });
  const each = page(
    'note-page',
    '/notes/<slug>',
    {
      tag: 'main',
      children: [
        { tag: 'h1', text: { is: 'field', from: 'page', path: ['title'] } },
        { tag: 'p', text: { is: 'field', from: 'page', path: ['body'] } },
      ],
    },
    'note',
  );
  const notes = Array.from({ length: entries }, (_, i): Doc =>
    entry('note', `n${i}`, { title: words(`Note ${i}`), body: words(`What note ${i} says.`) }),
  );
  return brackenfold().documents.with(type, each, ...notes);
}

function done(documents: Documents, edit: NamedEdit): Done {
  const result = doEdit(documents, edit);
  if (isRefusal(result)) throw new Error(saidText(result.refused));
  return result;
}

/** What a site of one size costs: the things that are timed, by name. */
function timed(size: number): { name: string; round: () => void }[] {
  const documents = siteOf(size);
  const middle = (documents.all('entry').find(({ id }) => id === `note-n${size >> 1}`) as EntryDoc)
    .id;
  const edit = (i: number): NamedEdit => ({
    name: 'setField',
    args: { entry: middle, field: 'title', value: words(`Edited ${i}`) },
  });
  const data = dataOf(documents);
  const release = new Release(compileSite(documents, { linker: new Linker(), sha256 }).manifest);
  const linker = new Linker();
  const earlier = { documents, release };
  const reach = new Reach(documents);
  let count = 0;
  const valueOnce = (parts: (made: Documents) => void) => () => {
    for (let i = 0; i < 20; i += 1) parts(done(documents, edit((count += 1))).documents);
  };
  const list = plant(
    {
      tag: 'div',
      children: Array.from({ length: CHANGES - 1 }, () => ({ tag: 'hr' })),
    },
    { parent: 'page-about-body', slot: 'main', order: 'Zz' },
    () => `h${(count += 1)}`,
  );
  const placed = done(documents, { name: 'place', args: { doc: 'page-about', ...list } });
  const back = inverse(placed.changes);
  const section = plant(
    { tag: 'section', children: [{ tag: 'h2', text: text('New') }] },
    { parent: 'page-about-body', slot: 'main', order: 'Zz' },
    () => `s${(count += 1)}`,
  );
  const about = addressesOf(documents).find(({ path }) => path === '/about')!;
  return [
    { name: `value run ${size}`, round: valueOnce(() => undefined) },
    {
      name: `value whole ${size}`,
      round: valueOnce((made) => {
        reach.updateAll(documents, made);
        reach.updateAll(made, documents);
        dataOf(made, data);
      }),
    },
    {
      name: `plan ${size}`,
      round: () => {
        const made = done(documents, edit((count += 1))).documents;
        const means = { linker, sha256, data: dataOf(made, data) };
        const planned = compileSite(made, means, earlier);
        if (planOf(planned, made, earlier).length !== 1)
          throw new Error(`${planned.made} pages were made for one value.`);
      },
    },
    {
      name: `place ${size}`,
      round: () => {
        for (let i = 0; i < 5; i += 1)
          done(documents, { name: 'place', args: { doc: 'page-about', ...section } });
      },
    },
    { name: `apply ${size}`, round: () => void applyChanges(documents, placed.changes) },
    { name: `back ${size}`, round: () => void applyChanges(placed.documents, back) },
    {
      name: `page ${size}`,
      round: () => void new PageCompiler(documents, { linker, sha256, data }).compile(about),
    },
  ];
}

/** On how many pages the definition stands that is worked on. */
const PLACES = [2, 200, 2_000];

/** An element placed in a definition that stands on so many pages: run, checked, applied. */
function timedDefinition(pages: number): { name: string; round: () => void } {
  const card = component('placed-card', {
    id: 'placed-root',
    tag: 'article',
    children: [
      { tag: 'h2', text: 'A card' },
      { tag: 'p', text: 'What it says.' },
    ],
  });
  const standing = Array.from({ length: pages }, (_, i) =>
    page(`placed-${i}`, `/placed-${i}`, {
      tag: 'main',
      children: Array.from({ length: 10 }, () => ({ component: 'placed-card' })),
    }),
  );
  const documents = brackenfold().documents.with(card).withAll(standing);
  let count = 0;
  return {
    name: `definition ${pages}`,
    round: () => {
      for (let i = 0; i < 5; i += 1) {
        const planted = plant(
          { tag: 'p', text: text('More') },
          { parent: 'placed-root', order: 'aZ' },
          () => `d${(count += 1)}`,
        );
        done(documents, { name: 'place', args: { doc: 'placed-card', ...planted } });
      }
    },
  };
}

/** What grows with a site: one value edited, a section placed, many changes taken back, a page compiled, at growing sizes. */
export function size(): Report {
  const times = measure([...SIZES.flatMap(timed), ...PLACES.map(timedDefinition)]);
  const rows: Row[] = [];
  const row = (what: string, name: string, per: number, aim: string) => {
    for (const count of SIZES) {
      const own = times.get(`${name} ${count}`)!;
      rows.push({
        what: `${what}, ${count.toLocaleString('en')} entries`,
        figure: `${(own / per).toFixed(3)} ms`,
        ratio: rounded(own / times.get(`${name} ${SIZES[0]!}`)!),
        reference: `the same at ${SIZES[0]!}`,
        aim: count === SIZES.at(-1) ? aim : '',
      });
    }
  };
  row('one value: run, checked, applied', 'value run', 20, 'within 3');
  row('one value: also reach and data', 'value whole', 20, 'within 3');
  row('one value: its plan', 'plan', 1, 'within 3');
  row('a section placed', 'place', 5, 'within 3');
  row('a page compiled', 'page', 1, 'within 1.5');
  for (const count of SIZES)
    rows.push({
      what: `${CHANGES} changes taken back, ${count.toLocaleString('en')} entries`,
      figure: `${times.get(`back ${count}`)!.toFixed(3)} ms`,
      ratio: rounded(times.get(`back ${count}`)! / times.get(`apply ${count}`)!),
      reference: 'applying them',
      aim: 'within 5',
    });
  for (const pages of PLACES)
    rows.push({
      what: `an element placed in a definition on ${pages.toLocaleString('en')} pages`,
      figure: `${(times.get(`definition ${pages}`)! / 5).toFixed(3)} ms`,
      ratio: rounded(times.get(`definition ${pages}`)! / times.get(`definition ${PLACES[0]!}`)!),
      reference: `the same on ${PLACES[0]!}`,
      aim: pages === PLACES.at(-1) ? 'within 3' : '',
    });
  return {
    name: 'size',
    about: 'the demo with a type of notes and a page for each, in memory',
    rows,
  };
}
