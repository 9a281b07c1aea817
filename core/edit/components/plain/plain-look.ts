import {
  CHOSEN,
  docOf,
  own,
  partNameOf,
  rootOf,
  withChosen,
  type Declared,
  type ElementNode,
  type InstanceNode,
  type NodeId,
  type Source,
} from '../../../model';
import { keyParts, overlaid } from '../../../style';
import type { GivenValues } from './given-values';
import type { InstanceHere, Round } from './instance-here';

type Look = ElementNode | InstanceNode;

/** How a node of the definition looks in the instance, said of itself. */
export function plainLook(
  id: NodeId,
  node: Look,
  here: InstanceHere,
  given: GivenValues,
  round: Round,
): Look {
  const { instance, documents, component } = here;
  const look = withGivenLook(node, given, round);
  const { part: _, ...unmarked } = look;
  if (id === rootOf(component.nodes)) return rootLook(unmarked, here);
  const said = partNameOf(node) === undefined ? undefined : own(instance.parts ?? {}, id);
  return said ? { ...unmarked, style: overlaid(look.style, said, documents.site) } : unmarked;
}

/** A node whose declarations and choices read no properties of the definition any more. */
function withGivenLook(node: Look, given: GivenValues, round: Round): Look {
  const style: Record<string, Declared> = {};
  for (const key in node.style) {
    const declared = given.declared(node.style[key]!, round);
    if (declared) style[key] = declared;
  }
  let made: Look = { ...node, style };
  if (!node.chosen) return made;
  const chosen: Record<string, Source> = {};
  for (const kind of CHOSEN) {
    const source = node.chosen[kind];
    const now = source && given.source(source, round);
    if (!now) continue;
    if (now.is !== 'value') chosen[kind] = now;
    else if (typeof now.value === 'string') made = withChosen(made, kind, now.value);
  }
  const { chosen: _, ...rest } = made;
  return Object.keys(chosen).length > 0 ? { ...rest, chosen } : rest;
}

/** The root, with what the instance says of it: that is the stronger, whichever way it is said. */
function rootLook(look: Look, { instance, documents }: InstanceHere): Look {
  const { style, shared, theme, name, shown, chosen, part } = instance;
  const said = new Set(
    Object.keys(shared ?? {}).flatMap((id) =>
      Object.keys(docOf(documents, 'style', id)?.style ?? {}).map(inAnyWidth),
    ),
  );
  const kept = Object.fromEntries(
    Object.entries(look.style).filter(([key]) => !said.has(inAnyWidth(key))),
  );
  const begins = theme ?? look.theme;
  const all = { ...look.shared, ...shared };
  return {
    ...look,
    ...(name === undefined ? {} : { name }),
    ...(part === undefined ? {} : { part }),
    style: overlaid(kept, style, documents.site),
    ...(Object.keys(all).length > 0 ? { shared: all } : {}),
    ...(begins === undefined ? {} : { theme: begins }),
    ...(chosen || look.chosen ? { chosen: { ...look.chosen, ...chosen } } : {}),
    ...(shown ? { shown } : {}),
  };
}

/** What a key of a block speaks of, whatever the width. */
function inAnyWidth(key: string): string {
  const { property, state } = keyParts(key);
  return `${property} ${state ?? ''}`;
}
