import { Type } from '@sinclair/typebox';
import {
  Acts,
  ActsWhen,
  nodeIn,
  own,
  treeDocOf,
  type ActsWhen as When,
  type Documents,
  type ElementNode,
} from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { changeTo, isRefusal, type Refusal } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { named } from '../names';
import { actsRefusal, MOST_ACTS } from './check-acts';

/** How many things one element may answer to. */
const MOST_WHENS = 20;

/** Has an element do something when something happens to it, at first nothing; `null`: not any more. */
export const setWhen = defineEdit({
  args: Type.Object(
    {
      doc: Id,
      node: Id,
      when: Id,
      set: Type.Union([Type.Omit(ActsWhen, ['acts'], exact), Type.Null()]),
    },
    exact,
  ),
  run(documents, { doc, node, when, set }) {
    const element = actingElement(documents, doc, node);
    if (isRefusal(element)) return element;
    const before = own(element.whens ?? {}, when);
    const { [when]: _, ...others } = element.whens ?? {};
    if (!set) {
      const left = Object.keys(others).length === 0 ? undefined : others;
      return before ? changeTo(documents, doc, ['nodes', node, 'whens'], left) : [];
    }
    if (!before && Object.keys(others).length >= MOST_WHENS)
      return refuse(say('does-enough', { many: MOST_WHENS }), doc);
    if (set.on === 'key' && set.key === undefined) return refuse(say('which-key'), doc);
    const made: When = { ...set, acts: before?.acts ?? {} };
    return element.whens
      ? changeTo(documents, doc, ['nodes', node, 'whens', when], made)
      : changeTo(documents, doc, ['nodes', node, 'whens'], { [when]: made });
  },
  told: (documents, { doc, node, set }) =>
    say(set ? 'does-something' : 'does-no-more', { what: named(documents, doc, node) }),
});

/** Says some of what an element does when something happens to it, and takes other acts away; the rest stays as it is. */
export const setActs = defineEdit({
  args: Type.Object(
    { doc: Id, node: Id, when: Id, set: Acts, gone: Type.Array(Id, { maxItems: MOST_ACTS }) },
    exact,
  ),
  run(documents, { doc, node, when, set, gone: without }) {
    const element = actingElement(documents, doc, node);
    if (isRefusal(element)) return element;
    const before = own(element.whens ?? {}, when);
    if (!before) return gone('what-it-does', doc);
    const refusal = actsRefusal(documents, doc, node, set);
    if (refusal) return refusal;
    const where = ['nodes', node, 'whens', when, 'acts'];
    const taken = without.filter((id) => own(before.acts, id) && !own(set, id));
    const many = new Set([...Object.keys(before.acts), ...Object.keys(set)]).size - taken.length;
    if (many > MOST_ACTS) return refuse(say('does-enough', { many: MOST_ACTS }), doc);
    return [
      ...taken.flatMap((id) => changeTo(documents, doc, [...where, id], undefined)),
      ...Object.keys(set)
        .sort()
        .flatMap((id) => changeTo(documents, doc, [...where, id], set[id])),
    ];
  },
  told: (documents, { doc, node }) => say('set-acts', { what: named(documents, doc, node) }),
});

/** The element that does something: only elements are pressed. */
function actingElement(documents: Documents, doc: string, node: string): ElementNode | Refusal {
  if (!treeDocOf(documents, doc)) return gone('the-component', doc);
  const stored = nodeIn(documents, doc, node);
  if (!stored) return gone('the-element', doc);
  return stored.kind === 'element' ? stored : refuse(say('only-elements-act'), doc);
}
