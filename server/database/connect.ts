import { DataSource } from 'typeorm';
import {
  DocumentEntity,
  FileEntity,
  HistoryEntity,
  ReleaseEntity,
  SiteEntity,
  UseEntity,
} from './entities';
import { FirstTables1764000000000 } from './first-tables';

/** Connects to the database and brings its tables up to date. */
export async function connect(url: string): Promise<DataSource> {
  const source = new DataSource({
    type: 'postgres',
    url,
    entities: [SiteEntity, DocumentEntity, UseEntity, HistoryEntity, ReleaseEntity, FileEntity],
    migrations: [FirstTables1764000000000],
    migrationsTransactionMode: 'each',
    synchronize: false,
  });
  await source.initialize();
  await source.runMigrations();
  return source;
}
