import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { Button, Input } from 'antd';
import { Dialog } from '../../../parts/Dialog';
import { FORMAT, newId, type TypeDoc } from '@sormet/core/model';
import { useSync } from '../../../site/SiteProvider';
import { FromSchema } from './FromSchema';

/** Makes a content type: what one of its entries is called, and many; it begins with a title. */
export function MakeType({ first = false }: { first?: boolean }): ReactNode {
  const sync = useSync();
  const navigate = useNavigate();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('');
  const [plural, setPlural] = useState('');
  const make = () => {
    const title = newId();
    const type: TypeDoc = {
      id: newId(),
      kind: 'type',
      format: FORMAT,
      name: name.trim(),
      plural: plural.trim() || `${name.trim()}s`,
      title,
      fields: { [title]: { label: 'Title', key: 'title', order: 'a0', type: { kind: 'text' } } },
    };
    add(type, '');
  };
  const add = (type: TypeDoc, part: '' | '/fields') => {
    if (!sync.edit({ name: 'addType', args: { type } })) return;
    setOpen(false);
    setName('');
    setPlural('');
    void navigate(`/sites/${sync.site}/content/${type.id}${part}`);
  };
  return (
    <>
      <Button size="small" type={first ? 'primary' : 'text'} onClick={() => setOpen(true)}>
        {first ? 'Make the first content type' : 'Make a content type'}
      </Button>
      <Dialog
        open={open}
        title="Make a content type"
        okText="Make it"
        cancelText="Leave it"
        okButtonProps={{ disabled: name.trim() === '' }}
        onOk={make}
        onCancel={() => setOpen(false)}
        destroyOnHidden
      >
        <label className="field">
          One is called
          <Input
            autoFocus
            data-first=""
            value={name}
            maxLength={120}
            placeholder="Shed"
            onChange={({ target }) => setName(target.value)}
          />
        </label>
        <label className="field">
          Many are
          <Input
            value={plural}
            maxLength={120}
            placeholder={name.trim() === '' ? 'Sheds' : `${name.trim()}s`}
            onChange={({ target }) => setPlural(target.value)}
          />
        </label>
        <FromSchema onMake={({ type }) => add(type, '/fields')} />
      </Dialog>
    </>
  );
}
