import { useState, type ReactNode } from 'react';
import {
  docOf,
  newId,
  nodeIn,
  rootOf,
  type ComponentDoc,
  type Documents,
} from '@sormet/core/model';
import { idsWhenPlain, type NamedEdit } from '@sormet/core/edit';
import { describe } from '../../canvas/address';
import { Dialog } from '../../parts/Dialog';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import type { Selected } from '../../ledger/use-selected';
import { componentWords, count, sentence } from '../../words';
import type { BenchAction } from './bench-action';
import { ElementMatches, Exchange, Matches } from './Exchange';

/** The edit that makes an instance plain, and the id of what it becomes. */
export function plainEdit(
  documents: Documents,
  doc: string,
  node: string,
  component: ComponentDoc,
): { edit: NamedEdit; root: string } {
  const ids = idsWhenPlain(documents, doc, node);
  return {
    edit: { name: 'makePlain', args: { doc, node, ids } },
    root: ids[rootOf(component.nodes)]!,
  };
}

/** What is done with instances: made plain, or another component put in their place; each asked about before. */
export function useInstances(selected: Selected | undefined): {
  readonly actions: readonly BenchAction[];
  readonly dialog: ReactNode;
} {
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const [asking, setAsking] = useState<'plain' | 'exchange' | null>(null);
  const instances = (selected?.all ?? []).flatMap((node) =>
    selected && nodeIn(documents, selected.doc.id, node)?.kind === 'instance'
      ? [{ doc: selected.doc.id, node }]
      : [],
  );
  const offered = instances.length > 0 && instances.length === selected?.all.length;
  const stored = selected && nodeIn(documents, selected.doc.id, selected.id);
  const component =
    stored?.kind === 'instance' ? docOf(documents, 'component', stored.component) : undefined;
  const makePlain = () => {
    setAsking(null);
    const group = `make plain ${newId()}`;
    const roots: string[] = [];
    for (const { doc, node } of instances) {
      const at = nodeIn(documents, doc, node);
      const of = at?.kind === 'instance' ? docOf(documents, 'component', at.component) : undefined;
      if (!of) continue;
      const { edit, root } = plainEdit(documents, doc, node, of);
      const refusal = sync.attempt(edit, { group });
      if (refusal) {
        dispatch(benchActions.notice(sentence(refusal.refused)));
        return;
      }
      roots.push(root);
    }
    if (roots.length > 0 && selected)
      dispatch(benchActions.select({ doc: selected.doc.id, nodes: roots }));
  };
  const exchange = (to: string) => {
    setAsking(null);
    const edit: NamedEdit = {
      name: 'exchangeInstances',
      args: { instances: [...instances], component: to },
    };
    const refusal = sync.attempt(edit);
    if (refusal) dispatch(benchActions.notice(sentence(refusal.refused)));
  };
  const element =
    selected && stored?.kind === 'element' && selected.count === 1 && !selected.isRoot
      ? selected
      : undefined;
  const replace = (to: string) => {
    setAsking(null);
    if (!element) return;
    const instance = newId();
    const { doc, id } = element;
    const edit: NamedEdit = {
      name: 'replaceElement',
      args: { doc: doc.id, node: id, component: to, instance },
    };
    const refusal = sync.attempt(edit);
    dispatch(
      refusal
        ? benchActions.notice(sentence(refusal.refused))
        : benchActions.select({ doc: doc.id, nodes: [instance] }),
    );
  };
  const word = component ? componentWords(documents, component.id) : '';
  const actions: BenchAction[] = [
    {
      label: 'make plain elements',
      about: 'component',
      key: '',
      offered,
      run: () => setAsking('plain'),
    },
    {
      label: element ? 'put a component in its place' : 'put another component in its place',
      about: 'component',
      key: '',
      offered: offered || element !== undefined,
      run: () => setAsking('exchange'),
    },
  ];
  return {
    actions,
    dialog: (
      <>
        <Dialog
          open={asking === 'plain'}
          title={`Make ${instances.length === 1 ? word : count(instances.length, 'instance')} plain elements`}
          okText="Make plain"
          cancelText="Leave it"
          onOk={makePlain}
          onCancel={() => setAsking(null)}
        >
          <p>
            What it shows now stands here as elements of its own. Later changes to the definition
            will no longer reach {instances.length === 1 ? 'it' : 'them'}.
          </p>
        </Dialog>
        {asking === 'exchange' && component ? (
          <Exchange
            title={`Put another component in the place of ${instances.length === 1 ? word : count(instances.length, 'instance')}`}
            without={component.id}
            matches={(to) => <Matches from={component} to={to} />}
            onDo={exchange}
            onClose={() => setAsking(null)}
          />
        ) : asking === 'exchange' && element ? (
          <Exchange
            title={`Put a component in the place of ${describe(documents, element.doc.id, element.id)}`}
            without={element.doc.id}
            matches={(to) => <ElementMatches of={element} to={to} />}
            onDo={replace}
            onClose={() => setAsking(null)}
          />
        ) : null}
      </>
    ),
  };
}
