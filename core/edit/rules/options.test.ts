import fc from 'fast-check';
import { allOf, docOf, literal, type ComponentDoc, type Documents, type Rule } from '../../model';
import { build, Linker, rulesOf, type Resolved } from '../../resolve';
import { blockOf, cascade } from '../../style';
import { component, documentsOf, page, TONE } from '../../test';
import { after } from '../../test/after';
import { demo } from '../../test/law-site';
import { runEdits } from '../../test/random-edits';
import { dataOf } from '../../value';
import {
  differencesOf,
  doEdit,
  isRefusal,
  saysTheSame,
  sayingOf,
  type Difference,
  type NamedEdit,
} from '..';

const card = (): ComponentDoc => {
  const doc = component(
    'card',
    {
      id: 'root',
      tag: 'article',
      style: blockOf({ color: 'navy', 'padding-top': '4px' }, { w500: { 'padding-top': '2px' } }),
      children: [{ id: 'words', tag: 'p', text: 'Words' }],
    },
    { tone: literal({ type: 'choice', value: 'calm' }) },
  );
  doc.properties['tone'] = { ...doc.properties['tone']!, type: TONE, axis: true };
  return doc;
};
const rule = (patch: Rule['patch'], axes: Record<string, string> = { tone: 'loud' }): Rule => ({
  order: 'a0',
  when: { axes },
  patch,
});
const placed = page('p', '/', {
  id: 'it',
  component: 'card',
  values: { tone: literal({ type: 'choice', value: 'loud' }) },
});
const site = (rules: Record<string, Rule>) => documentsOf({ ...card(), rules }, placed);
const cardIn = (documents: Documents) => docOf(documents, 'component', 'card')!;
const refusedBy = (documents: Documents, edit: NamedEdit) => {
  const made = doEdit(documents, edit);
  return isRefusal(made) ? made.refused.code : undefined;
};
const OF = { component: 'card', property: 'tone' };

describe('an option', () => {
  const start = site({ r: rule({ root: { style: blockOf({ color: 'red' }) } }) });

  test('is duplicated with all that rules say of it, under new ids', () => {
    const edit = (rules: Record<string, string>): NamedEdit => ({
      name: 'duplicateOption',
      args: { ...OF, option: 'loud', made: 'louder', label: 'louder', order: 'a9', rules },
    });
    const made = cardIn(after(start, edit({ r: 'r2' })));
    expect(made.rules['r2']).toEqual({ ...made.rules['r'], when: { axes: { tone: 'louder' } } });
    expect(refusedBy(start, edit({}))).toBe('rules-came-meanwhile');
    expect(refusedBy(start, edit({ r: 'r' }))).toBe('ids-taken');
  });

  test('that is removed counts as the one that is named instead, and its rules go', () => {
    const gone = after(start, {
      name: 'removeOption',
      args: { ...OF, option: 'loud', instead: 'calm' },
    });
    const { properties, rules } = cardIn(gone);
    expect(properties['tone']!.type).toMatchObject({ options: { loud: { gone: 'calm' } } });
    expect(rules).toEqual({});
    // What an instance says stays stored: with the option its value would come back.
    expect(docOf(gone, 'page', 'p')!.nodes['it']).toEqual(docOf(start, 'page', 'p')!.nodes['it']);
  });

  test('of the base goes only when another takes its place, which is the base then', () => {
    const remove = (instead: string | null): NamedEdit => ({
      name: 'removeOption',
      args: { ...OF, option: 'calm', instead },
    });
    expect(refusedBy(start, remove(null))).toBe('base-needs-another');
    expect(cardIn(after(start, remove('loud'))).properties['tone']!.default).toMatchObject({
      value: 'loud',
    });
  });

  test('that counted as one which goes too counts as what that does: only one step is followed', () => {
    const three = after(
      start,
      { name: 'addOption', args: { ...OF, option: 'third', label: 'third', order: 'a8' } },
      { name: 'removeOption', args: { ...OF, option: 'third', instead: 'loud' } },
      { name: 'removeOption', args: { ...OF, option: 'loud', instead: 'calm' } },
    );
    expect(cardIn(three).properties['tone']!.type).toMatchObject({
      options: { third: { gone: 'calm' }, loud: { gone: 'calm' } },
    });
    expect(
      refusedBy(three, {
        name: 'removeOption',
        args: { ...OF, option: 'calm', instead: null },
      }),
    ).toBe('last-option');
  });
});

