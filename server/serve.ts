import { createServer, type Server } from 'node:http';
import { join } from 'node:path';
import { say } from '@sormet/core/said';
import { brackenfold } from '@sormet/demo';
import type { RequestListener } from 'node:http';
import { application } from './application';
import { connect } from './database/connect';
import { keepKeyframes } from './database/keyframes';
import { SiteStore } from './database/site-store';
import { loadDemo } from './load-site';
import { LiveChanges } from './live/live-changes';
import { Compilations } from './compile/compilations';
import { CompileQueue } from './compile/queue';
import { Planner } from './publish/plan';
import { Publisher } from './publish/publisher';
import type { Settings } from './settings';
import { LiveReleases } from './sites/live-releases';
import { sitesOrigin } from './sites/sites-origin';
import { deleteExpired } from './sites/making-sites';
import { tidySites } from './tidy-sites';
import { upgradeSites } from './upgrade-sites';
import { Pictures } from './files/pictures';
import { logFault } from './http/log';
import { originsOf } from './http/policies';

/** How often removed sites whose time is over are deleted, in ms. */
const EXPIRY_EVERY = 60 * 60 * 1000;

/** A running server and what stops it. */
export interface Running {
  readonly store: SiteStore;
  stop(): Promise<void>;
}

/** Connects, migrates, loads the demo into an empty database and listens on both ports. */
export async function serve(settings: Settings): Promise<Running> {
  const database = await connect(settings.database);
  const store = new SiteStore(database);
  const live = new LiveChanges(settings.database);
  const queue = new CompileQueue(database, settings.database, true);
  const compilations = new Compilations(store, queue);
  const pictures = new Pictures();
  const published = new LiveReleases(store);
  const servers: Server[] = [];
  const names = settings.names.concat(settings.host);
  const expiring = setInterval(() => {
    deleteExpired(store).catch((error: unknown) => logFault('Deleting removed sites', error));
  }, EXPIRY_EVERY).unref();
  const stop = async () => {
    clearInterval(expiring);
    const closed = servers.map((server) => new Promise((done) => server.close(done)));
    await live.stop();
    for (const server of servers) server.closeAllConnections();
    await Promise.all(closed);
    await queue.stop();
    await pictures.stop();
    await published.stop();
    await database.destroy();
  };
  try {
    await loadDemo(database, brackenfold);
    await deleteExpired(store);
    await upgradeSites(store);
    await tidySites(store);
    await database.transaction(keepKeyframes);
    await live.start();
    await queue.start();
    await compilations.takeUp();
    // What was begun and could not be ended while the database was away is ended now.
    live.onReturn = () => compilations.takeUp();
    await published.keepAll();
    const app = application({
      store,
      live,
      planner: new Planner(store, compilations),
      publisher: new Publisher(store, compilations),
      pictures,
      names,
      sitesPort: settings.sitesPort,
      interfaceFolder: join(import.meta.dirname, '..', 'web', 'dist'),
    });
    servers.push(
      await listen(
        sitesOrigin({
          store,
          live: published,
          port: settings.sitesPort,
          framedBy: originsOf(names, settings.frontPort),
        }),
        settings.sitesPort,
        settings.host,
        'SORMET_SITES_PORT',
      ),
    );
    servers.push(await listen(app, settings.port, settings.host, 'SORMET_PORT'));
  } catch (error) {
    await stop();
    throw error;
  }
  return { store, stop };
}

/** The answer to what is no HTTP. */
const UNREADABLE =
  'HTTP/1.1 400 Bad Request\r\ncontent-type: application/problem+json\r\nconnection: close\r\n\r\n' +
  JSON.stringify({
    type: 'about:blank',
    title: 'Bad Request',
    status: 400,
    said: say('no-http'),
  });

function listen(
  app: RequestListener,
  port: number,
  host: string,
  setting: string,
): Promise<Server> {
  return new Promise((listening, failed) => {
    const server = createServer(app);
    server.on('clientError', (_, socket) => {
      if (socket.writable) socket.end(UNREADABLE);
      else socket.destroy();
    });
    server.once('error', (error: NodeJS.ErrnoException) =>
      failed(
        error.code === 'EADDRINUSE'
          ? new Error(
              `Port ${port} is in use. Stop what uses it, or name another port in ${setting}.`,
            )
          : error.code === 'EACCES'
            ? new Error(
                `Port ${port} may not be used by this user. Name another port in ${setting}.`,
              )
            : error,
      ),
    );
    server.listen(port, host, () => listening(server));
  });
}
