import { Client } from 'pg';
import type { Request, Response } from 'express';
import { logFault } from '../http/log';
import { CHANNEL } from './channel';

/**
 * Tells every open window of a site about new revisions: server-sent events, fed by PostgreSQL's
 * LISTEN. Only the revision travels; who hears it fetches what it is missing.
 */
export class LiveChanges {
  private readonly open = new Map<string, Set<Response>>();
  private client: Client | undefined;
  private closed = false;
  /** What else is to be done when the connection is there again. */
  onReturn: () => void = () => undefined;
  private readonly beat = setInterval(() => this.sendAll(': still here\n\n'), 15_000).unref();

  constructor(private readonly url: string) {}

  async start(): Promise<void> {
    const client = new Client({ connectionString: this.url });
    client.on('notification', ({ payload }) => {
      const { site, revision } = JSON.parse(payload ?? '{}') as { site: string; revision: number };
      this.send(site, `event: revision\ndata: ${JSON.stringify({ revision })}\n\n`);
    });
    client.on('error', (error) => {
      logFault('The connection that hears of new revisions', error);
      if (!this.closed) setTimeout(() => void this.restart(), 1000).unref();
    });
    await client.connect();
    await client.query(`LISTEN ${CHANNEL}`);
    this.client = client;
  }

  private async restart(): Promise<void> {
    try {
      await this.start();
      // Whoever listened meanwhile may have missed something: let them ask.
      this.sendAll('event: revision\ndata: {"revision":0}\n\n');
      this.onReturn();
    } catch (error) {
      logFault('Still no connection that hears of new revisions', error);
      setTimeout(() => void this.restart(), 2000).unref();
    }
  }

  /** Keeps a response open and tells it the revisions of a site. */
  listen(site: string, revision: number, request: Request, response: Response): void {
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      connection: 'keep-alive',
    });
    response.write(`retry: 1000\nevent: revision\ndata: ${JSON.stringify({ revision })}\n\n`);
    const windows = this.open.get(site) ?? new Set();
    this.open.set(site, windows.add(response));
    this.tellWhoIsHere(site);
    request.on('close', () => {
      windows.delete(response);
      this.tellWhoIsHere(site);
    });
  }

  /** Tells every window of a site that is open at this server how many there are. */
  private tellWhoIsHere(site: string): void {
    const windows = this.open.get(site)?.size ?? 0;
    this.send(site, `event: here\ndata: ${JSON.stringify({ windows })}\n\n`);
  }

  private send(site: string, text: string): void {
    for (const response of this.open.get(site) ?? []) response.write(text);
  }

  private sendAll(text: string): void {
    for (const site of this.open.keys()) this.send(site, text);
  }

  async stop(): Promise<void> {
    this.closed = true;
    clearInterval(this.beat);
    for (const windows of this.open.values()) for (const response of windows) response.end();
    await this.client?.end();
  }
}
