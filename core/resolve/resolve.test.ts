import { brackenfold } from '@sormet/demo';
import { parseFragment, serialize } from 'parse5';
import {
  text,
  yesNo,
  type ComponentDoc,
  type Documents,
  type PageDoc,
  type Source,
} from '../model';
import { plant } from '../ready';
import { blockOf } from '../style';
import { asSeen } from '../test/as-seen';
import { htmlOf, nodesOf } from '../test/html';
import {
  asset,
  component,
  contentType,
  documentsOf,
  entry,
  page,
  queryOf,
  words,
} from '../test/small-site';
import { dataOf, newRun, type Data } from '../value';
import {
  addressOf,
  build,
  interpret,
  Linker,
  prepare,
  rulesOf,
  trace,
  withinKey,
  write,
  escapeAttribute,
  escapeText,
  type Built,
  type Made,
  type ResolvedElement,
} from '.';

const ofPage = (field: string, whenEmpty?: 'default' | 'nothing' | 'hide'): Source => ({
  is: 'field',
  from: 'page',
  path: field === '' ? [] : [field],
  ...(whenEmpty ? { whenEmpty } : {}),
});
const reads = (property: string): Source => ({ is: 'property', property });

/** Both writers on one page; they must agree. */
function show(documents: Documents, id: string, page?: Parameters<typeof build>[2]): string {
  const linked = new Linker().link(documents, id);
  const data = dataOf(documents);
  const shown = htmlOf(build(linked, data, page).root);
  const template = prepare(linked, data);
  if (!template.acts) expect(write(template, page)).toBe(shown);
  else {
    // What its script shows and hides is shown and hidden as the canvas does it.
    const { html } = template.write(page, template.first(page), { held: () => undefined });
    expect(asSeen(html)).toBe(asSeen(shown));
  }
  return shown;
}

const button = component(
  'button',
  { tag: 'a', attributes: { href: reads('to') }, text: reads('label') },
  {
    label: text('Go'),
    to: { is: 'value', type: 'link', value: { to: 'address', href: '/somewhere' } },
  },
);
const card = component(
  'card',
  {
    tag: 'article',
    children: [
      { tag: 'h3', text: reads('title') },
      { tag: 'img', attributes: { src: reads('picture'), alt: reads('alt') } },
      { component: 'button', values: { label: reads('more') }, shown: reads('linked') },
      { slot: 'inside', children: [{ tag: 'p', text: 'nothing inside' }] },
    ],
  },
  {
    title: text('A title'),
    picture: { is: 'value', type: 'image', value: { asset: 'pic' } },
    alt: text(''),
    more: text('More'),
    linked: yesNo(true),
  },
  ['inside'],
);
const shed = contentType('shed', { name: 'text', photo: 'image', open: 'boolean', town: 'text' });
const a = entry('shed', 'a', {
  name: words('Ash & Elm'),
  photo: { type: 'image', value: { asset: 'pic' } },
  open: { type: 'boolean', value: true },
  town: words('North'),
});
const b = entry('shed', 'b', { name: words('Birch'), town: words('South') });
const base = [button, card, shed, a, b, asset('pic')];
const IMG = '<img alt="" src="/files/aca0000000000000.svg" width="30" height="20">'.replace(
  'aca0000000000000',
  asset('pic').sha256.slice(0, 16),
);

