import { useCallback, useEffect, useState, type ReactNode } from 'react';
import { Dropdown } from 'antd';
import { useCovering } from '../../parts/covering';
import type { BenchAction, Subject } from './bench-action';

/** In this order, a line between them. */
const SUBJECTS: readonly Subject[] = ['what is selected', 'copying', 'moving', 'component'];

/** Where the menu of the right button belongs: what can be selected. */
const WHERE = '.canvas-over, [role="tree"]';

/** What is marked as selected. */
const MARKED = '.mark-instance, .mark-plain, .mark-definition, .outline-row.selected';

/** How high one line of it is, in CSS px. */
const ITEM = 25;

function itemOf({ label, key }: BenchAction) {
  return {
    key: label,
    label: (
      <span className="menu-item">
        {label}
        {key === '' ? null : <kbd>{key}</kbd>}
      </span>
    ),
  };
}

interface At {
  readonly x: number;
  readonly y: number;
  /** What had the focus: it has it again afterwards. */
  readonly back: HTMLElement | null;
}

/** The menu of the right button: everything that can be done to what is selected, each with its key. */
export function ContextMenu({ actions }: { actions: readonly BenchAction[] }): ReactNode {
  const [at, setAt] = useState<At | null>(null);
  useEffect(() => {
    const back = () =>
      document.activeElement instanceof HTMLElement ? document.activeElement : null;
    const byButton = (event: MouseEvent) => {
      const target = event.target instanceof Element ? event.target.closest(WHERE) : null;
      if (!target) return;
      event.preventDefault();
      if (event.button === 2) setAt({ x: event.clientX, y: event.clientY, back: back() });
    };
    // From the keyboard it stands at what is marked as selected.
    const byKey = (event: KeyboardEvent) => {
      const asks = event.key === 'ContextMenu' || (event.key === 'F10' && event.shiftKey);
      const inField = event.target instanceof Element && event.target.closest('input, textarea');
      if (!asks || inField) return;
      event.preventDefault();
      const marks = [...document.querySelectorAll(MARKED)].map((mark) =>
        mark.getBoundingClientRect(),
      );
      const seen = marks.find(({ top }) => top > 60 && top < window.innerHeight - 60);
      setAt({ x: (seen?.left ?? 240) + 8, y: (seen?.top ?? 80) + 8, back: back() });
    };
    document.addEventListener('contextmenu', byButton);
    document.addEventListener('keydown', byKey);
    return () => {
      document.removeEventListener('contextmenu', byButton);
      document.removeEventListener('keydown', byKey);
    };
  }, []);
  const close = useCallback(() => {
    setAt(null);
    at?.back?.focus();
  }, [at]);
  useCovering(at !== null);
  // Wherever the focus is: it comes into the menu a moment after the menu is there.
  useEffect(() => {
    if (!at) return;
    const byEscape = ({ key }: KeyboardEvent) => {
      if (key === 'Escape') close();
    };
    document.addEventListener('keydown', byEscape);
    return () => document.removeEventListener('keydown', byEscape);
  }, [at, close]);
  if (!at) return null;
  const offered = actions.filter((action) => action.offered);
  const items = SUBJECTS.flatMap((subject, i) => {
    const mine = offered.filter(({ about }) => about === subject);
    if (mine.length === 0) return [];
    const line = i > 0 ? [{ type: 'divider' as const, key: subject }] : [];
    const alone = mine.filter(({ under }) => under === undefined);
    const above = [...new Set(mine.flatMap(({ under }) => under ?? []))];
    return [
      ...line,
      ...alone.map(itemOf),
      ...above.map((under) => ({
        key: under,
        label: under,
        popupClassName: 'bench-menu',
        children: mine
          .filter((each) => each.under === under)
          .map((each) => ({ ...itemOf(each), label: each.label.slice(under.length).trim() })),
      })),
    ];
  });
  // Wherever it is asked for, all of it is seen.
  const high = items.length * ITEM + 16;
  const y = Math.max(8, Math.min(at.y, window.innerHeight - high));
  return (
    <Dropdown
      open
      autoFocus
      trigger={[]}
      placement="bottomLeft"
      classNames={{ root: 'bench-menu' }}
      onOpenChange={(open) => {
        if (!open) close();
      }}
      menu={{
        items:
          items.length > 0
            ? items
            : [{ key: 'none', disabled: true, label: 'Nothing is selected here.' }],
        'aria-label': 'What can be done to what is selected',
        onClick: ({ key }) => {
          close();
          offered.find(({ label }) => label === key)?.run();
        },
        onKeyDown: ({ key }) => {
          if (key === 'Tab') close();
        },
      }}
    >
      <span className="menu-at" style={{ left: at.x, top: y }} />
    </Dropdown>
  );
}
