import type { ReactNode } from 'react';
import {
  literal,
  own,
  referredIn,
  referring,
  rootOf,
  withDescendants,
  type NodeId,
  type TreeDoc,
} from '@sormet/core/model';
import { nodeName } from '@sormet/core/edit';
import { ChoiceCell } from '../parts/ChoiceCell';
import { useDerived, useSync } from '../site/SiteProvider';

/**
 * An attribute that names elements of its document, as what labels a field does: which one is chosen, and it gets an id that is
 * its own wherever it stands. An id somebody thought of stays as it is, beside the choice.
 */
export function ReferenceCell({
  doc,
  node,
  name,
  text,
}: {
  doc: TreeDoc;
  node: NodeId;
  name: string;
  text: string;
}): ReactNode {
  const sync = useSync();
  const { documents } = useDerived();
  const nodes = referredIn(text);
  const called = (id: NodeId) => {
    const stored = own(doc.nodes, id);
    return stored ? nodeName(documents, stored, doc) : 'what is gone';
  };
  const elements =
    name === 'id'
      ? [node]
      : withDescendants(doc.nodes, rootOf(doc.nodes)).filter(
          (id) => own(doc.nodes, id)?.kind === 'element' && id !== node,
        );
  const options = elements.map((value) => ({
    value,
    label: name === 'id' ? 'one of its own, wherever it stands' : called(value),
  }));
  const [only, ...more] = nodes ?? [];
  const isListed = only !== undefined && more.length === 0 && elements.includes(only);
  /** The element is named, and gets the id under which it is. */
  const given = (chosen: NodeId) => {
    const source = literal({ type: 'text', value: referring(chosen) });
    const says = (of: NodeId, attribute: string) => ({
      doc: doc.id,
      node: of,
      control: { of: 'attribute' as const, name: attribute },
      source,
    });
    const target = own(doc.nodes, chosen);
    const isNamed = target?.kind === 'element' && Object.hasOwn(target.attributes, 'id');
    return name === 'id' || isNamed ? [says(node, name)] : [says(node, name), says(chosen, 'id')];
  };
  return (
    <ChoiceCell
      label={name}
      chosen={isListed ? only : undefined}
      placeholder={nodes ? nodes.map(called).join(', ') : text === '' ? 'which element' : text}
      options={options}
      onChoose={(chosen) => sync.edit({ name: 'setControls', args: { set: given(chosen) } })}
    />
  );
}
