import { lexer, parse } from 'css-tree';
import {
  addressesOf,
  ancestorsOf,
  type Declared,
  readAt,
  TAGS,
  attributeFault,
  docOf,
  isVoid,
  nodeIn,
  NONE,
  own,
  sameJson,
  takesText,
  tokensOf,
  treeDocOf,
  type Act,
  type Documents,
  type Property,
  type SetAct,
  type Source,
  type Slot,
  type Times,
  type TreeNode,
  type Font,
  type NodeId,
  type TreeDoc,
} from '../model';
import type { Control } from '../resolve';
import { saidText, type Said, type Code } from '../said';
import { applyChanges, controlType, EDITS, isRefusal, type EditKind } from '../edit';
import type { RefusedEdit } from './random-edits';
import { WrittenOut } from './written-out';

/** A refusal with what the edit would have come to. */
class Refused {
  readonly args: Record<string, unknown>;
  /** The documents as they would be, where the edit itself did not refuse. */
  readonly after: Documents | undefined;

  constructor(readonly given: RefusedEdit) {
    this.args = given.edit.args;
    const kind = EDITS[given.edit.name] as unknown as EditKind;
    const changes = kind.run(given.before, given.edit.args, given.past);
    this.after = isRefusal(changes) ? undefined : applyChanges(given.before, changes);
  }

  get before(): Documents {
    return this.given.before;
  }

  get said(): Said {
    return this.given.refusal.refused;
  }

  /** What it is about, by name. */
  about(name: string): unknown {
    return this.said.about?.[name];
  }

  /** The document it is about, as it would be. */
  get tree(): TreeDoc {
    return treeDocOf(this.after ?? this.before, this.given.refusal.doc ?? '')!;
  }

  /** The node it is about. */
  get id(): NodeId {
    return tokensOf(this.given.refusal.path ?? '')[1]!;
  }

  get node() {
    return own(this.tree.nodes, this.id)!;
  }

  get parent() {
    const { parent } = this.node.place;
    return parent === null ? undefined : own(this.tree.nodes, parent);
  }

  /** The nodes that the edit names, as they were. */
  get named(): ReturnType<typeof nodeIn>[] {
    const { doc, component, node, nodes, from, moves } = this.args as {
      doc?: string;
      component?: string;
      node?: string;
      nodes?: string[];
      from?: { doc: string; node: string };
      moves?: { node: string }[];
    };
    const of = from?.doc ?? doc ?? component ?? '';
    const ids = from
      ? [from.node]
      : Array.isArray(nodes)
        ? nodes
        : moves
          ? moves.map((each) => each.node)
          : [node ?? ''];
    return ids.map((id) => nodeIn(this.before, of, id));
  }

  get roots(): boolean {
    return this.named.some((each) => each?.place.parent === null);
  }
}

/** The node that a rule says something of, by the path to that. */
function nodeSaidOf(path: string | undefined, tree: TreeDoc) {
  const [, , , id] = tokensOf(path ?? '');
  return own(tree.nodes, id ?? '');
}

/** The options of a choice that are offered. */
function choiceIn(before: Documents, args: Record<string, unknown>): string[] {
  const { properties } = docOf(before, 'component', args['component'] as string)!;
  const { type } = properties[args['property'] as string]!;
  return type.kind === 'choice'
    ? Object.keys(type.options).filter((id) => type.options[id]!.gone === undefined)
    : [];
}

/** Whether a component holds itself, asked step by step. */
function holdsItself(documents: Documents, id: string, way: readonly string[] = []): boolean {
  if (way.includes(id)) return way[0] === id;
  const doc = treeDocOf(documents, id);
  return Object.values(doc?.nodes ?? {}).some(
    (node) => node.kind === 'instance' && holdsItself(documents, node.component, [...way, id]),
  );
}

/** Where an element may stand (HTML): what is told of all of these is looked up in the page as it is written out. */
const NESTING: ReadonlySet<Code> = new Set<Code>([
  'holds-nothing',
  'holds-text-and-headings',
  'holds-text',
  'holds-li',
  'holds-only',
  'dl-holds',
  'stands-only-in',
  'li-in-list',
  'in-dl',
  'summary-in-details',
  'legend-in-fieldset',
  'heading-in-heading',
  'caption-holds-no-table',
  'link-in-link',
  'label-in-label',
  'form-in-form',
  'in-p',
  'main-in-landmark',
  'cannot-stand-in',
  'rich-links-in-link',
]);

