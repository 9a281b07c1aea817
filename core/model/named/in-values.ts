import type { LinkValue, ListRecord, Typed, TypedOf, ValueKind, WordsPiece } from '../types';
import { mapList, mapRecord, plain, type Naming } from './naming';

type Values = {
  readonly [K in ValueKind]: (
    value: NonNullable<TypedOf<K>['value']>,
    on: Naming,
  ) => TypedOf<K>['value'];
};

/** What values of each kind name. */
const VALUES: Values = {
  text: plain,
  boolean: plain,
  number: plain,
  choice: plain,
  date: plain,
  icon: plain,
  tag: plain,
  action: plain,
  rich: (value, on) => mapPieces(value, on),
  link: (value, on) => mapLink(value, on) ?? null,
  image(value, on) {
    const asset = on.named({ is: 'asset', id: value.asset, as: 'picture' });
    if (asset === undefined) return null;
    return asset === value.asset ? value : { ...value, asset };
  },
  video(value, on) {
    const asset = on.named({ is: 'asset', id: value.asset, as: 'film' });
    if (asset === undefined) return null;
    const { poster, ...rest } = value;
    const still =
      poster === undefined ? undefined : on.named({ is: 'asset', id: poster, as: 'still' });
    if (asset === value.asset && still === poster) return value;
    return { ...rest, asset, ...(still === undefined ? {} : { poster: still }) };
  },
  entry: (value, on) => on.named({ is: 'entry', id: value, by: 'value' }) ?? null,
  entries: (value, on) => {
    const now = value.flatMap((id) => on.named({ is: 'entry', id, by: 'value' }) ?? []);
    return now.length === value.length && now.every((id, i) => id === value[i]) ? value : now;
  },
  theme: (value, on) => on.named({ is: 'theme', id: value, by: 'value' }) ?? null,
  style: (value, on) => on.named({ is: 'style', id: value, by: 'value' }) ?? null,
  colour: (value, on) => mapToken('colour', value, on),
  length: (value, on) => mapToken('length', value, on),
  list: (value, on) => mapList(value, (record) => mapListRecord(record, on)),
};

/** A value as it is named now: nothing where what it is means nothing there; the same object where nothing is another. */
export function mapTyped<T extends Typed>(typed: T, on: Naming): T {
  if (typed.value === null) return typed;
  const now = VALUES[typed.type](typed.value as never, on);
  return now === typed.value ? typed : { ...typed, value: now };
}

function mapLink(link: LinkValue, on: Naming): LinkValue | undefined {
  if (link.to !== 'page') return link;
  const page = on.named({ is: 'page', id: link.page });
  const entry =
    link.entry === undefined ? undefined : on.named({ is: 'entry', id: link.entry, by: 'link' });
  if (page === undefined || (link.entry !== undefined && entry === undefined)) return undefined;
  if (page === link.page && entry === link.entry) return link;
  return { ...link, page, ...(entry === undefined ? {} : { entry }) };
}

function mapToken<T>(kind: 'colour' | 'length', value: T, on: Naming): T | null {
  if (typeof value !== 'object' || value === null || !('token' in value)) return value;
  const token = value.token as string;
  const here = on.named({ is: 'token', id: token });
  if (here === token) return value;
  if (here !== undefined) return { token: here } as T;
  return (on.tokenValue?.(kind, token) ?? null) as T | null;
}

/** Words keep what is said of them where it can be; a link or a style that means nothing there leaves its words. */
function mapPiece(piece: WordsPiece, on: Naming): WordsPiece {
  if (typeof piece === 'string' || 'place' in piece) return piece;
  const { link, style, children, ...rest } = piece;
  const to = link && mapLink(link, on);
  const worn = style === undefined ? undefined : on.named({ is: 'style', id: style, by: 'words' });
  const inner = mapPieces(children, on);
  if (to === link && worn === style && inner === children) return piece;
  return {
    ...rest,
    ...(to ? { link: to } : {}),
    ...(worn === undefined ? {} : { style: worn }),
    children: inner,
  };
}

/** The pieces of rich text, and of words around values, as what they name is called now. */
export function mapPieces<P extends WordsPiece>(pieces: P[], on: Naming): P[] {
  return mapList(pieces, (piece) => mapPiece(piece, on) as P);
}

function mapListRecord(record: ListRecord, on: Naming): ListRecord {
  const values = mapRecord(record.values, [], (typed, _, field) => [field, mapTyped(typed, on)]);
  return values === record.values ? record : { ...record, values };
}
