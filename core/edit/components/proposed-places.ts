import { byOrder, type ComponentDoc, inOrder, newId, orderBetween, own } from '../../model';
import type { ControlRow } from '../control';

type Ordered = [string, { readonly order: string }];

/** A group of properties, with its place among the others. */
export interface ProposedGroup {
  readonly id: string;
  readonly label: string;
  readonly order: string;
}

/**
 * Where properties that are made of controls are proposed to stand: in a group for each element, behind what is exposed
 * of the same definition further up on screen and before what is exposed further down (common practice, no published
 * source).
 */
export class ProposedPlaces {
  private readonly properties: Ordered[];
  private readonly groups: [string, { label: string; order: string }][];
  /** Which property each control is, by where it stands on screen. */
  private readonly at: (string | undefined)[];
  private readonly rows: Map<string, number>;
  private readonly groupOf: Map<string, string | null>;

  /** @param rows all controls of the definition in screen order */
  constructor(component: ComponentDoc, rows: readonly ControlRow[]) {
    this.properties = inOrder(component.properties);
    this.groups = inOrder(component.groups);
    this.groupOf = new Map(this.properties.map(([id]) => [id, component.properties[id]!.group]));
    this.at = rows.map(({ source }) =>
      source?.is === 'property' && own(component.properties, source.property)
        ? source.property
        : undefined,
    );
    this.rows = new Map(rows.map((row, i) => [keyOf(row), i]));
  }

  /** The place for one of the controls; further ones are put about it. */
  take(row: ControlRow, property: string): { order: string; group: ProposedGroup } {
    const here = this.rows.get(keyOf(row)) ?? this.at.length;
    const group = this.groupFor(row, here);
    const order = this.between(
      this.properties,
      this.near(here, (id) => id),
    );
    this.properties.push([property, { order }]);
    this.groupOf.set(property, group.id);
    this.at[here] = property;
    return { order, group };
  }

  private groupFor({ elementName: label }: ControlRow, here: number): ProposedGroup {
    const known = this.groups.find(([, each]) => each.label === label);
    if (known) return { id: known[0], ...known[1] };
    const order = this.between(
      this.groups,
      this.near(here, (id) => this.groupOf.get(id) ?? undefined),
    );
    const id = newId();
    this.groups.push([id, { label, order }]);
    return { id, label, order };
  }

  /** What stands before a place on screen, and what behind it, by an id of what is exposed there. */
  private near(here: number, of: (property: string) => string | undefined) {
    const first = (indices: number[]) => {
      for (const i of indices) {
        const id = this.at[i];
        const found = id === undefined ? undefined : of(id);
        if (found !== undefined) return found;
      }
      return undefined;
    };
    const all = [...this.at.keys()];
    return { above: first(all.slice(0, here).reverse()), below: first(all.slice(here + 1)) };
  }

  /** An order behind what stands above; where nothing does, before what stands below, else last. */
  private between(
    ordered: Ordered[],
    { above, below }: { above?: string; below?: string },
  ): string {
    ordered.sort(byOrder);
    const index = (id: string | undefined) =>
      id === undefined ? -1 : ordered.findIndex(([each]) => each === id);
    const behind = index(above);
    const next = behind >= 0 ? behind + 1 : index(below);
    const order = (i: number) => ordered[i]?.[1].order ?? null;
    if (next < 0) return orderBetween(order(ordered.length - 1), null);
    const [before, after] = [order(next - 1), order(next)];
    // Between equal orders, which two windows can make, there is no place.
    return before !== null && after !== null && before >= after
      ? orderBetween(order(ordered.length - 1), null)
      : orderBetween(before, after);
  }
}

function keyOf({ node, control }: ControlRow): string {
  return node + JSON.stringify(control);
}
