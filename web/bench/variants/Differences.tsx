import { useRef, useState, type ReactNode } from 'react';
import { Popover } from 'antd';
import { newId, orderAfterAll, own, type ComponentDoc, type Documents } from '@sormet/core/model';
import {
  differencesByNode,
  differencesOf,
  nodeName,
  saysTheSame,
  sayingOf,
  type Difference,
  type NamedEdit,
} from '@sormet/core/edit';
import type { Picks } from '@sormet/core/resolve';
import { picksWords, ruleOf, type Picked } from '../../ledger/style/picked';
import { useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { count } from '../../words';
import { axesOfDefinition } from './axes-of';
import { differenceWords } from './difference-words';

type HandedTo = 'nobody' | 'base' | { readonly rule: string };

/**
 * What the variant that is lit says otherwise than the base: each leads to where it is said, goes back to the base, or is
 * handed to the base or to another option. What says no more than what it stands on is told.
 */
export function Differences({
  documents,
  definition,
  picked,
}: {
  documents: Documents;
  definition: ComponentDoc;
  picked: Picked;
}): ReactNode {
  const sync = useSync();
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState(false);
  const opens = useRef<HTMLButtonElement>(null);
  const list = useRef<HTMLDivElement>(null);
  const { rule } = picked;
  const differences = differencesOf(definition, rule);
  const isRule = own(definition.rules, rule) !== undefined;
  if (!isRule || differences.length === 0)
    return (
      <span className="quiet">
        {Object.keys(picked.axes).length > 1
          ? 'as it comes out: no rule for these together'
          : 'as the base in everything'}
      </span>
    );
  const same = saysTheSame(documents, definition, rule);
  const isSame = (each: Difference) =>
    same.some((other) => JSON.stringify(other) === JSON.stringify(each));
  const hand = (handed: readonly Difference[], to: HandedTo, first: readonly NamedEdit[] = []) => {
    sync.attemptAll([
      ...first,
      ...differencesByNode(handed).map(([node, all]): NamedEdit => ({
        name: 'handDifferences',
        args: { component: definition.id, rule, node, sayings: all.map(sayingOf), to },
      })),
    ]);
  };
  const toOption = (handed: readonly Difference[], axes: Picks) => {
    const there = ruleOf(definition, axes);
    if (there !== undefined) return hand(handed, { rule: there });
    const made = newId();
    const order = orderAfterAll(Object.values(definition.rules));
    hand(handed, { rule: made }, [
      { name: 'addRule', args: { component: definition.id, rule: made, order, axes: { ...axes } } },
    ]);
  };
  const others = variantsBeside(definition, picked.axes);
  const nodes = differencesByNode(differences);
  return (
    <Popover
      open={open}
      trigger="click"
      placement="bottomLeft"
      destroyOnHidden
      onOpenChange={setOpen}
      afterOpenChange={(isOpen) => {
        if (isOpen) list.current?.querySelector('button')?.focus({ preventScroll: true });
      }}
      content={
        <div
          className="differences"
          role="group"
          aria-label="What differs from the base"
          ref={list}
          onKeyDown={(event) => {
            if (event.key !== 'Escape') return;
            event.stopPropagation();
            setOpen(false);
            opens.current?.focus();
          }}
        >
          {same.length > 0 ? (
            <p className="differences-same">
              {same.length === differences.length ? 'All' : count(same.length, 'difference')} of
              this {same.length === 1 ? 'says' : 'say'} what holds without it.{' '}
              <button type="button" className="as-link" onClick={() => hand(same, 'nobody')}>
                drop what says the same
              </button>
            </p>
          ) : null}
          <ul>
            {nodes.map(([node, all]) => (
              <li key={node} className="differences-of">
                {all.length > 1 ? (
                  <span className="differences-line">
                    <b>{nodeName(documents, definition.nodes[node]!, definition)}</b>
                    <button type="button" className="as-link" onClick={() => hand(all, 'nobody')}>
                      all {all.length} back to the base
                    </button>
                  </span>
                ) : null}
                {all.map((each) => {
                  const words = differenceWords(documents, definition, each);
                  return (
                    <span key={words} className="differences-line">
                      <button
                        type="button"
                        className="as-link"
                        onClick={() => {
                          dispatch(benchActions.select({ doc: definition.id, nodes: [each.node] }));
                          const isStyle = each.of === 'style' || each.of === 'shared';
                          dispatch(benchActions.setTab(isStyle ? 'style' : 'values'));
                          setOpen(false);
                        }}
                      >
                        {words}
                      </button>
                      {isSame(each) ? <span className="quiet">as the base</span> : null}
                      <span className="differences-acts">
                        <button
                          type="button"
                          className="as-link"
                          aria-label={`back to the base: ${words}`}
                          onClick={() => hand([each], 'nobody')}
                        >
                          back to the base
                        </button>
                        <button
                          type="button"
                          className="as-link"
                          aria-label={`to the base: ${words}`}
                          title="The base says it then, and every variant that says nothing of it follows."
                          onClick={() => hand([each], 'base')}
                        >
                          to the base
                        </button>
                        {others.length > 0 ? (
                          <select
                            aria-label={`to another variant: ${words}`}
                            value=""
                            onChange={({ target }) => {
                              const other = others[Number(target.value)];
                              if (other) toOption([each], other);
                            }}
                          >
                            <option value="" disabled>
                              to …
                            </option>
                            {others.map((axes, i) => (
                              <option key={i} value={i}>
                                {picksWords(definition, axes)}
                              </option>
                            ))}
                          </select>
                        ) : null}
                      </span>
                    </span>
                  );
                })}
              </li>
            ))}
          </ul>
          <button
            type="button"
            className="plain-button"
            onClick={() => {
              if (sync.edit({ name: 'removeRule', args: { component: definition.id, rule } }))
                setOpen(false);
            }}
          >
            all of it back to the base
          </button>
        </div>
      }
    >
      <button
        ref={opens}
        type="button"
        className="as-link"
        aria-haspopup="dialog"
        aria-expanded={open}
      >
        {count(differences.length, 'difference')} from the base
        {same.length > 0 ? `, ${same.length} as it` : ''}
      </button>
    </Popover>
  );
}

/** The variants that a difference can be handed to: each option of each axis, and the combinations that have a rule. */
function variantsBeside(definition: ComponentDoc, lit: Picks): Picks[] {
  const single = axesOfDefinition(definition).flatMap(({ id, options, base }) =>
    options.flatMap((option) => (option.id === base ? [] : [{ [id]: option.id }])),
  );
  const combined = Object.values(definition.rules).flatMap(({ when }) =>
    when.pseudo || Object.keys(when.axes).length < 2 ? [] : [when.axes],
  );
  const isLit = (axes: Picks) =>
    ruleOf(definition, axes) !== undefined && ruleOf(definition, axes) === ruleOf(definition, lit);
  return [...single, ...combined].filter((axes) => !isLit(axes));
}
