import { memo, useDeferredValue, useMemo, type KeyboardEvent, type ReactNode } from 'react';
import { docOf, own, rootOf, type ComponentDoc, type State } from '@sormet/core/model';
import { differencesOf } from '@sormet/core/edit';
import { instancesWith, optionsInUse } from '@sormet/core/reach';
import type { Picks } from '@sormet/core/resolve';
import { widthsOf } from '@sormet/core/style';
import { BASE_WIDTH } from '../../canvas/Canvas';
import { CanvasCss } from '../../canvas/canvas-css';
import { stateWord } from '../../ledger/style/states';
import { picksWords, ruleOf } from '../../ledger/style/picked';
import type { Derived } from '../../site/deriving';
import { useDerived } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch, useBench } from '../../store/store';
import { count } from '../../words';
import { asLit, axesOfDefinition, type AxisOffered } from './axes-of';

import { StripCell } from './StripCell';
import './VariantStrip.css';

/** The states of what is lit that are shown beside each other. */
const STATES: readonly (State | null)[] = [null, ':hover', ':focus-visible', ':active'];

/** Elements that take the whole width of a page. */
const WHOLE = new Set(['section', 'header', 'footer', 'main', 'body', 'nav']);

/** How wide what stands within a section is drawn, in CSS px. */
const WITHIN = 360;

/** How large pictures of sections, and of what stands within them, may be, in CSS px. */
const ROOM = {
  whole: { width: 176, height: 92, room: 0 },
  within: { width: 128, height: 52, room: 8 },
};

/** How wide the pictures of states are, of what stands within sections. */
const WITHIN_STATE = 104;

/** One cell: the options it has, and what it is called. */
interface Cell {
  readonly axes: Picks;
  readonly words: string;
}

/**
 * The variants of a definition side by side, live, at the width that is lit: one axis as a row, two as a grid, what more there
 * are as they are lit. Below, the states of what is lit. A press lights a rule.
 */
export function VariantStrip({ definition }: { definition: ComponentDoc }): ReactNode {
  // What is typed does not wait until all of them are drawn: they follow a moment after.
  const derived = useDeferredValue(useDerived());
  const there = docOf(derived.documents, 'component', definition.id);
  return there ? <StripDrawn definition={there} derived={derived} /> : null;
}

