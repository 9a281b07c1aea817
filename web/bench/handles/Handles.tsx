import { useEffect, useRef, useState, type PointerEvent, type ReactNode } from 'react';
import { heldBy, type GuidePlace } from '@sormet/core/guides';
import type { EntryDoc } from '@sormet/core/model';
import { cascade, lineMoved, readTracks, writeTracks } from '@sormet/core/style';
import type { Stage } from '../../canvas/stage';
import { litRule } from '../../ledger/style/lit-rule';
import { useGiving } from '../../ledger/style/use-giving';
import { useSelected, type Selected } from '../../ledger/use-selected';
import { useDerived } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch, useBench } from '../../store/store';
import { placeWords } from '../guides/place-words';
import { useGuides } from '../guides/use-guides';
import { GridAreas } from './GridAreas';
import { holdsOf, type Hold } from './holds';
import { heldExactly, scaleOf, snapped, type Snapped } from './snapping';
import './Handles.css';

/** Handles on what is selected, while its style is looked at: dragged, they write to the rule that is lit. */
export function Handles({
  stage,
  entry,
}: {
  stage: Stage;
  entry: EntryDoc | undefined;
}): ReactNode {
  const { tab, selection } = useBench('tab', 'selection');
  const isOne = selection?.nodes.length === 1 && selection.inside === undefined;
  if (tab !== 'style' || !isOne || selection.doc !== stage.doc) return null;
  return <HandlesOfSelected stage={stage} entry={entry} />;
}

function HandlesOfSelected({
  stage,
  entry,
}: {
  stage: Stage;
  entry: EntryDoc | undefined;
}): ReactNode {
  const selected = useSelected(stage.doc, entry);
  const { lit } = useBench('lit');
  const rule = selected && litRule(selected, lit);
  if (!selected?.resolved || !rule) return null;
  return <Held stage={stage} selected={selected} rule={rule} />;
}

/** What is said of what is held, and the guide that holds it. */
interface Told {
  readonly id: string;
  readonly words: string;
  readonly axis?: Hold['axis'];
  readonly by?: GuidePlace | undefined;
}

/** What is held now, and what it would be. */
interface Holding {
  readonly hold: Hold;
  readonly from: number;
  readonly group: string;
}

function Held({
  stage,
  selected,
  rule,
}: {
  stage: Stage;
  selected: Selected;
  rule: NonNullable<ReturnType<typeof litRule>>;
}): ReactNode {
  const { scale } = stage;
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const { width, state } = useBench('width', 'state');
  const give = useGiving({ selected, rule, width, state: state ?? undefined });
  const holds = useHolds(stage, selected);
  const holding = useRef<Holding | null>(null);
  const [told, setTold] = useState<Told | null>(null);
  const there = useGuides(stage);
  const { tokens } = documents.tokens;

  /** The tracks of the grid as they are declared, where each of them is told. */
  const tracksOf = (property: string) => {
    const winner = cascade(selected.rules, property, width, documents.site, [])[0];
    return winner && !winner.declared.refs ? readTracks(winner.declared.css) : undefined;
  };
  const move = (event: PointerEvent) => {
    const held = holding.current;
    if (!held) return;
    const { hold, from, group } = held;
    const now = hold.axis === 'x' ? event.clientX : event.clientY;
    const along = (now - from) / scale;
    const guide = event.altKey ? undefined : guideNear(hold, along);
    const edge = guide ? guide.at - edgeOf(hold) : along;
    const by = edge * hold.grows * hold.times;
    const next = guide && !hold.line ? heldExactly(hold.px + by) : valueOf(hold, by, event.altKey);
    if (!next) return;
    const words = guide ? `${next.told} · ${placeWords(guide)}` : next.told;
    setTold({ id: idOf(hold), words, axis: hold.axis, by: guide });
    for (const property of propertiesOf(hold, event)) {
      const reason = give(property, next.typed, group);
      if (reason) dispatch(benchActions.notice(reason));
    }
  };
  /** What the edge that is dragged is held by, of what things are lined up with; a gap has an edge on either side, so nothing holds it. */
  const guideNear = (hold: Hold, along: number) =>
    there && hold.of !== 'gap'
      ? heldBy(
          edgeOf(hold) + along,
          there.places[hold.axis],
          hold.axis === 'y' ? there.guides.baseline : 0,
          NEAR / scale,
        )
      : undefined;
  const valueOf = (hold: Hold, by: number, isFree: boolean): Snapped | undefined => {
    if (hold.line) {
      const tracks = tracksOf(hold.property);
      if (!tracks || tracks.length !== hold.line.sizes.length) return undefined;
      const typed = writeTracks(lineMoved(tracks, hold.line.at, hold.line.sizes, by));
      return { typed, told: typed };
    }
    const steps = isFree || hold.of === 'width' ? [] : scaleOf(tokens, 'space');
    return snapped(hold.px + by, steps);
  };
  const drawn = holds
    .filter(({ line, property }) => !line || tracksOf(property)?.length === line.sizes.length)
    .map((hold) => {
      const id = idOf(hold);
      const isHeld = told?.id === id;
      return (
        <span key={id}>
          {isHeld ? (
            <span
              className={`held-area is-${hold.of}`}
              style={{
                left: hold.area.left * scale,
                top: hold.area.top * scale,
                width: hold.area.width * scale,
                height: hold.area.height * scale,
              }}
            />
          ) : null}
          <span
            className={`handle is-${hold.axis} is-of-${hold.of}`}
            style={{ left: hold.x * scale, top: hold.y * scale }}
            title={isHeld ? undefined : `${hold.property}: ${Math.round(hold.px)}px`}
            data-handle={id}
            // What lies under it is neither pointed at nor dragged.
            onPointerDown={(event) => {
              event.stopPropagation();
              if (event.button !== 0) return;
              event.currentTarget.setPointerCapture(event.pointerId);
              const from = hold.axis === 'x' ? event.clientX : event.clientY;
              holding.current = { hold, from, group: `handle ${id} ${Date.now()}` };
              setTold({ id, words: `${Math.round(hold.px)}px` });
            }}
            onPointerMove={(event) => {
              event.stopPropagation();
              move(event);
            }}
            onPointerUp={(event) => {
              event.stopPropagation();
              holding.current = null;
              setTold(null);
            }}
            onPointerCancel={() => {
              holding.current = null;
              setTold(null);
            }}
            onClick={(event) => event.stopPropagation()}
            onDoubleClick={(event) => event.stopPropagation()}
          >
            {isHeld ? (
              <span className="handle-told">
                {hold.property} <b>{told.words}</b>
              </span>
            ) : null}
          </span>
        </span>
      );
    });
  return (
    <>
      <GridAreas
        stage={stage}
        selected={selected}
        give={give}
        say={(words) => dispatch(benchActions.notice(words))}
      />
      {drawn}
      {told?.by ? <HoldingGuide stage={stage} axis={told.axis ?? 'x'} by={told.by} /> : null}
    </>
  );
}

