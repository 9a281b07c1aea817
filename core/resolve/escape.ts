/**
 * Escaping as in "serialising HTML fragments" (HTML, 13.3): text escapes `&`, `<`, `>` and the no-break
 * space, attribute values also `"`. One function for each context; most texts need nothing.
 */
const IN_TEXT = /[&<>\u00a0]/;
const IN_ATTRIBUTE = /[&"<>\u00a0]/;

export function escapeText(text: string): string {
  return IN_TEXT.test(text) ? replace(text, false) : text;
}

export function escapeAttribute(text: string): string {
  return IN_ATTRIBUTE.test(text) ? replace(text, true) : text;
}

function replace(text: string, quote: boolean): string {
  let out = '';
  let from = 0;
  for (let i = 0; i < text.length; i += 1) {
    let by: string;
    switch (text.charCodeAt(i)) {
      case 38:
        by = '&amp;';
        break;
      case 60:
        by = '&lt;';
        break;
      case 62:
        by = '&gt;';
        break;
      case 160:
        by = '&nbsp;';
        break;
      case 34:
        if (!quote) continue;
        by = '&quot;';
        break;
      default:
        continue;
    }
    out += text.slice(from, i) + by;
    from = i + 1;
  }
  return out + text.slice(from);
}
