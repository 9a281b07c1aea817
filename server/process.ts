import { isAway } from './database/away';
import { logFault } from './http/log';

/**
 * Runs what a process is for until it is told to stop, or until the process that started it is gone. Whoever started it
 * starts it again when it ends; told that it is ready, it knows that it can.
 * @param start begins, and gives what ends it in good order
 */
export function runProcess(start: () => Promise<() => Promise<void>>): void {
  // A promise that nobody waited for has failed: never unsaid, and the end of it unless only the database is away.
  process.on('unhandledRejection', (error) => {
    logFault('A failure that nobody waited for', error);
    if (!isAway(error)) process.exit(1);
  });
  start().then(
    (end) => {
      let stopping = false;
      const stop = () => {
        if (stopping) return;
        stopping = true;
        end().then(
          () => process.exit(0),
          (error: unknown) => {
            console.error(error);
            process.exit(1);
          },
        );
      };
      process.send?.('ready');
      for (const word of ['SIGTERM', 'SIGINT', 'disconnect']) process.on(word, stop);
      // Whoever started it may have gone while it was not listening yet.
      if (process.send && !process.connected) stop();
    },
    (error: unknown) => {
      const words = error instanceof Error ? error.message : String(error);
      console.error('\n' + (isAway(error) ? `The database cannot be reached: ${words}` : words));
      process.exit(1);
    },
  );
}
