import { useState, type ReactNode } from 'react';
import { Button } from 'antd';
import { ArrowDown, ArrowUp, X } from 'lucide-react';
import {
  inOrder,
  kindOf,
  newId,
  own,
  type ListRecord,
  type SpecOf,
  type Typed,
} from '@sormet/core/model';
import { HeadedTable } from '../../parts/HeadedTable';
import { Dialog } from '../../parts/Dialog';
import type { EditorProps } from '../editor-props';
import './list.css';

interface ListProps extends EditorProps<SpecOf<'list'>> {
  /** The editor of a field of a record. */
  readonly editor: (field: EditorProps) => ReactNode;
}

/** A list of records: how many there are, in the cell; pressed, a table of them, a column for each field. */
export function ListEditor(props: ListProps): ReactNode {
  const { value, begin, label, placeholder } = props;
  const [open, setOpen] = useState(false);
  const records = recordsOf(value);
  const words =
    value === undefined
      ? placeholder || 'set a list'
      : records.length === 1
        ? 'one record'
        : `${records.length === 0 ? 'no' : records.length} records`;
  return (
    <>
      <button
        type="button"
        className="as-link list-opens"
        aria-label={`${label}: ${words}`}
        aria-haspopup="dialog"
        onClick={() => setOpen(true)}
      >
        {words}
      </button>
      {open ? (
        <Records
          {...props}
          records={value === undefined ? recordsOf(begin) : records}
          onClose={() => setOpen(false)}
        />
      ) : null}
    </>
  );
}

function recordsOf(value: Typed | undefined): readonly ListRecord[] {
  return value?.type === 'list' ? ((value.value as readonly ListRecord[] | null) ?? []) : [];
}

function Records({
  type,
  label,
  records,
  onChange,
  editor,
  onClose,
}: ListProps & {
  records: readonly ListRecord[];
  onClose: () => void;
}): ReactNode {
  const fields = inOrder(type.fields);
  const give = (next: readonly ListRecord[], group: string | null = null) =>
    onChange({ type: 'list', value: [...next] }, group);
  const add = () => {
    const values = Object.fromEntries(
      fields.map(([id, { type: of }]) => [id, { type: of.kind, value: kindOf(of.kind).empty }]),
    ) as ListRecord['values'];
    give([...records, { id: newId(), values }]);
  };
  const move = (from: number, by: number) => {
    const next = [...records];
    const [moved] = next.splice(from, 1);
    next.splice(from + by, 0, moved!);
    give(next);
  };
  return (
    <Dialog
      open
      width={760}
      title={label}
      okText="Done"
      cancelButtonProps={{ style: { display: 'none' } }}
      onOk={onClose}
      onCancel={onClose}
    >
      {fields.length === 0 ? (
        <p>The records have no fields yet. They are added where the property is made.</p>
      ) : (
        <HeadedTable
          label={`Records of ${label}`}
          className="ledger-table list-records"
          heads={[
            { unseen: 'Record' },
            ...fields.map(([, field]) => field.label),
            { unseen: 'Order' },
          ]}
        >
          <tbody>
            {records.map((record, i) => (
              <tr key={record.id}>
                <th scope="row">{i + 1}</th>
                {fields.map(([id, field]) => (
                  <td key={id} className="cell">
                    {editor({
                      type: field.type,
                      label: `${field.label} of record ${i + 1}`,
                      value: own(record.values, id),
                      onChange: (next, group) =>
                        give(
                          records.map((each) =>
                            each === record
                              ? { ...each, values: { ...each.values, [id]: next as never } }
                              : each,
                          ),
                          group === null ? null : `${record.id} ${id} ${group}`,
                        ),
                    })}
                  </td>
                ))}
                <td className="cell tight">
                  <span className="cell-actions">
                    <Act name={`Move record ${i + 1} up`} off={i === 0} onPress={() => move(i, -1)}>
                      <ArrowUp size={13} aria-hidden />
                    </Act>
                    <Act
                      name={`Move record ${i + 1} down`}
                      off={i === records.length - 1}
                      onPress={() => move(i, 1)}
                    >
                      <ArrowDown size={13} aria-hidden />
                    </Act>
                    <Act
                      name={`Remove record ${i + 1}`}
                      off={false}
                      onPress={() => give(records.filter((each) => each !== record))}
                    >
                      <X size={13} aria-hidden />
                    </Act>
                  </span>
                </td>
              </tr>
            ))}
          </tbody>
        </HeadedTable>
      )}
      {fields.length > 0 ? (
        <Button size="small" data-first onClick={add}>
          Add a record
        </Button>
      ) : null}
    </Dialog>
  );
}

function Act({
  name,
  off,
  onPress,
  children,
}: {
  name: string;
  off: boolean;
  onPress: () => void;
  children: ReactNode;
}): ReactNode {
  return (
    <button
      type="button"
      className="icon-button"
      aria-label={name}
      title={name}
      disabled={off}
      onClick={onPress}
    >
      {children}
    </button>
  );
}
