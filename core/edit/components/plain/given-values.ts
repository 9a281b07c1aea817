import {
  chainOf,
  isMade,
  kindOf,
  own,
  sameJson,
  withSources,
  yesNo,
  type Begins,
  type Declared,
  type LeafSource,
  type NodeId,
  type Ref,
  type Source,
  type Typed,
  type PositionSource,
} from '../../../model';
import { say } from '../../../said';
import {
  bareNames,
  convert,
  dataOf,
  declaredType,
  givenBy,
  HIDE,
  positionAs,
  type Item,
} from '../../../value';
import { CannotBePlain } from './cannot-be-plain';
import { NO_ROUND, type InstanceHere, type Round } from './instance-here';

type FieldSource = Extract<Source, { is: 'field' }>;

const ENTRY_CHOSEN = say('plain-entry-chosen');

/** What an instance gives to the sources of its definition. */
export class GivenValues {
  /** @param idOf the new id of a node of the definition, in a round */
  constructor(
    private readonly here: InstanceHere,
    private readonly idOf: (id: NodeId, round: Round) => NodeId,
  ) {}

  /** What the instance has for a property: set here, or by default. */
  valueOf(property: string): Source {
    const { component, instance } = this.here;
    const byDefault = own(component.properties, property)?.default;
    const set = own(instance.values, property);
    if (!set) return byDefault ?? { is: 'value', type: 'text', value: null };
    if (set.whenEmpty !== 'default' || !byDefault) return set;
    return { ...set, whenEmpty: { use: byDefault } };
  }

  /** A source with what the instance has in the place of its properties. @throws CannotBePlain */
  source(source: Source, round: Round): Source {
    return withSources(source, (each) => {
      if (each.is === 'field') return this.field(each, round);
      if (each.is === 'position') return this.position(each, round);
      if (each.is === 'begins') return this.begins(each, round);
      if (each.is === 'leaf') return this.leaf(each);
      if (each.is !== 'property') return each;
      const value = this.valueOf(each.property);
      const { path = [], whenEmpty } = each;
      if (path.length === 0) return whenEmpty ? endedBy(value, whenEmpty) : value;
      if (value.is === 'field') return { ...value, path: [...value.path, ...path] };
      if (value.is === 'property') return { ...value, path: [...(value.path ?? []), ...path] };
      throw new CannotBePlain(ENTRY_CHOSEN);
    });
  }

  /** A declaration with values in the place of what fed it; nothing where there is none. @throws CannotBePlain */
  declared(declared: Declared, round: Round): Declared | undefined {
    let { css } = declared;
    const refs: Record<string, Ref> = {};
    for (const [name, ref] of Object.entries(declared.refs ?? {})) {
      if (!('source' in ref)) {
        refs[name] = ref;
        continue;
      }
      const source = this.source(ref.source, round);
      const chain = chainOf(source);
      if (ref.type === 'image' || chain.some((each) => each.is !== 'value')) {
        if (holdsNothing(chain)) return undefined;
        refs[name] = { ...ref, source };
        continue;
      }
      const value = chain.find((each) => each.is === 'value' && each.value !== null);
      if (!value) return undefined;
      const { type, value: held } = value as Typed;
      if (typeof held === 'object' && held && 'token' in held)
        refs[name] = { token: held.token, type: ref.type };
      else
        css = css.replaceAll(
          `var(--${name})`,
          kindOf(type).spell?.(held) ?? String(held as string | number),
        );
    }
    return Object.keys(refs).length > 0 ? { css, refs } : { css };
  }

  /** A field of a repeat of the definition: what its record holds, or of the repeat as it is called here. */
  private field(source: FieldSource, round: Round): Source {
    if (source.from === 'page') return source;
    const { repeat } = source.from;
    const item = own(round.items, repeat);
    if (item) return this.heldBy(item, source);
    return own(this.here.component.nodes, repeat)
      ? { ...source, from: { repeat: this.idOf(repeat, round) } }
      : source;
  }

  /** Where a record stands among the others, as a value; or of the repeat as it is called here. */
  private position(source: PositionSource, round: Round): Source {
    const { repeat, as, whenEmpty } = source;
    const position = own(round.positions, repeat);
    if (position)
      return { is: 'value', ...positionAs(as, position), ...(whenEmpty ? { whenEmpty } : {}) };
    return own(this.here.component.nodes, repeat)
      ? { ...source, repeat: this.idOf(repeat, round) }
      : source;
  }

  /** What is read of a list of the definition: of the list as it is called here, which is one where it is written out. */
  private leaf(source: LeafSource): Source {
    const list = own(this.here.component.nodes, source.repeat);
    if (list?.kind !== 'repeat' || 'list' in list.query.from) return source;
    return { ...source, repeat: this.idOf(source.repeat, NO_ROUND) };
  }

  /** Whether something begins with a record, as a value; or of the repeat as it is called here. @throws CannotBePlain */
  private begins({ repeat, of, ...begins }: Begins, round: Round): Source {
    const position = own(round.positions, repeat);
    if (!position) {
      const isHere = own(this.here.component.nodes, repeat) !== undefined;
      const now = isHere ? this.idOf(repeat, round) : repeat;
      return { ...begins, repeat: now, of: this.source(of, round) };
    }
    const { [repeat]: _, ...positions } = round.positions;
    const given = (item: Item | undefined) => {
      const at = { ...round, positions, items: { ...round.items, [repeat]: item! } };
      const source = this.source(of, at);
      if (!chainOf(source).every((each) => each.is === 'value' || isMade(each)))
        throw new CannotBePlain(ENTRY_CHOSEN);
      return givenBy(source, bareNames(dataOf(this.here.documents)));
    };
    const now = given(own(round.items, repeat));
    const isOther = position.before === undefined || !sameJson(now, given(position.before));
    return {
      ...yesNo(isOther && now !== HIDE),
      ...(begins.whenEmpty ? { whenEmpty: begins.whenEmpty } : {}),
    };
  }

  /** What a record holds in a field, as a value of its own. */
  private heldBy(item: Item, { path, whenEmpty }: FieldSource): Source {
    const data = dataOf(this.here.documents);
    const [field = '', ...more] = path;
    if (more.length > 0) throw new CannotBePlain(ENTRY_CHOSEN);
    const type = declaredType(item.type, field, data);
    const held = own(item.values, field);
    const end = whenEmpty === undefined ? {} : { whenEmpty };
    const value = held && type ? convert(held, type, data) : null;
    if (value) return { is: 'value', ...value, ...end };
    return { is: 'value', type: 'text', value: null, ...end };
  }
}

/** Whether a chain of values alone ends without one. */
function holdsNothing(chain: readonly Source[]): boolean {
  return chain.every((each) => each.is === 'value' && each.value === null);
}

/** A source with another decision at the end of its chain. */
function endedBy(source: Source, whenEmpty: NonNullable<Source['whenEmpty']>): Source {
  return typeof source.whenEmpty === 'object'
    ? { ...source, whenEmpty: { use: endedBy(source.whenEmpty.use, whenEmpty) } }
    : { ...source, whenEmpty };
}
