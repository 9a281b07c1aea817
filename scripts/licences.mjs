/**
 * `npm run licences`: writes docs/licences.md anew, what ships with Sormet and under which licence. With `--check` it only
 * says whether that is still so, as `npm test` does.
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { root } from './lib/install.mjs';
import { giveUp, say, Trouble } from './lib/say.mjs';

/** Whose packages run when somebody uses Sormet; what only builds and tests ships with nothing. */
const SHIPS = ['core', 'server', 'web', 'demo'];
const FILE = join(root, 'docs', 'licences.md');

const read = (folder) => JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'));

/** Where a package stands that another one needs: the nearest, as Node looks for it. */
function folderOf(name, from) {
  for (let at = from; ; at = dirname(at)) {
    const folder = join(at, 'node_modules', name);
    if (existsSync(join(folder, 'package.json'))) return folder;
    if (at === root || at === dirname(at)) return undefined;
  }
}

function shipped() {
  const found = new Map();
  const open = SHIPS.map((name) => join(root, name));
  for (let at = open.pop(); at !== undefined; at = open.pop()) {
    const { dependencies, peerDependencies, peerDependenciesMeta = {} } = read(at);
    for (const name of Object.keys({ ...peerDependencies, ...dependencies })) {
      if (name.startsWith('@sormet/') || peerDependenciesMeta[name]?.optional) continue;
      const folder = folderOf(name, at);
      // What is not installed does not ship.
      if (folder === undefined || found.has(folder)) continue;
      found.set(folder, read(folder));
      open.push(folder);
    }
  }
  return [...found.values()].sort((a, b) => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0));
}

function licenceOf({ name, license, licenses }) {
  const said = typeof license === 'string' ? license : (license?.type ?? licenses?.[0]?.type);
  if (!said) throw new Trouble(`The package ${name} does not say its licence.`);
  return said;
}

function page() {
  const rows = new Map();
  for (const each of shipped()) {
    const licence = licenceOf(each);
    rows.set(licence, [...(rows.get(licence) ?? []), each.name]);
  }
  const parts = [...rows].sort(([a], [b]) => (a < b ? -1 : 1));
  return [
    '# Licences',
    '',
    'What ships with Sormet and runs when it is used, by licence. Made by `npm run licences` from what is installed; the text of each',
    'licence stands in the folder of its package. What only builds and tests Sormet is not among them. PostgreSQL and Chromium are',
    'Debian’s packages and do not ship with it. The data in core/locale/data is made from Unicode’s CLDR (Unicode License V3,',
    'Copyright © Unicode, Inc.).',
    '',
    ...parts.flatMap(([licence, names]) => [
      `## ${licence}`,
      '',
      [...new Set(names)].map((name) => `\`${name}\``).join(', '),
      '',
    ]),
  ].join('\n');
}

try {
  const now = page();
  if (process.argv.includes('--check')) {
    if (!existsSync(FILE) || readFileSync(FILE, 'utf8') !== now)
      throw new Trouble('docs/licences.md is not what ships now: run “npm run licences”.');
  } else {
    writeFileSync(FILE, now);
    say('docs/licences.md is written.');
  }
} catch (error) {
  giveUp(error);
}
