import { expect, type APIRequestContext, type Page } from '@playwright/test';
import fc from 'fast-check';
import { runEdit, applyChanges, isRefusal, type NamedEdit } from '@sormet/core/edit';
import { type Branch } from '@sormet/core/ready';
import {
  Documents,
  FORMAT,
  literal,
  newId,
  ordersFor,
  type AssetDoc,
  type ComponentDoc,
  type Declared,
  type Doc,
  type PageDoc,
  type Source,
  type Typed,
  type TypeDoc,
  type TypeSpec,
} from '@sormet/core/model';
import { blockOf } from '@sormet/core/style';
import { component, contentType, entry, page as pageDoc } from '@sormet/core/test';
import { PORT, SITES_PORT } from './addresses';
import { test } from './test';

/**
 * What is seen is what is published: on generated documents with every kind of control exposed, set, bound and left at
 * its default, every computed longhand of every element is the same on the canvas, in the preview and on the published
 * site, in Chromium, from the real servers with the headers they send.
 */

/** Each kind of property that the exhibit exposes, and the values that somebody may give it. */
const KINDS: Record<string, { type: TypeSpec; values: readonly unknown[] }> = {
  words: { type: { kind: 'text' }, values: ['Mended', 'A & <b> "c"', ''] },
  more: {
    type: { kind: 'rich' },
    values: [
      [{ tag: 'p', children: ['Some ', { tag: 'strong', children: ['strong'] }, ' words'] }],
      [
        { tag: 'h2', children: ['Below'] },
        { tag: 'ul', children: [{ tag: 'li', children: ['one'] }] },
      ],
    ],
  },
  leads: {
    type: { kind: 'link' },
    values: [
      { to: 'address', href: 'https://a.example/?x=1&y=2' },
      { to: 'mail', address: 'a@b.example' },
    ],
  },
  seen: { type: { kind: 'image' }, values: [{ asset: 'pic', alt: 'A shed' }, { asset: 'pic2' }] },
  behind: { type: { kind: 'image' }, values: [{ asset: 'pic' }, { asset: 'pic2' }] },
  film: { type: { kind: 'video' }, values: [{ asset: 'clip', poster: 'pic' }] },
  there: { type: { kind: 'boolean' }, values: [true, false] },
  share: { type: { kind: 'number' }, values: [0.25, 0.5, 1] },
  wide: {
    type: { kind: 'length' },
    values: [{ value: 14, unit: 'ch' }, { value: 8.5, unit: 'rem' }, { css: 'calc(4rem + 20px)' }],
  },
  round: {
    type: { kind: 'length' },
    values: [
      { value: 8.5, unit: 'px' },
      { value: 50, unit: '%' },
    ],
  },
  ink: { type: { kind: 'colour' }, values: ['#a1b2c3', '#a1b2c380', { token: 'soft' }] },
  ground: { type: { kind: 'colour' }, values: ['#102030', { token: 'strong' }] },
  mark: {
    type: { kind: 'icon' },
    values: [
      {
        name: 'dot',
        box: [0, 0, 24, 24],
        drawn: 'lines',
        shapes: [{ tag: 'circle', geometry: { cx: '12', cy: '12', r: '9' } }],
      },
    ],
  },
  level: { type: { kind: 'tag', of: { h2: true, h4: true, p: true } }, values: ['h2', 'h4', 'p'] },
  tone: { type: { kind: 'choice', options: options('calm', 'loud') }, values: ['calm', 'loud'] },
  around: {
    type: { kind: 'theme', of: { night: true, dusk: true } },
    values: ['night', 'dusk', null],
  },
  worn: { type: { kind: 'style', of: { pill: true, edge: true } }, values: ['pill', 'edge', null] },
  who: { type: { kind: 'entry', of: 'thing' }, values: ['thing-one', 'thing-two'] },
  when: { type: { kind: 'date' }, values: ['2026-12-03'] },
  list: {
    type: {
      kind: 'list',
      fields: { name: { label: 'name', key: 'name', order: 'a0', type: { kind: 'text' } } },
    },
    values: [[record('r1', 'First'), record('r2', 'Second')], []],
  },
};
/** What no content can give: what they choose from belongs to the definition. */
const ONLY_SET = ['level', 'around', 'worn'];

