import { chainOf, definitionSources, type ComponentDoc } from '../../model';

const known = new WeakMap<ComponentDoc, ReadonlySet<string>>();

/** The properties of a definition that nothing reads: no control, no condition, no rule. */
export function unconnected(component: ComponentDoc): ReadonlySet<string> {
  let loose = known.get(component);
  if (!loose) {
    const read = new Set<string>();
    for (const [, source] of definitionSources(component))
      for (const each of chainOf(source)) if (each.is === 'property') read.add(each.property);
    for (const rule in component.rules)
      for (const axis in component.rules[rule]!.when.axes) read.add(axis);
    known.set(
      component,
      (loose = new Set(Object.keys(component.properties).filter((id) => !read.has(id)))),
    );
  }
  return loose;
}
