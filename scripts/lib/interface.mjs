import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
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

/** Builds the interface, when it is not built from what is here now. */
export function buildInterface() {
  const stamp = join(root, 'web', 'dist', '.built-from');
  const now = fingerprint();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  say('Building the interface …');
  run('npm', ['run', 'build', '--workspace', 'web', '--silent'], {
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  writeFileSync(stamp, now);
}
