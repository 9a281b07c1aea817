import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { join } from 'node:path';
import { say, Trouble } from './say.mjs';

export const root = join(import.meta.dirname, '..', '..');
const isRoot = process.getuid?.() === 0;

/** Runs a command and gives up with its output when it fails. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, encoding: 'utf8', ...options });
  if (result.error?.code === 'ENOENT')
    throw new Trouble(`The command ${command} is not on this machine.`);
  if (result.status !== 0)
    throw new Trouble(
      `This failed: ${command} ${args.join(' ')}\n${result.stdout ?? ''}${result.stderr ?? ''}`,
    );
  return result.stdout ?? '';
}

/** Installs the npm packages of the lock file, when it is not what was installed last. */
export function installPackages() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    throw new Trouble(`Sormet needs Node 20.19 or newer; this is ${process.version}.`);
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.sormet-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  say('Installing npm packages …');
  run('npm', ['ci', '--no-audit', '--no-fund'], { stdio: ['ignore', 'ignore', 'pipe'] });
  writeFileSync(stamp, lock);
}

function installDebian(packages, what) {
  say(`Installing ${what} from Debian's packages …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const apt = (args) => {
    const [command, all] = isRoot ? ['apt-get', args] : ['sudo', ['-n', 'apt-get', ...args]];
    run(command, all, { env });
  };
  try {
    apt(['update', '-qq']);
    apt(['install', '-y', '-qq', '--no-install-recommends', ...packages]);
  } catch (error) {
    throw new Trouble(
      `${what} is missing and could not be installed. As root, run: apt-get install ${packages.join(' ')}\n${error.message}`,
    );
  }
}

/** The folder of PostgreSQL's programs, newest version first; nothing when it is not installed. */
function postgresFolder() {
  const base = '/usr/lib/postgresql';
  if (!existsSync(base)) return undefined;
  const versions = readdirSync(base)
    .filter((name) => existsSync(join(base, name, 'bin', 'initdb')))
    .sort((a, b) => Number(b) - Number(a));
  return versions.length > 0 ? join(base, versions[0], 'bin') : undefined;
}

/** The folder of PostgreSQL's programs, installed when it is missing. */
export function installPostgres() {
  const found = postgresFolder();
  if (found) return found;
  installDebian(['postgresql'], 'PostgreSQL');
  const folder = postgresFolder();
  if (!folder) throw new Trouble('PostgreSQL was installed, but its programs were not found.');
  return folder;
}

const CHROMIUM = '/usr/bin/chromium';
/** The same without the windows, menus and pages of a browser: a quarter less to do. */
const CHROMIUM_ALONE = '/usr/bin/chromium-headless-shell';

/** Debian's Chromium for tests, whichever of both is there. */
export function chromiumProgram() {
  return existsSync(CHROMIUM_ALONE) ? CHROMIUM_ALONE : CHROMIUM;
}

/** Installs Debian's Chromium when it is missing: the one without windows, where it is to be had. */
export function installChromium() {
  if (existsSync(CHROMIUM_ALONE)) return;
  try {
    installDebian(['chromium-headless-shell'], 'Chromium');
  } catch (error) {
    if (!existsSync(CHROMIUM)) throw error;
    say('The tests run in Chromium with its windows: the one without them could not be installed.');
  }
}
