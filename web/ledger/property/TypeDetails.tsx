import { useState, type ReactNode } from 'react';
import { Button, Checkbox, Form, Input } from 'antd';
import { NumberField } from '../../values/NumberField';
import { useSayLost } from '../../values/use-say-lost';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import {
  allOf,
  inOrder,
  kindOnly,
  newId,
  orderBetween,
  own,
  PLAIN_THEME,
  tagFamily,
  type Documents,
  type SpecOf,
  type TypeSpec,
  type ValueKind,
} from '@sormet/core/model';
import { keyFor } from '@sormet/core/edit';
import { Dialog } from '../../parts/Dialog';
import { useDerived } from '../../site/SiteProvider';
import { chosenOptions, KIND_WORDS } from '../../words';
import { ChoiceCell } from '../../parts/ChoiceCell';

const HAS_DETAILS: ReadonlySet<ValueKind> = new Set([
  'text',
  'number',
  'choice',
  'list',
  'tag',
  'theme',
  'style',
  'entry',
  'entries',
]);

/** Whether there is anything to say of a type beside its kind. */
export function hasDetails({ kind }: TypeSpec): boolean {
  return HAS_DETAILS.has(kind);
}

/** What narrows a type: limits, options, fields, what is allowed. Given as a whole, so that what becomes of values is seen first. */
export function TypeDetails({
  label,
  type,
  onDone,
  onClose,
}: {
  label: string;
  type: TypeSpec;
  onDone: (type: TypeSpec) => void;
  onClose: () => void;
}): ReactNode {
  const [draft, setDraft] = useState<TypeSpec>(type);
  return (
    <Dialog
      open
      width={560}
      title={`${label}: ${KIND_WORDS[type.kind]}`}
      okText="Go on"
      cancelText="Leave it"
      onOk={() => onDone(draft)}
      onCancel={onClose}
    >
      <Details type={draft} onChange={setDraft} />
    </Dialog>
  );
}