function options(...names: string[]) {
  return Object.fromEntries(
    names.map((label, i) => [label, { label, order: ordersFor(names.length)[i]! }]),
  );
}

function record(id: string, name: string) {
  return { id, values: { name: { type: 'text', value: name } } };
}

const valueOf = (name: string): fc.Arbitrary<Typed> =>
  fc
    .constantFrom(...KINDS[name]!.values)
    .map((value) => ({ type: KINDS[name]!.type.kind, value }) as Typed);

const each = <T>(of: (name: string) => fc.Arbitrary<T>) =>
  fc.record(Object.fromEntries(Object.keys(KINDS).map((name) => [name, of(name)])));

const generated = fc.record({
  defaults: each(valueOf),
  set: each(valueOf),
  entries: fc.tuple(
    each(valueOf),
    each((name) => fc.option(valueOf(name), { nil: undefined })),
  ),
  whenEmpty: each(() => fc.constantFrom('default', 'nothing', undefined)),
  veil: fc.boolean(),
});
type Generated = typeof generated extends fc.Arbitrary<infer T> ? T : never;

const property = (id: string): Source => ({ is: 'property', property: id });
const fed = (
  css: string,
  id: string,
  type: 'colour' | 'length' | 'number' | 'image',
): Declared => ({
  css,
  refs: { it: { source: property(id), type } },
});

/** A component that exposes every kind of control there is. */
function exhibit({ defaults, veil }: Generated): ComponentDoc {
  const root: Branch = {
    id: 'root',
    tag: 'section',
    style: {
      ...blockOf({ 'padding-left': '10px', 'background-size': 'cover' }),
      'max-width': fed('var(--it)', 'wide', 'length'),
      'max-width@narrower': fed('calc(var(--it)*.5)', 'wide', 'length'),
      color: fed('var(--it)', 'ink', 'colour'),
      'background-color': fed('var(--it)', 'ground', 'colour'),
      'background-image': veil
        ? fed('linear-gradient(#0004,#0008),var(--it)', 'behind', 'image')
        : fed('var(--it)', 'behind', 'image'),
      'border-top-left-radius': fed('var(--it)', 'round', 'length'),
      opacity: fed('var(--it)', 'share', 'number'),
    },
    children: [
      { id: 'head', tag: 'h2', text: property('words') },
      { id: 'rich', tag: 'div', children: [{ text: property('more'), rich: 'blocks' }] },
      { tag: 'a', attributes: { href: property('leads') }, text: 'Leads' },
      { tag: 'img', attributes: { src: property('seen') } },
      { tag: 'video', attributes: { src: property('film'), controls: yes } },
      { tag: 'p', shown: property('there'), text: 'There' },
      { tag: 'span', children: [{ text: property('mark'), rich: 'icon' }] },
      { tag: 'p', text: { ...property('who'), path: ['words'] } as Source },
      { tag: 'p', text: property('when') },
      {
        tag: 'ul',
        children: [
          {
            id: 'rows',
            repeat: { from: { list: property('list') }, where: {}, order: {} },
            children: [
              { tag: 'li', text: { is: 'field', from: { repeat: 'rows' }, path: ['name'] } },
            ],
          },
        ],
      },
      { id: 'inner', component: 'badge', values: { ink: property('ink'), tone: property('tone') } },
    ],
  };
  const doc = component(
    'exhibit',
    root,
    Object.fromEntries(Object.entries(defaults).map(([name, value]) => [name, literal(value)])),
  );
  for (const [name, { type }] of Object.entries(KINDS)) doc.properties[name]!.type = type;
  doc.properties['tone']!.axis = true;
  doc.rules['loud'] = {
    order: 'a0',
    when: { axes: { tone: 'loud' } },
    patch: { head: { style: { 'letter-spacing': fed('var(--it)', 'round', 'length') } } },
  };
  Object.assign(doc.nodes['head']!, { chosen: { tag: property('level') } });
  Object.assign(doc.nodes['root']!, {
    chosen: { theme: property('around'), style: property('worn') },
  });
  return doc;
}

