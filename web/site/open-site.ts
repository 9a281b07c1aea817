import type { UnknownAction } from '@reduxjs/toolkit';
import type { SiteState } from '../store/site-slice';

/** A site that is open in this window, as its parts see it: sending, hearing. */
export interface OpenSite {
  readonly site: string;
  /** By which name the history knows this window. */
  readonly name: string;
  readonly state: SiteState;
  isClosed(): boolean;
  dispatch(action: UnknownAction): void;
}
