import { useEffect, useMemo, useRef, useState } from 'react';
import { docOf, type AssetDoc, type Documents, type TypeDoc } from '@sormet/core/model';
import {
  planTaking,
  proposeColumns,
  waysOf,
  WRITTEN,
  type Asked,
  type Mapped,
  type Plan,
  type Table,
  type Ways,
} from '@sormet/core/format';
import { api } from '../../../site/api';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { assetOf } from '../../../values/use-pictures';
import { tableOfFile, waysOfFile, type Brought, type FileWays } from './read-file';

/** What somebody said of how a file is taken in; what is left out is as it was proposed. */
export interface Said {
  readonly file?: FileWays;
  readonly ways?: Ways;
  readonly into?: Asked['into'];
  readonly columns?: readonly Mapped[];
  readonly matchBy?: Asked['matchBy'];
  readonly makesMissing?: boolean;
  readonly drafts?: boolean;
  readonly left?: ReadonlySet<number>;
  readonly mended?: Asked['mended'];
}

/** A file on its way in. */
export interface TakingState {
  readonly file: FileWays;
  readonly table: Table;
  readonly asked: Asked;
  /** What it comes to; nothing while that is worked out. */
  readonly plan: Plan | undefined;
  /** How many rows are worked out. */
  readonly done: number;
  /** How many of the pictures have come in, and why some have not. */
  readonly pictures: { readonly came: number; readonly wrong: readonly string[] };
  readonly say: (said: Said) => void;
}

/** How long rows are worked out before the window is let go on, in ms. */
const SLICE = 20;

/** Reads a file, proposes how it is taken in, and works out what that comes to, a part at a time. */
export function useTaking(brought: Brought, type: TypeDoc | undefined): TakingState {
  const { documents } = useDerived();
  const [said, setSaid] = useState<Said>({});
  const [assets, pictures] = useUploaded(brought);
  const file = useMemo(() => said.file ?? waysOfFile(brought), [brought, said.file]);
  const table = useMemo(() => tableOfFile(brought, file), [brought, file]);
  const into = said.into ?? type ?? UNNAMED;
  const existing = 'id' in into ? (into as TypeDoc) : undefined;
  const ways = useMemo(
    () => said.ways ?? (file.csv ? waysOf(documents, table) : WRITTEN),
    [said.ways, file, documents, table],
  );
  const columns = useMemo(
    () => said.columns ?? proposeColumns(documents, table, existing, ways),
    // What is proposed stays while the site goes on: else what somebody looks at would change under them.
    // oxlint-disable-next-line react/exhaustive-deps
    [said.columns, table, existing?.id, ways],
  );
  const matchBy =
    said.matchBy !== undefined ? said.matchBy : existing ? proposedMatch(existing, columns) : null;
  const asked = useMemo<Asked>(
    () => ({
      // As it is now: somebody else may have changed it while this is open.
      into: ('id' in into && docOf(documents, 'type', (into as TypeDoc).id)) || into,
      columns,
      ways,
      matchBy,
      makesMissing: said.makesMissing ?? false,
      drafts: said.drafts ?? true,
      left: said.left ?? NOBODY,
      mended: said.mended ?? NOTHING,
      assets,
    }),
    [documents, into, columns, ways, matchBy, said, assets],
  );
  const [plan, done] = usePlan(documents, table, asked);
  return {
    file,
    table,
    asked,
    plan,
    done,
    pictures,
    say: (next) =>
      setSaid(
        (before) =>
          ({
            ...before,
            ...next,
            // Read otherwise, its columns are others, and what was said of its lines means nothing.
            ...(next.file
              ? { columns: undefined, ways: undefined, left: undefined, mended: undefined }
              : {}),
            ...(next.into && !sameInto(next.into, before.into ?? type)
              ? { columns: undefined, matchBy: undefined }
              : {}),
          }) as Said,
      ),
  };
}

const UNNAMED = { name: 'Entry', plural: 'Entries' };
const NOBODY: ReadonlySet<number> = new Set();
const NOTHING: Asked['mended'] = new Map();

function sameInto(a: Asked['into'], b: Asked['into'] | undefined): boolean {
  return b !== undefined && ('id' in a ? 'id' in b && a.id === b.id : !('id' in b));
}

/** By what entries are found that are there: their slug where the file says it, else a field of one alone. */
function proposedMatch(type: TypeDoc, columns: readonly Mapped[]): Asked['matchBy'] {
  if (columns.some(({ to }) => to === 'slug')) return 'slug';
  const unique = columns.find(
    (column) => column.to === 'field' && type.fields[column.field]?.unique,
  );
  return unique?.to === 'field' ? unique.field : null;
}

/** Works out what taking in comes to, in slices, so that the window goes on. */
function usePlan(documents: Documents, table: Table, asked: Asked): [Plan | undefined, number] {
  const [result, setResult] = useState<{ asked: Asked; plan?: Plan; done: number }>({
    asked,
    done: 0,
  });
  useEffect(() => {
    let going = true;
    const steps = planTaking(documents, table, asked);
    const slice = () => {
      const until = performance.now() + SLICE;
      for (;;) {
        if (!going) return;
        const step = steps.next();
        if (step.done) return setResult({ asked, plan: step.value, done: table.rows.length });
        if (performance.now() < until) continue;
        setResult({ asked, done: step.value });
        setTimeout(slice);
        return;
      }
    };
    const timer = setTimeout(slice);
    return () => {
      going = false;
      clearTimeout(timer);
    };
  }, [documents, table, asked]);
  return [result.asked === asked ? result.plan : undefined, result.done];
}

/** The pictures of an archive as files of the site: stored at once, theirs only when what is taken in is accepted. */
function useUploaded(brought: Brought): [readonly AssetDoc[], TakingState['pictures']] {
  const { site } = useSync();
  const [came, setCame] = useState<readonly AssetDoc[]>([]);
  const [wrong, setWrong] = useState<readonly string[]>([]);
  const begun = useRef<Brought>(undefined);
  useEffect(() => {
    if (begun.current === brought) return;
    begun.current = brought;
    void (async () => {
      const all: AssetDoc[] = [];
      for (const file of brought.pictures)
        try {
          all.push({ ...assetOf(await api.upload(site, file)), name: file.name });
          setCame([...all]);
        } catch (error) {
          setWrong((before) => [...before, `${file.name}: ${(error as Error).message}`]);
        }
    })();
  }, [brought, site]);
  return [came, { came: came.length, wrong }];
}
