import { useEffect, useLayoutEffect, useRef, type CSSProperties, type ReactNode } from 'react';
import type { Resolved } from '@sormet/core/resolve';
import { nodeIn, type Documents } from '@sormet/core/model';
import { useLatest } from '../parts/use-latest';
import { useDerived } from '../site/SiteProvider';
import { useBench } from '../store/store';
import { describe, resolvedOf, slotOwner, slotsOf } from './address';
import { innerAt, innerWords } from './inside';
import { exposedAreas } from './exposed';
import { labelPlace } from './label-place';
import { landingOf, type Landing } from './landing';
import type { Registry } from './registry';
import { selectorOfRule } from './rule-key';
import type { Stage } from './stage';
import type { Area } from './use-enclosing';

/** What lies over what is drawn: what is pointed at, what is selected, what is exposed, where something would land. */
export function Marks({
  stage,
  kind,
  hover,
  over,
  area,
  typing,
}: {
  stage: Stage;
  kind: 'page' | 'definition';
  hover: string | null;
  /** What would show what is dragged over it, in the place of what it shows. */
  over: Resolved | null;
  /** The area that is being drawn around what shall be selected. */
  area: Area | null;
  typing: boolean;
}): ReactNode {
  const { doc, built, registry, scale } = stage;
  const { documents } = useDerived();
  const { selection, landing: at, lit, tab } = useBench('selection', 'landing', 'lit', 'tab');
  const landing = at?.doc === doc && built ? landingOf(documents, built, registry, at) : undefined;
  const selected = selection?.doc === doc ? selection.nodes : [];
  const label = (id: string) => describe(documents, doc, id);
  const exposed = kind === 'definition' && built ? exposedAreas(built, registry) : [];
  const reached = tab === 'style' && lit !== null ? reachedBy(stage, lit) : [];
  const inner =
    selection?.inside !== undefined && selected.length === 1
      ? innerAt(built, selected[0]!, selection.inside)
      : undefined;
  const innerRect = inner && registry.rectOf(inner);
  const overRect = over && registry.rectOf(over);
  const slots = landing && built ? slotsOf(built) : [];
  return (
    <>
      {exposed.map((rect, i) => (
        <Mark key={i} className="mark-exposed" rect={rect} scale={scale} />
      ))}
      {reached.map((rect, i) => (
        <Mark key={i} className="mark-reached" rect={rect} scale={scale} />
      ))}
      {hover && !selected.includes(hover) ? (
        <Outlined stage={stage} id={hover} className="mark-hover" label={label(hover)} />
      ) : null}
      {typing
        ? null
        : selected.map((id) => (
            <Outlined
              key={id}
              stage={stage}
              id={id}
              className={selectedClass(documents, kind, doc, id)}
              label={selected.length === 1 && !inner ? label(id) : undefined}
              slot={selection?.slot}
            />
          ))}
      {inner && innerRect && !typing ? (
        <Mark className="mark-inside" rect={innerRect} scale={scale}>
          <Label registry={registry} node={inner} area={innerRect} scale={scale}>
            {innerWords(documents, inner, '')}
          </Label>
        </Mark>
      ) : null}
      {overRect ? <Mark className="mark-hover" rect={overRect} scale={scale} /> : null}
      {slots.map(({ group, around }, i) => {
        const rect = group.from.kind === 'slot' ? registry.rectOf(around) : undefined;
        return rect ? <Mark key={i} className="mark-slot" rect={rect} scale={scale} /> : null;
      })}
      {area ? (
        <Mark
          className="mark-area"
          rect={new DOMRect(area.left, area.top, area.right - area.left, area.bottom - area.top)}
          scale={scale}
        />
      ) : null}
      {landing ? <LandingLine line={landing.line} scale={scale} /> : null}
    </>
  );
}

