import { brackenfold } from '@sormet/demo';
import { canBeExposed, controlsOf, doEdit, isRefusal, keyFor, type NamedEdit } from '../edit';
import { PageCompiler } from '../compile';
import {
  docOf,
  literal,
  type Block,
  newId,
  ordersFor,
  type ComponentDoc,
  type Documents,
  type Source,
  type TypeSpec,
  type Typed,
} from '../model';
import { saidText } from '../said';
import { component, documentsOf, htmlOf, means, page, sharedStyles, signTokens } from '../test';
import { blockOf, cascade, valueText } from '../style';
import { dataOf } from '../value';
import { build, Linker, prepare, rulesOf, write, type Resolved, type ResolvedElement } from '.';

/** What a page shows, by both writers. */
function shown(documents: Documents, id = 'home'): string {
  const data = dataOf(documents);
  const linked = new Linker().link(documents, id);
  const written = write(prepare(linked, data), undefined);
  expect(htmlOf(build(linked, data, undefined).root)).toBe(written);
  return written;
}

function after(documents: Documents, edit: NamedEdit): Documents {
  const done = doEdit(documents, edit);
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  return done.documents;
}

const panel = component('panel', {
  id: 'root',
  tag: 'section',
  style: blockOf({ 'padding-top': '20px', color: '#112233', 'max-width': '60ch' }),
  children: [{ id: 'head', tag: 'h2', text: 'Title' }],
});
const start = documentsOf(
  signTokens,
  ...sharedStyles,
  panel,
  page('home', '/', { tag: 'main', children: [{ id: 'here', component: 'panel' }] }),
);

/** The same with one control exposed as the property `it`. */
function exposing(what: string, documents = start): Documents {
  const row = controlsOf(documents, docOf(documents, 'component', 'panel')!, undefined)
    .concat(
      ['root', 'head'].flatMap((node) =>
        controlsOf(documents, docOf(documents, 'component', 'panel')!, node),
      ),
    )
    .find(({ label }) => label === what);
  if (!row) throw new Error(`There is no control ${what}.`);
  return after(documents, {
    name: 'expose',
    args: {
      component: 'panel',
      controls: [
        {
          node: row.node,
          control: row.control,
          property: 'it',
          label: row.label,
          key: keyFor(row.label, new Set()),
          order: 'a0',
          group: null,
        },
      ],
    },
  });
}

const set = (documents: Documents, value: Typed | null) =>
  after(documents, {
    name: 'setControl',
    args: {
      doc: 'home',
      node: 'here',
      control: { of: 'value', property: 'it' },
      source: value && literal(value),
    },
  });

const propertyOf = (documents: Documents) =>
  docOf(documents, 'component', 'panel')!.properties['it']!;

describe('a tag that is exposed', () => {
  const exposed = exposing('Heading tag');

  test('shows the same until an instance chooses another level', () => {
    expect(propertyOf(exposed).default).toMatchObject({ type: 'tag', value: 'h2' });
    expect(shown(exposed)).toBe(shown(start));
    expect(shown(set(exposed, { type: 'tag', value: 'h4' }))).toContain('<h4>Title</h4>');
  });

  test('that is none of those allowed is the own one', () => {
    expect(shown(set(exposed, { type: 'tag', value: 'script' }))).toBe(shown(start));
  });

  test('is refused where one of those allowed could not stand', () => {
    const line = documentsOf(
      component('line', { id: 'root', tag: 'p', children: [{ id: 'in', tag: 'span', text: 'x' }] }),
      page('home', '/', { tag: 'main', children: [{ id: 'here', component: 'line' }] }),
    );
    const doc = docOf(line, 'component', 'line')!;
    const type: TypeSpec = { kind: 'tag', of: { span: true, div: true } };
    const chosen: Source = { is: 'property', property: 'it' };
    const made: ComponentDoc = {
      ...doc,
      properties: {
        it: {
          label: 'Tag',
          key: 'tag',
          type,
          group: null,
          order: 'a0',
          default: literal({ type: 'tag', value: 'span' }),
        },
      },
    };
    const done = doEdit(line.with(made), {
      name: 'setControl',
      args: { doc: 'line', node: 'in', control: { of: 'chosen', what: 'tag' }, source: chosen },
    });
    expect(done).toMatchObject({ refused: { code: 'holds-text' } });
  });

  test('taken back is the element’s own again', () => {
    const back = after(exposed, {
      name: 'unexpose',
      args: { component: 'panel', properties: ['it'] },
    });
    expect(docOf(back, 'component', 'panel')!.nodes).toEqual(panel.nodes);
  });
});

