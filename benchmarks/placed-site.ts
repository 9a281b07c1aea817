import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import pg from 'pg';
import { applyChanges, isRefusal, runEdit, type NamedEdit } from '@sormet/core/edit';
import { plant } from '@sormet/core/ready';
import { Documents, FORMAT, newId, text, type Doc, type PageDoc } from '@sormet/core/model';
import { saidText } from '@sormet/core/said';
import { OwnServer } from '../e2e/own-server';

const SITE = 'brackenfold';

/** The demo on a server of its own, with draft pages full of instances of its card for a mender; each sets its name. */
export class PlacedSite {
  private constructor(
    readonly server: OwnServer,
    public documents: Documents,
  ) {}

  /**
   * @param pages how many pages are added
   * @param each how many instances stand on each
   */
  static async make(pages: number, each: number): Promise<PlacedSite> {
    const server = await OwnServer.make();
    await server.start();
    const answer = await fetch(`${server.address}/api/sites/${SITE}`);
    const { documents } = (await answer.json()) as { documents: Record<string, Doc> };
    const site = new PlacedSite(server, Documents.fromRecord(documents));
    for (let p = 0; p < pages; p += 1)
      await site.send({ name: 'addPage', args: { page: pageOf(p, each) } });
    return site;
  }

  /** Sends an edit as a window does. @returns how long the answer took, in ms */
  async send(edit: NamedEdit): Promise<number> {
    const changes = runEdit(this.documents, edit);
    if (isRefusal(changes)) throw new Error(saidText(changes.refused));
    const body = JSON.stringify({ id: newId(), who: 'bench', ...edit, changes });
    const start = performance.now();
    const answer = await fetch(`${this.server.address}/api/sites/${SITE}/edits`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
    });
    if (!answer.ok) throw new Error(await answer.text());
    const took = performance.now() - start;
    this.documents = applyChanges(this.documents, changes);
    return took;
  }

  /** Does something in its database, as the one who owns it. */
  async inDatabase<T>(work: (client: pg.Client) => Promise<T>): Promise<T> {
    const { folder } = this.server;
    const [, , , port] = readFileSync(join(folder, 'postgres', 'postmaster.pid'), 'utf8').split(
      '\n',
    );
    const client = new pg.Client({
      host: '127.0.0.1',
      port: Number(port),
      user: 'sormet',
      password: readFileSync(join(folder, 'postgres.password'), 'utf8').trim(),
      database: 'sormet',
    });
    await client.connect();
    try {
      return await work(client);
    } finally {
      await client.end();
    }
  }

  remove(): Promise<void> {
    return this.server.remove();
  }
}

/** By which id an instance of a page is known. */
export function instanceOn(page: number, i: number): string {
  return `bench-${page}-${i}`;
}

export function pageId(page: number): string {
  return `bench-page-${page}`;
}

function pageOf(p: number, each: number): PageDoc {
  const { nodes } = plant(
    {
      id: `bench-root-${p}`,
      tag: 'main',
      children: Array.from({ length: each }, (_, i) => ({
        id: instanceOn(p, i),
        component: 'mender-card',
        values: { 'mender-name': text(`${i} of ${p}`) },
      })),
    },
    { parent: null, order: 'a0' },
    newId,
  );
  return {
    id: pageId(p),
    kind: 'page',
    format: FORMAT,
    name: `Bench ${p}`,
    path: `/bench-${p}`,
    title: text(`Bench ${p}`),
    description: text(''),
    draft: true,
    entries: null,
    former: {},
    nodes,
  };
}
