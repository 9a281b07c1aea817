import type { ReactNode } from 'react';
import {
  boundIn,
  docOf,
  inOrder,
  literal,
  writtenIn,
  type NodeId,
  type Source,
  type TreeDoc,
  type TypeSpec,
} from '@sormet/core/model';
import { emptyLiteral } from '@sormet/core/edit';
import { feeds } from '@sormet/core/value';
import { Unlink } from 'lucide-react';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { IconButton } from '../../parts/IconButton';
import { useDerived } from '../../site/SiteProvider';
import { fieldLabel, fittingFields } from '../../values/fields';
import { sourceWords } from '../../values/source-words';
import { ValueCell } from '../../values/ValueCell';
import { BoundTo } from '../BoundTo';
import { TextWithValues } from '../TextWithValues';
import { WorkedOut } from '../WorkedOut';

/** What an act is given: a value, words with values among them, a property, a field, or what is worked out from them. */
export function GivenSource({
  label,
  doc,
  node,
  of,
  wanted,
  source,
  placeholder,
  onGive,
}: {
  label: string;
  doc: TreeDoc;
  node: NodeId;
  /** What tells these words from others that values may stand in. */
  of: string;
  wanted: TypeSpec;
  source: Source | undefined;
  placeholder?: string;
  onGive: (source: Source, group: string | null) => void;
}): ReactNode {
  const { documents } = useDerived();
  const bound = boundIn(source);
  const read = source?.is === 'property' ? source : undefined;
  const empty = emptyLiteral(wanted);
  const component = docOf(documents, 'component', doc.id);
  const properties = inOrder(component?.properties ?? {}).filter(([, { type }]) =>
    feeds(type.kind, wanted.kind),
  );
  const isWorkedOut = source?.is === 'expression';
  return (
    <div className="cell-with-actions">
      {read ? (
        <>
          <span className="cell-words bound-field">{sourceWords(documents, doc, read)}</span>
          <IconButton
            icon={Unlink}
            name={`${label}: no longer from a property`}
            title="No longer from a property"
            onPress={() => onGive(empty, null)}
          />
        </>
      ) : bound || isWorkedOut ? null : (
        <TextWithValues
          label={label}
          doc={doc}
          node={node}
          of={of}
          wanted={wanted}
          source={source}
          gives={undefined}
          onGive={onGive}
        >
          {(onPlace) => (
            <ValueCell
              type={wanted}
              value={writtenIn(source)}
              label={label}
              placeholder={placeholder}
              onPlace={onPlace}
              onChange={(value, group) => onGive(literal(value), group)}
            />
          )}
        </TextWithValues>
      )}
      {read || properties.length === 0 || bound ? null : (
        <ChoiceCell
          label={`${label}, from a property`}
          chosen={undefined}
          placeholder="from …"
          options={properties.map(([value, made]) => ({ value, label: made.label }))}
          onChoose={(property) => onGive({ is: 'property', property }, null)}
        />
      )}
      {read || isWorkedOut || component ? null : (
        <BoundTo
          label={label}
          fields={() => fittingFields(documents, doc, node, wanted)}
          bound={bound}
          boundLabel={bound ? fieldLabel(documents, doc, bound) : ''}
          onBind={(next) => onGive(next, null)}
          onRelease={() => onGive(empty, null)}
          whenEmpty={['nothing']}
        />
      )}
      {read || bound ? null : (
        <WorkedOut
          label={label}
          doc={doc}
          node={node}
          wanted={wanted}
          source={source}
          gives={undefined}
          onGive={(next) => onGive(next, null)}
          onRelease={() => onGive(empty, null)}
        />
      )}
    </div>
  );
}
