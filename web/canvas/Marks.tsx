import type { CSSProperties, ReactNode } from 'react';
import { nodeIn, type Documents } from '@sormet/core/model';
import { useDerived } from '../site/SiteProvider';
import { useApp } from '../store/store';
import { describe, resolvedOf, slotsOf } from './address';
import { exposedAreas } from './exposed';
import type { Landing } from './landing';
import type { Stage } from './stage';

/** How high a mark's label is, in CSS px: nearer to the upper edge it stands inside. */
const LABEL = 22;

/** What lies over what is drawn: what is pointed at, what is selected, what is exposed, where something would land. */
export function Marks({
  stage,
  kind,
  hover,
  landing,
  typing,
}: {
  stage: Stage;
  kind: 'page' | 'definition';
  hover: string | null;
  landing: Landing | null;
  typing: boolean;
}): ReactNode {
  const { doc, built, registry, scale } = stage;
  const { documents } = useDerived();
  const selection = useApp((state) => state.bench.selection);
  const selected = selection?.doc === doc ? selection.nodes : [];
  const label = (id: string) => describe(documents, doc, id);
  const exposed = kind === 'definition' && built ? exposedAreas(built, registry) : [];
  const slots = landing && built ? slotsOf(built) : [];
  return (
    <>
      {exposed.map((rect, i) => (
        <Mark key={i} className="mark-exposed" rect={rect} scale={scale} />
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
              label={selected.length === 1 ? label(id) : undefined}
            />
          ))}
      {slots.map(({ group, around }, i) => {
        const rect = group.from.kind === 'slot' ? registry.rectOf(around) : undefined;
        return rect ? <Mark key={i} className="mark-slot" rect={rect} scale={scale} /> : null;
      })}
      {landing ? <LandingLine line={landing.line} scale={scale} /> : null}
    </>
  );
}

function selectedClass(
  documents: Documents,
  kind: 'page' | 'definition',
  doc: string,
  id: string,
): string {
  if (kind === 'definition') return 'mark-definition';
  return nodeIn(documents, doc, id)?.kind === 'instance' ? 'mark-instance' : 'mark-plain';
}

/** A node marked wherever it shows; its label stands at the first place. */
function Outlined({
  stage: { built, registry, scale },
  id,
  className,
  label,
}: {
  stage: Stage;
  id: string;
  className: string;
  label: string | undefined;
}): ReactNode {
  return resolvedOf(built, id).map((node, i) => {
    const rect = registry.rectOf(node);
    if (!rect) return null;
    return (
      <Mark key={i} className={className} rect={rect} scale={scale}>
        {label && i === 0 ? (
          <span className={rect.top * scale < LABEL ? 'mark-label inside' : 'mark-label'}>
            {label}
          </span>
        ) : null}
      </Mark>
    );
  });
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
