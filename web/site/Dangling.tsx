import { useDeferredValue, useMemo, useState, type ReactNode } from 'react';
import { Button } from 'antd';
import { danglingIn, documentWord } from '@sormet/core/edit';
import { Dialog } from '../parts/Dialog';
import { toldWords, inWords } from '../words';
import { useDerived, useSync } from './SiteProvider';
import './Dangling.css';

/** What on this site points at nothing, as an earlier version may have left it, each with a way to mend it. */
export function Dangling(): ReactNode {
  const documents = useDeferredValue(useDerived().documents);
  const sync = useSync();
  const [open, setOpen] = useState(false);
  const dangling = useMemo(() => danglingIn(documents), [documents]);
  if (dangling.length === 0 && !open) return null;
  return (
    <>
      <Button size="small" danger onClick={() => setOpen(true)}>
        {dangling.length === 1 ? '1 thing leads nowhere' : `${dangling.length} things lead nowhere`}
      </Button>
      <Dialog
        open={open}
        title="What leads nowhere"
        footer={null}
        onCancel={() => setOpen(false)}
        width={640}
      >
        <p>
          {dangling.length === 0
            ? 'Everything is mended.'
            : 'Something these need is gone. Nothing else is kept from being changed; mending can be undone.'}
        </p>
        <ul className="dangling-list">
          {dangling.map(({ doc, path, reason }) => (
            <li key={doc + path}>
              <span>
                {toldWords(documentWord(documents.get(doc)))}: {inWords(reason)}
              </span>
              <Button size="small" onClick={() => sync.edit({ name: 'mend', args: { doc, path } })}>
                Mend
              </Button>
            </li>
          ))}
        </ul>
      </Dialog>
    </>
  );
}
