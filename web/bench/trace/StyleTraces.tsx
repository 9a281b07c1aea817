import { useEffect, useRef, type ReactNode } from 'react';
import { docOf, own, rootOf } from '@sormet/core/model';
import {
  cascade,
  declaredProperties,
  valueText,
  widthsOf,
  type Applied,
  type Origin,
} from '@sormet/core/style';
import { ruleKey } from '../../canvas/rule-key';
import { useDerived } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { longhandsOfRow } from '../../ledger/style/rows';
import { useRuleWords } from '../../ledger/style/rule-words';
import { stateWord } from '../../ledger/style/states';
import type { Selected } from '../../ledger/use-selected';

/**
 * Everything that is declared of what is selected, by property: the winner first, then what loses to it, each leading to
 * the rule that says it. Of one property where it was asked for in its row, of all otherwise.
 */
export function StyleTraces({ page, selected }: { page: string; selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const { traced, width, state } = useApp(({ bench }) => bench);
  const list = useRef<HTMLDListElement>(null);
  useEffect(() => {
    list.current?.querySelector('.traced')?.scrollIntoView({ block: 'nearest' });
  }, [traced, selected.id]);
  const declared = declaredProperties(selected.rules);
  const wanted = traced === null ? declared : longhandsOfRow(traced);
  const rows = wanted.flatMap((property) => {
    const all = cascade(selected.rules, property, width, documents.site, state ? [state] : []);
    return all.length > 0 ? [{ property, all }] : [];
  });
  const max = widthsOf(documents.site).find(({ id }) => id === width)?.max;
  if (rows.length === 0)
    return (
      <p className="ledger-empty">
        Nothing is declared{traced === null ? '' : ` for ${traced}`} here, at this width
        {state ? ` and in ${stateWord(state)}` : ''}: browsers say what shows.
      </p>
    );
  return (
    <>
      <p className="trace-where quiet">
        {max === undefined || max === Infinity ? 'At the base' : `At ${max} px and below`},{' '}
        {stateWord(state)}: the winner first.
      </p>
      <dl ref={list}>
        {rows.map(({ property, all }) => (
          <div key={property} className={traced === property ? 'traced' : undefined}>
            <dt>
              <code>{property}</code>
            </dt>
            <dd>
              <ol>
                {all.map((applied, i) => (
                  <li key={i} className={i === 0 ? 'is-winner' : 'is-loser'}>
                    <Declaration page={page} applied={applied} selected={selected} />
                  </li>
                ))}
              </ol>
            </dd>
          </div>
        ))}
      </dl>
    </>
  );
}

function Declaration({
  page,
  applied: { declared, origin, width, state },
  selected,
}: {
  page: string;
  applied: Applied;
  selected: Selected;
}): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const words = useRuleWords(selected);
  const max = own(documents.site.widths, width)?.max;
  const where = [max === undefined ? '' : `${max} px and below`, state ? stateWord(state) : ''];
  const light = (to: Origin) => {
    if ('doc' in to && to.doc !== page && docOf(documents, 'component', to.doc)) {
      const component = docOf(documents, 'component', to.doc)!;
      dispatch(benchActions.openBeside(to.doc));
      if (to.is === 'node' && to.node !== rootOf(component.nodes))
        dispatch(benchActions.select({ doc: to.doc, nodes: [to.node] }));
    }
    dispatch(benchActions.light(ruleKey(to)));
  };
  return (
    <>
      <code>{valueText(declared, documents.tokens.tokens)}</code>{' '}
      <button type="button" className="as-link" onClick={() => light(origin)}>
        {words.word(origin)}
      </button>
      {where.some(Boolean) ? (
        <span className="quiet"> {where.filter(Boolean).join(', ')}</span>
      ) : null}
    </>
  );
}
