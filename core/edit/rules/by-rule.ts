import { Type } from '@sinclair/typebox';
import {
  docOf,
  type Documents,
  isTheme,
  own,
  pointer,
  readAt,
  Source,
  tokensOf,
} from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { type Change, changeTo, isRefusal } from '../changes';
import { ControlArg, controlPath, controlType } from '../control';
import { defineEdit, gone, notStyled, refuse } from '../define';
import { named } from '../names';
import { DECLARATION, declareIn } from '../style/declaration';
import { inVariant } from './in-variant';
import { styleName } from '../style/themes';
import { modifiersOn } from '../style/wearing';

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

/** What of an element, beside its declarations and its values, a rule can say, or leave as it is without that rule. */
const LOOK = Type.Union([
  Type.Object({ tag: Type.String({ pattern: '^[a-z][a-z0-9]*$', maxLength: 20 }) }, exact),
  /** `null`: none begins with it. */
  Type.Object({ theme: Type.Union([Id, Type.Null()]) }, exact),
  Type.Object({ style: Id, on: Type.Boolean() }, exact),
  Type.Object({ back: Type.Union([Type.Literal('tag'), Type.Literal('theme')]) }, exact),
]);

/** Says while a rule holds of which tag and theme something is, or that a shared style is on it or off; or says it no more. */
export const setLookByRule = defineEdit({
  args: Type.Object({ component: Id, rule: Id, node: Id, set: LOOK }, exact),
  run(documents, { component, rule, node, set }) {
    const stored = docOf(documents, 'component', component);
    const held = stored && own(stored.nodes, node);
    const patch = stored && own(stored.rules, rule)?.patch;
    if (!held || !patch) return gone('the-rule', component);
    const where = ['rules', rule, 'patch', node];
    const to = (path: readonly string[], now: unknown) =>
      withContainers(documents, changeTo(documents, component, [...where, ...path], now));
    if ('tag' in set) return to(['tag'], set.tag);
    if ('back' in set) return to([set.back], undefined);
    if ('theme' in set)
      return set.theme === null || isTheme(documents.tokens.themes, set.theme)
        ? to(['theme'], set.theme)
        : gone('the-theme', documents.tokens.id);
    const style = docOf(documents, 'style', set.style);
    if (!style) return gone('the-shared-style', set.style);
    if (held.kind !== 'element' && held.kind !== 'instance')
      return notStyled(held, 'to-have-style', component);
    const said = own(patch, node)?.shared ?? {};
    // What it has on in this variant: by what it says itself, and by every rule that holds together with this one.
    const here = inVariant(stored, stored.rules[rule]!.when.axes).nodes[node];
    const worn = (here && 'shared' in here && here.shared) || {};
    if (set.on && style.base !== null && !own(worn, style.base))
      return refuse(
        say('base-first', { style: style.name, base: styleName(documents, style.base) }),
        component,
      );
    // What modifies it goes with it.
    const off = set.on ? [] : modifiersOn(documents, worn, set.style);
    const now = { ...said, [set.style]: set.on };
    for (const each of off) now[each] = false;
    return to(['shared'], now);
  },
  told: (documents, { component, node }) =>
    say('look-by-rule', { what: named(documents, component, node) }),
});

/** Changes to members of rules' patches, with what must hold them made first. */
export function withContainers(documents: Documents, changes: readonly Change[]): Change[] {
  const made = new Map<string, Change[]>();
  for (const { doc, path, now } of changes) {
    const tokens = tokensOf(path);
    if (tokens[0] !== 'rules' || now === undefined) continue;
    // `rules/RULE/patch/NODE` and below it `style`, `attributes`, `values` or `shared`; the rest stands in the patch itself.
    for (const length of [4, 5]) {
      const holder = pointer(...tokens.slice(0, length));
      if (tokens.length <= length || made.has(holder)) continue;
      const isThere = readAt(documents.get(doc), holder) !== undefined;
      if (!isThere) made.set(holder, changeTo(documents, doc, tokens.slice(0, length), {}));
    }
  }
  return [...[...made.values()].flat(), ...changes];
}
