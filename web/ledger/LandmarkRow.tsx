import { useMemo, type ReactNode } from 'react';
import { landmarkFindings } from '@sormet/core/check';
import { allOf, type PageDoc } from '@sormet/core/model';
import { ownerIn } from '../canvas/address';
import { useDerived } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { inWords } from '../words';
import { GroupCell } from './GroupCell';

/** What of a page's landmarks is missing or doubled, each leading to what is concerned. */
export function LandmarkRow({ page }: { page: PageDoc }): ReactNode {
  const { documents, builtOf } = useDerived();
  const dispatch = useAppDispatch();
  const entry =
    page.entries === null
      ? undefined
      : allOf(documents, 'entry').find(({ type }) => type === page.entries);
  const built = builtOf(page.id, entry);
  const findings = useMemo(() => landmarkFindings(built?.root), [built]);
  return (
    <tbody>
      <tr>
        <GroupCell label="Landmarks" rows={1} />
        <th scope="row">of the page</th>
        <td className="cell" colSpan={2}>
          {findings.length === 0
            ? 'skip link, header, nav, main, footer: each is there once'
            : findings.map(({ says, element }, i) => {
                const node = element && ownerIn(element, page.id);
                return (
                  <span key={inWords(says)} className="landmark">
                    {i > 0 ? '; ' : ''}
                    {node === undefined ? (
                      inWords(says)
                    ) : (
                      <button
                        type="button"
                        className="as-link"
                        onClick={() =>
                          dispatch(benchActions.select({ doc: page.id, nodes: [node] }))
                        }
                      >
                        {inWords(says)}
                      </button>
                    )}
                  </span>
                );
              })}
        </td>
      </tr>
    </tbody>
  );
}
