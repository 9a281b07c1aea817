import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { Alert, Button, Skeleton } from 'antd';
import { X } from 'lucide-react';
import { type ComponentDoc, type Doc, type EntryDoc, type PageDoc } from '@sormet/core/model';
import { build, Linker } from '@sormet/core/resolve';
import { dataOf } from '@sormet/core/value';
import { BASE_WIDTH } from '../../canvas/Canvas';
import { Picture } from '../../canvas/Picture';
import { usePaneWidth } from '../../canvas/use-pane-width';
import { api } from '../../site/api';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions, type Earlier } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { IconButton } from '../../parts/IconButton';
import { momentWords } from '../../words';

/** What is open as it was after an earlier revision, with all else as it is now: what bringing it back would make of it. */
export function EarlierPane({
  earlier: { doc, revision, at },
  entry,
}: {
  earlier: Earlier;
  entry: EntryDoc | undefined;
}): ReactNode {
  const sync = useSync();
  const dispatch = useAppDispatch();
  const [found, setFound] = useState<Doc | null | undefined>(undefined);
  const [error, setError] = useState('');
  useEffect(() => {
    let gone = false;
    api.documentAfter(sync.site, revision, doc).then(
      (document) => {
        if (!gone) setFound(document);
      },
      (problem: Error) => {
        if (!gone) setError(problem.message);
      },
    );
    return () => {
      gone = true;
    };
  }, [sync, revision, doc]);
  const was = found?.kind === 'page' || found?.kind === 'component' ? found : undefined;
  const close = () => dispatch(benchActions.lookBack(null));
  return (
    <div className="pane pane-earlier" aria-label="As it was" role="region">
      <div className="pane-head">
        <span>As it was after {revision}</span>
        <span className="quiet">{momentWords(at)}</span>
        <Button
          size="small"
          disabled={!was}
          onClick={() => {
            if (was && sync.edit({ name: 'bringBack', args: { was, revision } })) close();
          }}
        >
          Bring it back
        </Button>
        <IconButton icon={X} name="Close what was" title="Close what was" onPress={close} />
      </div>
      {error ? (
        <Alert type="warning" title={error} />
      ) : found === undefined ? (
        <Skeleton active />
      ) : !was ? (
        <p className="ledger-empty">It was not there yet.</p>
      ) : (
        <Drawn was={was} entry={entry} />
      )}
    </div>
  );
}

function Drawn({
  was,
  entry,
}: {
  was: PageDoc | ComponentDoc;
  entry: EntryDoc | undefined;
}): ReactNode {
  const { documents } = useDerived();
  const pane = useRef<HTMLDivElement>(null);
  const width = usePaneWidth(pane);
  const shown = useMemo(() => {
    const then = documents.with(was);
    return { then, built: build(new Linker().link(then, was.id), dataOf(then), entry) };
  }, [documents, was, entry]);
  return (
    <div ref={pane} className="earlier-drawn">
      {width > 0 ? (
        <Picture
          documents={shown.then}
          built={shown.built}
          drawn={BASE_WIDTH}
          width={width}
          height={Number.MAX_SAFE_INTEGER}
        />
      ) : null}
    </div>
  );
}
