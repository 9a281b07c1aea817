import { useState, type ReactNode } from 'react';
import { Button, Dropdown, Input } from 'antd';
import { allOf, type EntryDoc, type TypeDoc } from '@sormet/core/model';
import { writeCsv, writeJson } from '@sormet/core/format';
import { askForFile } from '../../../parts/ask-for-file';
import { Dialog } from '../../../parts/Dialog';
import { saveFile } from '../../../parts/save-file';
import { useDerived } from '../../../site/SiteProvider';
import type { Brought } from './read-file';

/** What the dialog for files takes. */
const FILES = '.csv,.tsv,.txt,.json,.jsonl,.ndjson,.zip';

/** Content from a file or from text that is pasted, and out to one: all entries, or those that are looked at. */
export function InAndOut({
  type,
  rows,
  onFiles,
  onBrought,
}: {
  type: TypeDoc;
  /** The entries that are looked at. */
  rows: readonly EntryDoc[];
  onFiles: (files: readonly File[]) => void;
  onBrought: (brought: Brought) => void;
}): ReactNode {
  const { documents } = useDerived();
  const [pasting, setPasting] = useState<string | null>(null);
  const all = allOf(documents, 'entry').filter((entry) => entry.type === type.id);
  const isPart = rows.length < all.length;
  const out = (entries: readonly EntryDoc[], as: 'csv' | 'json') => {
    const write = as === 'csv' ? writeCsv : writeJson;
    const name = `${type.plural.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.${as}`;
    saveFile(name, write(documents, type, entries), as === 'csv' ? 'text/csv' : 'application/json');
  };
  return (
    <>
      <Dropdown
        trigger={['click']}
        menu={{
          items: [
            { key: 'file', label: 'a file: CSV, TSV, JSON, or an archive (ZIP)' },
            { key: 'text', label: 'text that you paste' },
          ],
          onClick: ({ key }) => {
            if (key === 'file') askForFile(FILES, (file) => onFiles([file]));
            else setPasting('');
          },
        }}
      >
        <Button size="small">Take in …</Button>
      </Dropdown>
      <Dropdown
        trigger={['click']}
        menu={{
          items: [
            { key: 'all csv', label: `all ${all.length} as CSV` },
            { key: 'all json', label: `all ${all.length} as JSON` },
            ...(isPart
              ? [
                  { key: 'these csv', label: `these ${rows.length} as CSV` },
                  { key: 'these json', label: `these ${rows.length} as JSON` },
                ]
              : []),
          ],
          onClick: ({ key }) => {
            const [which, as] = key.split(' ') as ['all' | 'these', 'csv' | 'json'];
            out(which === 'all' ? all : rows, as);
          },
        }}
      >
        <Button size="small">Write out …</Button>
      </Dropdown>
      <Dialog
        open={pasting !== null}
        title="Take in text"
        okText="Look at it"
        cancelText="Leave it"
        okButtonProps={{ disabled: (pasting ?? '').trim() === '' }}
        onOk={() => {
          onBrought({
            name: 'pasted text',
            bytes: new TextEncoder().encode(pasting!),
            pictures: [],
          });
          setPasting(null);
        }}
        onCancel={() => setPasting(null)}
      >
        <p>Rows from a spreadsheet, CSV or JSON.</p>
        <Input.TextArea
          data-first=""
          aria-label="Rows to take in"
          rows={10}
          value={pasting ?? ''}
          onChange={({ target }) => setPasting(target.value)}
        />
      </Dialog>
    </>
  );
}
