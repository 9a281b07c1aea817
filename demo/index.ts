import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { FORMAT, type AssetDoc, type Doc, Documents, type SiteDoc } from '@sormet/core/model';
import { components } from './components';
import { SHEDS } from './content/sheds';
import { entries, types } from './entries';
import { pages } from './pages';
import { drawBench, drawPlaceholder, drawTable } from './pictures/bench';
import { drawShed } from './pictures/shed';
import { fonts, styles, tags } from './styles';
import { tokens } from './tokens';

/** A site to begin with: its documents, and the bytes of its files by content. */
export interface DemoSite {
  readonly documents: Documents;
  readonly files: ReadonlyMap<string, { bytes: Buffer; mediaType: AssetDoc['mediaType'] }>;
}

const site: SiteDoc = {
  id: 'site',
  kind: 'site',
  format: FORMAT,
  name: 'Brackenfold',
  slug: 'brackenfold',
  language: 'en-GB',
  timeZone: 'Europe/London',
  surround: 'surround',
  widths: { w960: { max: 960 }, w600: { max: 600 } },
  fonts,
};

/** Brackenfold Repair Sheds: the demo site. Building it twice gives the same documents. */
export function brackenfold(): DemoSite {
  const files = new Map<string, { bytes: Buffer; mediaType: AssetDoc['mediaType'] }>();
  const docs: Doc[] = [
    site,
    tags,
    tokens,
    ...styles,
    ...types,
    ...entries,
    ...components,
    ...pages,
  ];
  const add = (id: string, name: string, mediaType: AssetDoc['mediaType'], bytes: Buffer) => {
    const sha256 = createHash('sha256').update(bytes).digest('hex');
    files.set(sha256, { bytes, mediaType });
    const size = mediaType === 'font/woff2' ? {} : { width: 960, height: 640 };
    docs.push({ id, kind: 'asset', format: FORMAT, name, sha256, mediaType, ...size });
  };
  const svg = (id: string, name: string, text: string) =>
    add(id, name, 'image/svg+xml', Buffer.from(text, 'utf8'));
  svg('picture-bench', 'bench.svg', drawBench());
  svg('picture-placeholder', 'placeholder.svg', drawPlaceholder());
  svg('picture-table', 'table.svg', drawTable());
  for (const shed of SHEDS)
    if (shed.drawing)
      svg(`picture-${shed.number}`, `sheds/${shed.slug}.svg`, drawShed(shed.drawing));
  const font = (id: string, name: string, file: string) =>
    add(id, name, 'font/woff2', readFileSync(createRequire(import.meta.url).resolve(file)));
  const text = '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin';
  font(
    'font-literata',
    'literata.woff2',
    '@fontsource-variable/literata/files/literata-latin-wght-normal.woff2',
  );
  font('font-text-400', 'text-400.woff2', `${text}-400-normal.woff2`);
  font('font-text-700', 'text-700.woff2', `${text}-700-normal.woff2`);
  return { documents: Documents.from(docs), files };
}
