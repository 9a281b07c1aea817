import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { root, run } from './install.mjs';
import { say } from './say.mjs';

/** A name for the state of everything the interface is built from. */
function fingerprint() {
  const hash = createHash('sha256');
  const add = (path) => {
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort())
        if (!/^(dist|node_modules|test)$|\.md$|\.test\.ts$/.test(name)) add(join(path, name));
    } else hash.update(path.slice(root.length)).update(readFileSync(path));
  };
  for (const name of ['core', 'web', 'package-lock.json']) add(join(root, name));
  return hash.digest('hex');
}

/** Builds the interface, when it is not built from what is here now; one at a time, where several are started at once. */
export function buildInterface() {
  if (isBuilt()) return;
  say('Building the interface …');
  const lock = join(root, 'node_modules', '.sormet-build.lock');
  run('flock', [lock, process.execPath, join(root, 'scripts', 'lib', 'build-once.mjs')], {
    stdio: ['ignore', 'ignore', 'pipe'],
  });
}

/** Builds it, unless somebody did while this waited for its turn. */
export function buildOnce() {
  if (isBuilt()) return;
  const now = fingerprint();
  run('npm', ['run', 'build', '--workspace', 'web', '--silent'], {
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  pressFiles(join(root, 'web', 'dist'));
  writeFileSync(stamp, now);
}

/** Smaller ones of a file are not worth being sent pressed, in bytes. */
const SMALL = 1000;

/** Puts beside each text of the interface what it is pressed to by Brotli and gzip, so that nothing is pressed while somebody waits. */
function pressFiles(folder) {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) pressFiles(path);
    else if (/\.(js|css|svg|html)$/.test(name) && statSync(path).size > SMALL) {
      const bytes = readFileSync(path);
      writeFileSync(
        `${path}.br`,
        brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
      );
      writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }));
    }
  }
}

const stamp = join(root, 'web', 'dist', '.built-from');

function isBuilt() {
  return existsSync(stamp) && readFileSync(stamp, 'utf8') === fingerprint();
}
