import { docOf, literal, text, type ComponentDoc, type Expression, type Source } from '../model';
import { doEdit, isRefusal } from '../edit';
import { component, contentType, documentsOf, entry, htmlOf, page, TONE } from '../test';
import { dataOf } from '../value';
import { build, Linker, prepare, write } from '.';

const of = (
  cel: string,
  names: Record<string, Source>,
  whenEmpty?: Source['whenEmpty'],
): Expression => ({
  is: 'expression',
  cel,
  names,
  ...(whenEmpty ? { whenEmpty } : {}),
});
const property = (id: string): Source => ({ is: 'property', property: id });
const field = (id: string): Source => ({ is: 'field', from: 'page', path: [id] });

/** A notice whose words follow from two choices of two options each. */
function notice(): ComponentDoc {
  const doc = component(
    'notice',
    {
      id: 'root',
      tag: 'p',
      children: [
        {
          id: 'words',
          text: of('n0 == n1 ? (n2 == n1 ? "both" : "first") : n2 == n1 ? "second" : "none"', {
            n0: property('one'),
            n1: literal({ type: 'choice', value: 'loud' }),
            n2: property('two'),
          }),
        },
      ],
    },
    {
      one: literal({ type: 'choice', value: 'calm' }),
      two: literal({ type: 'choice', value: 'calm' }),
    },
  );
  for (const id of ['one', 'two']) doc.properties[id] = { ...doc.properties[id]!, type: TONE };
  return doc;
}

const choice = (value: string): Source => literal({ type: 'choice', value });

/** What a page shows for an entry; both writers must agree on it. */
function shown(docs: Parameters<typeof documentsOf>, of?: string, id = 'p'): string {
  const documents = documentsOf(...docs);
  const data = dataOf(documents);
  const linked = new Linker().link(documents, id);
  const at = of === undefined ? undefined : docOf(documents, 'entry', of);
  const html = htmlOf(build(linked, data, at).root);
  expect(write(prepare(linked, data), at)).toBe(html);
  return html;
}

test('two choices of two options give four wordings, also where one of them is content', () => {
  const wordsOf = (one: Source, two: Source) =>
    shown([notice(), page('p', '/', { component: 'notice', values: { one, two } })]);
  expect(
    ['calm', 'loud'].flatMap((one) =>
      ['calm', 'loud'].map((two) => wordsOf(choice(one), choice(two))),
    ),
  ).toEqual(['<p>none</p>', '<p>second</p>', '<p>first</p>', '<p>both</p>']);
  const bound = {
    ...page('each', '/<slug>', {
      component: 'notice',
      values: { one: field('mood'), two: choice('loud') },
    }),
    entries: 'shed',
  };
  const sheds = [
    contentType('shed', { mood: TONE }),
    entry('shed', 'calm', { mood: { type: 'choice', value: 'calm' } }),
    entry('shed', 'loud', { mood: { type: 'choice', value: 'loud' } }),
    entry('shed', 'none', {}),
  ];
  const site = [notice(), bound, ...sheds] as Parameters<typeof documentsOf>;
  expect(['calm', 'loud', 'none'].map((slug) => shown(site, `shed-${slug}`, 'each'))).toEqual([
    '<p>second</p>',
    '<p>both</p>',
    '<p>second</p>',
  ]);
});

test('what has no name hides its picture; what hides goes on hiding through what is worked out from it', () => {
  const person = component(
    'person',
    {
      id: 'root',
      tag: 'div',
      children: [
        { id: 'mark', tag: 'b', text: 'o', shown: of('!empty(n0)', { n0: property('name') }) },
        { id: 'by', tag: 'i', text: of('"by " + n0', { n0: property('name') }) },
      ],
    },
    { name: text('') },
  );
  const withName = (name: Source) =>
    shown([person, page('p', '/', { component: 'person', values: { name } })]);
  expect(withName(text('Ada'))).toBe('<div><b>o</b><i>by Ada</i></div>');
  expect(withName(text(''))).toBe('<div><i></i></div>');
  expect(withName({ ...text(''), whenEmpty: 'hide' })).toBe('<div></div>');
});

