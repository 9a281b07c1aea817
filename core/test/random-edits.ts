import fc from 'fast-check';
import { clipOf, fitClip } from '../carry';
import {
  controlsOf,
  danglingIn,
  differencesOf,
  doEdit,
  EDITS,
  idsWhenPlain,
  isRefusal,
  keyFor,
  listsAround,
  referencesOf,
  rulesNaming,
  sayingOf,
  tagsFor,
  type Change,
  type EditName,
  type NamedEdit,
  type Past,
  type Refusal,
} from '../edit';
import { plant, STARTERS, type Branch, type Started } from '../ready';
import {
  allOf,
  docOf,
  ELEMENT_ACTS,
  FORMAT,
  HAPPENINGS,
  MEDIA_TYPES,
  type TokenGroup,
  IMAGE,
  placeAt,
  SWIPES,
  tagFamily,
  TAGS,
  text,
  type Act,
  type Acts,
  type ComponentDoc,
  type Documents,
  type Format,
  type EntryDoc,
  type Field,
  type Literal,
  type PageDoc,
  type Place,
  type SetAct,
  type Source,
  type TreeDoc,
  type TreeNode,
  type TypeDoc,
  literal,
  own,
  ENTRY,
  TEXT,
  type Operator,
  type PositionAs,
  type StyleDoc,
  type View,
  type Typed,
  type TypeSpec,
  treeDocOf,
} from '../model';
import { say } from '../said';
import { feeds } from '../value';
import { valuesOf } from './arbitrary-values';
import { SPECS } from './every-kind';
import { counter, TIMES } from './small-site';

/** Numbers that choose: each call takes the next, so that a run of edits is a list of numbers. */
class Choices {
  private at = 0;

  constructor(private readonly numbers: readonly number[]) {}

  below(limit: number): number {
    const { numbers, at } = this;
    const number = numbers[at % numbers.length] ?? 0;
    // Once all are used up, others come in: else what comes last would go by the number that chose the edit.
    const round = Math.floor(at / numbers.length);
    const more = round * (numbers[(at + round) % numbers.length] ?? 0);
    this.at += 1;
    return limit === 0 ? 0 : (number + more) % limit;
  }

  of<T>(list: readonly T[]): T | undefined {
    return list[this.below(list.length)];
  }
}

/** Types that a property may come to have. */
const RETYPED: readonly TypeSpec[] = [
  ...Object.values(SPECS),
  { kind: 'text', longest: 20 },
  { kind: 'number', least: 0 },
  {
    kind: 'choice',
    options: {
      old: { label: 'Old', order: 'a0', gone: 'new' },
      older: { label: 'Older', order: 'a1', gone: true },
      new: { label: 'New', order: 'a2' },
    },
  },
];

/** A value for tokens of each group. */
const TOKEN_VALUES: Readonly<Record<TokenGroup, string>> = {
  colour: 'oklch(60% .1 200)',
  space: '1.5rem',
  size: '20px',
  family: 'serif',
  weight: '600',
  lineHeight: '1.4',
  radius: '4px',
  border: '2px dashed #123456',
  shadow: '0 1px 2px #0003',
  duration: '150ms',
  easing: 'ease-in',
  stroke: 'solid',
  gradient: 'linear-gradient(#123456,#654321)',
};

const WORDS = ['mend', 'a & b', '<i>not markup</i>', 'a "quoted" thing', '', 'long '.repeat(20)];
const DECLARATIONS: readonly [string, string][] = [
  ['padding', '10px 20px'],
  ['color', '#123456'],
  ['font-size', '2rem'],
  ['margin-top', 'calc( 1em + 2px )'],
  ['display', 'grid'],
  ['border', '1px solid red'],
];
const WIDTHS = ['base', 'base', 'w960', 'w600', 'w900'];

/** A branch that needs no styles of its own. */
function alone(branch: Branch): Started {
  return { branch, styles: [], components: [] };
}

/** One edit that was done in a run. */
export interface DoneEdit {
  readonly id: string;
  readonly edit: NamedEdit;
  readonly changes: Change[];
  readonly before: Documents;
  readonly after: Documents;
}

/** Chooses one edit on a state of a site. What it gives may be refused; nothing when there is nothing it could be done to. */
class Chooser {
  readonly id: () => string;
  private readonly doc: TreeDoc;
  private readonly nodes: string[];

  constructor(
    private readonly documents: Documents,
    private readonly choices: Choices,
    private readonly step: number,
    private readonly done: readonly DoneEdit[],
    salt: number,
  ) {
    this.id = counter(`r${step}x${salt}x`);
    const trees: TreeDoc[] = [...allOf(documents, 'page'), ...allOf(documents, 'component')];
    this.doc = choices.of(trees)!;
    this.nodes = Object.keys(this.doc.nodes).sort();
  }

  /** One node or two that stand apart, so that what moves or goes is more than one at times. */
  private several(): string[] {
    const one = this.node();
    const other = this.choices.below(3) === 0 ? this.node() : one;
    return one === other ? [one] : [one, other];
  }

  private node(): string {
    return this.choices.of(this.nodes)!;
  }

  private component(): ComponentDoc | undefined {
    return this.choices.of(allOf(this.documents, 'component'));
  }

  private isPlaced(component: string): boolean {
    return [...this.documents].some((doc) => referencesOf(doc).some(({ to }) => to === component));
  }

  /** An entry: half of the time one of few that hold a value of every kind. */
  private entry(): EntryDoc | undefined {
    const all = allOf(this.documents, 'entry');
    const things = all.filter(({ type }) => type === 'thing');
    return this.choices.of(things.length > 0 && this.choices.below(2) === 0 ? things : all);
  }

  private page(): PageDoc {
    return this.choices.of(allOf(this.documents, 'page'))!;
  }

  private words(): string {
    return this.choices.of(WORDS)!;
  }

  private place(): Place {
    const parent = this.node();
    const stored = this.doc.nodes[parent]!;
    const component =
      stored.kind === 'instance' ? docOf(this.documents, 'component', stored.component) : undefined;
    const slot = component ? this.choices.of(Object.keys(component.slots).sort()) : undefined;
    return placeAt(this.doc.nodes, parent, this.choices.below(5), slot);
  }

  /** A value of a type that somebody might set, with what happens where it is empty. */
  private literal(type: TypeSpec): Source {
    const { choices } = this;
    const source =
      choices.below(2) === 0
        ? this.usual(type)
        : literal(fc.sample(valuesOf(type.kind), { seed: choices.below(100_000), numRuns: 1 })[0]!);
    if (choices.below(6) > 0) return source;
    const whenEmpty = choices.of([
      'hide',
      'nothing',
      'default',
      { use: this.usual(type) },
    ] as const)!;
    return { ...source, whenEmpty };
  }

  /** The same as content holds it. */
  private typed(type: TypeSpec): Typed {
    const { is: _, whenEmpty: __, ...value } = this.literal(type) as Literal;
    return value;
  }

  /** Some acts that somebody might write in a document. */
  private acts(doc: TreeDoc, deep: number): Acts {
    const { choices } = this;
    const made: Acts = {};
    for (let i = choices.below(5); i >= 0; i -= 1) {
      const act = this.act(doc);
      made[`act-${i}`] = {
        ...act,
        ...(choices.below(4) === 0 ? { if: this.usual({ kind: 'boolean' }) } : {}),
        ...(deep === 0 && choices.below(4) === 0 ? { failing: this.acts(doc, deep + 1) } : {}),
      };
    }
    return made;
  }