/** Each reason there is, and what must be so for it to be right. */
const REASONS: Partial<Record<Code, (refused: Refused) => boolean>> = {
  gone: isMissing,
  'only-placed-has-look': ({ named }) => named.some(isUnstyled),
  'in-text': ({ parent }) => parent?.kind === 'text',
  'in-void': ({ parent }) => parent?.kind === 'element' && isVoid(parent.tag),
  'in-no-slot': ({ parent, node }) => parent?.kind === 'instance' && node.place.slot === undefined,
  'slot-where-none': ({ parent }) => parent?.kind !== 'instance',
  'no-words': holdsNoWords,
  'slot-in-repeat': ({ tree, id }) =>
    ancestorsOf(tree.nodes, id).some((each) => tree.nodes[each]!.kind === 'repeat'),
  'repeat-not-around': readsFarRepeat,
  'contains-itself': ({ after, given }) => holdsItself(after!, given.refusal.doc!),
  'path-twice': ({ after }) => hasTwice(addressesOf(after!, 'everything').map(({ path }) => path)),
  'slug-taken': ({ after }) =>
    hasTwice(after!.all('entry').map(({ type, slug }) => `${type} ${slug}`)),
  'component-name-taken': ({ after }) => hasTwice(after!.all('component').map(({ name }) => name)),
  'slot-takes-only': slotTakesOthers,
  'slot-holds-most': slotIsFull,
  'still-used': ({ given, before }) => isPlaced(before, given.refusal.doc!),
  'state-rule-declares': ({ given, tree }) => {
    const [, rule] = tokensOf(given.refusal.path!);
    return tree.kind === 'component' && tree.rules[rule!]!.when.pseudo !== undefined;
  },
  'attribute-one-of': badAttribute,
  'takes-no': badAttribute,
  'token-of-itself': (refused) => {
    const names = refused.about('way') as string[];
    return names.length > 1 && names[0] === names.at(-1);
  },
  'modifies-itself': ({ args, before }) => leadsBack(before, args),
  'root-not-removed': ({ roots }) => roots,
  'root-stays': ({ roots }) => roots,
  'root-stands-once': ({ roots }) => roots,
  'not-around-everything': ({ roots }) => roots,
  'everything-stands-in': ({ roots }) => roots,
  'needs-no-part': ({ roots }) => roots,
  'inside-itself': standsInItself,
  'only-element-unwrapped': ({ named }) => named.some((each) => each?.kind !== 'element'),
  'only-element-has-tag': ({ named }) => named.some((each) => each?.kind !== 'element'),
  'only-placed-repeats': ({ named }) => named.some(isUnstyled),
  'only-placed-becomes-component': ({ named }) => named.some(isUnstyled),
  'text-has-value': ({ args }) => args['source'] === null || someNull(args),
  'no-part': ({ named, args, before }) => {
    const [instance] = named;
    const of =
      instance?.kind === 'instance' ? docOf(before, 'component', instance.component) : undefined;
    const part = own(of?.nodes ?? {}, args['part'] as string);
    return !(part && 'part' in part && part.part !== undefined && part.place.parent !== null);
  },
  'no-slot-for-page': ({ args, before }) => {
    const slots = Object.values(
      docOf(before, 'component', args['component'] as string)?.slots ?? {},
    );
    return !slots.some(({ allows }) => allows === undefined);
  },
  'base-first': ({ named, args, before }) => {
    const set = args['set'] as { style: string } | undefined;
    const { base } = docOf(before, 'style', set?.style ?? (args['style'] as string))!;
    const { component, rule, node } = args as { component?: string; rule?: string; node?: string };
    const { rules = {} } = docOf(before, 'component', component ?? '') ?? {};
    const axes = rules[rule ?? '']?.when.axes ?? {};
    // What a rule that holds whenever this one does puts on, is on.
    const putOn = Object.values(rules).some(
      ({ when, patch }) =>
        set !== undefined &&
        !when.pseudo &&
        Object.entries(when.axes).every(([axis, option]) => axes[axis] === option) &&
        own(patch, node!)?.shared?.[base!] === true,
    );
    return (
      !putOn &&
      named.some((each) => (each && 'shared' in each ? !own(each.shared ?? {}, base!) : true))
    );
  },
  'every-element-only-states': ({ args }) => args['tag'] === '*' && args['state'] === undefined,
  'rule-look-is-declared': ({ args }) =>
    (args['control'] as { of: string }).of === 'declaration' ||
    (args['control'] as { of: string }).of === 'chosen',
  'one-of-these-already': ({ args, before }) =>
    (args['instances'] as { doc: string; node: string }[]).some(({ doc, node }) => {
      const stored = nodeIn(before, doc, node);
      return stored?.kind === 'instance' && stored.component === args['component'];
    }),
  'token-in-own-place': ({ args }) => args['token'] === args['instead'],
  'stays-choice-while-axis': ({ args, before }) =>
    docOf(before, 'component', args['component'] as string)!.properties[args['property'] as string]!
      .axis === true,
  'rules-name-axis': (refused) =>
    Object.values(docOf(refused.before, 'component', refused.args['component'] as string)!.rules)
      .map(({ when }) => Object.keys(when.axes))
      .filter((axes) => axes.includes(refused.args['property'] as string)).length ===
    refused.about('many'),
  'only-choice-axis': ({ args, before }) =>
    docOf(before, 'component', args['component'] as string)!.properties[args['property'] as string]!
      .type.kind !== 'choice',
  'no-axis': ({ args, before }) =>
    Object.keys(args['axes'] as object).some(
      (axis) =>
        docOf(before, 'component', args['component'] as string)!.properties[axis]?.axis !== true,
    ),
  'tag-of-element': ({ given, tree }) => nodeSaidOf(given.refusal.path, tree)?.kind !== 'element',
  'tag-of-another-family': (refused) => {
    const node = nodeSaidOf(refused.given.refusal.path, refused.tree);
    const headings = /^(h[1-6]|p)$/;
    const told = refused.about('tag') as string;
    // Plain and slow: two headings are of one family, and a list is none of theirs.
    return node?.kind === 'element' && !(headings.test(node.tag) && headings.test(told));
  },
  // A name that the platform refuses (ECMA-402, 6.5: IsTimeZoneOffsetString, GetAvailableNamedTimeZoneIdentifier).
  'no-time-zone': ({ args }) => {
    const { timeZone } = args['set'] as { timeZone: string };
    return !Intl.supportedValuesOf('timeZone').includes(timeZone);
  },
  'only-picture-cropped': ({ args, before }) =>
    !docOf(before, 'asset', args['asset'] as string)!.mediaType.startsWith('image/'),
  'state-without-end': ({ args, before }) => {
    const { type } = docOf(before, 'component', args['component'] as string)!.properties[
      args['property'] as string
    ]!;
    const { step = 1 } = args['state'] as { step?: number };
    if ('among' in (args['state'] as object) && type.kind === 'number') return false;
    if (type.kind !== 'number') return !['boolean', 'choice', 'text'].includes(type.kind);
    const { least = -Infinity, most = Infinity } = type;
    return !((most - least) / step < 24);
  },
  'sets-no-state': (refused) => statesSet(refused).some(({ property }) => !property?.state),
  'state-not-open': (refused) =>
    statesSet(refused).some(({ property, isOwn }) => !isOwn && !property?.state?.open),
  'other-of-two': (refused) =>
    statesSet(refused).some(
      ({ act, property }) => act.to === 'other' && property?.type.kind !== 'boolean',
    ),
  'no-next-words': (refused) =>
    statesSet(refused).some(
      ({ act, property }) =>
        (act.to === 'next' || act.to === 'before') && property?.type.kind === 'text',
    ),
  'which-key': ({ args }) => (args['set'] as { key?: string }).key === undefined,
  // WHATWG URL Standard, 4.3: what has another scheme than these two is not fetched.
  'asks-no-address': ({ args }) =>
    actsGiven(args).some(
      (act) =>
        act.do === 'ask' &&
        act.address.is === 'value' &&
        !['https:', 'http:'].includes(
          new URL(act.address.value as string, 'https://here.test').protocol,
        ),
    ),
  'acts-on-elements': ({ args, before }) =>
    actsGiven(args)
      .flatMap(namedByAct)
      .some((node) => nodeIn(before, args['doc'] as string, node)?.kind !== 'element'),
  'sends-forms': ({ args, before }) =>
    actsGiven(args).some((act) => {
      const node = act.do === 'send' ? nodeIn(before, args['doc'] as string, act.node) : undefined;
      return node?.kind === 'element' && node.tag !== 'form';
    }),
  'counts-no-list': ({ args, before }) => {
    const { nodes } = docOf(before, 'component', args['component'] as string)!;
    const { among } = args['state'] as { among: string };
    const around = (id: string): string[] => {
      const { parent } = nodes[id]!.place;
      return parent === null ? [] : [nodes[parent]!.kind, ...around(parent)];
    };
    return nodes[among]?.kind !== 'repeat' || around(among).includes('repeat');
  },
  'acts-on-one-of-many': ({ args, before }) => {
    const { nodes } = treeDocOf(before, args['doc'] as string)!;
    const repeats = (id: string): string[] => {
      const { parent, slot } = nodes[id]!.place;
      if (parent === null) return [];
      const inner = nodes[parent]!.kind === 'repeat' && slot !== NONE ? [parent] : [];
      return [...inner, ...repeats(parent)];
    };
    return actsGiven(args)
      .filter((act) => act.do !== 'focus' && act.do !== 'scroll')
      .flatMap(namedByAct)
      .some(
        (node) =>
          nodes[node] &&
          repeats(node).some((each) => !repeats(args['node'] as string).includes(each)),
      );
  },
  'only-elements-act': ({ args, before }) =>
    nodeIn(before, args['doc'] as string, args['node'] as string)!.kind !== 'element',
  'ends-before-it-begins': ({ args, before }) => {
    const { entries, set } = args as { entries: string[]; set: Times };
    const { from = '', until = '' } = { ...docOf(before, 'entry', entries[0]!)?.times, ...set };
    return until <= from;
  },
  'ids-taken': ({ args, before }) => {
    const {
      type: content,
      field,
      entries,
    } = args as {
      type?: string;
      field?: string;
      entries?: { id: string }[];
    };
    const fields = docOf(before, 'type', content ?? '')?.fields;
    const brought = args['fields'] as object | undefined;
    if (fields && brought) return Object.keys(brought).some((each) => Object.hasOwn(fields, each));
    if (entries) return hasTwice(entries.map(({ id }) => id));
    if (fields) return Object.hasOwn(fields, field!);
    const { rules, properties } = docOf(before, 'component', args['component'] as string)!;
    const type = properties[args['property'] as string]?.type;
    const made = Object.values((args['rules'] as Record<string, string> | undefined) ?? {});
    return (
      (type?.kind === 'choice' && Object.hasOwn(type.options, args['made'] as string)) ||
      made.some((id) => Object.hasOwn(rules, id))
    );
  },
  'file-of-another-sort': ({ args, before }) => {
    const { file } = args['set'] as { file: { mediaType: string } };
    const held = docOf(before, 'asset', args['asset'] as string)!.mediaType;
    return file.mediaType.startsWith('font/') !== held.startsWith('font/');
  },
  'font-is-not-seen': ({ args, before }) =>
    Object.hasOwn(args['set'] as object, 'alt') &&
    docOf(before, 'asset', args['asset'] as string)!.mediaType.startsWith('font/'),
  'content-no-choice': ({ args }) => /"kind":"(tag|theme|style|action)"/.test(JSON.stringify(args)),
  'title-field-stays': ({ args, before }) =>
    docOf(before, 'type', args['type'] as string)!.title === args['field'],
  'id-taken': ({ args, before }) =>
    (args['entries'] as { id: string }[]).some(({ id }) => before.get(id) !== undefined),
  'key-of-other': ({ args, before }) => {
    const { made, set } = args as { made?: { key: string }; set?: { key: string } };
    const { fields } = docOf(before, 'type', args['type'] as string)!;
    return Object.entries(fields).some(
      ([id, { key }]) => id !== args['field'] && key === (made ?? set)!.key,
    );
  },
  'no-group': ({ args, before }) => {
    const { group } = args['made'] as { group: string };
    return !Object.hasOwn(docOf(before, 'type', args['type'] as string)!.groups ?? {}, group);
  },
  'default-no-value': ({ args }) => {
    // A default is a value, or worked out from properties alone.
    const text = JSON.stringify(args['value'] ?? args);
    return text.includes('"is":"field"') || !text.includes('"is":"expression"');
  },
  'works-out-itself': ({ args }) =>
    JSON.stringify(args['value']).includes(JSON.stringify(args['property'])),
  'last-option': ({ args, before }) =>
    choiceIn(before, args).filter((option) => option !== args['option']).length === 0,
  'base-needs-another': ({ args, before }) => {
    const { properties } = docOf(before, 'component', args['component'] as string)!;
    const { default: byDefault } = properties[args['property'] as string]!;
    return (
      args['instead'] === null && byDefault.is === 'value' && byDefault.value === args['option']
    );
  },
  'rules-came-meanwhile': ({ args, before }) =>
    Object.entries(docOf(before, 'component', args['component'] as string)!.rules).some(
      ([rule, { when }]) =>
        when.axes[args['property'] as string] === args['option'] &&
        !Object.hasOwn(args['rules'] as object, rule),
    ),
  'no-option': ({ args, before }) => {
    if ('option' in args) {
      const options = choiceIn(before, args);
      const asked = [args['option'] as string, (args['instead'] as string | null) ?? []].flat();
      return asked.some((each) => !options.includes(each)) || args['instead'] === args['option'];
    }
    const { properties } = docOf(before, 'component', args['component'] as string)!;
    const asked = (args['axes'] as Record<string, string> | undefined) ?? {
      here: args['base'] as string,
    };
    const given = args['options'] as Record<string, { gone?: unknown }>;
    return Object.entries(asked).some(([axis, option]) => {
      const type = properties[axis]?.type;
      const options = type?.kind === 'choice' ? type.options : given;
      return options[option] === undefined || options[option].gone !== undefined;
    });
  },
  'rule-is-there': ({ args, before }) =>
    Object.values(docOf(before, 'component', args['component'] as string)!.rules).some(
      ({ when }) => !when.pseudo && sameJson(when.axes, args['axes']),
    ),
  'holds-slot-of-definition': ({ named, args, before }) =>
    named.length > 0 && holdsKind(before, args, 'slot'),
  'from-elsewhere-already': ({ args, before }) => {
    const { controls } = args as { controls: { node: string }[] };
    const of = docOf(before, 'component', args['component'] as string)!;
    return controls.some(({ node }) =>
      /"is":"(property|field|position|begins|leaf)"/.test(JSON.stringify(own(of.nodes, node))),
    );
  },
  'font-is-there': ({ args, before }) => {
    const { font } = args as { font: Font };
    return Object.values(before.site.fonts).some(
      ({ family, weight, style }) =>
        family === font.family && weight === font.weight && style === font.style,
    );
  },
  'rich-links-in-link': (refused) => {
    const { doc, node } = refused.args as { doc: string; node: string };
    if (refused.given.edit.name !== 'makeRich') return isNestedWrongly(refused);
    // It holds no link yet, so nothing is written wrongly: what is around it says whether one could stand there.
    const { nodes } = treeDocOf(refused.before, doc)!;
    return ancestorsOf(nodes, node).some((id) => {
      const around = nodes[id];
      return around?.kind === 'instance' || (around?.kind === 'element' && around.tag === 'a');
    });
  },
  'limited-stays-plain': ({ args, before }) => {
    const { doc, node } = args as { doc: string; node: string };
    const text = own(docOf(before, 'component', doc)!.nodes, node);
    const property = text?.kind === 'text' && text.text.is === 'property' ? text.text.property : '';
    const { type } = own(docOf(before, 'component', doc)!.properties, property)!;
    return type.kind === 'text' && type.longest !== undefined;
  },
  'of-another-type': ({ args, before }) => {
    const { controls } = args as {
      controls: { node: string; control: Control; property: string }[];
    };
    const typeOf = (each: (typeof controls)[number]) => {
      const { nodes } = docOf(before, 'component', args['component'] as string)!;
      return JSON.stringify(controlType(before, own(nodes, each.node)!, each.control));
    };
    return controls.some((a) =>
      controls.some((b) => a.property === b.property && typeOf(a) !== typeOf(b)),
    );
  },
  'tag-holds-nothing': (refused) => {
    const { args, before } = refused;
    const { nodes } = treeDocOf(before, args['doc'] as string)!;
    const tag = refused.about('tag') as string;
    return isVoid(tag) && Object.values(nodes).some(({ place }) => place.parent === args['node']);
  },
  'attribute-no-spaces': ({ args, given, after }) => {
    const { doc, path } = given.refusal;
    const source = (args['source'] ?? readAt(after!.get(doc!), path!)) as { value: string };
    return /\s/.test(source.value);
  },
  'attribute-words': ({ given, after }) => {
    const { doc, path } = given.refusal;
    const { value } = readAt(after!.get(doc!), path!) as { value: string };
    return value.split(' ').some((word) => word === '' || /[^a-z-]/.test(word));
  },
  'declaration-reads-around': ({ args, before }) => {
    const { nodes } = treeDocOf(before, args['doc'] as string)!;
    const inside = Object.entries(nodes).filter(
      ([id]) => id === args['node'] || ancestorsOf(nodes, id).includes(args['node'] as string),
    );
    return /"is":"(field|property)"/.test(JSON.stringify(inside));
  },
  'acts-read-around': ({ args, before }) => {
    const { nodes } = treeDocOf(before, args['doc'] as string)!;
    return Object.entries(nodes).some(
      ([id, node]) =>
        (id === args['node'] || ancestorsOf(nodes, id).includes(args['node'] as string)) &&
        'whens' in node &&
        /"is":"(field|property|position|begins|leaf)"/.test(JSON.stringify(node.whens)),
    );
  },
  'part-name-taken': ({ args, before }) => {
    const { nodes } = docOf(before, 'component', args['component'] as string)!;
    const name = (args['name'] as string).toLowerCase();
    return Object.entries(nodes).some(
      ([id, node]) => id !== args['node'] && 'part' in node && node.part?.toLowerCase() === name,
    );
  },
  'no-element': ({ node }) => node.kind === 'element' && !TAGS.has(node.tag),
  'gone-token-here': ({ given, after }) => {
    const { tokens } = after!.tokens;
    const declared = readAt(after!.get(given.refusal.doc!), given.refusal.path!) as Declared;
    return Object.values(declared.refs ?? {}).some(
      (ref) => 'token' in ref && !own(tokens, ref.token),
    );
  },
  'shared-reads-source': ({ given, after }) =>
    readAt(after!.get(given.refusal.doc!), given.refusal.path!) !== undefined,
  'css-does-not-fit': (refused) => {
    const css = refused.about('css') as string;
    const property = refused.about('property') as string;
    // The reference: css-tree's lexer, whose grammar is that of the specifications (MDN data).
    // That there is no gap below 0 it leaves open (CSS Box Alignment 3, 8.1).
    const isNone = lexer.matchProperty(property, parse(css, { context: 'value' })).error !== null;
    return isNone || (/gap$/.test(property) && css.startsWith('-'));
  },
  'plain-slot-shown': ({ named: [instance], before }) => {
    const of =
      instance?.kind === 'instance' ? docOf(before, 'component', instance.component) : undefined;
    return Object.values(of?.nodes ?? {}).some((node) => node.kind === 'slot' && node.shown);
  },
  'plain-records-unknown': ({ named: [instance], before }) => {
    const of =
      instance?.kind === 'instance' ? docOf(before, 'component', instance.component) : undefined;
    return Object.values(of?.nodes ?? {}).some((node) => node.kind === 'repeat');
  },
  'plain-variant-unknown': ({ named: [instance] }) =>
    instance?.kind === 'instance' &&
    Object.values(instance.values).some(({ is }) => is !== 'value'),
  'plain-state-of-whole': ({ named: [instance], before }) => {
    const of =
      instance?.kind === 'instance' ? docOf(before, 'component', instance.component) : undefined;
    return Object.values(of?.rules ?? {}).some(({ when }) => when.pseudo?.of === 'root');
  },
  'plain-entry-chosen': ({ named: [instance], before }) => {
    const of =
      instance?.kind === 'instance' ? docOf(before, 'component', instance.component) : undefined;
    return JSON.stringify(of?.nodes).includes('"path"');
  },
  'not-that-any-more': ({ args, before }) => {
    const places = args['places'] as { doc: string; path: string }[];
    return places.some(
      ({ doc, path }) =>
        (readAt(before.get(doc), path) as Declared | undefined)?.css !== args['css'],
    );
  },
  'repeats-by-outside': ({ args, before }) => holdsKind(before, args, 'repeat'),
  'as-it-was-then': ({ args, before }) => {
    const { format: _, version: __, former: ___, ...was } = args['was'] as Record<string, unknown>;
    const is = before.get(was['id'] as string) as unknown as Record<string, unknown>;
    return Object.keys(was).every((member) => sameJson(was[member], is[member]));
  },
  'width-taken': ({ args, before }) =>
    Object.values(before.site.widths).some(({ max }) => max === args['max']),
};

