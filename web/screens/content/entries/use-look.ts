import { useCallback, useMemo } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { inOrder, own, type Query, type TypeDoc } from '@sormet/core/model';
import type { Sorted } from '../../../parts/grid/GridHead';

/** How the entries of a type are looked at: as the address says it, so that it can be sent and gone back to. */
export interface Look {
  readonly find: string;
  readonly where: Query['where'];
  readonly any: boolean;
  readonly sort: Sorted | null;
  /** The view that was kept and is looked at. */
  readonly view: string | null;
}

/** The look of the address: a view that was kept, with what was asked since in its place. */
export function useLook(type: TypeDoc): readonly [Look, (look: Partial<Look>) => void] {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const look = useMemo(() => lookIn(type, search), [type, search]);
  const set = useCallback(
    (next: Partial<Look>) => {
      const now = { ...look, ...next };
      const params = new URLSearchParams();
      // Choosing a view lets go of what was asked before.
      if (next.view !== undefined) {
        if (next.view !== null) params.set('view', next.view);
      } else {
        if (now.view !== null) params.set('view', now.view);
        params.set('find', now.find);
        params.set('where', JSON.stringify(now.where));
        if (now.any) params.set('any', 'yes');
        params.set('sort', now.sort ? `${now.sort.by}${now.sort.down ? '-down' : '-up'}` : '');
        for (const [key, empty] of [
          ['find', ''],
          ['where', '{}'],
          ['sort', ''],
        ] as const)
          if (now.view === null && params.get(key) === empty) params.delete(key);
      }
      void navigate({ search: params.size > 0 ? `?${params.toString()}` : '' }, { replace: true });
    },
    [look, navigate],
  );
  return [look, set];
}

function lookIn(type: TypeDoc, search: URLSearchParams): Look {
  const asked = search.get('view');
  const view = asked === null ? undefined : own(type.views ?? {}, asked);
  const [first] = view ? inOrder(view.sort) : [];
  const usual: Look = {
    find: view?.find ?? '',
    where: view?.where ?? {},
    any: view?.any === true,
    sort: first ? { by: first[1].path[0]!, down: first[1].descending } : null,
    view: view ? asked : null,
  };
  const sort = search.get('sort');
  const found = sort === null ? null : /^(.+)-(up|down)$/.exec(sort);
  return {
    ...usual,
    find: search.get('find') ?? usual.find,
    where: conditionsIn(search.get('where')) ?? usual.where,
    any: search.has('where') ? search.get('any') === 'yes' : usual.any,
    sort: sort === null ? usual.sort : found ? { by: found[1]!, down: found[2] === 'down' } : null,
  };
}

/** Conditions of an address that somebody may have written: what is none is left out. */
function conditionsIn(text: string | null): Query['where'] | undefined {
  if (text === null) return undefined;
  try {
    const read: unknown = JSON.parse(text);
    if (typeof read !== 'object' || read === null) return undefined;
    return Object.fromEntries(
      Object.entries(read as Query['where']).filter(
        ([, condition]) => Array.isArray(condition?.path) && condition.source?.is === 'value',
      ),
    );
  } catch {
    // An address that was cut, or made by hand.
    return undefined;
  }
}
