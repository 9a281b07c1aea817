import type { ReactNode } from 'react';
import { ColourButton } from '../../../values/colour/ColourButton';
import { pickedWords } from '../../../values/colour/picked';
import { PartField } from './PartField';

/** A colour as it stands in a value. */
export interface ColourPart {
  /** As people type it. */
  readonly words: string;
  /** As CSS that shows anywhere. */
  readonly css: string | undefined;
  /** The name of the token that it is. */
  readonly token: string | undefined;
}

/** The colour of one part of a value: picked, or typed. */
export function PartColour({
  label,
  part: { words, css, token },
  give,
}: {
  label: string;
  part: ColourPart;
  give: (typed: string, group?: string) => string;
}): ReactNode {
  return (
    <span className="part-colour">
      <ColourButton
        label={label}
        className="swatch-words is-button is-large"
        colour={css}
        token={token}
        onPick={(picked, group) => give(pickedWords(picked), group)}
      />
      <PartField label={label} shown={null} stored={words} give={give} />
    </span>
  );
}
