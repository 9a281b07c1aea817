import type { Happening } from '@sormet/core/model';

/** What a page in a preview tells of itself (see `core/compile/behaviour-js.ts`), with when, in ms since it was loaded. */
export type Told = { readonly at: number } & (
  | { readonly is: 'begun'; readonly on: Happening; readonly words: string }
  /** A state: its place among all that it can be, or its words. */
  | { readonly is: 'set'; readonly name: string; readonly from: number; readonly to: number }
  | { readonly is: 'said'; readonly name: string; readonly words: string }
  | { readonly is: 'action' | 'open' | 'close' | 'unanswered' | 'failed' }
  | { readonly is: 'go'; readonly to: string }
  | { readonly is: 'ask'; readonly to: string; readonly post: boolean }
  | { readonly is: 'answered'; readonly status: number }
  | { readonly is: 'wait'; readonly seconds: number }
  | { readonly is: 'ended'; readonly why: string }
);

/** A key that was pressed in the page and that nothing in it took. */
export interface KeyTold {
  readonly key: string;
}

/** The longest words that are shown of what a page tells. */
const LONGEST = 200;

/** What a message of a page says; nothing for what is none: a page of visitors may send anything. */
export function readTold(message: unknown): Told | KeyTold | undefined {
  if (typeof message !== 'object' || message === null) return undefined;
  const held = message as Readonly<Record<string, unknown>>;
  const words = (name: string): string => {
    const value = held[name];
    return typeof value === 'string' ? value.trim().slice(0, LONGEST) : '';
  };
  const number = (name: string): number => {
    const value = held[name];
    return typeof value === 'number' && Number.isFinite(value) ? value : 0;
  };
  const at = number('at');
  switch (held['sormet']) {
    case 'key':
      return { key: words('key') };
    case 'begun':
      return { at, is: 'begun', on: words('on') as Happening, words: words('words') };
    case 'set':
      return typeof held['words'] === 'string'
        ? { at, is: 'said', name: words('name'), words: words('words') }
        : { at, is: 'set', name: words('name'), from: number('from'), to: number('to') };
    case 'action':
    case 'open':
    case 'close':
    case 'unanswered':
    case 'failed':
      return { at, is: held['sormet'] };
    case 'go':
      return { at, is: 'go', to: words('to') };
    case 'ask':
      return { at, is: 'ask', to: words('to'), post: Boolean(held['post']) };
    case 'answered':
      return { at, is: 'answered', status: number('status') };
    case 'wait':
      return { at, is: 'wait', seconds: number('seconds') };
    case 'ended':
      return { at, is: 'ended', why: words('why') };
    default:
      return undefined;
  }
}
