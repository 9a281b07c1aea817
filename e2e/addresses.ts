/** Where the server of these tests listens, away from the ports people use. */
export const PORT = 5280;
export const SITES_PORT = 5281;

/** The address of the published demo, and of its previews. */
export const PUBLISHED = `http://brackenfold.localhost:${SITES_PORT}`;
export const PREVIEW = `http://brackenfold.preview.localhost:${SITES_PORT}`;
