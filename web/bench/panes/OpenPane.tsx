import { useState, type ReactNode } from 'react';
import type { EntryDoc, TreeDoc } from '@sormet/core/model';
import { shortName } from '@sormet/core/edit';
import { Canvas } from '../../canvas/Canvas';
import { useDerived } from '../../site/SiteProvider';
import { shortReach } from '../words';

/** The page or definition that was opened, drawn. */
export function OpenPane({ doc, entry }: { doc: TreeDoc; entry: EntryDoc | undefined }): ReactNode {
  const { reach } = useDerived();
  const [scale, setScale] = useState(1);
  const kind = doc.kind === 'page' ? 'page' : 'definition';
  return (
    <div className={`pane pane-${kind}`}>
      <div className="pane-head">
        <span>{doc.kind === 'page' ? 'Page' : `Definition of ${shortName(doc.name)}`}</span>
        <span className="quiet">
          {doc.kind === 'component' ? `${shortReach(reach.answer(doc.id))} · ` : ''}
          {Math.round(scale * 100)} %
        </span>
      </div>
      <Canvas key={doc.id} doc={doc.id} entry={entry} kind={kind} onScale={setScale} />
    </div>
  );
}
