import { useState, type ReactNode } from 'react';
import { X } from 'lucide-react';
import {
  docOf,
  inOrder,
  newId,
  orderBetween,
  own,
  SWIPES,
  type Acts,
  type ActsWhen,
  type ComponentDoc,
  type ElementNode,
  type Happening,
  type NodeId,
  type TreeDoc,
} from '@sormet/core/model';
import { foldsIn, heardOf } from '@sormet/core/resolve';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { HeadedTable } from '../../parts/HeadedTable';
import { IconButton } from '../../parts/IconButton';
import { useDerived, useSync } from '../../site/SiteProvider';
import { ValueCell } from '../../values/ValueCell';
import type { Selected } from '../use-selected';
import { ActRows } from './ActRows';
import { HAPPENING_WORDS, whenWords } from './act-words';
import './acts.css';

const HEADS = [
  { name: 'When', width: 'act-when' },
  { name: 'Do', width: 'act-does' },
  { name: 'What', width: 'act-what' },
  { name: 'To', width: 'act-what' },
  { name: 'Only when', width: 'act-only' },
  { unseen: 'Further', width: 'act-further' },
];

/** What happens to something, and what is done then. Nothing runs on the canvas: the preview does. */
export function ActsLedger({ selected }: { selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const { doc, id, node, component, isRoot } = selected;
  const definition = docOf(documents, 'component', doc.id);
  if (selected.count > 1)
    return <p className="ledger-empty">Choose one of them to say what it does.</p>;
  if (node.kind === 'instance' && component)
    return <GivenActions doc={doc} id={id} node={node} component={component} />;
  if (node.kind !== 'element')
    return (
      <p className="ledger-empty">
        Only elements do something when something happens to them: choose the element around it.
      </p>
    );
  return (
    <>
      <WhensOf doc={doc} id={id} node={node} />
      {definition && isRoot ? <ByDefault component={definition} node={id} /> : null}
    </>
  );
}

const OFFERED: readonly Happening[] = [
  'press',
  'change',
  'key',
  'enter',
  'leave',
  'view',
  'time',
  'swipe',
  'begin',
];

function WhensOf({ doc, id, node }: { doc: TreeDoc; id: NodeId; node: ElementNode }): ReactNode {
  const sync = useSync();
  const [session] = useState(newId);
  const whens = inOrder(node.whens ?? {});
  const args = { doc: doc.id, node: id };
  const setWhen = (when: string, set: Omit<ActsWhen, 'acts'> | null, group: string | null = null) =>
    sync.edit({ name: 'setWhen', args: { ...args, when, set } }, { group });
  return (
    <HeadedTable label="What it does" className="ledger-table values acts" heads={HEADS}>
      {whens.map(([when, made]) => {
        const words = whenWords(made);
        const { acts: _, ...head } = made;
        return (
          <tbody key={when}>
            <tr className="act-head">
              <th scope="rowgroup">{words}</th>
              <td colSpan={4}>
                <WhenDetails
                  when={head}
                  onGive={(set, group) => setWhen(when, set, group ? `${session} ${when}` : null)}
                />
              </td>
              <td className="tight">
                <IconButton
                  icon={X}
                  name={`${words}: does nothing`}
                  title="Takes all of it away"
                  onPress={() => setWhen(when, null)}
                />
              </td>
            </tr>
            <ActRows
              label={words}
              doc={doc}
              node={id}
              of={`${doc.id} ${id} ${when}`}
              acts={made.acts}
              onGive={(acts, group) =>
                sync.edit(
                  { name: 'setActs', args: { ...args, when, ...changedActs(made.acts, acts) } },
                  { group: group === null ? null : `${session} ${when} ${group}` },
                )
              }
            />
          </tbody>
        );
      })}
      {whens.length > 0 ? <HeardRow doc={doc} node={node} /> : null}
      <tbody>
        <tr>
          <th scope="row" className="quiet">
            when …
          </th>
          <td className="cell" colSpan={5}>
            <ChoiceCell
              label="When something happens to it"
              chosen={undefined}
              placeholder={OFFERED.map((on) => HAPPENING_WORDS[on]).join(' · ')}
              options={OFFERED.map((on) => ({ value: on, label: HAPPENING_WORDS[on] }))}
              onChoose={(on) =>
                setWhen(newId(), {
                  order: orderBetween(whens.at(-1)?.[1].order ?? null, null),
                  on: on as Happening,
                  ...(on === 'key' ? { key: 'Enter' } : {}),
                  ...(on === 'time' ? { seconds: 5 } : {}),
                  ...(on === 'swipe' ? { way: 'left' as const } : {}),
                })
              }
            />
          </td>
        </tr>
      </tbody>
    </HeadedTable>
  );
}

/** What another window may have done to other acts stays: only those are said that changed. */
function changedActs(before: Acts, now: Acts): { set: Acts; gone: string[] } {
  return {
    set: Object.fromEntries(Object.entries(now).filter(([id, act]) => own(before, id) !== act)),
    gone: Object.keys(before).filter((id) => !own(now, id)),
  };
}

/** What is heard of an element that does something, by whoever does not see it. */
function HeardRow({ doc, node }: { doc: TreeDoc; node: ElementNode }): ReactNode {
  const said = heardWords(doc, node);
  if (said === '') return null;
  return (
    <tbody>
      <tr>
        <th scope="row">Heard</th>
        <td colSpan={5} className="quiet">
          {said}
        </td>
      </tr>
    </tbody>
  );
}

function heardWords(doc: TreeDoc, node: ElementNode): string {
  const isPressed = Object.values(node.whens ?? {}).some(({ on }) => on === 'press');
  const heard = heardOf(doc, node, foldsIn(doc));
  const label =
    heard && doc.kind === 'component' ? own(doc.properties, heard.property)?.label : undefined;
  const words = [
    isPressed && !isControl(node.tag)
      ? `a ${node.tag} is no control: keys reach it and press it all the same, but a button would be heard as one`
      : '',
    label === undefined
      ? ''
      : heard!.name === 'aria-expanded'
        ? `unfolded or not goes by ${label}`
        : `pressed or not goes by ${label}`,
  ];
  return words.filter(Boolean).join('; ');
}

/** What HTML makes something to press of (HTML Living Standard, 6.4.2). */
function isControl(tag: string): boolean {
  return ['a', 'button', 'input', 'select', 'textarea', 'summary', 'label'].includes(tag);
}

const LEAST_SECONDS = 0.1;
const MOST_SECONDS = 3600;
const SECONDS = { kind: 'number', least: LEAST_SECONDS, most: MOST_SECONDS } as const;

/** What is said of when something happens: which key, how often, to which side; whether it begins anew while it is being done. */
function WhenDetails({
  when,
  onGive,
}: {
  when: Omit<ActsWhen, 'acts'>;
  onGive: (when: Omit<ActsWhen, 'acts'>, isTyped: boolean) => void;
}): ReactNode {
  const { on } = when;
  return (
    <span className="when-details">
      {on === 'key' ? (
        <input
          className="plain-field"
          aria-label="Which key it is"
          title="Press the key"
          readOnly
          value={when.key === ' ' ? 'space' : (when.key ?? '')}
          onKeyDown={(event) => {
            if (['Tab', 'Shift', 'Control', 'Alt', 'Meta'].includes(event.key)) return;
            event.preventDefault();
            event.stopPropagation();
            onGive({ ...when, key: event.key }, false);
          }}
        />
      ) : null}
      {on === 'time' ? (
        <label>
          seconds{' '}
          <ValueCell
            type={SECONDS}
            label="After how many seconds"
            value={{ type: 'number', value: when.seconds ?? 5 }}
            onChange={({ value }) => {
              if (typeof value === 'number' && value >= LEAST_SECONDS && value <= MOST_SECONDS)
                onGive({ ...when, seconds: value }, true);
            }}
          />
        </label>
      ) : null}
      {on === 'swipe' ? (
        <ChoiceCell
          label="To which side"
          chosen={when.way ?? 'left'}
          options={SWIPES.map((value) => ({ value, label: `to the ${value}` }))}
          onChoose={(way) => onGive({ ...when, way: way as (typeof SWIPES)[number] }, false)}
        />
      ) : null}
      <label className="quiet">
        <input
          type="checkbox"
          checked={when.again === true}
          onChange={({ target }) => {
            const { again: _, ...rest } = when;
            onGive(target.checked ? { ...rest, again: true } : rest, false);
          }}
        />{' '}
        begins anew while it is being done
      </label>
    </span>
  );
}

/** The actions that an instance gives to its component: acts, written where it stands. */
function GivenActions({
  doc,
  id,
  node,
  component,
}: {
  doc: TreeDoc;
  id: NodeId;
  node: Extract<TreeDoc['nodes'][string], { kind: 'instance' }>;
  component: ComponentDoc;
}): ReactNode {
  const sync = useSync();
  const [session] = useState(newId);
  const actions = actionsOf(component);
  if (actions.length === 0)
    return (
      <p className="ledger-empty">
        {component.name} takes no action from outside. What it does by itself is said in its
        definition, which opens with <kbd>b</kbd>.
      </p>
    );
  return (
    <HeadedTable label="What it is given to do" className="ledger-table values acts" heads={HEADS}>
      {actions.map(([property, made]) => {
        const source = own(node.values, property);
        const acts: Acts = source?.is === 'acts' ? source.acts : {};
        return (
          <tbody key={property}>
            <tr className="act-head">
              <th scope="rowgroup" colSpan={2}>
                {made.label}
              </th>
              <td colSpan={4} className="quiet">
                {source?.is === 'property'
                  ? 'given by whoever places this definition'
                  : source
                    ? (made.help ?? '')
                    : made.default.is === 'acts'
                      ? 'as the definition says, unless something is said here'
                      : 'nothing yet'}
              </td>
            </tr>
            {source?.is === 'property' ? null : (
              <ActRows
                label={made.label}
                doc={doc}
                node={id}
                of={`${doc.id} ${id} ${property}`}
                acts={acts}
                onGive={(next, group) =>
                  sync.edit(
                    {
                      name: 'setControl',
                      args: {
                        doc: doc.id,
                        node: id,
                        control: { of: 'value', property },
                        source: Object.keys(next).length === 0 ? null : { is: 'acts', acts: next },
                      },
                    },
                    { group: group === null ? null : `${session} ${property} ${group}` },
                  )
                }
              />
            )}
          </tbody>
        );
      })}
    </HeadedTable>
  );
}

/** What a definition does where an instance gives it nothing else to do. */
function ByDefault({ component, node }: { component: ComponentDoc; node: NodeId }): ReactNode {
  const sync = useSync();
  const [session] = useState(newId);
  const actions = actionsOf(component);
  if (actions.length === 0) return null;
  return (
    <HeadedTable
      label="What is done where an instance gives nothing"
      className="ledger-table values acts"
      heads={HEADS}
    >
      {actions.map(([property, made]) => (
        <tbody key={property}>
          <tr className="act-head">
            <th scope="rowgroup" colSpan={2}>
              {made.label}
            </th>
            <td colSpan={4} className="quiet">
              where an instance gives nothing
            </td>
          </tr>
          <ActRows
            label={`${made.label}, by default`}
            doc={component}
            node={node}
            of={`${component.id} ${property}`}
            acts={made.default.is === 'acts' ? made.default.acts : {}}
            onGive={(acts, group) =>
              sync.edit(
                {
                  name: 'setDefault',
                  args: {
                    component: component.id,
                    property,
                    value:
                      Object.keys(acts).length === 0
                        ? { is: 'value', type: 'action', value: null }
                        : { is: 'acts', acts },
                  },
                },
                { group: group === null ? null : `${session} ${property} ${group}` },
              )
            }
          />
        </tbody>
      ))}
    </HeadedTable>
  );
}

function actionsOf({ properties }: ComponentDoc) {
  return inOrder(properties).filter(([, { type }]) => type.kind === 'action');
}