const yes: Source = { is: 'value', type: 'boolean', value: true };

/** A component inside: a colour and a variant that are handed on to it. */
function badge(): ComponentDoc {
  const doc = component(
    'badge',
    {
      id: 'badge-root',
      tag: 'p',
      style: { 'border-bottom-color': fed('var(--it)', 'ink', 'colour') },
      text: 'Inner',
    },
    {
      ink: literal({ type: 'colour', value: '#000000' }),
      tone: literal({ type: 'choice', value: 'calm' }),
    },
  );
  Object.assign(doc.properties['tone']!, { type: KINDS['tone']!.type, axis: true });
  doc.rules['loud'] = {
    order: 'a0',
    when: { axes: { tone: 'loud' } },
    patch: { 'badge-root': { style: blockOf({ 'font-weight': '700' }) } },
  };
  return doc;
}

/** The type of the page's entries: a field for each kind that content may hold. */
function things(): TypeDoc {
  return contentType(
    'thing',
    Object.fromEntries(
      Object.entries(KINDS).flatMap(([name, { type }]) =>
        ONLY_SET.includes(name) ? [] : [[name, type]],
      ),
    ),
  );
}

function pages({ set, whenEmpty }: Generated): PageDoc[] {
  const all = Object.entries(set);
  const values = Object.fromEntries(all.map(([name, value]) => [name, literal(value)]));
  const bound = Object.fromEntries(
    all.map(([name, value]): [string, Source] => {
      if (ONLY_SET.includes(name)) return [name, literal(value)];
      const when = whenEmpty[name];
      const source: Source = { is: 'field', from: 'page', path: name === 'who' ? [] : [name] };
      return [name, when === undefined ? source : { ...source, whenEmpty: when }];
    }),
  );
  const placed = (given: Record<string, Source>[]): Branch => ({
    tag: 'main',
    children: given.map((values) => ({ component: 'exhibit', values })),
  });
  return [
    pageDoc('set', '/set', placed([values, {}])),
    pageDoc('bound', '/bound/<slug>', placed([bound]), 'thing'),
  ];
}

function entries({ entries: [one, two] }: Generated) {
  const values = (given: Record<string, Typed | undefined>) =>
    Object.fromEntries(
      Object.entries(given).filter(([name, value]) => value && !ONLY_SET.includes(name)),
    ) as Record<string, Typed>;
  return [entry('thing', 'one', values(one)), entry('thing', 'two', values(two))];
}

/** A site of its own on the server of this worker, made and filled by edits as a window makes them. */
class OwnSite {
  private documents = Documents.from([]);
  private id = '';

  constructor(
    private readonly request: APIRequestContext,
    readonly slug: string,
  ) {}

  async make(): Promise<void> {
    const made = await this.request.post('/api/sites', {
      data: { begins: 'empty', name: this.slug, slug: this.slug, language: 'en', width: 600 },
    });
    this.id = ((await made.json()) as { id: string }).id;
    const answer = await this.request.get(`/api/sites/${this.id}`);
    const { documents } = (await answer.json()) as { documents: Record<string, Doc> };
    this.documents = Documents.fromRecord(documents);
  }

  get path(): string {
    return `/sites/${this.id}`;
  }

  async edit(edit: NamedEdit): Promise<void> {
    const changes = runEdit(this.documents, edit);
    if (isRefusal(changes)) throw new Error(`${edit.name}: ${JSON.stringify(changes)}`);
    const answer = await this.request.post(`/api${this.path}/edits`, {
      data: { id: newId(), who: 'a test', name: edit.name, args: edit.args, changes },
    });
    expect([edit.name, await answer.text(), answer.status()]).toEqual([
      edit.name,
      expect.anything(),
      200,
    ]);
    this.documents = applyChanges(this.documents, changes);
  }

