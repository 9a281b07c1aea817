import express, { type Express, type Request, type Response } from 'express';
import { LRUCache } from 'lru-cache';
import {
  addressesAt,
  docOf,
  FORMAT,
  leafAt,
  text,
  type Documents,
  type InstanceNode,
} from '@sormet/core/model';
import { fileOf, PageCompiler } from '@sormet/core/compile';
import { escapeAttribute, escapeText } from '@sormet/core/resolve';
import { dataWithDrafts, type Data } from '@sormet/core/value';
import { entryDates } from '../compile/entry-dates';
import type { SiteStore } from '../database/site-store';
import { sendBytes, sendStored } from '../files/send-file';
import { serveFile } from '../files/serve-file';
import { sha256 } from '../files/sha256';
import { findFile } from '../files/stored-files';
import { FILE_POLICY, pagePolicy } from '../http/policies';
import { sendProblem } from '../http/problem';
import { SentForms, sentPlace } from '../messages/sent-forms';
import { BENCH_PATH, BenchBooking } from '../stand-ins/bench-booking';
import type { KnownSite, LiveReleases } from './live-releases';

/** How many stylesheets and scripts of previews are kept. */
const MOST_LOADED = 200;

/** Of how many sites what previews read is kept. */
const MOST_SITES = 20;

/** What the origin of the sites is made of. */
export interface SitesParts {
  readonly store: SiteStore;
  readonly live: LiveReleases;
  /** Its own port, for the addresses in the list of sites. */
  readonly port: number;
  /** The origins in whose frames pages may be shown: those of the application. */
  readonly framedBy: readonly string[];
  /** How long the stand-in for a booking service takes to answer, in ms. */
  readonly thinks?: number;
}

/**
 * The origin of published sites and previews, apart from the application's. `SLUG.localhost` is a
 * published site, `SLUG.preview.localhost` its newest state. Without a name in front, the only published
 * site, else a list of them.
 */
export function sitesOrigin(parts: SitesParts): Express {
  const { live, port } = parts;
  const app = express().disable('x-powered-by').disable('etag');
  const booking = new BenchBooking(parts.thinks);
  const forms = new SentForms(parts.store);
  const previews = new Previews(parts.store, parts.framedBy, forms);
  const policy = pagePolicy(parts.framedBy);
  app.use(async (request, response) => {
    response.set({
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'strict-origin-when-cross-origin',
      // Whatever is answered, also that there is nothing; files say their own.
      'content-security-policy': policy,
    });
    const { slug, preview } = hostParts(request.hostname);
    const path = normalised(request.path);
    if (path === BENCH_PATH) return booking.answer(request, response);
    const sent = request.method === 'POST' ? sentPlace(request) : undefined;
    if (request.method !== 'GET' && request.method !== 'HEAD' && sent === undefined)
      return void response.status(405).end();
    if (slug !== undefined) {
      const site = await live.site(slug);
      if (!site) return notFound(response);
      if (!preview) return publishedFile(parts, forms, site, path, request, response);
      if (sent === undefined) return previews.send(site, path, request, response);
      const page = await previews.page(site, path, false);
      if (!page) return notFound(response);
      if (page.acts) response.set('content-security-policy', pagePolicy(parts.framedBy, true));
      return forms.take({ site, path, html: page.html, isKept: false }, sent, request, response);
    }
    const published = await live.published();
    if (published.length === 1)
      return publishedFile(parts, forms, published[0]!, path, request, response);
    return void response.type('html').send(listOf(published, port));
  });
  app.use(sendProblem);
  return app;
}

function hostParts(host: string): { slug?: string; preview: boolean } {
  const match = /^([a-z0-9-]+)(\.preview)?\.localhost$/.exec(host);
  return match ? { slug: match[1]!, preview: match[2] !== undefined } : { preview: false };
}

/** A path without a slash at the end, decoded once. */
function normalised(path: string): string {
  let decoded = path;
  try {
    decoded = decodeURIComponent(path);
  } catch {
    // A path that cannot be decoded names nothing; it is looked up as it is and not found.
  }
  return decoded.length > 1 ? decoded.replace(/\/+$/, '') || '/' : decoded;
}

