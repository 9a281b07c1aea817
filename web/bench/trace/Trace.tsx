import { useEffect, useRef, type ReactNode } from 'react';
import { Link } from 'react-router';
import { X } from 'lucide-react';
import {
  docOf,
  entryTitle,
  inOrder,
  own,
  rootOf,
  treeDocOf,
  type Documents,
  type Source,
  type TypeSpec,
} from '@sormet/core/model';
import { controlsOf, propertyOf } from '@sormet/core/edit';
import { trace, type Step } from '@sormet/core/resolve';
import { fieldOf } from '@sormet/core/value';
import { entryBehind } from '../../canvas/address';
import { useDerived, useSync } from '../../site/SiteProvider';
import { benchActions } from '../../store/bench-slice';
import { useApp, useAppDispatch } from '../../store/store';
import { fieldLabel } from '../../values/fields';
import { sourceWords as givenWords } from '../../values/source-words';
import {
  LEAF_WORDS,
  POSITION_WORDS,
  valueWords,
  KIND_WORDS,
  componentWords,
  documentWords,
  todayWords,
} from '../../words';
import { IconButton } from '../../parts/IconButton';
import type { Selected } from '../../ledger/use-selected';
import { StyleTraces } from './StyleTraces';
import './Trace.css';

/** Where each value of what is selected comes from, step by step, beside the ledger; each step leads to where it can be changed. */
export function Trace({
  page,
  selected,
}: {
  page: string;
  selected: Selected | undefined;
}): ReactNode {
  const dispatch = useAppDispatch();
  const tab = useApp((state) => state.bench.tab);
  return (
    <aside className="trace" aria-label="Where the values come from">
      <div className="trace-head">
        <h2>Where the values come from</h2>
        <IconButton
          icon={X}
          name="Close the trace"
          title="Close the trace"
          onPress={() => dispatch(benchActions.showTrace(false))}
        />
      </div>
      {selected && tab === 'style' ? (
        <StyleTraces page={page} selected={selected} />
      ) : selected ? (
        <Traces page={page} selected={selected} />
      ) : (
        <p className="ledger-empty">Select something: its values are followed here.</p>
      )}
    </aside>
  );
}

function Traces({ page, selected }: { page: string; selected: Selected }): ReactNode {
  const { documents } = useDerived();
  const traced = useApp((state) => state.bench.traced);
  const list = useRef<HTMLDListElement>(null);
  useEffect(() => {
    list.current?.querySelector('.traced')?.scrollIntoView({ block: 'nearest' });
  }, [traced, selected.id]);
  const { resolved, built } = selected;
  if (!resolved || !built)
    return (
      <p className="ledger-empty">
        What is selected does not show, so nothing comes from anywhere.
      </p>
    );
  const rows = tracedOf(documents, selected, resolved.scope.within, built);
  if (rows.length === 0) return <p className="ledger-empty">There is no value on this.</p>;
  return (
    <dl ref={list}>
      {rows.map(({ label, type, steps, otherwise }) => (
        <div key={label} className={label === traced ? 'traced' : undefined}>
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
                <li key={i}>
                  <StepWords page={page} step={step} selected={selected} type={type} />
                </li>
              ))}
            </ol>
          </dd>
        </div>
      ))}
    </dl>
  );
}

/** The values of what is selected, each with the steps by which it came, and what there is without any. */
function tracedOf(
  documents: Documents,
  { doc, id, node }: Selected,
  within: Parameters<typeof trace>[1],
  built: Parameters<typeof trace>[0],
): { label: string; type: TypeSpec; steps: Step[]; otherwise: Source | undefined }[] {
  if (node.kind === 'instance')
    return inOrder(docOf(documents, 'component', node.component)?.properties ?? {}).map(
      ([property, { label, type, default: otherwise }]) => ({
        label,
        type,
        steps: trace(built, within, id, { of: 'value', property }),
        otherwise,
      }),
    );
  return controlsOf(documents, doc, id)
    .filter(
      ({ element, control: { of }, source }) =>
        element === id &&
        // How it looks is traced by its rules, but where a property decides it.
        ((of !== 'declaration' && of !== 'chosen') || source?.is === 'property'),
    )
    .map((row) => ({
      label: row.what,
      type: row.type,
      steps: trace(built, within, row.node, row.control),
      otherwise: undefined,
    }));
}

/** A step in words, the place where it stands a link to it. */
function StepWords({
  page,
  step,
  selected,
  type,
}: {
  /** What is open at the bench. */
  page: string;
  step: Step;
  selected: Selected;
  /** As what the value is used in the end. */
  type: TypeSpec;
}): ReactNode {
  const { documents } = useDerived();
  const dispatch = useAppDispatch();
  const { by, doc, node, source, rule } = step;
  const component = docOf(documents, 'component', doc);
  const where = component
    ? `the definition of ${componentWords(documents, doc)}`
    : documentWords(documents, doc);
  const how =
    rule !== undefined
      ? 'by a rule in'
      : { control: 'in', set: 'set on', default: 'the default in' }[by];
  const go = () => {
    if (component && doc !== page) dispatch(benchActions.openBeside(doc));
    const nodes = by === 'default' && component ? [rootOf(component.nodes)] : [node];
    dispatch(benchActions.select({ doc, nodes }));
  };
  return (
    <>
      {how}{' '}
      <button type="button" className="as-link" onClick={go}>
        {where}
      </button>
      : {sourceWords(documents, source, doc)}
      {source.is === 'field' ? (
        <EntryWords selected={selected} source={source} type={type} />
      ) : null}
    </>
  );
}

/** The entry that a field is read of, what it holds there, and as what that is read. */
function EntryWords({
  selected: { resolved, built },
  source,
  type,
}: {
  selected: Selected;
  source: Extract<Source, { is: 'field' }>;
  type: TypeSpec;
}): ReactNode {
  const { documents, data } = useDerived();
  const sync = useSync();
  const entry = resolved && built && entryBehind(documents, built, resolved.scope.within, source);
  if (!entry) return null;
  const field = source.path.at(-1);
  const held =
    field === undefined ? undefined : (fieldOf(entry, [field], data) ?? own(entry.values, field));
  const words = held && valueWords(documents, held);
  return (
    <>
      {', of '}
      <Link to={`/sites/${sync.site}/content/${entry.type}/${entry.id}`}>
        {entryTitle(documents, entry)}
      </Link>
      {field === undefined
        ? ''
        : words === undefined || words === 'nothing'
          ? ', which holds nothing there'
          : `, which holds “${words}”`}
      {held && held.type !== type.kind ? `, read as ${KIND_WORDS[type.kind]}` : ''}
    </>
  );
}

function sourceWords(documents: Documents, source: Source, doc: string): string {
  if (source.is === 'value') return `“${valueWords(documents, source)}”`;
  if (source.is === 'property')
    return `the property ${propertyOf(documents, doc, source.property)?.label ?? ''}`;
  if (source.is === 'expression') return 'worked out';
  if (source.is === 'words') return 'words around values';
  if (source.is === 'position') return POSITION_WORDS[source.as];
  if (source.is === 'leaf') return LEAF_WORDS[source.as];
  if (source.is === 'today') return todayWords(source);
  if (source.is === 'acts') return 'acts of its own';
  const tree = treeDocOf(documents, doc);
  if (source.is === 'begins')
    return tree ? givenWords(documents, tree, source) : 'whether it is another than before';
  return tree ? `bound to ${fieldLabel(documents, tree, source)}` : 'bound';
}