/**
 * Refusals counted by their reasons. For each reason something plain and slow, that knows nothing of the edit, says whether
 * it is right.
 */
export class JudgedRefusals {
  private readonly counts = new Map<string, number>();
  private readonly withoutReason = new Map<string, string>();
  /** What was refused wrongly, with where. */
  readonly wrong: string[] = [];

  /** What was refused for a reason that nothing here judges. */
  get unknown(): string[] {
    return [...this.withoutReason.values()];
  }

  /** How often each reason was given, the most frequent first. */
  get counted(): [string, number][] {
    return [...this.counts].sort((a, b) => b[1] - a[1]);
  }

  judge(given: RefusedEdit): void {
    const refused = new Refused(given);
    const { said } = refused;
    const isRight = REASONS[said.code];
    this.counts.set(said.code, (this.counts.get(said.code) ?? 0) + 1);
    const where = `${given.edit.name}: ${saidText(said)} ${given.refusal.doc ?? ''}${given.refusal.path ?? ''}`;
    if (isRight ? !isRight(refused) : NESTING.has(said.code) && !isNestedWrongly(refused))
      this.wrong.push(where);
    if (!isRight && !NESTING.has(said.code)) this.withoutReason.set(said.code, where);
  }
}

function isNestedWrongly({ after, tree }: Refused): boolean {
  return new WrittenOut(after!, tree).fault !== undefined;
}

