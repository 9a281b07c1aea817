import type { NamedEdit } from '../edit';
import { literal, type AssetDoc, type FocusPoint } from '../model';
import { asset, component, documentsOf, means, page } from '../test';
import { after } from '../test/after';
import { compileSite, fileOf } from '.';

const held = (id: string, focus?: FocusPoint): AssetDoc => ({
  ...asset(id),
  ...(focus ? { focus } : {}),
});
const picture = (id: string) => literal({ type: 'image', value: { asset: id } });
const start = documentsOf(
  held('hall', { x: 20, y: 70 }),
  held('yard'),
  component('band', { id: 'root', tag: 'section' }),
  page('home', '/', { tag: 'main', children: [{ id: 'one', component: 'band' }] }),
);
const laid = (id: string) =>
  after(start, {
    name: 'setGround',
    args: {
      doc: 'band',
      nodes: ['root'],
      width: 'base',
      ground: { source: picture(id), veil: null },
    },
  });

/** What is published of a page: its HTML, and the CSS that it loads. */
function published(documents: typeof start): { html: string; css: string } {
  const site = compileSite(documents, means());
  const { sha256, loads } = site.manifest[fileOf('/')]!;
  const css = loads!.find((path) => path.endsWith('.css'))!;
  return {
    html: site.texts.get(sha256)!,
    css: site.texts.get(site.manifest[css]!.sha256)!,
  };
}

test('a picture behind something is cropped around what of it is kept; without a word of that, its middle is', () => {
  const { html, css } = published(laid('hall'));
  expect(html).toMatch(/style="--([\w-]+):url\([^)]*\);--\1-focus:20% 70%"/);
  expect(css).toMatch(/background-position:var\(--ground-focus,center\)/);
  expect(css).toContain('@property --ground-focus{syntax:"*";inherits:false}');
  expect(published(laid('yard')).html).not.toContain('focus');
});

test('where somebody said where it lies, that holds', () => {
  const said = after(laid('hall'), {
    name: 'declare',
    args: {
      doc: 'band',
      nodes: ['root'],
      property: 'background-position',
      width: 'base',
      css: '0 100%',
    },
  });
  const { css } = published(said);
  expect(css).toContain('background-position:0 100%');
  expect(css).not.toContain('var(--ground-focus,');
});

test('of several pictures that may lie there, each brings its own along: in a rule, and at a narrower width', () => {
  const ground = (id: string, more: { width?: string; rule?: string } = {}): NamedEdit => ({
    name: 'setGround',
    args: {
      doc: 'band',
      nodes: ['root'],
      width: 'base',
      ground: { source: picture(id), veil: null },
      ...more,
    },
  });
  const tone = { day: { label: 'day', order: 'a0' }, night: { label: 'night', order: 'a1' } };
  const varied = after(
    laid('hall'),
    {
      name: 'addProperty',
      args: {
        component: 'band',
        property: 'tone',
        label: 'Tone',
        key: 'tone',
        group: null,
        order: 'a0',
        type: { kind: 'choice', options: tone },
      },
    },
    {
      name: 'setDefault',
      args: {
        component: 'band',
        property: 'tone',
        value: literal({ type: 'choice', value: 'night' }),
      },
    },
    { name: 'setProperty', args: { component: 'band', property: 'tone', set: { axis: true } } },
    {
      name: 'addRule',
      args: { component: 'band', rule: 'at-night', order: 'a0', axes: { tone: 'night' } },
    },
    ground('yard', { rule: 'at-night' }),
    ground('yard', { width: 'w500' }),
  );
  const { css } = published(varied);
  // What wins says whose point is meant: three places, three names.
  const named = [...css.matchAll(/--ground-focus:var\(--([\w-]+)\)/g)].map(([, name]) => name);
  expect(new Set(named).size).toBe(3);
  for (const name of named) expect(css).toContain(`@property --${name}{syntax:"*";inherits:false}`);
});
