import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const ROOT = join(__dirname, '..', '..', '..');
const FOLDER = join(ROOT, 'docs', 'handbook');
const chapters = readdirSync(FOLDER)
  .sort()
  .map((file) => ({ file, text: readFileSync(join(FOLDER, file), 'utf8') }));

/** Everything that the interface says, as it stands in its source. */
function source(folder: string): string {
  return readdirSync(folder, { withFileTypes: true })
    .map((each) => {
      const path = join(folder, each.name);
      if (each.isDirectory())
        return /^(dist|node_modules|handbook)$/.test(each.name) ? '' : source(path);
      return /\.tsx?$/.test(each.name) && !each.name.includes('.test.')
        ? readFileSync(path, 'utf8')
        : '';
    })
    .join('\n');
}

test('the handbook has twelve chapters, each with its title, a picture that is there, and parts', () => {
  expect(chapters).toHaveLength(12);
  for (const { file, text } of chapters) {
    expect([file, text.match(/^# /gm)?.length]).toEqual([file, 1]);
    expect([file, (text.match(/^## /gm) ?? []).length > 1]).toEqual([file, true]);
    const pictures = [...text.matchAll(/!\[[^\]]+\]\(([^)]+)\)/g)].map(([, path]) => path!);
    expect([file, pictures.length > 0]).toEqual([file, true]);
    for (const picture of pictures)
      expect([picture, existsSync(join(FOLDER, picture))]).toEqual([picture, true]);
  }
});

test('what a chapter names in bold stands in the interface so', () => {
  const said = (source(join(ROOT, 'web')) + source(join(ROOT, 'core', 'ready'))).replace(
    /\s+/g,
    ' ',
  );
  // What is counted is made of a number and a word: the walk of the first chapter presses it.
  const named = chapters.flatMap(({ file, text }) =>
    [...text.matchAll(/\*\*([^*]+)\*\*/g)]
      .map(([, label]) => label!.replace(/\s+/g, ' '))
      .filter((label) => !/\d/.test(label))
      .map((label) => ({ file, label })),
  );
  const missing = named.filter(({ label }) => !said.includes(label.replace(/^wrap in: /, '')));
  expect(missing).toEqual([]);
  expect(named.length).toBeGreaterThan(25);
});
