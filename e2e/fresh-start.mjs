/** Starts Sormet on an empty data folder: what an earlier, killed run left is stopped and removed. */
import { rmSync } from 'node:fs';
import { installPostgres } from '../scripts/lib/install.mjs';
import { stopPostgresOn } from '../scripts/lib/postgres.mjs';

stopPostgresOn(installPostgres(), process.env.SORMET_DATA);
rmSync(process.env.SORMET_DATA, { recursive: true, force: true });
await import('../scripts/start.mjs');