  private act(doc: TreeDoc): Act {
    const { choices, documents } = this;
    const order = choices.of(['a0', 'a1', 'b00'])!;
    const properties: ComponentDoc['properties'] = doc.kind === 'component' ? doc.properties : {};
    const some = (of: (id: string) => boolean) =>
      choices.of([...Object.keys(properties).sort().filter(of), ...Object.keys(properties).sort()]);
    const does = choices.of([
      'set',
      'set',
      'around',
      'action',
      'go',
      ...ELEMENT_ACTS,
      'copy',
      'ask',
      'wait',
    ] as const)!;
    switch (does) {
      case 'around':
      case 'set': {
        const open = allOf(documents, 'component').flatMap((component) =>
          Object.keys(component.properties)
            .sort()
            .filter((each) => component.properties[each]!.state?.open)
            .map((each) => ({ component: component.id, property: each })),
        );
        const mine = some((each) => properties[each]!.state !== undefined);
        const state: SetAct['state'] | undefined =
          mine === undefined || does === 'around'
            ? choices.of(open)
            : { is: 'property', property: mine };
        if (!state) break;
        const value = mine === undefined ? text('so') : properties[mine]!.default;
        const field = this.actedOn(doc, false);
        const to = choices.of([
          'next',
          'before',
          'other',
          { value },
          { answer: 'said' },
          { field },
        ] as const)!;
        return { order, do: 'set', state, to };
      }
      case 'action': {
        const given = some((each) => properties[each]!.type.kind === 'action');
        if (given === undefined) break;
        return { order, do: 'action', action: { is: 'property', property: given } };
      }
      case 'go':
        return { order, do: 'go', to: this.usual({ kind: 'link' }) };
      case 'copy':
        return { order, do: 'copy', words: this.usual({ kind: 'text' }) };
      case 'ask': {
        const address = text(choices.of(['/ask', 'https://example.com/a', 'javascript:1'])!);
        return {
          order,
          do: 'ask',
          address,
          ...(choices.below(2) === 0 ? { post: true as const } : {}),
        };
      }
      case 'wait':
        break;
      default:
        return { order, do: does, node: this.actedOn(doc, does === 'send') };
    }
    return { order, do: 'wait', seconds: this.usual({ kind: 'number' }) };
  }

  /** What a state counts: mostly a list; now and then what is none. */
  private repeated({ nodes }: TreeDoc): string {
    const all = Object.keys(nodes).sort();
    return (
      this.choices.of(all.filter((each) => nodes[each]!.kind === 'repeat')) ?? this.choices.of(all)!
    );
  }

  /** What an act names: mostly an element, a form where it is sent; now and then what it cannot be. */
  private actedOn({ nodes }: TreeDoc, isForm: boolean): string {
    const { choices } = this;
    const all = Object.keys(nodes).sort();
    const fit = all.filter((each) => {
      const node = nodes[each]!;
      return node.kind === 'element' && (!isForm || node.tag === 'form');
    });
    return (choices.below(5) === 0 ? undefined : choices.of(fit)) ?? choices.of(all)!;
  }

  /** What people set for the most part: words, a choice, what the site holds. */
  private usual(type: TypeSpec): Source {
    const { choices, documents } = this;
    const of = (value: unknown) => ({ is: 'value', type: type.kind, value }) as Source;
    switch (type.kind) {
      case 'text':
        return text(this.words());
      case 'boolean':
        return of(choices.below(2) === 0);
      case 'number':
        return of(choices.below(9));
      case 'date':
        return of(`2026-0${1 + choices.below(9)}-11`);
      case 'entry':
        return of(this.entry()?.id ?? null);
      case 'entries':
        return of([...new Set([this.entry()?.id, this.entry()?.id])].filter((id) => id));
      case 'image': {
        const asset = choices.of(
          allOf(documents, 'asset').filter(({ mediaType }) => mediaType.startsWith('image/')),
        );
        return of(asset ? { asset: asset.id } : null);
      }
      case 'link': {
        const page = this.page();
        if (choices.below(3) === 0) return of({ to: 'address', href: 'https://example.com/' });
        const entry =
          page.entries === null
            ? undefined
            : allOf(documents, 'entry').find(({ type: each }) => each === page.entries);
        return of(
          entry ? { to: 'page', page: page.id, entry: entry.id } : { to: 'page', page: page.id },
        );
      }
      case 'length':
        return of({ value: choices.below(90), unit: 'px' });
      case 'colour':
        return of(`#00${choices.below(10)}0ff`);
      case 'choice':
        return of(choices.of(Object.keys(type.options).sort()) ?? null);
      case 'rich': {
        const style = this.style();
        return of([
          { tag: 'h3', children: [this.words()] },
          { tag: 'p', children: [this.words(), { tag: 'em', children: [this.words()] }] },
          {
            tag: 'span',
            ...(style === undefined ? {} : { style }),
            children: [this.words()],
          },
          this.words(),
        ]);
      }
      case 'action':
        return {
          is: 'acts',
          acts: { 'act-0': { order: 'a0', do: 'copy', words: text(this.words()) } },
        };
      case 'icon':
        return of({
          name: 'mark',
          box: [0, 0, 24, 24],
          drawn: choices.of(['lines', 'areas']),
          shapes: [{ tag: 'path', geometry: { d: 'M4 4h16' } }],
        });
      case 'video':
        return of({ asset: choices.of(allOf(documents, 'asset'))?.id ?? 'gone' });
      case 'tag':
      case 'theme':
      case 'style':
        return of(choices.of(Object.keys(type.of).sort()) ?? null);
      case 'list': {
        const fields = Object.keys(type.fields).sort();
        return of(
          Array.from({ length: choices.below(4) }, () => ({
            id: this.id(),
            values: Object.fromEntries(
              fields.map((field) => [field, { type: 'text', value: this.words() }]),
            ),
          })),
        );
      }
    }
  }

  /** A field that may feed a type, of the page's entry or across one of its references. */
  private bound(type: TypeSpec, page: PageDoc): Source | undefined {
    const content = page.entries && docOf(this.documents, 'type', page.entries);
    if (!content) return undefined;
    const paths: string[][] = [[]];
    for (const [id, field] of Object.entries(content.fields)) {
      if (feeds(field.type.kind, type.kind)) paths.push([id]);
      const of = field.type.kind === 'entry' ? field.type.of : undefined;
      const other = of === undefined ? undefined : docOf(this.documents, 'type', of);
      for (const [inner, { type: each }] of Object.entries(other?.fields ?? {}))
        if (feeds(each.kind, type.kind)) paths.push([id, inner]);
    }
    const whenEmpty = this.choices.of([
      'hide',
      'nothing',
      'default',
      { use: text('none') },
    ] as const)!;
    return { is: 'field', from: 'page', path: this.choices.of(paths)!, whenEmpty };
  }

  /** Where an item of a repeat stands among the others. */
  private position(repeat: string, as: PositionAs): Source {
    const whenEmpty = this.choices.of([
      undefined,
      'hide',
      'nothing',
      'default',
      { use: text('none') },
    ] as const);
    return { is: 'position', repeat, as, ...(whenEmpty ? { whenEmpty } : {}) };
  }

  /** Something that gives a value at a place of a document: a literal, or what can be read there. */
  private source(type: TypeSpec, at: TreeDoc = this.doc): Source {
    if (this.choices.below(2) === 0) return this.literal(type);
    if (this.choices.below(type.kind === 'rich' ? 2 : 4) === 0) return this.workedOut(type, at);
    const read = at.kind === 'page' ? this.bound(type, at) : this.handedIn(type, at);
    return read ?? this.literal(type);
  }

  /** Something worked out from what can be read there. */
  private workedOut(type: TypeSpec, at: TreeDoc): Source {
    const { choices } = this;
    const read =
      (at.kind === 'page' ? this.bound(type, at) : this.handedIn(type, at)) ?? this.usual(type);
    const cel = choices.of(['empty(n0) ? n1 : n0', 'n1', '!empty(n0) && n1 == n0 ? n0 : n1'])!;
    const whenEmpty = choices.of([undefined, 'hide', { use: this.usual(type) }] as const);
    const names = { n0: read, n1: this.usual(type) };
    if ((type.kind === 'text' || type.kind === 'rich') && choices.below(2) === 0)
      return this.aroundValues(type.kind, names, whenEmpty);
    return { is: 'expression', cel, names, ...(whenEmpty ? { whenEmpty } : {}) };
  }

  /** Words around what names stand for, written in one of the ways there are. */
  private aroundValues(
    of: 'text' | 'rich',
    names: Record<string, Source>,
    whenEmpty: Source['whenEmpty'],
  ): Source {
    const { choices } = this;
    const format = choices.of<Format | undefined>([
      undefined,
      { as: 'number', most: 2, of: { is: 'unit', unit: 'meter' } },
      { as: 'plural', forms: { one: '# year', other: '# years' } },
    ]);
    const place = { place: 'n0', ...(format ? { format } : {}) };
    const rest = { names, ...(whenEmpty ? { whenEmpty } : {}) };
    const style = this.style();
    return of === 'text'
      ? { is: 'words', of, pieces: [this.words(), place, { place: 'n1' }], ...rest }
      : {
          is: 'words',
          of,
          pieces: [
            place,
            { tag: 'span', ...(style === undefined ? {} : { style }), children: [this.words()] },
            {
              tag: 'a',
              link: { to: 'page', page: this.page().id },
              children: [{ place: 'n1' }],
            },
          ],
          ...rest,
        };
  }

