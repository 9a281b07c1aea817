import { useState, type ReactNode } from 'react';
import { Input } from 'antd';
import { Dialog } from '../../parts/Dialog';
import type { SiteSummary } from '@sormet/core/api';
import { api } from '../../site/api';
import { count } from '../../words';
import { Wrong } from '../../parts/Wrong';

/** Removing a site: it says what it takes and how long that is kept, and asks for its name. */
export function RemoveSite({
  site,
  onClose,
}: {
  site: SiteSummary | null;
  onClose: (removed: boolean) => void;
}): ReactNode {
  const [name, setName] = useState('');
  const [wrong, setWrong] = useState('');
  const isNamed = name.trim() === site?.name.trim();
  const close = (removed: boolean) => {
    setName('');
    setWrong('');
    onClose(removed);
  };
  const remove = () => {
    if (site)
      api.removeSite(site.id, name).then(
        () => close(true),
        (problem: Error) => setWrong(problem.message),
      );
  };
  return (
    <Dialog
      open={site !== null}
      title={site ? `Remove ${site.name}?` : ''}
      okText="Remove it"
      cancelText="Keep it"
      okButtonProps={{ danger: true, disabled: !isNamed }}
      onOk={remove}
      onCancel={() => close(false)}
      destroyOnHidden
    >
      <p>
        {site ? count(site.pages, 'address', 'addresses') : ''} will lead nowhere at once.
        Everything is kept for thirty days, and can be brought back from this list until then.
      </p>
      <label className="stacked-field">
        Type its name: <b>{site?.name}</b>
        <Input
          autoFocus
          data-first=""
          value={name}
          status={wrong ? 'error' : ''}
          aria-label="Name of the site to remove"
          onChange={({ target }) => setName(target.value)}
        />
      </label>
      <Wrong as="p" words={wrong} />
    </Dialog>
  );
}
