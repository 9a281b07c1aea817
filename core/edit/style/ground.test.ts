import {
  controlsOf,
  doEdit,
  groundOf,
  VEIL as VEIL_LAID,
  veilEdits,
  veilWays,
  type NamedEdit,
  type VeilWay,
} from '..';
import { docOf, nodeIn, text, type Documents, type Source } from '../../model';
import { Linker, build } from '../../resolve';
import { asset, component, documentsOf, htmlOf, page } from '../../test';
import { after } from '../../test/after';
import { dataOf } from '../../value';

const picture = (id: string): Source => ({ is: 'value', type: 'image', value: { asset: id } });
const VEIL = 'linear-gradient(#0008,#0008)';

const start = documentsOf(
  asset('hall'),
  asset('yard'),
  component('band', { id: 'root', tag: 'section', children: [{ tag: 'h2', text: 'Come in' }] }),
  page('home', '/', { tag: 'main', children: [{ id: 'one', component: 'band' }] }),
);

const laid = (ground: { source: Source; veil: string | null } | null): NamedEdit => ({
  name: 'setGround',
  args: { doc: 'band', nodes: ['root'], width: 'base', ground },
});
const style = (documents: Documents) => {
  const root = nodeIn(documents, 'band', 'root');
  return root?.kind === 'element' ? root.style : {};
};

describe('a picture behind', () => {
  test('covers its element, under a veil or none, and is told from its declaration', () => {
    const bare = after(start, laid({ source: picture('hall'), veil: null }));
    expect(style(bare)).toMatchObject({
      'background-image': { css: 'var(--it)' },
      'background-size': { css: 'cover' },
      'background-position': { css: 'center' },
    });
    const veiled = after(bare, laid({ source: picture('hall'), veil: VEIL }));
    expect(groundOf(style(veiled)['background-image'])).toEqual({
      source: picture('hall'),
      veil: VEIL,
    });
    expect(style(after(veiled, laid(null)))['background-image']).toBeUndefined();
  });

  test('is laid by a rule while its variant is picked, under a veil of its own, and is taken back alone', () => {
    const axis: NamedEdit[] = [
      {
        name: 'addProperty',
        args: {
          component: 'band',
          property: 'tone',
          label: 'Tone',
          key: 'tone',
          group: null,
          order: 'a0',
          type: {
            kind: 'choice',
            options: { day: { label: 'day', order: 'a0' }, night: { label: 'night', order: 'a1' } },
          },
          default: { is: 'value', type: 'choice', value: 'day' },
        } as never,
      },
      { name: 'setProperty', args: { component: 'band', property: 'tone', set: { axis: true } } },
      {
        name: 'addRule',
        args: { component: 'band', rule: 'at-night', order: 'a0', axes: { tone: 'night' } },
      },
    ];
    const base = after(start, laid({ source: picture('hall'), veil: null }), ...axis);
    const byRule = (ground: { source: Source; veil: string | null } | null): NamedEdit => ({
      name: 'setGround',
      args: { doc: 'band', rule: 'at-night', nodes: ['root'], width: 'base', ground },
    });
    const night = after(base, byRule({ source: picture('yard'), veil: VEIL }));
    const said = docOf(night, 'component', 'band')!.rules['at-night']!.patch['root']!.style!;
    expect(groundOf(said['background-image'])).toEqual({ source: picture('yard'), veil: VEIL });
    // How it lies is said of the base already.
    expect(Object.keys(said)).toEqual(['background-image']);
    expect(style(night)).toEqual(style(base));
    expect(after(night, byRule(null)).get('band')).toMatchObject({
      rules: { 'at-night': { patch: { root: { style: {} } } } },
    });
    expect(doEdit(start, byRule(null))).toHaveProperty('refused');
  });

  test('is exposed like any control: the veil stays, an instance sets its own picture', () => {
    const veiled = after(start, laid({ source: picture('hall'), veil: VEIL }));
    const band = docOf(veiled, 'component', 'band')!;
    const row = controlsOf(veiled, band).find(({ what }) => what === 'background image')!;
    expect(row.type).toEqual({ kind: 'image' });
    const exposed = after(veiled, {
      name: 'expose',
      args: {
        component: 'band',
        controls: [
          {
            node: row.node,
            control: row.control,
            property: 'behind',
            label: 'Picture behind',
            key: 'behind',
            order: 'a0',
            group: null,
          },
        ],
      },
    });
    expect(groundOf(style(exposed)['background-image'])).toEqual({
      source: { is: 'property', property: 'behind' },
      veil: VEIL,
    });
    const set = after(exposed, {
      name: 'setControl',
      args: {
        doc: 'home',
        node: 'one',
        control: { of: 'value', property: 'behind' },
        source: picture('yard'),
      },
    });
    const html = (documents: Documents) =>
      htmlOf(build(new Linker().link(documents, 'home'), dataOf(documents), undefined).root);
    expect(html(set)).not.toBe(html(exposed));
    expect(html(set)).toMatch(/url\(/);
  });

  test('of a veil that is no CSS is refused', () => {
    expect(
      doEdit(start, laid({ source: picture('hall'), veil: 'url(https://example.com/x)' })),
    ).toMatchObject({ refused: { code: 'no-address' } });
  });
});

describe('a veil over a picture', () => {
  const site = documentsOf(
    asset('hall'),
    page('home', '/', {
      id: 'root',
      tag: 'main',
      children: [
        { id: 'shown', tag: 'img', attributes: { src: picture('hall'), alt: text('The hall') } },
        { id: 'box', tag: 'section' },
      ],
    }),
  );
  const veiled = (node: string, way: VeilWay, documents = site) =>
    after(
      documents,
      ...veilEdits(documents, { doc: 'home', node, width: 'base' }, way, ['made', 'veil']),
    );
  const styleOf = (documents: Documents, id: string) => {
    const node = nodeIn(documents, 'home', id);
    return node?.kind === 'element' ? node.style : {};
  };

  test('that is an element: laid over it in one cell of a box, or its ground', () => {
    expect(veilWays(site, 'home', 'shown')).toEqual(['over', 'ground']);
    const over = veiled('shown', 'over');
    expect(nodeIn(over, 'home', 'shown')!.place.parent).toBe('made');
    expect(styleOf(over, 'made')['display']).toEqual({ css: 'grid' });
    for (const id of ['shown', 'veil'])
      expect(styleOf(over, id)['grid-row-start']).toEqual({ css: '1' });
    const ground = veiled('shown', 'ground');
    expect(nodeIn(ground, 'home', 'shown')).toBeUndefined();
    expect(groundOf(styleOf(ground, 'made')['background-image'])).toEqual({
      source: picture('hall'),
      veil: VEIL_LAID,
    });
  });

  test('that lies behind something: it stays, under the veil', () => {
    expect(veilWays(site, 'home', 'box')).toEqual(['below']);
    const behind = after(site, {
      name: 'setGround',
      args: {
        doc: 'home',
        nodes: ['box'],
        width: 'base',
        ground: { source: picture('hall'), veil: null },
      },
    });
    expect(groundOf(styleOf(veiled('box', 'below', behind), 'box')['background-image'])).toEqual({
      source: picture('hall'),
      veil: VEIL_LAID,
    });
    expect(styleOf(veiled('box', 'below'), 'box')['background-image']).toEqual({ css: VEIL_LAID });
  });
});
