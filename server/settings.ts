/** What the server is told from outside, with its defaults. */
export interface Settings {
  /** Address of the PostgreSQL database. */
  readonly database: string;
  /** Port of the application. */
  readonly port: number;
  /** Port of the published sites and previews: another origin than the application. */
  readonly sitesPort: number;
  /** The address both listen on: loopback unless told otherwise. */
  readonly host: string;
}

/** Reads the settings from the environment. @throws with a message for people when one is wrong. */
export function settingsFrom(env: NodeJS.ProcessEnv): Settings {
  const database = env['SORMET_DATABASE'];
  if (!database) throw new Error('SORMET_DATABASE is not set; “npm start” sets it.');
  const port = portFrom(env['SORMET_PORT'], 5180, 'SORMET_PORT');
  const sitesPort = portFrom(env['SORMET_SITES_PORT'], 5181, 'SORMET_SITES_PORT');
  if (port === sitesPort)
    throw new Error(
      'SORMET_PORT and SORMET_SITES_PORT must differ: sites have an origin of their own.',
    );
  return { database, port, sitesPort, host: env['SORMET_HOST'] ?? '127.0.0.1' };
}

function portFrom(text: string | undefined, byDefault: number, name: string): number {
  if (text === undefined || text === '') return byDefault;
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Error(`${name} is “${text}”; it must be a port between 1 and 65535.`);
  return port;
}
