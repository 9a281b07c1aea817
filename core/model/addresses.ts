const SCHEMES = new Set(['http:', 'https:', 'mailto:', 'tel:']);

/** What relative addresses are read against: reserved, so it is nobody's (RFC 2606). */
const HERE = 'https://here.invalid/';

/**
 * Most addresses: a path on this site, or on a site with a name, out of letters, digits and marks that mean nothing
 * else anywhere. They are let through without being read.
 */
const PLAIN =
  /^(?:https?:\/\/(?:[a-z][a-z0-9]*(?:-[a-z0-9]+)*\.)+[a-z]{2,})?\/(?:[\w-][\w.-]*\/)*(?:[\w-][\w.-]*)?(?:#[\w-]*)?$/;

/**
 * An address as it may stand in a page: absolute with scheme http, https, mailto or tel, or relative and on
 * this site (a path, a query, a fragment). Anything else, such as `javascript:`, gives `''`. Controls are
 * taken out before anything else, then it is read as browsers read it (URL Standard, 4.4: leading and trailing
 * C0 controls and spaces, tabs and newlines anywhere do not count), so that no other reading is possible.
 */
export function safeAddress(href: string): string {
  if (PLAIN.test(href)) return href;
  // eslint-disable-next-line no-control-regex
  const address = href.replace(/[\u0000-\u001f\u007f-\u009f]/g, '').trim();
  if (address === '' || !URL.canParse(address, HERE)) return '';
  if (URL.canParse(address)) return SCHEMES.has(new URL(address).protocol) ? address : '';
  return new URL(address, HERE).origin === new URL(HERE).origin ? address : '';
}
