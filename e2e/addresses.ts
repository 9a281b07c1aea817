const listed = (name: string, otherwise: number) =>
  (process.env[name] ?? String(otherwise)).split(',').map(Number);

/**
 * Where the servers of these tests listen, one for each worker, so that what one test leaves is never in the way of
 * another that runs at the same time: where `npm test` found room, else away from the ports people use.
 */
export const PORTS = listed('SORMET_E2E_PORT', 5280);
export const SITES_PORTS = listed('SORMET_E2E_SITES_PORT', 5281);

const worker = Number(process.env['TEST_PARALLEL_INDEX'] ?? 0);

/** The server of the worker that reads this. */
export const PORT = PORTS[worker]!;
export const SITES_PORT = SITES_PORTS[worker]!;

/** The address of the published demo, and of its previews. */
export const PUBLISHED = `http://brackenfold.localhost:${SITES_PORT}`;
export const PREVIEW = `http://brackenfold.preview.localhost:${SITES_PORT}`;
