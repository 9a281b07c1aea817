import { useState, type ReactNode } from 'react';
import { Button, Form, Input, Select } from 'antd';
import { newId, orderAfterAll, TOKEN_GROUPS, type TokenGroup } from '@sormet/core/model';
import { readTokenText } from '@sormet/core/style';
import { Dialog } from '../../../parts/Dialog';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { sentence } from '../../../words';

/** Makes a token of a name, a group and a value. */
export function AddToken(): ReactNode {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button size="small" type="primary" onClick={() => setOpen(true)}>
        Add a token
      </Button>
      {open ? <Adding onClose={() => setOpen(false)} /> : null}
    </>
  );
}

function Adding({ onClose }: { onClose: () => void }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [name, setName] = useState('');
  const [group, setGroup] = useState<TokenGroup>('colour');
  const [value, setValue] = useState('');
  const [wrong, setWrong] = useState('');
  const add = () => {
    const { tokens } = documents.tokens;
    const read = readTokenText(TOKEN_GROUPS[group].type, value, tokens);
    const edit = {
      name: 'addToken' as const,
      args: {
        token: newId(),
        name,
        group,
        order: orderAfterAll(Object.values(tokens)),
        ...(read.ok ? { css: read.css, tokens: { ...read.tokens } } : { css: value }),
        places: [],
      },
    };
    const refusal = sync.attempt(edit);
    if (refusal) return setWrong(sentence(refusal.refused));
    onClose();
  };
  return (
    <Dialog
      open
      title="Add a token"
      okText="Add it"
      cancelText="Leave it"
      okButtonProps={{ disabled: name.trim() === '' || value.trim() === '' }}
      onOk={add}
      onCancel={onClose}
    >
      <Form layout="vertical">
        <Form.Item label="Name">
          <Input
            data-first
            aria-label="Name of the token"
            value={name}
            onChange={({ target }) => setName(target.value)}
          />
        </Form.Item>
        <Form.Item label="Group">
          <Select
            aria-label="Group"
            value={group}
            options={(Object.keys(TOKEN_GROUPS) as TokenGroup[]).map((each) => ({
              value: each,
              label: TOKEN_GROUPS[each].word,
            }))}
            onChange={setGroup}
          />
        </Form.Item>
        <Form.Item
          label="Value"
          validateStatus={wrong ? 'error' : ''}
          help={wrong || 'as in CSS; another token by its name in braces: {ink}'}
        >
          <Input
            aria-label="Value of the token"
            value={value}
            onChange={({ target }) => {
              setValue(target.value);
              setWrong('');
            }}
          />
        </Form.Item>
      </Form>
    </Dialog>
  );
}
