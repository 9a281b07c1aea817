import { useMemo, useState, type ReactNode } from 'react';
import { Button, Input, Popconfirm, Select } from 'antd';
import type { AssetDoc } from '@sormet/core/model';
import { askForFile, askForFiles } from '../../parts/ask-for-file';
import { useDroppedFiles } from '../../parts/use-dropped-files';
import { Wrong } from '../../parts/Wrong';
import { api } from '../../site/api';
import { useDerived, useSync } from '../../site/SiteProvider';
import { count, refusalWords } from '../../words';
import { ACCEPTED } from './accepted';
import { ChosenFiles } from './ChosenFiles';
import { filesOf, looked, type FileKind, type FileOrder } from './file-rows';
import { FileTables } from './FileTables';
import { useBringing } from './use-bringing';
import '../../values/values.css';
import '../screens.css';
import './files.css';

/** How many rows are drawn at first, and more each time. */
const PAGE = 100;

/** The files of a site: pictures, films, fonts; brought in many at once, found, named, replaced, those that nothing uses removed. */
export function FilesScreen(): ReactNode {
  const { documents, reach } = useDerived();
  const sync = useSync();
  const bringing = useBringing();
  const [find, setFind] = useState('');
  const [kind, setKind] = useState<FileKind>('all');
  const [order, setOrder] = useState<FileOrder>('name');
  const [shown, setShown] = useState(PAGE);
  const { isOver, drop } = useDroppedFiles(bringing.bring);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [wrong, setWrong] = useState('');
  const all = useMemo(() => filesOf(documents, reach), [documents, reach]);
  const unused = all.filter(({ users }) => users.length === 0);
  const rows = useMemo(
    () => looked(all, find, kind, order, documents.site.language),
    [all, find, kind, order, documents.site.language],
  );
  const inSight = rows.slice(0, shown);
  // What was chosen and is not in sight any more is left alone.
  const chosenRows = inSight.filter(({ asset }) => chosen.has(asset.id));
  const replace = (asset: AssetDoc) =>
    askForFile(ACCEPTED, (file) => {
      setWrong('');
      void api.upload(sync.site, file).then(
        ({ sha256, mediaType, width, height }) => {
          const size = width === undefined || height === undefined ? {} : { width, height };
          const set = {
            file: { sha256, mediaType: mediaType as AssetDoc['mediaType'], ...size },
          };
          const refusal = sync.attempt({ name: 'setAsset', args: { asset: asset.id, set } });
          setWrong(refusalWords(refusal));
        },
        (error: Error) => setWrong(`${file.name}: ${error.message}`),
      );
    });
  return (
    <div className={isOver ? 'files is-over' : 'files'} {...drop}>
      <div className="screen-head">
        <h1>Files</h1>
        <span className="screen-acts">
          <Input
            size="small"
            className="search"
            aria-label="Find a file"
            placeholder="find"
            allowClear
            value={find}
            onChange={({ target }) => setFind(target.value)}
          />
          <Select
            size="small"
            aria-label="Which files"
            value={kind}
            popupMatchSelectWidth={false}
            options={[
              { value: 'all', label: 'all' },
              { value: 'image', label: 'pictures' },
              { value: 'video', label: 'films' },
              { value: 'font', label: 'fonts' },
              { value: 'unused', label: 'nothing uses them' },
            ]}
            onChange={setKind}
          />
          <Select
            size="small"
            aria-label="In which order"
            value={order}
            popupMatchSelectWidth={false}
            options={[
              { value: 'name', label: 'by name' },
              { value: 'uses', label: 'most used first' },
              { value: 'kind', label: 'by kind' },
              { value: 'size', label: 'largest first' },
            ]}
            onChange={setOrder}
          />
          <Popconfirm
            title={`Remove ${count(unused.length, 'file')} that nothing uses?`}
            description="Undo brings them back."
            okText="Remove"
            cancelText="Keep"
            onConfirm={() => {
              const assets = unused.map(({ asset }) => asset.id);
              setWrong(refusalWords(sync.attempt({ name: 'removeAssets', args: { assets } })));
            }}
          >
            <Button size="small" disabled={unused.length === 0}>
              Remove {unused.length} unused
            </Button>
          </Popconfirm>
          <Button size="small" type="primary" onClick={() => askForFiles(ACCEPTED, bringing.bring)}>
            Bring files in
          </Button>
        </span>
      </div>
      <p className="quiet" aria-live="polite">
        {bringing.total > 0
          ? `Bringing in: ${bringing.done} of ${bringing.total}`
          : `${count(rows.length, 'file')}. Drop more anywhere here.`}
      </p>
      {bringing.told.map((each) => (
        <Wrong key={each} as="p" words={each} />
      ))}
      <Wrong as="p" words={wrong} />
      <ChosenFiles
        chosen={chosenRows}
        all={all}
        onNone={() => setChosen(new Set())}
        onWrong={setWrong}
      />
      {rows.length === 0 ? (
        <p className="first-steps">
          {all.length === 0
            ? 'There are no files yet. Drop pictures or films here.'
            : 'No file is like this.'}
        </p>
      ) : (
        <FileTables
          rows={inSight}
          chosen={chosen}
          onChoose={(assets, on) =>
            setChosen((before) => {
              const now = new Set(before);
              for (const id of assets)
                if (on) now.add(id);
                else now.delete(id);
              return now;
            })
          }
          isByFolder={order === 'name'}
          onReplace={replace}
          onWrong={setWrong}
          onBring={bringing.bring}
        />
      )}
      {rows.length > shown ? (
        <Button size="small" onClick={() => setShown(shown + PAGE)}>
          Show {Math.min(PAGE, rows.length - shown)} more
        </Button>
      ) : null}
    </div>
  );
}