async function publishedFile(
  { store, live, framedBy }: SitesParts,
  forms: SentForms,
  site: KnownSite,
  path: string,
  request: Request,
  response: Response,
): Promise<void> {
  const manifest = await live.manifestOf(site);
  const name = Object.hasOwn(manifest, path) ? path : fileOf(path);
  const entry = Object.hasOwn(manifest, name) ? manifest[name]! : undefined;
  if (!entry) return notFound(response);
  // Where a former path leads may be another tomorrow, the path itself among it: it is asked for again each time
  // (RFC 9111, 4.2.2: without a word, a permanent redirect may be kept for ever).
  if (entry.redirect !== undefined) {
    // A form that was open when its page moved is sent along.
    const sent = request.method === 'POST' ? new URL(request.url, 'http://here').search : '';
    return response.set('cache-control', 'no-cache').redirect(308, entry.redirect + sent);
  }
  const isPage = entry.mediaType.startsWith('text/html');
  const head = () =>
    response.set({
      'content-type': entry.mediaType,
      'cache-control': isPage ? 'no-cache' : 'public, max-age=31536000, immutable',
      ...(isPage
        ? entry.loads?.some((path) => SCRIPT.test(path))
          ? { 'content-security-policy': pagePolicy(framedBy, true) }
          : {}
        : { 'content-security-policy': FILE_POLICY }),
    });
  const kept = await live.file(entry.sha256, entry.mediaType);
  const sent = sentPlace(request);
  if (request.method === 'POST' && !(isPage && kept)) return void response.status(405).end();
  if (kept && isPage) {
    if (request.method === 'POST') {
      head();
      const html = kept.bytes.toString();
      return forms.take({ site, path, html, isKept: true }, sent!, request, response);
    }
    forms.senders.opens(request.ip ?? '', site.id, path);
    const { sent: place } = request.query;
    const after = typeof place === 'string' ? forms.after(kept.bytes.toString(), place) : undefined;
    if (after !== undefined) {
      head();
      return void response.set('cache-control', 'no-store').send(after);
    }
  }
  if (kept) {
    head();
    return sendBytes(request, response, kept.bytes);
  }
  const file = await findFile(store.database.manager, entry.sha256);
  if (!file) return notFound(response);
  head();
  return sendStored(store.database, file, request, response);
}

/** The newest state of pages, drafts too, as visitors would see them. */
class Previews {
  /** The stylesheets and scripts that pages were shown with last, by path: it names the content, so none is ever out of date. */
  private readonly loaded = new LRUCache<string, string>({ max: MOST_LOADED });

  /** What previews of a site read last: another state of it shares what did not change. */
  private readonly read = new LRUCache<string, Data>({ max: MOST_SITES });

  constructor(
    private readonly store: SiteStore,
    private readonly framedBy: readonly string[],
    private readonly forms: SentForms,
  ) {}

  async send(site: KnownSite, path: string, request: Request, response: Response): Promise<void> {
    if (STYLESHEET.test(path) || SCRIPT.test(path))
      return this.sendLoaded(site, path, request, response);
    if (FILE.test(path))
      return serveFile(this.store.database, path.slice('/files/'.length), request, response);
    response.set('cache-control', 'no-store');
    // Beside the bench it tells what happens in it, and which keys are pressed (Fetch Metadata Request Headers, 2.1).
    const isFramed = request.headers['sec-fetch-dest'] === 'iframe';
    const page = await this.page(site, path, isFramed);
    if (page === undefined) return notFound(response);
    const { sent } = request.query;
    const after = typeof sent === 'string' ? this.forms.after(page.html, sent) : undefined;
    if (page.acts) response.set('content-security-policy', pagePolicy(this.framedBy, true));
    response.type('html').send(after ?? page.html);
  }

