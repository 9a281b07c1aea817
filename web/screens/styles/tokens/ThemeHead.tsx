import type { ReactNode } from 'react';
import { Popconfirm } from 'antd';
import { X } from 'lucide-react';
import { pointer, type Theme } from '@sormet/core/model';
import { IconButton } from '../../../parts/IconButton';
import { count } from '../../../words';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { DraftField } from '../../../values/DraftField';

/** A theme at the head of its column: its name, and what takes it away. */
export function ThemeHead({ id, theme }: { id: string; theme: Theme }): ReactNode {
  const { reach } = useDerived();
  const sync = useSync();
  const uses = reach.usesOf(pointer('themes', id)).length;
  return (
    <th scope="col">
      <span className="token-cell">
        <DraftField
          label={`Name of the theme ${theme.name}`}
          stored={theme.name}
          edit={(name) => ({ name: 'setTheme', args: { theme: id, set: { name } } })}
        />
        <span className="quiet">{count(uses, 'place')}</span>
        <Popconfirm
          title={`Remove the theme ${theme.name}?`}
          description={
            uses === 0
              ? 'It is put on nothing.'
              : `${count(uses, 'place')} will look as around it. Undo brings all of it back.`
          }
          okText="Remove"
          cancelText="Leave it"
          onConfirm={() => sync.edit({ name: 'removeTheme', args: { theme: id } })}
        >
          <span>
            <IconButton
              icon={X}
              name={`Remove the theme ${theme.name}`}
              title="Remove"
              onPress={() => undefined}
            />
          </span>
        </Popconfirm>
      </span>
    </th>
  );
}
