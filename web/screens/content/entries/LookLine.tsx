import { useState, type ReactNode } from 'react';
import { Button, Checkbox, Input, Popover, Select } from 'antd';
import { ArrowDown, ArrowUp, Columns3, Filter, X } from 'lucide-react';
import {
  inOrder,
  literal,
  newId,
  orderAfterAll,
  orderBetween,
  own,
  type Condition,
  type FieldId,
  type TypeDoc,
  type View,
} from '@sormet/core/model';
import { emptyLiteral } from '@sormet/core/edit';
import { Dialog } from '../../../parts/Dialog';
import { IconButton } from '../../../parts/IconButton';
import { useSync } from '../../../site/SiteProvider';
import { ValueCell } from '../../../values/ValueCell';
import { operatorsFor } from '../../../values/operators';
import { allColumns, columnsOf, type Shown } from './columns';
import type { Look } from './use-look';

/** What is looked for and how: views that were kept, words, conditions, columns; and what makes a new entry. */
export function LookLine({
  type,
  look,
  onLook,
  shown,
  onShown,
  onUsual,
  onAdd,
  children,
}: {
  type: TypeDoc;
  look: Look;
  onLook: (look: Partial<Look>) => void;
  shown: Shown;
  onShown: (shown: Shown) => void;
  onUsual: () => void;
  onAdd: () => void;
  /** What brings content in and out. */
  children: ReactNode;
}): ReactNode {
  const conditions = Object.keys(look.where).length;
  return (
    <div className="look-line">
      <Views type={type} look={look} onLook={onLook} shown={shown} />
      <Input
        size="small"
        className="search"
        aria-label={`Find in ${type.plural}`}
        placeholder="find in all texts"
        allowClear
        value={look.find}
        onChange={({ target }) => onLook({ find: target.value })}
      />
      <Popover
        trigger="click"
        placement="bottomLeft"
        destroyOnHidden
        content={<Conditions type={type} look={look} onLook={onLook} />}
      >
        <Button size="small" icon={<Filter size={13} aria-hidden />}>
          {conditions === 0 ? 'Only where …' : `Only where (${conditions})`}
        </Button>
      </Popover>
      <Popover
        trigger="click"
        placement="bottomLeft"
        destroyOnHidden
        content={<ChosenColumns type={type} shown={shown} onShown={onShown} onUsual={onUsual} />}
      >
        <Button size="small" icon={<Columns3 size={13} aria-hidden />}>
          Columns
        </Button>
      </Popover>
      <span className="look-rest">
        {children}
        <Button size="small" type="primary" onClick={onAdd}>
          Add a {type.name.toLowerCase()}
        </Button>
      </span>
    </div>
  );
}

/** The views that were kept: chosen, and what is looked at now kept as one. */
function Views({
  type,
  look,
  onLook,
  shown,
}: {
  type: TypeDoc;
  look: Look;
  onLook: (look: Partial<Look>) => void;
  shown: Shown;
}): ReactNode {
  const sync = useSync();
  const [naming, setNaming] = useState<string | null>(null);
  const views = inOrder(type.views ?? {});
  const view = look.view === null ? undefined : own(type.views ?? {}, look.view);
  const keepAs = (id: string, label: string) => {
    const made: View = {
      label,
      order: own(type.views ?? {}, id)?.order ?? orderAfterAll(views.map(([, each]) => each)),
      columns: { ...shown },
      find: look.find,
      where: look.where,
      ...(look.any ? { any: true as const } : {}),
      sort: look.sort
        ? { by: { path: [look.sort.by], descending: look.sort.down, order: 'a0' } }
        : {},
    };
    if (sync.edit({ name: 'setView', args: { type: type.id, view: id, made } }))
      onLook({ view: id });
  };
  return (
    <>
      <Select
        size="small"
        className="views"
        aria-label="View"
        value={look.view ?? ''}
        popupMatchSelectWidth={false}
        options={[
          { value: '', label: `All ${type.plural.toLowerCase()}` },
          ...views.map(([value, { label }]) => ({ value, label })),
          { value: ' keep', label: 'Keep this view …' },
          ...(view
            ? [
                { value: ' again', label: `Keep it as “${view.label}” again` },
                { value: ' drop', label: `Drop the view “${view.label}”` },
              ]
            : []),
        ]}
        onSelect={(chosen) => {
          if (chosen === ' keep') setNaming('');
          else if (chosen === ' again' && view) keepAs(look.view!, view.label);
          else if (chosen === ' drop') {
            const args = { type: type.id, view: look.view!, made: null };
            if (sync.edit({ name: 'setView', args })) onLook({ view: null });
          } else onLook({ view: chosen === '' ? null : chosen });
        }}
      />
      <Dialog
        open={naming !== null}
        title="Keep this view"
        okText="Keep it"
        cancelText="Leave it"
        okButtonProps={{ disabled: (naming ?? '').trim() === '' }}
        onOk={() => {
          keepAs(newId(), naming!.trim());
          setNaming(null);
        }}
        onCancel={() => setNaming(null)}
      >
        <p>Its columns, what is found, and the order are kept for everybody, with an address.</p>
        <Input
          data-first=""
          aria-label="Name of the view"
          maxLength={120}
          value={naming ?? ''}
          onChange={({ target }) => setNaming(target.value)}
        />
      </Dialog>
    </>
  );
}

