import { LRUCache } from 'lru-cache';

/** How many messages somebody may send to a site within a minute. */
const MOST = 5;
const WITHIN = 60_000;

/** Who sends earlier than this after the page was opened is a robot, or has filled it in before: in ms. */
const QUICK = 1500;

/** Of how many it is known. */
const KEPT = 20_000;

/**
 * Who opens the pages of forms, and sends how often: known to this server alone, for as long as it runs, and written down nowhere.
 */
export class Senders {
  private readonly opened = new LRUCache<string, number>({ max: KEPT, ttl: 60 * 60_000 });
  private readonly sent = new LRUCache<string, readonly number[]>({ max: KEPT, ttl: WITHIN });

  constructor(private readonly now: () => number = () => Date.now()) {}

  /** Notes that somebody was given a page. */
  opens(who: string, site: string, path: string): void {
    this.opened.set(key(who, site, path), this.now());
  }

  /** How soon somebody sends who was given the page less than a moment ago, in ms; nothing for most. */
  isQuick(who: string, site: string, path: string): number | undefined {
    const at = this.opened.get(key(who, site, path));
    const passed = at === undefined ? QUICK : this.now() - at;
    return passed < QUICK ? passed : undefined;
  }

  /** Notes that somebody sends something. @returns in how many seconds they may, where that is too often */
  sends(who: string, site: string): number | undefined {
    const now = this.now();
    const lately = (this.sent.get(key(who, site)) ?? []).filter((at) => now - at < WITHIN);
    if (lately.length >= MOST) return Math.ceil((lately[0]! + WITHIN - now) / 1000);
    this.sent.set(key(who, site), [...lately, now]);
    return undefined;
  }
}

function key(...parts: readonly string[]): string {
  return parts.join('\n');
}
