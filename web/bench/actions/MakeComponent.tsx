import { useState, type ReactNode } from 'react';
import { Input } from 'antd';
import { Dialog } from '../../parts/Dialog';
import { newId, type Documents } from '@sormet/core/model';
import { nodeName } from '@sormet/core/edit';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import type { Selected } from '../../ledger/use-selected';
import { Wrong } from '../../parts/Wrong';

/** How many values read from around what is selected a component may take along. */
const MOST_HANDED_IN = 40;

/** Making a component of what is selected: asking for its name, and the dialog that asks. */
export function useMakeComponent(selected: Selected | undefined): {
  readonly ask: () => void;
  readonly dialog: ReactNode;
} {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const [name, setName] = useState<string | null>(null);
  const ask = () => {
    const suggested = selected && suggestedName(documents, selected);
    if (suggested !== undefined) setName(suggested);
    else
      dispatch(
        benchActions.notice(
          'Select an element or an instance first; it becomes a component with all it holds.',
        ),
      );
  };
  const make = (chosen: string) => {
    if (!selected) return;
    const component = newId();
    const instance = newId();
    let node = selected.id;
    if (selected.count > 1) {
      // Several become one thing first: a box around them, where they stand beside each other.
      const box = newId();
      const { doc, all } = selected;
      if (!sync.edit({ name: 'wrap', args: { doc: doc.id, nodes: [...all], box, tag: 'div' } }))
        return;
      node = box;
    }
    const ids = Array.from({ length: MOST_HANDED_IN }, newId);
    const done = sync.edit({
      name: 'makeComponent',
      args: { doc: selected.doc.id, node, name: chosen, component, instance, ids },
    });
    if (!done) return;
    setName(null);
    dispatch(benchActions.select({ doc: selected.doc.id, nodes: [instance] }));
    dispatch(benchActions.openBeside(component));
  };
  return {
    ask,
    dialog: <NameDialog name={name} many={selected?.count ?? 1} onName={setName} onMake={make} />,
  };
}

/** A name for a component of what is selected; nothing where none can be made of it. */
function suggestedName(
  documents: Documents,
  { node, isRoot, count }: Selected,
): string | undefined {
  if (count > 1) return 'Sections/Made of several';
  return isRoot || (node.kind !== 'element' && node.kind !== 'instance')
    ? undefined
    : `Sections/${nodeName(documents, node)}`;
}

function NameDialog({
  name,
  many,
  onName,
  onMake,
}: {
  name: string | null;
  /** How many things are selected. */
  many: number;
  onName: (name: string | null) => void;
  onMake: (name: string) => void;
}): ReactNode {
  const refusal = useApp((state) => state.site.refusal);
  const typed = (name ?? '').trim();
  const sound = /^[^/]+(\/[^/]+)*$/.test(typed);
  return (
    <Dialog
      open={name !== null}
      title="Make component"
      okText="Make component"
      cancelText="Leave it"
      okButtonProps={{ disabled: !sound }}
      onOk={() => onMake(typed)}
      onCancel={() => onName(null)}
      destroyOnHidden
    >
      <p>
        {many === 1
          ? 'What is selected becomes its first instance.'
          : `The ${many} things that are selected are put into a box of their own, which becomes its first instance.`}{' '}
        A folder stands before a slash.
      </p>
      <Input
        autoFocus
        data-first=""
        aria-label="Name of the component"
        value={name ?? ''}
        onChange={({ target }) => onName(target.value)}
        onPressEnter={() => sound && onMake(typed)}
      />
      <Wrong as="p" words={refusal?.says ?? ''} />
    </Dialog>
  );
}
