import { runProcess } from './process';
import { serve } from './serve';
import { listeningWarning, settingsFrom } from './settings';

/** The server process: serves the application, and the sites on an origin of their own. */
runProcess(async () => {
  const settings = settingsFrom(process.env);
  const running = await serve(settings);
  const warning = listeningWarning(settings);
  if (warning !== undefined) console.error('\n' + warning + '\n');
  console.log(`Sormet is ready: http://${settings.host}:${settings.frontPort}`);
  console.log(`Published sites: http://${settings.host}:${settings.sitesPort}`);
  return () => running.stop();
});
