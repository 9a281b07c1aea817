import { useMemo, useState, type ReactNode } from 'react';
import { Popover } from 'antd';
import type { NamedEdit } from '@sormet/core/edit';
import { readColour } from '@sormet/core/colour';
import { firstPaint } from '@sormet/core/check';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { ColourPicker } from '../../../values/colour/ColourPicker';
import { tokenColours } from '../../../values/colour/token-colours';
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
  const [open, setOpen] = useState(false);
  const others = useMemo(
    () => (open ? tokenColours(documents).filter(({ id }) => id !== of) : []),
    [open, documents, of],
  );
  const shown = colour === undefined || readColour(colour) === undefined ? undefined : colour;
  const { ground } = firstPaint(documents, 'base');
  return (
    <Popover
      open={open}
      trigger="click"
      destroyOnHidden
      onOpenChange={setOpen}
      content={
        open ? (
          <ColourPicker
            colour={shown}
            token={undefined}
            tokens={others}
            against={ground && { colour: ground, as: 'words' }}
            onPick={(picked, group) =>
              refusalWords(
                sync.attempt(edit('css' in picked ? picked.css : picked.token.name), { group }),
              )
            }
            onClose={() => setOpen(false)}
          />
        ) : null
      }
    >
      <button
        type="button"
        className="token-drawn"
        style={{ background: colour, cursor: 'pointer' }}
        aria-label={`${label}: pick a colour`}
        aria-haspopup="dialog"
      />
    </Popover>
  );
}
