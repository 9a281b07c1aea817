import type { ReactNode } from 'react';
import { LOOKS, type Look, type LookName } from '@sormet/core/ready';
import { Ways } from '../../parts/Ways';
import './LookChoice.css';

const WORDS: Readonly<Record<LookName, string>> = {
  quiet: 'Quiet: plain letters on white',
  reading: 'Reading: book letters on paper',
  signal: 'Signal: heavy letters, one loud colour',
};

/** How a new site looks at first: three looks, drawn side by side. The form gives what is not said here. */
export function LookChoice({
  value = 'quiet',
  onChange = () => undefined,
}: {
  value?: LookName;
  onChange?: (look: LookName) => void;
}): ReactNode {
  return (
    <Ways
      label="How it looks at first"
      ways={(Object.keys(LOOKS) as LookName[]).map((name) => ({
        value: name,
        word: WORDS[name],
        title: WORDS[name],
      }))}
      columns={3}
      chosen={value}
      draw={({ value: name, word }) => <LookDrawn look={LOOKS[name as LookName]} word={word} />}
      onChoose={(name) => onChange(name as LookName)}
    />
  );
}

/** A look as a small page: a heading, words, a button, a card. */
function LookDrawn({ look, word }: { look: Look; word: string }): ReactNode {
  const { colours, text, heading, weight, radius, ratio } = look;
  const [name] = word.split(':');
  return (
    <span
      className="look-drawn"
      style={{ background: colours.paper, color: colours.ink, fontFamily: text }}
    >
      <span
        className="look-heading"
        style={{ fontFamily: heading, fontWeight: Number(weight), fontSize: 9 * ratio[1] ** 2.4 }}
      >
        {name}
      </span>
      <span className="look-words">Words that somebody reads, one line after the other.</span>
      <span
        className="look-button"
        style={{ background: colours.brand, color: colours['on brand'], borderRadius: radius }}
      >
        Press
      </span>
      <span className="look-card" style={{ background: colours.tint, borderRadius: radius }} />
    </span>
  );
}
