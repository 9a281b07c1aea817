import type { ArgsOf } from '../../edit';
import { keyFor } from '../../edit';
import { beginningValues, freeSlugs, newEntry } from '../../ready';
import {
  allOf,
  claim,
  docOf,
  FORMAT,
  newId,
  orderAfterAll,
  orderBetween,
  own,
  sameJson,
  slugOf,
  type AssetDoc,
  type Documents,
  type EntryDoc,
  type FieldId,
  type FreeSlugs,
  type Typed,
  type TypeDoc,
  type TypeSpec,
} from '../../model';
import { say, type Said } from '../../said';
import type { Mapped } from './propose';
import type { Table, TableRow } from './table';
import { namesIn, ValueReader, type Reading, type Ways } from './value-reader';
import { WRITTEN, wordsOfValue } from './words-of-value';

/** How somebody wants a file taken in. */
export interface Asked {
  /** The content type whose entries it holds, or what one that is made from it is called. */
  readonly into: TypeDoc | { readonly name: string; readonly plural: string };
  readonly columns: readonly Mapped[];
  readonly ways: Ways;
  /** By which column entries are found that are there: their slug, or a field of one alone; nothing: all are new. */
  readonly matchBy: 'slug' | FieldId | null;
  /** Whether what a cell names and is not there is made: an entry that is referred to, an option. */
  readonly makesMissing: boolean;
  /** Whether new entries begin as drafts, where no column says so. */
  readonly drafts: boolean;
  /** Lines that are left out. */
  readonly left: ReadonlySet<number>;
  /** Cells that were mended, by line and column. */
  readonly mended: ReadonlyMap<number, ReadonlyMap<number, string>>;
  /** Pictures that come along, by their names. */
  readonly assets: readonly AssetDoc[];
}

/** What is wrong with a cell. */
export interface CellFault {
  readonly column: number;
  readonly words: string;
  readonly why: Said;
}

/** What becomes of one row. */
export interface PlannedRow {
  readonly line: number;
  readonly is: 'new' | 'changed' | 'same' | 'faulty' | 'left';
  /** What it is called. */
  readonly title: string;
  /** The entry it changes or is the same as. */
  readonly entry: EntryDoc | undefined;
  readonly changes: readonly { field: FieldId; was: Typed | undefined; now: Typed | null }[];
  readonly faults: readonly CellFault[];
}

/** What taking a file in comes to. */
export interface Plan {
  readonly type: TypeDoc;
  readonly rows: readonly PlannedRow[];
  /** Entries that are made because a cell names them. */
  readonly madeFor: readonly EntryDoc[];
  readonly args: ArgsOf<'takeContent'>;
}

/**
 * What becomes of each row of a file, worked out a part at a time.
 * @yields how many rows are done
 */
export function* planTaking(
  documents: Documents,
  table: Table,
  asked: Asked,
): Generator<number, Plan> {
  const taking = new Taking(documents, asked);
  const rows: PlannedRow[] = [];
  for (const row of table.rows) {
    rows.push(taking.row(row));
    if (rows.length % 50 === 0) yield rows.length;
  }
  return taking.plan(rows);
}

/** One file being taken in: what was found so far, so that two rows never become the same. */
class Taking {
  private readonly type: TypeDoc;
  private readonly isMade: boolean;
  private readonly reader: ValueReader;
  private readonly writer: ValueReader;
  private readonly slugs: FreeSlugs;
  private readonly entries: EntryDoc[] = [];
  private readonly values: ArgsOf<'takeContent'>['values'] = [];
  private readonly options: Record<FieldId, Record<string, { label: string; order: string }>> = {};
  private readonly made = new Map<string, EntryDoc>();
  private readonly pictures = new Map<string, string>();
  private readonly slugsOf = new Map<string, FreeSlugs>();
  /** By what they are found: entries that are there, and lines of the file. */
  private readonly there = new Map<string, EntryDoc>();
  private readonly lines = new Map<string, number>();
  private readonly fields: readonly (FieldId | undefined)[];

