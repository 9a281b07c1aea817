import { bareSite } from './bare-site';
import { runEdit, applyChanges, isRefusal } from '@sormet/core/edit';
import { plant } from '@sormet/core/ready';
import { FORMAT, text, Documents, type Doc } from '@sormet/core/model';
import { Reach } from '@sormet/core/reach';
import { saidText } from '@sormet/core/said';
import { measure, rounded, type Report } from './measure';

const PAGES = 1000;
const INSTANCES = 20;

function largeSite(): Documents {
  const docs: object[] = [
    ...bareSite(),
    {
      id: 'card',
      kind: 'component',
      format: FORMAT,
      name: 'card',
      properties: {
        title: {
          label: 't',
          key: 't',
          type: { kind: 'text' },
          group: null,
          order: 'a0',
          default: text('x'),
        },
      },
      groups: {},
      rules: {},
      slots: {},
      nodes: plant(
        { id: 'root', tag: 'p', text: { is: 'property', property: 'title' } },
        { parent: null, order: 'a0' },
        () => 'words',
      ).nodes,
    },
  ];
  for (let p = 0; p < PAGES; p += 1) {
    let next = 0;
    const { nodes } = plant(
      {
        tag: 'main',
        children: Array.from({ length: INSTANCES }, (_, i) => ({
          component: 'card',
          ...(i % 3 === 0 ? { values: { title: text(`Card ${i}`) } } : {}),
        })),
      },
      { parent: null, order: 'a0' },
      () => `p${p}n${(next += 1)}`,
    );
    docs.push({
      id: `p${p}`,
      kind: 'page',
      format: FORMAT,
      name: `p${p}`,
      path: `/p${p}`,
      title: text('t'),
      description: text(''),
      draft: false,
      entries: null,
      former: {},
      nodes,
    });
  }
  return Documents.from(docs as Doc[]);
}

/** An answer about whom a definition reaches, and keeping it up to date, on 1,000 pages with 20,000 instances. */
export function reach(): Report {
  let documents = largeSite();
  const index = new Reach(documents);
  const stored = index.answer('card');
  let sink = 0;
  const answers = 50;
  const edits = 200;

  /** A run of edits, each a value on one instance, done beforehand so that only what is timed is timed. */
  const made = Array.from({ length: edits }, (_, i) => {
    const doc = `p${(i * 37) % PAGES}`;
    const node = `p${(i * 37) % PAGES}n${2 + (i % INSTANCES)}`;
    const changes = runEdit(documents, {
      name: 'setControl',
      args: { doc, node, control: { of: 'value', property: 'title' }, source: text(`Edited ${i}`) },
    });
    if (isRefusal(changes)) throw new Error(saidText(changes.refused));
    const before = documents;
    documents = applyChanges(documents, changes);
    return { before, after: documents, changes };
  });
  const back = [...made].reverse();
  const start = made[0]!.before;
  const times = measure([
    {
      name: 'answer',
      round: () => {
        for (let i = 0; i < answers; i += 1) sink += index.answer('card').instances.length;
      },
    },
    {
      name: 'copy',
      round: () => {
        for (let i = 0; i < answers; i += 1) {
          const copy = {
            instances: stored.instances.slice(),
            documents: stored.documents.slice(),
            pages: stored.pages.slice(),
            published: stored.published,
          };
          sink += copy.instances.length;
        }
      },
    },
    {
      name: 'apply',
      round: () => {
        let at = start;
        for (const { changes } of made)
          at = applyChanges(
            at,
            changes.map(({ doc, path, now }) => ({ doc, path, now })),
          );
        sink += at.size;
      },
    },
    {
      name: 'update',
      round: () => {
        for (const { before, after } of made) index.updateAll(before, after);
        for (const { before, after } of back) index.updateAll(after, before);
      },
    },
  ]);
  for (const { before, after } of made) index.updateAll(before, after);
  const equal = JSON.stringify(index.dump()) === JSON.stringify(new Reach(documents).dump());
  if (!equal || sink === 0) throw new Error('After the edits the index is not what a new one is.');
  return {
    name: 'reach',
    about: `${PAGES} pages with ${PAGES * INSTANCES} instances of one definition`,
    rows: [
      {
        what: 'an answer',
        figure: `${((times.get('answer')! / answers) * 1000).toFixed(1)} µs`,
        ratio: rounded(times.get('answer')! / times.get('copy')!),
        reference: 'copying the stored answer',
        aim: 'within 5',
      },
      {
        what: 'keeping it up to date, state by state as the application does',
        figure: `${((times.get('update')! / (2 * edits)) * 1000).toFixed(2)} µs`,
        ratio: rounded(times.get('update')! / 2 / times.get('apply')!),
        reference: 'applying the edit',
        aim: 'within 2',
      },
      {
        what: 'after random edits',
        figure: equal ? 'equals a rebuild' : 'differs',
        ratio: null,
        reference: 'a rebuild',
        aim: 'equal',
      },
    ],
  };
}
