import { useRef, useState, type ReactNode } from 'react';
import { Input } from 'antd';
import { Dialog } from '../../parts/Dialog';
import { SuggestField } from '../../parts/SuggestField';
import './MakeComponent.css';
import { allOf, newId, type Documents } from '@sormet/core/model';
import { folderOf, nodeName } from '@sormet/core/edit';
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
  const [proposed, setProposed] = useState<string | null>(null);
  const ask = () => {
    const name = selected && proposedName(documents, selected);
    if (name !== undefined) setProposed(name);
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
    setProposed(null);
    dispatch(benchActions.select({ doc: selected.doc.id, nodes: [instance] }));
    // Made in a definition, that stays in sight: what was made is an instance in it.
    if (selected.doc.kind === 'page') dispatch(benchActions.openBeside(component));
  };
  return {
    ask,
    dialog:
      proposed === null ? null : (
        <NameDialog
          proposed={proposed}
          many={selected?.count ?? 1}
          onMake={make}
          onClose={() => setProposed(null)}
        />
      ),
  };
}

/** A name for a component of what is selected, without a folder; nothing where none can be made of it. */
function proposedName(documents: Documents, { node, isRoot, count }: Selected): string | undefined {
  if (count > 1) return 'Made of several';
  return isRoot || (node.kind !== 'element' && node.kind !== 'instance')
    ? undefined
    : nodeName(documents, node).replaceAll('/', ' ');
}

/** Where a component goes that nobody has named a folder for. */
const FIRST_FOLDER = 'Sections';

function NameDialog({
  proposed,
  many,
  onMake,
  onClose,
}: {
  proposed: string;
  /** How many things are selected. */
  many: number;
  onMake: (name: string) => void;
  onClose: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const refusal = useApp((state) => state.site.refusal);
  const [name, setName] = useState(proposed);
  const wasSelected = useRef(false);
  const [folder, setFolder] = useState(FIRST_FOLDER);
  const folders = [
    ...new Set(allOf(documents, 'component').map((component) => folderOf(component.name))),
  ].filter(Boolean);
  const typed = name.trim();
  // A folder that is typed before the name is the one that is meant.
  const whole = typed.includes('/') || folder.trim() === '' ? typed : `${folder.trim()}/${typed}`;
  const sound = /^[^/]+(\/[^/]+)*$/.test(whole) && typed !== '';
  const make = () => {
    if (sound) onMake(whole);
  };
  return (
    <Dialog
      open
      title="Make component"
      okText="Make component"
      cancelText="Leave it"
      okButtonProps={{ disabled: !sound }}
      onOk={make}
      onCancel={onClose}
    >
      <p>
        {many === 1
          ? 'What is selected becomes its first instance.'
          : `The ${many} things that are selected are put into a box of their own, which becomes its first instance.`}
      </p>
      <div className="name-and-folder">
        <label>
          Name
          <Input
            autoFocus
            data-first=""
            aria-label="Name of the component"
            value={name}
            onFocus={({ target }) => {
              // Once: what was typed already is not replaced by what is typed next.
              if (!wasSelected.current) target.select();
              wasSelected.current = true;
            }}
            onChange={({ target }) => setName(target.value)}
          />
        </label>
        <label>
          Folder
          <SuggestField
            label="Folder of the component"
            value={folder}
            suggestions={folders
              .filter((each) => each.toLowerCase().includes(folder.toLowerCase()))
              .map((value) => ({ value }))}
            onType={setFolder}
            onChoose={setFolder}
            onEnter={make}
          />
        </label>
      </div>
      <p className="quiet" aria-live="polite">
        {sound
          ? `It stands in the library as “${whole}”.`
          : 'Type a name; a folder stands before a slash.'}
      </p>
      <Wrong as="p" words={refusal?.says ?? ''} />
    </Dialog>
  );
}
