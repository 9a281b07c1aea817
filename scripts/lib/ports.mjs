import { createServer } from 'node:net';
import { Trouble } from './say.mjs';

/** Tries to listen. @returns nothing when it can be, else the code of the error */
function tryPort(port, host) {
  return new Promise((answer) => {
    const server = createServer();
    server.once('error', (error) => answer(error.code));
    server.listen(port, host, () => server.close(() => answer(undefined)));
  });
}

/**
 * A port that is free now, on every address: below those that a system gives to connections it makes itself (RFC 6335, 6; on
 * Linux from 32768 on), where one would be taken again before it is used.
 */
export async function freePort() {
  for (let tries = 0; tries < 200; tries += 1) {
    const port = 20_000 + Math.floor(Math.random() * 12_000);
    if ((await tryPort(port, '0.0.0.0')) === undefined) return port;
  }
  throw new Trouble('No free port was found between 20000 and 32000.');
}

/** Looks whether Sormet could listen where it is told to, before anything else is touched. @throws Trouble with what to do */
export async function checkPorts(env = process.env) {
  const host = env.SORMET_HOST?.trim() || '127.0.0.1';
  const taken = new Set();
  for (const [setting, byDefault] of [
    ['SORMET_PORT', 5180],
    ['SORMET_SITES_PORT', 5181],
  ]) {
    const port = env[setting] ? Number(env[setting]) : byDefault;
    if (!Number.isInteger(port) || port < 1 || port > 65535)
      throw new Trouble(`${setting} is “${env[setting]}”; it must be a port between 1 and 65535.`);
    if (taken.has(port))
      throw new Trouble(
        `SORMET_PORT and SORMET_SITES_PORT are both ${port}; they must differ: sites have an origin of their own.`,
      );
    taken.add(port);
    const code = await tryPort(port, host);
    if (code === 'EADDRINUSE')
      throw new Trouble(
        `Port ${port} is in use. Stop what uses it, or name another port in ${setting}.`,
      );
    if (code === 'EACCES')
      throw new Trouble(
        `Port ${port} may not be used by this user. Name another port in ${setting}.`,
      );
    if (code !== undefined)
      throw new Trouble(`Nothing can listen on ${host}: ${code}. Name an address in SORMET_HOST.`);
  }
}
