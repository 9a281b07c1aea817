import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { Checkbox, Input, Progress, Select } from 'antd';
import { allOf, inOrder, type TypeDoc } from '@sormet/core/model';
import { DELIMITERS, ENCODINGS, type Asked, type Delimiter } from '@sormet/core/format';
import { Dialog } from '../../../parts/Dialog';
import { Wrong } from '../../../parts/Wrong';
import { useDerived, useSync } from '../../../site/SiteProvider';
import { count, refusalWords } from '../../../words';
import { MappedColumns } from './MappedColumns';
import { PlannedRows } from './PlannedRows';
import type { Brought } from './read-file';
import { useTaking, type TakingState } from './use-taking';
import './taking.css';

/** A file on its way into the content: how it is read, what its columns become, what comes of each row; all of it or nothing. */
export function TakeIn({
  brought,
  type,
  onClose,
}: {
  brought: Brought;
  /** The content type that is open; nothing where there is none yet. */
  type: TypeDoc | undefined;
  onClose: () => void;
}): ReactNode {
  const { documents } = useDerived();
  const sync = useSync();
  const navigate = useNavigate();
  const taking = useTaking(brought, type);
  const [wrong, setWrong] = useState('');
  const { plan, table, done } = taking;
  const of = (is: string) => plan?.rows.filter((row) => row.is === is).length ?? 0;
  const [added, changed, faulty] = [of('new'), of('changed'), of('faulty')];
  const waits = taking.pictures.came + taking.pictures.wrong.length < brought.pictures.length;
  const comes = added + changed > 0 || (plan?.args.assets.length ?? 0) > 0;
  const accept = () => {
    if (!plan) return;
    const refusal = sync.attempt({ name: 'takeContent', args: plan.args });
    if (refusal) return setWrong(refusalWords(refusal));
    onClose();
    void navigate(`/sites/${sync.site}/content/${plan.type.id}`);
  };
  return (
    <Dialog
      open
      width={1120}
      style={{ top: 32 }}
      className="taking"
      title={brought.name === '' ? 'Take pictures in' : `Take in ${brought.name}`}
      okText={
        plan && comes
          ? `Take in ${[added > 0 ? `${added} new` : '', changed > 0 ? `${changed} changed` : '']
              .filter(Boolean)
              .join(', ')}${added + changed === 0 ? count(plan.args.assets.length, 'picture') : ''}`
          : 'Take it in'
      }
      cancelText="Leave it"
      okButtonProps={{ disabled: !plan || !comes || waits }}
      onOk={accept}
      onCancel={onClose}
    >
      <HowItIsRead taking={taking} types={allOf(documents, 'type')} />
      <MappedColumns taking={taking} />
      {plan ? (
        <PlannedRows taking={taking} plan={plan} name={brought.name} />
      ) : (
        <div aria-live="polite">
          Looking at row {done} of {table.rows.length}
          <Progress
            size="small"
            showInfo={false}
            percent={Math.round((100 * done) / Math.max(1, table.rows.length))}
          />
        </div>
      )}
      {brought.pictures.length > 0 ? (
        <p aria-live="polite">
          {taking.pictures.came} of {count(brought.pictures.length, 'picture')} came along.
        </p>
      ) : null}
      {taking.pictures.wrong.map((each) => (
        <Wrong key={each} as="p" words={each} />
      ))}
      {faulty > 0 ? (
        <p role="note">
          {faulty === 1
            ? 'One row is faulty and stays out, unless it is mended above.'
            : `${faulty} rows are faulty and stay out, unless they are mended above.`}
        </p>
      ) : null}
      <Wrong as="p" words={wrong} />
    </Dialog>
  );
}

const BETWEEN: Readonly<Record<Delimiter, string>> = {
  ',': 'comma',
  ';': 'semicolon',
  '\t': 'tab',
  '|': 'stroke',
};

const DATES = {
  ymd: 'year, month, day',
  dmy: 'day, month, year',
  mdy: 'month, day, year',
} as const;