function isUnstyled(node: ReturnType<typeof nodeIn>): boolean {
  return node !== undefined && node.kind !== 'element' && node.kind !== 'instance';
}

function hasTwice(list: readonly string[]): boolean {
  return new Set(list).size < list.length;
}

function isPlaced(documents: Documents, component: string): boolean {
  return [...documents].some(
    (doc) =>
      (doc.kind === 'site' &&
        (doc.surround === component ||
          Object.values(doc.fonts).some(({ asset }) => asset === component))) ||
      ((doc.kind === 'page' || doc.kind === 'component') &&
        Object.values(doc.nodes).some(
          (node) =>
            (node.kind === 'instance' && node.component === component) ||
            (node.kind === 'repeat' &&
              'type' in node.query.from &&
              node.query.from.type === component),
        )) ||
      (doc.kind === 'page' && doc.entries === component) ||
      (doc.kind === 'entry' && doc.type === component),
  );
}

/** Whether something that the arguments name by an id is not there. */
function isMissing({ args, before }: Refused): boolean {
  const ids: string[] = [];
  const gather = (value: unknown): void => {
    if (typeof value === 'string') ids.push(value);
    else if (typeof value === 'object' && value !== null) Object.values(value).forEach(gather);
  };
  gather(args);
  const there = new Set<string>();
  for (const doc of before) {
    there.add(doc.id);
    for (const member of Object.values(doc))
      if (typeof member === 'object' && member !== null)
        for (const id of Object.keys(member as object)) there.add(id);
  }
  return ids.some((id) => !there.has(id));
}

