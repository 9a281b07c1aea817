import { safeAddress, type LinkValue } from '../../model';

/** A page or entry by its path, as the list of them names it. */
interface Place {
  /** `page PAGE ENTRY`. */
  readonly of: string;
  readonly path: string;
}

/** A link as people type it; nothing for what leads nowhere. A path of the site is chosen from the list, unless it has an anchor. */
export function readLink(typed: string, places: readonly Place[]): LinkValue | null {
  const text = typed.trim();
  if (text === '') return null;
  const mail = text.replace(/^mailto:/i, '');
  if (/^[^\s@/]+@[^\s@/]+\.[^\s@/]+$/.test(mail)) return { to: 'mail', address: mail };
  const number = text.replace(/^tel:/i, '');
  if (/^\+?[0-9][0-9 ()./-]{4,}$/.test(number)) return { to: 'telephone', number };
  if (text.startsWith('/')) {
    const at = text.indexOf('#');
    const place = at > 0 ? places.find(({ path }) => path === text.slice(0, at)) : undefined;
    const anchor = text.slice(at + 1);
    if (!place || !/^\S+$/.test(anchor)) return null;
    const [, page, entry] = place.of.split(' ');
    return entry ? { to: 'page', page: page!, entry, anchor } : { to: 'page', page: page!, anchor };
  }
  return safeAddress(text) === '' ? null : { to: 'address', href: text };
}
