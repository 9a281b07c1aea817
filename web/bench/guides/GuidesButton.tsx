import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Popover } from 'antd';
import { Columns3 } from 'lucide-react';

const GuidesPanel = lazy(() =>
  import('./GuidesPanel').then(({ GuidesPanel: loaded }) => ({ default: loaded })),
);

/** Opens what a page or a definition is lined up with, to be set. */
export function GuidesButton({
  doc,
  name = 'Guides',
}: {
  doc: string;
  /** What it is called, where another stands beside it. */
  name?: string;
}): ReactNode {
  const [open, setOpen] = useState(false);
  const button = (
    <button
      type="button"
      className="icon-button guides-button"
      aria-label={name}
      title="Guides: columns, baseline and lines to line things up with, never published"
      aria-haspopup="dialog"
      aria-expanded={open}
      onClick={() => setOpen(!open)}
    >
      <Columns3 size={13} aria-hidden />
    </button>
  );
  if (!open) return button;
  return (
    <Popover
      open
      trigger="click"
      placement="bottomRight"
      destroyOnHidden
      onOpenChange={setOpen}
      content={
        <Suspense fallback={null}>
          <GuidesPanel doc={doc} onClose={() => setOpen(false)} />
        </Suspense>
      }
    >
      {button}
    </Popover>
  );
}
