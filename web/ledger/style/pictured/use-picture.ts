import { useState } from 'react';
import { own } from '@sormet/core/model';
import { filled, readValue } from '@sormet/core/style';
import { useDerived } from '../../../site/SiteProvider';
import type { ColourPart } from './PartColour';
import type { PicturedCell } from './pictured-cell';

const PLACEHOLDERS = /var\(--([a-z][a-z0-9-]*)\)/g;

/** What an editor by pictures works with: the value of its cell as CSS, and the way back to what people type. */
export interface Picture {
  /** The value as CSS, tokens as placeholders; nothing where none shows, or it is none. */
  readonly css: string | undefined;
  /** A part of it as people type it: tokens by their names, in braces. */
  readonly words: (part: string) => string;
  /** A part of it as CSS that shows anywhere: tokens as what they are. */
  readonly shows: (part: string) => string;
  /** Whether a placeholder stands for a colour. */
  readonly isColour: (placeholder: string) => boolean;
  /** A part of it that is a colour, or none. */
  readonly colour: (part: string | undefined) => ColourPart;
  /** Declares the whole; what follows on the same part is one step with it. @returns why it cannot be, or nothing */
  readonly give: (typed: string, part: string) => string;
}

export function usePicture({ property, shown, give }: PicturedCell): Picture {
  const { documents } = useDerived();
  const [opened] = useState(() => Date.now());
  const { tokens } = documents.tokens;
  const read = shown === undefined ? undefined : readValue(property, shown, tokens);
  const named = read?.ok ? read.tokens : {};
  const tokenAt = (name: string) => {
    const id = own(named, name);
    return id === undefined ? undefined : own(tokens, id);
  };
  const nameIn = (part: string) => /^var\(--([a-z][a-z0-9-]*)\)$/.exec(part)?.[1];
  const words = (part: string) =>
    part.replace(PLACEHOLDERS, (whole, name: string) => {
      const token = tokenAt(name);
      return token ? `{${token.name}}` : whole;
    });
  const shows = (part: string) =>
    part.replace(PLACEHOLDERS, (whole, name: string) => {
      const token = tokenAt(name);
      return (token && filled(token.value, tokens)) ?? whole;
    });
  return {
    css: read?.ok ? read.css : undefined,
    words,
    shows,
    isColour: (placeholder) => tokenAt(nameIn(placeholder) ?? '')?.type === 'colour',
    colour: (part) =>
      part === undefined
        ? { words: '', css: undefined, token: undefined }
        : { words: words(part), css: shows(part), token: tokenAt(nameIn(part) ?? '')?.name },
    give: (typed, part) => give(property, typed, `picture ${property} ${part} ${opened}`),
  };
}