/** The conditions that entries must meet. */
function Conditions({
  type,
  look,
  onLook,
}: {
  type: TypeDoc;
  look: Look;
  onLook: (look: Partial<Look>) => void;
}): ReactNode {
  const fields = inOrder(type.fields).map(([value, { label }]) => ({ value, label }));
  const put = (id: string, condition: Condition | undefined) => {
    const { [id]: _, ...rest } = look.where;
    onLook({ where: condition ? { ...rest, [id]: condition } : rest });
  };
  const entries = Object.entries(look.where);
  return (
    <div className="conditions" role="group" aria-label="Conditions">
      {entries.length > 1 ? (
        <Select
          size="small"
          aria-label="How many must hold"
          value={look.any ? 'any' : 'all'}
          options={[
            { value: 'all', label: 'all of these hold' },
            { value: 'any', label: 'any of these holds' },
          ]}
          onChange={(of) => onLook({ any: of === 'any' })}
        />
      ) : null}
      {entries.map(([id, condition]) => (
        <ConditionLine
          key={id}
          type={type}
          fields={fields}
          condition={condition}
          onPut={(next) => put(id, next)}
        />
      ))}
      <Button
        size="small"
        onClick={() => {
          const field = type.fields[type.title]!;
          put(newId(), {
            path: [type.title],
            is: 'contains',
            source: emptyLiteral(field.type),
          });
        }}
      >
        Add a condition
      </Button>
    </div>
  );
}

function ConditionLine({
  type,
  fields,
  condition,
  onPut,
}: {
  type: TypeDoc;
  fields: { value: string; label: string }[];
  condition: Condition;
  onPut: (condition: Condition | undefined) => void;
}): ReactNode {
  const id = condition.path[0]!;
  const field = own(type.fields, id);
  const operators = operatorsFor(field?.type);
  const isCompared = condition.is !== 'empty' && condition.is !== 'filled';
  const label = field?.label ?? 'a field that is gone';
  return (
    <div className="condition-line">
      <Select
        size="small"
        aria-label="Field of the condition"
        value={id}
        popupMatchSelectWidth={false}
        options={field ? fields : [...fields, { value: id, label }]}
        onChange={(next: FieldId) => {
          const spec = type.fields[next]!.type;
          onPut({ path: [next], is: operatorsFor(spec)[0]!.value, source: emptyLiteral(spec) });
        }}
      />
      <Select
        size="small"
        aria-label={`${label}, how it is compared`}
        value={condition.is}
        popupMatchSelectWidth={false}
        options={[...operators]}
        onChange={(is) => onPut({ ...condition, is })}
      />
      {isCompared && field ? (
        <span className="condition-value">
          <ValueCell
            type={field.type}
            value={condition.source.is === 'value' ? condition.source : undefined}
            label={`${label}, compared with`}
            onChange={(value) => onPut({ ...condition, source: literal(value) })}
          />
        </span>
      ) : (
        <span />
      )}
      <IconButton
        icon={X}
        name={`No condition on ${label}`}
        title="Take the condition away"
        onPress={() => onPut(undefined)}
      />
    </div>
  );
}

/** Which columns are shown, and in which order. */
function ChosenColumns({
  type,
  shown,
  onShown,
  onUsual,
}: {
  type: TypeDoc;
  shown: Shown;
  onShown: (shown: Shown) => void;
  onUsual: () => void;
}): ReactNode {
  const on = columnsOf(type, shown);
  const off = allColumns(type).filter(({ id }) => !own(shown, id));
  const step = (id: string, by: -1 | 1) => {
    const ids = on.map((each) => each.id).filter((each) => each !== type.title);
    const to = ids.indexOf(id) + by;
    if (to < 0 || to >= ids.length) return;
    ids.splice(to, 0, ...ids.splice(ids.indexOf(id), 1));
    let last: string | null = null;
    const next: Record<string, Shown[string]> = {};
    for (const each of [type.title, ...ids]) {
      const order = orderBetween(last, null);
      last = order;
      next[each] = { ...own(shown, each), order };
    }
    onShown(next);
  };
  return (
    <div className="chosen-columns" role="group" aria-label="Columns">
      {[...on, ...off].map(({ id, label }) => {
        const isOn = own(shown, id) !== undefined;
        const isTitle = id === type.title;
        return (
          <div key={id} className="chosen-column">
            <Checkbox
              checked={isOn}
              disabled={isTitle}
              onChange={({ target }) => {
                const { [id]: _, ...rest } = shown;
                const order = orderAfterAll(Object.values(shown));
                onShown(target.checked ? { ...rest, [id]: { order } } : rest);
              }}
            >
              {label}
            </Checkbox>
            {isOn && !isTitle ? (
              <span className="cell-actions">
                <IconButton
                  icon={ArrowUp}
                  name={`${label}: further left`}
                  title="Further left"
                  onPress={() => step(id, -1)}
                />
                <IconButton
                  icon={ArrowDown}
                  name={`${label}: further right`}
                  title="Further right"
                  onPress={() => step(id, 1)}
                />
              </span>
            ) : null}
          </div>
        );
      })}
      <Button size="small" type="text" onClick={onUsual}>
        As they were at first
      </Button>
    </div>
  );
}
