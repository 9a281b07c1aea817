import { Client } from 'pg';
import type { Request, Response } from 'express';
import { say } from '@sormet/core/said';
import { logFault } from '../http/log';
import { Problem } from '../http/problem';
import { CHANNEL } from './channel';

/** How many windows one server tells, at the most. */
const MOST_WINDOWS = 1000;
/** How much may wait for one window to take it, in bytes. */
const MOST_UNREAD = 64 * 1024;
/** How long it is collected who came and went before the others are told, in ms: many who come at once cost one word each. */
const COLLECTED = 300;
/** How long to wait before the connection is tried again, in ms. */
const AGAIN = 1000;
/** How long it is waited for a connection, in ms. */
const PATIENCE = 5000;

/**
 * Tells every open window of a site about new revisions: server-sent events, fed by PostgreSQL's
 * LISTEN. Only the revision travels; who hears it fetches what it is missing.
 */
export class LiveChanges {
  private readonly open = new Map<string, Set<Response>>();
  private windows = 0;
  /** The one connection that hears of revisions; nothing while there is none. */
  private client: Client | undefined;
  private retry: NodeJS.Timeout | undefined;
  private closed = false;
  /** Sites whose windows are to be told how many there are. */
  private readonly counted = new Map<string, NodeJS.Timeout>();
  /** What else is to be done when the connection is there again; where it fails, the connection counts as lost. */
  onReturn: () => Promise<void> = () => Promise.resolve();
  private readonly beat = setInterval(() => this.sendAll(': still here\n\n'), 15_000).unref();

  constructor(
    private readonly url: string,
    private readonly most = MOST_WINDOWS,
  ) {}

  /** @throws when there is no connection to be had */
  async start(): Promise<void> {
    const client = new Client({ connectionString: this.url, connectionTimeoutMillis: PATIENCE });
    client.on('notification', ({ payload }) => {
      const { site, revision } = JSON.parse(payload ?? '{}') as { site: string; revision: number };
      this.send(site, `event: revision\ndata: ${JSON.stringify({ revision })}\n\n`);
    });
    // A connection that is lost says so more than once, and one that was never made too: it is lost once.
    client.on('error', (error) => this.lost(client, error));
    client.on('end', () => this.lost(client, undefined));
    try {
      await client.connect();
      await client.query(`LISTEN ${CHANNEL}`);
    } catch (error) {
      client.end().catch(() => undefined); // It is of no use any more, whether or not it can say goodbye.
      throw error;
    }
    if (this.closed) await client.end();
    else this.client = client;
  }

  private lost(client: Client, error: Error | undefined): void {
    if (this.client !== client || this.closed) return;
    this.client = undefined;
    logFault('The connection that hears of new revisions', error ?? new Error('It was ended.'));
    client.end().catch(() => undefined); // It is of no use any more, whether or not it can say goodbye.
    this.tryAgain();
  }

  private async returned(client: Client): Promise<void> {
    try {
      await this.onReturn();
    } catch (error) {
      this.lost(client, error as Error);
    }
  }

  private tryAgain(): void {
    this.retry ??= setTimeout(() => void this.restart(), AGAIN).unref();
  }

  private async restart(): Promise<void> {
    this.retry = undefined;
    if (this.closed) return;
    try {
      await this.start();
    } catch (error) {
      logFault('Still no connection that hears of new revisions', error);
      return this.tryAgain();
    }
    // Whoever listened meanwhile may have missed something: let them ask.
    this.sendAll('event: revision\ndata: {"revision":0}\n\n');
    if (this.client) await this.returned(this.client);
  }

  /**
   * Keeps a response open and tells it the revisions of a site, first the one that `revision` gives: it is asked when
   * the window is told of new ones already, so that none is made between the two.
   * @throws a 503 problem when there are as many windows as can be told
   */
  async listen(
    site: string,
    revision: () => Promise<number>,
    request: Request,
    response: Response,
  ): Promise<void> {
    if (this.windows >= this.most)
      throw new Problem(503, say('too-many-windows', { most: this.most }));
    const windows = this.open.get(site) ?? new Set();
    this.open.set(site, windows.add(response));
    this.windows += 1;
    let left = false;
    const leave = () => {
      if (left) return;
      left = true;
      this.windows -= 1;
      windows.delete(response);
      if (windows.size === 0 && this.open.get(site) === windows) this.open.delete(site);
      this.tellWhoIsHere(site);
    };
    response.on('close', leave);
    response.on('error', leave);
    request.on('close', leave);
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      connection: 'keep-alive',
    });
    response.write('retry: 1000\n\n');
    try {
      const now = await revision();
      response.write(`event: revision\ndata: ${JSON.stringify({ revision: now })}\n\n`);
    } catch (error) {
      logFault('The revision that a window begins with', error);
      // The window asks again by itself.
      return void response.end();
    }
    this.tellWhoIsHere(site);
  }

  /** Tells every window of a site that is open at this server how many there are, soon and once for all who came and went. */
  private tellWhoIsHere(site: string): void {
    if (this.counted.has(site) || this.closed) return;
    const tell = () => {
      this.counted.delete(site);
      const windows = this.open.get(site)?.size ?? 0;
      this.send(site, `event: here\ndata: ${JSON.stringify({ windows })}\n\n`);
    };
    this.counted.set(site, setTimeout(tell, COLLECTED).unref());
  }

  private send(site: string, text: string): void {
    for (const response of this.open.get(site) ?? []) {
      // Who takes nothing of what is said is gone, or will ask anew.
      if (response.writableLength > MOST_UNREAD) response.destroy();
      else response.write(text);
    }
  }

  private sendAll(text: string): void {
    for (const site of this.open.keys()) this.send(site, text);
  }

  async stop(): Promise<void> {
    this.closed = true;
    clearInterval(this.beat);
    clearTimeout(this.retry);
    for (const timer of this.counted.values()) clearTimeout(timer);
    for (const windows of this.open.values()) for (const response of windows) response.end();
    await this.client?.end();
  }
}
