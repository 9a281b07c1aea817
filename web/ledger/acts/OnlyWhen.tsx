import type { ReactNode } from 'react';
import { X } from 'lucide-react';
import {
  BOOLEAN,
  docOf,
  inOrder,
  literal,
  sameJson,
  type ComponentDoc,
  type NodeId,
  type Source,
  type TreeDoc,
} from '@sormet/core/model';
import { ChoiceCell } from '../../parts/ChoiceCell';
import { IconButton } from '../../parts/IconButton';
import { useDerived } from '../../site/SiteProvider';
import { sourceWords } from '../../values/source-words';
import { WorkedOut } from '../WorkedOut';

interface Asked {
  readonly value: string;
  readonly label: string;
  readonly source: Source;
}

/** Only when an act is done: always, when a property is so, or what is worked out. */
export function OnlyWhen({
  label,
  doc,
  node,
  source,
  onGive,
}: {
  label: string;
  doc: TreeDoc;
  node: NodeId;
  source: Source | undefined;
  onGive: (source: Source | undefined) => void;
}): ReactNode {
  const { documents } = useDerived();
  const component = docOf(documents, 'component', doc.id);
  const options = component ? askedOf(component) : [];
  const chosen = options.find((each) => source && sameJson(each.source, source));
  const isOther = source !== undefined && !chosen;
  return (
    <div className="cell-with-actions">
      {isOther ? (
        source.is === 'expression' ? null : (
          <span className="cell-words">{sourceWords(documents, doc, source)}</span>
        )
      ) : options.length > 0 ? (
        <ChoiceCell
          label={label}
          chosen={chosen?.value}
          placeholder="always"
          options={options}
          onChoose={(value) => onGive(options.find((each) => each.value === value)!.source)}
        />
      ) : null}
      {chosen ? (
        <IconButton
          icon={X}
          name={`${label}: always`}
          title="Always"
          onPress={() => onGive(undefined)}
        />
      ) : (
        <WorkedOut
          label={label}
          doc={doc}
          node={node}
          wanted={BOOLEAN}
          source={source}
          gives={undefined}
          onGive={onGive}
          onRelease={() => onGive(undefined)}
        />
      )}
    </div>
  );
}

/** What can be asked of the properties of a definition without working anything out. */
function askedOf({ properties }: ComponentDoc): Asked[] {
  return inOrder(properties).flatMap(([property, { label, type }]): Asked[] => {
    const read: Source = { is: 'property', property };
    if (type.kind === 'boolean')
      return [
        { value: property, label, source: read },
        {
          value: `not ${property}`,
          label: `not ${label}`,
          source: { is: 'expression', cel: '!n0', names: { n0: read } },
        },
      ];
    if (type.kind !== 'choice') return [];
    return inOrder(type.options)
      .filter(([, { gone }]) => gone === undefined)
      .flatMap(([option, { label: word }]) => {
        const names = { n0: read, n1: literal({ type: 'choice', value: option }) };
        return (['==', '!='] as const).map((how) => ({
          value: `${property} ${how} ${option}`,
          label: `${label} is ${how === '==' ? '' : 'not '}${word}`,
          source: { is: 'expression' as const, cel: `n0 ${how} n1`, names },
        }));
      });
  });
}
