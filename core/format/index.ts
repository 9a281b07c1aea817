export { decoded, ENCODINGS, encodingOf, type TextEncoding } from './content/decode';
export { csvWaysOf, DELIMITERS, readCsv, type CsvWays, type Delimiter } from './content/read-csv';
export { isJson, readJson } from './content/read-json';
export type { Table, TableFault, TableRow } from './content/table';
export { kindShown, optionsOf, proposeColumns, waysOf, type Mapped } from './content/propose';
export {
  planTaking,
  type Asked,
  type CellFault,
  type Plan,
  type PlannedRow,
} from './content/taking-in';
export { readType, type ReadType } from './content/read-type';
export { writeType } from './content/write-type';
export { writeCsv, writeJson } from './content/write-table';
export { readLength, wordsOfLength } from './content/length-words';
export { readLink } from './content/read-link';
export { readDay, DATE_ORDERS, type DateOrder } from './content/read-day';
export { readDecimal } from './content/read-decimal';
export { ValueReader, type Reading, type Ways } from './content/value-reader';
export { WRITTEN, wordsOfValue } from './content/words-of-value';
export type { DrawnElement } from './drawn-element';
export * from './read-icon';
export * from './read-tokens';
export * from './tokens-to-take';
export { EXTENSION, writeTokens } from './write-tokens';
