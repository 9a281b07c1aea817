import type { ControlRow } from '@sormet/core/edit';
import {
  newId,
  type ComponentDoc,
  type NodeId,
  type Source,
  type TreeDoc,
} from '@sormet/core/model';
import { useSync } from '../site/SiteProvider';
import { exposureOf, useExposing } from './exposing';

/** The first instance of a definition that stands on a page itself; nothing where none does. */
export function instanceOn(page: TreeDoc, component: string): NodeId | undefined {
  return Object.entries(page.nodes)
    .filter(([, node]) => node.kind === 'instance' && node.component === component)
    .map(([id]) => id)
    .sort()[0];
}

/**
 * Makes a property of something in a definition and gives it a value at one instance, in one step: exposed for the sake of
 * that value, it goes with it.
 * @returns whether it was done; why not, is said
 */
export function useExposedAt(): (
  component: ComponentDoc,
  row: ControlRow,
  label: string,
  at: { readonly doc: string; readonly node: NodeId },
  source: Source,
) => boolean {
  const sync = useSync();
  const exposing = useExposing();
  return (component, row, label, { doc, node }, source) => {
    const { edit, property } = exposing.exposeOne(component, { ...exposureOf(row), label });
    const control = { of: 'value' as const, property };
    return sync.editAll([edit, { name: 'setControl', args: { doc, node, control, source } }], {
      group: `exposed at ${newId()} 1`,
    });
  };
}
