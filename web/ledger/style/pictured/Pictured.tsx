import {
  useEffect,
  useRef,
  useState,
  type CSSProperties,
  type KeyboardEvent,
  type ReactNode,
} from 'react';
import { Popover } from 'antd';
import {
  AlignCenter,
  Blend,
  Columns3,
  Grid3x3,
  Image,
  LayoutGrid,
  Move,
  MoveRight,
  RectangleHorizontal,
  Rotate3d,
  Scan,
  Square,
  SquareDashed,
  SunMedium,
} from 'lucide-react';
import { own } from '@sormet/core/model';
import { GroundPicture } from './GroundPicture';
import { Areas } from './Areas';
import { Borders } from './Borders';
import { GradientEditor } from './GradientEditor';
import type { PicturedCell } from './pictured-cell';
import { Shadows } from './Shadows';
import { fourOf, Sides } from './Sides';
import { Tracks } from './Tracks';
import { Transforms } from './Transforms';
import { Ways } from '../../../parts/Ways';
import { ALIGNING, COLUMNS, FITS, FITTED, FLOWING, PINNING, PLACED, RATIOS } from './ways';
import './pictured.css';

const ICONS = {
  aligning: AlignCenter,
  sides: Square,
  columns: Columns3,
  pinning: Move,
  ground: Image,
  gradient: Blend,
  shadow: SunMedium,
  transform: Rotate3d,
  areas: LayoutGrid,
  border: SquareDashed,
  ratio: RectangleHorizontal,
  place: Grid3x3,
  flow: MoveRight,
  fit: Scan,
} as const;

/** Which editor shows a property that is shown by no other than its own name. */
const EDITORS: Readonly<Record<string, keyof typeof ICONS>> = {
  'grid-template-columns': 'columns',
  'grid-template-rows': 'columns',
  'grid-template-areas': 'areas',
  'box-shadow': 'shadow',
  'text-shadow': 'shadow',
  transform: 'transform',
  'aspect-ratio': 'ratio',
  'background-position': 'place',
  'object-position': 'place',
  'transform-origin': 'place',
  'object-fit': 'fit',
  'background-image': 'gradient',
  inset: 'pinning',
};

function editorOf({ property, ground }: PicturedCell): keyof typeof ICONS | undefined {
  if (Object.hasOwn(ALIGNING, property)) return 'aligning';
  if (Object.hasOwn(FLOWING, property)) return 'flow';
  if (/^border(-(top|right|bottom|left))?$/.test(property)) return 'border';
  if (ground) return 'ground';
  return own(EDITORS, property) ?? (fourOf(property) ? 'sides' : undefined);
}

/** A button that opens an editor by pictures, in cells whose property can be shown in one; nothing in others. */
export function Pictured({ cell }: { cell: PicturedCell }): ReactNode {
  const [open, setOpen] = useState(false);
  const opener = useRef<HTMLButtonElement>(null);
  const returns = useRef(false);
  // The button is another one once the editor is closed: the focus goes back to it then.
  useEffect(() => {
    if (open || !returns.current) return;
    returns.current = false;
    opener.current?.focus();
  }, [open]);
  const close = (event: KeyboardEvent) => {
    if (event.key !== 'Escape') return;
    event.stopPropagation();
    returns.current = true;
    setOpen(false);
  };
  const editor = editorOf(cell);
  if (!editor) return null;
  const Icon = ICONS[editor];
  const button = (
    <button
      ref={opener}
      type="button"
      className="icon-button pictured-button"
      aria-label={`${cell.label}: by a picture`}
      title="By a picture"
      tabIndex={cell.here || open ? 0 : -1}
      aria-haspopup="dialog"
      aria-expanded={open}
      onClick={() => setOpen(!open)}
    >
      <Icon size={13} aria-hidden />
    </button>
  );
  if (!open) return button;
  return (
    <Popover
      open
      trigger="click"
      destroyOnHidden
      onOpenChange={setOpen}
      afterOpenChange={(is) => {
        if (is) document.querySelector<HTMLElement>('.pictured [data-first]')?.focus();
      }}
      content={
        <div
          className="pictured"
          role="dialog"
          aria-label={`${cell.property} by a picture`}
          onKeyDown={close}
        >
          <Editor editor={editor} cell={cell} />
        </div>
      }
    >
      {button}
    </Popover>
  );
}

