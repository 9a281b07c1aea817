/**
 * A number as tables write it: with a sign before its decimals, and others between its thousands where these are whole
 * (`1,234.5`, `1.234,5`, `1 234,5`).
 * @returns nothing for what is no number that a double holds
 */
export function readDecimal(words: string, decimal: '.' | ','): number | null {
  const text = words.trim().replace(/^\u2212/, '-');
  const [whole, rest, ...more] = text.split(decimal);
  if (more.length > 0) return null;
  const thousands = decimal === '.' ? ',' : '.';
  const grouped = new RegExp(`^[-+]?\\d{1,3}([${thousands}'’   ]\\d{3})+$`);
  const plain = grouped.test(whole!) ? whole!.replace(/[^\d+-]/g, '') : whole!;
  const joined = rest === undefined ? plain : `${plain}.${rest}`;
  if (!/^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(joined)) return null;
  const number = Number(joined);
  return Number.isFinite(number) ? number : null;
}
