import type { ReactNode } from 'react';
import {
  LINK,
  literal,
  NUMBER,
  own,
  repeatsAround,
  TEXT,
  withDescendants,
  rootOf,
  docOf,
  inOrder,
  type Act,
  type NodeId,
  type SetAct,
  type TreeDoc,
} from '@sormet/core/model';
import { nodeName, OF_MANY, stateOf } from '@sormet/core/edit';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { useDerived } from '../../site/SiteProvider';
import { sourceWords } from '../../values/source-words';
import { GivenSource } from './GivenSource';
import { keyOfState, keyOfTo, statesFor, waysOf } from './state-ways';

interface CellProps {
  readonly label: string;
  readonly doc: TreeDoc;
  readonly node: NodeId;
  /** What tells the words of this act from others. */
  readonly of: string;
  readonly act: Act;
  readonly onGive: (act: Act, group?: string | null) => void;
}

/** What an act is about: a state, an action, an element, an address, words. */
export function WhatCell({ label, doc, node, of, act, onGive }: CellProps): ReactNode {
  const { documents } = useDerived();
  const given = { label: `${label}: what`, doc, node, of: `${of} what` };
  switch (act.do) {
    case 'set': {
      const states = statesFor(documents, doc, node);
      return (
        <ChoiceCell
          label={given.label}
          chosen={keyOfState(act.state)}
          placeholder="a state that is gone"
          options={states}
          onChoose={(chosen) => {
            const { state, property } = states.find(({ value }) => value === chosen)!;
            const to = waysOf(documents, property)[0]?.to ?? { value: property.default };
            onGive({ ...act, state, to });
          }}
        />
      );
    }
    case 'action': {
      const component = docOf(documents, 'component', doc.id);
      const actions = inOrder(component?.properties ?? {}).filter(
        ([, { type }]) => type.kind === 'action',
      );
      return (
        <ChoiceCell
          label={given.label}
          chosen={act.action.is === 'property' ? act.action.property : undefined}
          placeholder={sourceWords(documents, doc, act.action)}
          options={actions.map(([value, made]) => ({ value, label: made.label }))}
          onChoose={(property) => onGive({ ...act, action: { is: 'property', property } })}
        />
      );
    }
    case 'go':
      return (
        <GivenSource
          {...given}
          wanted={LINK}
          source={act.to}
          placeholder="where to"
          onGive={(to, group) => onGive({ ...act, to }, group)}
        />
      );
    case 'copy':
      return (
        <GivenSource
          {...given}
          wanted={TEXT}
          source={act.words}
          placeholder="which words"
          onGive={(words, group) => onGive({ ...act, words }, group)}
        />
      );
    case 'ask':
      return (
        <GivenSource
          {...given}
          wanted={TEXT}
          source={act.address}
          placeholder="/path or https://…"
          onGive={(address, group) => onGive({ ...act, address }, group)}
        />
      );
    case 'wait':
      return (
        <span className="act-seconds">
          <GivenSource
            {...given}
            wanted={NUMBER}
            source={act.seconds}
            onGive={(seconds, group) => onGive({ ...act, seconds }, group)}
          />
          <span className="quiet">s</span>
        </span>
      );
    default: {
      const elements = elementsFor(doc, node, act.do);
      return (
        <ChoiceCell
          label={given.label}
          chosen={act.node}
          placeholder="an element that is gone"
          options={elements.map((value) => ({
            value,
            label: nodeName(documents, doc.nodes[value]!, doc),
          }))}
          onChoose={(chosen) => onGive({ ...act, node: chosen })}
        />
      );
    }
  }
}

/** What somebody fills in. */
const FIELDS: ReadonlySet<string> = new Set(['input', 'select', 'textarea']);

/**
 * The elements of a document to which an act of a place can be done: those that are one there; of what is focused or scrolled
 * to, also those of which there are several, one of them current; of what is sent, forms.
 */
export function elementsFor(doc: TreeDoc, node: NodeId, does?: Act['do']): NodeId[] {
  const around = new Set(repeatsAround(doc, node));
  return withDescendants(doc.nodes, rootOf(doc.nodes)).filter((id) => {
    const element = own(doc.nodes, id);
    if (element?.kind !== 'element' || (does === 'send' && element.tag !== 'form')) return false;
    return (
      (does !== undefined && OF_MANY.has(does)) ||
      repeatsAround(doc, id).every((repeat) => around.has(repeat))
    );
  });
}