describe('an instance', () => {
  test('shows the defaults of its component', () => {
    const documents = documentsOf(
      ...base,
      page('p', '/', { tag: 'main', children: [{ component: 'card' }] }),
    );
    expect(show(documents, 'p')).toBe(
      `<main><article><h3>A title</h3>${IMG}<a href="/somewhere">More</a><p>nothing inside</p></article></main>`,
    );
  });

  test('shows what it sets, escaped', () => {
    const documents = documentsOf(
      ...base,
      page('p', '/', {
        component: 'card',
        values: { title: text('<b>&'), alt: text('a "picture"'), linked: yesNo(false) },
      }),
    );
    expect(show(documents, 'p')).toContain(
      '<h3>&lt;b&gt;&amp;</h3><img alt="a &quot;picture&quot;"',
    );
    expect(show(documents, 'p')).not.toContain('<a ');
  });

  test('hands lifted values down', () => {
    const documents = documentsOf(
      ...base,
      page('p', '/', { component: 'card', values: { more: text('Read on') } }),
    );
    expect(show(documents, 'p')).toContain('<a href="/somewhere">Read on</a>');
  });

  test('fills slots in the words of the place where it stands', () => {
    const inner = { tag: 'p', text: ofPage('name') };
    const documents = documentsOf(
      ...base,
      page('p', '/s/<slug>', { component: 'card', slots: { inside: [inner] } }, 'shed'),
    );
    expect(show(documents, 'p', a)).toContain('<p>Ash &amp; Elm</p>');
    expect(show(documents, 'p', a)).not.toContain('nothing inside');
  });

  test('of a component that is gone shows nothing', () => {
    const documents = documentsOf(
      page('p', '/', { tag: 'main', children: [{ component: 'gone' }] }),
    );
    expect(show(documents, 'p')).toBe('<main></main>');
  });
});

describe('a value that is empty', () => {
  const showing = (values: Record<string, Source>) => {
    const documents = documentsOf(
      ...base,
      page('p', '/s/<slug>', { component: 'card', values }, 'shed'),
    );
    return show(documents, 'p', b);
  };

  test('takes the default when that was decided', () => {
    expect(showing({ picture: ofPage('photo', 'default') })).toContain('<img');
  });

  test('shows nothing when that was decided: a picture without a picture is no element', () => {
    expect(showing({ picture: ofPage('photo', 'nothing') })).not.toContain('<img');
  });

  test('hides the element that finally uses it, however far it was handed', () => {
    expect(
      showing({ more: { ...ofPage('photo', 'hide'), path: ['missing'] } as Source }),
    ).not.toContain('<a ');
    expect(
      showing({ title: { is: 'field', from: 'page', path: ['missing'], whenEmpty: 'hide' } }),
    ).not.toContain('<h3');
  });

  test('hides when the condition to be shown is empty', () => {
    expect(showing({ linked: ofPage('open', 'nothing') })).not.toContain('<a ');
  });
});

describe('a repeat', () => {
  const list = (where: [string, Source][]) => ({
    id: 'list',
    repeat: queryOf('shed', where),
    children: [
      { tag: 'li', text: { is: 'field', from: { repeat: 'list' }, path: ['name'] } as Source },
    ],
    slots: { none: [{ tag: 'li', text: 'none' }] },
  });
  const withList = (repeat: ReturnType<typeof list>, entries: string | null = null) =>
    documentsOf(
      ...base,
      page('p', entries ? '/s/<slug>' : '/', { tag: 'ul', children: [repeat] }, entries),
    );

  test('shows what it holds once for each entry', () => {
    expect(show(withList(list([])), 'p')).toBe('<ul><li>Ash &amp; Elm</li><li>Birch</li></ul>');
  });

  test('shows its other children for none', () => {
    expect(show(withList(list([['name', text('Cedar')]])), 'p')).toBe('<ul><li>none</li></ul>');
  });

  test('may depend on the entry of the page', () => {
    const documents = withList(list([['town', ofPage('town')]]), 'shed');
    expect(show(documents, 'p', a)).toBe('<ul><li>Ash &amp; Elm</li></ul>');
    expect(show(documents, 'p', b)).toBe('<ul><li>Birch</li></ul>');
  });

  test('inside another keeps their entries apart', () => {
    const inner = {
      id: 'in',
      repeat: queryOf('shed', [['town', { is: 'field', from: { repeat: 'out' }, path: ['town'] }]]),
      children: [
        { tag: 'b', text: { is: 'field', from: { repeat: 'in' }, path: ['name'] } as Source },
        { tag: 'i', text: { is: 'field', from: { repeat: 'out' }, path: ['town'] } as Source },
      ],
    };
    const outer = {
      id: 'out',
      repeat: queryOf('shed', [['town', ofPage('town')]]),
      children: [inner],
    };
    const documents = documentsOf(
      ...base,
      page('p', '/s/<slug>', { tag: 'div', children: [outer] }, 'shed'),
    );
    expect(show(documents, 'p', a)).toBe('<div><b>Ash &amp; Elm</b><i>North</i></div>');
  });
});

