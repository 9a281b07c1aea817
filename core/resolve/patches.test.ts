import {
  invariantFindings,
  literal,
  rootOf,
  text,
  yesNo,
  type ComponentDoc,
  type Rule,
  type Source,
} from '../model';
import { doEdit, isRefusal, danglingIn, type NamedEdit } from '../edit';
import { saidText } from '../said';
import {
  component,
  contentType,
  documentsOf,
  entry,
  htmlOf,
  nodesOf,
  page,
  TONE,
  words,
} from '../test';
import { dataOf } from '../value';
import { build, Linker, prepare, trace, write } from '.';

const badge = component(
  'badge',
  { tag: 'b', id: 'b', children: [{ id: 'b-words', text: { is: 'property', property: 'word' } }] },
  { word: text('Plain') },
);

/** A sign with two axes; its rules are given. */
function signWith(rules: Record<string, Rule>): ComponentDoc {
  const doc = component(
    'sign',
    {
      tag: 'div',
      id: 'root',
      attributes: { title: text('Own title') },
      children: [
        { id: 'badge', component: 'badge' },
        { id: 'line', tag: 'hr' },
      ],
    },
    {
      tone: literal({ type: 'choice', value: 'calm' }),
      size: literal({ type: 'choice', value: 'calm' }),
      said: text('Handed in'),
    },
  );
  for (const axis of ['tone', 'size'])
    doc.properties[axis] = { ...doc.properties[axis]!, type: TONE, axis: true };
  return { ...doc, rules };
}

const rule = (axes: Record<string, string>, patch: Rule['patch'], order = 'a0'): Rule => ({
  order,
  when: { axes },
  patch,
});

const handedIn: Source = { is: 'property', property: 'said' };
const loudTitle = { root: { attributes: { title: text('Loud') } } };
const loud = literal({ type: 'choice', value: 'loud' });

/** What a page with a sign shows; both writers must agree on it. */
function shown(sign: ComponentDoc, values: Record<string, Source>): string {
  const documents = documentsOf(badge, sign, page('p', '/', { component: 'sign', values }));
  const linked = new Linker().link(documents, 'p');
  const html = htmlOf(build(linked, dataOf(documents), undefined).root);
  expect(write(prepare(linked, dataOf(documents)))).toBe(html);
  return html;
}

describe('a rule', () => {
  test('puts attributes, values and what is shown in place of those of a node while its axes have its options', () => {
    const sign = signWith({
      one: rule(
        { tone: 'loud' },
        {
          root: { attributes: { title: text('Loud'), lang: text('en') } },
          badge: { values: { word: handedIn } },
          line: { shown: yesNo(false) },
        },
      ),
    });
    expect(shown(sign, {})).toBe('<div title="Own title"><b>Plain</b><hr></div>');
    expect(shown(sign, { tone: loud })).toBe('<div lang="en" title="Loud"><b>Handed in</b></div>');
  });

  test('that names more axes wins over one that names fewer', () => {
    const sign = signWith({
      both: rule(
        { tone: 'loud', size: 'loud' },
        { root: { attributes: { title: text('Both') } } },
        'a0',
      ),
      one: rule({ tone: 'loud' }, loudTitle, 'a9'),
    });
    expect(shown(sign, { tone: loud })).toContain('title="Loud"');
    expect(shown(sign, { tone: loud, size: loud })).toContain('title="Both"');
  });

  test('that asks for an option of a field is decided for each page', () => {
    const sign = signWith({
      one: rule(
        { tone: 'loud' },
        {
          ...loudTitle,
          badge: { values: { word: { is: 'property', property: 'said' } } },
          line: { shown: yesNo(false) },
        },
      ),
    });
    const type = contentType('shed', { name: 'text' });
    type.fields['tone'] = { label: 'Tone', key: 'tone', order: 'z0', type: TONE };
    const [calm, noisy] = ['calm', 'loud'].map((value) =>
      entry('shed', value, { name: words(`It is ${value}`), tone: { type: 'choice', value } }),
    );
    const each = page(
      'each',
      '/<slug>',
      {
        component: 'sign',
        values: {
          tone: { is: 'field', from: 'page', path: ['tone'] },
          said: { is: 'field', from: 'page', path: ['name'] },
        },
      },
      'shed',
    );
    const documents = documentsOf(badge, sign, type, calm!, noisy!, each);
    const linked = new Linker().link(documents, 'each');
    const template = prepare(linked, dataOf(documents));
    for (const one of [calm!, noisy!])
      expect(write(template, one)).toBe(htmlOf(build(linked, dataOf(documents), one).root));
    expect(write(template, calm)).toBe('<div title="Own title"><b>Plain</b><hr></div>');
    expect(write(template, noisy)).toBe('<div title="Loud"><b>It is loud</b></div>');
  });

  test('is a step of the trace where it holds, and none where it does not', () => {
    const sign = signWith({
      one: rule({ tone: 'loud' }, { badge: { values: { word: handedIn } } }),
    });
    const stepsWith = (values: Record<string, Source>) => {
      const documents = documentsOf(badge, sign, page('p', '/', { component: 'sign', values }));
      const built = build(new Linker().link(documents, 'p'), dataOf(documents), undefined);
      const [words] = nodesOf(built.root).filter(({ from }) => from.id === 'b-words');
      return trace(built, words!.scope.within, 'b-words', { of: 'text' }).map(
        ({ by, doc, rule: of }) => [by, doc, of],
      );
    };
    expect(stepsWith({ tone: loud })).toEqual([
      ['control', 'badge', undefined],
      ['set', 'sign', 'one'],
      ['default', 'sign', undefined],
    ]);
    expect(stepsWith({})).toEqual([
      ['control', 'badge', undefined],
      ['default', 'badge', undefined],
    ]);
  });

  test('for a state of whoever visits changes declarations only, and no rule gives a node what it does not take', () => {
    const pointed: Rule = {
      ...rule({}, loudTitle),
      when: { axes: {}, pseudo: { of: 'self', is: ':hover' } },
    };
    const reasons = (each: Rule) =>
      invariantFindings(signWith({ each })).map(({ path, reason }) => [path, reason.code]);
    expect(reasons(pointed)).toEqual([
      ['/rules/each/patch/root/attributes', 'state-rule-declares'],
    ]);
    const wrong = rule(
      {},
      {
        root: { attributes: { href: text('x') }, values: { word: text('x') } },
        badge: { attributes: { title: text('x') } },
      },
    );
    expect(reasons(wrong).map(([, reason]) => reason)).toEqual([
      'takes-no',
      'only-instance-values',
      'only-element-attributes',
    ]);
  });
});

