import { useState, type ReactNode } from 'react';
import { Button, Input } from 'antd';
import {
  groupOf,
  inOrder,
  newId,
  orderBetween,
  TOKEN_GROUPS,
  type Token,
  type TokenGroup,
} from '@sormet/core/model';
import { HeadedTable } from '../../../parts/HeadedTable';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { AddToken } from './AddToken';
import { BeginScale } from './BeginScale';
import { ThemeHead } from './ThemeHead';
import { TokenFiles } from './TokenFiles';
import { TokenRow } from './TokenRow';
import { WeakPairs } from './WeakPairs';
import '../../screens.css';

/** The tokens of a site in groups, with what each theme makes of them and whom each reaches. */
export function TokensScreen(): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [search, setSearch] = useState('');
  const { tokens, themes = {} } = documents.tokens;
  const wanted = search.trim().toLowerCase();
  const shown = inOrder(tokens).filter(([, { name }]) => name.toLowerCase().includes(wanted));
  const groups = (Object.keys(TOKEN_GROUPS) as TokenGroup[]).flatMap((group) => {
    const rows = shown.filter(([, token]) => groupOf(token) === group);
    return rows.length > 0 ? [{ group, rows }] : [];
  });
  const order = inOrder(themes);
  const addTheme = () =>
    sync.edit({
      name: 'addTheme',
      args: {
        theme: newId(),
        name: order.length === 0 ? 'Dark' : `Theme ${order.length + 1}`,
        order: orderBetween(order.at(-1)?.[1].order ?? null, null),
      },
    });
  return (
    <>
      <div className="styles-acts">
        <AddToken />
        <BeginScale />
        <Button size="small" onClick={addTheme}>
          Add a theme
        </Button>
        <TokenFiles />
        <Input
          size="small"
          className="search"
          aria-label="Search the tokens"
          placeholder="search"
          value={search}
          onChange={({ target }) => setSearch(target.value)}
        />
      </div>
      {Object.keys(tokens).length === 0 ? (
        <p className="first-steps">
          There is no token yet. Begin a scale, add one here, take a file in, or save a value as a
          token where it stands: the mark in a cell of the ledger of styles does it.
        </p>
      ) : (
        <HeadedTable
          label="Tokens"
          className="screen-table tokens-table"
          heads={[
            { unseen: 'Group' },
            'Name',
            'Value',
            ...order.map(([id, theme]) => <ThemeHead key={id} id={id} theme={theme} />),
            'Reach',
            { unseen: 'Acts' },
          ]}
        >
          {groups.map(({ group, rows }) => (
            <tbody key={group}>
              {rows.map(([id, token]: [string, Token], i) => (
                <TokenRow
                  key={id}
                  id={id}
                  token={token}
                  themes={order}
                  head={
                    i === 0 ? (
                      <th scope="rowgroup" rowSpan={rows.length}>
                        {TOKEN_GROUPS[group].word}
                      </th>
                    ) : null
                  }
                />
              ))}
            </tbody>
          ))}
        </HeadedTable>
      )}
      <WeakPairs />
    </>
  );
}
