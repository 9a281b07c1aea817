import { useState, type ReactNode } from 'react';
import { Dropdown } from 'antd';
import { Ellipsis } from 'lucide-react';
import { DERIVATIONS, derivedFrom, type Derivation } from '@sormet/core/colour';
import {
  groupOf,
  newId,
  orderBetween,
  own,
  type Declared,
  type Theme,
  type Token,
} from '@sormet/core/model';
import { freeName } from '@sormet/core/edit';
import { reachOfToken } from '@sormet/core/reach';
import { filled, readTokenText, valueText } from '@sormet/core/style';
import { count } from '../../../words';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { DraftField } from '../../../values/DraftField';
import { RemoveToken } from './RemoveToken';
import { TokenColour } from './TokenColour';
import { TokenDrawn } from '../../../values/TokenDrawn';

/** A token: its name, its value, what each theme makes of it, whom it reaches. */
export function TokenRow({
  id,
  token,
  themes,
  head,
}: {
  id: string;
  token: Token;
  themes: readonly (readonly [string, Theme])[];
  head: ReactNode;
}): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const [removing, setRemoving] = useState(false);
  const { tokens } = documents.tokens;
  const { declarations, pages, tokens: made } = reachOfToken(documents, reach, id);
  const value = (typed: string) => {
    const read = readTokenText(token.type, typed, tokens);
    return read.ok ? { css: read.css, tokens: { ...read.tokens } } : { css: typed };
  };
  const derive = (how: Derivation) => {
    const name = freeName(
      `${token.name}, ${how}`,
      Object.values(tokens).map((each) => each.name),
    );
    sync.edit({
      name: 'addToken',
      args: {
        token: newId(),
        name,
        group: 'colour',
        order: orderBetween(token.order, nextOrder(tokens, token.order)),
        ...derivedFrom(id, how),
        places: [],
      },
    });
  };
  const acts = [
    ...(token.type === 'colour'
      ? DERIVATIONS.map((how) => ({
          key: how,
          label: `a ${how} one that follows it`,
          onClick: () => derive(how),
        }))
      : []),
    { key: 'remove', label: 'remove …', danger: true, onClick: () => setRemoving(true) },
  ];
  return (
    <tr>
      {head}
      <th scope="row">
        <DraftField
          label={`Name of ${token.name}`}
          stored={token.name}
          edit={(name) => ({ name: 'setToken', args: { token: id, set: { name } } })}
        />
      </th>
      <td>
        <Value
          id={id}
          label={`Value of ${token.name}`}
          token={token}
          declared={token.value}
          css={filled(token.value, tokens)}
          edit={(typed) => ({ name: 'setToken', args: { token: id, set: value(typed) } })}
        />
      </td>
      {themes.map(([theme, { name, values }]) => {
        const other = own(values, id);
        return (
          <td key={theme}>
            <span className={other ? 'token-cell' : 'token-cell quiet-value'}>
              <Value
                id={id}
                label={`${token.name} in ${name}`}
                token={token}
                declared={other}
                css={filled(other ?? token.value, tokens, values)}
                edit={(typed) => ({
                  name: 'setInTheme',
                  args: { theme, token: id, ...(typed === '' ? { css: null } : value(typed)) },
                })}
              />
            </span>
          </td>
        );
      })}
      <td className="quiet">
        {count(declarations, 'declaration')} on {count(pages.length, 'page')}
        {made.length > 0 ? `, ${count(made.length, 'token')} from it` : ''}
      </td>
      <td>
        <Dropdown trigger={['click']} menu={{ items: acts }}>
          <button type="button" className="icon-button" aria-label={`Acts for ${token.name}`}>
            <Ellipsis size={14} aria-hidden />
          </button>
        </Dropdown>
        {removing ? <RemoveToken id={id} token={token} onClose={() => setRemoving(false)} /> : null}
      </td>
    </tr>
  );
}

function Value({
  id,
  label,
  token,
  declared,
  css,
  edit,
}: {
  id: string;
  label: string;
  token: Token;
  declared: Declared | undefined;
  css: string | undefined;
  edit: Parameters<typeof DraftField>[0]['edit'];
}): ReactNode {
  const { documents } = useDerived();
  return (
    <span className="token-cell">
      {token.type === 'colour' ? (
        <TokenColour label={label} of={id} colour={css} edit={edit} />
      ) : (
        <TokenDrawn type={token.type} group={groupOf(token)} css={css} />
      )}
      <DraftField
        mono
        label={label}
        stored={declared ? valueText(declared, documents.tokens.tokens) : ''}
        placeholder={declared ? '' : 'as it is'}
        edit={edit}
      />
    </span>
  );
}

/** The order of the token that comes next, so that what is derived stands beside what it is made from. */
function nextOrder(tokens: Readonly<Record<string, Token>>, order: string): string | null {
  const later = Object.values(tokens)
    .map((token) => token.order)
    .filter((other) => other > order)
    .sort();
  return later[0] ?? null;
}
