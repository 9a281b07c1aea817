import type { Finding } from '../../model';

/** What is wrong with a document, and with which. */
export type DocumentFinding = Finding & { doc: string };