/** The guide that holds what is dragged, where it stands. */
function HoldingGuide({
  stage: { scale },
  axis,
  by,
}: {
  stage: Stage;
  axis: Hold['axis'];
  by: GuidePlace;
}): ReactNode {
  return (
    <span
      className={`guide-holds is-${axis}`}
      style={axis === 'x' ? { left: by.at * scale } : { top: by.at * scale }}
    />
  );
}

/** Where the edge is that moves with a handle, along its axis. */
const edgeOf = (hold: Hold) => hold.edge ?? (hold.axis === 'x' ? hold.x : hold.y);

/** How near an edge has to come to be held by a guide, in px of the screen. */
const NEAR = 5;

const idOf = ({ property, line }: Hold) => (line ? `${property} ${line.at}` : property);

const ACROSS: Readonly<Record<string, string>> = {
  'padding-top': 'padding-bottom',
  'padding-bottom': 'padding-top',
  'padding-left': 'padding-right',
  'padding-right': 'padding-left',
};

/** What a handle writes: its side, with Shift the one across from it, too, with Ctrl all four; of a gap, with Shift both. */
function propertiesOf({ property }: Hold, event: PointerEvent): readonly string[] {
  const across = ACROSS[property];
  if (across !== undefined) {
    if (event.ctrlKey || event.metaKey) return ['padding'];
    return event.shiftKey ? [property, across] : [property];
  }
  return event.shiftKey && property.endsWith('-gap') ? ['gap'] : [property];
}

/** What can be taken hold of as it is drawn now: measured once that is there, and told anew when it differs. */
function useHolds(stage: Stage, { resolved }: Selected): readonly Hold[] {
  const { registry } = stage;
  const [holds, setHolds] = useState<readonly Hold[]>([]);
  const last = useRef('');
  useEffect(() => {
    const [element] = resolved ? registry.elementsOf(resolved) : [];
    // Asked for, so that it is drawn again when it stands elsewhere.
    if (element) registry.areaOf(element);
    const now = element ? holdsOf(element) : [];
    const key = JSON.stringify(now);
    if (key === last.current) return;
    last.current = key;
    setHolds(now);
    // The stage is another whenever something was drawn or has moved.
  }, [stage, registry, resolved]);
  return holds;
}
