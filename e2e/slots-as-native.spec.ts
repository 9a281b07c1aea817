import { expect } from '@playwright/test';
import fc from 'fast-check';
import { Documents } from '@sormet/core/model';
import { Linker, prepare, write } from '@sormet/core/resolve';
import { component, documentsOf, page as pageOf } from '@sormet/core/test';
import type { Branch } from '@sormet/core/ready';
import { dataOf } from '@sormet/core/value';
import { test } from './test';

/**
 * What is written for slots is what a browser makes of the same as custom elements with shadow roots: the flattened tree
 * (DOM Standard, 4.2.2.4 and HTML Standard, 4.12.4: slots, fallback content, slots that are assigned to slots).
 */

const SLOTS = ['one', 'two'] as const;
const NAMES = ['outer', 'middle', 'inner'] as const;
type Name = (typeof NAMES)[number];

/** A tree of both: elements, instances of components that come later in the list, and, in a definition, slots. */
type Tree =
  | { readonly is: 'element'; readonly mark: string; readonly children: readonly Tree[] }
  | { readonly is: 'slot'; readonly slot: string; readonly fallback: readonly Tree[] }
  | {
      readonly is: 'instance';
      readonly of: Name;
      readonly fills: Readonly<Record<string, readonly Tree[]>>;
    };

const mark = fc.constantFrom('a', 'b', 'c', 'd', 'e');

/** @param from which components may be placed: those from here on, so that none contains itself */
function trees(from: number, inDefinition: boolean, depth: number): fc.Arbitrary<Tree[]> {
  const inner = (): fc.Arbitrary<Tree[]> =>
    depth > 0 ? trees(from, inDefinition, depth - 1) : fc.constant<Tree[]>([]);
  const element = fc
    .tuple(mark, inner())
    .map(([letter, children]): Tree => ({ is: 'element', mark: letter, children }));
  const kinds: fc.Arbitrary<Tree>[] = [element];
  if (inDefinition)
    kinds.push(
      fc
        .tuple(fc.constantFrom(...SLOTS), inner())
        .map(([slot, fallback]): Tree => ({ is: 'slot', slot, fallback })),
    );
  if (from < NAMES.length && depth > 0)
    kinds.push(
      fc
        .tuple(
          fc.constantFrom(...NAMES.slice(from)),
          fc.record({ one: fc.option(inner()), two: fc.option(inner()) }),
        )
        .map(([of, { one, two }]): Tree => ({
          is: 'instance',
          of,
          fills: { ...(one ? { one } : {}), ...(two ? { two } : {}) },
        })),
    );
  return fc.array(fc.oneof(...kinds), { maxLength: 3 });
}

/** A definition has each slot once: where it comes again, its fallback stands alone. */
function onceEach(list: readonly Tree[], seen = new Set<string>()): Tree[] {
  return list.flatMap((each): Tree[] => {
    if (each.is === 'element') return [{ ...each, children: onceEach(each.children, seen) }];
    if (each.is === 'slot') {
      if (seen.has(each.slot)) return onceEach(each.fallback, seen);
      seen.add(each.slot);
      return [{ ...each, fallback: onceEach(each.fallback, seen) }];
    }
    const fills = Object.fromEntries(
      Object.entries(each.fills).map(([slot, fill]) => [slot, onceEach(fill, seen)]),
    );
    return [{ ...each, fills }];
  });
}

function branch(tree: Tree): Branch {
  if (tree.is === 'element')
    return {
      tag: 'div',
      attributes: { title: textOf(tree.mark) },
      children: tree.children.map(branch),
    };
  if (tree.is === 'slot') return { slot: tree.slot, children: tree.fallback.map(branch) };
  return {
    component: tree.of,
    slots: Object.fromEntries(
      Object.entries(tree.fills).map(([slot, fill]) => [slot, fill.map(branch)]),
    ),
  };
}

const textOf = (value: string) => ({ is: 'value' as const, type: 'text' as const, value });

