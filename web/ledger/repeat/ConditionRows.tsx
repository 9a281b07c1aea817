import type { ReactNode } from 'react';
import { X } from 'lucide-react';
import type { Records } from '@sormet/core/edit';
import { newId, own, type Query } from '@sormet/core/model';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { IconButton } from '../../parts/IconButton';
import { useDerived } from '../../site/SiteProvider';
import { operatorsFor } from '../../values/operators';
import { GroupCell } from '../GroupCell';
import type { Selected } from '../use-selected';
import { AddRow } from './AddRow';
import { ConditionRow } from './ConditionRow';
import { fieldOptions } from './field-options';
import type { SetQuery } from './set-query';

const ALL_OR_ANY = [
  { value: 'all', label: 'all of these hold' },
  { value: 'any', label: 'any of these holds' },
];

/** Which of the items a repeat shows: conditions, and groups of them, of which all must hold or any will do. */
export function ConditionRows({
  selected,
  query,
  type,
  onSet,
}: {
  selected: Selected;
  query: Query;
  type: Records;
  onSet: (set: SetQuery) => void;
}): ReactNode {
  const { documents } = useDerived();
  const groups = query.groups ?? {};
  const standsIn = (id: string | undefined) =>
    id !== undefined && own(groups, id) ? id : undefined;
  const inGroup = (group: string | undefined) =>
    Object.keys(query.where)
      .sort()
      .filter((id) => standsIn(query.where[id]!.group) === group);
  const add = (group: string | undefined) => {
    const [first] = fieldOptions(documents, type);
    if (!first) return;
    onSet({
      where: newId(),
      condition: {
        path: first.path,
        is: operatorsFor(first.type)[0]!.value,
        source: first.empty,
        ...(group === undefined ? {} : { group }),
      },
    });
  };
  const top = inGroup(undefined);
  const named = Object.keys(groups).sort();
  const isSeveral = top.length + named.length > 1;
  return (
    <>
      <tbody>
        {isSeveral ? (
          <tr>
            <GroupCell label="Only where" rows={top.length + 2} />
            <th scope="row">how many</th>
            <td className="cell set wins" colSpan={4}>
              <ChoiceCell
                label="How many conditions must hold"
                chosen={query.any ? 'any' : 'all'}
                options={ALL_OR_ANY}
                onChoose={(of) => onSet({ any: of === 'any' })}
              />
            </td>
          </tr>
        ) : null}
        {top.map((condition, i) => (
          <ConditionRow
            key={condition}
            selected={selected}
            type={type}
            id={condition}
            group={
              i === 0 && !isSeveral ? <GroupCell label="Only where" rows={top.length + 1} /> : null
            }
          />
        ))}
        <tr>
          {top.length === 0 && !isSeveral ? <GroupCell label="Only where" rows={1} /> : null}
          <td colSpan={5}>
            <AddRow
              words={
                top.length + named.length === 0 ? 'all of them; add a condition' : 'add a condition'
              }
              onAdd={() => add(undefined)}
            />{' '}
            {top.length > 0 ? (
              <AddRow
                words="add a group"
                onAdd={() => onSet({ group: newId(), made: { of: query.any ? 'all' : 'any' } })}
              />
            ) : null}
          </td>
        </tr>
      </tbody>
      {named.map((id) => {
        const conditions = inGroup(id);
        return (
          <tbody key={id}>
            <tr>
              <GroupCell
                label={groups[id]!.of === 'any' ? 'Any of' : 'All of'}
                rows={conditions.length + 2}
              />
              <th scope="row">group</th>
              <td className="cell set wins" colSpan={3}>
                <ChoiceCell
                  label="How many of the group must hold"
                  chosen={groups[id]!.of}
                  options={ALL_OR_ANY}
                  onChoose={(of) =>
                    onSet({ group: id, made: { ...groups[id]!, of: of as 'all' | 'any' } })
                  }
                />
              </td>
              <td className="tick">
                <IconButton
                  icon={X}
                  name="No such group"
                  title="Take the group away, with its conditions"
                  onPress={() => onSet({ group: id, made: null })}
                />
              </td>
            </tr>
            {conditions.map((condition) => (
              <ConditionRow
                key={condition}
                selected={selected}
                type={type}
                id={condition}
                group={null}
              />
            ))}
            <tr>
              <td colSpan={5}>
                <AddRow words="add a condition to the group" onAdd={() => add(id)} />
              </td>
            </tr>
          </tbody>
        );
      })}
    </>
  );
}
