import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { Button, Form, Input, Select } from 'antd';
import { allOf, newId, orderAfterAll } from '@sormet/core/model';
import { Dialog } from '../../../parts/Dialog';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { refusalWords } from '../../../words';

/** Begins a shared style that declares nothing yet, and goes to the specimen, where it is edited. */
export function BeginStyle(): ReactNode {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button size="small" type="primary" onClick={() => setOpen(true)}>
        Begin a style
      </Button>
      {open ? <Beginning onClose={() => setOpen(false)} /> : null}
    </>
  );
}

function Beginning({ onClose }: { onClose: () => void }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [base, setBase] = useState('');
  const [wrong, setWrong] = useState('');
  const styles = allOf(documents, 'style');
  const begin = () => {
    const style = newId();
    const reason = refusalWords(
      sync.attempt({
        name: 'addStyle',
        args: {
          style,
          name: name.trim(),
          order: orderAfterAll(styles),
          base: base || null,
          block: {},
          from: null,
        },
      }),
    );
    if (reason) return setWrong(reason);
    onClose();
    void navigate(`/sites/${sync.site}/styles?style=${style}`);
  };
  return (
    <Dialog
      open
      title="Begin a style"
      okText="Begin it"
      cancelText="Leave it"
      okButtonProps={{ disabled: name.trim() === '' }}
      onOk={begin}
      onCancel={onClose}
    >
      <Form layout="vertical">
        <Form.Item label="Name" validateStatus={wrong ? 'error' : ''} help={wrong}>
          <Input
            data-first
            aria-label="Name of the style"
            value={name}
            onChange={({ target }) => {
              setName(target.value);
              setWrong('');
            }}
          />
        </Form.Item>
        <Form.Item
          label="Modifies"
          extra="A modifier goes with what it modifies, and is stronger than it."
        >
          <Select
            aria-label="Modifies"
            value={base}
            options={[
              { value: '', label: 'nothing' },
              ...styles
                .filter((each) => each.base === null)
                .map(({ id, name: label }) => ({ value: id, label })),
            ]}
            onChange={setBase}
          />
        </Form.Item>
      </Form>
    </Dialog>
  );
}