function holdsNoWords({ tree, id, node, parent }: Refused): boolean {
  const holder = node.kind === 'text' ? parent : node;
  const holds =
    node.kind === 'text' ||
    Object.values(tree.nodes).some((each) => each.kind === 'text' && each.place.parent === id);
  return holder?.kind === 'element' && !takesText(holder.tag) && holds;
}

function readsFarRepeat({ given, tree, id }: Refused): boolean {
  const around = ancestorsOf(tree.nodes, id);
  return (
    JSON.stringify(own(tree.nodes, id) ?? {}).includes('"repeat"') &&
    given.refusal.path !== undefined &&
    !around.every((each) => tree.nodes[each]!.kind === 'repeat')
  );
}

/** Whether the name of what an instance places begins with one of some folders. */
function isInFolder(documents: Documents, node: TreeNode, folders: object): boolean {
  const name =
    node.kind === 'instance' ? (docOf(documents, 'component', node.component)?.name ?? '') : '';
  return Object.keys(folders).some((folder) =>
    name.split('/').slice(0, -1).join('/').startsWith(folder),
  );
}

function slotTakesOthers(refused: Refused): boolean {
  const { after, tree } = refused;
  const label = refused.about('slot');
  return Object.entries(tree.nodes).some(([id, node]) => {
    if (node.kind !== 'instance') return false;
    const slots = docOf(after!, 'component', node.component)?.slots ?? {};
    return Object.entries(slots).some(
      ([slot, made]) =>
        made.label === label &&
        (made.allows ?? made.allowsFolders ?? made.allowsTags) &&
        stands(id, slot).some((each) => isOther(each, made)),
    );
  });

  function stands(parent: string, slot?: string): TreeNode[] {
    return Object.values(tree.nodes).filter(
      ({ place }) => place.parent === parent && place.slot === slot,
    );
  }
  function isOther(each: TreeNode, made: Slot): boolean {
    if (each.kind === 'repeat') {
      const [id] = Object.entries(tree.nodes).find(([, node]) => node === each)!;
      return stands(id).some((item) => isOther(item, made));
    }
    return (
      !(each.kind === 'instance' && own(made.allows ?? {}, each.component)) &&
      !(each.kind === 'element' && own(made.allowsTags ?? {}, each.tag)) &&
      !isInFolder(after!, each, made.allowsFolders ?? {})
    );
  }
}

