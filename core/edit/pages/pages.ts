import { Type } from '@sinclair/typebox';
import {
  allOf,
  childrenOf,
  claim,
  docOf,
  type Documents,
  inOrder,
  LanguageTag,
  OrderKey,
  own,
  PageDoc,
  rootOf,
  Source,
} from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { change, type Change, changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { componentName, pagePath } from '../names';

/** Adds a page with all that stands on it. */
export const addPage = defineEdit({
  args: Type.Object({ page: PageDoc }, exact),
  run(documents, { page }) {
    if (documents.get(page.id)) return refuse(say('id-taken'), page.id);
    return [change(page.id, '', undefined, page), ...pathTaken(documents, page.id, page.path)];
  },
  told: (_, { page }) => say('added-page', { path: page.path }),
});

/** Removes a page. Links to it lead nowhere then, which is told where they stand. */
export const removePage = defineEdit({
  args: Type.Object({ page: Id }, exact),
  run(documents, { page }) {
    const doc = docOf(documents, 'page', page);
    return doc ? [change(page, '', doc, undefined)] : gone('the-page', page);
  },
  told: (documents, { page }) => say('removed-page', { path: pagePath(documents, page) }),
});

/** Gives a page another path, with `below` those under it as well; the old ones lead here from now on. */
export const setPath = defineEdit({
  args: Type.Object(
    { page: Id, path: Type.String({ maxLength: 300 }), below: Type.Optional(Type.Literal(true)) },
    exact,
  ),
  run(documents, { page, path, below }) {
    const doc = docOf(documents, 'page', page);
    if (!doc) return gone('the-page', page);
    if (doc.path === path) return [];
    const under = below ? pagesBelow(documents, doc) : [];
    if (below && under.some(({ path: each }) => path.startsWith(each + '/')))
      return refuse(say('page-below-itself'), page, '/path');
    return [
      ...pathChanges(documents, doc, path),
      ...under.flatMap((each) =>
        pathChanges(documents, each, joined(path, each.path.slice(doc.path.length))),
      ),
    ];
  },
  told: (documents, { page, path }) =>
    say('moved-page', { from: pagePath(documents, page), to: path }),
});

/** The pages whose paths lie below that of a page; nothing lies below the home page, since everything would. */
export function pagesBelow(documents: Documents, { path }: PageDoc): PageDoc[] {
  return path === '/' || path.endsWith(SLUG)
    ? []
    : allOf(documents, 'page').filter((each) => each.path.startsWith(path + '/'));
}

const SLUG = '/<slug>';

function joined(path: string, rest: string): string {
  return (path === '/' ? '' : path) + rest;
}

function pathChanges(documents: Documents, doc: PageDoc, path: string): Change[] {
  return [
    ...changeTo(documents, doc.id, ['path'], path),
    ...(doc.draft ? [] : changeTo(documents, doc.id, ['former', doc.path], true)),
    ...pathTaken(documents, doc.id, path),
  ];
}

/** Sets one thing that a page says of itself; `null` takes away what may be missing. */
export const setPage = defineEdit({
  args: Type.Object(
    {
      page: Id,
      set: Type.Union([
        Type.Object({ name: Type.String({ minLength: 1, maxLength: 120 }) }, exact),
        Type.Object({ draft: Type.Boolean() }, exact),
        Type.Object({ title: Source }, exact),
        Type.Object({ description: Source }, exact),
        Type.Object({ image: Type.Union([Source, Type.Null()]) }, exact),
        Type.Object({ order: OrderKey }, exact),
        // Without one it is in the language of the site.
        Type.Object({ language: Type.Union([LanguageTag, Type.Null()]) }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { page, set }) {
    if (!docOf(documents, 'page', page)) return gone('the-page', page);
    const [member, value] = Object.entries(set)[0]!;
    return changeTo(documents, page, [member], value ?? undefined);
  },
  told: (documents, { page, set }) => {
    const [member, value] = Object.entries(set)[0]!;
    const path = pagePath(documents, page);
    if (member === 'draft')
      return value ? say('made-draft', { what: path }) : say('made-ready', { what: path });
    if (member === 'order') return say('moved-in-list', { page: path });
    return say('set-of-page', {
      what: member === 'image' ? say('sharing-picture') : member,
      page: path,
    });
  },
});

/** Puts another surround around a page; what stood in a slot stands in the one of the same name, else in the first. */
export const setSurround = defineEdit({
  args: Type.Object({ page: Id, component: Type.Union([Id, Type.Null()]) }, exact),
  run(documents, { page, component }) {
    const doc = docOf(documents, 'page', page);
    if (!doc) return gone('the-page', page);
    const id = rootOf(doc.nodes);
    const root = doc.nodes[id]!;
    const children = childrenOf(doc.nodes).all(id);
    const inSlot = (slotOf: (slot: string | undefined) => string | undefined) =>
      children.flatMap((child) => {
        const { slot } = doc.nodes[child]!.place;
        return changeTo(documents, page, ['nodes', child, 'place', 'slot'], slotOf(slot));
      });
    const { place, name } = root;
    if (component === null) {
      // What the page holds stands in its own main then.
      const main = { kind: 'element', place, tag: 'main', attributes: {}, style: {} };
      if (root.kind !== 'instance') return [];
      return [
        ...changeTo(documents, page, ['nodes', id], name === undefined ? main : { ...main, name }),
        ...inSlot(() => undefined),
      ];
    }
    const to = docOf(documents, 'component', component);
    if (!to) return gone('the-component', component);
    const slots = inOrder(to.slots);
    const [first] = slots;
    if (!first) return refuse(say('no-slot-for-page', { component: to.name }), page);
    if (root.kind !== 'instance') {
      const main = (slots.find(([, { label }]) => label === 'main') ?? first)[0];
      const around = { kind: 'instance', place, component, values: {}, style: {} };
      return [...changeTo(documents, page, ['nodes', id], around), ...inSlot(() => main)];
    }
    const from = docOf(documents, 'component', root.component)?.slots ?? {};
    const same = (slot: string) =>
      own(to.slots, slot)
        ? slot
        : (slots.find(([, { label }]) => label === own(from, slot)?.label) ?? first)[0];
    return [
      ...changeTo(documents, page, ['nodes', id, 'component'], component),
      ...inSlot((slot) => (slot === undefined ? undefined : same(slot))),
    ];
  },
  told: (documents, { page, component }) =>
    component === null
      ? say('took-surround', { page: pagePath(documents, page) })
      : say('put-surround', {
          component: componentName(documents, component),
          page: pagePath(documents, page),
        }),
});

/** Whoever takes a path is who it leads to from now on: it is no former path of anybody, so chains end at the newest. */
function pathTaken(documents: Documents, page: string, path: string): Change[] {
  return documents
    .claiming(claim.formerPath(path))
    .filter((id) => id !== page || docOf(documents, 'page', page))
    .flatMap((id) => changeTo(documents, id, ['former', path], undefined));
}
