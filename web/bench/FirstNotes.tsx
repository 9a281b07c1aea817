import { useState, type ReactNode } from 'react';
import { Tour, type TourProps } from 'antd';
import { keep, kept } from '../store/kept';

const SEEN = 'sormet.bench.notes';

const found = (selector: string) => () => document.querySelector<HTMLElement>(selector)!;

/** What somebody reads once, the first time at the bench: where it says what is edited, where values are, how to do anything. */
const NOTES: NonNullable<TourProps['steps']> = [
  {
    title: 'The sentence',
    description: 'It always says what you are editing and whom that reaches, before you type.',
    target: found('.sentence'),
    placement: 'top',
  },
  {
    title: 'The ledger',
    description:
      'One row for each value, one column for each place it can come from. Type where it stands.',
    target: found('.ledger'),
    placement: 'top',
  },
  {
    title: 'The definition',
    description:
      'Select an instance and press b: its component opens beside the page, and a change there reaches all of them.',
    target: found('.pane'),
    placement: 'bottom',
  },
  {
    title: 'The go line',
    description: 'Press g and type: place a thing, go to a page, do anything the bench can do.',
    target: found('.go-line-button'),
    placement: 'right',
  },
];

/** Four short notes, one after the other; once they are dismissed they never come again in this browser. */
export function FirstNotes(): ReactNode {
  const [open, setOpen] = useState(() => !kept(SEEN, (stored) => stored === true, false));
  const dismiss = () => {
    keep(SEEN, true);
    setOpen(false);
  };
  if (!open) return null;
  return (
    <Tour
      open
      mask={false}
      steps={NOTES.map((note, i) => ({
        ...note,
        nextButtonProps: { children: i === NOTES.length - 1 ? 'Begin' : 'Next note' },
        prevButtonProps: { children: 'Back' },
      }))}
      onClose={dismiss}
      onFinish={dismiss}
    />
  );
}
