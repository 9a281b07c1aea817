import { serve } from './serve';
import { isAway } from './database/away';
import { logFault } from './http/log';
import { listeningWarning, settingsFrom } from './settings';

/** The server process: serves until it is told to stop, or until the process that started it is gone. */
async function main(): Promise<void> {
  const settings = settingsFrom(process.env);
  const running = await serve(settings);
  const warning = listeningWarning(settings);
  if (warning !== undefined) console.error('\n' + warning + '\n');
  console.log(`Sormet is ready: http://${settings.host}:${settings.port}`);
  console.log(`Published sites: http://${settings.host}:${settings.sitesPort}`);
  let stopping = false;
  const stop = () => {
    if (stopping) return;
    stopping = true;
    running.stop().then(
      () => process.exit(0),
      (error: unknown) => {
        console.error(error);
        process.exit(1);
      },
    );
  };
  // Whoever started this process starts it again when it ends; told that it served, it knows that it can.
  process.send?.('ready');
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  process.on('disconnect', stop);
}

/** A promise that nobody waited for has failed: never unsaid, and the end of it unless only the database is away. */
process.on('unhandledRejection', (error) => {
  logFault('A failure that nobody waited for', error);
  if (!isAway(error)) process.exit(1);
});

main().catch((error: unknown) => {
  console.error('\n' + (error instanceof Error ? error.message : String(error)));
  process.exit(1);
});
