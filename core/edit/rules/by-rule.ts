import { Type } from '@sinclair/typebox';
import { docOf, type Documents, own, pointer, readAt, Source, tokensOf } from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { type Change, changeTo, isRefusal } from '../changes';
import { ControlArg, controlPath, controlType } from '../control';
import { defineEdit, gone, refuse } from '../define';
import { named } from '../names';
import { DECLARATION, declareIn } from '../style/declaration';

/** Declares a CSS property on what a rule of a definition patches. */
export const declareRule = defineEdit({
  args: Type.Object({ component: Id, rule: Id, node: Id, ...DECLARATION }, exact),
  run(documents, { component, rule, node, ...declaring }) {
    const stored = docOf(documents, 'component', component);
    const patch = stored && own(stored.rules, rule)?.patch;
    if (!patch || !own(stored.nodes, node)) return gone('the-rule', component);
    const where = ['rules', rule, 'patch', node, 'style'];
    const block = own(patch, node)?.style;
    const changes = declareIn(documents, component, where, block ?? {}, declaring);
    return isRefusal(changes) ? changes : withContainers(documents, changes);
  },
  told: (documents, { component, node, property }) =>
    say('styled-by-rule', { property, what: named(documents, component, node) }),
});

/** Gives a control another source while a rule holds; `null` takes it away. */
export const setByRule = defineEdit({
  args: Type.Object(
    {
      component: Id,
      rule: Id,
      node: Id,
      control: ControlArg,
      source: Type.Union([Source, Type.Null()]),
    },
    exact,
  ),
  run(documents, { component, rule, node, control, source }) {
    const stored = docOf(documents, 'component', component);
    const held = stored && own(stored.nodes, node);
    if (!held || !own(stored.rules, rule)) return gone('the-rule', component);
    if (control.of === 'chosen' || control.of === 'declaration')
      return refuse(say('rule-look-is-declared'), component);
    if (source !== null && !controlType(documents, held, control))
      return gone('the-property', component);
    const where = ['rules', rule, 'patch', node, ...controlPath(control)];
    return withContainers(documents, changeTo(documents, component, where, source ?? undefined));
  },
  told: (documents, { component, node }) =>
    say('set-by-rule', { what: named(documents, component, node) }),
});

/** Changes to members of a rule's patch, with what must hold them made first. */
function withContainers(documents: Documents, changes: readonly Change[]): Change[] {
  const [first] = changes;
  if (!first) return [];
  const tokens = tokensOf(first.path);
  // `rules/RULE/patch/NODE` and below it `style`, `attributes` or `values`; words and what is shown stand in the patch itself.
  const containers = [tokens.slice(0, 4), ...(tokens.length > 5 ? [tokens.slice(0, 5)] : [])];
  const doc = documents.get(first.doc);
  const missing = containers.filter((path) => readAt(doc, pointer(...path)) === undefined);
  const made = changes.some(({ now }) => now !== undefined) ? missing : [];
  return [...made.flatMap((path) => changeTo(documents, first.doc, path, {})), ...changes];
}
