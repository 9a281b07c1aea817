import { useDeferredValue, useMemo, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { Button, Select } from 'antd';
import { allOf, entryTitle, type Documents, type EntryDoc, type TreeDoc } from '@sormet/core/model';
import { HandbookButton } from '../parts/handbook/HandbookButton';
import { useLatest } from '../parts/use-latest';
import { useApp } from '../store/store';
import { useDerived, useSync } from '../site/SiteProvider';
import { WidthChoice } from '../canvas/WidthChoice';
import { Steps } from '../site/Steps';
import { useStable } from '../parts/use-stable';
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
  const changing = useApp((state) => state.site.plan?.pages.length);
  const site = documents.site;
  const at = entry ? entries.indexOf(entry) : -1;
  const shown = useDeferredValue(documents);
  const places = useStable(useMemo(() => placesIn(shown), [shown]));
  const base = `/sites/${sync.site}`;
  // What costs to draw is drawn again only when it shows something else: a key that is typed changes none of it.
  const home = useMemo(
    () => (
      <>
        <Link to="/" className="bar-brand">
          Sormet
        </Link>
        <Link to={base} className="bar-site">
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
          onChange={(id: string) => void navigate(`${base}/bench/${id}`)}
        />
      </>
    ),
    [base, site.name, doc.id, places, navigate],
  );
  const preview = useLatest(onPreview);
  const ends = useMemo(
    () => (
      <>
        <Button size="small" onClick={() => preview.current()}>
          Preview
        </Button>
        <Button size="small" type="primary" onClick={() => void navigate(`${base}/releases`)}>
          {changing === undefined
            ? 'Publish'
            : changing === 0
              ? 'All published'
              : `Publish ${changing} ${changing === 1 ? 'page' : 'pages'}`}
        </Button>
      </>
    ),
    [changing, base, navigate, preview],
  );
  return (
    <header className="bar">
      {home}
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
      <WidthChoice />
      <span className="bar-space" />
      <Connection />
      <Steps />
      <HandbookButton at="the-bench" />
      {ends}
    </header>
  );
}

/** Everything that can be opened at the bench, to choose from. */
function placesIn(documents: Documents) {
  return [
    {
      label: 'Pages',
      options: allOf(documents, 'page')
        .toSorted((a, b) => (a.path < b.path ? -1 : 1))
        .map((page) => ({
          value: page.id,
          label: page.path + (page.draft ? ' (draft)' : ''),
        })),
    },
    {
      label: 'Definitions',
      options: allOf(documents, 'component')
        .toSorted((a, b) => (a.name < b.name ? -1 : 1))
        .map(({ id, name }) => ({ value: id, label: name })),
    },
  ];
}
