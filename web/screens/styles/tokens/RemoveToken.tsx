import { useState, type ReactNode } from 'react';
import { Select } from 'antd';
import { inOrder, type Token } from '@sormet/core/model';
import { reachOfToken } from '@sormet/core/reach';
import { valueText } from '@sormet/core/style';
import { count } from '../../../words';
import { Dialog } from '../../../parts/Dialog';
import { useDerived, useSync } from '../../../site/SiteProvider';

const WRITTEN_OUT = '';

/** Removes a token, after it is said what stands in its place from then on. */
export function RemoveToken({
  id,
  token,
  onClose,
}: {
  id: string;
  token: Token;
  onClose: () => void;
}): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const [instead, setInstead] = useState(WRITTEN_OUT);
  const { tokens } = documents.tokens;
  const { declarations, pages, tokens: made } = reachOfToken(documents, reach, id);
  const used = declarations > 0 || made.length > 0;
  return (
    <Dialog
      open
      title={`Remove the token ${token.name}`}
      okText="Remove it"
      cancelText="Leave it"
      onOk={() => {
        const args = { token: id, instead: instead === WRITTEN_OUT ? null : instead };
        if (sync.edit({ name: 'removeToken', args })) onClose();
      }}
      onCancel={onClose}
    >
      <p>
        {used
          ? `It stands in ${count(declarations, 'declaration')} on ${count(pages.length, 'page')}${made.length > 0 ? `, and ${count(made.length, 'token')} is made from it` : ''}. What stands there instead?`
          : 'Nothing uses it.'}
      </p>
      {used ? (
        <Select
          data-first
          aria-label="In its place"
          style={{ width: '100%' }}
          value={instead}
          showSearch={{ optionFilterProp: 'label' }}
          options={[
            {
              value: WRITTEN_OUT,
              label: `its value, written out: ${valueText(token.value, tokens)}`,
            },
            ...inOrder(tokens)
              .filter(([other, { type }]) => other !== id && type === token.type)
              .map(([other, { name }]) => ({ value: other, label: name })),
          ]}
          onChange={setInstead}
        />
      ) : null}
    </Dialog>
  );
}