/** The areas of what the rule that is lit reaches on this canvas. */
function reachedBy({ body, registry }: Stage, lit: string): DOMRect[] {
  const selector = selectorOfRule(lit);
  if (!body || selector === undefined) return [];
  return [...body.querySelectorAll(selector)]
    .slice(0, MOST_REACHED)
    .map((element) => registry.areaOf(element));
}

/** More marks than this say nothing more. */
const MOST_REACHED = 300;

function selectedClass(
  documents: Documents,
  kind: 'page' | 'definition',
  doc: string,
  id: string,
): string {
  if (kind === 'definition') return 'mark-definition';
  return nodeIn(documents, doc, id)?.kind === 'instance' ? 'mark-instance' : 'mark-plain';
}

/** A node marked wherever it shows, or one of its slots; its label stands at the first place, beside its words. */
function Outlined({
  stage: { doc, built, registry, scale },
  id,
  className,
  label,
  slot,
}: {
  stage: Stage;
  id: string;
  className: string;
  label: string | undefined;
  slot?: string | undefined;
}): ReactNode {
  const shown =
    slot === undefined || !built
      ? resolvedOf(built, id)
      : slotsOf(built).flatMap(({ group, around }) => {
          const owner = slotOwner(group, doc);
          if (owner?.node !== id || owner.slot !== slot) return [];
          return [group.children.length > 0 || registry.rectOf(group) ? group : around];
        });
  // Where it stood last: while a newer tree is on its way to be drawn, the marks of what was there stay.
  const of = `${className} ${id} ${slot ?? ''}`;
  const last = registry.notedOf(of);
  const rects = shown.map((node, i) =>
    registry.isDrawn(built) ? registry.rectOf(node) : (last[i] ?? registry.rectOf(node)),
  );
  useLayoutEffect(() => registry.note(of, rects));
  useEffect(() => () => registry.note(of, undefined), [registry, of]);
  return shown.map((node, i) => {
    const rect = rects[i];
    if (!rect) return null;
    return (
      <Mark key={i} className={className} rect={rect} scale={scale}>
        {label && i === 0 ? (
          <Label registry={registry} node={node} area={rect} scale={scale}>
            {label}
          </Label>
        ) : null}
      </Mark>
    );
  });
}

/** A label beside what it names, where it covers no words; nowhere when there is no such place. */
function Label({
  registry,
  node,
  area,
  scale,
  children,
}: {
  registry: Registry;
  node: Resolved;
  area: DOMRect;
  scale: number;
  children: string;
}): ReactNode {
  const label = useRef<HTMLSpanElement>(null);
  const { left, top, width, height } = area;
  // The node is another with each key that is typed into it, at the same place.
  const latest = useLatest(node);
  // Measured after it is drawn: how wide a name is only the browser knows. Not again for every key that is typed into
  // what is selected: its label stays where it is as long as its area does.
  useLayoutEffect(() => {
    const element = label.current!;
    const place = labelPlace(registry, latest.current, element.offsetWidth, scale);
    element.className = place ? `mark-label ${place}` : 'mark-label nowhere';
  }, [registry, latest, scale, children, left, top, width, height]);
  return (
    <span ref={label} className="mark-label nowhere">
      {children}
    </span>
  );
}

function Mark({
  className,
  rect,
  scale,
  children,
}: {
  className: string;
  rect: DOMRect;
  scale: number;
  children?: ReactNode;
}): ReactNode {
  return (
    <div className={`mark ${className}`} style={areaOf(rect, scale)}>
      {children}
    </div>
  );
}

function areaOf({ left, top, width, height }: DOMRect, scale: number): CSSProperties {
  return { left: left * scale, top: top * scale, width: width * scale, height: height * scale };
}

function LandingLine({ line, scale }: { line: Landing['line']; scale: number }): ReactNode {
  const { x, y, width, height } = line;
  return (
    <div
      className={width > 0 ? 'landing-line' : 'landing-line upright'}
      style={{
        left: x * scale,
        top: y * scale,
        width: width > 0 ? width * scale : undefined,
        height: height > 0 ? height * scale : undefined,
      }}
    />
  );
}
