import { useEffect, useState, type ReactNode } from 'react';
import { Dropdown } from 'antd';
import type { BenchAction, Subject } from './bench-action';

/** In this order, a line between them. */
const SUBJECTS: readonly Subject[] = ['what is selected', 'copying', 'moving', 'component'];

/** Where the menu of the right button belongs: what can be selected. */
const WHERE = '.canvas-over, [role="tree"]';

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
    const open = (event: MouseEvent) => {
      const target = event.target instanceof Element ? event.target.closest(WHERE) : null;
      if (!target) return;
      event.preventDefault();
      const back = document.activeElement instanceof HTMLElement ? document.activeElement : null;
      // From the keyboard the browser gives no point of what is selected: then it stands at what is marked as such.
      const marked =
        event.button === 2 ? null : target.querySelector('.mark, [aria-selected="true"]');
      const rect = marked?.getBoundingClientRect();
      setAt({ x: rect?.left ?? event.clientX, y: rect?.top ?? event.clientY, back });
    };
    document.addEventListener('contextmenu', open);
    return () => document.removeEventListener('contextmenu', open);
  }, []);
  if (!at) return null;
  const close = () => {
    setAt(null);
    at.back?.focus();
  };
  const offered = actions.filter((action) => action.offered);
  const items = SUBJECTS.flatMap((subject, i) => {
    const mine = offered.filter(({ about }) => about === subject);
    if (mine.length === 0) return [];
    return [
      ...(i > 0 ? [{ type: 'divider' as const, key: subject }] : []),
      ...mine.map(({ label, key }) => ({
        key: label,
        label: (
          <span className="menu-item">
            {label}
            {key === '' ? null : <kbd>{key}</kbd>}
          </span>
        ),
      })),
    ];
  });
  return (
    <Dropdown
      open
      autoFocus
      trigger={[]}
      placement="bottomLeft"
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
          if (key === 'Escape' || key === 'Tab') close();
        },
      }}
    >
      <span className="menu-at" style={{ left: at.x, top: at.y }} />
    </Dropdown>
  );
}
