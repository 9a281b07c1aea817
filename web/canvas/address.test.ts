import { saidText } from '@sormet/core/said';
import { brackenfold } from '@sormet/demo';
import { applyChanges, isRefusal, runEdit, type NamedEdit } from '@sormet/core/edit';
import { docOf, text, type Documents, type PageDoc } from '@sormet/core/model';
import {
  build,
  Linker,
  type Built,
  type Resolved,
  type ResolvedElement,
} from '@sormet/core/resolve';
import { dataOf } from '@sormet/core/value';
import { nodesOf } from '@sormet/core/test';
import { nextPlace } from '../bench/go-line/places';
import { CanvasCss } from './canvas-css';
import {
  describe as nameOf,
  elementOf,
  isOwn,
  ownerIn,
  resolvedOf,
  slotsOf,
  textTarget,
} from './address';
import { onlyText } from './only-text';

const { documents } = brackenfold();

function builtOf(docs: Documents, page: string, entry?: string): Built {
  const linked = new Linker().link(docs, page);
  return build(linked, dataOf(docs), entry === undefined ? undefined : docOf(docs, 'entry', entry));
}

/** The first element with this tag that holds this text. */
function elementWith(built: Built, tag: string, words: string): ResolvedElement {
  const found = nodesOf(built.root).find(
    (node): node is ResolvedElement =>
      node.kind === 'element' && node.tag === tag && (onlyText(node) ?? '').includes(words),
  );
  if (!found) throw new Error(`There is no ${tag} with ${words}.`);
  return found;
}

const nodeNamed = (page: string, name: string) => {
  const { nodes } = documents.get(page) as PageDoc;
  return Object.keys(nodes).find((id) => nodes[id]!.name === name)!;
};

describe('what something shown belongs to', () => {
  const about = builtOf(documents, 'page-about');

  test('is the node itself where the page wrote it', () => {
    const heading = elementWith(about, 'h2', 'How it works');
    expect(isOwn(heading, 'page-about')).toBe(true);
    expect(ownerIn(heading, 'page-about')).toBe(heading.from.id);
  });

  test('is the instance it is in, however deep', () => {
    expect(ownerIn(elementWith(about, 'h1', 'Nobody here'), 'page-about')).toBe(
      nodeNamed('page-about', 'top'),
    );
    expect(ownerIn(elementWith(about, 'a', 'See the sessions'), 'page-about')).toBe(
      nodeNamed('page-about', 'top'),
    );
    expect(ownerIn(elementWith(about, 'a', 'Guides'), 'page-about')).toBe('page-about-body');
  });

  test('is found again from the node, once for each round of a repeat', () => {
    const home = builtOf(documents, 'page-home');
    const { nodes } = documents.get('page-home') as PageDoc;
    const card = Object.keys(nodes).find(
      (id) =>
        nodes[id]!.kind === 'instance' &&
        (nodes[id] as { component: string }).component === 'shed-card',
    )!;
    const shown = resolvedOf(home, card);
    expect(shown).toHaveLength(3);
    expect(shown.map((node: Resolved) => elementOf(node)?.tag)).toEqual([
      'article',
      'article',
      'article',
    ]);
  });

  test('is named with its own name', () => {
    expect(nameOf(documents, 'page-about', nodeNamed('page-about', 'top'))).toBe('Opening “top”');
    expect(nameOf(documents, 'page-about', 'gone')).toBe('');
  });

  test('the slots of a page are found with the element around each', () => {
    expect(slotsOf(about).map(({ around }) => around.tag)).toEqual(['main']);
  });
});

describe('where typing goes', () => {
  const about = builtOf(documents, 'page-about');

  test('a text of the page is typed into where it is', () => {
    const target = textTarget(documents, about, elementWith(about, 'h2', 'How it works'));
    expect(target).toMatchObject({ ok: true, doc: 'page-about', control: { of: 'text' } });
  });

  test('a text of an instance sets its own value, set already or not', () => {
    const top = nodeNamed('page-about', 'top');
    expect(textTarget(documents, about, elementWith(about, 'h1', 'Nobody here'))).toEqual({
      ok: true,
      doc: 'page-about',
      node: top,
      control: { of: 'value', property: 'opening-heading' },
    });
    const home = builtOf(documents, 'page-home');
    expect(
      textTarget(documents, home, elementWith(home, 'blockquote p'.split(' ')[1]!, 'I came with')),
    ).toMatchObject({
      ok: true,
      control: { of: 'value', property: 'quote-words' },
    });
  });

  test('a text handed down through two definitions sets the value of the outer instance', () => {
    expect(textTarget(documents, about, elementWith(about, 'a', 'See the sessions'))).toMatchObject(
      {
        ok: true,
        node: nodeNamed('page-about', 'top'),
        control: { of: 'value', property: 'opening-button' },
      },
    );
  });

  test('a text that is bound is edited in the entry', () => {
    const home = builtOf(documents, 'page-home');
    const target = textTarget(documents, home, elementWith(home, 'p', 'A boathouse'));
    expect(target).toMatchObject({
      ok: false,
      why: expect.stringContaining('bound to content') as string,
      offer: { is: 'entry', entry: expect.stringContaining('shed-') as string },
    });
  });

  test('a text that is not exposed says whose it is', () => {
    const target = textTarget(documents, about, elementWith(about, 'a', 'Guides'));
    expect(target).toMatchObject({
      ok: false,
      offer: { is: 'expose', definition: 'menu' },
      why: expect.stringContaining('not exposed') as string,
    });
  });

  test('in a definition, an exposed text is its own', () => {
    const definition = builtOf(documents, 'opening');
    expect(
      textTarget(documents, definition, elementWith(definition, 'h1', 'Mend it')),
    ).toMatchObject({ ok: true, doc: 'opening', control: { of: 'text' } });
  });
});

describe('the CSS of the canvas', () => {
  const after = (edit: NamedEdit) => {
    const changes = runEdit(documents, edit);
    if (isRefusal(changes)) throw new Error(saidText(changes.refused));
    return applyChanges(documents, changes);
  };

  test('is the same object while only words change, and follows a declaration', () => {
    const linker = new Linker();
    const css = new CanvasCss();
    const of = (docs: Documents) => css.of(docs, linker.link(docs, 'page-about'));
    const first = of(documents);
    const top = nodeNamed('page-about', 'top');
    const typed = after({
      name: 'setControl',
      args: {
        doc: 'page-about',
        node: top,
        control: { of: 'value', property: 'opening-heading' },
        source: text('Other'),
      },
    });
    expect(of(typed)).toBe(first);
    const styled = after({
      name: 'declare',
      args: { doc: 'page-about', nodes: [top], property: 'color', width: 'base', css: 'tomato' },
    });
    expect(of(styled)).toContain(`.${top}_page-about{color:tomato}`);
  });
});

describe('placing without pointing', () => {
  test('goes after what is selected, else last in the main content', () => {
    const { nodes } = documents.get('page-about') as PageDoc;
    const top = nodeNamed('page-about', 'top');
    const after = nextPlace(documents, 'page-about', { doc: 'page-about', nodes: [top] })!;
    expect(after).toMatchObject({ parent: 'page-about-body', slot: 'main' });
    expect(after.order > nodes[top]!.place.order).toBe(true);
    const last = nextPlace(documents, 'page-about', null)!;
    for (const node of Object.values(nodes))
      if (node.place.slot === 'main') expect(last.order > node.place.order).toBe(true);
    expect(nextPlace(documents, 'opening', null)).toMatchObject({ parent: 'opening-n1' });
    expect(nextPlace(documents, 'gone', null)).toBeUndefined();
  });
});
