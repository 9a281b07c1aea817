import { useState, type ReactNode } from 'react';
import { Popover } from 'antd';
import type { NamedEdit } from '@sormet/core/edit';
import { readColour } from '@sormet/core/colour';
import { firstPaint } from '@sormet/core/check';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { benchActions } from '../../../store/bench-slice';
import { useAppDispatch } from '../../../store/store';
import { ColourPicker } from '../../../values/ColourPicker';
import { sentence } from '../../../words';

/** The colour that a token is, as a small area; pressed, it opens what picks another, with its contrast on the page. */
export function TokenColour({
  label,
  colour,
  edit,
}: {
  label: string;
  colour: string | undefined;
  edit: (css: string) => NamedEdit;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState(false);
  const pick = (css: string) => {
    const refusal = sync.attempt(edit(css));
    if (refusal) dispatch(benchActions.notice(sentence(refusal.refused)));
  };
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
            against={ground && { colour: ground, as: 'words' }}
            onPick={pick}
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