function Editor({ editor, cell }: { editor: keyof typeof ICONS; cell: PicturedCell }): ReactNode {
  const { property, shown, downwards, choose, valueOf, give, ground } = cell;
  const given = { label: property, chosen: shown, onChoose: choose };
  switch (editor) {
    case 'aligning':
      return (
        <Ways
          {...given}
          ways={ALIGNING[property]!}
          columns={3}
          draw={({ value }) => <Aligned property={property} value={value} downwards={downwards} />}
        />
      );
    case 'flow':
      return (
        <Ways
          {...given}
          ways={FLOWING[property]!}
          columns={FLOWING[property]!.length}
          draw={({ value }) => (
            <span className="picture is-flow" style={flowOf(property, value)} aria-hidden>
              {[1, 2, 3, 4].map((n) => (
                <i key={n}>{n}</i>
              ))}
            </span>
          )}
        />
      );
    case 'sides':
      return <Sides property={property} valueOf={valueOf} give={give} />;
    case 'ground':
      return <Ground cell={cell} ground={ground!} />;
    case 'gradient':
      return <GradientEditor cell={cell} />;
    case 'shadow':
      return <Shadows cell={cell} />;
    case 'transform':
      return <Transforms cell={cell} />;
    case 'areas':
      return <Areas cell={cell} />;
    case 'border':
      return <Borders cell={cell} />;
    case 'ratio':
      return (
        <Ways
          {...given}
          ways={RATIOS}
          columns={4}
          draw={({ value, word }) => (
            <span className="picture is-ratio" aria-hidden>
              <i style={sizeOf(value)}>{value === 'auto' ? '' : word}</i>
            </span>
          )}
        />
      );
    case 'fit':
      return (
        <Ways
          {...given}
          ways={FITS}
          columns={5}
          draw={({ value }) => (
            <span className="picture is-fit" aria-hidden>
              <img src={FITTED} alt="" style={{ objectFit: value as 'fill' }} />
            </span>
          )}
        />
      );
    case 'place':
      return (
        <Ways
          {...given}
          ways={PLACED}
          columns={3}
          draw={({ value }) => (
            <span className="picture is-placed" aria-hidden>
              <i style={placeOf(value)} />
            </span>
          )}
        />
      );
    case 'columns':
      return (
        <div className="picture-editor">
          <Tracks cell={cell} />
          <Ways
            {...given}
            ways={COLUMNS}
            columns={3}
            draw={({ value, drawn = value }) => (
              <span
                className="picture is-grid"
                style={
                  property.endsWith('columns')
                    ? { gridTemplateColumns: drawn }
                    : { gridTemplateRows: drawn }
                }
                aria-hidden
              >
                {Array.from({ length: tracks(drawn) }, (_, i) => (
                  <i key={i} />
                ))}
              </span>
            )}
          />
        </div>
      );
    case 'pinning':
      return (
        <div className="picture-editor">
          <Ways
            {...given}
            ways={PINNING}
            columns={3}
            draw={({ value }) => (
              <span className="picture is-pinned" aria-hidden>
                <i style={{ inset: value }} />
              </span>
            )}
          />
          <Sides property={property} valueOf={valueOf} give={give} />
        </div>
      );
  }
}

/** What lies behind: a picture under a veil, or a gradient alone. */
function Ground({
  cell,
  ground,
}: {
  cell: PicturedCell;
  ground: NonNullable<PicturedCell['ground']>;
}): ReactNode {
  const [of, setOf] = useState<'picture' | 'gradient'>(
    !ground.now && /gradient\(/.test(cell.shown ?? '') ? 'gradient' : 'picture',
  );
  return (
    <div className="picture-editor">
      <div className="layers" role="radiogroup" aria-label="What lies behind">
        {(['picture', 'gradient'] as const).map((each) => (
          <label key={each}>
            <input type="radio" name="behind" checked={of === each} onChange={() => setOf(each)} />
            {each === 'picture' ? 'a picture' : 'a gradient'}
          </label>
        ))}
      </div>
      {of === 'picture' ? (
        <GroundPicture ground={ground.now} onGround={(now) => ground.give(now)} />
      ) : (
        <GradientEditor cell={cell} />
      )}
    </div>
  );
}

/** How a picture of four things flows by a value. */
function flowOf(property: string, value: string): CSSProperties {
  return property === 'flex-wrap'
    ? { flexWrap: value as 'wrap' }
    : { flexDirection: value as 'row', flexWrap: 'nowrap' };
}

/** How large the picture of a ratio is, of 50 by 34 px at most. */
function sizeOf(ratio: string): CSSProperties {
  const [wide = 3, high = 2] = ratio === 'auto' ? [] : ratio.split('/').map(Number);
  const scale = Math.min(50 / wide, 34 / high);
  return { width: wide * scale, height: high * scale };
}

/** Where the dot stands in the picture of a place. */
function placeOf(value: string): CSSProperties {
  const [x = '50%', y = '50%'] = value.split(' ');
  return { left: x, top: y, translate: `-${x} -${y}` };
}

/** In how many columns a picture's tracks stand. */
function tracks(columns: string): number {
  const [, many] = /^repeat\((\d+),/.exec(columns) ?? [];
  return many === undefined ? columns.split(' ').length : Number(many);
}

/** Three bars, laid out by the value that the picture is of: the browser draws what it would do. */
function Aligned({
  property,
  value,
  downwards,
}: {
  property: string;
  value: string;
  downwards: boolean;
}): ReactNode {
  const isAcross = /^(align-items|align-self|justify-items|justify-self)$/.test(property);
  // What lines up in a grid's own axis is drawn across the other.
  const turned = property.startsWith('justify-') && isAcross ? true : downwards;
  const style: CSSProperties =
    property === 'text-align'
      ? { display: 'block', textAlign: value as 'start' }
      : {
          flexDirection: turned ? 'column' : 'row',
          [isAcross ? 'alignItems' : 'justifyContent']: value,
        };
  const isText = property === 'text-align';
  return (
    <span className={isText ? 'picture is-text' : 'picture is-aligned'} style={style} aria-hidden>
      {[14, 22, 10].map((long) => (
        <i
          key={long}
          style={value === 'stretch' ? {} : turned || isText ? { width: long } : { height: long }}
        />
      ))}
    </span>
  );
}