test('a property that is worked out follows others, in whichever order they stand, unless an instance says it', () => {
  const doc = component(
    'span',
    { id: 'root', tag: 'p', text: property('c-both') },
    {
      'b-age': literal({ type: 'number', value: 0 }),
      'd-since': literal({ type: 'number', value: 2014 }),
      'c-both': text(''),
    },
  );
  doc.properties['b-age']!.default = of('2025 - n0', { n0: property('d-since') });
  doc.properties['c-both']!.default = of('"since " + string(n0) + " · " + string(n1) + " years"', {
    n0: property('d-since'),
    n1: property('b-age'),
  });
  const withValues = (values: Record<string, Source>) =>
    shown([doc, page('p', '/', { component: 'span', values })]);
  expect(withValues({})).toBe('<p>since 2014 · 11 years</p>');
  expect(withValues({ 'd-since': literal({ type: 'number', value: 2020 }) })).toBe(
    '<p>since 2020 · 5 years</p>',
  );
  expect(withValues({ 'b-age': literal({ type: 'number', value: 3 }) })).toBe(
    '<p>since 2014 · 3 years</p>',
  );
  const documents = documentsOf(doc);
  const itself = doEdit(documents, {
    name: 'setDefault',
    args: {
      component: 'span',
      property: 'd-since',
      value: of('n0 + 1', { n0: property('b-age') }),
    },
  });
  expect(isRefusal(itself)).toBe(true);
});

test('what is gone, or no longer fits, shows what was decided for empty', () => {
  const doc = component(
    'line',
    {
      id: 'root',
      tag: 'p',
      text: of('n0 > 3 ? "many" : "few"', { n0: property('many') }, { use: text('nobody knows') }),
    },
    { many: literal({ type: 'number', value: 5 }) },
  );
  const site = (of: ComponentDoc) => shown([of, page('p', '/', { component: 'line' })]);
  expect(site(doc)).toBe('<p>many</p>');
  const retyped = {
    ...doc,
    properties: { many: { ...doc.properties['many']!, type: { kind: 'text' as const } } },
  };
  expect(site(retyped)).toBe('<p>nobody knows</p>');
});

test('what a type on the way takes away is not there, also where a field would be read straight', () => {
  const line = component(
    'line',
    { id: 'root', tag: 'p', text: property('said') },
    { said: text('') },
  );
  const each = {
    ...page('each', '/<slug>', {
      component: 'line',
      values: { said: { ...field('name'), whenEmpty: { use: text('none') } } },
    }),
    entries: 'shed',
  };
  const shed = entry('shed', 'one', { name: { type: 'text', value: 'Millgate' } });
  const withType = (type: ComponentDoc['properties'][string]['type']) => {
    const retyped = { ...line, properties: { said: { ...line.properties['said']!, type } } };
    const site = [retyped, each, contentType('shed', { name: { kind: 'text' } }), shed];
    return shown(site as Parameters<typeof documentsOf>, 'shed-one', 'each');
  };
  expect(withType({ kind: 'text' })).toBe('<p>Millgate</p>');
  expect(withType({ kind: 'icon' })).toBe('<p></p>');
  expect(withType({ kind: 'text', longest: 4 })).toBe('<p>none</p>');
});

test('what words hold is never markup', () => {
  const doc = component(
    'said',
    {
      id: 'root',
      tag: 'p',
      attributes: { title: of('n0 + n0', { n0: property('it') }) },
      text: of('"<b>" + n0', { n0: property('it') }),
    },
    { it: text('"><script>') },
  );
  const html = shown([doc, page('p', '/', { component: 'said' })]);
  expect(html).toContain('&lt;b&gt;');
  expect(html).not.toMatch(/<(script|b)>/);
});
