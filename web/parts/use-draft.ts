import { useEffect, useRef, useState } from 'react';

/** Something that is being typed, and where it belongs. */
interface Draft {
  readonly target: string;
  readonly text: string;
  readonly give: (text: string) => string;
}

/**
 * What is typed into a cell until it is given: by Enter, by leaving the cell, or by the cell coming to stand for
 * something else, in which case it still goes to where it was begun. Escape drops it.
 * @param target what the cell stands for
 * @param stored what is stored there: typing that again changes nothing
 * @param give gives the typed text, without spaces around it; returns why it cannot be, `''` when it was
 * @param lost told what could not be given when the cell was gone already, and why
 */
export function useDraft(
  target: string,
  stored: string,
  give: (text: string) => string,
  lost: (text: string, reason: string) => void,
): {
  draft: string | null;
  wrong: string;
  type: (text: string) => void;
  commit: () => void;
  drop: () => void;
} {
  const open = useRef<Draft | null>(null);
  const [draft, setDraft] = useState<string | null>(null);
  const [wrong, setWrong] = useState('');

  const told = useRef(lost);
  useEffect(() => {
    told.current = lost;
  });

  const drop = () => {
    open.current = null;
    setDraft(null);
    setWrong('');
  };
  const commit = () => {
    const held = open.current;
    if (!held) return;
    const text = held.text.trim();
    if (held.target === target && text === stored) return drop();
    const reason = held.give(text);
    if (reason === '') drop();
    else setWrong(reason);
  };
  // The cell stands for something else, or is gone: what was begun is given to where it was begun.
  useEffect(
    () => () => {
      const held = open.current;
      if (!held || held.target !== target) return;
      open.current = null;
      const text = held.text.trim();
      const reason = held.give(text);
      if (reason !== '') told.current(text, reason);
      setDraft(null);
      setWrong('');
    },
    [target],
  );
  return {
    draft,
    wrong,
    type(text) {
      open.current = { target, text, give };
      setDraft(text);
      setWrong('');
    },
    commit,
    drop,
  };
}
