import { useState, type ReactNode } from 'react';
import { Input } from 'antd';
import { docOf, newId, orderAfterAll, ordersFor, type ComponentDoc } from '@sormet/core/model';
import { keyFor } from '@sormet/core/edit';
import { Dialog } from '../../parts/Dialog';
import { Wrong } from '../../parts/Wrong';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useAppDispatch } from '../../store/store';
import { refusalWords } from '../../words';
import type { BenchAction } from '../actions/bench-action';

/** Giving a definition variants: the action, and the dialog that asks for their names. */
export function useVarying(doc: string): {
  readonly action: BenchAction;
  readonly dialog: ReactNode;
} {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const [isAsking, setAsking] = useState(false);
  const component = docOf(documents, 'component', doc);
  return {
    action: {
      label: 'vary this: give it variants',
      about: 'component',
      key: '',
      offered: component !== undefined,
      run: () =>
        component
          ? setAsking(true)
          : dispatch(
              benchActions.notice(
                'A component has variants: open its definition first, or make one of what is selected.',
              ),
            ),
    },
    dialog:
      component && isAsking ? (
        <NewAxis component={component} onClose={() => setAsking(false)} />
      ) : null,
  };
}

function NewAxis({
  component,
  onClose,
}: {
  component: ComponentDoc;
  onClose: () => void;
}): ReactNode {
  const sync = useSync();
  const dispatch = useAppDispatch();
  const [label, setLabel] = useState('Tone');
  const [listed, setListed] = useState('plain, quiet');
  const [wrong, setWrong] = useState('');
  const names = listed
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean);
  const twice = names.find(
    (name, i) => names.findIndex((each) => each.toLowerCase() === name.toLowerCase()) !== i,
  );
  const sound = label.trim() !== '' && names.length > 1 && twice === undefined;
  const make = () => {
    if (!sound) return;
    const orders = ordersFor(names.length);
    const ids = names.map(() => newId());
    const property = newId();
    const keys = new Set(Object.values(component.properties).map(({ key }) => key));
    const reason = refusalWords(
      sync.attempt({
        name: 'addAxis',
        args: {
          component: component.id,
          property,
          label: label.trim(),
          key: keyFor(label, keys),
          order: orderAfterAll(Object.values(component.properties)),
          options: Object.fromEntries(
            names.map((name, i) => [ids[i]!, { label: name, order: orders[i]! }]),
          ),
          base: ids[0]!,
        },
      }),
    );
    setWrong(reason);
    if (reason !== '') return;
    dispatch(benchActions.pick({ doc: component.id, axis: property, option: ids[1]! }));
    onClose();
  };
  return (
    <Dialog
      open
      title="Variants"
      okText="Give it variants"
      cancelText="Leave it"
      okButtonProps={{ disabled: !sound }}
      onOk={make}
      onCancel={onClose}
    >
      <div className="stacked-field">
        <label>
          What they differ in
          <Input
            autoFocus
            data-first=""
            aria-label="What the variants differ in"
            maxLength={120}
            value={label}
            onFocus={({ target }) => target.select()}
            onChange={({ target }) => setLabel(target.value)}
          />
        </label>
        <label>
          Options, with commas between; the first is the base
          <Input
            aria-label="Options, the base first"
            maxLength={500}
            value={listed}
            onChange={({ target }) => setListed(target.value)}
          />
        </label>
      </div>
      <p className="quiet" aria-live="polite">
        {twice !== undefined
          ? `“${twice}” is there twice.`
          : names.length < 2
            ? 'Two options at least: the base, and what differs from it.'
            : `${names[0]} stays as it is; ${names.slice(1).join(', ')} ${names.length === 2 ? 'says' : 'say'} what differs from it.`}
      </p>
      <Wrong as="p" words={wrong} />
    </Dialog>
  );
}
