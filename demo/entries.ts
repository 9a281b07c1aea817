import {
  FORMAT,
  ordersFor,
  type EntryDoc,
  kindOnly,
  type TypeDoc,
  type Typed,
  type TypeSpec,
  type ValueKind,
} from '@sormet/core/model';
import { keyFor } from '@sormet/core/edit';
import { GUIDES } from './content/guides';
import { rowsOf } from './content/rows';
import { SHEDS } from './content/sheds';

function contentType(
  id: string,
  name: string,
  plural: string,
  title: string,
  fields: Record<string, [label: string, kind: ValueKind | TypeSpec, of?: string]>,
): TypeDoc {
  const orders = ordersFor(Object.keys(fields).length);
  const keys = new Set<string>();
  return {
    id,
    kind: 'type',
    format: FORMAT,
    name,
    plural,
    title,
    fields: Object.fromEntries(
      Object.entries(fields).map(([field, [label, kind, of]], i) => {
        const key = keyFor(label, keys);
        keys.add(key);
        const type: TypeSpec = of
          ? { kind: 'entry', of }
          : typeof kind === 'string'
            ? kindOnly(kind)
            : kind;
        return [field, { label, key, type, order: orders[i]! }];
      }),
    ),
  };
}

/** How the card of a shed lies in lists: the options of the card's own axis, so that one feeds the other. */
const LIES: TypeSpec = {
  kind: 'choice',
  options: {
    'card-lies-upright': { label: 'upright', order: 'a0' },
    'card-lies-lying': { label: 'lying', order: 'a1' },
  },
};

export const types: readonly TypeDoc[] = [
  contentType('shed', 'Shed', 'Sheds', 'shed-name', {
    'shed-name': ['Name', 'text'],
    'shed-number': ['Number', 'number'],
    'shed-summary': ['Summary', 'text'],
    'shed-picture': ['Picture', 'image'],
    'shed-alt': ['Alternative text', 'text'],
    'shed-street': ['Street', 'text'],
    'shed-booking': ['Booking', 'link'],
    'shed-benches': ['Benches', 'number'],
    'shed-opened': ['Opened', 'date'],
    'shed-lies': ['Card', LIES],
  }),
  contentType('session', 'Session', 'Sessions', 'session-name', {
    'session-name': ['Title', 'text'],
    'session-date': ['Day', 'date'],
    'session-time': ['Hours', 'text'],
    'session-shed': ['Shed', 'entry', 'shed'],
  }),
  contentType('mender', 'Mender', 'Menders', 'mender-name', {
    'mender-name': ['Name', 'text'],
    'mender-mends': ['Mends', 'text'],
    'mender-shed': ['Shed', 'entry', 'shed'],
  }),
  contentType('guide', 'Guide', 'Guides', 'guide-title', {
    'guide-title': ['Title', 'text'],
    'guide-summary': ['Summary', 'text'],
    'guide-minutes': ['Minutes', 'number'],
  }),
];

function entry(type: string, slug: string, values: Record<string, Typed | undefined>): EntryDoc {
  const kept = Object.entries(values).filter(
    (pair): pair is [string, Typed] => pair[1] !== undefined,
  );
  const id = `${type}-${slug}`.slice(0, 40).replace(/-$/, '');
  return {
    id,
    kind: 'entry',
    format: FORMAT,
    type,
    slug,
    draft: false,
    values: Object.fromEntries(kept),
  };
}

const words = (value: string): Typed => ({ type: 'text', value });
const shedId = (slug: string): Typed => ({ type: 'entry', value: `shed-${slug}`.slice(0, 40) });

export const entries: readonly EntryDoc[] = [
  ...SHEDS.map((shed) =>
    entry('shed', shed.slug, {
      'shed-name': words(shed.name),
      'shed-number': { type: 'number', value: shed.number },
      'shed-summary': words(shed.summary),
      'shed-picture': shed.drawing
        ? { type: 'image', value: { asset: `picture-${shed.number}` } }
        : undefined,
      'shed-alt': shed.alt === undefined ? undefined : words(shed.alt),
      'shed-street': words(shed.street),
      'shed-booking': {
        type: 'link',
        value: { to: 'address', href: `mailto:${shed.slug}@brackenfold.example?subject=A%20bench` },
      },
      'shed-benches': { type: 'number', value: shed.benches },
      'shed-opened': { type: 'date', value: shed.opened },
      'shed-lies': shed.lies ? { type: 'choice', value: 'card-lies-lying' } : undefined,
    }),
  ),
  ...rowsOf('sessions.csv').map(({ slug, name, day, hours, shed }) =>
    entry('session', slug!, {
      'session-name': words(name!),
      'session-date': { type: 'date', value: day! },
      'session-time': words(hours!),
      'session-shed': shedId(shed!),
    }),
  ),
  ...rowsOf('menders.csv').map(({ slug, name, mends, shed }) =>
    entry('mender', slug!, {
      'mender-name': words(name!),
      'mender-mends': words(mends!),
      'mender-shed': shedId(shed!),
    }),
  ),
  ...GUIDES.map((guide) =>
    entry('guide', guide.slug, {
      'guide-title': words(guide.title),
      'guide-summary': words(guide.summary),
      'guide-minutes': { type: 'number', value: guide.minutes },
    }),
  ),
];
