import { useMemo, useState, type ReactNode } from 'react';
import type { Built } from '@sormet/core/resolve';
import { BASE_WIDTH } from '../../canvas/Canvas';
import { Picture } from '../../canvas/Picture';
import { resolvedOf } from '../../canvas/address';
import { Registry } from '../../canvas/registry';
import { useDerived } from '../../site/SiteProvider';
import type { Section } from './sections';

/** A page as it will be, with what can be filled outlined and named over it: pressed, it is chosen. */
export function NamedPicture({
  built,
  width,
  sections,
  chosen,
  onChoose,
}: {
  built: Built;
  /** How wide it may be on the screen, in CSS px. */
  width: number;
  sections: readonly Section[];
  chosen: string | null;
  onChoose: (section: string) => void;
}): ReactNode {
  const { documents } = useDerived();
  const registry = useMemo(() => new Registry(), []);
  const [size, setSize] = useState<{ width: number; height: number }>();
  const scale = size ? Math.min(1, width / size.width) : 1;
  return (
    <div className="named-picture">
      <Picture
        documents={documents}
        built={built}
        drawn={BASE_WIDTH}
        width={width}
        height={Number.POSITIVE_INFINITY}
        registry={registry}
        onMeasure={setSize}
      />
      {size
        ? sections.map(({ id, name }) => (
            <Outlined
              key={id}
              name={name}
              area={areaOf(built, registry, id)}
              scale={scale}
              isChosen={id === chosen}
              onChoose={() => onChoose(id)}
            />
          ))
        : null}
    </div>
  );
}

function Outlined({
  name,
  area,
  scale,
  isChosen,
  onChoose,
}: {
  name: string;
  area: DOMRect | undefined;
  scale: number;
  isChosen: boolean;
  onChoose: () => void;
}): ReactNode {
  if (!area || area.width === 0 || area.height === 0) return null;
  return (
    <button
      type="button"
      className={isChosen ? 'named-area is-chosen' : 'named-area'}
      aria-pressed={isChosen}
      style={{
        left: area.left * scale,
        top: area.top * scale,
        width: area.width * scale,
        height: area.height * scale,
      }}
      onClick={onChoose}
    >
      <span className="named-area-name">{name}</span>
    </button>
  );
}

/** The area that all of an instance takes on the picture, in its own CSS px. */
function areaOf(built: Built, registry: Registry, node: string): DOMRect | undefined {
  const rects = resolvedOf(built, node).flatMap((each) =>
    registry.elementsOf(each).map((element) => element.getBoundingClientRect()),
  );
  if (rects.length === 0) return undefined;
  const left = Math.min(...rects.map((rect) => rect.left));
  const top = Math.min(...rects.map((rect) => rect.top));
  const right = Math.max(...rects.map((rect) => rect.right));
  const bottom = Math.max(...rects.map((rect) => rect.bottom));
  return new DOMRect(left, top, right - left, bottom - top);
}