  /** A property of a definition that may feed a type. */
  private handedIn(type: TypeSpec, { properties }: ComponentDoc): Source | undefined {
    const fitting = Object.keys(properties)
      .sort()
      .filter((id) => feeds(properties[id]!.type.kind, type.kind));
    const property = this.choices.of(fitting);
    return property === undefined ? undefined : { is: 'property', property };
  }

  private operator(): Operator {
    return this.choices.of([
      'equals',
      'equals',
      'differs',
      'contains',
      'atLeast',
      'atMost',
      'above',
      'below',
      'empty',
      'filled',
    ] as const)!;
  }

  /** Something to place: a starter with its styles, an instance with what fills its slots, a repeat of a query. */
  private started(): Started {
    const { choices, documents } = this;
    switch (choices.below(4)) {
      case 0: {
        const component = this.component();
        if (!component) break;
        const [slot] = Object.keys(component.slots).sort();
        return slot === undefined
          ? alone({ component: component.id })
          : alone({
              component: component.id,
              slots: { [slot]: [{ tag: 'p', text: 'In a slot' }] },
            });
      }
      case 1: {
        const type = choices.of(allOf(documents, 'type'))!;
        const fields = Object.keys(type.fields).sort();
        const field = choices.of(fields)!;
        const reference = Object.keys(type.fields).find(
          (id) => type.fields[id]!.type.kind === 'entry',
        );
        const equals = this.doc.kind === 'page' ? this.bound(ENTRY, this.doc) : undefined;
        const id = this.id();
        const read = (path: string[]): Source => ({ is: 'field', from: { repeat: id }, path });
        return alone({
          tag: 'div',
          children: [
            {
              id,
              repeat: {
                from: { type: type.id },
                where:
                  reference && equals
                    ? { here: { path: [reference], is: this.operator(), source: equals } }
                    : {},
                order: { by: { path: [field], descending: choices.below(2) === 0, order: 'a0' } },
                limit: literal({ type: 'number', value: 1 + choices.below(4) }),
                ...(choices.below(3) === 0
                  ? { offset: literal({ type: 'number', value: choices.below(3) }) }
                  : {}),
                ...(choices.below(3) === 0 ? { perPage: 1 + choices.below(3) } : {}),
                ...(equals && choices.below(3) === 0
                  ? { related: { to: equals, path: [field] } }
                  : {}),
              },
              children: [
                { tag: 'p', text: read([choices.of(fields)!]) },
                { tag: 'p', text: this.position(id, 'number') },
                {
                  tag: 'p',
                  shown: this.position(id, choices.of(['first', 'last', 'even', 'odd'])!),
                  text: 'Now and then',
                },
                {
                  tag: 'h3',
                  shown: {
                    is: 'begins',
                    repeat: id,
                    of: this.choices.of([
                      read([choices.of(fields)!]),
                      { ...read([choices.of(fields)!]), whenEmpty: 'hide' as const },
                      this.position(id, 'even'),
                    ])!,
                  },
                  text: 'Something begins',
                },
              ],
              slots: { none: [{ tag: 'p', text: 'None' }] },
            },
            { tag: 'p', text: { is: 'leaf', repeat: id, as: choices.of(['number', 'count'])! } },
            {
              tag: 'a',
              attributes: { href: { is: 'leaf', repeat: id, as: choices.of(['before', 'next'])! } },
              text: 'On',
            },
          ],
        });
      }
    }
    return choices.of(STARTERS)!.make(documents, this.id);
  }

  /** A part of what a repeat asks for, or `null` to take it away. */
  private query(node: string): Extract<NamedEdit, { name: 'setQuery' }>['args']['set'] {
    const { choices, documents, doc } = this;
    const stored = doc.nodes[node] as Extract<TreeNode, { kind: 'repeat' }>;
    const asked = 'type' in stored.query.from ? stored.query.from.type : undefined;
    const type = docOf(documents, 'type', asked ?? '') ?? choices.of(allOf(documents, 'type'))!;
    const field = choices.of(Object.keys(type.fields).sort())!;
    const number = literal({ type: 'number', value: choices.below(4) });
    return choices.of([
      { type: choices.of(allOf(documents, 'type'))!.id },
      ...listsAround(documents, doc, node).map(({ source }) => ({ list: source })),
      { limit: number },
      { limit: null },
      { offset: number },
      { offset: null },
      { perPage: 1 + choices.below(4) },
      { perPage: null },
      {
        where: choices.of([...Object.keys(stored.query.where).sort(), 'here'])!,
        condition: choices.of([
          null,
          { path: [field], is: this.operator(), source: this.source(type.fields[field]!.type) },
          {
            path: [field],
            is: this.operator(),
            source: this.source(type.fields[field]!.type),
            or: { further: this.source(type.fields[field]!.type) },
            group: choices.of([...Object.keys(stored.query.groups ?? {}).sort(), 'together'])!,
          },
        ])!,
      },
      { any: choices.below(2) === 0 },
      {
        group: choices.of([...Object.keys(stored.query.groups ?? {}).sort(), 'together'])!,
        made:
          choices.of([null, { of: 'any' as const }, { of: 'all' as const, group: 'together' }]) ??
          null,
      },
      {
        order: choices.of([...Object.keys(stored.query.order).sort(), 'by'])!,
        key: choices.of([
          null,
          { path: [field], descending: choices.below(2) === 0, order: 'a1' },
        ])!,
      },
    ])!;
  }

  /** A declaration with its value or a token, or taken back, in some state at times. */
  private declaring(property: string, value: string) {
    const { choices } = this;
    const state =
      choices.below(4) === 0 ? { state: choices.of([':hover', ':active'] as const)! } : {};
    if (choices.below(3) === 0) return { property, ...state, css: null };
    const token = property === 'color' && choices.below(2) === 0 ? this.token() : undefined;
    return token === undefined
      ? { property, ...state, css: value }
      : { property, ...state, css: 'var(--x)', tokens: { x: token } };
  }

  /** Shared styles as a file would bring them: none, one that is there, a new one. */
  private takenStyles(step: number): StyleDoc[] {
    const { choices, documents } = this;
    const known = choices.of(allOf(documents, 'style'));
    if (!known || choices.below(2) === 0) return [];
    const style = { color: { css: 'teal' } };
    return choices.below(2) === 0
      ? [{ ...known, style }]
      : [{ ...known, id: `taken-style-${step}`, name: `Taken ${step}`, base: null, style }];
  }

  private style(): string | undefined {
    return this.choices.of(allOf(this.documents, 'style'))?.id;
  }

  /** A token that holds a colour. */
  private token(): string | undefined {
    const { tokens } = this.documents.tokens;
    return this.choices.of(Object.keys(tokens).filter((id) => tokens[id]!.type === 'colour'));
  }

  private theme(): string | undefined {
    return this.choices.of(Object.keys(this.documents.tokens.themes ?? {}).sort());
  }

  /** A colour that the open document declares, and where; some colour where it declares none. */
  private valueInUse(): [string, { doc: string; path: string }[]] {
    const found = this.nodes.flatMap((node) => {
      const stored = this.doc.nodes[node]!;
      const declared = 'style' in stored ? stored.style['color'] : undefined;
      const path = `/nodes/${node}/style/color`;
      return declared && !declared.refs ? [{ css: declared.css, doc: this.doc.id, path }] : [];
    });
    const css = this.choices.of(found)?.css ?? '#224466';
    const places = found.filter((each) => each.css === css);
    return [css, places.map(({ doc, path }) => ({ doc, path }))];
  }

  /** A rule of some definition, and one of that definition's nodes. */
  private patch(): { component: string; rule: string; node: string } | undefined {
    const { choices } = this;
    const component = choices.of(
      allOf(this.documents, 'component').filter(({ rules }) => Object.keys(rules).length > 0),
    );
    if (!component) return undefined;
    const styled = Object.keys(component.nodes).filter((id) =>
      ['element', 'instance'].includes(component.nodes[id]!.kind),
    );
    const rule = choices.of(Object.keys(component.rules))!;
    return { component: component.id, rule, node: choices.of(styled)! };
  }

  /** A choice of some definition, and one of its options. */
  private choice():
    | { of: { component: string; property: string }; option: string; options: string[] }
    | undefined {
    const { choices } = this;
    const all = allOf(this.documents, 'component').flatMap(({ id, properties }) =>
      Object.keys(properties)
        .sort()
        .flatMap((property) => {
          const { type } = properties[property]!;
          return type.kind === 'choice'
            ? [{ of: { component: id, property }, options: Object.keys(type.options).sort() }]
            : [];
        }),
    );
    const found = choices.of(all);
    return found && { ...found, option: choices.of([...found.options, 'nobody'])! };
  }

