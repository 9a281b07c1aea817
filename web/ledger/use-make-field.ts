import { keyFor, repeatedType } from '@sormet/core/edit';
import {
  docOf,
  NEVER_CONTENT,
  newId,
  orderAfterAll,
  repeatsAround,
  type DocId,
  type NodeId,
  type Source,
  type TreeDoc,
  type TypeSpec,
} from '@sormet/core/model';
import type { Control } from '@sormet/core/resolve';
import { useDerived, useSync } from '../site/SiteProvider';

/** A content type that can get a field which is missed. */
export interface MakingField {
  readonly key: string;
  readonly label: string;
}

/** Makes a field where it is missed, of the entry that is read there, and binds the control to it; one step. */
export function useMakeField(
  doc: TreeDoc,
  node: NodeId,
  control: Control,
  spec: TypeSpec,
  label: string,
): { readonly makes: readonly MakingField[]; readonly make: (key: string) => void } {
  const { documents } = useDerived();
  const sync = useSync();
  const givers = new Map<
    string,
    { type: DocId; from: Extract<Source, { is: 'field' }>['from']; label: string }
  >();
  const add = (type: DocId | undefined, from: 'page' | { repeat: NodeId }) => {
    const of = type === undefined ? undefined : docOf(documents, 'type', type);
    if (!of || NEVER_CONTENT.has(spec.kind)) return;
    const words = `a new field of ${of.plural.toLowerCase()}: ${label.toLowerCase()}`;
    givers.set(`make ${JSON.stringify(from)}`, { type: of.id, from, label: words });
  };
  for (const repeat of repeatsAround(doc, node))
    add(repeatedType(documents, doc, repeat), { repeat });
  if (doc.kind === 'page' && doc.entries !== null) add(doc.entries, 'page');
  return {
    makes: [...givers].map(([key, { label: words }]) => ({ key, label: words })),
    make(key) {
      const giver = givers.get(key);
      const of = giver && docOf(documents, 'type', giver.type);
      if (!of) return;
      const field = newId();
      const keys = new Set(Object.values(of.fields).map((each) => each.key));
      const made = {
        label,
        key: keyFor(label, keys),
        type: spec,
        order: orderAfterAll(Object.values(of.fields)),
      };
      const source: Source = {
        is: 'field',
        from: giver.from,
        path: [field],
        whenEmpty: control.of === 'value' ? 'default' : 'nothing',
      };
      sync.editAll(
        [
          { name: 'addTypeField', args: { type: of.id, field, made } },
          { name: 'setControl', args: { doc: doc.id, node, control, source } },
        ],
        { group: `make field ${newId()} 1` },
      );
    },
  };
}
