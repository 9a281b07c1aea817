import { useMemo, useState, type ReactNode } from 'react';
import { Popover } from 'antd';
import { useDerived } from '../../site/SiteProvider';
import { ColourPicker } from './ColourPicker';
import type { Against } from './contrast-words';
import type { Picked } from './picked';
import { tokenColours } from './token-colours';

/** A colour as a small area; pressed, it opens what picks another. */
export function ColourButton({
  label,
  className,
  colour,
  begin = colour,
  token,
  without,
  against,
  hexOnly,
  onPick,
}: {
  /** What it is the colour of. */
  label: string;
  className: string;
  /** As CSS; nothing where there is none. */
  colour: string | undefined;
  /** Where picking begins, where that is another. */
  begin?: string | undefined;
  /** The token that it is: its id, or its name. */
  token?: string | undefined;
  /** A token that is not offered: it cannot be made from itself. */
  without?: string;
  against?: Against | undefined;
  hexOnly?: boolean;
  /** Takes it, as one step with what was picked before under the same name. @returns why it cannot be, or nothing */
  onPick: (picked: Picked, group: string) => string;
}): ReactNode {
  const { documents } = useDerived();
  const [open, setOpen] = useState(false);
  const tokens = useMemo(
    () => (open ? tokenColours(documents).filter(({ id }) => id !== without) : []),
    [open, documents, without],
  );
  const button = (
    <button
      type="button"
      className={colour ? className : `${className} is-empty`}
      style={{ background: colour }}
      aria-label={`${label}: pick a colour`}
      aria-haspopup="dialog"
      aria-expanded={open}
      onClick={() => setOpen(!open)}
    />
  );
  // What floats is made only while it is open: a ledger has many of these.
  if (!open) return button;
  return (
    <Popover
      open
      trigger="click"
      destroyOnHidden
      onOpenChange={setOpen}
      content={
        <ColourPicker
          colour={begin}
          token={tokens.find(({ id, name }) => id === token || name === token)?.id}
          tokens={tokens}
          against={against}
          hexOnly={hexOnly ?? false}
          onPick={onPick}
          onClose={() => setOpen(false)}
        />
      }
    >
      {button}
    </Popover>
  );
}
