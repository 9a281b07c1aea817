/** The chapters of the handbook, from `docs/handbook`, with the pictures that `npm run pictures` makes. */
const TEXTS = import.meta.glob<string>('../../../docs/handbook/*.md', {
  query: '?raw',
  import: 'default',
  eager: true,
});
const PICTURES = import.meta.glob<string>('../../../docs/screenshots/*.png', {
  query: '?url',
  import: 'default',
  eager: true,
});

/** A chapter: its name in addresses, its title, its text in Markdown (CommonMark). */
export interface Chapter {
  readonly key: string;
  readonly title: string;
  readonly text: string;
}

/** All chapters, in the order of the work. */
export const CHAPTERS: readonly Chapter[] = Object.entries(TEXTS)
  .sort(([a], [b]) => (a < b ? -1 : 1))
  .map(([path, text]) => ({
    key: /\d+-([^/]+)\.md$/.exec(path)?.[1] ?? path,
    title: /^# (.+)$/m.exec(text)?.[1] ?? '',
    text,
  }));

/** Where the picture of a chapter is served. */
export function pictureAt(path: string): string | undefined {
  return PICTURES[path.replace(/^\.\.\//, '../../../docs/')];
}

/** What a heading is called in addresses. */
export function anchorOf(heading: string): string {
  return heading
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
}

/** What can be looked up: each chapter and each heading in it, by the place that opens it. */
export const LOOKED_UP: readonly { readonly at: string; readonly words: string }[] =
  CHAPTERS.flatMap(({ key, title, text }) => [
    { at: key, words: title },
    ...[...text.matchAll(/^## (.+)$/gm)].map(([, heading]) => ({
      at: `${key}#${anchorOf(heading!)}`,
      words: `${heading}, in ${title}`,
    })),
  ]);
