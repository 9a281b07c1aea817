import type { ReactNode } from 'react';
import { Modal } from 'antd';
import {
  docOf,
  inOrder,
  treeDocOf,
  type Documents,
  type Source,
  type Typed,
} from '@sormet/core/model';
import { controlsOf, propertyOf } from '@sormet/core/edit';
import { trace, type Step } from '@sormet/core/resolve';
import { useApp, useAppDispatch } from '../store/store';
import { useDerived } from '../site/SiteProvider';
import { fieldLabel } from '../values/fields';
import { valueWords } from '../values/value-words';
import { benchActions } from '../store/bench-slice';
import type { Selected } from './use-selected';
import { componentWords, documentWords } from './words';
import './Trace.css';

/** Where each value of what is selected comes from, step by step. */
export function Trace({ selected }: { selected: Selected | undefined }): ReactNode {
  const { documents } = useDerived();
  const open = useApp((state) => state.bench.tracing);
  const dispatch = useAppDispatch();
  return (
    <Modal
      open={open}
      title="Where the values come from"
      footer={null}
      width={620}
      onCancel={() => dispatch(benchActions.showTrace(false))}
    >
      {selected ? (
        <Steps selected={selected} documents={documents} />
      ) : (
        <p>Select something first.</p>
      )}
    </Modal>
  );
}

function Steps({ selected, documents }: { selected: Selected; documents: Documents }): ReactNode {
  const { doc, id, node, resolved, built } = selected;
  if (!resolved || !built)
    return <p>What is selected does not show, so nothing comes from anywhere.</p>;
  const rows =
    node.kind === 'instance'
      ? inOrder(docOf(documents, 'component', node.component)?.properties ?? {}).map(
          ([property, { label, default: byDefault }]) => ({
            label,
            steps: trace(built, resolved.scope.within, id, { of: 'value', property }),
            otherwise: byDefault,
          }),
        )
      : controlsOf(documents, doc, id)
          .filter((row) => row.element === id)
          .map((row) => ({
            label: row.what,
            steps: trace(built, resolved.scope.within, row.node, row.control),
            otherwise: undefined,
          }));
  if (rows.length === 0) return <p>There is no value on this.</p>;
  return (
    <dl className="trace">
      {rows.map(({ label, steps, otherwise }) => (
        <div key={label}>
          <dt>{label}</dt>
          <dd>
            <ol>
              {steps.length === 0 ? (
                <li>
                  nothing set here
                  {otherwise ? `, so the default: ${sourceWords(documents, otherwise, '')}` : ''}
                </li>
              ) : null}
              {steps.map((step, i) => (
                <li key={i}>{stepWords(documents, step)}</li>
              ))}
            </ol>
          </dd>
        </div>
      ))}
    </dl>
  );
}

function stepWords(documents: Documents, { by, doc, source, rule }: Step): string {
  const where = docOf(documents, 'component', doc)
    ? `the definition of ${componentWords(documents, doc)}`
    : documentWords(documents, doc);
  const says = sourceWords(documents, source, doc);
  if (rule !== undefined) return `by a rule in ${where}: ${says}`;
  if (by === 'default') return `the default in ${where}: ${says}`;
  return by === 'set' ? `set on ${where}: ${says}` : `in ${where}: ${says}`;
}

function sourceWords(documents: Documents, source: Source, doc: string): string {
  if (source.is === 'value') return `“${valueWords(documents, source as Typed)}”`;
  if (source.is === 'property')
    return `the property ${propertyOf(documents, doc, source.property)?.label ?? ''}`;
  const tree = treeDocOf(documents, doc);
  return tree ? `bound to ${fieldLabel(documents, tree, source)}` : 'bound';
}
