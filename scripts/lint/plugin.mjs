import { documented } from './documented.mjs';
import { noRecordOfDocuments } from './no-record-of-documents.mjs';
import { noWholeSlice } from './no-whole-slice.mjs';

/** Rules of the linter that are this project's own. */
export default {
  meta: { name: 'sormet' },
  rules: {
    documented,
    'no-record-of-documents': noRecordOfDocuments,
    'no-whole-slice': noWholeSlice,
  },
};
