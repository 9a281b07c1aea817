import { useState, type ReactNode } from 'react';
import { Dropdown } from 'antd';
import { inOtherUnit, inUnits } from '@sormet/core/style';
import './UnitMenu.css';

/**
 * The same length in px or rem, a press away; and the units that a number may be written in, each with what would stand there: the same length where that is known, else
 * the same number.
 */
export function UnitMenu({
  label,
  css,
  here,
  width,
  onChoose,
}: {
  label: string;
  css: string;
  /** Whether somebody is at the cell: only then it is shown, and as long as its list is open. */
  here: boolean;
  /** The width of the page that is looked at, in px. */
  width?: number | undefined;
  onChoose: (css: string) => void;
}): ReactNode {
  const [open, setOpen] = useState(false);
  const ways = here || open ? inUnits(css, width === undefined ? {} : { width }) : [];
  if (ways.length === 0) return null;
  const items = ways.map(({ css: other, same }) => ({
    key: other,
    label: (
      <span className="unit-way">
        <code>{other}</code>
        <span className="quiet">{same ? 'as much' : 'the same number'}</span>
      </span>
    ),
    onClick: () => onChoose(other),
  }));
  const other = here ? inOtherUnit(css) : undefined;
  return (
    <>
      {other ? (
        <button
          type="button"
          className="other-unit"
          aria-label={`${label}: write ${other}`}
          title={`The same at the size of the root: write ${other}`}
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => onChoose(other)}
        >
          = {other}
        </button>
      ) : null}
      <Dropdown trigger={['click']} menu={{ items }} autoFocus open={open} onOpenChange={setOpen}>
        <button
          type="button"
          className="other-unit"
          aria-label={`${label}: another unit`}
          title="Write it in another unit"
          onMouseDown={(event) => event.preventDefault()}
        >
          {/[a-z%]+$/i.exec(css)?.[0]} ▾
        </button>
      </Dropdown>
    </>
  );
}
