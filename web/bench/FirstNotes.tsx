import { useEffect, useState, type ReactNode } from 'react';
import { Button } from 'antd';
import { benchActions } from '../store/bench-slice';
import { keep, kept } from '../store/kept';
import { useAppDispatch } from '../store/store';
import './FirstNotes.css';

const SEEN = 'sormet.bench.notes';

/** What somebody reads once, the first time at the bench: where it says what is edited, where values are, how to do anything. */
const NOTES: readonly { title: string; words: string; of: string }[] = [
  {
    title: 'The sentence',
    words: 'It always says what you are editing and whom that reaches, before you type.',
    of: '.sentence',
  },
  {
    title: 'The ledger',
    words:
      'One row for each value, one column for each place it can come from. Type where it stands.',
    of: '.ledger',
  },
  {
    title: 'The definition',
    words:
      'Select an instance and press b: its component opens beside the page, and a change there reaches all of them.',
    of: '.pane',
  },
  {
    title: 'The go line',
    words: 'Press g and type: place a thing, go to a page, do anything the bench can do.',
    of: '.go-line-button',
  },
];

/**
 * Four short notes, one after the other, in a line of their own that covers nothing; what each is about is marked. Once they are
 * dismissed they never come again in this browser.
 */
export function FirstNotes(): ReactNode {
  const dispatch = useAppDispatch();
  const [at, setAt] = useState(() => (kept(SEEN, (stored) => stored === true, false) ? null : 0));
  const note = at === null ? undefined : NOTES[at];
  useEffect(() => {
    const marked = note && document.querySelector(note.of);
    marked?.classList.add('is-noted');
    return () => marked?.classList.remove('is-noted');
  }, [note]);
  if (at === null || !note) return null;
  const dismiss = () => {
    keep(SEEN, true);
    setAt(null);
  };
  const isLast = at === NOTES.length - 1;
  return (
    <section className="first-note" aria-label="First notes">
      <p role="status">
        <b>{note.title}</b> {note.words}
      </p>
      <span className="quiet">
        {at + 1} of {NOTES.length}
      </span>
      {at > 0 ? (
        <Button size="small" onClick={() => setAt(at - 1)}>
          Back
        </Button>
      ) : null}
      <Button size="small" type="primary" onClick={() => (isLast ? dismiss() : setAt(at + 1))}>
        {isLast ? 'Begin' : 'Next note'}
      </Button>
      <Button
        size="small"
        type="text"
        onClick={() => {
          dismiss();
          dispatch(benchActions.openHandbook('a-site-in-twenty-minutes'));
        }}
      >
        Open the handbook
      </Button>
      <Button size="small" type="text" onClick={dismiss}>
        Leave out
      </Button>
    </section>
  );
}
