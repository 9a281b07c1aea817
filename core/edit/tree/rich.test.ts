import { brackenfold } from '@sormet/demo';
import { compileSite } from '../../compile';
import {
  allOf,
  literal,
  text,
  type ComponentDoc,
  type Documents,
  type TreeNode,
} from '../../model';
import { component, documentsOf, means, page } from '../../test';
import { applyChanges, inverse, isRefusal } from '../changes';
import { runEdit, type NamedEdit } from '../edits';

const card = component(
  'card',
  { tag: 'div', children: [{ id: 'words', tag: 'p', text: { is: 'property', property: 'say' } }] },
  { say: text('from the definition') },
);
const start = documentsOf(
  card,
  page('home', '/', {
    tag: 'main',
    children: [
      { id: 'plain', tag: 'p', text: 'Bread & <salt>' },
      { component: 'card', values: { say: text('set here') } },
      { component: 'card' },
    ],
  }),
);

/** The text node in an element. */
function textIn(documents: Documents, doc: string, element: string): [string, TreeNode] {
  const { nodes } = documents.get(doc) as ComponentDoc;
  return Object.entries(nodes).find(
    ([, { kind, place }]) => kind === 'text' && place.parent === element,
  )!;
}

const pageOf = (documents: Documents) => {
  const { manifest, texts } = compileSite(documents, means());
  return texts.get(manifest['/index.html']!.sha256)!;
};

function does(documents: Documents, edit: NamedEdit) {
  const changes = runEdit(documents, edit);
  if (isRefusal(changes)) throw new Error(changes.refused.code);
  return { changes, documents: applyChanges(documents, changes) };
}

const makeRich = (doc: string, node: string): NamedEdit => ({
  name: 'makeRich',
  args: { doc, node },
});

describe('a plain text that becomes rich', () => {
  test('says the same, and may hold emphasis from then on', () => {
    const [id] = textIn(start, 'home', 'plain');
    const { documents, changes } = does(start, makeRich('home', id));
    expect(pageOf(documents)).toBe(pageOf(start));
    expect(textIn(documents, 'home', 'plain')[1]).toMatchObject({
      rich: 'line',
      text: literal({ type: 'rich', value: ['Bread & <salt>'] }),
    });
    const told = does(documents, {
      name: 'setControl',
      args: {
        doc: 'home',
        node: id,
        control: { of: 'text' },
        source: literal({
          type: 'rich',
          value: [{ tag: 'strong', children: ['Bread'] }, ' & <salt>'],
        }),
      },
    });
    expect(pageOf(told.documents)).toContain('<strong>Bread</strong> &amp; &lt;salt&gt;');
    expect(applyChanges(documents, inverse(changes)).toJSON()).toEqual(start.toJSON());
  });

  test('takes its property along: what instances have set, and the default, show the same', () => {
    const [id] = textIn(start, 'card', 'words');
    const { documents, changes } = does(start, makeRich('card', id));
    expect((documents.get('card') as ComponentDoc).properties['say']!.type).toEqual({
      kind: 'rich',
    });
    expect(pageOf(documents)).toBe(pageOf(start));
    expect(pageOf(documents)).toContain('set here');
    expect(applyChanges(documents, inverse(changes)).toJSON()).toEqual(start.toJSON());
  });

  test('stays as it is where it is rich already', () => {
    const [id] = textIn(start, 'home', 'plain');
    const { documents } = does(start, makeRich('home', id));
    expect(does(documents, makeRich('home', id)).changes).toEqual([]);
  });

  test('is refused where a limit could not be kept, or where it would stand in a link', () => {
    const limited: ComponentDoc = {
      ...card,
      properties: {
        say: { ...card.properties['say']!, type: { kind: 'text', longest: 40 } },
      },
    };
    const [id] = textIn(start, 'card', 'words');
    const code = (documents: Documents, doc: string, node: string) => {
      const changes = runEdit(documents, makeRich(doc, node));
      return isRefusal(changes) ? changes.refused.code : 'done';
    };
    expect(code(start.with(limited), 'card', id)).toBe('limited-stays-plain');
    expect(code(start, 'home', 'plain')).toBe('gone');
    const linked = documentsOf(
      page('home', '/', {
        tag: 'main',
        children: [{ id: 'link', tag: 'a', text: 'Read on' }],
      }),
    );
    const [inLink] = textIn(linked, 'home', 'link');
    expect(code(linked, 'home', inLink)).not.toBe('done');
  });

  test('shows the same for every plain text of the demo that may become so', () => {
    const demo = brackenfold().documents;
    /** Each page without its sheet: what styles words is in it once there are rich ones. */
    const pagesOf = (documents: Documents) => {
      const { manifest, texts } = compileSite(documents, means());
      return Object.entries(manifest)
        .filter(([path]) => path.endsWith('.html'))
        .map(([path, { sha256 }]) => [path, texts.get(sha256)?.replace(/\/files\/\w+\.css/, '')]);
    };
    const before = pagesOf(demo);
    let made = 0;
    for (const doc of allOf(demo, 'page'))
      for (const [id, node] of Object.entries(doc.nodes)) {
        if (node.kind !== 'text' || node.rich) continue;
        const changes = runEdit(demo, makeRich(doc.id, id));
        if (isRefusal(changes)) continue;
        made += 1;
        expect(pagesOf(applyChanges(demo, changes))).toEqual(before);
      }
    expect(made).toBeGreaterThan(5);
  });
});
