import type { ReactNode } from 'react';
import { Select } from 'antd';
import {
  CURRENCIES,
  DATE_STYLES,
  UNITS,
  type Language,
  type PluralForm,
} from '@sormet/core/locale';
import {
  literal,
  type Format,
  type NumberFormat,
  type ValueKind,
  type WhenEmpty,
} from '@sormet/core/model';
import { NumberField } from '../NumberField';
import { useSayLost } from '../use-say-lost';

type Plural = Extract<Format, { as: 'plural' }>;
type NumberWay = 'digits' | 'grouped' | 'percent' | 'money' | 'unit' | 'plural';

const WAYS: Readonly<Record<NumberWay, string>> = {
  digits: 'digits alone',
  grouped: 'thousands apart',
  percent: 'a share of a hundred',
  money: 'an amount of money',
  unit: 'with a unit',
  plural: 'with words that follow it',
};

const FORM_WORDS: Readonly<Record<PluralForm, string>> = {
  zero: 'for 0 (its own form)',
  one: 'for one',
  two: 'for two',
  few: 'for a few',
  many: 'for many',
  other: 'for all others',
};

/** A day whose parts cannot be mistaken for each other. */
const SAMPLE_DAY = '2026-12-03';

/** How the value at a place is written, and what stands there where it is empty. */
export function PlaceFormat({
  label,
  kind,
  format,
  whenEmpty,
  language,
  written,
  onFormat,
  onEmpty,
  onExchange,
  onRemove,
  onClose,
}: {
  label: string;
  /** What the value is. */
  kind: ValueKind | 'nothing';
  format: Format | undefined;
  whenEmpty: WhenEmpty | undefined;
  /** The language that it is written in. */
  language: Language;
  /** What it comes to now, in words. */
  written: string;
  onFormat: (format: Format | undefined) => void;
  onEmpty: (whenEmpty: WhenEmpty | undefined) => void;
  onExchange: () => void;
  onRemove: () => void;
  onClose: () => void;
}): ReactNode {
  return (
    <div
      className="place-format"
      role="dialog"
      aria-label={`How it is written: ${label}`}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onClose();
      }}
    >
      <p className="place-format-head">
        <button type="button" className="as-link" data-first="" autoFocus onClick={onExchange}>
          {label}
        </button>{' '}
        <span aria-live="polite">{written === 'nothing' ? 'is empty here' : `“${written}”`}</span>
      </p>
      {kind === 'number' ? (
        <NumberWays format={format} language={language} onFormat={onFormat} />
      ) : null}
      {kind === 'date' ? (
        <Field label="written">
          <Select
            size="small"
            aria-label="How the date is written"
            value={format?.as === 'date' ? format.style : 'long'}
            options={DATE_STYLES.map((style) => ({
              value: style,
              label: language.date(SAMPLE_DAY, style),
            }))}
            onChange={(style) => onFormat({ as: 'date', style })}
          />
        </Field>
      ) : null}
      {kind === 'list' ? (
        <Field label="joined">
          <Select
            size="small"
            aria-label="How the list is joined"
            value={format?.as === 'list' ? format.by : undefined}
            placeholder="choose"
            options={(['and', 'or'] as const).map((by) => ({
              value: by,
              label: language.list(['A', 'B', 'C'], by),
            }))}
            onChange={(by) => onFormat({ as: 'list', by })}
          />
        </Field>
      ) : null}
      <WhereEmpty whenEmpty={whenEmpty} onEmpty={onEmpty} />
      <p className="place-format-acts">
        <button type="button" className="as-link" onClick={onRemove}>
          take it away
        </button>
        <button type="button" className="as-link" onClick={onClose}>
          done
        </button>
      </p>
    </div>
  );
}

