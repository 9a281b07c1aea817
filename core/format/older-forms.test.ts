import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { doEdit, isRefusal } from '../edit';
import { newId, type Json } from '../model';
import { saidText } from '../said';
import { documentsOf } from '../test';
import { readTokens } from './read-tokens';
import { tokensToTake, type ToTake } from './tokens-to-take';

const empty = documentsOf({ ...documentsOf().tokens, tokens: {} });

function taken(file: Json): ToTake {
  const read = readTokens(file);
  if (!read.ok) throw new Error(JSON.stringify(read.findings));
  const take = tokensToTake(empty, read, newId);
  const { tokens, themes, styles } = take;
  const left = [...read.left, ...take.left];
  // What is a thousand tokens is checked as a few hundred are.
  if (Object.keys(tokens).length > 800) return { ...take, left };
  const done = doEdit(empty, { name: 'takeTokens', args: { tokens, themes, styles: [...styles] } });
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  return { ...take, left };
}

const cssOf = ({ tokens }: ToTake) =>
  Object.fromEntries(Object.values(tokens).map(({ name, value }) => [name, value.css]));

describe('forms that are met beside the format', () => {
  test('members without a sign, older types, values as CSS writes them', () => {
    const take = taken({
      colors: { ink: { value: '#123456', type: 'color', comment: 'Words' } },
      spacing: { room: { value: '16px', type: 'spacing' }, none: { value: 0, type: 'spacing' } },
      text: { loose: { value: '150%', type: 'lineHeights' } },
      weight: { strong: { value: 'Semi Bold', type: 'fontWeights' } },
      family: { plain: { value: "Inter, 'Source Sans 3', sans-serif", type: 'fontFamilies' } },
      motion: { quick: { value: '150ms' }, in: { value: 'cubic-bezier(0.4, 0, 1, 1)' } },
      shade: {
        low: { value: { x: '0', y: '1px', blur: '2px', color: '#0003' }, type: 'boxShadow' },
      },
    });
    expect(take.left).toEqual([]);
    expect(cssOf(take)).toEqual({
      ink: '#123456',
      room: '16px',
      none: '0px',
      loose: '1.5',
      strong: '600',
      plain: 'Inter,"Source Sans 3",sans-serif',
      quick: '150ms',
      in: 'cubic-bezier(0.4,0,1,1)',
      low: '0px 1px 2px 0px #0003',
    });
  });

  test('values without a type that show what they are, also bare ones; names with dots', () => {
    const take = taken({
      ink: { $value: 'hsl(200 50% 30%)' },
      space: { '0.5': '2px', wide: '4rem' },
    });
    expect(Object.keys(cssOf(take)).sort()).toEqual(['0.5', 'ink', 'wide']);
  });

  test('aliases in files of several sets lead to the only token of that end', () => {
    const take = taken({
      base: { color: { blue: { value: '#00f', type: 'color' } } },
      theme: { link: { value: '{color.blue.value}', type: 'color' } },
    });
    expect(take.left).toEqual([]);
    expect(Object.keys(cssOf(take))).toEqual(['blue', 'link']);
  });

  test('what is foreign or unsound stays out by its place, with what is made from it; the rest comes', () => {
    const take = taken({
      $themes: [],
      $metadata: { order: ['a'] },
      ink: { $type: 'color', $value: '#123', attributes: { rank: 1 } },
      odd: { $type: 'color', $value: 'var(--elsewhere)' },
      from: { $type: 'color', $value: '{odd}' },
      list: [1, 2],
    });
    expect(Object.keys(cssOf(take))).toEqual(['ink']);
    expect(take.left.map(({ path, reason }) => [path, reason.code])).toEqual([
      ['/ink/attributes', 'nothing-in-token'],
      ['/list', 'token-or-group'],
      ['/odd/$value', 'object-with'],
      ['/from', 'made-from-left'],
    ]);
  });
});

/** Files of tokens that packages of the registry ship: theirs, as they are. */
const PACKAGES: readonly (readonly [name: string, folder: string, least: number, part: string])[] =
  [
    ['open-props', '.', 200, ''],
    ['@adobe/spectrum-tokens', 'src', 200, ''],
    ['@amsterdam/design-system-tokens', 'dist', 200, ''],
    // One file of thousands: what its brand is made of stands for the rest.
    ['@nl-design-system-unstable/voorbeeld-design-tokens', '.', 30, 'brand'],
    ['@utrecht/design-tokens', 'src', 100, ''],
  ];

test.each(PACKAGES)(
  'most of what %s ships comes in, and what is taken is sound',
  (name, folder, least, part) => {
    const root = join(__dirname, '../../node_modules', name, folder);
    let many = 0;
    for (const path of filesIn(root)) {
      if (many > least) break;
      const file = JSON.parse(readFileSync(path, 'utf8')) as Record<string, Json>;
      // Not every file of a package has that part.
      if (part !== '' && !Object.hasOwn(file, part)) continue;
      const json: Json = part === '' ? file : { [part]: file[part]! };
      const read = readTokens(json);
      if (!read.ok) {
        // A file of another sort, or one whose every token is named in other files: that is told.
        expect(read.findings.length).toBeGreaterThan(0);
        continue;
      }
      const { tokens, styles } = taken(json);
      many += Object.keys(tokens).length + styles.length;
    }
    expect(many).toBeGreaterThan(least);
  },
);

function filesIn(folder: string): string[] {
  return readdirSync(folder)
    .flatMap((name) => {
      const path = join(folder, name);
      if (statSync(path).isDirectory()) return name === 'node_modules' ? [] : filesIn(path);
      return name.endsWith('.json') && name !== 'package.json' ? [path] : [];
    })
    .slice(0, 25);
}
