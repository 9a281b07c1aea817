import { STATES, type SiteDoc, type State, type Token } from '../../model';
import { say, type Said } from '../../said';
import type { Width } from '../cascade';
import { meantBy } from './property-names';
import { readValue, type ReadValue } from './read-value';

/** What a line declares. */
export interface LineDeclares extends ReadValue {
  readonly property: string;
  readonly width: Width;
  readonly state: State | undefined;
}

/** What a line declares, or why it is none. */
export type LineOutcome =
  | ({ readonly ok: true } & LineDeclares)
  | { readonly ok: false; readonly reason: Said };

/** What a line may name. */
export interface LineKnows {
  readonly tokens: Readonly<Record<string, Pick<Token, 'name' | 'type'>>>;
  readonly widths: SiteDoc['widths'];
  /** What holds where the line does not say. */
  readonly width: Width;
  readonly state: State | undefined;
}

/** The parts of a line: letters that mean a property, a value, and where it holds. */
export interface LineParts {
  readonly letters: string;
  readonly value: string;
  readonly at: string | undefined;
  readonly state: string | undefined;
}

/** A line taken apart: `mt 32 @600 :hover`. */
export function lineParts(line: string): LineParts {
  let at: string | undefined;
  let state: string | undefined;
  const rest = line
    .replace(/(^|\s)@(\S*)/g, (_, before: string, width: string) => {
      at = width;
      return before;
    })
    .replace(/(^|\s):{1,2}([a-z-]*)/g, (_, before: string, name: string) => {
      state = name;
      return before;
    })
    .trim();
  const [letters = '', ...words] = rest.split(/\s+/);
  return { letters: letters.replace(/:$/, ''), value: words.join(' '), at, state };
}

/** What a line of a few letters declares (`pad 24`, `mt 32 @600`, `cols 3`, `ink brand`), or why it is none. */
export function readLine(line: string, knows: LineKnows): LineOutcome {
  const { letters, value, at, state: named } = lineParts(line);
  if (letters === '') return { ok: false, reason: say('type-a-property') };
  const candidates = meantBy(letters);
  if (candidates.length === 0) return { ok: false, reason: say('no-property-like', { letters }) };
  const width = at === undefined ? knows.width : widthOf(at, knows.widths);
  if (width === undefined) return { ok: false, reason: say('no-width', { at: at ?? '' }) };
  const state = named === undefined ? knows.state : stateOf(named);
  if (state === null) return { ok: false, reason: say('no-state', { state: named ?? '' }) };
  if (value === '') return { ok: false, reason: say('type-a-value', { property: candidates[0]! }) };
  // The likeliest says why none of them takes the value.
  let reason: Said | undefined;
  for (const property of candidates) {
    const read = readValue(property, value, knows.tokens);
    if (read.ok) return { ...read, property, width, state };
    reason ??= read.reason;
  }
  return { ok: false, reason: reason ?? say('type-a-property') };
}

function widthOf(typed: string, widths: SiteDoc['widths']): Width | undefined {
  if (typed === 'base') return 'base';
  return Object.keys(widths).find((id) => String(widths[id]!.max) === typed);
}

/** A state by its name or the beginning of it (`hov`, `focus`); `null` for none. */
function stateOf(typed: string): State | null {
  const name = typed === 'focus' ? 'focus-visible' : typed === 'pressed' ? 'active' : typed;
  return STATES.find((each) => each.replaceAll(':', '').startsWith(name)) ?? null;
}
