import { createServer, type Server } from 'node:http';
import { join } from 'node:path';
import { brackenfold } from '@sormet/demo';
import type { RequestListener } from 'node:http';
import { application } from './application';
import { connect } from './database/connect';
import { SiteStore } from './database/site-store';
import { loadSite } from './load-site';
import { LiveChanges } from './live/live-changes';
import { Publisher } from './publish/publisher';
import type { Settings } from './settings';
import { sitesOrigin } from './sites/sites-origin';

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
  const publisher = new Publisher(store, settings.database);
  const servers: Server[] = [];
  const stop = async () => {
    const closed = servers.map((server) => new Promise((done) => server.close(done)));
    await live.stop();
    for (const server of servers) server.closeAllConnections();
    await Promise.all(closed);
    await publisher.stop();
    await database.destroy();
  };
  try {
    await loadSite(database, brackenfold());
    await live.start();
    await publisher.start();
    const app = application({
      store,
      live,
      publisher,
      sitesPort: settings.sitesPort,
      interfaceFolder: join(import.meta.dirname, '..', 'web', 'dist'),
    });
    servers.push(
      await listen(
        sitesOrigin(store, settings.sitesPort),
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

function listen(
  app: RequestListener,
  port: number,
  host: string,
  setting: string,
): Promise<Server> {
  return new Promise((listening, failed) => {
    const server = createServer(app);
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