describe('a theme and a shared style that are exposed', () => {
  test('begin with the instance that chooses them, and win as if they had been put on', () => {
    for (const [label, value, className] of [
      ['Section theme', { type: 'theme', value: 'night' }, 'theme0__night'],
      ['Section shared style', { type: 'style', value: 'pill' }, 's0_pill'],
    ] as const) {
      const exposed = exposing(label);
      expect(shown(exposed)).toBe(shown(start));
      const chosen = set(exposed, value);
      expect(shown(chosen)).toContain(className);
      const data = dataOf(chosen);
      const { root } = build(new Linker().link(chosen, 'home'), data, undefined);
      const rules = rulesOf(elementsOf(root)[1]!, chosen, chosen.tags);
      expect(rules.map(({ origin }) => origin.is)).toContain(
        value.type === 'theme' ? 'theme' : 'shared',
      );
      // Everything that may be chosen is in the CSS of a page that has it, a theme as far as it says something there.
      if (value.type === 'style') expect(cssOfPage(chosen)).toContain(className);
    }
  });
});

describe('a declaration that is exposed', () => {
  test.each([
    [
      'Section padding top',
      { type: 'length', value: { value: 2, unit: 'rem' } },
      'padding-top',
      '2rem',
    ],
    [
      'Section max width',
      { type: 'length', value: { css: 'min(60ch,100%)' } },
      'max-width',
      'min(60ch,100%)',
    ],
    ['Section color', { type: 'colour', value: '#aa0000' }, 'color', '#aa0000'],
    ['Section color', { type: 'colour', value: { token: 'soft' } }, 'color', 'var(--t-soft)'],
  ] as const)('%s: what an instance sets holds there', (label, value, property, css) => {
    const exposed = exposing(label);
    const before = propertyOf(exposed).default;
    expect(shown(exposed)).toContain(`style="--root_panel_${property}_base_it:`);
    expect(before.is === 'value' && before.value).not.toBeNull();
    const there = set(exposed, value);
    expect(shown(there)).toContain(`--root_panel_${property}_base_it:${css}`);
    const { root } = build(new Linker().link(there, 'home'), dataOf(there), undefined);
    const rules = rulesOf(elementsOf(root)[1]!, there, there.tags);
    expect(cascade(rules, property, 'base', there.site)[0]!.declared.css).toBe('var(--it)');
    const back = after(exposed, {
      name: 'unexpose',
      args: { component: 'panel', properties: ['it'] },
    });
    expect(docOf(back, 'component', 'panel')!.nodes).toEqual(panel.nodes);
  });

  test('of a token stays that token, and the token is in the CSS of the page', () => {
    const withToken = start.with({
      ...panel,
      nodes: {
        ...panel.nodes,
        root: {
          ...panel.nodes['root']!,
          style: { color: { css: 'var(--t)', refs: { t: { token: 'soft', type: 'colour' } } } },
        } as never,
      },
    });
    const exposed = exposing('Section color', withToken);
    expect(propertyOf(exposed).default).toMatchObject({ value: { token: 'soft' } });
    expect(cssOfPage(exposed)).toContain('--t-soft:');
  });
});

/** Declarations as people read them: what a placeholder is called says nothing. */
const styleText = (block: Block) =>
  Object.keys(block)
    .sort()
    .map((key) => `${key}: ${valueText(block[key]!, brackenfold().documents.tokens.tokens)}`);

test('every control of the demo’s definitions can be exposed, shows the same, and is taken back', () => {
  const { documents } = brackenfold();
  for (const doc of documents.all('component').slice(0, 6)) {
    const rows = controlsOf(documents, doc).filter(
      (row) => canBeExposed(row) && (row.source === undefined || row.source.is === 'value'),
    );
    const keys = new Set<string>();
    const orders = ordersFor(rows.length);
    const controls = rows.map((row, i) => {
      const key = keyFor(row.label, keys);
      keys.add(key);
      return {
        node: row.node,
        control: row.control,
        property: newId(),
        label: row.label,
        key,
        order: orders[i]!,
        group: null,
      };
    });
    if (controls.length === 0) continue;
    const exposed = after(documents, { name: 'expose', args: { component: doc.id, controls } });
    let back = exposed;
    for (const { property } of controls)
      back = after(back, { name: 'unexpose', args: { component: doc.id, properties: [property] } });
    const looks = ({ nodes }: ComponentDoc) =>
      Object.values(nodes).map((node) =>
        node.kind === 'element' || node.kind === 'instance'
          ? [styleText(node.style), node.theme, node.chosen, node.shared, 'tag' in node && node.tag]
          : [],
      );
    expect(looks(docOf(back, 'component', doc.id)!)).toEqual(looks(doc));
    const definition = new Linker();
    const [was, is] = [documents, exposed].map((each) =>
      htmlOf(build(definition.link(each, doc.id), dataOf(each), undefined).root)
        // What feeds a declaration is said on the element itself.
        .replaceAll(/ style="[^"]*"/g, ''),
    );
    expect(is).toBe(was);
  }
});

function cssOfPage(documents: Documents): string {
  return new PageCompiler(documents, means()).stylesheet('home').text;
}

function elementsOf(node: Resolved | null): ResolvedElement[] {
  if (!node || node.kind === 'text') return [];
  return [...(node.kind === 'element' ? [node] : []), ...node.children.flatMap(elementsOf)];
}
