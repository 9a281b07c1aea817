import type { SiteStore } from '../database/site-store';
import type { Pictures } from '../files/pictures';
import type { LiveChanges } from '../live/live-changes';
import type { Planner } from '../publish/plan';
import type { Publisher } from '../publish/publisher';

/** What `/api` is made of. */
export interface ApiParts {
  readonly store: SiteStore;
  readonly live: LiveChanges;
  readonly planner: Planner;
  readonly publisher: Publisher;
  readonly pictures: Pictures;
  /** The port under which published sites are known. */
  readonly sitesPort: number;
}
