import { useState, type ReactNode } from 'react';
import { allOf } from '@sormet/core/model';
import { SuggestField } from '../../parts/SuggestField';
import { useDerived, useSync } from '../../site/SiteProvider';
import type { Selected } from '../use-selected';
import { wearable } from './declare-options';
import { MakeStyle, useTaken } from './MakeStyle';

const NEW = ' new';

/**
 * Puts a shared style on what is selected, by a few letters of its name. A modifier is offered only where its base is on;
 * one that is not there yet is made from what is declared here.
 */
export function PutOn({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const [typed, setTyped] = useState('');
  const [making, setMaking] = useState<string | null>(null);
  const taken = useTaken(selected);
  const { node, doc, all } = selected;
  if (node.kind !== 'element' && node.kind !== 'instance') return null;
  const wear = (style: string) => {
    setTyped('');
    sync.edit({ name: 'wear', args: { doc: doc.id, nodes: [...all], style, on: true } });
  };
  const offered = wearable(documents, selected).map(({ id, name }) => ({ value: id, name }));
  const wanted = typed.trim().toLowerCase();
  const found = offered.filter(({ name }) => name.toLowerCase().includes(wanted));
  const isNew = !allOf(documents, 'style').some(({ name }) => name.toLowerCase() === wanted);
  const declares = Object.keys(taken.block).length > 0;
  const options = [
    ...found.map(({ value, name }) => ({ value, label: name })),
    ...(isNew && declares && all.length === 1
      ? [
          {
            value: NEW,
            label:
              wanted === ''
                ? taken.saysIt.rule === undefined
                  ? 'make one from what is declared here'
                  : 'make one from what this variant says'
                : `make “${typed.trim()}”`,
          },
        ]
      : []),
  ];
  const choose = (value: string) => {
    if (value === NEW) setMaking(typed.trim());
    else wear(value);
    setTyped('');
  };
  return (
    <>
      <SuggestField
        className="put-on is-plain"
        value={typed}
        label="Put on a shared style"
        placeholder="+ put on a style"
        suggestions={options}
        firstActive
        onType={setTyped}
        onChoose={choose}
        nothing={
          wanted === '' ? 'There is no other style to put on.' : `No style is called “${typed}”.`
        }
      />
      {making === null ? null : (
        <MakeStyle begun={making} selected={selected} onClose={() => setMaking(null)} />
      )}
    </>
  );
}
