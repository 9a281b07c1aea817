import { bareSite } from './bare-site';
import { applyChanges, isRefusal, runEdit, type NamedEdit } from '@sormet/core/edit';
import { plant } from '@sormet/core/ready';
import { FORMAT, text, Documents, type Doc, type Source } from '@sormet/core/model';
import { build, Linker, type Made, type Resolved } from '@sormet/core/resolve';
import { saidText } from '@sormet/core/said';
import { dataOf } from '@sormet/core/value';
import { canvasInBrowser } from './canvas-in-browser';
import { measure, rounded, type Report, type Row } from './measure';

const USES = 200;
const reads = (property: string): Source => ({ is: 'property', property });

/** A page of 2,000 elements, among them 200 instances of one definition. */
function site(): Documents {
  const counter = (prefix: string) => {
    let next = 0;
    return () => `${prefix}${(next += 1)}`;
  };
  const card = {
    id: 'card',
    kind: 'component',
    format: FORMAT,
    name: 'card',
    groups: {},
    rules: {},
    slots: {},
    properties: Object.fromEntries(
      ['title', 'words'].map((id, i) => [
        id,
        {
          label: id,
          key: id,
          type: { kind: 'text' },
          group: null,
          order: `a${i}`,
          default: text(id),
        },
      ]),
    ),
    nodes: plant(
      {
        id: 'root',
        tag: 'article',
        children: [
          { tag: 'h3', text: reads('title') },
          { id: 'para', tag: 'p', children: [{ id: 'words', text: reads('words') }] },
          { tag: 'p', text: 'Always the same' },
        ],
      },
      { parent: null, order: 'a0' },
      counter('c'),
    ).nodes,
  };
  const body = {
    tag: 'main',
    children: [
      ...Array.from({ length: USES }, (_, i) => ({
        id: `i${i}`,
        component: 'card',
        values: { title: text(`Card ${i}`) },
      })),
      ...Array.from({ length: 240 }, (_, i) => ({
        tag: 'section',
        children: [
          { tag: 'h2', text: `Heading ${i}` },
          { tag: 'p', text: 'Words' },
          { tag: 'p', text: 'More words' },
          { tag: 'a', text: 'Go' },
        ],
      })),
    ],
  };
  const page = {
    id: 'page',
    kind: 'page',
    format: FORMAT,
    name: 'p',
    path: '/',
    title: text('t'),
    description: text(''),
    draft: false,
    entries: null,
    former: {},
    nodes: plant(body, { parent: null, order: 'a0' }, counter('p')).nodes,
  };
  const docs = [card, page, ...bareSite()];
  return Documents.from(docs as unknown as Doc[]);
}

function after(documents: Documents, edit: NamedEdit): Documents {
  const changes = runEdit(documents, edit);
  if (isRefusal(changes)) throw new Error(saidText(changes.refused));
  return applyChanges(documents, changes);
}

function size(node: Resolved | null): number {
  if (node === null) return 0;
  return node.kind === 'text' ? 1 : node.children.reduce((sum, child) => sum + size(child), 1);
}

/** `build` after an edit, relative to a full build; and in Chromium from the key to the painted text. */
export async function canvas(): Promise<Report> {
  const start = site();
  const edited = {
    'no change': start.with({ ...start.site }),
    'one value': after(start, {
      name: 'setControl',
      args: {
        doc: 'page',
        node: 'i7',
        control: { of: 'value', property: 'title' },
        source: text('Other'),
      },
    }),
    [`a definition used ${USES} times`]: after(start, {
      name: 'setControl',
      args: { doc: 'card', node: 'words', control: { of: 'text' }, source: text('Now fixed') },
    }),
  };
  const made = new Map<string, number>();
  let total = 0;
  /** Builds of one state after the other, each from what was built before; linking apart. */
  const again = (name: string, documents: Documents) => {
    const linker = new Linker();
    const states = [start, documents];
    const links = states.map((state) => linker.link(state, 'page'));
    const data = dataOf(start);
    let built = build(links[0]!, data, undefined);
    total = size(built.root);
    return [
      {
        name,
        round: () => {
          for (let i = 1; i <= 10; i += 1) {
            const count: Made = { nodes: 0 };
            built = build(links[i % 2]!, data, undefined, built, count);
            made.set(name, count.nodes);
          }
        },
      },
      {
        name: `link ${name}`,
        round: () => {
          for (let i = 1; i <= 10; i += 1) linker.link(states[i % 2]!, 'page');
        },
      },
    ];
  };
  const linker = new Linker();
  const times = measure([
    {
      name: 'full',
      round: () => {
        for (let i = 0; i < 10; i += 1) build(linker.link(start, 'page'), dataOf(start), undefined);
      },
    },
    {
      name: 'link full',
      round: () => {
        for (let i = 0; i < 10; i += 1) new Linker().link(start, 'page');
      },
    },
    ...Object.entries(edited).flatMap(([name, documents]) => again(name, documents)),
  ]);
  const full = times.get('full')!;
  const aims: Record<string, string> = {
    'no change': '0.005',
    'one value': '0.05',
    [`a definition used ${USES} times`]: '0.5',
  };
  const rows: Row[] = [
    {
      what: 'a full build',
      figure: `${(full / 10).toFixed(2)} ms, ${total} nodes`,
      ratio: 1,
      reference: 'itself',
      aim: '',
    },
    ...Object.keys(edited).map((name) => ({
      what: name,
      figure: `${(times.get(name)! / 10).toFixed(3)} ms, ${(((made.get(name) ?? 0) / total) * 100).toFixed(1)} % made anew`,
      ratio: rounded(times.get(name)! / full),
      reference: 'a full build',
      aim: aims[name]!,
    })),
    ...Object.keys(edited).map((name) => ({
      what: `linking, ${name}`,
      figure: `${(times.get(`link ${name}`)! / 10).toFixed(3)} ms`,
      ratio: rounded(times.get(`link ${name}`)! / times.get('link full')!),
      reference: 'linking anew',
      aim: '',
    })),
  ];
  return { name: 'canvas', about: '2,000 elements', rows: [...rows, ...(await canvasInBrowser())] };
}
