import { lazy, Suspense, useEffect, useState, type ReactNode } from 'react';
import { emptyLiteral } from '@sormet/core/edit';
import { type NodeId, type Source, type TreeDoc, type TypeSpec } from '@sormet/core/model';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch, useBench } from '../store/store';
import type { MayHoldValues } from '../values/around/AroundValues';

const AroundValues = lazy(() =>
  import('../values/around/AroundValues').then(({ AroundValues: loaded }) => ({ default: loaded })),
);

/** The value of a text: words alone, until a brace puts a value among them. */
export function TextWithValues({
  label,
  doc,
  node,
  without,
  of,
  wanted,
  source,
  gives,
  isLine,
  onGive,
  children,
}: {
  label: string;
  doc: TreeDoc;
  node: NodeId | null;
  without?: string;
  /** Which words these are (`wordsKey`). */
  of: string;
  wanted: TypeSpec;
  /** What is said here now; nothing where that is something else than words. */
  source: Source | undefined;
  gives: ((source: Source) => string) | undefined;
  isLine?: boolean;
  onGive: (source: MayHoldValues, group: string | null) => void;
  /** The editor of words alone, and who is told of a brace in it; nothing where no value may stand among them. */
  children: (onPlace: ((at: number) => void) | undefined) => ReactNode;
}): ReactNode {
  const [begin, setBegin] = useState<number | undefined>(undefined);
  const dispatch = useAppDispatch();
  const { placing } = useBench('placing');
  const isMeant = placing !== null && placing.words === of;
  if (isMeant && begin !== placing.at) setBegin(placing.at);
  useEffect(() => {
    if (isMeant) dispatch(benchActions.placeValue(null));
  }, [isMeant, dispatch]);
  // Whoever takes the last value away types on where they are.
  const [stays, setStays] = useState(false);
  const holdsWords = wanted.kind === 'text' || wanted.kind === 'rich';
  if (!holdsWords) return children(undefined);
  const words =
    wordsIn(source) ?? (begin === undefined && !stays ? undefined : emptyLiteral(wanted));
  if (!words || (words.is === 'value' && begin === undefined && !stays)) return children(setBegin);
  return (
    <Suspense fallback={<span className="cell-words quiet">…</span>}>
      <AroundValues
        label={label}
        doc={doc}
        node={node}
        {...(without === undefined ? {} : { without })}
        wanted={wanted}
        source={words}
        gives={gives}
        {...(isLine === undefined ? {} : { isLine })}
        begin={begin}
        onChange={(next, group) => {
          setStays(true);
          onGive(next, group);
        }}
        onLeave={() => {
          setStays(false);
          setBegin(undefined);
        }}
      />
    </Suspense>
  );
}

function wordsIn(source: Source | undefined): MayHoldValues | undefined {
  if (source?.is === 'words') return source;
  return source?.is === 'value' && (source.type === 'text' || source.type === 'rich')
    ? source
    : undefined;
}