describe('building again', () => {
  const pages = page(
    'p',
    '/s/<slug>',
    {
      id: 'main',
      tag: 'main',
      children: Array.from({ length: 20 }, (_, i) => ({
        id: `i${i}`,
        component: 'card',
        values: { title: i === 0 ? ofPage('name') : text(`Card ${i}`) },
      })),
    },
    'shed',
  );
  const start = documentsOf(...base, pages);

  function again(
    documents: Documents,
    before: Built,
    linker: Linker,
    data: Data,
    entryNow = a,
  ): { built: Built; made: number } {
    const made: Made = { nodes: 0 };
    return {
      built: build(linker.link(documents, 'p'), dataOf(documents, data), entryNow, before, made),
      made: made.nodes,
    };
  }
  function first() {
    const linker = new Linker();
    const data = dataOf(start);
    const before = build(linker.link(start, 'p'), data, a);
    return { linker, data, before, total: nodesOf(before.root).length };
  }

  test('after no change gives the same tree', () => {
    const { linker, data, before } = first();
    expect(again(start.with({ ...a }), before, linker, data).built.root).toBe(before.root);
  });

  test('after one value makes only its way up anew', () => {
    const { linker, data, before, total } = first();
    const node = {
      ...pages.nodes['i5']!,
      values: { title: text('Other') },
    } as PageDoc['nodes'][string];
    const { built, made } = again(
      start.with({ ...pages, nodes: { ...pages.nodes, i5: node } }),
      before,
      linker,
      data,
    );
    expect(htmlOf(built.root)).toContain('Other');
    expect(made).toBeLessThan(total / 10);
    const [main, was] = [built.root as ResolvedElement, before.root as ResolvedElement];
    expect(main.children[4]).toBe(was.children[4]);
    expect(main.children[5]).not.toBe(was.children[5]);
  });

  test('after stepping to another entry keeps what does not read it', () => {
    const { linker, data, before } = first();
    const { built } = again(start, before, linker, data, b);
    const [main, was] = [built.root as ResolvedElement, before.root as ResolvedElement];
    expect(main.children[0]).not.toBe(was.children[0]);
    expect(main.children[1]).toBe(was.children[1]);
  });

  test('after a definition changed follows in every instance', () => {
    const { linker, data, before } = first();
    const heading = Object.keys(card.nodes).find(
      (id) =>
        card.nodes[id]!.kind === 'element' && (card.nodes[id] as { tag: string }).tag === 'h3',
    )!;
    const changed = {
      ...card,
      nodes: { ...card.nodes, [heading]: { ...card.nodes[heading]!, tag: 'h4' } as never },
    };
    const { built } = again(start.with(changed), before, linker, data);
    expect(htmlOf(built.root).match(/<h4>/g)).toHaveLength(20);
  });

  test('gives every node an address of its own that edits elsewhere leave alone', () => {
    const { linker, data, before } = first();
    const addresses = nodesOf(before.root).map(addressOf);
    expect(new Set(addresses).size).toBe(addresses.length);
    const node = {
      ...pages.nodes['i5']!,
      values: { title: text('Other') },
    } as PageDoc['nodes'][string];
    const { built } = again(
      start.with({ ...pages, nodes: { ...pages.nodes, i5: node } }),
      before,
      linker,
      data,
    );
    expect(nodesOf(built.root).map(addressOf)).toEqual(addresses);
  });
});

