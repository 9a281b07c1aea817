import { useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { Button, Popover } from 'antd';
import { Crosshair } from 'lucide-react';
import { assetPath, type AssetDoc, type FocusPoint as Point } from '@sormet/core/model';
import { useSync } from '../../site/SiteProvider';

/** How far an arrow moves the point, in percent; ten times that with Shift. */
const STEP = 1;
const FAR = 10;

const MIDDLE: Point = { x: 50, y: 50 };

/** The shapes in which it is shown what is left of a picture. */
const SHAPES = [
  { label: 'wide', ratio: '3 / 1' },
  { label: 'square', ratio: '1 / 1' },
  { label: 'tall', ratio: '1 / 2' },
] as const;

/** What of a picture is never cropped away: a point on it, set by a press or by arrows, with what crops leave of it. */
export function FocusPoint({ asset }: { asset: AssetDoc }): ReactNode {
  const [open, setOpen] = useState(false);
  const { focus } = asset;
  return (
    <Popover
      open={open}
      onOpenChange={setOpen}
      trigger="click"
      placement="left"
      destroyOnHidden
      content={<Setting asset={asset} />}
    >
      <Button
        size="small"
        type="text"
        className={focus ? 'has-focus' : undefined}
        icon={<Crosshair size={14} aria-hidden />}
        aria-label={`What of ${asset.name} is never cropped away`}
        title={
          focus ? `kept: ${focus.x} % from the left, ${focus.y} % from above` : 'kept: the middle'
        }
      />
    </Popover>
  );
}

function Setting({ asset }: { asset: AssetDoc }): ReactNode {
  const sync = useSync();
  const point = asset.focus ?? MIDDLE;
  const [stretch] = useState(() => `focus ${asset.id} ${Date.now()}`);
  const set = (focus: Point | null) =>
    sync.edit({ name: 'setAsset', args: { asset: asset.id, set: { focus } } }, { group: stretch });
  const press = (event: PointerEvent<HTMLDivElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    set({
      x: percent((event.clientX - box.left) / box.width),
      y: percent((event.clientY - box.top) / box.height),
    });
  };
  const move = (event: KeyboardEvent) => {
    const by = event.shiftKey ? FAR : STEP;
    const [x, y] = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, -by],
      ArrowDown: [0, by],
    }[event.key] ?? [0, 0];
    if (x === 0 && y === 0) return;
    event.preventDefault();
    event.stopPropagation();
    set({ x: percent((point.x + x!) / 100), y: percent((point.y + y!) / 100) });
  };
  const src = assetPath(asset);
  return (
    <div className="focus-setting">
      <div
        className="focus-picture"
        role="slider"
        tabIndex={0}
        aria-label={`The point of ${asset.name} that is kept; arrows move it`}
        aria-valuenow={point.x}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuetext={`${point.x} % from the left, ${point.y} % from above`}
        onPointerDown={press}
        onPointerMove={(event) => {
          if (event.buttons === 1) press(event);
        }}
        onKeyDown={move}
      >
        <img src={src} alt="" draggable={false} />
        <span className="focus-mark" style={{ left: `${point.x}%`, top: `${point.y}%` }} />
      </div>
      <div className="focus-crops">
        {SHAPES.map(({ label, ratio }) => (
          <figure key={label}>
            <img
              src={src}
              alt=""
              style={{ aspectRatio: ratio, objectPosition: `${point.x}% ${point.y}%` }}
            />
            <figcaption>{label}</figcaption>
          </figure>
        ))}
      </div>
      <Button size="small" disabled={asset.focus === undefined} onClick={() => set(null)}>
        The middle
      </Button>
    </div>
  );
}

function percent(part: number): number {
  return Math.round(Math.min(1, Math.max(0, part)) * 100);
}
