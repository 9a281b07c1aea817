import type { ReactNode } from 'react';
import { own, tagFamily, type NodeId, type TreeNode } from '@sormet/core/model';
import { tagsFor } from '@sormet/core/edit';
import { useDerived, useSync } from '../site/SiteProvider';
import { ChoiceCell } from '../parts/ChoiceCell';
import { SaidByVariant } from './AtBase';
import { standsOn } from './style/picked';
import type { Selected } from './use-selected';

/** The tag of an element, and the tags it may have where it stands. */
export function TagRow({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { doc, id, node } = selected;
  if (node.kind !== 'element') return null;
  // A variant of something stays of its family: what is said of it goes on to hold.
  const family = selected.picked ? tagFamily(node.tag) : undefined;
  const options = tagsFor(documents, doc, id)
    .filter((tag) => !family || tag === node.tag || family.includes(tag))
    .map((tag) => ({ value: tag, label: tag }));
  const isVaried =
    selected.picked !== undefined &&
    own(own(selected.picked.component.rules, selected.picked.rule)?.patch ?? {}, id)?.tag !==
      undefined;
  return (
    <tr>
      <th scope="row">tag</th>
      <td className={`cell set wins${isVaried ? ' is-varied' : ''}`}>
        <ChoiceCell
          label="tag"
          chosen={node.tag}
          options={options}
          onChoose={(tag) => sync.edit({ name: 'setTag', args: { doc: doc.id, node: id, tag } })}
        />
      </td>
      <td className="quiet" colSpan={2}>
        {selected.picked && isVaried ? (
          <SaidByVariant
            what="tag"
            base={tagIn(standsOn(selected.picked).nodes, id)}
            onBack={() =>
              sync.edit({
                name: 'setControl',
                args: {
                  doc: doc.id,
                  node: id,
                  control: { of: 'chosen', what: 'tag' },
                  source: null,
                },
              })
            }
          />
        ) : options.length === 1 ? (
          family ? (
            'the same in all variants'
          ) : (
            'nothing else may stand here'
          )
        ) : (
          ''
        )}
      </td>
    </tr>
  );
}

function tagIn(nodes: Readonly<Record<NodeId, TreeNode>>, id: NodeId): string {
  const node = own(nodes, id);
  return node?.kind === 'element' ? node.tag : 'nothing';
}
