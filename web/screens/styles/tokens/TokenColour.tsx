import type { ReactNode } from 'react';
import type { NamedEdit } from '@sormet/core/edit';
import { readColour } from '@sormet/core/colour';
import { firstPaint } from '@sormet/core/check';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { ColourButton } from '../../../values/colour/ColourButton';
import { pickedWords } from '../../../values/colour/picked';
import { refusalWords } from '../../../words';

/** The colour that a token is, as a small area; pressed, it opens what picks another, with its contrast on the page. */
export function TokenColour({
  label,
  of,
  colour,
  edit,
}: {
  label: string;
  /** The token that it is the value of, which cannot be made from itself. */
  of: string;
  colour: string | undefined;
  edit: (css: string) => NamedEdit;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const shown = colour === undefined || readColour(colour) === undefined ? undefined : colour;
  const { ground } = firstPaint(documents, 'base');
  return (
    <ColourButton
      label={label}
      className="token-drawn"
      colour={colour}
      begin={shown}
      without={of}
      against={ground && { colour: ground, as: 'words' }}
      onPick={(picked, group) => refusalWords(sync.attempt(edit(pickedWords(picked)), { group }))}
    />
  );
}