/** Where to: what a state is set to, how something is asked. */
export function ToCell(props: CellProps): ReactNode {
  const { label, act, onGive } = props;
  if (act.do === 'set') return <SetTo {...props} act={act} />;
  if (act.do !== 'ask') return null;
  return (
    <ChoiceCell
      label={`${label}: how it is asked`}
      chosen={act.post ? 'post' : 'get'}
      options={[
        { value: 'get', label: 'to read' },
        { value: 'post', label: 'to change something' },
      ]}
      onChoose={(how) => {
        const { post: _, ...rest } = act;
        onGive(how === 'post' ? { ...rest, post: true } : rest);
      }}
    />
  );
}

function SetTo({ label, doc, node, of, act, onGive }: CellProps & { act: SetAct }): ReactNode {
  const { documents } = useDerived();
  const property = stateOf(documents, doc.id, act.state);
  if (!property) return null;
  const { to } = act;
  const ways = waysOf(documents, property);
  const isWords = property.type.kind === 'text';
  const key = keyOfTo(to);
  const fields = elementsFor(doc, node).filter((id) => {
    const element = doc.nodes[id]!;
    return element.kind === 'element' && FIELDS.has(element.tag);
  });
  const options = [
    ...ways.map((way) => ({ value: way.key, label: way.words })),
    { value: 'answer', label: 'what was answered' },
    ...(fields.length > 0 ? [{ value: 'field', label: 'what a field says' }] : []),
    { value: 'source', label: isWords ? 'words' : 'another value' },
  ];
  const isListed = ways.some((way) => way.key === key);
  const chosen = isListed || key === 'answer' || key === 'field' ? key : 'source';
  return (
    <span className="act-to">
      <ChoiceCell
        label={`${label}: to`}
        chosen={chosen}
        options={options}
        onChoose={(next) => {
          if (next === 'answer') return onGive({ ...act, to: { answer: 'said' } });
          if (next === 'field') return onGive({ ...act, to: { field: fields[0]! } });
          const way = ways.find((each) => each.key === next);
          onGive({ ...act, to: way?.to ?? { value: property.default } });
        }}
      />
      {typeof to === 'object' && 'answer' in to ? (
        <input
          className="plain-field"
          aria-label={`${label}: under which name it was answered`}
          maxLength={100}
          value={to.answer}
          onChange={({ target: { value } }) => {
            if (value !== '') onGive({ ...act, to: { answer: value } }, 'answer');
          }}
        />
      ) : typeof to === 'object' && 'field' in to ? (
        <ChoiceCell
          label={`${label}: which field`}
          chosen={to.field}
          placeholder="a field that is gone"
          options={fields.map((value) => ({
            value,
            label: nodeName(documents, doc.nodes[value]!, doc),
          }))}
          onChoose={(field) => onGive({ ...act, to: { field } })}
        />
      ) : typeof to === 'object' && chosen === 'source' ? (
        <GivenSource
          label={`${label}: to which`}
          doc={doc}
          node={node}
          of={`${of} to`}
          wanted={property.type}
          source={to.value}
          onGive={(value, group) => onGive({ ...act, to: { value } }, group)}
        />
      ) : null}
    </span>
  );
}

/** An act as it begins, of a kind that can be done where a node stands; nothing where it cannot. */
export function newAct(
  kind: Act['do'],
  order: string,
  states: ReturnType<typeof statesFor>,
  actions: readonly string[],
  elements: (does: Act['do']) => readonly NodeId[],
  ways: (state: ReturnType<typeof statesFor>[number]) => SetAct['to'],
): Act | undefined {
  const words = literal({ type: 'text', value: '' });
  switch (kind) {
    case 'set': {
      const [state] = states;
      return state && { order, do: kind, state: state.state, to: ways(state) };
    }
    case 'action': {
      const [property] = actions;
      return property === undefined
        ? undefined
        : { order, do: kind, action: { is: 'property', property } };
    }
    case 'go':
      return { order, do: kind, to: literal({ type: 'link', value: null }) };
    case 'copy':
      return { order, do: kind, words };
    case 'ask':
      return { order, do: kind, address: literal({ type: 'text', value: '/' }) };
    case 'wait':
      return { order, do: kind, seconds: literal({ type: 'number', value: 1 }) };
    default: {
      const [element] = elements(kind);
      return element === undefined ? undefined : { order, do: kind, node: element };
    }
  }
}