describe('linking', () => {
  test('gives the same object while nothing in it changed, however deep', () => {
    const linker = new Linker();
    const documents = documentsOf(
      ...base,
      page('p', '/', { component: 'card' }),
      page('q', '/q', { tag: 'div' }),
    );
    const p = linker.link(documents, 'p');
    const q = linker.link(documents, 'q');
    const changed = documents.with({ ...button, name: 'Parts/Other' });
    expect(linker.link(changed, 'q')).toBe(q);
    expect(linker.link(changed, 'p')).not.toBe(p);
  });

  test('refuses what contains itself', () => {
    const loop = component('loop', { tag: 'div', children: [{ component: 'loop' }] });
    expect(() => new Linker().link(documentsOf(loop), 'loop')).toThrow('contains itself');
    expect(() => new Linker().link(documentsOf(), 'gone')).toThrow('no page or component');
  });
});

describe('where things come from', () => {
  const styled = component(
    'styled',
    {
      id: 'root',
      tag: 'section',
      style: blockOf({ color: 'red' }),
      children: [{ id: 'h', tag: 'h2', children: [{ id: 't', text: reads('title') }] }],
    },
    { title: text('Default') },
  );
  const outer = component(
    'outer',
    {
      id: 'oroot',
      component: 'styled',
      style: blockOf({ color: 'green' }),
      values: { title: reads('name') },
    },
    { name: text('Outer') },
  );
  const home = page('p', '/', {
    tag: 'main',
    children: [
      {
        id: 'one',
        component: 'outer',
        style: blockOf({ color: 'blue' }),
        values: { name: text('Here') },
      },
      { id: 'two', component: 'outer' },
    ],
  });
  const documents = documentsOf(styled, outer, home);
  const built = build(new Linker().link(documents, 'p'), dataOf(documents), undefined);
  const sections = nodesOf(built.root).filter(
    (node): node is ResolvedElement => node.kind === 'element' && node.tag === 'section',
  );

  test('an element is styled by its definition, then by each instance whose root it is', () => {
    expect(sections[0]!.attributes['class']).toBe('root_styled oroot_outer one_p');
    expect(
      rulesOf(sections[0]!, documents, documents.tags).map(({ level, block }) => [
        'height' in level ? level.height : -1,
        block['color']?.css,
      ]),
    ).toEqual([
      [-1, undefined],
      [0, 'red'],
      [1, 'green'],
      [2, 'blue'],
    ]);
  });

  test('a text is traced to the instance that sets it, or to a default', () => {
    const texts = nodesOf(built.root).filter((node) => node.kind === 'text');
    const steps = (i: number) =>
      trace(built, texts[i]!.scope.within, 't', { of: 'text' }).map(({ by, doc }) => [by, doc]);
    expect(steps(0)).toEqual([
      ['control', 'styled'],
      ['set', 'outer'],
      ['set', 'p'],
    ]);
    expect(steps(1)).toEqual([
      ['control', 'styled'],
      ['set', 'outer'],
      ['default', 'outer'],
    ]);
  });

  test('a way down is named the same for the same address', () => {
    expect(withinKey(sections[0]!.scope.within)).toMatch(/^p\//);
    expect(withinKey(sections[0]!.scope.within)).not.toBe(withinKey(sections[1]!.scope.within));
  });
});

describe('what is written', () => {
  // Source: HTML Living Standard, 13.3 (serialising HTML fragments), as implemented by parse5.
  test('is what an HTML parser writes out again, for the whole demo', () => {
    const { documents } = brackenfold();
    const data = dataOf(documents);
    for (const doc of [...documents]) {
      if (doc.kind !== 'page') continue;
      const entries = doc.entries === null ? [undefined] : data.entriesOf(doc.entries);
      for (const each of entries) {
        const html = show(documents, doc.id, each);
        expect(serialize(parseFragment(html))).toBe(html);
        const published = write(prepare(new Linker().link(documents, doc.id), data), each);
        expect(serialize(parseFragment(published))).toBe(published);
      }
    }
  });

  test('escapes text and attributes as the standard says', () => {
    expect(escapeText('a & b < c > d \u00a0 "')).toBe('a &amp; b &lt; c &gt; d &nbsp; "');
    expect(escapeAttribute('"&\u00a0<>')).toBe('&quot;&amp;&nbsp;&lt;&gt;');
    expect(escapeText('nothing to do')).toBe('nothing to do');
  });

  test('is the same by the function made of a program and by running it step by step', () => {
    const { documents } = brackenfold();
    const data = dataOf(documents);
    const intro: PageDoc = documents.get('page-shed') as PageDoc;
    const { root, nodes } = plant(
      {
        component: 'opening',
        values: {
          'opening-heading': ofPage('shed-name'),
          'opening-text': ofPage('shed-summary', 'default'),
          'opening-picture': ofPage('shed-picture', 'hide'),
          'opening-alt': ofPage('shed-alt', 'nothing'),
          'opening-address': ofPage('shed-booking'),
          'opening-button': ofPage('shed-benches', 'hide'),
        },
      },
      { parent: 'page-shed-body', slot: 'main', order: 'Zz' },
    );
    expect(root in intro.nodes).toBe(false);
    // Without what does something: such a page is written by neither of the two.
    const still = Object.entries(intro.nodes).filter(
      ([, node]) => node.kind !== 'instance' || node.component !== 'keep-bench',
    );
    const around = documents.get('surround') as ComponentDoc;
    const quiet = Object.entries(around.nodes).filter(
      ([, node]) => node.kind !== 'instance' || node.component !== 'menu',
    );
    const bound = documents.with(
      { ...around, nodes: Object.fromEntries(quiet) },
      { ...intro, nodes: { ...Object.fromEntries(still), ...nodes } },
    );
    const template = prepare(new Linker().link(bound, 'page-shed'), data);
    expect(template.program.length).toBeGreaterThan(5);
    for (const each of data.entriesOf('shed'))
      expect(write(template, each)).toBe(interpret(template.program, data, newRun(each)));
  });

  test('keeps what people write out of the code it makes', () => {
    const nasty = '"; throw new Error("ran"); //\u2028</script>`${run}`\\';
    const odd = contentType('shed', { name: 'text', [`x"]; throw 1; //`]: 'text' });
    const one = entry('shed', 'one', { name: words(nasty) });
    const documents = documentsOf(
      odd,
      one,
      page(
        'p',
        '/s/<slug>',
        { tag: 'p', attributes: { title: text(nasty) }, text: ofPage('name') },
        'shed',
      ),
    );
    expect(show(documents, 'p', one)).toBe(
      `<p title="${escapeAttribute(nasty)}">${escapeText(nasty)}</p>`,
    );
  });

  test('of a page made from entries needs an entry', () => {
    const documents = documentsOf(
      ...base,
      page('p', '/s/<slug>', { tag: 'p', text: ofPage('name') }, 'shed'),
    );
    const template = prepare(new Linker().link(documents, 'p'), dataOf(documents));
    expect(() => write(template)).toThrow('needs one');
  });

  test('knows the styles that some entry may show, and no others', () => {
    const hidden = component(
      'h',
      {
        tag: 'div',
        children: [
          { id: 'off', tag: 'p', style: blockOf({ color: 'red' }), shown: yesNo(false), text: 'x' },
          {
            id: 'maybe',
            tag: 'p',
            style: blockOf({ color: 'red' }),
            shown: reads('when'),
            text: 'y',
          },
        ],
      },
      { when: yesNo(true) },
    );
    const documents = documentsOf(
      ...base,
      hidden,
      page('p', '/s/<slug>', { component: 'h', values: { when: ofPage('open') } }, 'shed'),
    );
    const { used } = prepare(new Linker().link(documents, 'p'), dataOf(documents));
    expect([...used.classes.keys()]).toEqual(['maybe_h 0']);
    expect([...used.tags].sort()).toEqual(['div', 'p']);
  });
});
