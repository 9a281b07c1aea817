import { STATES, type State } from '@sormet/core/model';
import type { Picks } from '@sormet/core/resolve';
import type { Width } from '@sormet/core/style';
import type { LedgerTab, Selection } from '../../store/bench-slice';

/** What an address says of the bench, beside the document that is open: as it stands, a link to it can be sent. */
export interface BenchAddress {
  readonly selection: Selection | null;
  readonly beside: string | null;
  readonly width: Width;
  readonly tab: LedgerTab;
  readonly lit: string | null;
  readonly state: State | null;
  /** The variant of a definition that is lit. */
  readonly picks: { readonly doc: string; readonly axes: Picks } | null;
}

/** What holds where an address does not say. */
export const PLAIN: BenchAddress = {
  selection: null,
  beside: null,
  width: 'base',
  tab: 'values',
  lit: null,
  state: null,
  picks: null,
};

const TABS: readonly LedgerTab[] = ['values', 'style', 'acts', 'history'];
/** The parameters that are ours; others (which entry is looked at) stay. */
const OURS = [
  'in',
  'slot',
  'inside',
  'beside',
  'width',
  'tab',
  'rule',
  'state',
  'variant',
] as const;

/**
 * The search and the hash of an address: what is selected is the hash, as links to one thing on a page have it, the rest
 * are parameters.
 * @param page the document that is open
 * @param search that of the address as it is, of which other parameters stay
 */
export function writeAddress(
  { selection, beside, width, tab, lit, state, picks }: BenchAddress,
  page: string,
  search: string,
): { search: string; hash: string } {
  const params = new URLSearchParams(search);
  const values: Record<(typeof OURS)[number], string | null | undefined> = {
    in: selection && selection.doc !== page ? selection.doc : null,
    slot: selection?.slot,
    inside: selection?.inside,
    beside,
    width: width === PLAIN.width ? null : width,
    tab: tab === PLAIN.tab ? null : tab,
    rule: lit,
    state,
    variant: picks && picksText(picks),
  };
  for (const name of OURS) {
    const value = values[name];
    if (value === null || value === undefined) params.delete(name);
    else params.set(name, value);
  }
  const said = params.toString();
  const nodes = (selection?.nodes ?? []).map(encodeURIComponent).join(',');
  return { search: said === '' ? '' : `?${said}`, hash: nodes === '' ? '' : `#${nodes}` };
}

/** What an address says; what cannot be read of it is as it is where an address does not say. */
export function readAddress(search: string, hash: string, page: string): Partial<BenchAddress> {
  const params = new URLSearchParams(search);
  const nodes = hash.slice(1).split(',').filter(Boolean).flatMap(decoded);
  const doc = params.get('in') ?? page;
  const slot = params.get('slot');
  const inside = params.get('inside');
  const tab = TABS.find((each) => each === params.get('tab'));
  const state = STATES.find((each) => each === params.get('state'));
  const width = params.get('width');
  return {
    selection:
      nodes.length === 0 && doc === page
        ? null
        : {
            doc,
            nodes,
            ...(slot === null ? {} : { slot }),
            ...(inside === null ? {} : { inside }),
          },
    beside: params.get('beside'),
    lit: params.get('rule'),
    state: state ?? null,
    picks: picksOf(params.get('variant')),
    ...(width === null ? {} : { width }),
    ...(tab === undefined ? {} : { tab }),
  };
}

/** A variant as an address has it: `definition:axis=option,axis=option`. */
function picksText({ doc, axes }: NonNullable<BenchAddress['picks']>): string {
  const options = Object.entries(axes).map((each) => each.map(encodeURIComponent).join('='));
  return `${encodeURIComponent(doc)}:${options.join(',')}`;
}

function picksOf(text: string | null): BenchAddress['picks'] {
  const [doc = '', options = ''] = (text ?? '').split(':');
  const [read] = decoded(doc);
  const axes = options.split(',').flatMap((each): [string, string][] => {
    const [axis, option] = each.split('=').flatMap(decoded);
    return axis && option ? [[axis, option]] : [];
  });
  return read && axes.length > 0 ? { doc: read, axes: Object.fromEntries(axes) } : null;
}

function decoded(text: string): string[] {
  try {
    return [decodeURIComponent(text)];
  } catch {
    // Nobody writes such an address; it leads to nothing.
    return [];
  }
}
