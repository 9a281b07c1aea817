import { EntitySchema } from 'typeorm';
import type { Doc, EntryDates } from '@sormet/core/model';
import type { Change } from '@sormet/core/edit';
import type { Manifest, PlannedPage, ReleaseFile, Work } from '@sormet/core/compile';
import type { Said } from '@sormet/core/said';

export interface SiteRow {
  id: string;
  slug: string;
  name: string;
  revision: number;
  liveRelease: string | null;
  /** How many documents it holds at that revision. */
  documents: number;
  /** When it was removed; it is kept for some time. */
  removed: Date | null;
}

export const SiteEntity = new EntitySchema<SiteRow>({
  name: 'site',
  tableName: 'sites',
  columns: {
    id: { type: 'text', primary: true },
    slug: { type: 'text', unique: true },
    name: { type: 'text' },
    revision: { type: 'int' },
    liveRelease: { type: 'text', nullable: true, name: 'live_release' },
    documents: { type: 'int' },
    removed: { type: 'timestamptz', nullable: true },
  },
});

export interface DocumentRow {
  site: string;
  id: string;
  kind: string;
  /** The revision that changed it last. */
  version: number;
  /** What it adds to the addresses of its site (see `standsFor`). */
  stands: string | null;
  body: Doc;
}

export const DocumentEntity = new EntitySchema<DocumentRow>({
  name: 'document',
  tableName: 'documents',
  columns: {
    site: { type: 'text', primary: true },
    id: { type: 'text', primary: true },
    kind: { type: 'text' },
    version: { type: 'int' },
    stands: { type: 'text', nullable: true },
    body: { type: 'jsonb' },
  },
});

export interface UseRow {
  site: string;
  from: string;
  node: string;
  kind: string;
  to: string;
}

export const UseEntity = new EntitySchema<UseRow>({
  name: 'use',
  tableName: 'uses',
  columns: {
    site: { type: 'text', primary: true },
    from: { type: 'text', primary: true, name: 'from_document' },
    node: { type: 'text', primary: true, name: 'from_node' },
    kind: { type: 'text', primary: true },
    to: { type: 'text', primary: true, name: 'target' },
  },
});

export interface HistoryRow {
  site: string;
  revision: number;
  edit: string;
  who: string;
  at: Date;
  name: string;
  args: unknown;
  changes: Change[];
  said: Said;
  /** How many documents the site held after it; not known of edits from before this was noted. */
  documents: number | null;
  /** What it was part of: one stretch of typing or moving. */
  stretch: string | null;
}

export const HistoryEntity = new EntitySchema<HistoryRow>({
  name: 'history',
  tableName: 'history',
  columns: {
    site: { type: 'text', primary: true },
    revision: { type: 'int', primary: true },
    edit: { type: 'text' },
    who: { type: 'text' },
    at: { type: 'timestamptz' },
    name: { type: 'text' },
    args: { type: 'jsonb' },
    changes: { type: 'jsonb' },
    said: { type: 'jsonb' },
    documents: { type: 'int', nullable: true },
    stretch: { type: 'text', nullable: true },
  },
});

export type ReleaseState = 'waiting' | 'making' | 'done' | 'failed';

export interface ReleaseRow {
  id: string;
  site: string;
  number: number;
  revision: number;
  state: ReleaseState;
  done: number;
  of: number;
  plan: PlannedPage[];
  manifest: Manifest;
  error: Said | null;
  at: Date;
  /** The version of the compiler that made it. */
  compiler: number;
  /** What it takes its pages from, while it is not ended. */
  compilation: string | null;
  /** The moment at which it was made (see `Moment`). */
  today: string;
  now: string;
  dates: EntryDates | null;
  /** Whether it was made by itself, since the time of something had come. */
  byItself: boolean;
}

export const ReleaseEntity = new EntitySchema<ReleaseRow>({
  name: 'release',
  tableName: 'releases',
  columns: {
    id: { type: 'text', primary: true },
    site: { type: 'text' },
    number: { type: 'int' },
    revision: { type: 'int' },
    state: { type: 'text' },
    done: { type: 'int' },
    of: { type: 'int', name: 'total' },
    plan: { type: 'jsonb' },
    manifest: { type: 'jsonb' },
    error: { type: 'jsonb', nullable: true },
    at: { type: 'timestamptz' },
    compiler: { type: 'int' },
    compilation: { type: 'text', nullable: true },
    today: { type: 'text', name: 'at_today' },
    now: { type: 'text', name: 'at_now' },
    dates: { type: 'jsonb', nullable: true },
    byItself: { type: 'boolean', name: 'by_itself' },
  },
});

/** What publishing one revision of a site comes to, beside what was live: made by workers, part by part. */
export interface CompilationRow {
  id: string;
  site: string;
  revision: number;
  /** The release it is compared with. */
  live: string | null;
  /** The moment at which it is made (see `Moment`). */
  today: string;
  now: string;
  dates: EntryDates | null;
  compiler: number;
  state: 'making' | 'done' | 'failed';
  /** How many pages are made, and how many there are to make. */
  done: number;
  of: number;
  /** How many parts are not made; nothing before it is known which there are. */
  left: number | null;
  work: Work | null;
  /** How many pages are as they were in the release it is compared with. */
  kept: number;
  plan: PlannedPage[];
  /** The release that `changes` are changes of; nothing where they are everything. */
  base: string | null;
  changes: [path: string, file: ReleaseFile | null][];
  error: Said | null;
  at: Date;
}

export const CompilationEntity = new EntitySchema<CompilationRow>({
  name: 'compilation',
  tableName: 'compilations',
  columns: {
    id: { type: 'text', primary: true },
    site: { type: 'text' },
    revision: { type: 'int' },
    live: { type: 'text', nullable: true },
    today: { type: 'text', name: 'at_today' },
    now: { type: 'text', name: 'at_now' },
    dates: { type: 'jsonb', nullable: true },
    compiler: { type: 'int' },
    state: { type: 'text' },
    done: { type: 'int' },
    of: { type: 'int', name: 'total' },
    left: { type: 'int', nullable: true, name: 'left_parts' },
    work: { type: 'jsonb', nullable: true },
    kept: { type: 'int' },
    plan: { type: 'jsonb' },
    base: { type: 'text', nullable: true },
    changes: { type: 'jsonb' },
    error: { type: 'jsonb', nullable: true },
    at: { type: 'timestamptz' },
  },
});

/** A file, stored once by content; its bytes lie in `file_parts` (server/files/stored-files.ts). */
export interface FileRow {
  sha256: string;
  mediaType: string;
  size: number;
}

export const FileEntity = new EntitySchema<FileRow>({
  name: 'file',
  tableName: 'files',
  columns: {
    sha256: { type: 'text', primary: true },
    mediaType: { type: 'text', name: 'media_type' },
    size: { type: 'int' },
  },
});
