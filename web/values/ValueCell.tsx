import type { ReactNode } from 'react';
import { useDerived } from '../site/SiteProvider';
import type { EditorProps } from './editor-props';
import { FileDrop } from './FileDrop';
import { OpensBeside } from './OpensBeside';
import { PictureWords } from './PictureWords';
import { RestingChoice } from './RestingChoice';
import { ShowValue } from './show-value';
import { ValueEditor, waysToEdit } from './ValueEditor';

/** A value in a table: the editor of its type, of which what costs is there only while somebody is at it. */
export function ValueCell(props: EditorProps): ReactNode {
  const { documents } = useDerived();
  const { type, value, label, placeholder } = props;
  if (waysToEdit(type) !== 'chosen') return <ValueEditor {...props} />;
  const cell = (
    <RestingChoice
      label={label}
      rest={
        value ? (
          <ShowValue documents={documents} value={value} />
        ) : (
          <span className="quiet">{placeholder}</span>
        )
      }
    >
      {(open) => <ValueEditor {...props} open={open} />}
    </RestingChoice>
  );
  if (type.kind === 'video') return <FileDrop {...props}>{cell}</FileDrop>;
  if (type.kind !== 'image' && type.kind !== 'link') return cell;
  return (
    <span className="cell-beside">
      {type.kind === 'image' ? <FileDrop {...props}>{cell}</FileDrop> : cell}
      {type.kind === 'image' ? <PictureWords {...props} /> : <OpensBeside {...props} />}
    </span>
  );
}
