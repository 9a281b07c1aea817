import { useState, type ReactNode } from 'react';
import { Input, Select } from 'antd';
import { Dialog } from '../../parts/Dialog';
import { allOf, docOf, slugOf } from '@sormet/core/model';
import { emptyPage } from '@sormet/core/ready';
import { useDerived, useSync } from '../../site/SiteProvider';
import { sentence } from '../../words';
import { Wrong } from '../../parts/Wrong';

/** Adds a page: its name, its path and what it is made from; it begins as a draft, in the site's surround. */
export function AddPage({
  open,
  under = '',
  onClose,
}: {
  open: boolean;
  /** The path of the page it should stand under. */
  under?: string;
  onClose: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [name, setName] = useState('');
  const [path, setPath] = useState('');
  const [entries, setEntries] = useState('');
  const [wrong, setWrong] = useState('');
  const base = under === '/' ? '' : under;
  const suggested = `${base}/${name.trim() === '' ? '' : slugOf(name, 'page')}${entries ? '/<slug>' : ''}`;
  const add = () => {
    const of = docOf(documents, 'type', entries);
    const page = emptyPage(documents, path.trim() || suggested, name.trim(), of);
    const refusal = sync.attempt({ name: 'addPage', args: { page } });
    if (refusal) return setWrong(sentence(refusal.refused));
    setName('');
    setPath('');
    setWrong('');
    onClose();
  };
  return (
    <Dialog
      open={open}
      title="Add a page"
      okText="Add the page"
      onOk={add}
      okButtonProps={{ disabled: name.trim() === '' }}
      onCancel={onClose}
    >
      <p>It stands in the surround and begins as a draft.</p>
      <label className="field">
        Name <Input data-first="" value={name} onChange={({ target }) => setName(target.value)} />
      </label>
      <label className="field">
        Path{' '}
        <Input
          value={path}
          placeholder={suggested}
          status={wrong ? 'error' : ''}
          onChange={({ target }) => {
            setPath(target.value);
            setWrong('');
          }}
        />
      </label>
      <Wrong as="p" words={wrong} />
      <div className="field">
        <span id="made-from">Made from</span>
        <Select
          aria-labelledby="made-from"
          value={entries}
          options={[
            { value: '', label: 'one page' },
            ...allOf(documents, 'type').map(({ id, plural }) => ({
              value: id,
              label: `each of ${plural}`,
            })),
          ]}
          onChange={setEntries}
        />
      </div>
    </Dialog>
  );
}