  async bringIn(id: string, name: string, mimeType: string, bytes: Buffer): Promise<void> {
    const answer = await this.request.post(`/api${this.path}/files`, {
      multipart: { file: { name, mimeType, buffer: bytes } },
    });
    const { leftOut: _, ...file } = (await answer.json()) as Omit<AssetDoc, 'id'> & {
      leftOut: unknown;
    };
    await this.edit({
      name: 'addAsset',
      args: { asset: { ...file, id, kind: 'asset', format: FORMAT } },
    });
  }

  async publish(): Promise<void> {
    const asked = await this.request.post(`/api${this.path}/releases`);
    const { id } = (await asked.json()) as { id: string };
    await expect
      .poll(async () => {
        const answer = await this.request.get(`/api${this.path}/releases/${id}`);
        return ((await answer.json()) as { state: string }).state;
      })
      .toBe('done');
  }
}

const svg = (colour: string) =>
  Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="40" height="30"><path fill="${colour}" d="M0 0h40v30H0z"/></svg>`,
  );
/** The head of an MP4 file (ISO/IEC 14496-12, 4.3): nothing plays it, everything measures it. */
const film = Buffer.concat([
  Buffer.from('00000010', 'hex'),
  Buffer.from('ftypisom'),
  Buffer.alloc(40),
]);

async function storeGenerated(site: OwnSite, given: Generated): Promise<void> {
  await site.bringIn('pic', 'pic.svg', 'image/svg+xml', svg('#246'));
  await site.bringIn('pic2', 'pic2.svg', 'image/svg+xml', svg('#642'));
  await site.bringIn('clip', 'clip.mp4', 'video/mp4', film);
  for (const [token, css] of [
    ['soft', '#345678'],
    ['strong', '#ddeeff'],
  ] as const)
    await site.edit({
      name: 'addToken',
      args: { token, name: token, group: 'colour', order: `a${token.length}`, css, places: [] },
    });
  for (const [theme, css] of [
    ['night', '#fedcba'],
    ['dusk', '#998877'],
  ] as const) {
    await site.edit({ name: 'addTheme', args: { theme, name: theme, order: 'a0' } });
    await site.edit({ name: 'setInTheme', args: { theme, token: 'soft', css } });
  }
  for (const [style, block] of [
    ['pill', blockOf({ 'padding-right': '33px' })],
    ['edge', blockOf({ 'padding-right': '3px', 'font-style': 'italic' })],
  ] as const)
    await site.edit({
      name: 'addStyle',
      args: {
        style,
        name: style,
        order: style === 'pill' ? 'a0' : 'a1',
        base: null,
        block,
        from: null,
      },
    });
  await site.edit({ name: 'addType', args: { type: things() } });
  for (const each of entries(given)) await site.edit({ name: 'addEntry', args: { entry: each } });
  for (const each of [badge(), exhibit(given)])
    await site.edit({ name: 'addComponent', args: { component: each } });
  for (const each of pages(given)) await site.edit({ name: 'addPage', args: { page: each } });
}

/** Every computed longhand of every element below the body, beside what the element is called. */
function computed(): { lines: string[]; width: number } {
  const origin = document.defaultView!.location.origin;
  const lines = [...document.body.querySelectorAll<HTMLElement>('*')].map((element) => {
    const style = document.defaultView!.getComputedStyle(element);
    // A canvas has the tokens of all that could be shown, a page those that it uses: what they make of things is compared.
    const names = Array.from(style).filter((name) => !name.startsWith('--t-'));
    const longhands = names.map((name) => {
      // Where a file is found is another origin; which file it is is not.
      const value = style.getPropertyValue(name).replaceAll(origin, '');
      return `${name}: ${value}`;
    });
    // In which order custom properties are listed is the browser's own (CSSOM 1, 6.6.1: a set).
    longhands.sort();
    return [element.tagName, element.getAttribute('class'), ...longhands].join('\n');
  });
  return { lines, width: document.defaultView!.innerWidth };
}

function differences(a: readonly string[], b: readonly string[]): string[] {
  if (a.length !== b.length) return [`${a.length} elements, ${b.length} elements`];
  return a.flatMap((element, i) => {
    const other = b[i]!.split('\n');
    const mine = element.split('\n');
    return mine.flatMap((line, n) =>
      line === other[n] ? [] : [`<${mine[0]} class="${mine[1]}"> ${line}, not ${other[n]}`],
    );
  });
}

async function visited(visitor: Page, address: string, width: number): Promise<string[]> {
  await visitor.setViewportSize({ width, height: 800 });
  const refused: string[] = [];
  const onConsole = (message: { text(): string; type(): string }) => {
    if (/Content Security Policy/.test(message.text())) refused.push(message.text());
  };
  visitor.on('console', onConsole);
  await visitor.goto(address, { waitUntil: 'load' });
  visitor.off('console', onConsole);
  expect([address, refused]).toEqual([address, []]);
  return (await visitor.evaluate(computed)).lines;
}

test('every computed style is the same on the canvas, in the preview and published, for every kind of exposed control', async ({
  page,
  request,
  context,
}) => {
  test.setTimeout(240_000);
  let elements = 0;
  const visitor = await context.newPage();
  for (const [i, given] of fc.sample(generated, { numRuns: 2, seed: 18 }).entries()) {
    const site = new OwnSite(request, `seen-${PORT}-${i}`);
    await site.make();
    await storeGenerated(site, given);
    await site.publish();
    for (const [bench, path] of [
      ['set', '/set'],
      ['bound?entry=thing-one', '/bound/one'],
      ['bound?entry=thing-two', '/bound/two'],
    ] as const) {
      await page.goto(`${site.path}/bench/${bench}`);
      const canvas = page.frameLocator('iframe[title="The page"]').locator('body');
      await expect(canvas.locator('section').first()).toBeVisible();
      const seen = async () => {
        const frame = page.frames().find((each) => each.url().endsWith('/canvas'))!;
        return frame.evaluate(computed);
      };
      let { lines, width } = await seen();
      await expect(async () => {
        const again = await seen();
        const same = JSON.stringify(again.lines) === JSON.stringify(lines);
        ({ lines, width } = again);
        expect(same).toBe(true);
      }).toPass({ intervals: [200] });
      const preview = await visited(
        visitor,
        `http://${site.slug}.preview.localhost:${SITES_PORT}${path}`,
        width,
      );
      const published = await visited(
        visitor,
        `http://${site.slug}.localhost:${SITES_PORT}${path}`,
        width,
      );
      expect([path, differences(published, preview)]).toEqual([path, []]);
      expect([path, differences(lines, published).slice(0, 10)]).toEqual([path, []]);
      elements += published.length;
    }
  }
  console.log(`${elements} elements have the same computed style in three places`);
  expect(elements).toBeGreaterThan(100);
});

test('a page renamed there and back is found by those who were led away from it before', async ({
  request,
  page,
}) => {
  const site = new OwnSite(request, `renamed-${PORT}`);
  await site.make();
  await site.edit({
    name: 'addPage',
    args: { page: pageDoc('here', '/here', { tag: 'main', text: 'Here I am' }) },
  });
  await site.publish();
  const visit = async (path: string) => {
    await page.goto(`http://${site.slug}.localhost:${SITES_PORT}${path}`);
    await expect(page.locator('main')).toHaveText('Here I am');
    return new URL(page.url()).pathname;
  };
  expect(await visit('/here')).toBe('/here');
  for (const [path, former] of [
    ['/there', '/here'],
    ['/here', '/there'],
    ['/there', '/here'],
  ] as const) {
    await site.edit({ name: 'setPath', args: { page: 'here', path } });
    await site.publish();
    expect(await visit(former)).toBe(path);
    expect(await visit(path)).toBe(path);
  }
});
