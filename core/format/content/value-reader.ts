import { languageOf, type Language } from '../../locale';
import {
  allOf,
  entryTitle,
  isWellFormed,
  kindOf,
  own,
  pathOf,
  schemaFindings,
  type Documents,
  type LinkValue,
  type SpecOf,
  type Typed,
  type TypeSpec,
} from '../../model';
import { say, type Said } from '../../said';
import { readLength } from './length-words';
import { readDay, type DateOrder } from './read-day';
import { readDecimal } from './read-decimal';
import { readLink } from './read-link';

/** How a table writes numbers and dates. */
export interface Ways {
  readonly decimal: '.' | ',';
  readonly dates: DateOrder;
}

/** The words of a cell as a value, or why they are none. */
export type Reading =
  | { readonly ok: true; readonly value: Typed }
  | {
      readonly ok: false;
      readonly why: Said;
      /** What is called so and is not there: an option, an entry, a picture. */
      readonly missing?: readonly string[];
    };

/** How long a text may be (UTF-16 code units). */
const LONGEST = 20_000;

/** Words for yes and no that tables hold beside those of the kind. */
const ALSO_YES = new Set(['1', 'x', 'y', '✓', 'on']);
const ALSO_NO = new Set(['0', 'n', 'off']);

/** Reads cells of a table as values of types: the site is looked through once, however many there are. */
export class ValueReader {
  private readonly language: Language;
  private entriesByName: Map<string, ReadonlyMap<string, string>> | undefined;
  private picturesByName: Map<string, string> | undefined;
  private linksByPath: Map<string, LinkValue> | undefined;

  constructor(
    private readonly documents: Documents,
    private readonly ways?: Ways,
  ) {
    this.language = languageOf(documents.site.language);
  }

  /** The words of a cell as a value of a type, where its limits let it through. */
  read(type: TypeSpec, words: string): Reading {
    const text = words.trim();
    // What could not be stored would keep out everything that comes with it.
    if (!isWellFormed(words)) return { ok: false, why: say('not-storable') };
    const isWords = type.kind === 'text' || type.kind === 'rich';
    if (isWords && words.length > LONGEST)
      return { ok: false, why: say('text-too-long', { many: words.length, most: LONGEST }) };
    const written = asWritten(type, text);
    if (written) return written;
    switch (type.kind) {
      case 'text':
        return within(type, words);
      case 'rich':
        return made(type, [words]);
      case 'number': {
        const value = this.ways
          ? readDecimal(text, this.ways.decimal)
          : this.language.readNumber(text);
        return value === null ? noSuch(type, text) : within(type, value);
      }
      case 'boolean': {
        const word = text.toLowerCase();
        if (ALSO_YES.has(word)) return made(type, true);
        if (ALSO_NO.has(word)) return made(type, false);
        return parsed(type, text);
      }
      case 'date': {
        const day = readDay(text, this.ways?.dates ?? 'ymd', this.language);
        return day === null ? noSuch(type, text) : made(type, day);
      }
      case 'length': {
        const length = readLength(text);
        return length === null ? noSuch(type, text) : made(type, length);
      }
      case 'link': {
        const link = this.link(text);
        return link === null ? noSuch(type, text) : made(type, link);
      }
      case 'image': {
        const asset = this.pictures().get(text.toLowerCase()) ?? this.pictures().get(lastOf(text));
        return asset === undefined
          ? { ok: false, why: say('no-picture-called', { name: text }), missing: [text] }
          : made(type, { asset });
      }
      case 'choice': {
        const option = kindOf('choice').parse?.(text, type) ?? null;
        return option === null
          ? { ok: false, why: say('no-option-called', { name: text }), missing: [text] }
          : made(type, option);
      }
      case 'entry': {
        const entry = this.entry(type.of, text);
        return entry === undefined
          ? { ok: false, why: say('no-entry-called', { name: text }), missing: [text] }
          : made(type, entry);
      }
      case 'entries':
        return this.several(type, text);
      case 'tag':
      case 'theme':
      case 'style': {
        const chosen = this.chosen(type, text.toLowerCase());
        return chosen === undefined ? noSuch(type, text) : made(type, chosen);
      }
      case 'icon':
      case 'video':
      case 'list':
        return { ok: false, why: say('not-by-words') };
      default:
        return parsed(type, text);
    }
  }

  /** An entry by its title or slug, of a type where one is named. */
  entry(type: string | undefined, name: string): string | undefined {
    this.entriesByName ??= entriesByName(this.documents);
    return this.entriesByName.get(type ?? '')?.get(name.trim().toLowerCase());
  }

