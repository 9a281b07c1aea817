import type { Records } from '@sormet/core/edit';
import type { ReactNode } from 'react';
import { X } from 'lucide-react';
import { boundIn, literal, type Operator } from '@sormet/core/model';
import { asksNothing } from '@sormet/core/value';
import { useDerived, useSync } from '../../site/SiteProvider';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { fieldLabel, fittingFields } from '../../values/fields';
import { operatorsFor } from '../../values/operators';
import { ValueCell } from '../../values/ValueCell';
import type { Selected } from '../use-selected';
import { BoundTo } from '../BoundTo';
import { IconButton } from '../../parts/IconButton';
import { fieldOptions, pathLabel } from './field-options';

/** One condition of a repeat: a field, how it is compared, and with what. */
export function ConditionRow({
  selected,
  type,
  id,
  group,
}: {
  selected: Selected;
  type: Records;
  id: string;
  group: ReactNode;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const { doc, node } = selected;
  const condition = node.kind === 'repeat' ? node.query.where[id] : undefined;
  if (!condition) return null;
  const { path, source } = condition;
  const options = fieldOptions(documents, type);
  const field = options.find(({ value }) => value === path.join('/'));
  const set = (next: typeof condition | null) =>
    sync.edit({
      name: 'setQuery',
      args: { doc: doc.id, node: selected.id, set: { where: id, condition: next } },
    });
  const name = pathLabel(documents, type, path);
  const bound = boundIn(source);
  const isCompared = condition.is !== 'empty' && condition.is !== 'filled';
  return (
    <tr>
      {group}
      <th scope="row" className={condition.group === undefined ? undefined : 'in-group'}>
        condition
      </th>
      <td className="cell set wins">
        <ChoiceCell
          label="Field of the condition"
          chosen={field?.value}
          placeholder={name}
          options={options}
          onChoose={(value) => {
            const next = options.find((each) => each.value === value)!;
            set({
              path: next.path,
              is: operatorsFor(next.type)[0]!.value,
              source: next.empty,
              ...(condition.group === undefined ? {} : { group: condition.group }),
            });
          }}
        />
      </td>
      <td className="cell set wins">
        <ChoiceCell
          label={`${name}, how it is compared`}
          chosen={condition.is}
          options={operatorsFor(field?.type)}
          onChoose={(is) => set({ ...condition, is: is as Operator })}
        />
      </td>
      <td className={bound ? 'cell bound tight wins' : 'cell set wins tight'}>
        <div className="cell-with-actions">
          {field && !bound && isCompared ? (
            <ValueCell
              type={field.type}
              value={source.is === 'value' ? source : undefined}
              label={`${name}, compared with`}
              onChange={(value) => set({ ...condition, source: literal(value) })}
            />
          ) : null}
          {asksNothing(condition) ? (
            <span className="quiet asks-nothing">asks nothing yet: all of them</span>
          ) : null}
          {field && isCompared ? (
            <BoundTo
              label={`${name}, compared with`}
              fields={() => fittingFields(documents, doc, selected.id, field.type)}
              bound={bound}
              boundLabel={bound ? fieldLabel(documents, doc, bound) : ''}
              onBind={(next) => set({ ...condition, source: next })}
              onRelease={() => set({ ...condition, source: field.empty })}
              whenEmpty={['nothing']}
            />
          ) : null}
        </div>
      </td>
      <td className="tick">
        <IconButton
          icon={X}
          name={`${name}: no such condition`}
          title="Take the condition away"
          onPress={() => set(null)}
        />
      </td>
    </tr>
  );
}