  constructor(
    private readonly documents: Documents,
    private readonly asked: Asked,
  ) {
    this.isMade = !('id' in asked.into);
    this.type = 'id' in asked.into ? withNew(asked.into, asked.columns) : typeFrom(asked);
    this.reader = new ValueReader(documents, asked.ways);
    this.writer = new ValueReader(documents, WRITTEN);
    this.slugs = freeSlugs(documents, this.type.id);
    this.slugsOf.set(this.type.id, this.slugs);
    for (const { id, name } of asked.assets) this.pictures.set(name.toLowerCase(), id);
    this.fields = asked.columns.map((column) =>
      column.to === 'field' ? column.field : column.to === 'new' ? column.id : undefined,
    );
    const { matchBy } = asked;
    if (matchBy !== null && matchBy !== 'slug')
      for (const entry of allOf(documents, 'entry')) {
        if (entry.type !== this.type.id) continue;
        const value = own(entry.values, matchBy);
        if (value && value.value !== null) this.there.set(keyOf(value), entry);
      }
  }

  row(row: TableRow): PlannedRow {
    const { asked, type } = this;
    const { line } = row;
    const mended = asked.mended.get(line);
    const cells = row.cells.map((cell, i) => mended?.get(i) ?? cell);
    if (asked.left.has(line)) return { ...this.nothing(line, cells), is: 'left' };
    const slug = this.slugIn(cells);
    const entry = this.found(slug, cells);
    const values: Record<FieldId, Typed | null> = {};
    const faults: CellFault[] = [];
    let draft: boolean | undefined;
    asked.columns.forEach((column, i) => {
      const words = cells[i] ?? '';
      if (column.to === 'draft' && words.trim() !== '') {
        const read = this.reader.read({ kind: 'boolean' }, words);
        if (read.ok) draft = read.value.value as boolean;
        else faults.push({ column: i, words, why: read.why });
      }
      const id = this.fields[i];
      const field = id === undefined ? undefined : own(type.fields, id);
      if (id === undefined || !field) return;
      // What stands there already stays, whatever its field asks of it.
      const held = entry && own(entry.values, id);
      if (entry && this.says(held, field.type) === words) {
        values[id] = held ?? null;
        return;
      }
      if (words.trim() === '') {
        values[id] = null;
        if (field.required && !field.default)
          faults.push({ column: i, words, why: say('required-missing', { field: field.label }) });
        return;
      }
      const read = this.value(id, field.type, words);
      if (read.ok) values[id] = read.value;
      else faults.push({ column: i, words, why: read.why });
    });
    const twin = this.twin(line, slug, values, entry);
    if (twin) faults.push(twin);
    const title = titleOf(type, values) || entry?.slug || slug || cells.find(Boolean) || '';
    if (faults.length > 0) return { line, is: 'faulty', title, entry, changes: [], faults };
    return entry
      ? this.changed(line, entry, values, draft, title)
      : this.added(line, values, slug, draft, title);
  }

  plan(rows: readonly PlannedRow[]): Plan {
    const fields = Object.fromEntries(
      this.asked.columns.flatMap((column) =>
        column.to === 'new' && !this.isMade ? [[column.id, column.field] as const] : [],
      ),
    );
    const madeFor = [...this.made.values()];
    const type = this.withOptions();
    return {
      type,
      rows,
      madeFor,
      args: {
        type: type.id,
        made: this.isMade ? type : null,
        fields: Object.fromEntries(
          Object.keys(fields).map((id) => [id, own(type.fields, id) ?? fields[id]!]),
        ),
        options: this.isMade
          ? {}
          : Object.fromEntries(Object.entries(this.options).filter(([id]) => !(id in fields))),
        assets: [...this.asked.assets],
        entries: [...madeFor, ...this.entries],
        values: this.values,
      },
    };
  }

  private nothing(line: number, cells: readonly string[]): PlannedRow {
    const title = cells.find(Boolean) ?? '';
    return { line, is: 'left', title, entry: undefined, changes: [], faults: [] };
  }