function NumberWays({
  format,
  language,
  onFormat,
}: {
  format: Format | undefined;
  language: Language;
  onFormat: (format: Format | undefined) => void;
}): ReactNode {
  const sayLost = useSayLost();
  const plural = format?.as === 'plural' ? format : undefined;
  const number = plural ? plural.number : format?.as === 'number' ? format : undefined;
  const way: NumberWay = plural
    ? 'plural'
    : (number?.of?.is ?? (number?.grouped ? 'grouped' : 'digits'));
  const give = (next: Partial<NumberFormat>) => {
    const made = withoutNothing({ as: 'number', ...number, ...next });
    onFormat(plural ? { ...plural, number: made } : made);
  };
  const choose = (next: NumberWay) => {
    const { least, most, grouped } = number ?? {};
    const digits = { least, most };
    switch (next) {
      case 'digits':
        return onFormat(withoutNothing({ as: 'number', ...digits }));
      case 'grouped':
        return onFormat(withoutNothing({ as: 'number', ...digits, grouped: true }));
      case 'percent':
        return onFormat(withoutNothing({ as: 'number', ...digits, of: { is: 'percent' } }));
      case 'money': {
        const of = { is: 'money' as const, currency: 'EUR' };
        return onFormat(withoutNothing({ as: 'number', ...digits, grouped: true, of }));
      }
      case 'unit': {
        const of = { is: 'unit' as const, unit: 'kilometer', short: true };
        return onFormat(withoutNothing({ as: 'number', ...digits, grouped, of }));
      }
      case 'plural':
        return onFormat({
          as: 'plural',
          forms: Object.fromEntries(language.forms.map((form) => [form, '#'])),
        });
    }
  };
  const { of } = number ?? {};
  return (
    <>
      <Field label="written">
        <Select
          size="small"
          aria-label="How the number is written"
          value={way}
          options={(Object.keys(WAYS) as NumberWay[]).map((each) => ({
            value: each,
            label: WAYS[each],
          }))}
          onChange={choose}
        />
      </Field>
      {of?.is === 'money' ? (
        <Field label="currency">
          <Select
            size="small"
            showSearch
            aria-label="Currency"
            value={of.currency}
            options={CURRENCIES.map((currency) => ({
              value: currency,
              label: `${currency} · ${language.number(1, { of: { is: 'money', currency } })}`,
            }))}
            onChange={(currency) => give({ of: { is: 'money', currency } })}
          />
        </Field>
      ) : null}
      {of?.is === 'unit' ? (
        <Field label="unit">
          <Select
            size="small"
            showSearch={{ optionFilterProp: 'label' }}
            aria-label="Unit"
            value={`${of.unit} ${of.short === true}`}
            options={UNITS.flatMap((unit) =>
              [true, false].map((short) => ({
                value: `${unit} ${short}`,
                label: language.number(12, { of: { is: 'unit', unit, short } }),
              })),
            )}
            onChange={(chosen) => {
              const [unit, short] = chosen.split(' ') as [string, string];
              give({ of: { is: 'unit', unit, ...(short === 'true' ? { short: true } : {}) } });
            }}
          />
        </Field>
      ) : null}
      {plural ? <PluralForms plural={plural} language={language} onFormat={onFormat} /> : null}
      <Field label="decimal digits">
        <span className="place-digits">
          <NumberField
            label="Decimal digits, at least"
            language={language.tag}
            least={0}
            most={10}
            whole
            placeholder="at least"
            value={number?.least ?? null}
            lost={sayLost}
            onChange={(least) => give({ least: least ?? undefined })}
          />
          <NumberField
            label="Decimal digits, at most"
            language={language.tag}
            least={0}
            most={10}
            whole
            placeholder="at most"
            value={number?.most ?? null}
            lost={sayLost}
            onChange={(most) => give({ most: most ?? undefined })}
          />
        </span>
      </Field>
    </>
  );
}

/** The words for each form that the language tells apart. */
function PluralForms({
  plural,
  language,
  onFormat,
}: {
  plural: Plural;
  language: Language;
  onFormat: (format: Format) => void;
}): ReactNode {
  return (
    <>
      <p className="quiet place-format-help"># stands for the number, for example “# years”</p>
      {language.forms.map((form) => (
        <Field key={form} label={FORM_WORDS[form]}>
          <input
            className="plain-field"
            aria-label={`Words ${FORM_WORDS[form]}`}
            maxLength={200}
            value={plural.forms[form] ?? ''}
            onChange={({ target }) =>
              onFormat({ ...plural, forms: { ...plural.forms, [form]: target.value } })
            }
          />
        </Field>
      ))}
      <Field label="for none at all">
        <input
          className="plain-field"
          aria-label="Words for none at all"
          placeholder="as the others"
          maxLength={200}
          value={plural.none ?? ''}
          onChange={({ target }) => {
            const { none: _, ...rest } = plural;
            onFormat(target.value === '' ? rest : { ...rest, none: target.value });
          }}
        />
      </Field>
    </>
  );
}

const EMPTY_WAYS = {
  all: 'the whole text is empty',
  nothing: 'it is left out',
  hide: 'the element is hidden',
  words: 'other words',
} as const;

function WhereEmpty({
  whenEmpty,
  onEmpty,
}: {
  whenEmpty: WhenEmpty | undefined;
  onEmpty: (whenEmpty: WhenEmpty | undefined) => void;
}): ReactNode {
  const words =
    typeof whenEmpty === 'object' && whenEmpty.use.is === 'value' && whenEmpty.use.type === 'text'
      ? (whenEmpty.use.value ?? '')
      : undefined;
  const way =
    typeof whenEmpty === 'object'
      ? 'words'
      : whenEmpty === 'nothing' || whenEmpty === 'hide'
        ? whenEmpty
        : 'all';
  const use = (value: string): WhenEmpty => ({ use: literal({ type: 'text', value }) });
  return (
    <Field label="where it is empty">
      <Select
        size="small"
        aria-label="Where it is empty"
        value={way}
        options={Object.entries(EMPTY_WAYS).map(([value, label]) => ({ value, label }))}
        onChange={(next: keyof typeof EMPTY_WAYS) =>
          onEmpty(next === 'all' ? undefined : next === 'words' ? use('–') : next)
        }
      />
      {words === undefined ? null : (
        <input
          className="plain-field"
          aria-label="Words where it is empty"
          value={words}
          maxLength={200}
          onChange={({ target }) => onEmpty(use(target.value))}
        />
      )}
    </Field>
  );
}

function Field({ label, children }: { label: string; children: ReactNode }): ReactNode {
  return (
    <div className="place-field">
      <span className="quiet">{label}</span>
      <span>{children}</span>
    </div>
  );
}

function withoutNothing(format: NumberFormat): NumberFormat {
  return Object.fromEntries(
    Object.entries(format).filter(([, value]) => value !== undefined),
  ) as NumberFormat;
}
