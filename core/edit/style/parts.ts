import { Type } from '@sinclair/typebox';
import { docOf, nodeIn, own, partNameOf, rootOf, type Block, type Documents } from '../../model';
import { say, type Said } from '../../said';
import { exact, Id } from '../args';
import { changeTo, isRefusal, type Change } from '../changes';
import { defineEdit, gone, notStyled, refuse } from '../define';
import { named } from '../names';
import { DECLARATION, declareIn } from './declaration';

/**
 * Marks a node of a definition as a part (as in CSS Shadow Parts, 2), by the name under which whoever places the
 * definition may style it; `null` takes that back. What was said of it stays stored, and holds again when it is one again.
 */
export const markPart = defineEdit({
  args: Type.Object(
    {
      component: Id,
      node: Id,
      name: Type.Union([Type.String({ maxLength: 120 }), Type.Null()]),
    },
    exact,
  ),
  run(documents, { component, node, name }) {
    const definition = docOf(documents, 'component', component);
    const stored = definition && own(definition.nodes, node);
    if (stored?.kind !== 'element' && stored?.kind !== 'instance')
      return notStyled(stored, 'to-be-part', component);
    if (node === rootOf(definition!.nodes)) return refuse(say('needs-no-part'), component);
    const now = name?.trim() || undefined;
    const other = Object.entries(definition!.nodes).find(
      ([id, each]) => id !== node && now !== undefined && partNameOf(each) === now,
    );
    if (now !== undefined && other)
      return refuse(
        say('part-name-taken', { part: now, of: named(documents, component, other[0]) }),
        component,
      );
    return changeTo(documents, component, ['nodes', node, 'part'], now);
  },
  told: (documents, { component, node, name }) =>
    name === null
      ? say('left-look', { what: named(documents, component, node) })
      : say('let-be-styled', { what: named(documents, component, node), part: name }),
});

/** Declares a CSS property on a part of the component of one instance; `null` takes it back. */
export const declarePart = defineEdit({
  args: Type.Object({ doc: Id, node: Id, part: Id, ...DECLARATION }, exact),
  run(documents, { doc, node, part, ...declaring }) {
    const stored = nodeIn(documents, doc, node);
    if (stored?.kind !== 'instance') return gone('to-be-styled', doc);
    if (
      declaring.css !== null &&
      partNameOf(nodeIn(documents, stored.component, part)) === undefined
    )
      return refuse(say('no-part'), doc);
    const block = own(stored.parts ?? {}, part);
    const where = ['nodes', node, 'parts', part];
    const changes = declareIn(documents, doc, where, block ?? {}, declaring);
    if (isRefusal(changes) || changes.length === 0) return changes;
    if (declaring.css === null)
      return changes.length === Object.keys(block ?? {}).length
        ? withoutPart(documents, doc, node, part)
        : changes;
    return [
      ...(stored.parts ? [] : changeTo(documents, doc, ['nodes', node, 'parts'], {})),
      ...(block ? [] : changeTo(documents, doc, where, {})),
      ...changes,
    ];
  },
  told: (documents, { doc, node, part, property }) =>
    say('styled-part', { property, what: partWords(documents, doc, node, part) }),
});

/** Takes back all that an instance says of a part of its component. */
export const clearPart = defineEdit({
  args: Type.Object({ doc: Id, node: Id, part: Id }, exact),
  run(documents, { doc, node, part }) {
    const stored = nodeIn(documents, doc, node);
    if (stored?.kind !== 'instance') return gone('was-styled', doc);
    return own(stored.parts ?? {}, part) ? withoutPart(documents, doc, node, part) : [];
  },
  told: (documents, { doc, node, part }) =>
    say('took-back-look', { what: partWords(documents, doc, node, part) }),
});

/** An instance without what it says of a part; the last takes the record with it. */
function withoutPart(documents: Documents, doc: string, node: string, part: string): Change[] {
  const stored = nodeIn(documents, doc, node);
  const parts: Readonly<Record<string, Block>> =
    (stored?.kind === 'instance' && stored.parts) || {};
  const path = ['nodes', node, 'parts'];
  return changeTo(
    documents,
    doc,
    Object.keys(parts).length > 1 ? [...path, part] : path,
    undefined,
  );
}

/** A part of an instance as the history calls it. */
function partWords(documents: Documents, doc: string, node: string, part: string): Said {
  const stored = nodeIn(documents, doc, node);
  const marked =
    stored?.kind === 'instance' ? nodeIn(documents, stored.component, part) : undefined;
  return say('part-in', {
    part: partNameOf(marked) ?? say('a-part'),
    whole: named(documents, doc, node),
  });
}