  choose(name: EditName): NamedEdit | undefined {
    const { choices, documents, doc, id, step } = this;
    switch (name) {
      case 'place': {
        const { branch, styles, components } = this.started();
        const { root, nodes } = plant(branch, this.place(), id);
        return {
          name,
          args: { doc: doc.id, root, nodes, styles: [...styles], components: [...components] },
        };
      }
      case 'paste': {
        // From any document to any place of another, with whatever does not fit there.
        const from = choices.of([...allOf(documents, 'page'), ...allOf(documents, 'component')])!;
        const chosen = choices.of(Object.keys(from.nodes).sort())!;
        const clip = clipOf(documents, 'site', from.id, [chosen], this.entry());
        const place = this.place();
        const fitted = clip && fitClip(documents, clip, doc.id, place, id);
        if (!fitted || fitted.roots.length === 0) return undefined;
        const { roots, nodes, bring, restyle, tokens } = fitted;
        return {
          name,
          args: { doc: doc.id, roots: [...roots], nodes, bring: [...bring], restyle, tokens },
        };
      }
      case 'move':
        return {
          name,
          args: {
            doc: doc.id,
            moves: this.several().map((node) => ({ node, place: this.place() })),
          },
        };
      case 'remove':
        return { name, args: { doc: doc.id, nodes: this.several() } };
      case 'nameNode':
        return { name, args: { doc: doc.id, node: this.node(), name: this.words().slice(0, 40) } };
      case 'setControl': {
        const row = choices.of(controlsOf(documents, doc));
        if (!row) return undefined;
        const source = choices.below(6) === 0 ? null : this.source(row.type);
        return { name, args: { doc: doc.id, node: row.node, control: row.control, source } };
      }
      case 'wrap': {
        const node = this.node();
        const { parent, slot } = doc.nodes[node]!.place;
        const beside = this.nodes.filter((each) => {
          const { place } = doc.nodes[each]!;
          return place.parent === parent && place.slot === slot;
        });
        const nodes = [...new Set([node, choices.of(beside)!])];
        return { name, args: { doc: doc.id, nodes, box: id(), tag: 'div' } };
      }
      case 'unwrap':
        return { name, args: { doc: doc.id, node: this.node() } };
      case 'setTag': {
        const node = this.node();
        const fitting = tagsFor(documents, doc, node);
        const tag = choices.of(choices.below(3) === 0 ? [...TAGS] : fitting);
        return tag === undefined ? undefined : { name, args: { doc: doc.id, node, tag } };
      }
      case 'repeatThis': {
        const node = this.node();
        const list = choices.of(listsAround(documents, doc, node));
        const over =
          list && choices.below(2) === 0
            ? { list: list.source }
            : { type: choices.of(allOf(documents, 'type'))!.id };
        return { name, args: { doc: doc.id, node, repeat: id(), ...over } };
      }
      case 'repeatNoMore':
      case 'setQuery': {
        const repeats = this.nodes.filter((each) => doc.nodes[each]!.kind === 'repeat');
        const node = choices.of(repeats);
        if (node === undefined) return undefined;
        return name === 'repeatNoMore'
          ? { name, args: { doc: doc.id, node, entry: this.entry()?.id ?? null } }
          : { name, args: { doc: doc.id, node, set: this.query(node) } };
      }
      case 'declare':
      case 'declareTag': {
        const [property, value] = choices.of(DECLARATIONS)!;
        const declaring = { ...this.declaring(property, value), width: choices.of(WIDTHS)! };
        return name === 'declare'
          ? { name, args: { doc: doc.id, nodes: this.several(), ...declaring } }
          : { name, args: { tag: choices.of(['h1', 'p', 'a', 'ul', 'body', '*'])!, ...declaring } };
      }
      case 'declareShared': {
        const style = choices.of(allOf(documents, 'style'));
        const [property, value] = choices.of(DECLARATIONS)!;
        const width = choices.of(WIDTHS)!;
        return (
          style && { name, args: { style: style.id, ...this.declaring(property, value), width } }
        );
      }
      case 'addStyle': {
        const node = this.node();
        const stored = doc.nodes[node]!;
        const patch = choices.below(3) === 0 ? this.patch() : undefined;
        const said = patch
          ? docOf(documents, 'component', patch.component)?.rules[patch.rule]?.patch[patch.node]
          : stored.kind === 'element' || stored.kind === 'instance'
            ? stored
            : undefined;
        const from = said?.style ?? {};
        const block = Object.fromEntries(Object.entries(from).filter(() => choices.below(2) === 0));
        const where = patch
          ? { doc: patch.component, node: patch.node, rule: patch.rule }
          : { doc: doc.id, node };
        return {
          name,
          args: {
            style: id(),
            name: `Style ${step}`,
            order: choices.of(['a0', 'a1', 'b00'])!,
            base: choices.below(2) === 0 ? null : (this.style() ?? null),
            block,
            from: choices.below(4) === 0 ? null : where,
          },
        };
      }
      case 'setStyle': {
        const style = this.style();
        const set = choices.of([
          { name: `Renamed ${step}` },
          { order: choices.of(['a0', 'a1', 'b00'])! },
          { base: null },
          { base: this.style() ?? null },
        ])!;
        return style === undefined ? undefined : { name, args: { style, set } };
      }
      case 'removeStyles': {
        const style = this.style();
        return style === undefined ? undefined : { name, args: { styles: [style] } };
      }
      case 'wear': {
        const style = this.style();
        return style === undefined
          ? undefined
          : {
              name,
              args: { doc: doc.id, nodes: this.several(), style, on: choices.below(4) > 0 },
            };
      }
      case 'exchangeStyle': {
        const [style, instead] = [this.style(), this.style()];
        return style === undefined || instead === undefined
          ? undefined
          : { name, args: { style, instead } };
      }
      case 'addToken': {
        const [css, places] = this.valueInUse();
        const group = choices.of(Object.keys(TOKEN_VALUES) as TokenGroup[])!;
        if (choices.below(4) !== 0)
          return {
            name,
            args: {
              token: id(),
              name: `token ${step}`,
              group,
              order: 'a0',
              css: TOKEN_VALUES[group],
              places: [],
            },
          };
        return {
          name,
          args: {
            token: id(),
            name: `token ${step}`,
            group: 'colour',
            order: 'a0',
            css: choices.below(3) === 0 ? 'oklch(60% .1 200)' : css,
            places: choices.below(2) === 0 ? [] : places,
          },
        };
      }
      case 'setToken': {
        const token = this.token();
        const other = this.token();
        if (token === undefined) return undefined;
        const set = choices.of([
          { name: `called ${step}` },
          { order: 'b00' },
          { about: this.words() },
          { css: '#445566' },
          { css: 'color-mix(in oklab, var(--x), black 10%)', tokens: { x: other! } },
        ])!;
        return { name, args: { token, set } };
      }
      case 'removeToken': {
        const token = this.token();
        const instead = choices.below(2) === 0 ? null : (this.token() ?? null);
        return token === undefined ? undefined : { name, args: { token, instead } };
      }
      case 'takeTokens': {
        const { tokens, themes = {} } = documents.tokens;
        const token = this.token();
        if (token === undefined) return undefined;
        const fresh = { ...tokens[token]!, name: `taken ${step}` };
        return {
          name,
          args: {
            tokens: choices.below(2) === 0 ? { [id()]: fresh } : { [token]: fresh },
            themes: choices.below(2) === 0 ? {} : { ...themes },
            styles: this.takenStyles(step),
          },
        };
      }
      case 'addTheme':
        return { name, args: { theme: id(), name: `Theme ${step}`, order: 'a0' } };
      case 'setTheme': {
        const theme = this.theme();
        const set = choices.of([{ name: `Theme ${step}` }, { order: 'b00' }])!;
        return theme === undefined ? undefined : { name, args: { theme, set } };
      }
      case 'setInTheme': {
        const [theme, token, other] = [this.theme(), this.token(), this.token()];
        if (theme === undefined || token === undefined) return undefined;
        const value = choices.of([
          { css: null },
          { css: '#ffeedd' },
          { css: 'var(--x)', tokens: { x: other! } },
        ])!;
        return { name, args: { theme, token, ...value } };
      }
      case 'removeTheme': {
        const theme = this.theme();
        return theme === undefined ? undefined : { name, args: { theme } };
      }
      case 'putTheme': {
        const theme = choices.of([null, 'plain', this.theme() ?? null]) ?? null;
        return { name, args: { doc: doc.id, nodes: this.several(), theme } };
      }
      case 'addAxis': {
        const component = this.component();
        if (!component) return undefined;
        const [first, second] = [id(), id()];
        return {
          name,
          args: {
            component: component.id,
            property: id(),
            label: `Axis ${step}`,
            key: `axis${step}`,
            order: choices.of(['a0', 'b00'])!,
            options: {
              [first]: { label: 'One', order: 'a0' },
              [second]: { label: 'Other', order: 'a1' },
            },
            base: choices.of([first, first, first, 'nobody'])!,
          },
        };
      }
      case 'addRule': {
        const component = choices.of(
          allOf(documents, 'component').filter(({ properties }) =>
            Object.values(properties).some(({ type }) => type.kind === 'choice'),
          ),
        );
        if (!component) return undefined;
        const axes: Record<string, string> = {};
        for (const [axis, { type }] of Object.entries(component.properties)) {
          if (type.kind !== 'choice' || choices.below(2) === 0) continue;
          axes[axis] = choices.of([...Object.keys(type.options).sort(), 'nobody'])!;
        }
        return Object.keys(axes).length === 0
          ? undefined
          : { name, args: { component: component.id, rule: id(), order: 'a5', axes } };
      }
      case 'removeRule': {
        const component = choices.of(
          allOf(documents, 'component').filter(({ rules }) => Object.keys(rules).length > 0),
        );
        const rule = component && choices.of(Object.keys(component.rules).sort());
        return rule === undefined ? undefined : { name, args: { component: component!.id, rule } };
      }
      case 'declareRule': {
        const patch = this.patch();
        const [property, value] = choices.of(DECLARATIONS)!;
        const width = choices.of(WIDTHS)!;
        return patch && { name, args: { ...patch, ...this.declaring(property, value), width } };
      }
      case 'setByRule': {
        const patch = this.patch();
        const component = patch && docOf(documents, 'component', patch.component);
        const rows = component ? controlsOf(documents, component) : [];
        const row = choices.of(rows);
        if (!patch || !row) return undefined;
        const source = choices.below(4) === 0 ? null : this.source(row.type, component);
        const { node, control } = row;
        return { name, args: { ...patch, node, control, source } };
      }
      case 'setLookByRule': {
        const patch = this.patch();
        const style = choices.of(allOf(documents, 'style'))?.id ?? 'nobody';
        const at = patch && docOf(documents, 'component', patch.component)!.nodes[patch.node]!;
        const family = at?.kind === 'element' ? tagFamily(at.tag) : [];
        const set = choices.of([
          { tag: choices.of([...family, 'h3', 'ul'])! },
          { theme: null },
          { theme: choices.of([null, 'plain', this.theme() ?? null])! },
          { style, on: choices.below(2) === 0 },
          { style, on: true },
          { back: choices.of(['tag', 'theme'] as const)! },
        ])!;
        return patch && { name, args: { ...patch, set } };
      }
      case 'handDifferences': {
        const component = choices.of(
          allOf(documents, 'component').filter(({ rules }) => Object.keys(rules).length > 0),
        );
        const rules = Object.keys(component?.rules ?? {}).sort();
        const rule = choices.of(rules);
        const found = component && rule !== undefined ? differencesOf(component, rule) : [];
        const of = choices.of(found);
        if (!component || rule === undefined || !of) return undefined;
        const to = choices.of([
          'nobody',
          'base',
          { rule: choices.of([...rules, 'nobody'])! },
        ] as const)!;
        const sayings = found.filter(({ node }) => node === of.node).map(sayingOf);
        return {
          name,
          args: { component: component.id, rule, node: of.node, sayings, to },
        };
      }
      case 'addOption': {
        const choice = this.choice();
        return (
          choice && {
            name,
            args: { ...choice.of, option: id(), label: this.words() || 'new', order: 'a7' },
          }
        );
      }
      case 'setOption': {
        const choice = this.choice();
        const set = choices.of([{ label: 'another' }, { order: 'a3' }])!;
        return choice && { name, args: { ...choice.of, option: choice.option, set } };
      }
      case 'duplicateOption': {
        const choice = this.choice();
        if (!choice) return undefined;
        const { of, option } = choice;
        const component = docOf(documents, 'component', of.component)!;
        const named = rulesNaming(component, of.property, option);
        const rules = Object.fromEntries(named.map((rule) => [rule, id()]));
        const made = choices.below(8) === 0 ? option : id();
        const all = choices.below(6) === 0 ? {} : rules;
        return { name, args: { ...of, option, made, label: 'as it', order: 'a6', rules: all } };
      }
      case 'removeOption': {
        const choice = this.choice();
        if (!choice) return undefined;
        const instead = choices.of([null, choice.option, ...choice.options])!;
        return { name, args: { ...choice.of, option: choice.option, instead } };
      }
      case 'revert': {
        const last = this.done.slice(-1 - choices.below(3));
        return last.length === 0
          ? undefined
          : { name, args: { edits: last.map((each) => each.id) } };
      }
      case 'mend': {
        const dangling = choices.of(danglingIn(documents));
        return dangling && { name, args: { doc: dangling.doc, path: dangling.path } };
      }
      case 'tidy':
        return { name, args: {} };
      case 'addComponent': {
        const component = this.component();
        if (!component) return undefined;
        return {
          name,
          args: { component: { ...component, id: id(), name: `${component.name} ${step}` } },
        };
      }
      case 'makeComponent':
        return {
          name,
          args: {
            doc: doc.id,
            node: this.node(),
            name: `Sections/Made ${step}`,
            component: id(),
            instance: id(),
            ids: Array.from({ length: 30 }, id),
          },
        };
      case 'expose': {
        const component = this.component();
        if (!component) return undefined;
        const row = choices.of(
          controlsOf(documents, component).filter(({ source }) => source?.is !== 'property'),
        );
        if (!row) return undefined;
        const keys = new Set(Object.values(component.properties).map(({ key }) => key));
        const exposed = {
          node: row.node,
          control: row.control,
          property: id(),
          label: row.label,
          key: keyFor(row.label, keys),
          order: 'b00',
          group: { id: id(), label: row.elementName, order: 'b00' },
        };
        // Two of a kind may be one property.
        const alike = controlsOf(documents, component).find(
          ({ node, type, source }) =>
            node !== row.node && type.kind === row.type.kind && source?.is !== 'property',
        );
        const controls =
          alike && choices.below(3) === 0
            ? [exposed, { ...exposed, node: alike.node, control: alike.control }]
            : [exposed];
        return { name, args: { component: component.id, controls } };
      }
      case 'connect': {
        const component = this.component();
        const property = choices.of(Object.keys(component?.properties ?? {}).sort());
        if (!component || property === undefined) return undefined;
        const { type } = component.properties[property]!;
        const fitting = controlsOf(documents, component).filter(
          (row) => feeds(type.kind, row.type.kind) && row.source?.is !== 'property',
        );
        const row = choices.of(fitting);
        if (!row) return undefined;
        const { node, control } = row;
        const holds = choices.of(['what it has', 'what stands there'] as const)!;
        return {
          name,
          args: { component: component.id, property, controls: [{ node, control }], holds },
        };
      }
      case 'makePlain': {
        const node = this.nodes.find((each) => doc.nodes[each]!.kind === 'instance');
        const stored = node === undefined ? undefined : doc.nodes[node];
        const of =
          stored?.kind === 'instance' ? docOf(documents, 'component', stored.component) : undefined;
        if (node === undefined || !of) return undefined;
        const ids = idsWhenPlain(documents, doc.id, node, id);
        return { name, args: { doc: doc.id, node, ids } };
      }
      case 'markPart': {
        const of = this.component();
        const inner = of && choices.of(Object.keys(of.nodes));
        if (!of || inner === undefined) return undefined;
        const called = choices.of([null, 'Button', 'Picture'])!;
        return { name, args: { component: of.id, node: inner, name: called ?? null } };
      }
      case 'declarePart':
      case 'clearPart': {
        const instances = this.nodes.filter((each) => doc.nodes[each]!.kind === 'instance');
        const node = choices.of(instances);
        const stored = node === undefined ? undefined : doc.nodes[node];
        const of =
          stored?.kind === 'instance' ? docOf(documents, 'component', stored.component) : undefined;
        if (node === undefined || !of) return undefined;
        const marked = Object.keys(of.nodes).filter((each) => 'part' in of.nodes[each]!);
        const part = choices.of(marked) ?? choices.of(Object.keys(of.nodes))!;
        return name === 'clearPart'
          ? { name, args: { doc: doc.id, node, part } }
          : {
              name,
              args: {
                doc: doc.id,
                node,
                part,
                ...this.declaring(...choices.of(DECLARATIONS)!),
                width: choices.of(WIDTHS)!,
              },
            };
      }
      case 'exchangeInstances': {
        const instances = this.nodes.filter((each) => doc.nodes[each]!.kind === 'instance');
        const node = choices.of(instances);
        const to = this.component();
        if (node === undefined || !to) return undefined;
        return { name, args: { instances: [{ doc: doc.id, node }], component: to.id } };
      }
      case 'setGround': {
        const source = this.literal(IMAGE);
        const veil = choices.of([null, 'linear-gradient(#0008,#0008)'])!;
        const ground = choices.below(4) === 0 ? null : { source, veil };
        const width = choices.of(WIDTHS)!;
        const patch = choices.below(3) === 0 ? this.patch() : undefined;
        if (patch) {
          const { component, rule, node } = patch;
          return { name, args: { doc: component, rule, nodes: [node], width, ground } };
        }
        return { name, args: { doc: doc.id, nodes: this.several(), width, ground } };
      }
      case 'replaceElement': {
        const elements = this.nodes.filter((each) => doc.nodes[each]!.kind === 'element');
        const node = choices.of(elements);
        const to = this.component();
        if (node === undefined || !to) return undefined;
        return { name, args: { doc: doc.id, node, component: to.id, instance: id() } };
      }
      case 'setControls': {
        const all = this.choices.below(2) === 0 ? this.nodes : this.several();
        const rows = all.flatMap((node) => choices.of(controlsOf(documents, doc, node)) ?? []);
        const set = rows.map(({ node, control, type }) => ({
          doc: doc.id,
          node,
          control,
          source: control.of !== 'text' && choices.below(3) === 0 ? null : this.source(type),
        }));
        return set.length === 0 ? undefined : { name, args: { set } };
      }
      case 'addProperty': {
        const component = this.component();
        if (!component) return undefined;
        const args = {
          component: component.id,
          property: id(),
          label: `Property ${step}`,
          key: `added${step}`,
          type: choices.of(RETYPED)!,
          group: choices.of([null, ...Object.keys(component.groups).sort()])!,
          order: 'a5',
        };
        return { name, args };
      }
      case 'setProperty':
      case 'setGroup': {
        const component = this.component();
        if (!component) return undefined;
        const group = choices.of(Object.keys(component.groups).sort());
        const order = choices.of(['a0', 'a1', 'b00'])!;
        if (name === 'setGroup')
          return group === undefined
            ? undefined
            : {
                name,
                args: {
                  component: component.id,
                  group,
                  set: choices.of([
                    { label: `Group ${step}` },
                    { before: choices.of([null, ...Object.keys(component.groups).sort()])! },
                  ])!,
                },
              };
        const property = choices.of(Object.keys(component.properties).sort());
        if (property === undefined) return undefined;
        const place = {
          group: choices.of([
            null,
            { id: group ?? id(), label: `Group ${step}`, order },
            { id: id(), label: `New ${step}`, order },
          ])!,
          before: choices.of([null, ...Object.keys(component.properties).sort()])!,
        };
        const set = choices.of([
          { help: this.words() },
          { required: choices.below(2) === 0 },
          { place },
          { key: `key${step}` },
          { typedOnly: choices.below(2) === 0 },
          { axis: choices.below(2) === 0 },
          { type: choices.of(RETYPED)! },
        ])!;
        return { name, args: { component: component.id, property, set } };
      }
      case 'addSlot':
      case 'setSlot': {
        const component = this.component();
        if (!component) return undefined;
        const allowed = choices.of(allOf(documents, 'component'))!.id;
        if (name === 'addSlot') {
          const parent = choices.of(Object.keys(component.nodes).sort())!;
          const made = { label: `Slot ${step}`, order: 'a5' };
          const place = placeAt(component.nodes, parent, choices.below(3));
          return {
            name,
            args: { component: component.id, slot: id(), made, node: id(), place },
          };
        }
        const slot = choices.of(Object.keys(component.slots).sort());
        const set = choices.of([
          { label: `Slot ${step}` },
          { allowsTags: choices.of([{ div: true as const }, null])! },
          { allowsFolders: choices.of([{ Fittings: true as const }, null])! },
          { most: choices.of([1, 3, null])! },
          { allows: choices.of([{ [allowed]: true as const }, null])! },
        ])!;
        return slot === undefined
          ? undefined
          : { name, args: { component: component.id, slot, set } };
      }
      case 'bringBack': {
        // What has been edited differs from what it was: that can be brought back.
        const then = choices.of(this.done);
        const was = choices.of(
          (then?.changes ?? []).flatMap(({ doc: id }) => treeDocOf(then!.before, id) ?? []),
        );
        return was && { name, args: { was, revision: step + 1 } };
      }
      case 'unexpose':
      case 'labelProperty':
      case 'setDefault': {
        const component = this.component();
        const all = Object.keys(component?.properties ?? {}).sort();
        const property = choices.of(all);
        if (!component || property === undefined) return undefined;
        const properties = [...new Set([property, choices.of(all)!])];
        if (name === 'unexpose') return { name, args: { component: component.id, properties } };
        if (name === 'labelProperty')
          return { name, args: { component: component.id, property, label: `Label ${step}` } };
        const value = this.literal(component.properties[property]!.type);
        return { name, args: { component: component.id, property, value } };
      }
      case 'makeDefault': {
        const set = this.nodes.flatMap((node) => {
          const stored = doc.nodes[node]!;
          if (stored.kind !== 'instance') return [];
          return Object.keys(stored.values)
            .sort()
            .filter((property) => stored.values[property]!.is === 'value')
            .map((property) => ({ doc: doc.id, node, property }));
        });
        const args = choices.of(set);
        return args && { name, args };
      }
      case 'offerComponent': {
        const component = this.component();
        return (
          component && { name, args: { component: component.id, offered: choices.below(2) === 0 } }
        );
      }
      case 'setState': {
        const component = this.component();
        const property = component && choices.of(Object.keys(component.properties).sort());
        if (!component || property === undefined) return undefined;
        const state = choices.of([
          null,
          {},
          { round: true as const },
          { step: 2 },
          { open: true as const },
          { among: this.repeated(component) },
        ])!;
        return { name, args: { component: component.id, property, state } };
      }
      case 'setWhen':
      case 'setActs': {
        // Mostly where there is something to set, and something that does.
        const acting = allOf(documents, 'component').filter(({ properties }) =>
          Object.values(properties).some(({ state }) => state),
        );
        const doc = choices.below(2) === 0 ? this.page() : (choices.of(acting) ?? this.component());
        const doing = Object.keys(doc?.nodes ?? {})
          .sort()
          .filter((each) => 'whens' in doc!.nodes[each]!);
        const all = Object.keys(doc?.nodes ?? {}).sort();
        const elements = all.filter((each) => doc!.nodes[each]!.kind === 'element');
        const some = name === 'setActs' && doing.length > 0 ? doing : elements;
        const node = doc && choices.of(choices.below(6) === 0 ? all : some);
        if (!doc || node === undefined) return undefined;
        const stored = doc.nodes[node]!;
        const whens = stored.kind === 'element' ? (stored.whens ?? {}) : {};
        const when = choices.of([...Object.keys(whens).sort(), `when-${choices.below(3)}`])!;
        const args = { doc: doc.id, node, when };
        if (name === 'setActs') {
          const gone = choices.below(3) === 0 ? [`act-${choices.below(5)}`] : [];
          return { name, args: { ...args, set: this.acts(doc, 0), gone } };
        }
        const { on, way } = choices.of([
          ...HAPPENINGS.map((each) => ({ on: each, way: undefined })),
          ...SWIPES.map((each) => ({ on: 'swipe' as const, way: each })),
        ])!;
        return {
          name,
          args: {
            ...args,
            set:
              choices.below(5) === 0
                ? null
                : {
                    order: choices.of(['a0', 'a1', 'b00'])!,
                    on,
                    ...(on === 'key' && choices.below(5) > 0 ? { key: 'ArrowLeft' } : {}),
                    ...(on === 'time' ? { seconds: 4 } : {}),
                    ...(way ? { way } : {}),
                    ...(choices.below(4) === 0 ? { again: true as const } : {}),
                  },
          },
        };
      }
      case 'nameComponent':
      case 'removeComponent': {
        const free = allOf(documents, 'component').filter(({ id: each }) => !this.isPlaced(each));
        const component =
          name === 'removeComponent' && free.length > 0 ? choices.of(free) : this.component();
        if (!component) return undefined;
        return name === 'removeComponent'
          ? { name, args: { component: component.id } }
          : { name, args: { component: component.id, name: `Renamed/Number ${step}` } };
      }
      case 'addPage': {
        const page = this.page();
        const path = choices.below(2) === 0 ? `/new-${step}` : '/moved-1';
        return {
          name,
          args: {
            page: {
              ...page,
              id: id(),
              path: page.entries ? path + '/<slug>' : path,
              former: {},
              format: FORMAT,
            },
          },
        };
      }
      case 'removePage':
        return { name, args: { page: this.page().id } };
      case 'setPath': {
        const page = this.page();
        const path = choices.of([`/moved-${step}`, '/moved-1', '/about'])!;
        const below = choices.below(3) === 0 ? { below: true as const } : {};
        return {
          name,
          args: { page: page.id, path: page.entries ? path + '/<slug>' : path, ...below },
        };
      }
      case 'setPage': {
        const page = this.page();
        const words =
          (page.entries === null ? undefined : this.bound(TEXT, page)) ?? text(this.words());
        const set = choices.of([
          { draft: choices.below(3) === 0 },
          { name: `Page ${step}` },
          { title: words },
          { description: words },
          { image: choices.below(2) === 0 ? null : this.literal(IMAGE) },
          { order: choices.of(['a0', 'a3'])! },
          { language: choices.of(['de', 'pl', null]) ?? null },
        ])!;
        return { name, args: { page: page.id, set } };
      }
      case 'setSurround':
        return {
          name,
          args: {
            page: this.page().id,
            component: choices.below(3) === 0 ? null : (this.component()?.id ?? ''),
          },
        };
      case 'setSite': {
        const component = this.component();
        const asset = choices.of(allOf(documents, 'asset'));
        const set = choices.of([
          { name: `Site ${step}` },
          { slug: `site-${step}` },
          { language: choices.of(['en', 'de-AT'])! },
          { timeZone: choices.of([null, 'Pacific/Auckland', 'Europe/Nowhere']) ?? null },
          { inbox: choices.of([null, { mail: 'client@example.com' }, { days: 90 }])! },
          { surround: component?.id ?? null },
          { surround: null },
          { theme: this.theme() ?? null },
          { theme: null },
          { icon: choices.below(2) === 0 ? null : (asset?.id ?? null) },
        ])!;
        return { name, args: { set } };
      }
      case 'setWidth': {
        const width = choices.of([...Object.keys(documents.site.widths).sort(), id()])!;
        return { name, args: { width, max: choices.of([null, 480, 720])! } };
      }
      case 'makeRich': {
        const doc = choices.of([...allOf(documents, 'page'), ...allOf(documents, 'component')])!;
        const texts = Object.keys(doc.nodes)
          .sort()
          .filter((node) => doc.nodes[node]!.kind === 'text');
        const node = choices.of(texts);
        return node === undefined ? undefined : { name, args: { doc: doc.id, node } };
      }
      case 'addFont': {
        const asset = choices.of(
          allOf(documents, 'asset').filter(({ mediaType }) => mediaType === 'font/woff2'),
        );
        if (!asset) return undefined;
        const metrics = {
          unitsPerEm: 1000,
          ascent: 900 + choices.below(200),
          descent: -250,
          lineGap: 0,
          widthAverage: 460,
        };
        const font = {
          family: choices.of(['Literata', `Family ${step}`])!,
          asset: asset.id,
          weight: choices.of(['400', '200 900'])!,
          style: choices.of(['normal' as const, 'italic' as const])!,
          ...(choices.below(2) === 0 ? { metrics } : {}),
          ...(choices.below(3) === 0 ? { range: 'U+0100-02BA,U+1E??' } : {}),
        };
        return { name, args: { id: id(), font } };
      }
      case 'removeFont': {
        const font = choices.of(Object.keys(documents.site.fonts).sort());
        return font === undefined ? undefined : { name, args: { id: font } };
      }
      case 'setGuides': {
        const width = choices.of(['base', ...Object.keys(documents.site.widths).sort()])!;
        const set = choices.of([
          { columns: choices.of([null, 0, 12])! },
          { gutter: choices.of([null, 24, 1.5])! },
          { margin: choices.of([null, 40])! },
          { widest: choices.of([null, 0, 1200])! },
          { baseline: choices.of([null, 8])! },
        ])!;
        return { name, args: { width, set } };
      }
      case 'setLine': {
        const doc = choices.of([...allOf(documents, 'page'), ...allOf(documents, 'component')])!;
        const line = choices.of([...Object.keys(doc.lines ?? {}).sort(), id()])!;
        const width = choices.of(['base', ...Object.keys(documents.site.widths).sort()])!;
        const stands = choices.of([
          null,
          { axis: 'x' as const, at: step, width },
          { axis: 'y' as const, at: step * 8, width },
        ])!;
        return { name, args: { doc: doc.id, line, stands } };
      }
      case 'addType': {
        const type = choices.of(allOf(documents, 'type'))!;
        return { name, args: { type: { ...type, id: id(), name: `${type.name} ${step}` } } };
      }
      case 'addEntry': {
        const entry = this.entry();
        if (!entry) return undefined;
        const { former: _, ...rest } = entry;
        return { name, args: { entry: { ...rest, id: id(), slug: `new-${step}`, draft: false } } };
      }
      case 'addEntries': {
        const entry = this.entry();
        if (!entry) return undefined;
        const { former: _, ...rest } = entry;
        const entries = [1, 2].map((n) => ({
          ...rest,
          id: choices.below(9) === 0 ? entry.id : id(),
          slug: `more-${step}-${n}`,
          draft: choices.below(2) === 0,
        }));
        return { name, args: { entries } };
      }
      case 'removeEntries':
      case 'setDrafts': {
        const entries = [...new Set([this.entry()?.id, this.entry()?.id])].filter(
          (each) => each !== undefined,
        );
        if (entries.length === 0) return undefined;
        return name === 'removeEntries'
          ? { name, args: { entries } }
          : { name, args: { entries, draft: choices.below(2) === 0 } };
      }
      case 'setTimes': {
        const entry = this.entry();
        if (!entry) return undefined;
        const time = choices.of([null, ...TIMES]) ?? null;
        const set = choices.below(2) === 0 ? { from: time } : { until: time };
        return { name, args: { entries: [entry.id], set } };
      }
      case 'takeContent': {
        const entry = this.entry();
        const type = entry && docOf(documents, 'type', entry.type);
        if (!entry || !type) return undefined;
        const { former: _, ...rest } = entry;
        const field = choices.of(Object.keys(type.fields).sort())!;
        const choice = Object.keys(type.fields).find(
          (each) => type.fields[each]!.type.kind === 'choice',
        );
        const fresh = id();
        const made = choices.below(3) === 0 ? { ...type, id: id(), plural: `Made ${step}` } : null;
        const value = choices.below(3) === 0 ? null : this.typed(type.fields[field]!.type);
        return {
          name,
          args: {
            type: made?.id ?? type.id,
            made,
            fields: {
              [choices.of([fresh, fresh, field])!]: {
                label: `Came ${step}`,
                key: `came${step}`,
                order: 'a9',
                type: choices.of(RETYPED)!,
              },
            },
            options:
              choice === undefined || choices.below(2) === 0
                ? {}
                : { [choice]: { [id()]: { label: `Came ${step}`, order: 'a9' } } },
            assets: allOf(documents, 'asset')
              .slice(0, choices.below(2))
              .map((asset) => ({ ...asset, id: id(), name: `came ${asset.name}` })),
            entries: [
              { ...rest, id: id(), type: made?.id ?? type.id, slug: `came-${step}`, values: {} },
            ],
            values: [
              {
                entry: choices.of([entry.id, entry.id, 'nobody'])!,
                values: { [field]: value },
                ...(choices.below(2) === 0 ? { draft: choices.below(2) === 0 } : {}),
              },
            ],
          },
        };
      }
      case 'setSlug': {
        const entry = this.entry();
        const slug = choices.of([`renamed-${step}`, 'renamed-1'])!;
        return entry && { name, args: { entry: entry.id, slug } };
      }
      case 'setType': {
        const type = choices.of(allOf(documents, 'type'))!;
        const field = choices.of([...Object.keys(type.fields).sort(), 'nobody'])!;
        const set = choices.of([
          { name: `Kind ${step}` },
          { plural: `Kinds ${step}` },
          { title: field },
          { slugFrom: choices.below(3) === 0 ? null : [field] },
        ])!;
        return { name, args: { type: type.id, set } };
      }
      case 'removeType': {
        const type = choices.of(allOf(documents, 'type'))!;
        return { name, args: { type: type.id } };
      }
      case 'setView': {
        const type = choices.of(allOf(documents, 'type'))!;
        const fields = Object.keys(type.fields).sort();
        const field = choices.of(fields)!;
        const view = choices.of([id(), ...Object.keys(type.views ?? {}).sort()])!;
        const made: View = {
          label: `View ${step}`,
          order: 'a0',
          columns: { [field]: { order: 'a0', width: 120 } },
          find: this.words().slice(0, 100),
          where: {
            here: {
              path: [field],
              is: this.operator(),
              source: this.usual(TEXT),
              ...(choices.below(2) === 0 ? { or: { further: text('more') }, group: 'one' } : {}),
            },
          },
          ...(choices.below(2) === 0 ? { any: true as const } : {}),
          sort: { by: { path: [field], descending: choices.below(2) === 0, order: 'a0' } },
        };
        return {
          name,
          args: { type: type.id, view, made: choices.below(3) === 0 ? null : made },
        };
      }
      case 'addTypeField': {
        const type = choices.of(allOf(documents, 'type'))!;
        const spec = choices.of(RETYPED)!;
        const [taken] = Object.values(type.fields);
        const made: Field = {
          label: `Field ${step}`,
          key: choices.below(5) === 0 ? (taken?.key ?? 'key') : `field${step}`,
          order: choices.of(['a0', 'b00'])!,
          type: spec,
          ...choices.of([
            {},
            { help: this.words() },
            { required: true as const, unique: true as const },
            { default: this.typed(spec) },
            { aside: true as const, group: 'nobody' },
          ]),
        };
        const field = choices.of([id(), id(), Object.keys(type.fields).sort()[0]!])!;
        return { name, args: { type: type.id, field, made } };
      }
      case 'setTypeField':
      case 'removeTypeField':
      case 'setTypeGroup': {
        const type = choices.of(allOf(documents, 'type'))!;
        const fields = [...Object.keys(type.fields).sort(), 'nobody'];
        const field = choices.of(fields)!;
        const groups = Object.keys(type.groups ?? {}).sort();
        if (name === 'removeTypeField') return { name, args: { type: type.id, field } };
        const before = choices.of([null, choices.of(fields)!]) ?? null;
        if (name === 'setTypeGroup') {
          const set = choices.of([
            { label: `Group ${step}` },
            { before: choices.of([null, ...groups]) ?? null },
          ])!;
          return { name, args: { type: type.id, group: choices.of([...groups, 'nobody'])!, set } };
        }
        const spec = choices.of(RETYPED)!;
        const group = choices.of([
          null,
          { id: id(), label: `Group ${step}`, order: 'a5' },
          ...groups.map((each) => ({ id: each, ...type.groups![each]! })),
        ])!;
        const set = choices.of([
          { label: `Called ${step}` },
          { key: choices.of([`key${step}`, type.fields[fields[0]!]?.key ?? 'key'])! },
          { type: spec },
          { help: this.words() },
          { required: choices.below(2) === 0 },
          { unique: choices.below(2) === 0 },
          { aside: choices.below(2) === 0 },
          { default: this.typed(spec) },
          { default: this.typed(spec) },
          { default: choices.below(3) === 0 ? null : this.typed(spec) },
          { place: { group, before } },
          { place: { group, before } },
        ])!;
        return { name, args: { type: type.id, field, set } };
      }
      case 'setFields': {
        const values = [0, 1].flatMap(() => {
          const entry = this.entry();
          const type = entry && docOf(documents, 'type', entry.type);
          const field = type && choices.of([...Object.keys(type.fields).sort(), 'nobody']);
          if (!entry || field === undefined) return [];
          const spec = own(type!.fields, field)?.type ?? { kind: 'text' as const };
          const value = choices.below(4) === 0 ? null : this.typed(spec);
          return [{ entry: entry.id, field, value }];
        });
        return values.length === 0 ? undefined : { name, args: { values } };
      }
      case 'setField': {
        const entry = this.entry();
        const type = entry && (documents.get(entry.type) as TypeDoc);
        const field = type && choices.of(Object.keys(type.fields).sort());
        if (!entry || !field) return undefined;
        const value = this.typed(type.fields[field]!.type);
        return {
          name,
          args: { entry: entry.id, field, value: choices.below(4) === 0 ? null : value },
        };
      }
      case 'setAsset': {
        const [asset, other] = [
          choices.of(allOf(documents, 'asset')),
          choices.of(allOf(documents, 'asset')),
        ];
        if (!asset || !other) return undefined;
        const { sha256, mediaType, width, height } = other;
        const size = width === undefined || height === undefined ? {} : { width, height };
        const set = choices.of([
          { name: `called ${step}` },
          { alt: step % 3 === 0 ? null : `What is seen, ${step}` },
          { focus: step % 3 === 0 ? null : { x: choices.below(101), y: choices.below(101) } },
          { file: { sha256, mediaType, ...size } },
        ])!;
        return { name, args: { asset: asset.id, set } };
      }
      case 'moveAssets': {
        const assets = allOf(documents, 'asset').slice(step % 3, (step % 3) + 2);
        const folder = choices.of(['', 'sheds', 'sheds/old'])!;
        return assets.length > 0
          ? { name, args: { assets: assets.map(({ id: asset }) => asset), folder } }
          : undefined;
      }
      case 'removeAssets': {
        const asset = choices.of(allOf(documents, 'asset'));
        return asset && { name, args: { assets: [asset.id] } };
      }
      case 'addAsset': {
        const asset = choices.of(allOf(documents, 'asset'))!;
        const mediaType = choices.of(MEDIA_TYPES.filter((each) => each.split('/')[0] !== 'font'))!;
        const made = { ...asset, id: id(), name: `another ${asset.name}` };
        return {
          name,
          args: { asset: asset.mediaType.startsWith('font/') ? made : { ...made, mediaType } },
        };
      }
    }
  }
}