describe('a property that a rule reads', () => {
  const sign = signWith({
    one: rule(
      { tone: 'loud' },
      {
        badge: { values: { word: handedIn } },
        root: {
          style: {
            opacity: {
              css: 'var(--share)',
              refs: { share: { source: handedIn, type: 'number' } },
            },
          },
        },
      },
    ),
  });
  const documents = documentsOf(badge, sign);
  const taken: NamedEdit = { name: 'unexpose', args: { component: 'sign', properties: ['said'] } };

  test('is taken back from there too', () => {
    const done = doEdit(documents, taken);
    if (isRefusal(done)) throw new Error(saidText(done.refused));
    const { patch } = done.documents.ofKind('component', 'sign')!.rules['one']!;
    expect(patch['badge']!.values!['word']).toEqual(text('Handed in'));
    expect(danglingIn(done.documents)).toEqual([]);
  });

  test('and is gone is said and mended', () => {
    const without = { ...sign, properties: { ...sign.properties } };
    delete without.properties['said'];
    let broken = documentsOf(badge, without);
    const found = danglingIn(broken);
    expect(found.map(({ path }) => path)).toEqual([
      '/rules/one/patch/badge/values/word',
      '/rules/one/patch/root/style/opacity/refs/share/source',
    ]);
    for (const { doc, path } of found) {
      const done = doEdit(broken, { name: 'mend', args: { doc, path } });
      if (isRefusal(done)) throw new Error(saidText(done.refused));
      broken = done.documents;
    }
    expect(danglingIn(broken)).toEqual([]);
  });
});

describe('setting something by a rule', () => {
  const sign = signWith({ one: rule({ tone: 'loud' }, {}) });
  const documents = documentsOf(
    badge,
    sign,
    page('p', '/', { component: 'sign', values: { tone: loud } }),
  );
  const set = (node: string, control: object, source: Source | null): NamedEdit =>
    ({
      name: 'setByRule',
      args: { component: 'sign', rule: 'one', node, control, source },
    }) as NamedEdit;

  test('makes what must hold it, and shows where the rule holds', () => {
    let at = documents;
    for (const edit of [
      set('root', { of: 'attribute', name: 'title' }, text('Made loud')),
      set('badge', { of: 'value', property: 'word' }, text('Set')),
      set('line', { of: 'shown' }, yesNo(false)),
    ]) {
      const done = doEdit(at, edit);
      if (isRefusal(done)) throw new Error(saidText(done.refused));
      at = done.documents;
    }
    const linked = new Linker().link(at, 'p');
    expect(write(prepare(linked, dataOf(at)))).toBe('<div title="Made loud"><b>Set</b></div>');
    const back = doEdit(at, set('line', { of: 'shown' }, null));
    if (isRefusal(back)) throw new Error(saidText(back.refused));
    expect(
      write(prepare(new Linker().link(back.documents, 'p'), dataOf(back.documents))),
    ).toContain('<hr>');
  });

  test('is refused for a text, and for what is not there', () => {
    for (const edit of [
      set(rootOf(sign.nodes), { of: 'text' }, text('x')),
      set('nobody', { of: 'shown' }, yesNo(true)),
      set('badge', { of: 'value', property: 'nothing' }, text('x')),
    ])
      expect(isRefusal(doEdit(documents, edit))).toBe(true);
  });
});
