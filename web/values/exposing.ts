import { newId, type ComponentDoc, type Documents, type PropertyId } from '@sormet/core/model';
import {
  controlsOf,
  keyFor,
  ProposedPlaces,
  type ArgsOf,
  type ControlRow,
  type NamedEdit,
} from '@sormet/core/edit';
import { useDerived, useSync } from '../site/SiteProvider';

/** A control that should become a property, with the label chosen for it. */
export interface Exposure {
  readonly row: ControlRow;
  readonly label: string;
}

export function exposureOf(row: ControlRow): Exposure {
  return { row, label: row.label };
}

/** Exposes controls in one go: keys made and unique, a group for each element, each where its place on screen says. */
export function useExposing(): {
  expose: (component: ComponentDoc, exposures: readonly Exposure[]) => boolean;
  /** All of them as one property, called as the first. */
  exposeAsOne: (component: ComponentDoc, exposures: readonly Exposure[]) => boolean;
  /** The edit that exposes one, for a step with others, and the property that it makes. */
  exposeOne: (
    component: ComponentDoc,
    exposure: Exposure,
  ) => { edit: NamedEdit; property: PropertyId };
} {
  const sync = useSync();
  const { documents } = useDerived();
  const exposing = (component: ComponentDoc, controls: readonly ExposedControl[]): NamedEdit => ({
    name: 'expose',
    args: { component: component.id, controls: [...controls] },
  });
  const send = (component: ComponentDoc, controls: readonly ExposedControl[]) =>
    sync.edit(exposing(component, controls));
  return {
    expose: (component, exposures) => send(component, exposed(documents, component, exposures)),
    exposeOne(component, exposure) {
      const [one] = exposed(documents, component, [exposure]);
      return { edit: exposing(component, [one!]), property: one!.property };
    },
    exposeAsOne(component, exposures) {
      const [one] = exposed(documents, component, exposures.slice(0, 1));
      return send(
        component,
        exposures.map(({ row: { node, control } }) => ({ ...one!, node, control })),
      );
    },
  };
}

type ExposedControl = ArgsOf<'expose'>['controls'][number];

/** What the edit is told of each: a new id, a key that is free, the place that the screen proposes. */
function exposed(
  documents: Documents,
  component: ComponentDoc,
  exposures: readonly Exposure[],
): ExposedControl[] {
  const keys = new Set(Object.values(component.properties).map(({ key }) => key));
  const places = new ProposedPlaces(component, controlsOf(documents, component));
  return exposures.map(({ row, label }) => {
    const key = keyFor(label, keys);
    keys.add(key);
    const { node, control } = row;
    const property = newId();
    return { node, control, property, label, key, ...places.take(row, property) };
  });
}