  private several(type: SpecOf<'entries'>, text: string): Reading {
    const whole = this.entry(type.of, text);
    if (whole !== undefined) return made(type, [whole]);
    const names = namesIn(text);
    const missing = names.filter((name) => this.entry(type.of, name) === undefined);
    if (missing.length > 0)
      return {
        ok: false,
        why: say('no-entry-called', { name: missing.join(', ') }),
        missing,
      };
    return made(type, [...new Set(names.map((name) => this.entry(type.of, name)!))]);
  }

  private pictures(): ReadonlyMap<string, string> {
    if (!this.picturesByName) {
      this.picturesByName = new Map();
      for (const { id, name, mediaType } of allOf(this.documents, 'asset'))
        if (mediaType.startsWith('image/') && !this.picturesByName.has(name.toLowerCase()))
          this.picturesByName.set(name.toLowerCase(), id);
    }
    return this.picturesByName;
  }

  private link(text: string): LinkValue | null {
    if (!this.linksByPath) {
      this.linksByPath = new Map();
      const entries = allOf(this.documents, 'entry');
      for (const page of allOf(this.documents, 'page'))
        if (page.entries === null) this.linksByPath.set(page.path, { to: 'page', page: page.id });
        else
          for (const entry of entries)
            if (entry.type === page.entries)
              this.linksByPath.set(pathOf(page, entry), {
                to: 'page',
                page: page.id,
                entry: entry.id,
              });
    }
    const at = text.indexOf('#');
    const page = this.linksByPath.get(at > 0 ? text.slice(0, at) : text);
    if (!page) return readLink(text, []);
    if (at <= 0) return page;
    const anchor = text.slice(at + 1);
    return page.to === 'page' && /^\S+$/.test(anchor) ? { ...page, anchor } : null;
  }

  private chosen(type: SpecOf<'tag' | 'theme' | 'style'>, word: string): string | undefined {
    const ids = Object.keys(type.of);
    if (type.kind === 'tag') return ids.find((tag) => tag === word);
    const { themes = {} } = this.documents.tokens;
    const nameOf = (id: string) =>
      type.kind === 'theme'
        ? (own(themes, id)?.name ?? id)
        : allOf(this.documents, 'style').find((style) => style.id === id)?.name;
    return ids.find((id) => nameOf(id)?.toLowerCase() === word);
  }
}

/** The names in a cell that lists several: between semicolons, strokes or lines; else between commas. */
export function namesIn(text: string): string[] {
  const by = /[;|\n]/.test(text) ? /[;|\n]/ : /,/;
  return text
    .split(by)
    .map((each) => each.trim())
    .filter(Boolean);
}

function entriesByName(documents: Documents): Map<string, Map<string, string>> {
  const found = new Map<string, Map<string, string>>([['', new Map()]]);
  const note = (type: string, name: string, id: string) => {
    for (const each of [type, '']) {
      const names = found.get(each) ?? new Map<string, string>();
      found.set(each, names);
      if (!names.has(name.toLowerCase())) names.set(name.toLowerCase(), id);
    }
  };
  // A slug is of one entry alone: it goes before titles, of which several may be the same.
  for (const { id, type, slug } of allOf(documents, 'entry')) note(type, slug, id);
  for (const entry of allOf(documents, 'entry'))
    note(entry.type, entryTitle(documents, entry), entry.id);
  return found;
}

/** A value that stands in a cell as JSON, as `wordsOfValue` writes what words do not say. */
function asWritten(type: TypeSpec, text: string): Reading | undefined {
  if (!/^[[{]/.test(text) || type.kind === 'text') return undefined;
  try {
    const value: unknown = JSON.parse(text);
    const wrong = schemaFindings(kindOf(type.kind).value, value);
    return wrong.length === 0 ? within(type, value) : undefined;
  } catch {
    // Words that begin with a bracket.
    return undefined;
  }
}

function lastOf(path: string): string {
  return path.slice(Math.max(path.lastIndexOf('/'), path.lastIndexOf('\\')) + 1).toLowerCase();
}

function parsed(type: TypeSpec, text: string): Reading {
  const value = kindOf(type.kind).parse?.(text, type) ?? null;
  return value === null ? noSuch(type, text) : made(type, value);
}

function made(type: TypeSpec, value: unknown): Reading {
  return { ok: true, value: { type: type.kind, value } as Typed };
}

/** A value of the kind itself, where its limits let it through. */
function within(type: TypeSpec, value: unknown): Reading {
  const why = kindOf(type.kind).fault?.(value, type) ?? null;
  return why === null ? made(type, value) : { ok: false, why };
}

function noSuch(type: TypeSpec, text: string): Reading {
  return { ok: false, why: say('words-no-value', { words: text, kind: type.kind }) };
}
