import { useDeferredValue, useMemo, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { Button, Select, Tooltip } from 'antd';
import { Redo2, Undo2 } from 'lucide-react';
import { allOf, entryTitle, type EntryDoc, type TreeDoc } from '@sormet/core/model';
import { widthsOf } from '@sormet/core/style';
import { useApp, useAppDispatch } from '../store/store';
import { BASE_WIDTH } from '../canvas/Canvas';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { Connection } from './Connection';
import './Bar.css';

interface BarProps {
  readonly doc: TreeDoc;
  readonly entries: readonly EntryDoc[];
  readonly entry: EntryDoc | undefined;
  readonly onEntry: (step: number) => void;
  readonly onPreview: () => void;
}

/** The bar: site, page, entries, widths, undo and redo, preview, publish. */
export function Bar({ doc, entries, entry, onEntry, onPreview }: BarProps): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const width = useApp((state) => state.bench.width);
  const { undo, redo, plan } = useApp((state) => state.site);
  const site = documents.site;
  const at = entry ? entries.indexOf(entry) : -1;
  const shown = useDeferredValue(documents);
  const places = useMemo(
    () => [
      {
        label: 'Pages',
        options: allOf(shown, 'page')
          .toSorted((a, b) => (a.path < b.path ? -1 : 1))
          .map((page) => ({
            value: page.id,
            label: page.path + (page.draft ? ' (draft)' : ''),
          })),
      },
      {
        label: 'Definitions',
        options: allOf(shown, 'component')
          .toSorted((a, b) => (a.name < b.name ? -1 : 1))
          .map(({ id, name }) => ({ value: id, label: name })),
      },
    ],
    [shown],
  );
  const changing = plan?.pages.length;
  return (
    <header className="bar">
      <Link to="/" className="bar-brand">
        Sormet
      </Link>
      <Link to={`/sites/${sync.site}`} className="bar-site">
        {site.name}
      </Link>
      <Select
        size="small"
        className="bar-page"
        aria-label="Page"
        value={doc.id}
        showSearch={{ optionFilterProp: 'label' }}
        popupMatchSelectWidth={280}
        options={places}
        onChange={(id: string) => void navigate(`/sites/${sync.site}/bench/${id}`)}
      />
      {entries.length > 0 && entry ? (
        <div className="bar-entries" role="group" aria-label="Entry">
          <button type="button" aria-label="Entry before" onClick={() => onEntry(-1)}>
            [
          </button>
          <span className="bar-entry" title={entryTitle(documents, entry)}>
            <span className="bar-entry-name">{entryTitle(documents, entry)}</span>, {at + 1} of{' '}
            {entries.length}
          </span>
          <button type="button" aria-label="Entry after" onClick={() => onEntry(1)}>
            ]
          </button>
        </div>
      ) : null}
      <div className="bar-widths" role="radiogroup" aria-label="Width">
        {widthsOf(site).map(({ id, max }) => (
          <button
            key={id}
            type="button"
            role="radio"
            aria-checked={id === width}
            aria-label={id === 'base' ? `Base, ${BASE_WIDTH}` : `${max} and below`}
            onClick={() => dispatch(benchActions.setWidth(id))}
          >
            {id === 'base' ? BASE_WIDTH : max}
          </button>
        ))}
      </div>
      <span className="bar-space" />
      <Connection />
      <Tooltip title={undo.length > 0 ? `Undo: ${undo.at(-1)!.says} (Ctrl+Z)` : 'Nothing to undo'}>
        <Button
          size="small"
          type="text"
          aria-label="Undo"
          disabled={undo.length === 0}
          icon={<Undo2 size={16} />}
          onClick={() => sync.undo()}
        />
      </Tooltip>
      <Tooltip
        title={redo.length > 0 ? `Redo: ${redo.at(-1)!.says} (Ctrl+Shift+Z)` : 'Nothing to redo'}
      >
        <Button
          size="small"
          type="text"
          aria-label="Redo"
          disabled={redo.length === 0}
          icon={<Redo2 size={16} />}
          onClick={() => sync.redo()}
        />
      </Tooltip>
      <Button size="small" onClick={onPreview}>
        Preview
      </Button>
      <Button
        size="small"
        type="primary"
        onClick={() => void navigate(`/sites/${sync.site}/releases`)}
      >
        {changing === undefined
          ? 'Publish'
          : changing === 0
            ? 'All published'
            : `Publish ${changing} ${changing === 1 ? 'page' : 'pages'}`}
      </Button>
    </header>
  );
}