/** What was made out of how the file is written, each to be said otherwise; what it goes into. */
function HowItIsRead({
  taking,
  types,
}: {
  taking: TakingState;
  types: readonly TypeDoc[];
}): ReactNode {
  const { file, asked, table, say } = taking;
  const { csv } = file;
  const isNew = !('id' in asked.into);
  const ways = (next: Partial<Asked['ways']>) => say({ ways: { ...asked.ways, ...next } });
  const select = <V extends string>(
    label: string,
    value: V,
    options: readonly { value: V; label: string }[],
    onChange: (value: V) => void,
  ) => (
    <label className="taking-way">
      {label}
      <Select
        size="small"
        aria-label={label}
        value={value}
        popupMatchSelectWidth={false}
        options={[...options]}
        onChange={onChange}
      />
    </label>
  );
  const fields = isNew ? [] : inOrder((asked.into as TypeDoc).fields);
  return (
    <>
      <div className="taking-ways">
        {select(
          'Goes into',
          isNew ? '' : (asked.into as TypeDoc).id,
          [
            ...types.map(({ id, plural }) => ({ value: id, label: plural })),
            { value: '', label: 'a new content type' },
          ],
          (id) => {
            const into = types.find((each) => each.id === id);
            say({ into: into ?? { name: 'Entry', plural: 'Entries' } });
          },
        )}
        {isNew ? (
          <>
            <label className="taking-way">
              One is called
              <Input
                size="small"
                maxLength={120}
                value={asked.into.name}
                onChange={({ target }) =>
                  say({ into: { name: target.value, plural: asked.into.plural } })
                }
              />
            </label>
            <label className="taking-way">
              Many are
              <Input
                size="small"
                maxLength={120}
                value={asked.into.plural}
                onChange={({ target }) =>
                  say({ into: { name: asked.into.name, plural: target.value } })
                }
              />
            </label>
          </>
        ) : (
          select(
            'Known again by',
            asked.matchBy ?? '',
            [
              { value: '', label: 'nothing: all are new' },
              { value: 'slug', label: 'slug' },
              ...fields.map(([value, { label }]) => ({ value, label })),
            ],
            (by) => say({ matchBy: by === '' ? null : by }),
          )
        )}
        {csv
          ? select(
              'Between cells',
              csv.delimiter,
              DELIMITERS.map((value) => ({ value, label: BETWEEN[value] })),
              (delimiter) => say({ file: { ...file, csv: { ...csv, delimiter } } }),
            )
          : null}
        {csv
          ? select(
              'Around cells',
              csv.quote,
              [
                { value: '"', label: '"' },
                { value: "'", label: "'" },
              ],
              (quote) => say({ file: { ...file, csv: { ...csv, quote } } }),
            )
          : null}
        {select(
          'Encoding',
          file.encoding,
          ENCODINGS.map((value) => ({ value, label: value })),
          (encoding) => say({ file: { ...file, encoding } }),
        )}
        {select(
          'Decimals after',
          asked.ways.decimal,
          [
            { value: '.', label: 'a dot' },
            { value: ',', label: 'a comma' },
          ],
          (decimal) => ways({ decimal }),
        )}
        {select(
          'Dates in digits',
          asked.ways.dates,
          (Object.keys(DATES) as (keyof typeof DATES)[]).map((value) => ({
            value,
            label: DATES[value],
          })),
          (dates) => ways({ dates }),
        )}
      </div>
      <div className="taking-ways">
        {csv ? (
          <Checkbox
            checked={csv.header}
            onChange={({ target }) =>
              say({ file: { ...file, csv: { ...csv, header: target.checked } } })
            }
          >
            The first row names the columns
          </Checkbox>
        ) : null}
        <Checkbox
          checked={asked.makesMissing}
          onChange={({ target }) => say({ makesMissing: target.checked })}
        >
          Make entries and options that cells name and that are not there
        </Checkbox>
        <Checkbox checked={asked.drafts} onChange={({ target }) => say({ drafts: target.checked })}>
          New ones begin as drafts
        </Checkbox>
        <span className="quiet">{count(table.rows.length, 'row')}</span>
      </div>
    </>
  );
}