  /** A cell as a value; what it names and is not there is made where that was asked for. */
  private value(field: FieldId, spec: TypeSpec, words: string): Reading {
    const read = this.reader.read(spec, words);
    if (read.ok || !read.missing) return read;
    if (spec.kind === 'image') {
      const name = words.trim();
      const asset =
        this.pictures.get(name.toLowerCase()) ??
        this.pictures.get(name.slice(name.lastIndexOf('/') + 1).toLowerCase());
      return asset === undefined ? read : { ok: true, value: { type: 'image', value: { asset } } };
    }
    if (spec.kind === 'choice') {
      const label = words.trim().slice(0, 120);
      const options = (this.options[field] ??= {});
      const known = Object.keys(options).find(
        (id) => options[id]!.label.toLowerCase() === label.toLowerCase(),
      );
      if (known !== undefined) return { ok: true, value: { type: 'choice', value: known } };
      if (!this.asked.makesMissing) return read;
      const id = newId();
      const all = [...Object.values(spec.options), ...Object.values(options)];
      options[id] = { label, order: orderAfterAll(all) };
      return { ok: true, value: { type: 'choice', value: id } };
    }
    if (spec.kind !== 'entry' && spec.kind !== 'entries') return read;
    const of = spec.of === undefined ? undefined : docOf(this.documents, 'type', spec.of);
    if (!of || !this.asked.makesMissing) return read;
    const referred = (name: string) =>
      this.reader.entry(of.id, name) ?? this.madeEntry(of, name).id;
    return spec.kind === 'entry'
      ? { ok: true, value: { type: 'entry', value: referred(words.trim()) } }
      : {
          ok: true,
          value: { type: 'entries', value: [...new Set(namesIn(words).map(referred))] },
        };
  }

  private madeEntry(of: TypeDoc, name: string): EntryDoc {
    const key = `${of.id} ${name.toLowerCase()}`;
    let entry = this.made.get(key);
    if (!entry) {
      const values: Record<FieldId, Typed> = {
        ...beginningValues(of),
        [of.title]: { type: 'text', value: name },
      };
      entry = newEntry(this.documents, of, this.slugsFor(of.id), values);
      this.made.set(key, entry);
    }
    return entry;
  }

  private slugsFor(type: string): FreeSlugs {
    let slugs = this.slugsOf.get(type);
    if (!slugs) this.slugsOf.set(type, (slugs = freeSlugs(this.documents, type)));
    return slugs;
  }

  private slugIn(cells: readonly string[]): string {
    const at = this.asked.columns.findIndex(({ to }) => to === 'slug');
    return at < 0 ? '' : slugOf(cells[at] ?? '', '');
  }

  /** What a cell of a file says of a value that is there. */
  private says(value: Typed | undefined, spec: TypeSpec): string {
    return wordsOfValue(this.documents, spec, value, this.writer);
  }

  /** The entry that is there and that a row is about. */
  private found(slug: string, cells: readonly string[]): EntryDoc | undefined {
    const { matchBy } = this.asked;
    if (matchBy === null || this.isMade) return undefined;
    if (matchBy !== 'slug') {
      const at = this.fields.indexOf(matchBy);
      const spec = own(this.type.fields, matchBy)?.type;
      const read = at < 0 || !spec ? undefined : this.reader.read(spec, cells[at] ?? '');
      return read?.ok ? this.there.get(keyOf(read.value)) : undefined;
    }
    if (slug === '') return undefined;
    const [id] = this.documents.claiming(claim.slug(this.type.id, slug));
    return id === undefined ? undefined : docOf(this.documents, 'entry', id);
  }

  /** What another line of the file has too, though only one should. */
  private twin(
    line: number,
    slug: string,
    values: Record<FieldId, Typed | null>,
    entry: EntryDoc | undefined,
  ): CellFault | undefined {
    const check = (what: string, label: string, column: number, words: string) => {
      const other = this.lines.get(what);
      if (other === undefined) {
        this.lines.set(what, line);
        return undefined;
      }
      return { column, words, why: say('same-as-line', { field: label, line: other }) };
    };
    const at = this.asked.columns.findIndex(({ to }) => to === 'slug');
    if (slug !== '') {
      const found = check(`slug ${slug}`, 'slug', at, slug);
      if (found) return found;
    }
    for (const [i, id] of this.fields.entries()) {
      const field = id === undefined ? undefined : own(this.type.fields, id);
      const value = id === undefined ? undefined : own(values, id);
      if (!field?.unique || !value) continue;
      const found = check(`${id} ${keyOf(value)}`, field.label, i, '');
      if (found && !sameJson(entry && own(entry.values, id!), value)) return found;
    }
    return undefined;
  }

