import fc from 'fast-check';
import {
  allOf,
  docOf,
  mapDefinition,
  mapNode,
  newId,
  own,
  placeAt,
  treeDocOf,
  type Documents,
  type Named,
  type PageDoc,
} from '../model';
import { saidText } from '../said';
import { documentsOf, page, sharedStyles, signTokens } from '../test';
import { demo } from '../test/law-site';
import { runEdits } from '../test/random-edits';
import { doEdit, isRefusal } from '../edit';
import { clipOf } from './clip';
import { fitClip, type Fitted } from './fit';

/** Another site: it knows some of it by other ids, and some not at all. */
const THEMES = signTokens.themes!;
const other = documentsOf(
  {
    ...signTokens,
    themes: { 'n-8': { ...THEMES['night']!, name: 'Night' } },
  },
  { ...sharedStyles[0]!, id: 'p-8' },
  page('landing', '/', { id: 'landing-root', tag: 'main', children: [{ id: 'end', tag: 'div' }] }),
);

function brought(documents: Documents, doc: string, nodes: readonly string[]): Fitted {
  const clip = clipOf(documents, 'demo', doc, nodes)!;
  const { nodes: tree } = other.get('landing') as PageDoc;
  return fitClip(other, clip, 'landing', placeAt(tree, 'end', 0), newId)!;
}

function pasted({ doc, roots, nodes, bring, restyle, tokens }: Fitted) {
  return doEdit(other, {
    name: 'paste',
    args: { doc, roots: [...roots], nodes, bring: [...bring], restyle, tokens },
  });
}

/** Whether what is named is there, on the site as it is afterwards. */
function isThere(documents: Documents, named: Named): boolean {
  switch (named.is) {
    case 'token':
      return own(documents.tokens.tokens, named.id) !== undefined;
    case 'theme':
      return named.id === 'plain' || own(documents.tokens.themes ?? {}, named.id) !== undefined;
    case 'width':
      return own(documents.site.widths, named.id) !== undefined;
    case 'property':
      return own(docOf(documents, 'component', named.of)?.properties ?? {}, named.id) !== undefined;
    case 'part':
    case 'slot':
      return docOf(documents, 'component', named.of) !== undefined;
    default:
      return documents.get(named.id) !== undefined;
  }
}

test('a definition whose tag, theme and style are chosen, and whose types name themes, comes whole to another site', () => {
  const fitted = brought(demo, 'page-every', ['set-every']);
  const done = pasted(fitted);
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  const came = docOf(done.documents, 'component', 'every')!;
  expect(came.properties['theme']!.type).toEqual({ kind: 'theme', of: { 'n-8': true } });
  expect(came.properties['style']!.type).toEqual({ kind: 'style', of: { 'p-8': true } });
  expect(came.properties['entry']!.type).toEqual({ kind: 'entry' });
  expect(came.nodes['every-root']).toMatchObject({
    chosen: { theme: { is: 'property', property: 'theme' } },
  });
});

test('guides of a definition come along, but for those of a width that the other site does not have', () => {
  const every = docOf(demo, 'component', 'every')!;
  const lines = {
    middle: { axis: 'x', at: 300, width: 'base' },
    narrow: { axis: 'x', at: 200, width: Object.keys(demo.site.widths)[0]! },
  } as const;
  const fitted = brought(demo.with({ ...every, lines }), 'page-every', ['set-every']);
  const came = fitted.bring.find(({ kind }) => kind === 'component');
  expect(came).toMatchObject({ lines: { middle: lines.middle } });
  expect(came).not.toHaveProperty('lines.narrow');
  expect(fitted.left.map(({ code }) => code)).toContain('left-at-width');
});

test('elements of such a definition, pasted on a page, keep what was chosen for them by default', () => {
  const withDefaults = demo.with({
    ...docOf(demo, 'component', 'every')!,
    properties: {
      ...docOf(demo, 'component', 'every')!.properties,
      theme: {
        ...docOf(demo, 'component', 'every')!.properties['theme']!,
        default: { is: 'value', type: 'theme', value: 'night' },
      },
      tag: {
        ...docOf(demo, 'component', 'every')!.properties['tag']!,
        default: { is: 'value', type: 'tag', value: 'h4' },
      },
    },
  });
  const fitted = brought(withDefaults, 'every', ['every-root']);
  const done = pasted(fitted);
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  const made = Object.values((done.documents.get('landing') as PageDoc).nodes);
  expect(made.find((node) => node.kind === 'element' && node.tag === 'section')).toMatchObject({
    theme: 'n-8',
  });
  expect(made.some((node) => node.kind === 'element' && node.tag === 'h4')).toBe(true);
  for (const node of made) expect(node).not.toHaveProperty('chosen');
});

test('whatever is copied after whatever edits, nothing that is pasted elsewhere names what is not there', () => {
  let checked = 0;
  const run = fc.array(fc.array(fc.nat(10_000), { minLength: 8, maxLength: 8 }), { maxLength: 8 });
  fc.assert(
    fc.property(run, fc.nat(), fc.nat(), (steps, n, m) => {
      const documents = runEdits(demo, steps).at(-1)?.after ?? demo;
      const trees = [...allOf(documents, 'page'), ...allOf(documents, 'component')];
      const { id: doc, nodes } = trees[n % trees.length]!;
      const ids = Object.keys(nodes).sort();
      const fitted = brought(documents, doc, [ids[m % ids.length]!]);
      if (fitted.roots.length === 0) return;
      const done = pasted(fitted);
      // What may not stand in a box, or would be too much, is refused as anything is.
      if (isRefusal(done)) {
        expect(done.refused.code).not.toMatch(/gone|^no-|not-there/);
        return;
      }
      const missing: Named[] = [];
      const on = {
        named: (named: Named) => {
          if (!isThere(done.documents, named)) missing.push(named);
          return named.id;
        },
      };
      for (const each of fitted.roots.concat(Object.keys(fitted.nodes)))
        mapNode(treeDocOf(done.documents, 'landing')!.nodes[each]!, on);
      for (const each of fitted.bring) if (each.kind === 'component') mapDefinition(each, on);
      expect(missing).toEqual([]);
      checked += 1;
    }),
    { numRuns: 120 },
  );
  expect(checked).toBeGreaterThan(50);
});
