import { Type } from '@sinclair/typebox';
import {
  allOf,
  Block,
  docOf,
  FORMAT,
  nodeIn,
  OrderKey,
  own,
  sameJson,
  type Documents,
  type StyleDoc,
} from '../../model';
import { say } from '../../said';
import { exact, Id, Label } from '../args';
import { changeTo, type Change, type Refusal } from '../changes';
import { defineEdit, gone, notStyled, refuse } from '../define';
import { styleName } from './themes';
import { rulesSaying, wearersOf } from './wearing';

/**
 * Makes a shared style. Made from what an element declares, that element has it from then on in place of those
 * declarations.
 */
export const addStyle = defineEdit({
  args: Type.Object(
    {
      style: Id,
      name: Label,
      order: OrderKey,
      base: Type.Union([Id, Type.Null()]),
      block: Block,
      /**
       * The element or instance whose declarations they are, or the rule of its definition that says them of it; nothing
       * for a style that begins otherwise.
       */
      from: Type.Union([
        Type.Object({ doc: Id, node: Id, rule: Type.Optional(Id) }, exact),
        Type.Null(),
      ]),
    },
    exact,
  ),
  run(documents, { style, name, order, base, block, from }) {
    if (documents.get(style)) return refuse(say('id-taken'), style);
    const wrong = nameTaken(documents, name, style) ?? baseFault(documents, style, base);
    if (wrong) return wrong;
    const doc: StyleDoc = {
      id: style,
      kind: 'style',
      format: FORMAT,
      name: name.trim(),
      order,
      base,
      origin: null,
      style: block,
    };
    const changes: Change[] = [{ doc: style, path: '', now: doc }];
    if (!from) return changes;
    const stored = nodeIn(documents, from.doc, from.node);
    if (stored?.kind !== 'element' && stored?.kind !== 'instance')
      return notStyled(stored, 'style-made-from', from.doc);
    const { rule } = from;
    const patch =
      rule === undefined
        ? stored
        : own(
            own(docOf(documents, 'component', from.doc)?.rules ?? {}, rule)?.patch ?? {},
            from.node,
          );
    if (!patch) return gone('the-rule', from.doc);
    const where = rule === undefined ? ['nodes'] : ['rules', rule, 'patch'];
    for (const key of Object.keys(block).sort()) {
      if (!sameJson(own(patch.style ?? {}, key), block[key]))
        return refuse(say('declares-otherwise', { key }), from.doc);
      changes.push(
        ...changeTo(documents, from.doc, [...where, from.node, 'style', key], undefined),
      );
    }
    const worn = { ...patch.shared, [style]: true, ...(base === null ? {} : { [base]: true }) };
    return [...changes, ...changeTo(documents, from.doc, [...where, from.node, 'shared'], worn)];
  },
  told: (_, { name }) => say('made-style', { name }),
});

/** Names a shared style, moves it in the one order there is, or makes it a modifier of another. */
export const setStyle = defineEdit({
  args: Type.Object(
    {
      style: Id,
      set: Type.Union([
        Type.Object({ name: Label }, exact),
        Type.Object({ order: OrderKey }, exact),
        Type.Object({ base: Type.Union([Id, Type.Null()]) }, exact),
      ]),
    },
    exact,
  ),
  run(documents, { style, set }) {
    if (!docOf(documents, 'style', style)) return gone('the-shared-style', style);
    if ('name' in set) {
      const taken = nameTaken(documents, set.name, style);
      return taken ?? changeTo(documents, style, ['name'], set.name.trim());
    }
    if ('order' in set) return changeTo(documents, style, ['order'], set.order);
    const wrong = baseFault(documents, style, set.base);
    if (wrong) return wrong;
    // Whatever has a modifier has its base too.
    const { base } = set;
    const wearing = base === null ? [] : wearersOf(documents, style);
    return [
      ...changeTo(documents, style, ['base'], base),
      ...wearing.flatMap(({ doc, node }) =>
        changeTo(documents, doc, ['nodes', node, 'shared', base!], true),
      ),
      ...(base === null ? [] : rulesSaying(documents, style)).flatMap(({ doc, where, shared }) =>
        shared[style] ? changeTo(documents, doc, [...where, base!], true) : [],
      ),
    ];
  },
  told(documents, { style, set }) {
    const name = styleName(documents, style);
    if ('name' in set) return say('renamed-style', { style: name, name: set.name });
    if ('order' in set) return say('moved-style', { style: name });
    return set.base === null
      ? say('made-style-own', { style: name })
      : say('made-modifier', { style: name, base: styleName(documents, set.base) });
  },
});

/** Removes shared styles, also from everything that has them; what modified one of them stands by itself then. */
export const removeStyles = defineEdit({
  args: Type.Object({ styles: Type.Array(Id, { minItems: 1, maxItems: 500 }) }, exact),
  run(documents, { styles }) {
    const going = new Set(styles);
    const changes: Change[] = [];
    for (const style of going) {
      const stored = docOf(documents, 'style', style);
      if (!stored) return gone('the-shared-style', style);
      for (const { doc, node } of wearersOf(documents, style))
        changes.push(...changeTo(documents, doc, ['nodes', node, 'shared', style], undefined));
      for (const { doc, where } of rulesSaying(documents, style))
        changes.push(...changeTo(documents, doc, [...where, style], undefined));
      changes.push({ doc: style, path: '', was: stored });
    }
    for (const { id, base } of allOf(documents, 'style'))
      if (base !== null && going.has(base) && !going.has(id))
        changes.push(...changeTo(documents, id, ['base'], null));
    return changes;
  },
  told: (documents, { styles }) =>
    styles.length === 1
      ? say('removed-style', { style: styleName(documents, styles[0]!) })
      : say('removed-styles', { many: styles.length }),
});

function nameTaken(documents: Documents, name: string, but: string): Refusal | undefined {
  const wanted = name.trim().toLowerCase();
  if (wanted === '') return refuse(say('style-has-name'), but);
  const other = allOf(documents, 'style').find(
    (each) => each.id !== but && each.name.toLowerCase() === wanted,
  );
  return other && refuse(say('style-name-taken', { name: other.name }), other.id);
}

/** Why a style cannot modify another: it is gone, or would come to modify itself. */
function baseFault(documents: Documents, style: string, base: string | null): Refusal | undefined {
  const way = [styleName(documents, style)];
  for (let at = base; at !== null;) {
    const stored: StyleDoc | undefined = docOf(documents, 'style', at);
    if (!stored) return gone('style-to-modify', at);
    way.push(stored.name);
    if (at === style) return refuse(say('modifies-itself', { way }), style);
    at = stored.base;
  }
  return undefined;
}
