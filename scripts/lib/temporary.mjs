import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/**
 * A folder that is there as long as this process is, however it ends.
 * @param end what is ended before the folder is taken away
 */
export function temporaryFolder(end = () => undefined) {
  const folder = mkdtempSync(join(tmpdir(), 'sormet-test-'));
  // The user that runs the database must be able to pass through.
  chmodSync(folder, 0o755);
  process.on('exit', () => {
    end();
    rmSync(folder, { recursive: true, force: true });
  });
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => process.exit(1));
  return folder;
}
