import { useMemo, useState, type ReactNode } from 'react';
import { boxOf, type Box } from '@sormet/core/check';
import { freeName, modifiersWorn, styleName } from '@sormet/core/edit';
import { allOf, newId, orderAfterAll } from '@sormet/core/model';
import {
  declaredProperties,
  declaredStates,
  widthsOf,
  type Origin,
  type Width,
} from '@sormet/core/style';
import { HeadedTable } from '../../parts/HeadedTable';
import { ruleKey } from '../../canvas/rule-key';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch, useBench } from '../../store/store';
import { toldWords } from '../../words';
import type { Selected } from '../use-selected';
import { AddDeclaration } from './AddDeclaration';
import { Chain, kindOfRule } from './Chain';
import { DeclareLine } from './DeclareLine';
import { litRule } from './lit-rule';
import { Offers } from './Offers';
import { PutOn } from './PutOn';
import { KNOWN, ROWS } from './rows';
import { useRuleWords } from './rule-words';
import { States } from './States';
import { StyleGroup } from './StyleGroup';
import { ThemeChoice } from './ThemeChoice';
import './StyleLedger.css';

/** The style of what is selected: a row for each declaration, a column for each width, the chain of rules above. */
export function StyleLedger({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const { lit, width: current, state: held } = useBench('lit', 'width', 'state');
  const site = documents.site;
  const widths = widthsOf(site);
  const words = useRuleWords(selected);
  const rule = litRule(selected, lit);
  const state = held ?? undefined;
  const [added, setAdded] = useState<readonly string[]>([]);
  const { built, element } = selected;
  const boxes = useMemo(() => {
    const there = new Map<Width, Box>();
    for (const { id } of widthsOf(documents.site)) {
      const box = built && element && boxOf(documents, built, element, id, held ?? undefined);
      if (box) there.set(id, box);
    }
    return there;
  }, [documents, built, element, held]);
  if (!rule)
    return (
      <p className="ledger-empty">
        What is selected has no style of its own. Select an element or an instance that is shown.
      </p>
    );
  // What stands on the specimen alone is put on nothing.
  const isStored = documents.get(selected.doc.id) !== undefined;
  // Of what is looked at inside an instance only declarations are said from there.
  const isOwn = isStored && selected.address === undefined;
  // What holds for every element speaks of states alone: at rest it would only take room.
  const shown = selected.rules.filter(
    (each) => each.level.of !== 'everything' || state !== undefined || each === rule,
  );
  const kindOf = (origin: Origin) => kindOfRule(origin, selected);
  const onLight = (key: string) => dispatch(benchActions.light(key));
  const others = [...declaredProperties(selected.rules, state ? [state] : []), ...added].filter(
    (property) =>
      !KNOWN.has(property) && !ROWS.some(({ properties }) => properties.includes(property)),
  );
  const more = { group: 'More', properties: [...new Set(others)] };
  const columns = [ROWS.slice(0, 2), [...ROWS.slice(2), ...(others.length > 0 ? [more] : [])]];
  const branch = (from: string) => {
    const own = newId();
    const styles = allOf(documents, 'style');
    const { doc, id } = selected;
    const made = sync.edit({
      name: 'addStyle',
      args: {
        style: own,
        name: freeName(
          `${toldWords(styleName(documents, from))}, own`,
          styles.map(({ name }) => name),
        ),
        order: orderAfterAll(styles),
        base: from,
        block: {},
        from: { doc: doc.id, node: id },
      },
    });
    if (made) onLight(ruleKey({ is: 'shared', doc: own, on: { doc: doc.id, node: id } }));
  };
  return (
    <Offers>
      <div className="ledger-actions style-line">
        <span className="quiet">writing to</span>
        <Chain
          rules={shown}
          lit={rule.origin}
          words={words}
          kindOf={kindOf}
          onLight={onLight}
          canTakeOff={(origin) =>
            isOwn &&
            origin.is === 'shared' &&
            origin.on.doc === selected.doc.id &&
            origin.on.node === selected.id
          }
          onTakeOff={(style) => {
            const { doc, all } = selected;
            const gone = modifiersWorn(documents, doc.id, all, style);
            const args = { doc: doc.id, nodes: [...all], style, on: false };
            if (!sync.edit({ name: 'wear', args }) || gone.length === 0) return;
            const names = gone.map((each) => toldWords(styleName(documents, each))).join(', ');
            dispatch(
              benchActions.notice(
                `${names} went with ${toldWords(styleName(documents, style))}, which ${gone.length === 1 ? 'it modifies' : 'they modify'}.`,
              ),
            );
          }}
          onBranch={branch}
        />
        {isOwn ? <PutOn selected={selected} /> : null}
        <States tag={selected.element?.tag ?? ''} declared={declaredStates(selected.rules)} />
        <DeclareLine selected={selected} rule={rule} width={current} state={state} words={words} />
      </div>
      <div className="style-columns" data-lit={kindOf(rule.origin)}>
        {columns.map((groups, i) => (
          <HeadedTable
            key={i}
            label={`Style, part ${i + 1}`}
            className="ledger-table style-ledger"
            heads={[
              { unseen: 'Group' },
              'Declaration',
              ...widths.map(({ id, max }) => ({
                name: id === 'base' ? 'Base' : max,
                width: id === current ? 'width current' : 'width',
                title: id === 'base' ? undefined : `${max} px and below`,
              })),
            ]}
          >
            {groups.map(({ group, properties }) => (
              <StyleGroup
                key={group}
                group={group}
                properties={properties}
                selected={selected}
                rule={rule}
                widths={widths.map(({ id }) => id)}
                state={state}
                boxes={boxes}
                words={words}
                onLight={onLight}
              />
            ))}
            {i === columns.length - 1 ? (
              <tbody>
                <tr>
                  <td colSpan={widths.length + 2}>
                    <span className="style-cell">
                      <AddDeclaration onAdd={(property) => setAdded([...added, property])} />
                      {isOwn ? <ThemeChoice selected={selected} /> : null}
                    </span>
                  </td>
                </tr>
              </tbody>
            ) : null}
          </HeadedTable>
        ))}
      </div>
    </Offers>
  );
}
