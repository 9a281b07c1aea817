import express, { type Express, type Request, type Response } from 'express';
import { addressesAt } from '@sormet/core/model';
import { fileOf, PageCompiler, type Stylesheet } from '@sormet/core/compile';
import { escapeAttribute, escapeText } from '@sormet/core/resolve';
import type { SiteRow } from '../database/entities';
import type { SiteStore } from '../database/site-store';
import { sha256 } from '../files/sha256';
import { sendBytes } from '../files/send-bytes';
import { FILE_POLICY, serveFile } from '../files/serve-file';
import { sendProblem } from '../http/problem';
import type { LiveReleases } from './live-releases';

/** A published page may load what it ships with, and be shown in a frame of the application's preview. */
const PAGE_POLICY =
  "default-src 'self'; style-src 'self'; img-src 'self' data:; object-src 'none'; base-uri 'none'";

/**
 * The origin of published sites and previews, apart from the application's. `SLUG.localhost` is a
 * published site, `SLUG.preview.localhost` its newest state. Without a name in front, the only published
 * site, else a list of them.
 */
export function sitesOrigin(store: SiteStore, live: LiveReleases, port: number): Express {
  const app = express().disable('x-powered-by').disable('etag');
  const styles = new RecentStyles();
  app.use(async (request, response) => {
    response.set({
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'strict-origin-when-cross-origin',
    });
    if (request.method !== 'GET' && request.method !== 'HEAD')
      return void response.status(405).end();
    const { slug, preview } = hostParts(request.hostname);
    const path = normalised(request.path);
    const sites = await live.all();
    if (slug !== undefined) {
      const site = sites.find((each) => each.slug === slug);
      if (!site) return notFound(response);
      return preview
        ? previewPage(store, styles, site, path, request, response)
        : publishedFile(live, site, path, request, response);
    }
    const published = sites.filter((site) => site.liveRelease);
    if (published.length === 1) return publishedFile(live, published[0]!, path, request, response);
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
  live: LiveReleases,
  site: SiteRow,
  path: string,
  request: Request,
  response: Response,
): Promise<void> {
  const manifest = await live.manifestOf(site);
  const name = Object.hasOwn(manifest, path) ? path : fileOf(path);
  const entry = Object.hasOwn(manifest, name) ? manifest[name]! : undefined;
  if (!entry) return notFound(response);
  if (entry.redirect !== undefined) return response.redirect(308, entry.redirect);
  const file = await live.file(entry.sha256);
  if (!file) return notFound(response);
  const isPage = entry.mediaType.startsWith('text/html');
  response.set({
    'content-type': entry.mediaType,
    'cache-control': isPage ? 'no-cache' : 'public, max-age=31536000, immutable',
    'content-security-policy': isPage ? PAGE_POLICY : FILE_POLICY,
  });
  sendBytes(request, response, file.bytes);
}

/** How many stylesheets of previews are kept. */
const MOST_STYLES = 200;

/** The stylesheets that previews were shown with last, by path: it names the content, so none is ever out of date. */
class RecentStyles {
  private readonly texts = new Map<string, string>();

  get(path: string): string | undefined {
    return this.texts.get(path);
  }

  keep({ path, text }: Stylesheet): void {
    this.texts.delete(path);
    this.texts.set(path, text);
    for (const oldest of this.texts.keys()) {
      if (this.texts.size <= MOST_STYLES) return;
      this.texts.delete(oldest);
    }
  }
}

/** The newest state of a page, drafts of pages too, as visitors would see it. */
async function previewPage(
  store: SiteStore,
  styles: RecentStyles,
  site: SiteRow,
  path: string,
  request: Request,
  response: Response,
): Promise<void> {
  const style = styles.get(path);
  if (style !== undefined)
    return void response.set('cache-control', 'no-store').type('css').send(style);
  if (path.startsWith('/files/') && !path.endsWith('.css'))
    return serveFile(store.database, path.slice('/files/'.length), request, response);
  const { documents } = await store.state(site);
  const compiler = new PageCompiler(documents, { ...store.reading(site.id, documents), sha256 });
  response.set('cache-control', 'no-store');
  if (path.endsWith('.css')) {
    for (const page of documents.all('page')) {
      const css = compiler.stylesheet(page.id);
      if (css.path === path) return void response.type('css').send(css.text);
    }
    return notFound(response);
  }
  const [address] = addressesAt(documents, path, true);
  if (!address) return notFound(response);
  const { html, css } = compiler.compile(address);
  styles.keep(css);
  response.type('html').set('content-security-policy', PAGE_POLICY).send(html);
}

function notFound(response: Response): void {
  response
    .status(404)
    .type('html')
    .send(
      '<!doctype html><html lang="en"><meta charset="utf-8"><title>Not found</title><h1>There is no page here</h1></html>',
    );
}

function listOf(sites: readonly SiteRow[], port: number): string {
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