describe('a difference', () => {
  const two = site({
    r: rule({ root: { style: blockOf({ color: 'red', opacity: '0.5' }) } }),
    other: rule({}, { tone: 'calm' }),
  });
  const hand = (
    to: Extract<NamedEdit, { name: 'handDifferences' }>['args']['to'],
    key: string,
  ): NamedEdit => ({
    name: 'handDifferences',
    args: { component: 'card', rule: 'r', node: 'root', sayings: [{ of: 'style', key }], to },
  });

  test('is handed to the base, which everything follows then that says nothing of it', () => {
    const { nodes, rules } = cardIn(after(two, hand('base', 'color')));
    expect(nodes['root']).toMatchObject({ style: { color: { css: 'red' } } });
    expect(rules['r']!.patch['root']!.style).toEqual(blockOf({ opacity: '0.5' }));
  });

  test('is handed to another option, which says it then', () => {
    const { rules } = cardIn(after(two, hand({ rule: 'other' }, 'color')));
    expect(rules['other']!.patch['root']).toEqual({ style: blockOf({ color: 'red' }) });
    expect(rules['r']!.patch['root']!.style).toEqual(blockOf({ opacity: '0.5' }));
  });

  test('is told where it says no more than what it stands on, at every width', () => {
    const of = (patch: Rule['patch']) => {
      const documents = site({ r: rule(patch) });
      return saysTheSame(documents, cardIn(documents), 'r').length;
    };
    expect(of({ root: { style: blockOf({ color: 'navy' }) } })).toBe(1);
    // The base is narrower below 500 px: saying its value of wide screens changes that.
    expect(of({ root: { style: blockOf({ 'padding-top': '4px' }) } })).toBe(0);
    expect(
      of({
        root: { style: blockOf({ 'padding-top': '4px' }, { w500: { 'padding-top': '2px' } }) },
      }),
    ).toBe(2);
    expect(of({ root: { tag: 'article', theme: null, shared: { none: false } } })).toBe(3);
  });
});

/** What every element of a definition looks like in a variant: by node, width and property what wins. */
function looks(documents: Documents, doc: ComponentDoc, picks: Record<string, string>): unknown {
  const linked = new Linker().link(documents, doc.id);
  const built = build(linked, dataOf(documents), undefined, undefined, undefined, picks);
  const found: unknown[] = [];
  const widths = ['base', ...Object.keys(documents.site.widths)];
  const visit = (node: Resolved): void => {
    if (node.kind === 'text') return void found.push(node.content);
    if (node.kind === 'element') {
      const { class: _, style: __, ...attributes } = node.attributes;
      const rules = rulesOf(node, documents, documents.tags);
      const properties = new Set(
        rules.flatMap(({ block }) => Object.keys(block).map((key) => key.split(/[@:]/)[0]!)),
      );
      const won = [...properties].sort().map((property) => [
        property,
        widths.map((width) => {
          const { css, refs } = cascade(rules, property, width, documents.site)[0]?.declared ?? {};
          return [css, refs];
        }),
      ]);
      found.push([node.tag, attributes, won]);
    }
    node.children.forEach(visit);
  };
  if (built.root) visit(built.root);
  return found;
}

test('what says no more than what it stands on is dropped without any difference to see', () => {
  let dropped = 0;
  const runs = fc.array(fc.array(fc.nat(10_000), { minLength: 8, maxLength: 8 }), {
    minLength: 1,
    maxLength: 10,
  });
  fc.assert(
    fc.property(runs, (steps) => {
      let last: Documents = demo;
      for (const { after: now } of runEdits(demo, steps)) last = now;
      for (const doc of allOf(last, 'component'))
        for (const id of Object.keys(doc.rules)) {
          // Of a rule that says what its nodes say, everything is the same.
          const patch = Object.fromEntries(
            Object.keys(doc.nodes).flatMap((node) => {
              const stored = doc.nodes[node]!;
              return stored.kind === 'element' || stored.kind === 'instance'
                ? [[node, { ...doc.rules[id]!.patch[node], style: { ...stored.style } }]]
                : [];
            }),
          );
          if (doc.rules[id]!.when.pseudo) continue;
          const there = { ...doc, rules: { ...doc.rules, [id]: { ...doc.rules[id]!, patch } } };
          const documents = last.with(there);
          const same = saysTheSame(documents, there, id);
          const by = new Map<string, Difference[]>();
          for (const each of same) by.set(each.node, [...(by.get(each.node) ?? []), each]);
          const without = after(
            documents,
            ...[...by].map(([node, all]): NamedEdit => ({
              name: 'handDifferences',
              args: {
                component: doc.id,
                rule: id,
                node,
                sayings: all.map(sayingOf),
                to: 'nobody',
              },
            })),
          );
          dropped += same.length;
          const picks = there.rules[id]!.when.axes;
          expect(looks(without, docOf(without, 'component', doc.id)!, picks)).toEqual(
            looks(documents, there, picks),
          );
          expect(differencesOf(docOf(without, 'component', doc.id)!, id).length).toBe(
            differencesOf(there, id).length - same.length,
          );
        }
    }),
    { numRuns: 20, seed: 20261130 },
  );
  expect(dropped).toBeGreaterThan(100);
});
