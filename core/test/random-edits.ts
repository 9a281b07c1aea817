import { plant, runEdit, isRefusal, applyChanges, controlsOf, keyFor, STARTERS } from '../edit';
import type { Change, NamedEdit } from '../edit';
import {
  allOf,
  placeAt,
  rootOf,
  text,
  type Documents,
  type TreeDoc,
  type TypeDoc,
  type Typed,
} from '../model';
import { counter } from './small-site';

/** Numbers that choose: each call takes the next, so that a run of edits is a list of numbers. */
class Choices {
  private at = 0;

  constructor(private readonly numbers: readonly number[]) {}

  below(limit: number): number {
    const number = this.numbers[this.at % this.numbers.length] ?? 0;
    this.at += 1;
    return limit === 0 ? 0 : number % limit;
  }

  of<T>(list: readonly T[]): T | undefined {
    return list[this.below(list.length)];
  }
}

const WORDS = ['mend', 'a & b', '<i>not markup</i>', 'a "quoted" thing', '', 'long '.repeat(20)];
const DECLARATIONS: readonly [string, string][] = [
  ['padding', '10px 20px'],
  ['color', '#123456'],
  ['font-size', '2rem'],
  ['margin-top', '1em'],
  ['display', 'grid'],
  ['border', '1px solid red'],
];

/** An edit somebody might make on these documents, chosen by numbers. It may be refused. */
export function chooseEdit(
  documents: Documents,
  numbers: readonly number[],
  step: number,
): NamedEdit {
  const choices = new Choices(numbers);
  const id = counter(`r${step}x${numbers[0] ?? 0}x`);
  const trees: TreeDoc[] = [...allOf(documents, 'page'), ...allOf(documents, 'component')];
  const doc = choices.of(trees)!;
  const nodes = Object.keys(doc.nodes).sort();
  const node = choices.of(nodes)!;
  const anyPlace = () => {
    const parent = choices.of(nodes)!;
    const stored = doc.nodes[parent]!;
    const slot =
      stored.kind === 'instance' ? choices.of(slotsOf(documents, stored.component)) : undefined;
    return placeAt(doc.nodes, parent, choices.below(5), slot);
  };
  switch (choices.below(12)) {
    case 0: {
      const { root, nodes: placed } = plant(choices.of(STARTERS)!.branch(), anyPlace(), id);
      return { name: 'place', args: { doc: doc.id, root, nodes: placed } };
    }
    case 1:
      return { name: 'move', args: { doc: doc.id, node, place: anyPlace() } };
    case 2:
      return { name: 'remove', args: { doc: doc.id, node } };
    case 3:
      return {
        name: 'nameNode',
        args: { doc: doc.id, node, name: choices.of(WORDS)!.slice(0, 40) },
      };
    case 4:
    case 5: {
      const row = choices.of(controlsOf(documents, doc));
      if (!row) break;
      const source =
        row.type === 'text'
          ? text(choices.of(WORDS)!)
          : row.type === 'boolean'
            ? ({ is: 'value', type: 'boolean', value: choices.below(2) === 0 } as const)
            : row.byDefault;
      return {
        name: 'setControl',
        args: { doc: doc.id, node: row.node, control: row.control, source },
      };
    }
    case 6: {
      const [property, css] = choices.of(DECLARATIONS)!;
      const width = choices.of(['base', 'w960', 'w600', 'w900'])!;
      const value = choices.below(3) === 0 ? null : css;
      return { name: 'declare', args: { doc: doc.id, node, property, width, css: value } };
    }
    case 7:
      return {
        name: 'makeComponent',
        args: {
          doc: doc.id,
          node,
          name: `Sections/Made ${step}`,
          component: id(),
          instance: id(),
          ids: Array.from({ length: 30 }, id),
        },
      };
    case 8: {
      const component = choices.of(allOf(documents, 'component'))!;
      const rows = controlsOf(documents, component).filter(
        ({ source }) => source?.is !== 'property',
      );
      const row = choices.of(rows);
      if (!row) break;
      const keys = new Set(Object.values(component.properties).map(({ key }) => key));
      return {
        name: 'expose',
        args: {
          component: component.id,
          controls: [
            {
              node: row.node,
              control: row.control,
              property: id(),
              label: row.label,
              key: keyFor(row.label, keys),
              order: 'b0',
              group: { id: id(), label: row.elementName, order: 'b0' },
            },
          ],
        },
      };
    }
    case 9: {
      const component = choices.of(allOf(documents, 'component'))!;
      const property = choices.of(Object.keys(component.properties).sort());
      if (property === undefined) break;
      return { name: 'unexpose', args: { component: component.id, property } };
    }
    case 10: {
      const entry = choices.of(allOf(documents, 'entry'));
      const type = entry && (documents[entry.type] as TypeDoc);
      const field = type && choices.of(Object.keys(type.fields).sort());
      if (!entry || !field) break;
      const value: Typed | null =
        type.fields[field]!.type === 'text' && choices.below(4) > 0
          ? { type: 'text', value: choices.of(WORDS)! }
          : null;
      return { name: 'setField', args: { entry: entry.id, field, value } };
    }
    case 11: {
      const page = choices.of(allOf(documents, 'page'))!;
      return choices.below(2) === 0
        ? { name: 'setPage', args: { page: page.id, set: { draft: choices.below(3) === 0 } } }
        : {
            name: 'setPath',
            args: { page: page.id, path: `/moved-${step}${page.entries ? '/<slug>' : ''}` },
          };
    }
  }
  return { name: 'nameNode', args: { doc: doc.id, node: rootOf(doc.nodes), name: 'root' } };
}

function slotsOf(documents: Documents, component: string): string[] {
  const doc = documents[component];
  return doc?.kind === 'component' ? Object.keys(doc.slots).sort() : [];
}

/** One edit that was done in a run. */
export interface Done {
  readonly edit: NamedEdit;
  readonly changes: Change[];
  readonly before: Documents;
  readonly after: Documents;
}

/** Runs edits chosen by lists of numbers, leaving out those that are refused. */
export function runEdits(start: Documents, steps: readonly (readonly number[])[]): Done[] {
  const done: Done[] = [];
  let documents = start;
  steps.forEach((numbers, step) => {
    const edit = chooseEdit(documents, numbers, step);
    const changes = runEdit(documents, edit);
    if (isRefusal(changes)) return;
    const after = applyChanges(documents, changes);
    done.push({ edit, changes, before: documents, after });
    documents = after;
  });
  return done;
}
