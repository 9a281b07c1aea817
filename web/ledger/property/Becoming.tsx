import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { nodeIn, own, type ComponentDoc, type PropertyId, type TypeSpec } from '@sormet/core/model';
import {
  failsWithout,
  nodeName,
  whatBecomes,
  type Becomes,
  type Becoming,
} from '@sormet/core/edit';
import { member } from '@sormet/core/reach';
import { Dialog } from '../../parts/Dialog';
import { useDerived, useSync } from '../../site/SiteProvider';
import { valueWords, documentWords, typeWords } from '../../words';

/** How many values are listed of each outcome. */
const LISTED = 40;

const WORDS: Readonly<Record<Becomes, string>> = {
  kept: 'stay as they are',
  converted: 'are converted',
  empty: 'show nothing',
  'was empty': 'were empty before',
};

const ALONE: Readonly<Record<Becomes, string>> = {
  kept: 'stays as it is',
  converted: 'is converted',
  empty: 'shows nothing',
  'was empty': 'was empty before',
};

/** What every stored value of a property will show once its type is another: seen before it is done. */
export function BecomingDialog({
  component,
  property,
  type,
  onDo,
  onClose,
}: {
  component: ComponentDoc;
  property: PropertyId;
  /** The type it would have. */
  type: TypeSpec;
  onDo: () => void;
  onClose: () => void;
}): ReactNode {
  const { documents, data, reach } = useDerived();
  const sync = useSync();
  const made = component.properties[property];
  if (!made) return null;
  const instances = reach
    .usesOf(member(component.id, property))
    .filter(({ kind, node }) => kind === 'sets' && node !== '');
  const all = whatBecomes(documents, component, property, type, instances, data);
  const of = (becomes: Becomes) => all.filter((each) => each.becomes === becomes);
  const value = ({ source, then, becomes }: Becoming) => {
    if (source.is !== 'value') return becomes === 'empty' ? 'bound, shows nothing then' : 'bound';
    const was = valueWords(documents, source);
    return becomes === 'converted' ? `${was} → ${valueWords(documents, then)}` : was;
  };
  return (
    <Dialog
      open
      width={620}
      title={`Make “${made.label}” ${typeWords(documents, type)}`}
      okText="Change the type"
      cancelText="Leave it"
      onOk={() => {
        onDo();
        onClose();
      }}
      onCancel={onClose}
    >
      <p>
        {all.length === 1
          ? `Only the default is stored: it ${ALONE[all[0]!.becomes]}.`
          : `${all.length - 1} instances set it. Of those and the default ${(
              ['kept', 'converted', 'empty', 'was empty'] as const
            )
              .flatMap((becomes) => {
                const many = of(becomes).length;
                return many === 0 ? [] : `${many} ${WORDS[becomes]}`;
              })
              .join(', ')}.`}{' '}
        Nothing that was written is lost: undo brings all of it back.
      </p>
      <Failing component={component} property={property} type={type} />
      {(['empty', 'converted'] as const).map((becomes) => {
        const rows = of(becomes);
        return rows.length === 0 ? null : (
          <section key={becomes} aria-label={`Values that ${WORDS[becomes]}`}>
            <h3>These {WORDS[becomes]}</h3>
            <ul className="becoming">
              {rows.slice(0, LISTED).map((each, i) => {
                const node =
                  each.node === null ? undefined : nodeIn(documents, each.doc, each.node);
                return (
                  <li key={i}>
                    {each.node === null ? (
                      'the default'
                    ) : (
                      <Link to={`/sites/${sync.site}/bench/${each.doc}`}>
                        {node ? nodeName(documents, node) : ''} on{' '}
                        {documentWords(documents, each.doc)}
                      </Link>
                    )}
                    : <span className="quiet">{value(each)}</span>
                  </li>
                );
              })}
            </ul>
            {rows.length > LISTED ? <p>and {rows.length - LISTED} more</p> : null}
          </section>
        );
      })}
    </Dialog>
  );
}

/** What is worked out from a property and cannot be any more: told before its type is another. */
function Failing({
  component,
  property,
  type,
}: {
  component: ComponentDoc;
  property: string;
  type: TypeSpec;
}): ReactNode {
  const { documents } = useDerived();
  const failing = failsWithout(component, property, type);
  if (failing.length === 0) return null;
  const words = failing.map(({ property: other, node }) => {
    const held = node === null ? undefined : own(component.nodes, node);
    // A text is known by what it stands in.
    const around = held?.kind === 'text' ? held.place.parent : node;
    const stored = around === null ? undefined : own(component.nodes, around);
    return other === null
      ? stored
        ? nodeName(documents, stored, component)
        : ''
      : (own(component.properties, other)?.label ?? '');
  });
  return (
    <p role="note">
      {failing.length === 1 ? 'One value is' : `${failing.length} values are`} worked out from it,
      and would be empty: {[...new Set(words)].join(', ')}.
    </p>
  );
}