function slotIsFull(refused: Refused): boolean {
  const { after, tree } = refused;
  const label = refused.about('slot');
  const most = refused.about('most');
  return Object.entries(tree.nodes).some(([id, node]) => {
    if (node.kind !== 'instance') return false;
    const slots = docOf(after!, 'component', node.component)?.slots ?? {};
    return Object.entries(slots).some(
      ([slot, made]) =>
        made.label === label &&
        Object.values(tree.nodes).filter(
          (each) => each.place.parent === id && each.place.slot === slot,
        ).length > Number(most),
    );
  });
}

function badAttribute({ given, node, tree, args }: Refused): boolean {
  const tokens = tokensOf(given.refusal.path!);
  // What a rule says of an element: only the edit says which attribute it is.
  if (tokens[0] === 'rules') {
    const element = own(tree.nodes, tokens[3]!);
    const { control, source: said } = args as { control: Control; source: Source };
    return (
      element?.kind === 'element' &&
      control.of === 'attribute' &&
      said.is === 'value' &&
      attributeFault(element.tag, control.name, said.value as string) !== null
    );
  }
  const name = tokens.at(-1)!;
  const source = node.kind === 'element' ? node.attributes[name] : undefined;
  return (
    node.kind === 'element' &&
    source?.is === 'value' &&
    typeof source.value === 'string' &&
    attributeFault(node.tag, name, source.value) !== null
  );
}

