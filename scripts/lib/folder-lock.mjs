import { spawn } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { Trouble } from './say.mjs';

const TAKEN = 75;

/**
 * Holds a file as a lock of the kernel's until it is released or this process is gone, however it went: a child
 * holds it (flock, of Debian's util-linux) that ends when its input does.
 * @returns a function that releases it, or `undefined` when somebody else holds it
 */
function hold(file) {
  return new Promise((answer, failed) => {
    const child = spawn(
      'flock',
      ['-n', '-E', String(TAKEN), file, 'sh', '-c', 'echo held; exec cat'],
      // In a group of its own: Ctrl+C in a terminal must not release it before everything is stopped.
      { stdio: ['pipe', 'pipe', 'pipe'], detached: true },
    );
    let said = '';
    child.stderr.on('data', (chunk) => (said += chunk));
    child.once('error', failed);
    child.once('exit', (code) =>
      code === TAKEN ? answer(undefined) : failed(new Error(said.trim() || `flock ended: ${code}`)),
    );
    child.stdout.once('data', () => {
      child.unref();
      for (const stream of [child.stdin, child.stdout, child.stderr]) stream.unref?.();
      answer(() => child.stdin.end());
    });
  });
}

/** Locks a data folder for this process. @throws Trouble naming who has it when somebody does */
export async function lockFolder(folder) {
  const file = `${folder}/lock`;
  let release;
  try {
    // A start that was killed takes a moment to let go.
    for (let tries = 0; release === undefined && tries < 8; tries += 1) {
      if (tries > 0) await new Promise((done) => setTimeout(done, 200));
      release = await hold(file);
    }
  } catch (error) {
    throw new Trouble(`The data folder ${folder} cannot be locked: ${error.message}`);
  }
  if (release) {
    writeFileSync(file, `${process.pid}\n`);
    return release;
  }
  const holder = readFileSync(file, 'utf8').trim();
  throw new Trouble(
    `The data folder ${folder} is in use by another Sormet${holder ? ` (process ${holder})` : ''}. ` +
      'Stop that one, or name another folder in SORMET_DATA.',
  );
}
