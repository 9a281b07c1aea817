/**
 * Escaping as in "serialising HTML fragments" (HTML, 13.3): text escapes `&`, `<`, `>` and the no-break
 * space, attribute values also `"`. One function for each context; most texts need nothing.
 */
const IN_TEXT = /[&<>\u00a0]/;
const IN_ATTRIBUTE = /[&"<>\u00a0]/;

export function escapeText(text: string): string {
  return IN_TEXT.test(text) ? replaceIn(text) : text;
}

export function escapeAttribute(text: string): string {
  return IN_ATTRIBUTE.test(text) ? replaceIn(text).replaceAll('"', '&quot;') : text;
}

/** Looks for one character at a time: faster than walking the text, since most are not in it. */
function replaceIn(text: string): string {
  let out = text;
  if (out.indexOf('&') >= 0) out = out.replaceAll('&', '&amp;');
  if (out.indexOf('<') >= 0) out = out.replaceAll('<', '&lt;');
  if (out.indexOf('>') >= 0) out = out.replaceAll('>', '&gt;');
  if (out.indexOf('\u00a0') >= 0) out = out.replaceAll('\u00a0', '&nbsp;');
  return out;
}
