/** Where the server of these tests listens: where `npm test` found room, else away from the ports people use. */
export const PORT = Number(process.env['SORMET_E2E_PORT'] ?? 5280);
export const SITES_PORT = Number(process.env['SORMET_E2E_SITES_PORT'] ?? 5281);

/** The address of the published demo, and of its previews. */
export const PUBLISHED = `http://brackenfold.localhost:${SITES_PORT}`;
export const PREVIEW = `http://brackenfold.preview.localhost:${SITES_PORT}`;
