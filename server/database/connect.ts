import { DataSource } from 'typeorm';
import {
  DocumentEntity,
  FileEntity,
  HistoryEntity,
  ReleaseEntity,
  SiteEntity,
  UseEntity,
} from './entities';
import { Consistency1764100000000 } from './consistency';
import { FileParts1764500000000 } from './file-parts-table';
import { FirstTables1764000000000 } from './first-tables';
import { HistoryDocuments1764400000000 } from './history-documents-table';
import { Keyframes1764200000000 } from './keyframes-table';
import { RemovedSites1764300000000 } from './removed-sites';
import { Standing1764600000000 } from './standing-column';
import { UsesAnew1764700000000 } from './uses-anew';

/**
 * Nothing waits for ever: not for a connection, a lock, a statement or somebody who holds a transaction open. What
 * takes longer fails, and is answered with a word to try again. All in ms.
 */
const POOL = {
  max: 20,
  connectionTimeoutMillis: 5_000,
  lock_timeout: 5_000,
  statement_timeout: 60_000,
  idle_in_transaction_session_timeout: 20_000,
};

/** Connects to the database and brings its tables up to date. */
export async function connect(url: string): Promise<DataSource> {
  const source = new DataSource({
    type: 'postgres',
    url,
    entities: [SiteEntity, DocumentEntity, UseEntity, HistoryEntity, ReleaseEntity, FileEntity],
    migrations: [
      FirstTables1764000000000,
      Consistency1764100000000,
      Keyframes1764200000000,
      RemovedSites1764300000000,
      HistoryDocuments1764400000000,
      FileParts1764500000000,
      Standing1764600000000,
      UsesAnew1764700000000,
    ],
    migrationsTransactionMode: 'each',
    synchronize: false,
    extra: POOL,
  });
  await source.initialize();
  await source.runMigrations();
  return source;
}
