import { useState, type ReactNode } from 'react';
import { Ways } from '../../parts/Ways';
import type { TokenColour } from './token-colours';

/** With more tokens than these, one can look for them by name. */
const MANY = 12;

/** The colours of the site, by name: what is put on of them follows its token, in every theme. */
export function OwnColours({
  tokens,
  chosen,
  onChoose,
}: {
  tokens: readonly TokenColour[];
  /** Which of them it is now. */
  chosen: string | undefined;
  onChoose: (token: TokenColour) => void;
}): ReactNode {
  const [wanted, setWanted] = useState('');
  const found = tokens.filter(({ name }) =>
    name.toLowerCase().includes(wanted.trim().toLowerCase()),
  );
  if (tokens.length === 0) return null;
  const ways = found.map(({ id, name, css }) => ({ value: id, word: name, css, title: name }));
  return (
    <div className="own-colours">
      {tokens.length > MANY ? (
        <input
          className="plain-field"
          type="search"
          aria-label="Find a token"
          placeholder="find a token"
          value={wanted}
          onChange={({ target }) => setWanted(target.value)}
        />
      ) : null}
      <Ways
        label="Colours of the site"
        ways={ways}
        columns={2}
        chosen={chosen}
        draw={({ word, css }) => (
          <span className="own-colour">
            <span className="swatch-words" style={{ background: css }} aria-hidden />
            <span className="own-colour-name">{word}</span>
          </span>
        )}
        onChoose={(id) => onChoose(tokens.find((token) => token.id === id)!)}
      />
    </div>
  );
}
