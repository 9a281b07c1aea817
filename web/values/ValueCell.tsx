import type { ReactNode } from 'react';
import { useDerived } from '../site/SiteProvider';
import type { EditorProps } from './editor-props';
import { DraftWords } from './DraftWords';
import { FileDrop } from './FileDrop';
import { LimitWords } from './LimitWords';
import { OpensBeside } from './OpensBeside';
import { PictureWords } from './PictureWords';
import { RestingChoice } from '../parts/RestingChoice';
import { ShowValue } from './show-value';
import { ValueEditor, waysToEdit } from './ValueEditor';

/** A value in a table: the editor of its type, of which what costs is there only while somebody is at it. */
export function ValueCell(props: EditorProps): ReactNode {
  const { documents } = useDerived();
  const { type, value, label, placeholder } = props;
  const limits = (
    <>
      <LimitWords type={type} value={value} />
      {type.kind === 'link' ? <DraftWords value={value} /> : null}
    </>
  );
  // What is told below comes and goes while somebody types: the editor stays where it is.
  const cell = (
    <div className="value-cell">
      {waysToEdit(type) === 'chosen' ? (
        <RestingChoice
          label={label}
          rest={
            type.kind === 'video' && value?.value === null ? (
              <span className="quiet">choose a film, or drop one here</span>
            ) : value ? (
              <ShowValue documents={documents} value={value} type={type} />
            ) : (
              <span className="quiet">{placeholder}</span>
            )
          }
        >
          {(open) => <ValueEditor {...props} open={open} />}
        </RestingChoice>
      ) : (
        <ValueEditor {...props} />
      )}
      {limits}
    </div>
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
