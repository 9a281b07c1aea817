import { lazy, Suspense, useState, type ReactNode } from 'react';
import { SquareFunction, Unlink } from 'lucide-react';
import { shownWith } from '@sormet/core/expression';
import { furtherName, namesAt } from '@sormet/core/edit';
import type { NodeId, Source, TreeDoc, TypeSpec } from '@sormet/core/model';
import { IconButton } from '../parts/IconButton';
import { useDerived } from '../site/SiteProvider';

const WorkOut = lazy(() =>
  import('../values/working-out/WorkOut').then(({ WorkOut: loaded }) => ({ default: loaded })),
);

/** That a value is worked out, and from what; where it is not, the way to it. */
export function WorkedOut({
  label,
  doc,
  node,
  without,
  wanted,
  source,
  gives,
  isShort = false,
  onGive,
  onRelease,
}: {
  label: string;
  doc: TreeDoc;
  node: NodeId | null;
  without?: string;
  wanted: TypeSpec;
  source: Source | undefined;
  gives: ((source: Source) => string) | undefined;
  /** Whether there is room for a sign alone: what it is worked out from is told where one points at it. */
  isShort?: boolean;
  onGive: (source: Source) => void;
  /** Lets it be what it was without. */
  onRelease: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const [isOpen, setOpen] = useState(false);
  const typed =
    source?.is === 'expression'
      ? shownWith(source, namesAt(documents, doc, node, wanted), furtherName).typed
      : undefined;
  return (
    <>
      {typed === undefined ? (
        <IconButton
          icon={SquareFunction}
          name={`${label}: work it out`}
          title="Work it out from other values"
          onPress={() => setOpen(true)}
        />
      ) : isShort ? (
        <button
          type="button"
          className="icon-button is-worked-out"
          aria-label={`${label}, worked out: ${typed}`}
          title={`Worked out: ${typed}`}
          onClick={() => setOpen(true)}
        >
          <SquareFunction size={13} aria-hidden />
        </button>
      ) : (
        <span className="worked-out">
          <button
            type="button"
            className="as-link"
            aria-label={`${label}, worked out: ${typed}`}
            title={`Worked out: ${typed}`}
            onClick={() => setOpen(true)}
          >
            = {typed}
          </button>
          <IconButton
            icon={Unlink}
            name={`${label}: no longer worked out`}
            title="No longer worked out"
            onPress={onRelease}
          />
        </span>
      )}
      {isOpen ? (
        <Suspense fallback={null}>
          <WorkOut
            label={label}
            documents={documents}
            doc={doc}
            node={node}
            {...(without === undefined ? {} : { without })}
            wanted={wanted}
            source={source}
            gives={gives}
            onDone={onGive}
            onRelease={typed === undefined ? undefined : onRelease}
            onClose={() => setOpen(false)}
          />
        </Suspense>
      ) : null}
    </>
  );
}