function Details({
  type,
  onChange,
}: {
  type: TypeSpec;
  onChange: (type: TypeSpec) => void;
}): ReactNode {
  const { documents } = useDerived();
  const { language } = documents.site;
  const sayLost = useSayLost();
  switch (type.kind) {
    case 'text':
      return (
        <Form layout="vertical">
          <Form.Item label="Longest text, in characters">
            <NumberField
              lost={sayLost}
              first
              label="Longest text"
              language={language}
              least={1}
              most={20000}
              whole
              value={type.longest ?? null}
              onChange={(longest) =>
                onChange(longest === null ? { kind: 'text' } : { kind: 'text', longest })
              }
            />
          </Form.Item>
        </Form>
      );
    case 'number': {
      const with_ = (name: 'least' | 'most', value: number | null) => {
        const { [name]: _, ...rest } = type;
        onChange(value === null ? rest : { ...rest, [name]: value });
      };
      return (
        <Form layout="vertical">
          <Form.Item label="Smallest">
            <NumberField
              lost={sayLost}
              first
              label="Smallest number"
              language={language}
              value={type.least ?? null}
              onChange={(value) => with_('least', value)}
            />
          </Form.Item>
          <Form.Item label="Largest">
            <NumberField
              lost={sayLost}
              label="Largest number"
              language={language}
              value={type.most ?? null}
              onChange={(value) => with_('most', value)}
            />
          </Form.Item>
        </Form>
      );
    }
    case 'choice':
      return <Options type={type} onChange={onChange} />;
    case 'list':
      return <Fields type={type} onChange={onChange} />;
    case 'entry':
    case 'entries':
      return (
        <ChoiceCell
          label="Content type"
          chosen={type.of ?? ''}
          options={[
            { value: '', label: 'any content type' },
            ...allOf(documents, 'type').map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChoose={(of) => onChange(of === '' ? { kind: type.kind } : { kind: type.kind, of })}
        />
      );
    case 'tag':
    case 'theme':
    case 'style':
      return (
        <div className="type-allowed" role="group" aria-label="Allowed">
          {chosenOptions(documents, { kind: type.kind, of: everyOption(documents, type) }).map(
            ({ value, label }) => (
              <Checkbox
                key={value}
                checked={own(type.of, value) === true}
                onChange={({ target }) => {
                  const { [value]: _, ...rest } = type.of;
                  onChange({ ...type, of: target.checked ? { ...rest, [value]: true } : rest });
                }}
              >
                {label}
              </Checkbox>
            ),
          )}
        </div>
      );
    default:
      return null;
  }
}

/** Everything that could be allowed: the family of the tags, every theme, every shared style. */
function everyOption(
  documents: Documents,
  type: SpecOf<'tag' | 'theme' | 'style'>,
): Record<string, true> {
  const all =
    type.kind === 'tag'
      ? Object.keys(type.of).flatMap((tag) => tagFamily(tag))
      : type.kind === 'theme'
        ? [PLAIN_THEME, ...Object.keys(documents.tokens.themes ?? {})]
        : allOf(documents, 'style').map(({ id }) => id);
  return Object.fromEntries([...Object.keys(type.of), ...all].map((each) => [each, true as const]));
}

/** The options of a choice: those that go stay stored as gone, so that what holds one can come back. */
function Options({
  type,
  onChange,
}: {
  type: SpecOf<'choice'>;
  onChange: (type: TypeSpec) => void;
}): ReactNode {
  const [label, setLabel] = useState('');
  const rows = inOrder(type.options).filter(([, { gone }]) => gone === undefined);
  const give = (options: SpecOf<'choice'>['options']) => onChange({ ...type, options });
  const add = () => {
    if (label.trim() === '') return;
    const order = orderBetween(inOrder(type.options).at(-1)?.[1].order ?? null, null);
    give({ ...type.options, [newId()]: { label: label.trim(), order } });
    setLabel('');
  };
  return (
    <>
      <Lines
        rows={rows.map(([id, option]) => ({ id, label: option.label, order: option.order }))}
        onLabel={(id, next) =>
          give({ ...type.options, [id]: { ...type.options[id]!, label: next } })
        }
        onOrder={(id, order) => give({ ...type.options, [id]: { ...type.options[id]!, order } })}
        onRemove={(id) => give({ ...type.options, [id]: { ...type.options[id]!, gone: true } })}
      />
      <Adding label="A new option" value={label} onChange={setLabel} onAdd={add} />
    </>
  );
}

/** The fields of a list's records. */
function Fields({
  type,
  onChange,
}: {
  type: SpecOf<'list'>;
  onChange: (type: TypeSpec) => void;
}): ReactNode {
  const [label, setLabel] = useState('');
  const rows = inOrder(type.fields);
  const give = (fields: SpecOf<'list'>['fields']) => onChange({ ...type, fields });
  const add = () => {
    if (label.trim() === '') return;
    const keys = new Set(rows.map(([, { key }]) => key));
    const order = orderBetween(rows.at(-1)?.[1].order ?? null, null);
    const made = {
      label: label.trim(),
      key: keyFor(label, keys),
      order,
      type: { kind: 'text' as const },
    };
    give({ ...type.fields, [newId()]: made });
    setLabel('');
  };
  return (
    <>
      <Lines
        rows={rows.map(([id, field]) => ({ id, label: field.label, order: field.order }))}
        onLabel={(id, next) => give({ ...type.fields, [id]: { ...type.fields[id]!, label: next } })}
        onOrder={(id, order) => give({ ...type.fields, [id]: { ...type.fields[id]!, order } })}
        onRemove={(id) => {
          const { [id]: _, ...rest } = type.fields;
          give(rest);
        }}
        beside={(id) => (
          <ChoiceCell
            label={`What ${type.fields[id]!.label} holds`}
            chosen={type.fields[id]!.type.kind}
            options={RECORD_KINDS.map((value) => ({ value, label: KIND_WORDS[value] }))}
            onChoose={(kind) =>
              give({
                ...type.fields,
                [id]: { ...type.fields[id]!, type: kindOnly(kind as ValueKind) as never },
              })
            }
          />
        )}
      />
      <Adding label="A new field" value={label} onChange={setLabel} onAdd={add} />
    </>
  );
}

const RECORD_KINDS: readonly ValueKind[] = [
  'text',
  'rich',
  'link',
  'image',
  'boolean',
  'number',
  'date',
  'icon',
  'entry',
];

interface Line {
  readonly id: string;
  readonly label: string;
  readonly order: string;
}

function Lines({
  rows,
  beside,
  onLabel,
  onOrder,
  onRemove,
}: {
  rows: readonly Line[];
  beside?: (id: string) => ReactNode;
  onLabel: (id: string, label: string) => void;
  onOrder: (id: string, order: string) => void;
  onRemove: (id: string) => void;
}): ReactNode {
  const step = (i: number, by: -1 | 1) => {
    const near = rows[i + by]?.order ?? null;
    const far = rows[i + by + by]?.order ?? null;
    onOrder(rows[i]!.id, by < 0 ? orderBetween(far, near) : orderBetween(near, far));
  };
  return (
    <ul className="type-lines">
      {rows.map(({ id, label }, i) => (
        <li key={id}>
          <Input
            size="small"
            aria-label={`Name of ${label}`}
            maxLength={120}
            value={label}
            onChange={({ target }) => target.value.trim() && onLabel(id, target.value)}
          />
          {beside?.(id)}
          {(
            [
              ['up', ArrowUp, i === 0, () => step(i, -1)],
              ['down', ArrowDown, i === rows.length - 1, () => step(i, 1)],
            ] as const
          ).map(([way, Icon, off, press]) => (
            <button
              key={way}
              type="button"
              className="icon-button"
              aria-label={`${label}: further ${way}`}
              disabled={off}
              onClick={press}
            >
              <Icon size={13} aria-hidden />
            </button>
          ))}
          <button
            type="button"
            className="icon-button"
            aria-label={`Remove ${label}`}
            onClick={() => onRemove(id)}
          >
            <X size={13} aria-hidden />
          </button>
        </li>
      ))}
    </ul>
  );
}

function Adding({
  label,
  value,
  onChange,
  onAdd,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  onAdd: () => void;
}): ReactNode {
  return (
    <div className="type-adding">
      <Input
        data-first
        size="small"
        aria-label={label}
        placeholder={label.toLowerCase()}
        maxLength={120}
        value={value}
        onChange={({ target }) => onChange(target.value)}
        onPressEnter={(event) => {
          event.preventDefault();
          onAdd();
        }}
      />
      <Button size="small" disabled={value.trim() === ''} onClick={onAdd}>
        Add it
      </Button>
    </div>
  );
}
