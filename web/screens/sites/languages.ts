/** Languages to choose from, by their tags (BCP 47) with the name each has in itself; any other tag can be typed. */
export const LANGUAGES = [
  'en',
  'en-GB',
  'de',
  'de-AT',
  'fr',
  'es',
  'it',
  'nl',
  'pl',
  'pt',
  'sv',
].map((tag) => ({
  value: tag,
  label: `${tag} · ${new Intl.DisplayNames([tag], { type: 'language' }).of(tag) ?? tag}`,
}));