/** The same in HTML, as somebody writes it by hand. */
function native(tree: Tree, slot?: string): string {
  const assigned = slot === undefined ? '' : ` slot="${slot}"`;
  if (tree.is === 'element')
    return `<div title="${tree.mark}"${assigned}>${tree.children.map((each) => native(each)).join('')}</div>`;
  if (tree.is === 'slot')
    return `<slot name="${tree.slot}"${assigned}>${tree.fallback.map((each) => native(each)).join('')}</slot>`;
  const fills = Object.entries(tree.fills).flatMap(([name, fill]) =>
    fill.map((each) => native(each, name)),
  );
  return `<x-${tree.of}${assigned}>${fills.join('')}</x-${tree.of}>`;
}

/** What stands in the flattened tree of the browser, written down. Runs in the browser. */
function flattened(definitions: Record<string, string>, body: string): string {
  const host = document.createElement('div');
  document.body.append(host);
  const attach = (root: ParentNode) => {
    for (const [name, html] of Object.entries(definitions))
      for (const each of root.querySelectorAll(`x-${name}`)) {
        if (each.shadowRoot) continue;
        each.attachShadow({ mode: 'open' }).innerHTML = html;
        attach(each.shadowRoot!);
      }
  };
  host.innerHTML = body;
  attach(host);
  const down = (node: Node): string => {
    if (!(node instanceof Element)) return '';
    if (node instanceof HTMLSlotElement) {
      const nodes = node.assignedNodes();
      return (nodes.length > 0 ? nodes : [...node.childNodes]).map(down).join('');
    }
    const inner = [...(node.shadowRoot ?? node).childNodes].map(down).join('');
    return node.shadowRoot ? inner : `<div title="${node.getAttribute('title')}">${inner}</div>`;
  };
  const found = [...host.childNodes].map(down).join('');
  host.remove();
  return found;
}

test('slots are filled, handed on and left to their fallback as native ones are', async ({
  page,
}) => {
  await page.goto('about:blank');
  const sites = fc.record({
    outer: trees(1, true, 3).map((list) => onceEach(list)),
    middle: trees(2, true, 3).map((list) => onceEach(list)),
    inner: trees(3, true, 2).map((list) => onceEach(list)),
    page: trees(0, false, 3),
  });
  let withHandedOn = 0;
  let withFallback = 0;
  for (const each of fc.sample(sites, { numRuns: 250, seed: 20261130 })) {
    const documents: Documents = documentsOf(
      ...NAMES.map((name) =>
        component(
          name,
          { tag: 'div', attributes: { title: textOf(name) }, children: each[name].map(branch) },
          {},
          slotsIn(each[name]),
        ),
      ),
      pageOf('p', '/', { tag: 'main', children: each.page.map(branch) }),
    );
    const linked = new Linker().link(documents, 'p');
    const ours = write(prepare(linked, dataOf(documents)));
    const definitions = Object.fromEntries(
      NAMES.map((name) => [
        name,
        `<div title="${name}">${each[name].map((tree) => native(tree)).join('')}</div>`,
      ]),
    );
    const theirs = await page.evaluate(
      // oxlint-disable-next-line no-eval -- the same function, here and there
      ([run, parts, body]) => (eval(`(${run})`) as typeof flattened)(parts, body),
      [flattened.toString(), definitions, each.page.map((tree) => native(tree)).join('')] as const,
    );
    expect(ours, JSON.stringify(each)).toBe(`<main>${theirs}</main>`);
    const source = JSON.stringify(each.page) + JSON.stringify(each.outer);
    if (/"fills":\{[^}]*"is":"slot"/.test(source)) withHandedOn += 1;
    if (ours.includes('title')) withFallback += 1;
  }
  expect(withHandedOn).toBeGreaterThan(10);
  expect(withFallback).toBeGreaterThan(100);
});

function slotsIn(list: readonly Tree[]): string[] {
  return list.flatMap((each): string[] => {
    if (each.is === 'element') return slotsIn(each.children);
    if (each.is === 'slot') return [each.slot, ...slotsIn(each.fallback)];
    return Object.values(each.fills).flatMap(slotsIn);
  });
}
