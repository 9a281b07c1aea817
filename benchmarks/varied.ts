import { applyChanges, isRefusal, runEdit, type NamedEdit } from '@sormet/core/edit';
import type { Documents } from '@sormet/core/model';
import { build, Linker, prepare, write } from '@sormet/core/resolve';
import { saidText } from '@sormet/core/said';
import { dataOf } from '@sormet/core/value';
import { measure, rounded, type Report, type Row } from './measure';
import { VARIED, variedSite } from './varied-site';

const PAGES = 1000;
const BUILDS = 300;
const WAYS = ['instances', 'elements'] as const;

/** Other words in the same place: of a heading in the one, of the instance's title in the other. */
const TOUCHED: Record<(typeof WAYS)[number], NamedEdit> = {
  instances: {
    name: 'setControl',
    args: {
      doc: 'page',
      node: 'each5',
      control: { of: 'value', property: 'words' },
      source: { is: 'value', type: 'text', value: 'Other words' },
    },
  },
  elements: {
    name: 'declare',
    args: { doc: 'page', nodes: ['each5'], property: 'padding-left', width: 'base', css: '3px' },
  },
};

function after(documents: Documents, edit: NamedEdit): Documents {
  const changes = runEdit(documents, edit);
  if (isRefusal(changes)) throw new Error(saidText(changes.refused));
  return applyChanges(documents, changes);
}

/** The two sites with what writing and building them begins with; their HTML is the same but for the names of classes. */
function bothSites() {
  const sites = WAYS.map((way) => {
    const { documents, entries, page } = variedSite(way, PAGES);
    const data = dataOf(documents);
    const linked = new Linker().link(documents, page);
    return { way, documents, entries, page, data, linked, template: prepare(linked, data) };
  });
  const bare = (html: string) => html.replace(/ class="[^"]*"/g, '');
  const [one, other] = sites.map(({ template, entries }) =>
    entries.map((entry) => bare(write(template, entry))),
  );
  if (one!.some((html, i) => html !== other![i])) throw new Error('The two ways give other HTML.');
  return sites;
}

/** How many times as long a page takes to write as the same HTML from plain elements, in one measurement. */
export function timesElements(): number {
  let length = 0;
  const times = measure(
    bothSites().map(({ way, entries, template }) => ({
      name: way,
      round: () => {
        for (const entry of entries) length += write(template, entry).length;
      },
    })),
  );
  if (length === 0) throw new Error('Nothing was written.');
  return times.get('instances')! / times.get('elements')!;
}

/** What instances with variants, a slot and values that are worked out cost, beside the same HTML from plain elements. */
export function varied(): Report {
  const sites = bothSites();
  let length = 0;
  const timed = sites.flatMap(({ way, documents, entries, page, data, linked, template }) => {
    const linker = new Linker();
    const states = [documents, after(documents, TOUCHED[way])];
    const links = states.map((state) => linker.link(state, page));
    let built = build(links[0]!, data, entries[0]);
    return [
      {
        name: `write ${way}`,
        round: () => {
          for (const entry of entries) length += write(template, entry).length;
        },
      },
      {
        name: `build ${way}`,
        round: () => {
          for (let i = 0; i < BUILDS; i += 1)
            length += build(linked, data, entries[i]).root ? 1 : 0;
        },
      },
      {
        name: `edit ${way}`,
        round: () => {
          for (let i = 1; i <= BUILDS; i += 1) {
            linker.link(states[i % 2]!, page);
            built = build(links[i % 2]!, data, entries[0], built);
          }
        },
      },
    ];
  });
  const times = measure(timed);
  if (length === 0) throw new Error('Nothing was written.');
  const row = (what: string, name: string, many: number): Row => {
    const own = times.get(`${name} instances`)!;
    const plain = times.get(`${name} elements`)!;
    return {
      what,
      figure: `${((own * 1000) / many).toFixed(1)} µs`,
      ratio: rounded(own / plain),
      reference: `plain elements ${((plain * 1000) / many).toFixed(1)} µs`,
      aim: '≤ 1.3',
    };
  };
  return {
    name: 'varied',
    about: `a page of ${VARIED} cards with two axes, a slot and three worked-out values`,
    rows: [
      row('render: a page written', 'write', PAGES),
      row('canvas: a page built', 'build', BUILDS),
      row('canvas: built again after an edit of one card', 'edit', BUILDS),
    ],
  };
}
