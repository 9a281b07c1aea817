import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { Button, Input } from 'antd';
import { Dialog } from '../../parts/Dialog';
import { emptyComponent } from '@sormet/core/ready';
import { useSync } from '../../site/SiteProvider';

/** Makes a component that holds nothing yet and opens its definition. */
export function AddComponent({ first = false }: { first?: boolean }): ReactNode {
  const sync = useSync();
  const navigate = useNavigate();
  const [open, setOpen] = useState(false);
  const [name, setName] = useState('Sections/');
  const typed = name.trim();
  const sound = /^[^/]+(\/[^/]+)*$/.test(typed);
  const make = () => {
    const component = emptyComponent(typed);
    if (sync.edit({ name: 'addComponent', args: { component } }))
      void navigate(`/sites/${sync.site}/bench/${component.id}`);
  };
  return (
    <>
      <Button
        size={first ? 'small' : 'middle'}
        type="primary"
        onClick={() => {
          setName('Sections/');
          setOpen(true);
        }}
      >
        {first ? 'Make the first component' : 'Make a component'}
      </Button>
      <Dialog
        open={open}
        title="Make a component"
        okText="Make it"
        cancelText="Leave it"
        okButtonProps={{ disabled: !sound }}
        onOk={make}
        onCancel={() => setOpen(false)}
        destroyOnHidden
      >
        <p>It begins empty; its folder stands before a slash.</p>
        <Input
          autoFocus
          data-first=""
          aria-label="Name of the component"
          value={name}
          maxLength={200}
          onChange={({ target }) => setName(target.value)}
        />
      </Dialog>
    </>
  );
}
