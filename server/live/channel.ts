/** The PostgreSQL channel on which new revisions are told. */
export const CHANNEL = 'sormet_revision';
