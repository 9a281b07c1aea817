import type { RecordField, SpecOf, TypeSpec, ValueKind } from '../types';
import { mapRecord, plain, type Naming } from './naming';

type Specs = {
  readonly [K in ValueKind]: (spec: SpecOf<K>, on: Naming) => SpecOf<K>;
};

/** What types of each kind name: what may be chosen, of which content type an entry must be. */
const SPECS: Specs = {
  text: plain,
  rich: plain,
  link: plain,
  image: plain,
  boolean: plain,
  number: plain,
  length: plain,
  colour: plain,
  choice: plain,
  date: plain,
  icon: plain,
  video: plain,
  tag: plain,
  action: plain,
  entry(spec, on) {
    if (spec.of === undefined) return spec;
    const of = on.named({ is: 'type', id: spec.of, by: 'choice' });
    if (of === spec.of) return spec;
    const { of: _, ...rest } = spec;
    return of === undefined ? rest : { ...rest, of };
  },
  entries(spec, on) {
    if (spec.of === undefined) return spec;
    const of = on.named({ is: 'type', id: spec.of, by: 'choice' });
    if (of === spec.of) return spec;
    const { of: _, ...rest } = spec;
    return of === undefined ? rest : { ...rest, of };
  },
  theme(spec, on) {
    const of = mapChoices(spec.of, (id) => on.named({ is: 'theme', id, by: 'choice' }));
    return of === spec.of ? spec : { ...spec, of };
  },
  style(spec, on) {
    const of = mapChoices(spec.of, (id) => on.named({ is: 'style', id, by: 'choice' }));
    return of === spec.of ? spec : { ...spec, of };
  },
  list(spec, on) {
    const fields = mapRecord(spec.fields, [], (field: RecordField, _, id) => {
      const type = mapType(field.type, on) as RecordField['type'];
      return [id, type === field.type ? field : { ...field, type }];
    });
    return fields === spec.fields ? spec : { ...spec, fields };
  },
};

/** A type as it is named now; what may be chosen and means nothing there is left out of it. */
export function mapType<T extends TypeSpec>(spec: T, on: Naming): T {
  return (SPECS[spec.kind] as (spec: TypeSpec, on: Naming) => TypeSpec)(spec, on) as T;
}

function mapChoices(
  of: Readonly<Record<string, true>>,
  named: (id: string) => string | undefined,
): Record<string, true> {
  return mapRecord(of, [], (yes, _, id) => {
    const here = named(id);
    return here === undefined ? undefined : [here, yes];
  });
}
