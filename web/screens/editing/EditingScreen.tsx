import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { Select } from 'antd';
import {
  allOf,
  docOf,
  entryTitle,
  inOrder,
  pathOf,
  rootOf,
  type PageDoc,
} from '@sormet/core/model';
import { Connection } from '../../bench/Connection';
import { usePaneWidth } from '../../canvas/use-pane-width';
import { HandbookButton } from '../../parts/handbook/HandbookButton';
import { useTitle } from '../../parts/use-title';
import { useDerived, useSync } from '../../site/SiteProvider';
import { Steps, useStepKeys } from '../../site/Steps';
import { useApp } from '../../store/store';
import { EditedEntry } from './EditedEntry';
import { EditedSection } from './EditedSection';
import { FilledSlot } from './FilledSlot';
import { NamedPicture } from './NamedPicture';
import { sectionsOf } from './sections';
import './EditingScreen.css';
import '../screens.css';

/**
 * Filling a site that others designed: of a page only values, slots and entries are set. What can be changed is outlined and
 * named; everything else is as quiet as a picture.
 */
export function EditingScreen(): ReactNode {
  const { page: asked = '' } = useParams();
  const { documents } = useDerived();
  const sync = useSync();
  useStepKeys();
  useTitle('Editing', documents.site.name);
  const refusal = useApp((state) => state.site.refusal);
  // From here on nothing is done that editors may not, nor sent without saying so.
  useEffect(() => {
    sync.asEditor(true);
    return () => sync.asEditor(false);
  }, [sync]);
  const pages = allOf(documents, 'page').toSorted((a, b) => (a.path < b.path ? -1 : 1));
  const page = docOf(documents, 'page', asked) ?? pages[0];
  return (
    <div className="frame editing">
      <header className="bar">
        <Link to="/" className="bar-brand">
          Sormet
        </Link>
        <span className="bar-site">{documents.site.name}</span>
        {page ? <Which pages={pages} page={page} /> : null}
        <span className="bar-space" />
        <Connection />
        <Steps />
        <HandbookButton at="looking-and-publishing#editing" />
        {page ? <ToPreview page={page} /> : null}
        <Link to={`/sites/${sync.site}`}>To the design</Link>
      </header>
      {refusal ? (
        <div className="sentence edge-wrong" role="alert">
          Not done: {refusal.says}
        </div>
      ) : null}
      {page ? (
        <Filling key={page.id} page={page} />
      ) : (
        <p className="first-steps">There is no page yet.</p>
      )}
    </div>
  );
}

/** Which page is filled, and for which entry. */
function Which({ pages, page }: { pages: readonly PageDoc[]; page: PageDoc }): ReactNode {
  const { documents } = useDerived();
  const { site } = useSync();
  const navigate = useNavigate();
  const { entries, entry } = useEntryOf(page);
  const go = (to: string, of?: string) =>
    void navigate(`/sites/${site}/edit/${to}${of === undefined ? '' : `?entry=${of}`}`);
  return (
    <>
      <Select
        size="small"
        aria-label="Page"
        className="editing-page"
        value={page.id}
        options={pages.map(({ id, name, path }) => ({ value: id, label: `${name}  ${path}` }))}
        onChange={(id) => go(id)}
      />
      {page.entries === null ? null : (
        <Select
          size="small"
          aria-label="Entry"
          className="editing-page"
          showSearch={{ optionFilterProp: 'label' }}
          value={entry?.id}
          placeholder="there is no entry yet"
          options={entries.map((each) => ({ value: each.id, label: entryTitle(documents, each) }))}
          onChange={(id) => go(page.id, id)}
        />
      )}
    </>
  );
}

/** The entries of a page that is made from entries, drafts too, and the one that the address names. */
function useEntryOf(page: PageDoc) {
  const { documents, withDrafts } = useDerived();
  const [search] = useSearchParams();
  const entries = page.entries === null ? [] : withDrafts().entriesOf(page.entries);
  const named = docOf(documents, 'entry', search.get('entry') ?? '');
  return { entries, entry: named?.type === page.entries ? named : entries[0] };
}

function ToPreview({ page }: { page: PageDoc }): ReactNode {
  const { site } = useSync();
  const { entry } = useEntryOf(page);
  const of = entry ? `?entry=${entry.id}` : '';
  return (
    <>
      <span className="quiet">{pathOf(page, entry)}</span>
      <Link to={`/sites/${site}/preview/${page.id}${of}`}>Preview</Link>
    </>
  );
}

/** A page as a picture with what can be filled on it, and what of that is chosen as a form beside. */
function Filling({ page }: { page: PageDoc }): ReactNode {
  const { documents, builtOf } = useDerived();
  const { entry } = useEntryOf(page);
  const [chosen, choose] = useState<string | null>(null);
  const place = useRef<HTMLDivElement>(null);
  const room = usePaneWidth(place);
  const built = builtOf(page.id, entry);
  const sections = useMemo(() => sectionsOf(documents, page), [documents, page]);
  const root = page.nodes[rootOf(page.nodes)];
  const around = root?.kind === 'instance' && docOf(documents, 'component', root.component);
  const slots = around ? inOrder(around.slots) : [];
  const section = sections.find(({ id }) => id === chosen);
  return (
    <main className="editing-room">
      <div ref={place} className="editing-picture">
        {built && room > 0 ? (
          <NamedPicture
            built={built}
            width={room}
            sections={sections.filter(({ node }) => node !== root)}
            chosen={section?.id ?? null}
            onChoose={choose}
          />
        ) : null}
      </div>
      <div className="editing-form">
        {section ? (
          <EditedSection key={section.id} page={page} section={section} onChoose={choose} />
        ) : (
          <>
            {entry ? <EditedEntry entry={entry} /> : null}
            <h2>{page.name}</h2>
            <p className="quiet">
              {sections.length === 0
                ? 'Nothing on this page is filled by hand.'
                : 'Press what is outlined on the page, or its name, to fill it.'}
            </p>
            {slots.map(([slot, made]) => (
              <FilledSlot
                key={slot}
                page={page}
                node={rootOf(page.nodes)}
                slot={slot}
                made={made}
                onChoose={choose}
              />
            ))}
          </>
        )}
      </div>
    </main>
  );
}
