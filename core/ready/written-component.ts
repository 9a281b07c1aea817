import {
  FORMAT,
  kindOnly,
  ordersFor,
  type ComponentDoc,
  type Literal,
  type Property,
  type StateOf,
  type TypeSpec,
} from '../model';
import { keyFor } from '../edit';
import { plant, type Branch } from './branches';

/** A property as it is written here: its label, its default, and the group it stands in; whether visitors change it. */
export type WrittenProperty = {
  label: string;
  byDefault: Literal;
  group?: string;
  type?: TypeSpec;
  state?: StateOf;
};

/**
 * A definition, its nodes and keys named after what it is called.
 * @param nodeId the id of its next node
 */
export function writtenComponent(
  id: string,
  name: string,
  root: Branch,
  properties: Record<string, WrittenProperty> = {},
  slots: Record<string, string> = {},
  nodeId = numbered(id),
): ComponentDoc {
  const orders = ordersFor(Object.keys(properties).length);
  const keys = new Set<string>();
  const groups: ComponentDoc['groups'] = {};
  const made: Record<string, Property> = {};
  Object.entries(properties).forEach(([property, { label, byDefault, group, type, state }], i) => {
    const key = keyFor(label, keys);
    keys.add(key);
    const groupId = group ? `${id}-g-${keyFor(group, new Set()).toLowerCase()}` : null;
    if (group && groupId && !groups[groupId])
      groups[groupId] = { label: group, order: ordersFor(Object.keys(groups).length + 1).at(-1)! };
    made[property] = {
      label,
      key,
      type: type ?? kindOnly(byDefault.type),
      group: groupId,
      order: orders[i]!,
      default: byDefault,
      ...(state ? { state } : {}),
    };
  });
  const slotOrders = ordersFor(Object.keys(slots).length);
  const { nodes } = plant(root, { parent: null, order: 'a0' }, nodeId);
  return {
    id,
    kind: 'component',
    format: FORMAT,
    name,
    properties: made,
    groups,
    rules: {},
    slots: Object.fromEntries(
      Object.entries(slots).map(([slot, label], i) => [slot, { label, order: slotOrders[i]! }]),
    ),
    nodes,
  };
}

function numbered(id: string): () => string {
  let next = 0;
  return () => `${id}-n${(next += 1)}`;
}
