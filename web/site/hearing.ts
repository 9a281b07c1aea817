import { siteActions } from '../store/site-slice';
import { api } from './api';
import type { OpenSite } from './open-site';

/** How long to wait before listening is tried again, at first and at the most. */
const RETRY_MS = 1000;
const LATEST_RETRY_MS = 30_000;

/** Hears what others do on a site that is open. */
export class Hearing {
  private source: EventSource | undefined;
  private running: Promise<void> | undefined;
  private again = false;

  /**
   * @param onAnnounced told that the server has something new, before it is fetched
   * @param onHeard told when it was fetched, or was known already
   */
  constructor(
    private readonly open: OpenSite,
    private readonly onAnnounced: () => void,
    private readonly onHeard: () => void,
  ) {}

  /**
   * Fetches what this window has not heard yet. What is announced while it fetches is fetched too: an answer on
   * its way may have been made before.
   */
  news(): Promise<void> {
    this.again = true;
    this.running ??= (async () => {
      try {
        for (let more = false; more || this.again;) {
          this.again = false;
          const answer = await api.history(this.open.site, this.open.state.revision);
          if (this.open.isClosed()) return;
          this.open.dispatch(siteActions.heard(answer.edits));
          more = answer.more;
        }
      } finally {
        this.running = undefined;
      }
    })();
    return this.running;
  }

  listen(wait = RETRY_MS): void {
    const source = new EventSource(`/api/sites/${this.open.site}/live`);
    this.source = source;
    source.addEventListener('revision', (event) => {
      const { revision } = JSON.parse((event as MessageEvent<string>).data) as { revision: number };
      this.open.dispatch(siteActions.connection(true));
      this.onAnnounced();
      if (revision === 0 || revision > this.open.state.revision)
        this.news().then(
          () => this.onHeard(),
          () => this.open.dispatch(siteActions.connection(false)),
        );
      else this.onHeard();
    });
    source.addEventListener('here', (event) => {
      const { windows } = JSON.parse((event as MessageEvent<string>).data) as { windows: number };
      this.open.dispatch(siteActions.here(Math.max(0, windows - 1)));
    });
    source.addEventListener('error', () => {
      this.open.dispatch(siteActions.connection(false));
      // A connection that was refused is not tried again by the browser.
      if (source.readyState !== EventSource.CLOSED || this.open.isClosed()) return;
      // Where as many listen as can be told, this window asks by itself what is new, and seldom.
      if (this.open.state.pending.length === 0)
        this.news().then(
          () => this.open.dispatch(siteActions.connection(true)),
          () => this.open.dispatch(siteActions.connection(false)),
        );
      setTimeout(
        () => !this.open.isClosed() && this.listen(Math.min(wait * 2, LATEST_RETRY_MS)),
        wait,
      );
    });
  }

  stop(): void {
    this.source?.close();
  }
}
