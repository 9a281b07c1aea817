import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { root, run } from './install.mjs';
import { say } from './say.mjs';

/** What is built before anything runs, each from what stands in some folders, and how. */
const PARTS = [
  {
    name: 'the interface',
    from: ['core', 'web'],
    stamp: join(root, 'web', 'dist', '.built-from'),
    build() {
      run('npm', ['run', 'build', '--workspace', 'web', '--silent'], {
        stdio: ['ignore', 'ignore', 'pipe'],
      });
      pressFiles(join(root, 'web', 'dist'));
    },
  },
  {
    name: 'the server',
    from: ['core', 'server', 'demo'],
    stamp: join(root, 'server', 'dist', '.built-from'),
    build: buildServer,
  },
];

/** A name for the state of everything that something is built from. */
function fingerprint({ from }) {
  const hash = createHash('sha256');
  const add = (path) => {
    if (statSync(path).isDirectory()) {
      for (const name of readdirSync(path).sort())
        if (!/^(dist|node_modules|test)$|\.md$|\.test\.tsx?$/.test(name)) add(join(path, name));
    } else hash.update(path.slice(root.length)).update(readFileSync(path));
  };
  for (const name of [...from, 'package-lock.json', 'scripts/lib/build.mjs']) add(join(root, name));
  return hash.digest('hex');
}

function isBuilt(part) {
  return existsSync(part.stamp) && readFileSync(part.stamp, 'utf8') === fingerprint(part);
}

/**
 * Builds what is not built from what is here now; one at a time, where several are started at once.
 * @param asked the name of a part; else all of them
 */
export function buildAll(asked) {
  const stale = PARTS.filter((part) => [undefined, part.name].includes(asked) && !isBuilt(part));
  if (stale.length === 0) return;
  say(`Building ${stale.map(({ name }) => name).join(' and ')} …`);
  const lock = join(root, 'node_modules', '.sormet-build.lock');
  const args = [join(root, 'scripts', 'lib', 'build-once.mjs'), ...stale.map(({ name }) => name)];
  run('flock', [lock, process.execPath, ...args], { stdio: ['ignore', 'ignore', 'pipe'] });
}

/** Builds the parts of these names, unless somebody did while this waited for its turn. */
export async function buildOnce(names) {
  for (const part of PARTS) {
    if (!names.includes(part.name) || isBuilt(part)) continue;
    const now = fingerprint(part);
    await part.build();
    writeFileSync(part.stamp, now);
  }
}

/** Puts the programs of the server into a file each: read one by one and translated at each start, it takes seconds. */
async function buildServer() {
  // Installed by now; this file is read before.
  const { build } = await import('esbuild');
  await build(serverBuild(join(root, 'server', 'dist')));
}

/** How the programs of the server are built, as esbuild takes it. */
export function serverBuild(outdir) {
  const packages = ['core', 'server', 'demo'].flatMap((name) =>
    Object.keys(JSON.parse(readFileSync(join(root, name, 'package.json'), 'utf8')).dependencies),
  );
  return {
    entryPoints: ['main', 'worker'].map((name) => join(root, 'server', `${name}.ts`)),
    outdir,
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    sourcemap: true,
    external: packages.filter((name) => !name.startsWith('@sormet/')),
    plugins: [whereFilesStand],
    logLevel: 'warning',
  };
}

/** Files keep saying where they stand, though they are put into one. */
const whereFilesStand = {
  name: 'where files stand',
  setup(build) {
    build.onLoad({ filter: /\/(server|demo)\/[^.]*\.ts$/ }, ({ path }) => ({
      loader: 'ts',
      contents: readFileSync(path, 'utf8').replaceAll(
        'import.meta.dirname',
        JSON.stringify(dirname(path)),
      ),
    }));
  },
};

/** Smaller ones of a file are not worth being sent pressed, in bytes. */
const SMALL = 1000;

/** Puts beside each text of the interface what it is pressed to by Brotli and gzip, so that nothing is pressed while somebody waits. */
export function pressFiles(folder) {
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
