import {
  kindOf,
  own,
  type LinkValue,
  type ListRecord,
  type RichPiece,
  type Token,
  type Typed,
} from '../../model';
import { filled } from '../../style';
import type { Counterparts } from './counterparts';

/** What a value needs to know where it is pasted. */
interface There {
  readonly there: Counterparts;
  /** The tokens of the clip: one that the site has not is written out. */
  readonly tokens: Readonly<Record<string, Token>>;
  /** Told what of it means nothing there. */
  readonly lose: (what: string) => void;
}

/** A value as it means the same where it is pasted: whatever it names is named there; `null` where it means nothing. */
export function fittedValue(typed: Typed, at: There): Typed['value'] {
  const { there, lose } = at;
  const lost = (what: string): null => {
    lose(what);
    return null;
  };
  if (typed.value === null) return null;
  switch (typed.type) {
    case 'image': {
      const asset = there.asset(typed.value.asset);
      return asset === undefined ? lost('a picture that is gone') : { ...typed.value, asset };
    }
    case 'video': {
      const { poster, ...rest } = typed.value;
      const asset = there.asset(rest.asset);
      if (asset === undefined) return lost('a film that is gone');
      const still = poster === undefined ? undefined : there.asset(poster);
      return { ...rest, asset, ...(still === undefined ? {} : { poster: still }) };
    }
    case 'entry':
      return there.entry(typed.value) ?? lost('an entry of the other site');
    case 'link':
      return fittedLink(typed.value, there) ?? lost('a link to a page of the other site');
    case 'style':
      return there.style(typed.value) ?? lost('a shared style that is gone');
    case 'theme':
      return there.theme(typed.value) ?? lost('a theme that this site does not have');
    case 'colour':
    case 'length':
      return typeof typed.value === 'object' && 'token' in typed.value
        ? fittedToken(typed.type, typed.value.token, at)
        : typed.value;
    case 'rich':
      return typed.value.map((piece) => fittedPiece(piece, at));
    case 'list':
      return typed.value.map((record) => fittedRecord(record, at));
    default:
      return typed.value;
  }
}

function fittedLink(link: LinkValue, there: Counterparts): LinkValue | undefined {
  if (link.to !== 'page') return link;
  const page = there.page(link.page);
  const entry = link.entry === undefined ? undefined : there.entry(link.entry);
  if (page === undefined || (link.entry !== undefined && entry === undefined)) return undefined;
  return { ...link, page, ...(entry === undefined ? {} : { entry }) };
}

/** A token that stands for a value: the site's own, else what it holds, where that is a value of the kind. */
function fittedToken(
  kind: 'colour' | 'length',
  token: string,
  { there, tokens, lose }: There,
): Typed['value'] {
  const here = there.token(token);
  if (here !== undefined) return { token: here };
  const css =
    own(tokens, token) && filled({ css: 'var(--it)', refs: { it: { token, type: kind } } }, tokens);
  const value = css === undefined ? null : (kindOf(kind).parse?.(css, { kind } as never) ?? null);
  if (value === null) lose('a token that this site does not have');
  return value as Typed['value'];
}

/** Words keep what is said of them where it can be; a link or a style that means nothing there leaves its words. */
function fittedPiece(piece: RichPiece, at: There): RichPiece {
  if (typeof piece === 'string') return piece;
  const { link, style, children, ...rest } = piece;
  const to = link && fittedLink(link, at.there);
  const worn = style === undefined ? undefined : at.there.style(style);
  if (link && !to) at.lose('a link to a page of the other site');
  if (style !== undefined && worn === undefined) at.lose('a shared style that is gone');
  return {
    ...rest,
    ...(to ? { link: to } : {}),
    ...(worn === undefined ? {} : { style: worn }),
    children: children.map((each) => fittedPiece(each, at)),
  };
}

function fittedRecord(record: ListRecord, at: There): ListRecord {
  const values: Record<string, Typed> = {};
  for (const field of Object.keys(record.values).sort()) {
    const typed = record.values[field]! as Typed;
    values[field] = { ...typed, value: fittedValue(typed, at) } as Typed;
  }
  return { ...record, values } as ListRecord;
}
