import { inOrder, own, type FieldId, type TypeDoc } from '@sormet/core/model';
import type { Standing } from '../../../parts/grouped/standing';
import type { SiteSync } from '../../../site/sync';

/**
 * The fields of a content type as they stand.
 * @param order all of them, across groups
 */
export function standingOfFields(
  type: TypeDoc,
  order: readonly FieldId[],
  sync: Pick<SiteSync, 'edit'>,
): Standing {
  const { id, fields, groups = {} } = type;
  return {
    order,
    groups: inOrder(groups).map(([group, made]) => ({ id: group, ...made })),
    labelOf: (field) => own(fields, field)?.label ?? '',
    groupOf: (field) => own(fields, field)?.group ?? null,
    put: (field, group, before) =>
      void sync.edit({
        name: 'setTypeField',
        args: { type: id, field, set: { place: { group, before } } },
      }),
    putGroup: (group, before) =>
      void sync.edit({ name: 'setTypeGroup', args: { type: id, group, set: { before } } }),
  };
}
