import type { ComponentDoc, Property, Rule, Slot } from '../documents';
import { own } from '../own';
import { mapNode, mapPatch } from './in-nodes';
import { mapSource } from './in-sources';
import { mapType } from './in-types';
import { mapMembers, mapRecord, plain, type Members, type Naming } from './naming';

const PROPERTY: Members<Property> = {
  label: plain,
  key: plain,
  type: (type, on) => mapType(type, on),
  group: plain,
  order: plain,
  default: (source, on, at) => mapSource(source, on, at),
  axis: plain,
  state: (state, on) => {
    if (state.among === undefined || !on.node) return state;
    const { among, ...rest } = state;
    const now = on.node(among);
    return now === among ? state : now === undefined ? rest : { ...rest, among: now };
  },
  typedOnly: plain,
  required: plain,
  help: plain,
};

const SLOT: Members<Slot> = {
  label: plain,
  order: plain,
  allows: (allows, on, at) => {
    const now = mapRecord(allows, at, (yes, _, id) => {
      const here = on.named({ is: 'component', id, by: 'slot' });
      return here === undefined ? undefined : [here, yes];
    });
    // What let in only what is not there lets anything in: nothing could fill it else.
    return Object.keys(now).length === 0 && Object.keys(allows).length > 0 ? undefined : now;
  },
  most: plain,
  allowsFolders: plain,
  allowsTags: plain,
};

const RULE: Members<Rule> & object = { order: plain, when: plain, patch: plain };

const DEFINITION: Members<ComponentDoc> = {
  id: plain,
  offered: plain,
  kind: plain,
  format: plain,
  name: plain,
  groups: plain,
  lines: (lines, on, at) =>
    lines &&
    mapRecord(lines, at, (line, _, id) => {
      const width = line.width === 'base' ? 'base' : on.named({ is: 'width', id: line.width });
      return width === undefined
        ? undefined
        : [id, width === line.width ? line : { ...line, width }];
    }),
  properties: (properties, on, at) =>
    mapRecord(properties, at, (each, where, id) => [id, mapMembers(each, PROPERTY, on, where)]),
  slots: (slots, on, at) =>
    mapRecord(slots, at, (each, where, id) => [id, mapMembers(each, SLOT, on, where)]),
  rules: (rules, on, at, { nodes }) =>
    mapRecord(rules, at, (rule, where, id) => {
      const patch = mapRecord(rule.patch, [...where, 'patch'], (each, inner, node) => [
        node,
        mapPatch(each, own(nodes, node), on, inner),
      ]);
      const now = mapMembers(rule, RULE, on, where);
      return [id, patch === rule.patch ? now : { ...now, patch }];
    }),
  nodes: (nodes, on, at) => mapRecord(nodes, at, (node, _, id) => [id, mapNode(node, on)]),
};

/** A definition as it is named now: its nodes, rules, properties and slots. Where nodes stand is said by whoever moves them. */
export function mapDefinition(doc: ComponentDoc, on: Naming): ComponentDoc {
  return mapMembers(doc, DEFINITION, on, []);
}
