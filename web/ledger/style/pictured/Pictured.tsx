import {
  useEffect,
  useRef,
  useState,
  type CSSProperties,
  type KeyboardEvent,
  type ReactNode,
} from 'react';
import { Popover } from 'antd';
import { AlignCenter, Columns3, Image, Move, Square } from 'lucide-react';
import type { Ground } from '@sormet/core/edit';
import { GroundPicture } from './GroundPicture';
import { Sides } from './Sides';
import { Ways } from '../../../parts/Ways';
import { ALIGNING, COLUMNS, PINNING } from './ways';
import './pictured.css';

/** What an editor by pictures needs of the cell that it stands in. */
export interface PicturedCell {
  readonly property: string;
  /** What the cell is called. */
  readonly label: string;
  /** Whether the focus is in it: only then the keyboard comes by its button. */
  readonly here: boolean;
  /** What holds there now, as CSS writes it: here, or from another rule. */
  readonly shown: string | undefined;
  /** What this rule declares for a longhand, as people read it. */
  readonly valueOf: (longhand: string) => string | undefined;
  /** Whether what is selected lays out what it holds from top to bottom. */
  readonly downwards: boolean;
  /** Declares a property. @returns why it cannot be, or nothing */
  readonly give: (property: string, typed: string) => string;
  /** Declares the whole of the cell. */
  readonly choose: (value: string) => void;
  /** The picture behind, where this rule can have one. */
  readonly ground?: { readonly now: Ground | undefined; give: (ground: Ground | null) => void };
}

const ICONS = {
  aligning: AlignCenter,
  sides: Square,
  columns: Columns3,
  pinning: Move,
  ground: Image,
} as const;

function editorOf({ property, ground }: PicturedCell): keyof typeof ICONS | undefined {
  if (Object.hasOwn(ALIGNING, property)) return 'aligning';
  if (property === 'padding' || property === 'margin') return 'sides';
  if (property === 'grid-template-columns') return 'columns';
  if (ground) return 'ground';
  return property === 'inset' ? 'pinning' : undefined;
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
    case 'sides':
      return <Sides property={property as 'padding'} valueOf={valueOf} give={give} />;
    case 'ground':
      return <GroundPicture ground={ground!.now} onGround={(now) => ground!.give(now)} />;
    case 'columns':
      return (
        <Ways
          {...given}
          ways={COLUMNS}
          columns={3}
          draw={({ value, drawn = value }) => (
            <span className="picture is-grid" style={{ gridTemplateColumns: drawn }} aria-hidden>
              {Array.from({ length: tracks(drawn) }, (_, i) => (
                <i key={i} />
              ))}
            </span>
          )}
        />
      );
    case 'pinning':
      return (
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
      );
  }
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
