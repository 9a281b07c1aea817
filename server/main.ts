import { serve } from './serve';
import { settingsFrom } from './settings';

/** The server process: serves until it is told to stop, or until the process that started it is gone. */
async function main(): Promise<void> {
  const settings = settingsFrom(process.env);
  const running = await serve(settings);
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
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  process.on('disconnect', stop);
}

main().catch((error: unknown) => {
  console.error('\n' + (error instanceof Error ? error.message : String(error)));
  process.exit(1);
});
