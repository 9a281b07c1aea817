/** What the server is told from outside, with its defaults. */
export interface Settings {
  /** Address of the PostgreSQL database. */
  readonly database: string;
  /** Port of the application. */
  readonly port: number;
  /** Port under which browsers reach the application: another one, where something in front passes on what they ask. */
  readonly frontPort: number;
  /** Port of the published sites and previews: another origin than the application. */
  readonly sitesPort: number;
  /** The address both listen on: loopback unless told otherwise. */
  readonly host: string;
  /** Names other than loopback's under which the application answers. */
  readonly names: readonly string[];
}

const LOOPBACK_ADDRESS = '127.0.0.1';

/** What to say loudly about where the server listens; nothing when only this machine reaches it. */
export function listeningWarning({ host }: Pick<Settings, 'host'>): string | undefined {
  if (host === 'localhost' || host === '::1' || /^127(\.\d{1,3}){3}$/.test(host)) return undefined;
  return (
    `ATTENTION: Sormet listens on ${host}, not only on this machine. There are no accounts yet: whoever ` +
    'reaches it can change and publish everything. It answers only to the names in SORMET_NAMES.'
  );
}

/** Reads the settings from the environment. @throws with a message for people when one is wrong. */
export function settingsFrom(env: NodeJS.ProcessEnv): Settings {
  const database = databaseFrom(env);
  const port = portFrom(env['SORMET_PORT'], 5180, 'SORMET_PORT');
  const sitesPort = portFrom(env['SORMET_SITES_PORT'], 5181, 'SORMET_SITES_PORT');
  if (port === sitesPort)
    throw new Error(
      'SORMET_PORT and SORMET_SITES_PORT must differ: sites have an origin of their own.',
    );
  const host = env['SORMET_HOST']?.trim() || LOOPBACK_ADDRESS;
  const names = (env['SORMET_NAMES'] ?? '')
    .split(',')
    .map((name) => name.trim().toLowerCase())
    .filter(Boolean);
  const wrong = names.find((name) => !/^(\[[0-9a-f:]+\]|[a-z0-9.-]+)$/.test(name));
  if (wrong !== undefined)
    throw new Error(`SORMET_NAMES holds “${wrong}”, which is no name of a host.`);
  const frontPort = portFrom(env['SORMET_FRONT_PORT'], port, 'SORMET_FRONT_PORT');
  return { database, port, frontPort, sitesPort, host, names };
}

/** The address of the database. @throws when none is set */
export function databaseFrom(env: NodeJS.ProcessEnv): string {
  const database = env['SORMET_DATABASE'];
  if (!database) throw new Error('SORMET_DATABASE is not set; “npm start” sets it.');
  return database;
}

function portFrom(text: string | undefined, byDefault: number, name: string): number {
  if (text === undefined || text === '') return byDefault;
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Error(`${name} is “${text}”; it must be a port between 1 and 65535.`);
  return port;
}
