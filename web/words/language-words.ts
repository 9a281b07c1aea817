import { knownTag, languageOf } from '@sormet/core/locale';

/** How a language writes, in an example: people know theirs at sight. */
export function languageSample(tag: string): string {
  const language = languageOf(tag);
  const sample = `${language.date('2026-12-03', 'long')} · ${language.number(1234.5, { grouped: true })}`;
  return language.isKnown ? sample : `${sample}: how this language writes is not known here`;
}

/** What a language is called in English, as far as anybody here knows. */
export function languageName(tag: string): string {
  const known = knownTag(tag);
  return known === undefined
    ? tag
    : (new Intl.DisplayNames(['en'], { type: 'language' }).of(known) ?? tag);
}
