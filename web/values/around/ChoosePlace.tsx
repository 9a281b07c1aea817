import { useRef, useState, type ReactNode } from 'react';
import type { ExpressionName } from '@sormet/core/expression';
import type { Source } from '@sormet/core/model';
import { SuggestField } from '../../parts/SuggestField';

/** How many values are shown. */
const OFFERED = 40;
const WORK_OUT = '=';

/** Which value stands between the words: found by typing what it is called; or one that is worked out. */
export function ChoosePlace({
  names,
  holds,
  onChoose,
  onWorkOut,
  onLeave,
}: {
  names: readonly ExpressionName[];
  /** What a value holds now, in words. */
  holds: (source: Source) => string;
  onChoose: (name: ExpressionName) => void;
  onWorkOut: () => void;
  /** It was for nothing: the sign that was typed is a letter. */
  onLeave: () => void;
}): ReactNode {
  const [typed, setTyped] = useState('');
  // The focus goes when something was chosen, too.
  const isDone = useRef(false);
  const leave = () => {
    if (isDone.current) return;
    isDone.current = true;
    onLeave();
  };
  const wanted = typed.trim().toLowerCase();
  const found = names
    .filter(
      ({ label, path }) =>
        label.toLowerCase().includes(wanted) || path.toLowerCase().startsWith(wanted),
    )
    .sort((a, b) => Number(begins(b, wanted)) - Number(begins(a, wanted)))
    .slice(0, OFFERED);
  return (
    <SuggestField
      autoFocus
      firstActive
      alwaysOpen
      label="Value between the words"
      placeholder="a value, by its name"
      value={typed}
      nothing="nothing is called so here"
      suggestions={[
        ...found.map((name) => ({
          value: name.path,
          label: (
            <span className="place-offer">
              <span>{name.label}</span> <span className="quiet">{holds(name.source)}</span>
            </span>
          ),
        })),
        ...('work it out'.startsWith(wanted) || found.length === 0
          ? [{ value: WORK_OUT, label: <span className="place-offer">work it out …</span> }]
          : []),
      ]}
      onType={setTyped}
      onChoose={(path) => {
        isDone.current = true;
        const name = found.find((each) => each.path === path);
        if (name) onChoose(name);
        else onWorkOut();
      }}
      onEscape={() => {
        leave();
        return true;
      }}
      onLeave={leave}
    />
  );
}

function begins({ label }: ExpressionName, wanted: string): boolean {
  return label.toLowerCase().startsWith(wanted);
}
