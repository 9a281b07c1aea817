import { DataSource } from 'typeorm';
import {
  CompilationEntity,
  DocumentEntity,
  FileEntity,
  HistoryEntity,
  ReleaseEntity,
  SiteEntity,
  UseEntity,
} from './entities';
import { CodesForSentences1764900000000 } from './codes-for-sentences';
import { Compilations1764800000000 } from './compilations-tables';
import { Consistency1764100000000 } from './consistency';
import { EntryDates1765100000000 } from './entry-dates-columns';
import { FileParts1764500000000 } from './file-parts-table';
import { FirstTables1764000000000 } from './first-tables';
import { HistoryDocuments1764400000000 } from './history-documents-table';
import { Keyframes1764200000000 } from './keyframes-table';
import { Messages1765200000000 } from './messages-tables';
import { Moments1765000000000 } from './moment-columns';
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

/**
 * Connects to the database and brings its tables up to date.
 * @param migrate whether it may: workers leave that to the server
 * @throws when the tables are of another version and may not be brought up to date
 */
export async function connect(url: string, migrate = true): Promise<DataSource> {
  const source = new DataSource({
    type: 'postgres',
    url,
    entities: [
      SiteEntity,
      DocumentEntity,
      UseEntity,
      HistoryEntity,
      ReleaseEntity,
      CompilationEntity,
      FileEntity,
    ],
    migrations: [
      FirstTables1764000000000,
      Consistency1764100000000,
      Keyframes1764200000000,
      RemovedSites1764300000000,
      HistoryDocuments1764400000000,
      FileParts1764500000000,
      Standing1764600000000,
      UsesAnew1764700000000,
      Compilations1764800000000,
      CodesForSentences1764900000000,
      Moments1765000000000,
      EntryDates1765100000000,
      Messages1765200000000,
    ],
    migrationsTransactionMode: 'each',
    synchronize: false,
    extra: POOL,
  });
  await source.initialize();
  if (migrate) await source.runMigrations();
  else if (await source.showMigrations()) {
    await source.destroy();
    throw new Error(
      'The database is not up to date: start the server of this version on it first.',
    );
  }
  return source;
}
