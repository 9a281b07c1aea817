import { useRef, useState, type ReactNode } from 'react';
import { useLocation, useNavigate, useParams, useSearchParams } from 'react-router';
import { Button } from 'antd';
import { docOf, pathOf } from '@sormet/core/model';
import { widthsOf, type Width } from '@sormet/core/style';
import { useApp, useSite } from '../../store/store';
import { useTold } from '../../frame/use-told';
import { useEntries } from '../../bench/use-entries';
import { useDerived, useSync } from '../../site/SiteProvider';
import { useTitle } from '../../parts/use-title';
import { useSummary } from '../../site/use-summary';
import type { PreviewedFrom } from '../../store/previewed-from';
import { usePreviewKeys } from './use-preview-keys';
import './PreviewScreen.css';
import '../screens.css';

/** A page as visitors will see it, from the origin of the sites, at every width. */
export function PreviewScreen(): ReactNode {
  const { page: pageId = '' } = useParams();
  const [search] = useSearchParams();
  const { documents } = useDerived();
  const sync = useSync();
  const navigate = useNavigate();
  const { pending, revision } = useSite('pending', 'revision');
  const summary = useSummary();
  const keymap = useApp((state) => state.bench.keymap);
  const [width, setWidth] = useState<Width>('base');
  const page = docOf(documents, 'page', pageId);
  const entry = docOf(documents, 'entry', search.get('entry') ?? '');
  const { state: from } = useLocation() as { state: PreviewedFrom | null };
  const back = () =>
    void navigate(
      `/sites/${sync.site}/bench/${pageId}${from?.bench ?? (entry ? `?entry=${entry.id}` : '')}`,
    );
  useTitle(page ? `Preview of ${page.path}` : 'Preview', documents.site.name);
  const frame = useRef<HTMLIFrameElement>(null);
  const widths = widthsOf(documents.site);
  const stepWidth = (by: number) => {
    const next = widths[widths.findIndex(({ id }) => id === width) + by];
    if (next) setWidth(next.id);
  };
  const { onEntry } = useEntries(page);
  /** The page that was pressed in goes away: what is pressed while the other one loads is heard here. */
  const toEntry = (by: 1 | -1) => {
    frame.current?.blur();
    onEntry(by);
  };
  const press = usePreviewKeys(keymap, {
    preview: back,
    narrower: () => stepWidth(1),
    wider: () => stepWidth(-1),
    'entry before': () => toEntry(-1),
    'entry after': () => toEntry(1),
  });
  useTold(frame, () => undefined, press);
  if (!page || !summary)
    return (
      <main className="page-narrow">
        <h1>There is no such page</h1>
        <Button onClick={() => void navigate(`/sites/${sync.site}`)}>To the pages</Button>
      </main>
    );
  const path = pathOf(page, entry);
  const max = widths.find(({ id }) => id === width)?.max ?? Infinity;
  return (
    <div className="frame">
      <header className="bar">
        <span className="bar-brand">Preview</span>
        <code>{path}</code>
        {page.draft ? <span className="quiet">a draft: it is not published</span> : null}
        <div className="bar-widths" role="radiogroup" aria-label="Width">
          {widths.map(({ id, max: each }) => (
            <button
              key={id}
              type="button"
              role="radio"
              aria-checked={id === width}
              onClick={() => setWidth(id)}
            >
              {id === 'base' ? 'full' : each}
            </button>
          ))}
        </div>
        <span className="bar-space" />
        <Button size="small" autoFocus onClick={back}>
          Back to the bench <kbd>p</kbd>
        </Button>
      </header>
      {pending.length > 0 ? (
        <p className="preview-wait" role="status">
          Saving what was just typed …
        </p>
      ) : (
        <iframe
          ref={frame}
          key={revision}
          className="preview-frame"
          title={`Preview of ${path}`}
          src={summary.preview.replace(/\/$/, '') + path}
          style={max === Infinity ? {} : { width: max }}
        />
      )}
    </div>
  );
}
