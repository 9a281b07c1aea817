import {
  FORMAT,
  kindOnly,
  ordersFor,
  type ComponentDoc,
  type Literal,
  type Property,
  type StateOf,
  type TypeSpec,
} from '@sormet/core/model';
import { keyFor } from '@sormet/core/edit';
import { plant, type Branch } from '@sormet/core/ready';

/** A property as it is written here: its label, its default, and the group it stands in; whether visitors change it. */
type Written = {
  label: string;
  byDefault: Literal;
  group?: string;
  type?: TypeSpec;
  state?: StateOf;
};

/** A definition, its nodes and keys named after what it is called. */
export function component(
  id: string,
  name: string,
  root: Branch,
  properties: Record<string, Written> = {},
  slots: Record<string, string> = {},
): ComponentDoc {
  let next = 0;
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
  const { nodes } = plant(root, { parent: null, order: 'a0' }, () => `${id}-n${(next += 1)}`);
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

/** Shared styles put on something, by the last part of their ids. */
export function on(...styles: string[]): Record<string, true> {
  return Object.fromEntries(styles.map((each) => [`style-${each}`, true as const]));
}