  private changed(
    line: number,
    entry: EntryDoc,
    values: Record<FieldId, Typed | null>,
    draft: boolean | undefined,
    title: string,
  ): PlannedRow {
    const changes = Object.entries(values).flatMap(([field, now]) => {
      const was = own(entry.values, field);
      const isSame = now === null ? isNothing(was) : sameJson(was, now);
      return isSame ? [] : [{ field, was, now }];
    });
    const turns = draft !== undefined && draft !== entry.draft;
    if (changes.length === 0 && !turns)
      return { line, is: 'same', title, entry, changes, faults: [] };
    this.values.push({
      entry: entry.id,
      values: Object.fromEntries(changes.map(({ field, now }) => [field, now])),
      ...(turns ? { draft } : {}),
    });
    return { line, is: 'changed', title, entry, changes, faults: [] };
  }

  private added(
    line: number,
    values: Record<FieldId, Typed | null>,
    slug: string,
    draft: boolean | undefined,
    title: string,
  ): PlannedRow {
    const held: Record<FieldId, Typed> = beginningValues(this.type);
    for (const [field, value] of Object.entries(values))
      if (value === null) delete held[field];
      else held[field] = value;
    const begun =
      slug === ''
        ? newEntry(this.documents, this.type, this.slugs, held)
        : newEntry(this.documents, this.type, this.slugs, held, slug);
    this.entries.push({ ...begun, draft: draft ?? this.asked.drafts });
    return { line, is: 'new', title, entry: undefined, changes: [], faults: [] };
  }

  /** The type with the options that cells named. */
  private withOptions(): TypeDoc {
    const fields = { ...this.type.fields };
    for (const [id, options] of Object.entries(this.options)) {
      const field = fields[id]!;
      if (field.type.kind === 'choice')
        fields[id] = {
          ...field,
          type: { ...field.type, options: { ...field.type.options, ...options } },
        };
    }
    return { ...this.type, fields };
  }
}

function isNothing(value: Typed | undefined): boolean {
  const held = value?.value ?? null;
  return held === null || held === '' || (Array.isArray(held) && held.length === 0);
}

const keyOf = (value: Typed) => JSON.stringify(value.value).toLowerCase();

function titleOf(type: TypeDoc, values: Record<FieldId, Typed | null>): string {
  const value = own(values, type.title)?.value;
  return typeof value === 'string' ? value : '';
}

/** A type that is there, with the fields that a file brings. */
function withNew(type: TypeDoc, columns: readonly Mapped[]): TypeDoc {
  const fields = { ...type.fields };
  for (const column of columns) if (column.to === 'new') fields[column.id] = column.field;
  return { ...type, fields };
}

/** A type that is made from a file: its first text is by what entries are known. */
function typeFrom({ into, columns }: Asked): TypeDoc {
  const { name, plural } = into as { name: string; plural: string };
  const fields: TypeDoc['fields'] = {};
  for (const column of columns) if (column.to === 'new') fields[column.id] = column.field;
  let title = Object.keys(fields).find((id) => fields[id]!.type.kind === 'text');
  if (title === undefined) {
    title = newId();
    const keys = new Set(Object.values(fields).map(({ key }) => key));
    let first: string | null = null;
    for (const { order } of Object.values(fields))
      if (first === null || order < first) first = order;
    fields[title] = {
      label: 'Title',
      key: keyFor('Title', keys),
      order: orderBetween(null, first),
      type: { kind: 'text' },
    };
  }
  return { id: newId(), kind: 'type', format: FORMAT, name, plural, title, fields };
}
