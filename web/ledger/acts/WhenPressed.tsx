import { useState, type ReactNode } from 'react';
import { X } from 'lucide-react';
import {
  inOrder,
  literal,
  newId,
  orderBetween,
  own,
  writtenIn,
  type Act,
  type ActsWhen,
  type ComponentDoc,
  type ElementNode,
  type NodeId,
  type Property,
  type PropertyId,
  type Typed,
} from '@sormet/core/model';
import type { NamedEdit } from '@sormet/core/edit';
import { valuesOfState } from '@sormet/core/value';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { IconButton } from '../../parts/IconButton';
import { useDerived, useSync } from '../../site/SiteProvider';
import { valueWords } from '../../words';

/** What an element of a definition does when it is pressed: one state after the other that is set. Nothing where there is no state. */
export function WhenPressed({
  component,
  id,
  node,
}: {
  component: ComponentDoc;
  id: NodeId;
  node: ElementNode;
}): ReactNode {
  const sync = useSync();
  const [fresh] = useState(newId);
  const states = inOrder(component.properties).filter(([, { state }]) => state !== undefined);
  const [pressed] = inOrder(node.whens ?? {}).filter(([, { on }]) => on === 'press');
  if (states.length === 0 && !pressed) return null;
  const when = pressed?.[0] ?? fresh;
  const acts: ActsWhen['acts'] = pressed?.[1].acts ?? {};
  const args = { component: component.id, node: id, when };
  const give = (act: string, set: Act | null) =>
    sync.edit({ name: 'setAct', args: { ...args, act, set } });
  const sorted = inOrder(acts);
  const add = (property: PropertyId) => {
    const order = orderBetween(sorted.at(-1)?.[1].order ?? null, null);
    const to = ways(component.properties[property]!)[0]!.to;
    const act: NamedEdit = {
      name: 'setAct',
      args: { ...args, act: newId(), set: { order, set: { is: 'property', property }, to } },
    };
    const first = orderBetween(null, null);
    const answering: NamedEdit = {
      name: 'setWhen',
      args: { ...args, set: { order: first, on: 'press' } },
    };
    if (pressed) sync.edit(act);
    else sync.editAll([answering, act]);
  };
  const choices = states.map(([value, { label }]) => ({ value, label }));
  return (
    <>
      {sorted.map(([act, made], i) => (
        <ActRow
          key={act}
          number={i + 1}
          act={made}
          component={component}
          states={choices}
          onGive={(set) => give(act, set)}
        />
      ))}
      <tr>
        <th scope="row">when pressed</th>
        <td className="cell">
          <ChoiceCell
            label="Set a state when it is pressed"
            chosen={undefined}
            placeholder={sorted.length === 0 ? 'set a state' : 'then set a state'}
            options={choices}
            onChoose={add}
          />
        </td>
        <td colSpan={2} />
      </tr>
    </>
  );
}

/** One act: which state, where to. */
function ActRow({
  number,
  act,
  component,
  states,
  onGive,
}: {
  number: number;
  act: Act;
  component: ComponentDoc;
  states: readonly { readonly value: string; readonly label: string }[];
  onGive: (set: Act | null) => void;
}): ReactNode {
  const { documents } = useDerived();
  const { set, to } = act;
  const property = set.is === 'property' ? set.property : '';
  const made = own(component.properties, property);
  const all = made ? ways(made) : [];
  const name = `Act ${number} when it is pressed`;
  return (
    <tr>
      <th scope="row">when pressed</th>
      <td className="cell definition">
        <ChoiceCell
          label={`${name}: the state`}
          chosen={property}
          placeholder="a state that is gone"
          options={states}
          onChoose={(other) =>
            onGive({
              ...act,
              set: { is: 'property', property: other },
              to: ways(component.properties[other]!)[0]!.to,
            })
          }
        />
      </td>
      <td className="cell definition">
        <ChoiceCell
          label={`${name}: set to`}
          chosen={keyOf(to)}
          placeholder="something that it cannot be any more"
          options={all.map((way) => ({
            value: way.key,
            label: way.words ?? (made && way.value ? wordsOf(made, way.value, documents) : ''),
          }))}
          onChoose={(key) => onGive({ ...act, to: all.find((way) => way.key === key)!.to })}
        />
      </td>
      <td className="tight">
        <IconButton
          icon={X}
          name={`${name}: take it away`}
          title="Take it away"
          onPress={() => onGive(null)}
        />
      </td>
    </tr>
  );
}

interface Way {
  readonly key: string;
  readonly to: Act['to'];
  readonly words?: string;
  readonly value?: Typed;
}

/** Everywhere a state can be set to: of two the other, else the next and the one before; and each that it can be. */
function ways({ type, state }: Property): Way[] {
  const going: Way[] =
    type.kind === 'boolean'
      ? [{ key: 'other', to: 'other', words: 'the other of yes and no' }]
      : [
          { key: 'next', to: 'next', words: 'the next' },
          { key: 'before', to: 'before', words: 'the one before' },
        ];
  const values = (state && valuesOfState(type, state)) ?? [];
  return [
    ...going,
    ...values.map((value): Way => {
      const to = { value: literal(value) };
      return { key: keyOf(to), to, value };
    }),
  ];
}

function keyOf(to: Act['to']): string {
  if (typeof to === 'string') return to;
  const value = writtenIn(to.value);
  return value ? `${value.type} ${JSON.stringify(value.value)}` : '';
}

function wordsOf(
  { type }: Property,
  value: Typed,
  documents: Parameters<typeof valueWords>[0],
): string {
  if (type.kind === 'choice' && typeof value.value === 'string')
    return own(type.options, value.value)?.label ?? '';
  return valueWords(documents, value);
}
