import type { ReactNode } from 'react';
import { X } from 'lucide-react';
import {
  attributeWords,
  literal,
  mayRefer,
  referredIn,
  treeDocOf,
  type Source,
} from '@sormet/core/model';
import { useDerived, useSync } from '../site/SiteProvider';
import { ChoiceCell } from '../parts/ChoiceCell';
import { DraftField } from '../values/DraftField';
import { ReferenceCell } from './ReferenceCell';
import { IconButton } from '../parts/IconButton';

/** The text of an attribute: of those that take certain words one of them, of others whatever is made as they are. */
export function AttributeCell({
  doc,
  node,
  tag,
  name,
  text,
  usual,
}: {
  doc: string;
  node: string;
  tag: string;
  name: string;
  text: string;
  /** Whether its row is there for every element of the tag: such an attribute is emptied, not taken away. */
  usual: boolean;
}): ReactNode {
  const sync = useSync();
  const control = { of: 'attribute' as const, name };
  const edit = (source: Source | null) => ({
    name: 'setControl' as const,
    args: { doc, node, control, source },
  });
  const words = attributeWords(tag, name);
  const { documents } = useDerived();
  const tree = treeDocOf(documents, doc);
  const refers = mayRefer(tag, name);
  // An id that somebody thought of is written on.
  const isTyped = !refers || (text !== '' && !referredIn(text));
  return (
    <div className="cell-with-actions">
      {words ? (
        <ChoiceCell
          label={name}
          chosen={text}
          options={words.map((word) => ({ value: word, label: word }))}
          onChoose={(word) => sync.edit(edit(literal({ type: 'text', value: word })))}
        />
      ) : (
        <>
          {isTyped ? (
            <DraftField
              label={name}
              stored={text}
              edit={(typed) => edit(literal({ type: 'text', value: typed }))}
            />
          ) : null}
          {refers && tree ? <ReferenceCell doc={tree} node={node} name={name} text={text} /> : null}
        </>
      )}
      {usual ? null : (
        <IconButton
          icon={X}
          name={`${name}: take it away`}
          title="Take it away"
          onPress={() => sync.edit(edit(null))}
        />
      )}
    </div>
  );
}
