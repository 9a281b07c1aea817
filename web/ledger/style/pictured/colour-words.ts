import { own, type Token } from '@sormet/core/model';
import { filled, readValue } from '@sormet/core/style';
import type { ColourPart } from './PartColour';

/** A colour as people type it, read: what it shows, and which token it is. */
export function colourWords(words: string, tokens: Readonly<Record<string, Token>>): ColourPart {
  const read = readValue('color', words, tokens);
  if (!read.ok) return { words, css: undefined, token: undefined };
  const refs = Object.fromEntries(
    Object.entries(read.tokens).map(([name, token]) => [name, { token, type: 'colour' as const }]),
  );
  const [only] = Object.values(read.tokens);
  return {
    words,
    css: filled({ css: read.css, refs }, tokens),
    token: only === undefined ? undefined : own(tokens, only)?.name,
  };
}
