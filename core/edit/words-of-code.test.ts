import { compileSite } from '../compile';
import {
  text,
  type Documents,
  type EntryDoc,
  type TagsDoc,
  type ComponentDoc,
  type TypeDoc,
} from '../model';
import { Reach } from '../reach';
import { build, Linker, prepare, rulesOf, write } from '../resolve';
import { isSaid } from '../said';
import { component, contentType, documentsOf, entry, htmlOf, means, nodesOf, page } from '../test';
import { dataOf } from '../value';
import { applyChanges, controlsOf, danglingIn, doEdit, isRefusal, type NamedEdit } from '.';

/** Words that every object of JavaScript knows, as far as they can be ids or keys here. */
const NAMES = ['constructor', 'valueof', 'hasownproperty'];

/** A small site in which everything that somebody names has such a name. */
function siteNamed(name: string): Documents {
  const definition = component(
    name,
    {
      id: name,
      tag: 'section',
      children: [
        { id: `${name}-h`, tag: 'h2', text: { is: 'property', property: name } },
        { id: `${name}-s`, slot: name },
      ],
    },
    { [name]: text('') },
    [name],
  );
  const content = contentType(`${name}-t`, { [name]: 'text' });
  const one = entry(`${name}-t`, name, { [name]: { type: 'text', value: 'Named' } });
  return documentsOf(
    definition,
    content,
    one,
    page(
      `${name}-p`,
      `/x/<slug>`,
      {
        id: 'root',
        component: name,
        values: { [name]: { is: 'field', from: 'page', path: [name] } },
        slots: {
          [name]: [
            {
              id: `${name}-r`,
              repeat: {
                from: { type: `${name}-t` },
                where: { [name]: { path: [name], is: 'equals', source: text('Named') } },
                order: { [name]: { path: [name], descending: true, order: 'a0' } },
              },
              children: [
                { tag: 'p', text: { is: 'field', from: { repeat: `${name}-r` }, path: [name] } },
              ],
            },
          ],
        },
      },
      `${name}-t`,
    ),
  );
}

describe.each(NAMES)('everything that is named “%s”', (name) => {
  const documents = siteNamed(name);
  const one = [...documents].find((doc): doc is EntryDoc => doc.kind === 'entry')!;

  test('is shown, written, published and counted like anything else', () => {
    const linked = new Linker().link(documents, `${name}-p`);
    const data = dataOf(documents);
    const built = build(linked, data, one);
    expect(htmlOf(built.root)).toContain('<h2>Named</h2><p>Named</p>');
    expect(write(prepare(linked, data), one)).toBe(htmlOf(built.root));
    for (const node of nodesOf(built.root))
      if (node.kind === 'element') rulesOf(node, documents, documents.get('tags') as TagsDoc);
    const { manifest } = compileSite(documents, means());
    expect(Object.keys(manifest)).toContain(`/x/${one.slug}/index.html`);
    expect(new Reach(documents).answer(name).instances).toHaveLength(1);
    expect(danglingIn(documents)).toEqual([]);
  });

  test('and what is not there under that name is not there', () => {
    const bare = documents.without(name);
    const definition = documents.get(name) as ComponentDoc;
    const without = { ...definition, properties: {}, slots: {} };
    const emptied = documents.with(without, { ...one, values: {} });
    const typed = documents.get(`${name}-t`) as TypeDoc;
    const fieldless = documents.with({ ...typed, fields: {} });
    for (const state of [bare, emptied, fieldless]) {
      const linked = new Linker().link(state, `${name}-p`);
      const html = htmlOf(build(linked, dataOf(state), one).root);
      expect(html).not.toContain('Named');
      expect(write(prepare(linked, dataOf(state)), one)).toBe(html);
      controlsOf(state, state.get(`${name}-p`) as never);
    }
  });

  test('is refused or done by edits, and never breaks them', () => {
    const edits: NamedEdit[] = [
      { name: 'remove', args: { doc: `${name}-p`, nodes: [name] } },
      { name: 'nameNode', args: { doc: name, node: name, name: 'New' } },
      { name: 'unexpose', args: { component: name, properties: [name] } },
      { name: 'unexpose', args: { component: name, properties: [`${name}x`] } },
      { name: 'setField', args: { entry: one.id, field: name, value: null } },
      {
        name: 'setDefault',
        args: { component: name, property: name, value: { is: 'value', type: 'text', value: 'x' } },
      },
      { name: 'makeDefault', args: { doc: `${name}-p`, node: 'root', property: name } },
      { name: 'removeComponent', args: { component: name } },
      { name: 'declareTag', args: { tag: name, property: 'color', width: 'base', css: 'red' } },
      {
        name: 'declare',
        args: { doc: name, nodes: [name], property: name, width: 'base', css: 'red' },
      },
      {
        name: 'setControl',
        args: {
          doc: name,
          node: name,
          control: { of: 'attribute', name },
          source: { is: 'value', type: 'text', value: 'x' },
        },
      },
    ];
    for (const edit of edits) {
      const done = doEdit(documents, edit);
      if (isRefusal(done)) expect(isSaid(done.refused)).toBe(true);
      else new Linker().link(applyChanges(documents, done.changes), `${name}-p`);
    }
  });
});
