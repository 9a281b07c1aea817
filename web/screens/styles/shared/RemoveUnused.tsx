import { useState, type ReactNode } from 'react';
import { Button, Checkbox } from 'antd';
import { styleName } from '@sormet/core/edit';
import { Dialog } from '../../../parts/Dialog';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { count, toldWords } from '../../../words';

/** Removes shared styles that nothing uses: all of them, or those that are left ticked. */
export function RemoveUnused({ unused }: { unused: readonly string[] }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [open, setOpen] = useState(false);
  const [kept, setKept] = useState<ReadonlySet<string>>(new Set());
  const going = unused.filter((id) => !kept.has(id));
  const tick = (id: string, goes: boolean) =>
    setKept(new Set(goes ? [...kept].filter((each) => each !== id) : [...kept, id]));
  const remove = () => {
    if (going.length > 0 && sync.edit({ name: 'removeStyles', args: { styles: [...going] } }))
      setOpen(false);
  };
  return (
    <>
      <Button size="small" onClick={() => setOpen(true)}>
        Remove the {unused.length} unused …
      </Button>
      <Dialog
        open={open}
        title="Styles that nothing uses"
        okText={`Remove ${count(going.length, 'style')}`}
        okButtonProps={{ disabled: going.length === 0, danger: true }}
        cancelText="Leave them"
        onOk={remove}
        onCancel={() => setOpen(false)}
      >
        <p className="quiet">
          One undo brings all of them back. What modifies one of them modifies nothing from then on.
        </p>
        {unused.map((id) => (
          <div key={id}>
            <Checkbox checked={!kept.has(id)} onChange={({ target }) => tick(id, target.checked)}>
              {toldWords(styleName(documents, id))}
            </Checkbox>
          </div>
        ))}
      </Dialog>
    </>
  );
}
