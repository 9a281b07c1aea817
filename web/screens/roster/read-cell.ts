import { languageOf } from '@sormet/core/locale';
import {
  allOf,
  entryTitle,
  kindOf,
  own,
  pathOf,
  type Documents,
  type Typed,
  type TypeSpec,
} from '@sormet/core/model';
import { readLength } from '../../values/length-words';
import { readLink } from '../../values/read-link';
import { sentence } from '../../words';

export type ReadCell =
  { readonly ok: true; readonly value: Typed } | { readonly ok: false; readonly reason: string };

/** The words of a cell, as a spreadsheet holds them, as a value of a type; or why they are none. */
export function readCell(documents: Documents, type: TypeSpec, words: string): ReadCell {
  const text = words.trim();
  const inLanguage = { language: languageOf(documents.site.language) };
  const made = (value: unknown): ReadCell =>
    value === null || value === undefined
      ? {
          ok: false,
          reason: `“${text}” is no ${type.kind === 'boolean' ? 'yes or no' : type.kind}.`,
        }
      : { ok: true, value: { type: type.kind, value } as Typed };
  /** A value of the kind itself, where its limits let it through. */
  const within = (value: string | number): ReadCell => {
    const reason = kindOf(type.kind).fault?.(value, type) ?? null;
    return reason === null ? made(value) : { ok: false, reason: sentence(reason) };
  };
  switch (type.kind) {
    case 'text':
      return within(words);
    case 'rich':
      return made([words]);
    case 'number': {
      const value = kindOf('number').parse?.(text, type, inLanguage) as number | null;
      return value === null ? made(null) : within(value);
    }
    case 'length':
      return made(readLength(text));
    case 'link':
      return made(linkIn(documents, text));
    case 'image': {
      const found = allOf(documents, 'asset').find(
        ({ name, mediaType }) =>
          mediaType.startsWith('image/') && name.toLowerCase() === text.toLowerCase(),
      );
      return found
        ? made({ asset: found.id })
        : { ok: false, reason: `There is no picture “${text}”.` };
    }
    case 'entry': {
      const found = allOf(documents, 'entry').find(
        (entry) =>
          (type.of === undefined || entry.type === type.of) &&
          [entryTitle(documents, entry), entry.slug].some(
            (each) => each.toLowerCase() === text.toLowerCase(),
          ),
      );
      return found ? made(found.id) : { ok: false, reason: `There is no entry “${text}”.` };
    }
    case 'theme': {
      const themes = documents.tokens.themes ?? {};
      const found =
        text.toLowerCase() === 'plain'
          ? 'plain'
          : Object.keys(themes).find((id) => themes[id]!.name.toLowerCase() === text.toLowerCase());
      return made(found !== undefined && own(type.of, found) ? found : null);
    }
    case 'style': {
      const found = allOf(documents, 'style').find(
        ({ name }) => name.toLowerCase() === text.toLowerCase(),
      );
      return made(found && own(type.of, found.id) ? found.id : null);
    }
    case 'tag':
      return made(own(type.of, text.toLowerCase()) ? text.toLowerCase() : null);
    case 'icon':
    case 'video':
    case 'list':
      return { ok: false, reason: 'It is set in its own editor, not by words.' };
    default:
      return made(kindOf(type.kind).parse?.(text, type, inLanguage));
  }
}

function linkIn(documents: Documents, text: string) {
  const places = allOf(documents, 'page').flatMap((page) =>
    page.entries === null
      ? [{ of: `page ${page.id} `, path: page.path }]
      : allOf(documents, 'entry')
          .filter(({ type }) => type === page.entries)
          .map((entry) => ({ of: `page ${page.id} ${entry.id}`, path: pathOf(page, entry) })),
  );
  const place = places.find(({ path }) => path === text);
  if (!place) return readLink(text, places);
  const [, page, entry] = place.of.split(' ');
  return entry ? { to: 'page', page, entry } : { to: 'page', page };
}
