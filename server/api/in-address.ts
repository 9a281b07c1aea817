import type { Request } from 'express';
import { ID_PATTERN } from '@sormet/core/model';
import { say } from '@sormet/core/said';
import type { SiteRow } from '../database/entities';
import type { SiteStore } from '../database/site-store';
import { Problem } from '../http/problem';

/** The site that an address names. @throws a 404 problem when there is none */
export async function siteIn(store: SiteStore, request: Request): Promise<SiteRow> {
  const id = String(request.params['site']);
  // What is no id names no site; the database is not asked about it.
  const site = new RegExp(ID_PATTERN).test(id) ? await store.site(id) : null;
  if (!site) throw new Problem(404, say('no-site'));
  return site;
}

/** The revision of a site that an address names. @throws a 404 problem when there is none */
export function revisionIn(request: Request, site: SiteRow): number {
  const revision = wholeNumber(request.params['revision'], 'revision', site.revision);
  if (revision < 1 || revision > site.revision)
    throw new Problem(404, say('no-revision', { revision }));
  return revision;
}

/** An id in the address. @throws a 404 problem for what is none: it names nothing */
export function idIn(request: Request, name: string): string {
  return idFrom(request.params[name], name);
}

/** The same of what was given elsewhere. */
export function idFrom(given: unknown, name: string): string {
  const id = String(given);
  if (!new RegExp(ID_PATTERN).test(id)) throw new Problem(404, say('no-such', { what: name }));
  return id;
}

/** The largest integer that a column of revisions holds. */
const LARGEST_INTEGER = 2 ** 31 - 1;

/** A whole number in an address. @throws a 400 problem that says which is none */
export function wholeNumber(value: unknown, name: string, byDefault: number): number {
  if (value === undefined) return byDefault;
  const number = Number(value);
  if (!Number.isInteger(number) || number < 0 || number > LARGEST_INTEGER)
    throw new Problem(400, say('must-be-whole-number', { name }), { pointer: '/' + name });
  return number;
}