const StripDrawn = memo(function StripDrawn({
  definition,
  derived,
}: {
  definition: ComponentDoc;
  derived: Derived;
}): ReactNode {
  const { documents, builtOf, reach } = derived;
  const dispatch = useAppDispatch();
  const { picks, width, heldTheme, state, selection } = useBench(
    'picks',
    'width',
    'heldTheme',
    'state',
    'selection',
  );
  const { id: doc, nodes } = definition;
  const lit = useMemo<Picks>(() => (picks?.doc === doc ? picks.axes : {}), [picks, doc]);
  const axes = axesOfDefinition(definition);
  const styles = useMemo(() => new CanvasCss(), []);
  const linked = builtOf(doc, undefined)?.linked;
  const css = useMemo(() => {
    if (!linked) return '';
    const themed =
      heldTheme === null ? documents : documents.with({ ...documents.site, theme: heldTheme });
    return styles.of(themed, linked);
  }, [styles, documents, linked, heldTheme]);
  const inUse = useMemo(
    () => optionsInUse(documents, reach, definition),
    [documents, reach, definition],
  );
  const [across, down] = axes;
  if (!across) return null;
  const root = nodes[rootOf(nodes)]!;
  const isWhole = root.kind !== 'element' || WHOLE.has(root.tag);
  const max = widthsOf(documents.site).find(({ id }) => id === width)?.max ?? Infinity;
  const drawn = Math.min(max, isWhole ? BASE_WIDTH : WITHIN);
  // Those beside the first two are as they are lit.
  const others = Object.fromEntries(
    Object.entries(lit).filter(([axis]) => axis !== across.id && axis !== down?.id),
  );
  const rows: Cell[][] = (down?.options ?? [null]).map((below) =>
    across.options.map((option) => ({
      axes: asLit(definition, {
        ...others,
        ...picked(across, option.id),
        ...(down && below ? picked(down, below.id) : {}),
      }),
      words: below && below.id !== down!.base ? `${option.label}, ${below.label}` : option.label,
    })),
  );
  const isBaseOf = (chosen: Picks) =>
    axes.every(({ id, base }) => (own(chosen, id) ?? base) === base);
  const isLit = (cell: Cell) =>
    sameAxes(cell.axes, lit) || (isBaseOf(cell.axes) && Object.keys(lit).length === 0);
  const flat = rows.flat();
  const at = Math.max(0, flat.findIndex(isLit));
  const light = ({ axes: chosen }: Cell) => dispatch(benchActions.pickAll({ doc, axes: chosen }));
  const walk = (event: KeyboardEvent<HTMLElement>, from: number) => {
    const step = stepOf(event.key, across.options.length);
    const next = flat[from + step];
    if (step === 0 || !next) return;
    event.preventDefault();
    event.stopPropagation();
    focusCell(event.currentTarget, from + step);
    light(next);
  };
  /** How many places use it, and in what it differs: the options of the base are said too, so that each place counts once. */
  const said = ({ axes: chosen }: Cell) => {
    const all = Object.fromEntries(
      axes.flatMap(({ id, base }) => {
        const option = own(chosen, id) ?? base;
        return option === null ? [] : [[id, option]];
      }),
    );
    const { instances, perhaps } = instancesWith(inUse, all);
    const rule = ruleOf(definition, chosen);
    const differs = rule === undefined ? 0 : differencesOf(definition, rule).length;
    const isBase = isBaseOf(chosen);
    const isCombined = Object.keys(chosen).length > 1;
    const place = instances === 0 ? 'unused' : count(instances, 'place');
    return {
      under: isBase ? `${place} · base` : isCombined && differs > 0 ? `${place} · own rule` : place,
      more: [
        ...(perhaps > 0
          ? [`perhaps ${count(perhaps, 'more place')} by what they are bound to`]
          : []),
        isBase
          ? differs === 0
            ? 'as it is without a variant'
            : `the base, for which a rule says ${count(differs, 'thing')}`
          : isCombined && differs === 0
            ? 'as it comes out: no rule is for these together'
            : `differs in ${differs} from what it stands on`,
      ].join(', '),
    };
  };
  const litWords = Object.keys(lit).length === 0 ? 'the base' : picksWords(definition, lit);
  const shared = { definition, derived, css, drawn, ...(isWhole ? ROOM.whole : ROOM.within) };
  return (
    <div className="strip">
      <div
        className="strip-grid"
        role="radiogroup"
        aria-label={`Variants side by side: ${[across, ...(down ? [down] : [])].map(({ label }) => label).join(' and ')}`}
        style={{ gridTemplateColumns: `repeat(${across.options.length}, max-content)` }}
      >
        {flat.map((cell, i) => (
          <StripCell
            key={JSON.stringify(cell.axes)}
            {...shared}
            axes={cell.axes}
            words={cell.words}
            {...said(cell)}
            isLit={isLit(cell)}
            isFirst={i === at}
            onPress={() => light(cell)}
            onKeyDown={(event) => walk(event, i)}
          />
        ))}
      </div>
      <div className="strip-of-lit">
        <span className="quiet">{litWords} in its states</span>
        <div
          className="strip-grid strip-states"
          role="radiogroup"
          aria-label={`States of ${litWords}`}
          style={{ gridTemplateColumns: `repeat(${STATES.length}, max-content)` }}
        >
          {STATES.map((each, i) => (
            <StripCell
              key={each ?? 'rest'}
              {...shared}
              width={isWhole ? shared.width : WITHIN_STATE}
              axes={lit}
              held={each ?? undefined}
              words={stateWord(each)}
              under=""
              isLit={(selection?.doc === doc ? state : null) === each}
              isFirst={i === Math.max(0, STATES.indexOf(state))}
              onPress={() => holdState(each)}
              onKeyDown={(event) => {
                const step = stepOf(event.key, 0);
                const next = STATES[i + step];
                if (step === 0 || next === undefined) return;
                event.preventDefault();
                event.stopPropagation();
                focusCell(event.currentTarget, i + step);
                holdState(next);
              }}
            />
          ))}
        </div>
      </div>
    </div>
  );

  /** What is styled then is the state of what is selected in the definition; of its root where nothing is. */
  function holdState(held: State | null): void {
    if (selection?.doc !== doc || selection.nodes.length === 0)
      dispatch(benchActions.select({ doc, nodes: [rootOf(nodes)] }));
    dispatch(benchActions.setTab('style'));
    dispatch(benchActions.holdState(held));
  }
});

/** An option of an axis as a pick: that of the base is what is had without one. */
function picked({ id, base }: AxisOffered, option: string): Picks {
  return option === base ? {} : { [id]: option };
}

function sameAxes(one: Picks, other: Picks): boolean {
  const names = Object.keys(one);
  return (
    names.length === Object.keys(other).length &&
    names.every((axis) => own(one, axis) === own(other, axis))
  );
}

/** Moves the focus to another cell of a grid. */
function focusCell(cell: HTMLElement, at: number): void {
  const cells = cell.closest('.strip-grid')?.querySelectorAll<HTMLElement>('.strip-cell');
  cells?.[at]?.focus();
}

/** How far an arrow key goes in a grid of so many columns. */
function stepOf(key: string, columns: number): number {
  switch (key) {
    case 'ArrowRight':
      return 1;
    case 'ArrowLeft':
      return -1;
    case 'ArrowDown':
      return columns;
    case 'ArrowUp':
      return -columns;
    default:
      return 0;
  }
}
