const CLOSES: Readonly<Record<string, string>> = { '(': ')', '[': ']' };

/** Text taken apart at what stands between its parts, a space or a comma; what is in brackets or quotes stays whole. */
export function splitAt(text: string, between: ' ' | ','): string[] {
  const isBetween = (sign: string) => (between === ' ' ? /\s/.test(sign) : sign === between);
  const words: string[] = [];
  let word = '';
  let depth = 0;
  let quote = '';
  for (const sign of text.trim()) {
    if (quote) quote = sign === quote ? '' : quote;
    else if (sign === '"' || sign === "'") quote = sign;
    else if (sign in CLOSES) depth += 1;
    else if (Object.values(CLOSES).includes(sign)) depth -= 1;
    if (isBetween(sign) && depth === 0 && !quote) {
      if (word) words.push(word);
      word = '';
    } else word += sign;
  }
  if (word) words.push(word);
  return words;
}
