/**
 * What each kind of answer may do in a browser (Content Security Policy Level 3). Each says every directive outright:
 * some have no fallback (`frame-ancestors`, `form-action`, `base-uri`), and what falls back is read by people too.
 */

/** The parts of a policy, in the order in which they are written. */
function policy(...directives: readonly string[]): string {
  return directives.join('; ');
}

/** The interface. @param sitesPort the port of the origin whose previews it shows in frames */
export function applicationPolicy(sitesPort: number): string {
  return policy(
    "default-src 'self'",
    "script-src 'self'",
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data:",
    // A film that is brought in is measured before it is sent.
    "media-src 'self' blob:",
    `frame-src 'self' http://*.localhost:${sitesPort}`,
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'self'",
  );
}

/** Nothing inside the canvas runs; the application, on the same origin, draws into it from outside. */
export const CANVAS_POLICY = policy(
  "default-src 'self'",
  "script-src 'none'",
  "style-src 'unsafe-inline'",
  "img-src 'self'",
  "font-src 'self'",
  "object-src 'none'",
  "frame-src 'none'",
  "form-action 'none'",
  "base-uri 'none'",
  "frame-ancestors 'self'",
);

/** A stored file opened by itself runs nothing, whatever it contains. */
export const FILE_POLICY = policy(
  "default-src 'none'",
  "style-src 'unsafe-inline'",
  'img-src data:',
  'sandbox',
);

/**
 * A page that visitors get, published or previewed: it loads what it ships with, and holds no scripts; one that does something
 * loads the one that ships with the program. What a source
 * gives to a declaration stands in `style` attributes (custom properties, checked by css-tree), so attributes are let
 * through and `style` elements are not: values in the page's stylesheet would make one of its own for each entry.
 * @param framedBy the origins in whose frames it may be shown: those of the application, for its preview
 * @param acts whether it does something
 */
export function pagePolicy(framedBy: readonly string[], acts = false): string {
  return policy(
    "default-src 'none'",
    `script-src ${acts ? "'self'" : "'none'"}`,
    "style-src 'self'",
    "style-src-elem 'self'",
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data:",
    "media-src 'self'",
    "font-src 'self'",
    // What acts ask is of the site itself.
    `connect-src ${acts ? "'self'" : "'none'"}`,
    "frame-src 'none'",
    "object-src 'none'",
    "base-uri 'none'",
    // Forms are sent to services elsewhere too, as addresses of pages may lead there.
    "form-action 'self' https:",
    ['frame-ancestors', "'self'", ...framedBy].join(' '),
  );
}

/** The origins under which the application answers, as `pagePolicy` takes them. IPv6 addresses cannot be named in a policy. */
export function originsOf(names: readonly string[], port: number): string[] {
  const hosts = new Set(['127.0.0.1', 'localhost', ...names]);
  return [...hosts].filter((host) => !host.includes(':')).map((host) => `http://${host}:${port}`);
}