function leadsBack(documents: Documents, args: Record<string, unknown>): boolean {
  const style = args['style'] as string;
  let at = (args['set'] as { base?: string | null }).base ?? null;
  for (let steps = 0; at !== null && steps < 1000; steps += 1) {
    if (at === style) return true;
    at = docOf(documents, 'style', at)?.base ?? null;
  }
  return false;
}

function standsInItself({ args, before }: Refused): boolean {
  const { nodes } = treeDocOf(before, args['doc'] as string)!;
  const parents = new Map(Object.entries(nodes).map(([id, { place }]) => [id, place.parent]));
  // One after the other, as they are made: at each step the whole way up is walked.
  return (args['moves'] as { node: string; place: { parent: string } }[]).some(
    ({ node, place }) => {
      parents.set(node, place.parent);
      let at: string | null = place.parent;
      for (let steps = 0; at !== null && steps <= parents.size; steps += 1) {
        if (at === node) return true;
        at = parents.get(at) ?? null;
      }
      return false;
    },
  );
}

function someNull({ set }: Record<string, unknown>): boolean {
  return (set as { source: unknown }[] | undefined)?.some(({ source }) => source === null) ?? false;
}

function holdsKind(documents: Documents, args: Record<string, unknown>, kind: string): boolean {
  const tree = treeDocOf(documents, args['doc'] as string)!;
  return Object.entries(tree.nodes).some(
    ([id, node]) =>
      node.kind === kind &&
      (id === args['node'] || ancestorsOf(tree.nodes, id).includes(args['node'] as string)),
  );
}

/** All acts that an edit gives, those for when one fails among them. */
function actsGiven(args: Record<string, unknown>): Act[] {
  const found: Act[] = [];
  const look = (value: unknown): void => {
    if (typeof value !== 'object' || value === null) return;
    if ('do' in value) found.push(value as Act);
    Object.values(value).forEach(look);
  };
  look(args);
  return found;
}

/** The elements that an act names: to which it does something, of which it asks what it says. */
function namedByAct(act: Act): string[] {
  if ('node' in act) return [act.node];
  return act.do === 'set' && typeof act.to === 'object' && 'field' in act.to ? [act.to.field] : [];
}

interface StateSet {
  readonly act: SetAct;
  readonly isOwn: boolean;
  readonly property: Property | undefined;
}

/** The states that the acts of an edit set. */
function statesSet({ args, before }: Refused): StateSet[] {
  return actsGiven(args).flatMap((act) => {
    if (act.do !== 'set') return [];
    const { state } = act;
    const isOwn = 'is' in state;
    const of = isOwn ? (args['doc'] as string) : state.component;
    const { property } = state as { property: string };
    const properties = docOf(before, 'component', of)?.properties ?? {};
    return [{ act, isOwn, property: own(properties, property) }];
  });
}