/** The names of every edit there is: a new one is in every run from the day it is listed. */
const NAMES = Object.keys(EDITS).sort() as EditName[];

/** Edits by which most members of documents come to be are chosen more often than others. */
const CHOSEN_FROM: readonly EditName[] = [
  ...NAMES,
  ...Array<EditName>(4).fill('setControl'),
  ...Array<EditName>(2).fill('setField'),
  ...Array<EditName>(2).fill('setDefault'),
  ...Array<EditName>(2).fill('setQuery'),
  ...Array<EditName>(2).fill('setProperty'),
  ...Array<EditName>(2).fill('setTypeField'),
  'addProperty',
  'setSlot',
  'expose',
];

/** An edit that was refused: what was asked for, on which state, and why not. */
export interface RefusedEdit {
  readonly edit: NamedEdit;
  readonly before: Documents;
  readonly past: Past;
  readonly refusal: Refusal;
}

/**
 * Runs edits chosen by lists of numbers. Those that are refused change nothing.
 * @param refused told of each of them
 */
export function runEdits(
  start: Documents,
  steps: readonly (readonly number[])[],
  refused: (edit: RefusedEdit) => void = () => undefined,
): DoneEdit[] {
  const done: DoneEdit[] = [];
  let documents = start;
  steps.forEach((numbers, step) => {
    const choices = new Choices(numbers);
    const name = choices.of(CHOSEN_FROM)!;
    const edit = new Chooser(documents, choices, step, done, numbers[0] ?? 0).choose(name);
    if (!edit) return;
    const past = pastOf(done);
    const result = doEdit(documents, edit, past);
    if (isRefusal(result)) return refused({ edit, before: documents, past, refusal: result });
    const id = `edit-number-${step}`;
    done.push({ id, edit, changes: result.changes, before: documents, after: result.documents });
    documents = result.documents;
  });
  return done;
}

/** What a run has done so far, as an edit may ask for it. */
export function pastOf(done: readonly DoneEdit[]): Past {
  return (id) => {
    const found = done.find((each) => each.id === id);
    return (
      found && { changes: found.changes, said: say('as-it-was-told', { words: found.edit.name }) }
    );
  };
}