  /**
   * The stylesheet or script that a page names: of one that was shown, else of the page that asks (as the browser says in
   * `Referer`), after a start or from another server. Nothing else is compiled for a name that anybody may make up.
   */
  private async sendLoaded(
    site: KnownSite,
    path: string,
    request: Request,
    response: Response,
  ): Promise<void> {
    const asking = pathAsking(request);
    if (!this.loaded.has(path) && asking !== undefined) {
      await this.page(site, asking, false);
      // Of a script there are two: the one beside the bench tells what happens.
      if (SCRIPT.test(path) && !this.loaded.has(path)) await this.page(site, asking, true);
    }
    const text = this.loaded.get(path);
    if (text === undefined) return notFound(response);
    response
      .set('cache-control', 'no-store')
      .type(SCRIPT.test(path) ? 'js' : 'css')
      .send(text);
  }

  /** The HTML of the newest state of a page; what it loads is kept. Nothing where there is none. */
  async page(
    site: KnownSite,
    path: string,
    tells: boolean,
  ): Promise<{ readonly html: string; readonly acts: boolean } | undefined> {
    const { documents: stored } = await this.store.stateAt(site.id, site.revision);
    // No page has such a path: what stands under it is a component, to be tried by itself.
    const tried = /^\/component:([\w-]+)$/.exec(path)?.[1];
    const documents = tried === undefined ? stored : withTried(stored, tried, path);
    // A page that has such a path itself, as it may from before lists were divided, comes before one of a list.
    const [itself] = addressesAt(documents, path, 'everything');
    const leaf = itself ? undefined : leafAt(path);
    const [address = itself] = leaf ? addressesAt(documents, leaf.path, 'everything') : [];
    if (!address) return undefined;
    const now = this.store.momentOf(documents);
    const dates = await entryDates(this.store, site, documents, now);
    const at = { ...now, ...(dates && { dates }) };
    const linker = this.store.linkerOf(site.id);
    // Whoever works on the site sees drafts here, in lists and behind links, too, and what its time has not come for.
    const data = dataWithDrafts(documents, this.read.get(site.id), at);
    this.read.set(site.id, data);
    const number = leaf?.number ?? 1;
    const compiler = new PageCompiler(documents, { linker, data, at, sha256, tells });
    const { html, css, script, leaves } = compiler.compile(address, number);
    if (number > leaves) return undefined;
    for (const each of [css, script]) if (each) this.loaded.set(each.path, each.text);
    return { html, acts: script !== undefined };
  }
}

/** A site with one page more, on which a component stands by itself. */
function withTried(documents: Documents, component: string, path: string): Documents {
  const doc = docOf(documents, 'component', component);
  if (!doc) return documents;
  const body: InstanceNode = {
    kind: 'instance',
    place: { parent: null, order: 'a0' },
    component,
    values: {},
    style: {},
  };
  return documents.with({
    id: `tried-${component}`,
    kind: 'page',
    format: FORMAT,
    name: doc.name,
    path,
    title: text(doc.name),
    description: text(''),
    draft: true,
    entries: null,
    former: {},
    nodes: { tried: body },
  });
}

const SCRIPT = /^\/files\/[0-9a-f]{16}\.js$/;
const STYLESHEET = /^\/files\/[0-9a-f]{16}\.css$/;
const FILE = /^\/files\/[0-9a-f]{16}\.[a-z0-9]+$/;

/** The path of the page on this host that asks for what it loads. */
function pathAsking(request: Request): string | undefined {
  const { referer, host } = request.headers;
  if (referer === undefined || !URL.canParse(referer)) return undefined;
  const asking = new URL(referer);
  return asking.host === host ? normalised(asking.pathname) : undefined;
}

function notFound(response: Response): void {
  response
    .status(404)
    .type('html')
    .send(
      '<!doctype html><html lang="en"><meta charset="utf-8"><title>Not found</title><h1>There is no page here</h1></html>',
    );
}

function listOf(sites: readonly KnownSite[], port: number): string {
  const items = sites
    .map(
      ({ slug, name }) =>
        `<li><a href="${escapeAttribute(`http://${slug}.localhost:${port}/`)}">${escapeText(name)}</a></li>`,
    )
    .join('');
  const body = items
    ? `<h1>Published sites</h1><ul>${items}</ul>`
    : '<h1>Nothing is published yet</h1>';
  return `<!doctype html><html lang="en"><meta charset="utf-8"><title>Published sites</title>${body}</html>`;
}
